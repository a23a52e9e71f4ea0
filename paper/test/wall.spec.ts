import { plan, type Plan } from '@yardland/core';
import { extractText, getDocumentProxy } from 'unpdf';
import { makePaper, type Printed } from '../src';
import { demoJob, shop } from './demo-plan';

const print = (planned: Plan, index: number, query: object = {}): Promise<Printed> =>
  makePaper('wall', planned, { index, query, stamp: { revision: 1, printedAt: new Date('2026-12-01T10:00:00Z') } });

async function pagesOf(made: Printed): Promise<string[]> {
  if (made.kind !== 'file') throw new Error(made.kind);
  return (await extractText(await getDocumentProxy(new Uint8Array(made.file)))).text.map((page) => page.replace(/\s+/g, ' '));
}

describe('the order of work for the wall', () => {
  it('has every step of every cushion of a job on one sheet, each with its number and how it begins', async () => {
    const planned = plan(demoJob('prompt-side-boxes'), shop);
    for (const [index, one] of planned.cushions.entries()) {
      const pages = await pagesOf(await print(planned, index));
      expect(pages.length).withContext(one.source.name).toBe(1);
      expect(one.operations.length).toBeGreaterThan(8);
      one.operations.forEach(({ text }, i) => {
        const begins = text.split(/[{.:]/)[0]!.split(' ').slice(0, 3).join(' ');
        expect(pages[0])
          .withContext(one.source.name)
          .toContain(`${i + 1} ${begins}`);
      });
    }
  }, 60_000);

  it('takes the paper asked for, lying; says of a cushion that cannot be cut that it has none', async () => {
    const planned = plan(demoJob('conductors-chair'), shop);
    const made = await print(planned, 0, { paper: 'tabloid' });
    if (made.kind !== 'file') throw new Error(made.kind);
    const page = await (await getDocumentProxy(new Uint8Array(made.file))).getPage(1);
    expect(page.view.slice(2)).toEqual([1224, 792]);
    const { cushions, ...rest } = demoJob('conductors-chair');
    const small = plan(
      { ...rest, cushions: cushions.map((one) => ({ ...one, template: { shape: 'round-back', widthMm: 500, depthMm: 100, riseMm: 200 } })) },
      shop,
    );
    expect((await print(small, 0)).kind).toBe('no-outline');
  }, 60_000);
});
