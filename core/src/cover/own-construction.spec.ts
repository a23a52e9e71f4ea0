import * as z from 'zod';
import { flatFace } from '../form/skin';
import { given, plus, sum } from '../kernel/figure';
import { plan } from '../plan/plan';
import { planJson } from '../plan/json';
import { sayLine } from '../plan/said';
import { solve } from '../plan/solve';
import { operation } from '../piece/operation';
import { seamsOn } from '../piece/seam';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { length, ownAssumptions } from '../shop/assumptions';
import { openShop } from '../shop/shop';
import { oneOfMany, type Construction } from './contract';
import { CONSTRUCTIONS } from './list';
import { allRound, clothPiece } from './sewing/cloth-piece';

const { bagOverMm } = ownAssumptions({ bagOverMm: length(20, 0.75) });
const schema = z.strictObject({ kind: z.literal('bag'), seamMm: z.number().optional() });

/** A bag of two plates with a gusset cloth of its own: a construction that nothing outside this file knows. */
const bag: Construction<z.infer<typeof schema>> = {
  kind: 'bag',
  name: 'Bag',
  idea: 'Two plates sewn together and drawn shut.',
  words: ['bag'],
  choiceWords: {},
  schema,
  defaults: () => ({ kind: 'bag' }),
  fields: [{ key: 'seamMm', label: 'Seam allowance', kind: 'length', minMm: 3, maxMm: 50, usual: 'school seam' }],
  slots: ['lining'],
  suits: () => [],
  make(_choices, { sizes, sewn, cut, assume }) {
    const plates = (['main', 'lining'] as const).map((slot) =>
      clothPiece(slot, { id: `bag-${slot}`, role: 'plate', label: `${slot} bag plate`, width: sizes.cut.width, height: sizes.cut.depth, outline: cut, sewn }),
    );
    const [a, b] = plates as [(typeof plates)[0], (typeof plates)[0]];
    const opening = sum('opening', sizes.sewn.width, plus(given('over', assume(bagOverMm), 'shop')));
    return {
      pieces: plates,
      seams: seamsOn(plates, [{ id: 'bag-round', words: 'bag all round', first: [allRound(a)], second: [allRound(b)] }]),
      closings: [{ kind: 'hand', opening }],
      notions: [{ ware: 'cord', name: 'Drawstring', sold: 'run', amount: opening }],
      operations: [
        operation({ id: 'fill/tie', phase: 'fill', text: 'Draw it shut.', minutes: 1, needs: 'hand', after: ['sew/bag'] }),
        operation({
          id: 'sew/bag',
          phase: 'sew',
          text: 'Sew the bag, {0} open.',
          figures: [opening],
          pieces: plates.map(({ id }) => id),
          minutes: assume('sewFixedMinutes'),
          needs: 'machine',
        }),
      ],
      eased: null,
      skin: { upper: flatFace(a.id), lower: flatFace(b.id), band: [], cords: [] },
      problems: [],
    };
  },
  profile: (_choices, { sewn }) => ({
    kind: 'band',
    heightMm: sewn.height.value,
    crownedFaces: null,
    domes: false,
    onBoard: false,
    welt: null,
    modelled: true,
  }),
  lines: () => ({ top: 'seam', bottom: 'soft', corners: false, softFront: false }),
  traits: () => ({ zip: '', washable: true, edge: 'gathered', hard: 'nothing' }),
  says: () => 'drawn shut',
};

describe('a construction that joins the list', () => {
  const lining = { widthMm: 1200, material: 'calico' };
  const cushion = sampleCushion({ slots: { lining } });
  const job = sampleJob([{ ...cushion, construction: { kind: 'bag' } as unknown as typeof cushion.construction }]);
  const list = [...CONSTRUCTIONS, oneOfMany(bag)];
  const shop = demoShop();
  const first = plan(job, shop, {}, undefined, list);
  const solved = Object.fromEntries(first.wanted.map(({ hash, request }) => [hash, solve(request)]));
  const whole = plan(job, shop, solved, undefined, list);
  const [one] = whole.cushions;

  it('blocks the cushion as long as it is on no list, and says so', () => {
    const stray = plan(job, shop);
    expect(stray.cushions.map(({ state }) => state)).toEqual(['blocked']);
    expect(stray.problems.map((problem) => sayLine(problem, { units: 'metric', step: { mm: 1, inch: 1 / 8 } }))).toEqual([
      'No construction is called “bag”. Choose one under Cover.',
    ]);
  });

  it('is planned, laid on its cloths, bought, worked and written, with nothing else touched', () => {
    expect([one!.state, one!.construction.kind]).toEqual(['planned', 'bag']);
    expect(whole.lays.map(({ subject }) => (subject.kind === 'cloth' ? subject.slots.join() : subject.kind))).toEqual(['main', 'lining', 'foam', 'wadding']);
    expect(whole.lays.every(({ answer }) => answer && answer.unplaced.length === 0)).toBeTrue();
    expect(whole.buy.map(({ name }) => name)).toContain('Drawstring');
    const ids = one!.operations.map(({ id }) => id);
    expect(ids.indexOf('sew/bag')).toBeLessThan(ids.indexOf('fill/tie'));
    const [json] = planJson(whole).cushions;
    expect(json!.pieces.map(({ label, cloth }) => [label, cloth]).slice(0, 2)).toEqual([
      ['main bag plate', 'main'],
      ['lining bag plate', 'lining'],
    ]);
    expect(json!.seams[0]!.edges.map(({ lengthMm }) => lengthMm)).toEqual([2160, 2160]);
    expect(json!.operations.find(({ id }) => id === 'sew/bag')!.text).toBe('Sew the bag, 610 mm open.');
  });

  it('has constants of its own that a shop calibrates by their keys', () => {
    const own = openShop({ ...shop.document, calibration: { ...shop.document.calibration, bagOverMm: 45 } });
    const [calibrated] = plan(job, own, {}, undefined, list).cushions;
    expect(calibrated!.operations.find(({ id }) => id === 'sew/bag')!.figures![0]!.value).toBe(635);
  });
});
