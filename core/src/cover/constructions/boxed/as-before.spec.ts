import { planJson } from '../../../plan/json';
import { readJob } from '../../../job/document';
import boxes from '../../../job/upgrades/fixtures/1-prompt-side-boxes.json';
import kneelers from '../../../job/upgrades/fixtures/1-puppeteers-kneelers.json';
import stalls from '../../../job/upgrades/fixtures/1-stalls-benches.json';
import chest from '../../../job/upgrades/fixtures/1-storage-chest.json';
import { planSolved } from '../../../plan/solve';
import { demoShop } from '../../../testing/samples';
import before from './as-before.json';

const JOBS: Record<keyof typeof before, unknown> = {
  'prompt-side-boxes.json': boxes,
  'puppeteers-kneelers.json': kneelers,
  'stalls-benches.json': stalls,
  'storage-chest.json': chest,
};
/** A border of wadding that is butted from equal parts today, in one piece as it was: its length is the same. */
function asOne<
  T extends { readonly label: string; readonly role: string; readonly countPerCushion: number; readonly widthMm: number; readonly why: readonly string[] },
>(piece: T): T {
  const { role, label, countPerCushion: parts, widthMm, why } = piece;
  if (role !== 'wrap-border' || parts === 1) return piece;
  const whole = why.map((line) => line.replace(/; [^;]* ÷ \d+ = [^;]* part of the border$/, ''));
  return { ...piece, label: label.replace(/, in \d+ parts$/, ''), countPerCushion: 1, widthMm: widthMm * parts, why: whole };
}
const rounded = (n: number): number => Math.round(n * 1e6) / 1e6;

describe('boxed covers', () => {
  // Written down before constructions became folders, and again for two files when joins moved away from the front's corners: labels, counts, sizes, joins, trim-off and derivations of every piece, the lays and what is bought.
  for (const [file, value] of Object.entries(JOBS))
    it(`of ${file} come out as they did`, () => {
      const read = readJob(value);
      if (!read.ok) throw new Error(file);
      const now = planJson(planSolved(read.value, demoShop()));
      const then = before[file as keyof typeof before];
      now.cushions.forEach(({ pieces }, i) => {
        const seen = pieces
          .map(asOne)
          .map((piece) => [
            piece.label,
            piece.role,
            piece.countPerCushion,
            rounded(piece.widthMm),
            rounded(piece.heightMm),
            piece.joins,
            rounded(piece.trimMm),
            piece.why,
          ]);
        expect(seen).toEqual(then.cushions[i]!.pieces as typeof seen);
      });
      // Thread is counted otherwise, and what is used up has come onto the list since.
      const bought = now.buy.filter(({ ware }) => !['thread', 'adhesive', 'bobbins'].includes(ware));
      const wasBought = then.buy as [string, string, number][];
      expect(bought.map(({ ware, name }) => [ware, name])).toEqual(wasBought.map(([ware, name]) => [ware, name]));
      bought.forEach(({ ware, name, amount }, i) => {
        const was = wasBought[i]![2];
        // What is laid takes no more than when boxes were laid; what is counted or measured is the same.
        if (['cloth', 'foam', 'wadding'].includes(ware)) expect(amount).withContext(`${ware} ${name}`).toBeLessThanOrEqual(was);
        else expect(amount).withContext(`${ware} ${name}`).toBe(was);
      });
    });
});
