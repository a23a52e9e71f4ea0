import { formatMoney, orderSheet, wasteOf } from '@yardland/core';
import { extractText, getDocumentProxy } from 'unpdf';
import { makePaper } from '../src';
import { PAPERS } from '../src/papers';
import { localDay } from '../src/local-time';
import { demoPlan } from './demo-plan';

describe('the order sheet', () => {
  it('has every sheet, every core and every roll of a job on it, with the numbers a supplier asks for', async () => {
    const plan = await demoPlan('gallery-and-boxes');
    const ask = { index: null, query: {}, stamp: { revision: 1, printedAt: new Date('2027-02-01T10:00:00Z') } };
    const made = await makePaper('order-sheet', plan, ask);
    if (made.kind !== 'file') throw new Error(made.kind);
    const { text } = await extractText(await getDocumentProxy(new Uint8Array(made.file)));
    const tight = text.join(' ').replace(/\s/g, '');
    const { sheets, cuts, wadding, oneLot } = orderSheet(plan);
    expect([sheets.length > 3, cuts.length > 5, wadding.length > 0, oneLot.length > 0]).toEqual([true, true, true, true]);
    for (const { what, hardness25N } of cuts) {
      expect(tight).toContain(what.replace(/\s/g, ''));
      if (hardness25N !== null) expect(tight).toContain(`${hardness25N}Nat25%`);
    }
    for (const { name } of [...sheets, ...wadding]) expect(tight).toContain(name.replace(/\s/g, ''));
    expect(tight).toContain('Allofonelot:');
    expect(tight).toContain('priceof2026-10-12,olderthan90days:askagain');
    // What becomes offcut, each material with its share, weight and money.
    const waste = wasteOf(plan);
    expect(waste.length).toBeGreaterThan(5);
    expect(tight).toContain('Offcutsnotworthkeeping,ofallthatisbought');
    for (const { money } of waste) if (money !== null) expect(tight).toContain(`about${formatMoney(money).replace(/\s/g, '')}`);
  }, 60_000);

  it('is one of the papers, each with an address of its own', () => {
    const addresses = PAPERS.map(({ path, ending }) => `${path}.${ending}`);
    expect(new Set(addresses).size).toBe(PAPERS.length);
    expect(addresses).toContain('order-sheet.csv');
    expect(localDay(new Date('2026-11-30T23:30:00Z'), 'UTC')).toBe('2026-11-30');
    expect(localDay(new Date('2026-11-30T23:30:00Z'), 'Europe/Berlin')).toBe('2026-12-01');
  });
});
