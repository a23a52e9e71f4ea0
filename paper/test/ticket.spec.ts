import fs from 'node:fs';
import { fileURLToPath } from 'node:url';
import { openShop, plan, readJobText, shopSchema, type Job } from '@yardland/core';
import { ticketMark, ticketPdf } from '../src';

const demo = (file: string): string => fs.readFileSync(fileURLToPath(new URL(`../../demo/${file}`, import.meta.url)), 'utf8');
const shop = openShop(shopSchema.parse(JSON.parse(demo('shop.json'))));
const job = (name: string): Job => {
  const read = readJobText(demo(`jobs/${name}.json`));
  if (!read.ok) throw new Error(name);
  return read.value;
};
const stamp = { revision: 3, printedAt: new Date('2026-11-23T10:00:00Z') };

/** Page size in points, as the file says. */
const sizeOf = (pdf: Uint8Array): string => /\/MediaBox \[0 0 ([\d.]+ [\d.]+)\]/.exec(Buffer.from(pdf).toString('latin1'))?.[1] ?? '';

describe('the printed ticket', () => {
  it('is one page for every cushion of the demo shop, A4 or Letter by the job’s units', async () => {
    for (const file of fs.readdirSync(fileURLToPath(new URL('../../demo/jobs', import.meta.url)))) {
      const one = job(file.replace('.json', ''));
      const whole = plan(one, shop);
      for (let i = 0; i < one.cushions.length; i++) {
        const pdf = await ticketPdf(whole, i, stamp);
        expect(
          Buffer.from(pdf)
            .toString('latin1')
            .match(/\/Type \/Page\b/g)?.length,
        )
          .withContext(file)
          .toBe(1);
        expect(sizeOf(pdf))
          .withContext(file)
          .toBe(one.units === 'inch' ? '612 792' : '595.28 841.89');
      }
    }
  }, 60_000);

  it('carries a mark that changes with what is to be cut, and with nothing else', () => {
    const one = job('prompt-side-boxes');
    const mark = (changed: Job): string => ticketMark(plan(changed, shop), 0);
    expect(mark(one)).toMatch(/^[0-9A-F]{6}$/);
    expect(mark({ ...one, name: 'Another name', note: 'a remark' })).toBe(mark(one));
    const [first, ...rest] = one.cushions;
    expect(mark({ ...one, cushions: [{ ...first!, heightMm: first!.heightMm + 1 }, ...rest] })).not.toBe(mark(one));
  });

  it('of a cushion that cannot be cut still prints, with what is wrong on it; of none it refuses', async () => {
    const one = job('storage-chest');
    const [first] = one.cushions;
    const broken = plan({ ...one, cushions: [{ ...first!, school: 'none' }] }, shop);
    expect((await ticketPdf(broken, 0, stamp)).length).toBeGreaterThan(1000);
    await expectAsync(ticketPdf(broken, 4, stamp)).toBeRejectedWithError(RangeError);
  });
});
