import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { openShop } from '../shop/shop';
import { compareLays, layWays } from './compare-lays';
import { cheapestWelt, type LayCompared, type LayWay } from './lay-ways';
import { planSolved } from '../plan/solve';
import { finished } from './trials';

const shop = demoShop();
/** Two welted seats of two kinds on one cloth. */
const job = sampleJob([
  sampleCushion({ name: 'Seat', quantity: 2 }),
  sampleCushion({ name: 'Stool', template: { shape: 'rectangle', widthMm: 400, depthMm: 380 } }),
]);
const rows = finished(compareLays(job, job.cloth, shop));
const row = (kind: LayWay['kind'], more: object = {}) => {
  const found = rows.find(({ way }) => way.kind === kind && Object.entries(more).every(([key, value]) => way[key as keyof LayWay] === value));
  if (!found) throw new Error(`no row ${kind}`);
  return found;
};

describe('one cloth laid in other ways', () => {
  it('has a row for each way that changes something, as it is first', () => {
    expect(rows.map(({ way }) => ('way' in way ? `${way.kind} ${way.way}` : 'widthMm' in way ? `${way.kind} ${way.widthMm}` : way.kind))).toEqual([
      'as-it-is',
      'turned',
      'width 1200',
      'width 1370',
      'width 1500',
      'bias block',
      'bias tube',
      'straight-welt',
      'boxing',
      'one-by-one',
    ]);
    expect(rows.every(({ unplaced }) => unplaced === 0)).toBeTrue();
  });

  it('says of each what the plan says once it is taken', () => {
    for (const { job: taken, laidMm, buyMm } of [row('as-it-is'), row('bias', { way: 'block' }), row('width', { widthMm: 1500 }), row('straight-welt')]) {
      const made = planSolved(taken!, shop);
      expect(laidMm).toBe(made.lays.find(({ key }) => key === 'cloth')!.answer!.lengthMm);
      expect(buyMm).toBe(made.buy.find(({ layKey }) => layKey === 'cloth')!.amount!.value);
    }
  });

  it('counts the joins: a strip from selvedge to selvedge is 1380 × √2 long, one from a block of 690 half of it', () => {
    // Rings of 2 × (590 + 490) and of 2 × (400 + 380), less the corners’ rounding and the fit: over one strip of 1951 and two of 976 for the seats.
    expect(row('as-it-is').joins).toBeLessThan(row('bias', { way: 'block' }).joins);
    // A seat’s ring is longer than a strip, so it has one join; the stool’s is not: four rings of seats, two of the stool.
    expect(row('as-it-is').joins).toBe(4);
  });

  it('tells its rows as they come, and takes over a lay that is there', () => {
    const made = planSolved(job, shop);
    const lay = made.lays.find(({ key }) => key === 'cloth')!;
    // One that says it is 100 longer than it lies: an answer laid anew would not.
    const told = { ...lay.answer!, lengthMm: lay.answer!.lengthMm + 100 };
    const run = compareLays(job, job.cloth, shop, { only: 'welt', known: { [lay.hash]: { format: 'yardland/checked-lay@2', answer: told, problems: [] } } });
    run.next();
    const first = run.next();
    if (first.done) throw new Error('ended at once');
    expect(first.value.compared?.map(({ way, laidMm }) => [way.kind, laidMm])).toEqual([['as-it-is', told.lengthMm]]);
    const second = run.next();
    expect(second.done ? [] : second.value.compared?.map(({ way }) => way.kind)).toEqual(['as-it-is', 'bias']);
  });

  it('proposes the welt for which least is bought, with the fewest joins, and none that leaves a piece out or brings a new problem', () => {
    const welts = finished(compareLays(job, job.cloth, shop, { only: 'welt' }));
    expect(welts).toEqual(rows.filter(({ way }) => ['as-it-is', 'bias', 'straight-welt'].includes(way.kind)));
    const best = cheapestWelt(rows);
    expect(best?.buyMm).toBe(Math.min(...welts.map(({ buyMm }) => buyMm ?? Infinity)));
    expect(best?.buyMm).toBeLessThan(row('as-it-is').buyMm ?? 0);
    const [now, one] = [row('as-it-is'), row('bias', { way: 'block' })];
    const bought = (buyMm: number, more: Partial<LayCompared> = {}): LayCompared => ({ ...one, buyMm, ...more });
    const at1000: LayCompared = { ...now, buyMm: 1000 };
    expect(cheapestWelt([at1000, bought(1000), bought(1100)])).toBeNull();
    expect(cheapestWelt([at1000, bought(900, { unplaced: 1 }), bought(800, { problems: now.problems + 1 })])).toBeNull();
    expect(cheapestWelt([at1000, bought(900, { joins: 9 }), bought(900, { joins: 3 }), bought(950, { joins: 0 })])?.joins).toBe(3);
  });

  it('lays on the remnants that are set aside first', () => {
    const document = shop.document;
    const cloth = document.cloths.find(({ pattern }) => !pattern)!;
    const stocked = openShop({ ...document, remnants: [{ id: 'end', cloth: cloth.id, lengthMm: 700, widthMm: 1300 }] });
    const on = { ...job.cloth, material: cloth.id, widthMm: cloth.widthMm };
    const bought = (remnants: readonly string[]): number => {
      const whole = { ...job, cloth: on, remnants: [...remnants] };
      return finished(compareLays(whole, on, stocked, { only: 'welt' }))[0]?.buyMm ?? NaN;
    };
    expect(bought(['end'])).toBeLessThan(bought([]));
  });

  it('takes at least as much one by one as laid together', () => {
    expect(row('one-by-one').laidMm).toBeGreaterThanOrEqual(row('as-it-is').laidMm);
    expect(row('one-by-one').job).toBeNull();
  });

  it('a tube leaves no triangles over: its cloth is the strips’ own area', () => {
    const tube = planSolved(row('bias', { way: 'tube' }).job!, shop);
    const strips = tube.cushions.flatMap(({ pieces, source }) =>
      pieces.filter(({ role }) => role === 'welt').map((piece) => (piece.joins + 1) * piece.countPerCushion * source.quantity),
    );
    const item = tube.lays.find(({ key }) => key === 'cloth')!.request.items.find(({ id }) => id.startsWith('bias'))!;
    const width = tube.cushions[0]!.pieces.find(({ role }) => role === 'welt')!.height.value;
    const long = Math.max(...item.polygon.map(({ x }) => x)) - Math.min(...item.polygon.map(({ x }) => x));
    expect(long).toBeCloseTo(strips.reduce((a, b) => a + b, 0) * width * Math.SQRT2, 6);
  });
});

describe('what a match costs', () => {
  const on = (unmatchedPieces?: string[]) => ({
    ...sampleJob([
      sampleCushion({ name: 'Seat', template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, ...(unmatchedPieces ? { unmatchedPieces } : {}) }),
      sampleCushion({ name: 'Stool', template: { shape: 'rectangle', widthMm: 520, depthMm: 460 } }),
    ]),
    cloth: { widthMm: 1420, material: 'meadow-jacquard', railroaded: false },
  });
  const motifs = (job: ReturnType<typeof on>): string[] =>
    planSolved(job, shop)
      .lays.flatMap(({ request }) => request.items)
      .flatMap(({ id, motif }) => (motif ? [id] : []));

  it('is told cushion by cushion, and of each piece whose pattern goes on from another’s; a way that is taken frees just that', () => {
    const job = on();
    const ways = layWays(planSolved(job, shop), job.cloth, shop).filter(({ way }) => way.kind === 'motif');
    expect(ways.map(({ way }) => way.kind === 'motif' && [way.cushion, way.piece === null ? null : way.piece.replace(/ \d.*/, ''), way.matched])).toEqual([
      ['Seat', null, false],
      ['Seat', 'boxing', false],
      ['Stool', null, false],
      ['Stool', 'boxing', false],
    ]);
    const before = motifs(job);
    const [seat, boxing] = ways.map((one) => motifs(one.job as ReturnType<typeof on>));
    expect(before.some((id) => id.startsWith('0/')) && before.some((id) => id.startsWith('1/'))).toBeTrue();
    expect(seat).toEqual(before.filter((id) => id.startsWith('1/')));
    expect(boxing).toEqual(before.filter((id) => !id.startsWith('0/boxing')));
    expect(boxing).toContain('0/plate');
  });

  it('offers to match again what was taken off, and then is as it was', () => {
    const job = on(['boxing-1', 'plate']);
    const [again] = layWays(planSolved(job, shop), job.cloth, shop).filter(({ way }) => way.kind === 'motif' && way.matched);
    expect(again?.way).toEqual({ kind: 'motif', cushion: 'Seat', piece: null, matched: true });
    expect(again?.job).toEqual(on());
  });
});
