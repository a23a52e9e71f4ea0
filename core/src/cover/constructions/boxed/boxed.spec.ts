import fc from 'fast-check';
import { perimeter } from '../../../geometry/outline';
import type { Cushion } from '../../../job/document';
import { plan } from '../../../plan/plan';
import type { Planned } from '../../../plan/cushion/cushion-plan';
import type { Piece } from '../../../piece/piece';
import { unequalSeams } from '../../../piece/seam';
import { SHIPPED_SCHOOLS } from '../../../shop/schools';
import { SHAPES } from '../../../template/shapes/shapes';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import type { Boxed } from './boxed';

const IN = 25.4;
const shop = demoShop();

function made(choices: Partial<Boxed>, over: Partial<Cushion> = {}, units: 'metric' | 'inch' = 'metric', clothMm = 1400): Planned {
  const cushion = sampleCushion({ given: 'finished', construction: { kind: 'boxed', edge: 'plain', ...choices }, ...over });
  const [one] = plan(sampleJob([cushion], { units, cloth: { widthMm: clothMm } }), shop).cushions;
  if (one?.state !== 'planned') throw new Error(one?.problems.map(({ code }) => code).join());
  return one;
}
/** 500 × 450 × 75, seam 13. */
const metric = (choices: Partial<Boxed>, over: Partial<Cushion> = {}): Planned =>
  made(choices, { template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, heightMm: 75, ...over });
/** 20 × 18 × 3 inches, seam 1/2. */
const inch = (choices: Partial<Boxed>, over: Partial<Cushion> = {}): Planned =>
  made(choices, { template: { shape: 'rectangle', widthMm: 20 * IN, depthMm: 18 * IN }, heightMm: 3 * IN, ...over }, 'inch');
const piece = (one: Planned, id: string): Piece => {
  const found = one.pieces.find((each) => each.id === id);
  if (!found) throw new Error(`no ${id} among ${one.pieces.map((each) => each.id).join()}`);
  return found;
};
const rounded = (mm: number): number => Math.round(mm * 1000) / 1000;
const size = (one: Planned, id: string, unit = 1): [number, number] => {
  const { width, height } = piece(one, id);
  return [rounded(width.value / unit), rounded(height.value / unit)];
};
const opening = (one: Planned, unit = 1): number => {
  const [closing] = one.cover.closings;
  if (!closing || !('opening' in closing)) throw new Error('no opening');
  return rounded(closing.opening.value / unit);
};
const codes = (one: Planned): string[] => one.problems.map(({ code }) => code);
const lengths = (one: Planned, id: string): number[] => one.cover.seams.find((seam) => seam.id === id)?.edges.map(({ lengthMm }) => rounded(lengthMm)) ?? [];
const ties = (share: number): Cushion['marks'] => [
  { kind: 'tie', edge: 'back', share },
  { kind: 'tie', edge: 'back', share: 1 - share },
];

describe('boxing in panels', () => {
  it('has each panel its side and two allowances, the plaque for a back', () => {
    const one = metric({ boxing: 'panels' });
    expect([size(one, 'panel-front'), size(one, 'panel-right'), size(one, 'panel-left')]).toEqual([
      [526, 101],
      [476, 101],
      [476, 101],
    ]);
    expect(size(one, 'plaque')).toEqual([526, 131]);
    expect(one.cover.seams.filter(({ id }) => id.startsWith('panel-corner')).map(({ edges }) => edges[0].lengthMm)).toEqual([75, 75]);
    // The chain's last corner, the plaque's right end, is closed once the first plate is on.
    const order = ['sew/panel-corners', 'sew/plaque-ends', 'sew/band-to-top', 'sew/last-corner', 'sew/open-zip', 'sew/band-to-bottom'];
    expect(one.operations.map(({ id }) => id).filter((id) => order.includes(id))).toEqual(order);
    const sewn = (id: string) => one.operations.find((step) => step.id === id)?.seams;
    expect([sewn('sew/plaque-ends'), sewn('sew/last-corner')]).toEqual([['plaque-end-left'], ['plaque-end-right']]);
    const inches = inch({ boxing: 'panels' });
    expect([size(inches, 'panel-front', IN), size(inches, 'panel-left', IN), size(inches, 'plaque', IN)]).toEqual([
      [21, 4],
      [19, 4],
      [21, 5.25],
    ]);
  });

  it('meets at every corner of any outline, a panel longer than the cloth in parts', () => {
    const t = metric({ boxing: 'panels' }, { template: { shape: 't', widthMm: 620, depthMm: 560, backWidthMm: 520, earDepthMm: 130 } });
    // The back's panel is the plaque; the T has eight sides.
    expect(t.pieces.filter(({ role }) => role === 'panel').length).toBe(7);
    expect(unequalSeams(t.cover.seams)).toEqual([]);
    const long = metric({ boxing: 'panels' }, { template: { shape: 'rectangle', widthMm: 450, depthMm: 1700 } });
    // Round from the zip's end: down the left, along the front, up the right.
    expect(long.pieces.filter(({ role }) => role === 'panel').map(({ label }) => label)).toEqual([
      'left panel',
      'left panel 2',
      'front panel',
      'right panel',
      'right panel 2',
    ]);
  });
});

describe('a plaque', () => {
  it('of two folded strips has each as high as the boxing’s cut', () => {
    const one = metric({ plaque: 'folded' });
    expect([size(one, 'plaque'), piece(one, 'plaque').countPerCushion]).toEqual([[626, 101], 2]);
    expect(lengths(one, 'plaque-end-left')).toEqual([75, 75]);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
  });

  it('that is lapped has a narrow and a wide strip: 57.5 and 87.5 for 75 high', () => {
    const one = metric({ plaque: 'lapped' });
    expect([size(one, 'plaque-narrow')[1], size(one, 'plaque-wide')[1]]).toEqual([57.5, 87.5]);
    expect(lengths(one, 'plaque-end-left')).toEqual([75, 75]);
    // Teeth 20 above the lower seam: 13 + 17 + 10, and 13 + 55 + 24 + 3 + 10.
    const low = metric({ plaque: 'lapped', teethMm: 20 });
    expect([size(low, 'plaque-narrow')[1], size(low, 'plaque-wide')[1]]).toEqual([40, 105]);
    const inches = inch({ plaque: 'lapped' });
    expect([size(inches, 'plaque-narrow', IN)[1], size(inches, 'plaque-wide', IN)[1]]).toEqual([2.25, 3.5]);
    expect([...unequalSeams(one.cover.seams), ...unequalSeams(low.cover.seams), ...unequalSeams(inches.cover.seams)]).toEqual([]);
  });

  it('longer than the cloth is pieced like the boxing', () => {
    const one = made({ zipReach: 'back' }, { template: { shape: 'rectangle', widthMm: 1900, depthMm: 500 } });
    // 1 900 in two: 950 and an allowance at each end.
    expect([size(one, 'plaque-1'), size(one, 'plaque-2')]).toEqual([
      [976, 131],
      [976, 131],
    ]);
    expect(lengths(one, 'plaque-join-1').length).toBe(2);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
  });

  it('spoiled is found: cut without the zip’s extra height, its ends no longer meet the boxing', () => {
    const one = metric({});
    expect(size(one, 'plaque')[1]).toBe(size(one, 'boxing-1')[1] + 30);
  });
});

describe('the zip’s reach', () => {
  it('is the back and its returns, the back, less, or three sides', () => {
    expect((['corners', 'back', 'short', 'three-sides'] as const).map((zipReach) => opening(metric({ zipReach })))).toEqual([600, 500, 400, 1400]);
    expect((['corners', 'back', 'short', 'three-sides'] as const).map((zipReach) => opening(inch({ zipReach }), IN))).toEqual([24, 20, 16, 56]);
  });

  it('of a fraction of the round runs past two ties, and never ends on one', () => {
    // A quarter of 1 900 is 475. Ties 400 apart want 500 to show, and pockets of 25 hide 50 more; ties 300 apart want only 450.
    expect([opening(metric({ zipReach: 'fraction' }, { marks: ties(0.1) })), opening(metric({ zipReach: 'fraction' }, { marks: ties(0.2) }))]).toEqual([
      550, 475,
    ]);
    expect(opening(inch({ zipReach: 'fraction' }, { marks: ties(0.1) }), IN)).toBe(22);
    expect(opening(metric({ zipReach: 'fraction', zipEnds: 'plain' }, { marks: ties(0.1) }))).toBe(500);
    expect(codes(metric({ zipReach: 'fraction' }, { marks: ties(0.1) }))).not.toContain('tie-near-zip-end');
    // A tie where the zip ends.
    expect(codes(metric({ zipReach: 'back' }, { marks: ties(0.02) }))).toContain('tie-near-zip-end');
  });

  it('counts without its pockets where a soft core has to pass, and whole with both corners where it cannot be squeezed', () => {
    // 60 % of 450 is 270: an opening of 300 with pockets of 25 shows 250.
    expect(codes(metric({ zipReach: 'short', zipShortMm: 100 }))).toContain('zip-too-short-for-core');
    expect(codes(metric({ zipReach: 'short', zipShortMm: 100, zipEnds: 'plain' }))).not.toContain('zip-too-short-for-core');
    const unit = shop.document.fillings.find(({ kind }) => kind === 'spring');
    const layers = { core: { layers: [{ grade: unit?.id ?? '', thicknessMm: 75 }] } };
    expect(codes(metric({ zipReach: 'back' }, layers))).toContain('zip-too-short-for-core');
    expect(codes(metric({ zipReach: 'corners' }, layers))).not.toContain('zip-too-short-for-core');
  });
});

describe('the zip’s ends', () => {
  const total = (one: Planned): number => rounded(one.pieces.filter(({ role }) => role === 'boxing').reduce((mm, { width }) => mm + width.value, 0));
  it('as pockets, plackets or hemmed over have their own lengths', () => {
    // P 1 900, opening 600, one join: 1 300 + 26 and another 26.
    expect([total(metric({ zipEnds: 'pocket' })), size(metric({ zipEnds: 'pocket' }), 'plaque')[0]]).toEqual([1300 + 100 + 26 + 26, 626]);
    expect([total(metric({ zipEnds: 'placket' })), size(metric({ zipEnds: 'placket' }), 'plaque')[0]]).toEqual([1300 + 26, 626]);
    expect([size(metric({ zipEnds: 'placket' }), 'placket'), piece(metric({ zipEnds: 'placket' }), 'placket').countPerCushion]).toEqual([[75, 101], 2]);
    // Folds lapped 50 over the plaque: plaque O + 100, boxing P − O + 26.
    expect([total(metric({ zipEnds: 'hemmed' })), size(metric({ zipEnds: 'hemmed' }), 'plaque')[0]]).toEqual([1326, 700]);
    for (const zipEnds of ['plain', 'pocket', 'placket', 'hemmed'] as const)
      expect(unequalSeams(metric({ zipEnds }).cover.seams))
        .withContext(zipEnds)
        .toEqual([]);
  });
});

describe('a welt with a flange of its own', () => {
  it('draws the seam lines in, and every size says so', () => {
    const one = metric({ edge: 'welt', flangeMm: 16 });
    expect([one.sizes.sewn.width.value, one.sizes.sewn.depth.value, one.sizes.sewn.height.value]).toEqual([494, 444, 69]);
    expect(perimeter(one.outlines.sewn)).toBeCloseTo(1876, 6);
    expect([size(one, 'plate'), size(one, 'boxing-1')[1]]).toEqual([[526, 476], 101]);
    expect(lengths(one, 'band-to-top')).toEqual([1876, 1876]);
    // Strip: π × 5 + 1 + 2 × 16.
    expect(size(one, 'welt')[1]).toBe(rounded(Math.PI * 5 + 1 + 32));
    const inches = inch({ edge: 'welt', flangeMm: 0.625 * IN });
    expect([inches.sizes.sewn.width.value / IN, inches.sizes.sewn.height.value / IN].map(rounded)).toEqual([19.75, 2.75]);
    expect(perimeter(inches.outlines.sewn) / IN).toBeCloseTo(75, 6);
  });

  it('on the top only lowers the height once, and the bottom plate is cut smaller', () => {
    const one = metric({ edge: 'welt', weltOn: 'top', flangeMm: 16 });
    expect([one.sizes.sewn.height.value, size(one, 'plate-top'), size(one, 'plate-bottom')]).toEqual([72, [526, 476], [520, 470]]);
    expect([piece(one, 'welt').countPerCushion, unequalSeams(one.cover.seams)]).toEqual([1, []]);
  });

  it('follows from the width that the strip is cut, which is then what is cut; how much tighter the cover becomes is said', () => {
    // (50 − π × 5 − 1) ÷ 2 = 16.646: 3.646 over the seam of 13 on every side, 7.292 across; both edges welted, the height loses as much.
    const one = metric({ edge: 'welt', cordMm: 5, weltStripMm: 50 });
    expect(rounded(one.sizes.sewn.width.value)).toBe(492.708);
    expect(rounded(one.sizes.sewn.depth.value)).toBe(442.708);
    expect(rounded(one.sizes.sewn.height.value)).toBe(67.708);
    expect(rounded(piece(one, 'welt').height.value)).toBe(50);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
    const note = one.problems.find(({ code }) => code === 'welt-strip-gives-flange');
    expect([rounded(Number(note?.data['byMm'])), note?.data['tighter']]).toEqual([7.292, 1]);
    // A strip of the usual flange changes nothing and says nothing; a narrow one lets the cover out; one that does not go round the cord is refused in words.
    const codes = (weltStripMm: number): string[] => metric({ edge: 'welt', cordMm: 5, weltStripMm }).problems.map(({ code }) => code);
    expect(codes(2 * 13 + 1 + Math.PI * 5)).not.toContain('welt-strip-gives-flange');
    expect(metric({ edge: 'welt', cordMm: 5, weltStripMm: 32 }).sizes.sewn.width.value).toBeGreaterThan(500);
    expect(codes(20)).toContain('welt-strip-too-narrow');
  });

  it('lets it out where the flange is the narrower, and of an old cover what is cut grows instead', () => {
    expect(metric({ edge: 'welt', flangeMm: 10 }).sizes.sewn.width.value).toBe(506);
    const old = metric({ edge: 'welt', flangeMm: 16 }, { given: 'sewn' });
    expect([old.sizes.sewn.width.value, size(old, 'plate'), size(old, 'boxing-1')[1], old.sizes.sewn.height.value]).toEqual([500, [532, 482], 107, 75]);
    expect(unequalSeams(old.cover.seams)).toEqual([]);
  });

  it('cut straight is strips across the cloth, so many a ring, and warned of on a tight curve', () => {
    const one = metric({ edge: 'welt', weltCut: 'straight' });
    // Ring 1 950 from 1 380 of cloth: two strips, one diagonal join of 42.7.
    const strip = Math.PI * 5 + 1 + 26;
    expect([size(one, 'welt')[0], piece(one, 'welt').countPerCushion]).toEqual([rounded((1950 + strip) / 2), 4]);
    expect(one.cover.notions.find(({ ware }) => ware === 'cord')?.amount.value).toBe(3900);
    expect(codes(one)).not.toContain('straight-welt-on-tight-curve');
    const tight = metric({ edge: 'welt', weltCut: 'straight' }, { template: { shape: 'rectangle', widthMm: 500, depthMm: 450, cornerRadiusMm: 35 } });
    expect(codes(tight)).toContain('straight-welt-on-tight-curve');
  });
});

describe('a ridge', () => {
  it('is top-stitched along both seams, and along the corners of panels; twice where wear is hard', () => {
    const one = metric({ edge: 'ridge', ridge: 'twice', boxing: 'panels' });
    const ridges = one.cover.seams.filter(({ method }) => method === 'top-stitch');
    expect(ridges.map(({ id, rows }) => [id, rows])).toEqual([
      ['ridge-top', 2],
      ['ridge-bottom', 2],
      ['ridge-panel-corner-1', 2],
      ['ridge-panel-corner-2', 2],
    ]);
    expect(one.operations.map(({ id }) => id)).toEqual(jasmine.arrayContaining(['sew/ridge-panels', 'sew/ridge-top', 'sew/ridge-bottom']));
    expect(one.operations.find(({ id }) => id === 'sew/ridge-top')?.figures.map(({ value }) => value)).toEqual([5, 13]);
  });
});

describe('another closing', () => {
  it('by hand leaves the back open but for its ends, has no plaque, and is closed after filling', () => {
    const one = metric({ closing: 'hand' });
    expect([opening(one), one.pieces.some(({ role }) => role === 'plaque'), one.cover.notions.some(({ ware }) => ware === 'zip')]).toEqual([350, false, false]);
    expect([lengths(one, 'closing'), lengths(one, 'band-to-bottom'), lengths(one, 'band-to-top')]).toEqual([
      [350, 350],
      [1550, 1550],
      [1900, 1900],
    ]);
    const order = one.operations.map(({ id }) => id);
    expect(order.indexOf('fill/close')).toBeGreaterThan(order.indexOf('fill/insert'));
    expect(order.indexOf('fill/dress')).toBeGreaterThan(order.indexOf('fill/close'));
    expect(opening(inch({ closing: 'hand' }), IN)).toBe(14);
    expect(unequalSeams(metric({ closing: 'hand', boxing: 'panels' }).cover.seams)).toEqual([]);
  });

  it('with hook and loop has two strips that overlap by the tape', () => {
    const one = metric({ closing: 'hook-and-loop' });
    // 13 + 75 / 2 + 25 / 2 + 10.
    expect([size(one, 'plaque-hook')[1], size(one, 'plaque-loop')[1]]).toEqual([73, 73]);
    expect(one.cover.notions.find(({ ware }) => ware === 'hook-and-loop')?.amount.value).toBe(600);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
  });

  it('with the plaque sewn in last opens the zip before its long edges close the cover', () => {
    for (const boxing of ['strip', 'panels'] as const) {
      const one = metric({ order: 'plaque-last', boxing, edge: 'ridge' });
      const order = one.operations.map(({ id }) => id).filter((id) => id.startsWith('sew/'));
      const tail = ['sew/band-to-bottom', 'sew/ridge-bottom', 'sew/open-zip', 'sew/plaque-ends', 'sew/plaque-in', 'sew/ridge-plaque'];
      expect(order.slice(-tail.length)).withContext(boxing).toEqual(tail);
      // Both plates are sewn round to the zip's ends: 2 × (500 + 450) less the opening of 600 or 500, and the plaque along it.
      const opening = boxing === 'strip' ? 600 : 500;
      expect([lengths(one, 'band-to-top'), lengths(one, 'plaque-to-top')]).toEqual([
        [1900 - opening, 1900 - opening],
        [opening, opening],
      ]);
      expect(unequalSeams(one.cover.seams)).toEqual([]);
    }
  });
});

describe('a plate wider than the cloth', () => {
  it('is a full middle and two equal sides, with the tube’s marks', () => {
    const one = made({ wide: 'pieced' }, { template: { shape: 'rectangle', widthMm: 2000, depthMm: 500 } });
    // Cloth 1 380 between selvedges: 1 354 of it show, and (2 026 − 1 354) / 2 + 13 a side.
    expect([size(one, 'plate-middle'), size(one, 'plate-right'), size(one, 'plate-left')]).toEqual([
      [1380, 526],
      [349, 526],
      [349, 526],
    ]);
    expect(lengths(one, 'band-to-top')).toEqual([5000, 5000]);
    expect(lengths(one, 'plate-join-right')).toEqual([500, 500]);
    const tube = one.operations.find(({ id }) => id === 'sew/wide-plates');
    expect([tube?.figures[0]?.value, codes(one).includes('plate-wider-than-cloth')]).toEqual([1013, false]);
    expect(codes(made({}, { template: { shape: 'rectangle', widthMm: 2000, depthMm: 500 } }))).toContain('plate-wider-than-cloth');
    // Three widths do not make it.
    expect(codes(made({ wide: 'pieced' }, { template: { shape: 'rectangle', widthMm: 4400, depthMm: 500 } }))).toContain('plate-cannot-be-pieced');
  });
});

describe('what is added', () => {
  it('ties, buttons, handles and vents are cut, bought and done', () => {
    const one = metric({ handles: 2, vents: 3 }, { marks: [...(ties(0.1) ?? []), { kind: 'button', across: 0.5, deep: 0.5 }] });
    // 2 × 19 + 2 × 6 wide; two a mark.
    expect([size(one, 'tie'), piece(one, 'tie').countPerCushion]).toEqual([[600, 50], 4]);
    expect([size(one, 'button'), piece(one, 'button').countPerCushion]).toEqual([[44, 44], 2]);
    expect([size(one, 'handle'), piece(one, 'handle').countPerCushion]).toEqual([[300, 72], 2]);
    const notion = (ware: string): number | undefined => one.cover.notions.find((each) => each.ware === ware)?.amount.value;
    expect([notion('buttons'), notion('twine'), notion('eyelets')]).toEqual([2, 450, 3]);
    expect(one.operations.map(({ id }) => id)).toEqual(
      jasmine.arrayContaining(['sew/ties-made', 'sew/ties', 'sew/handles', 'sew/vents', 'sew/buttons', 'fill/buttons']),
    );
    const inches = inch({}, { marks: ties(0.1) });
    expect(size(inches, 'tie', IN)).toEqual([24, 2]);
  });

  it('a drain panel and an anti-slip base are patches on the bottom plate, of their own cloths', () => {
    const one = metric({ drain: 'mesh', base: 'anti-slip' });
    // 75 inside the seam all round, and 13 of mesh beyond its stitching; the base 13 inside.
    expect([size(one, 'drain-panel'), size(one, 'anti-slip-base')]).toEqual([
      [376, 326],
      [474, 424],
    ]);
    expect([piece(one, 'drain-panel').material, piece(one, 'plate-bottom').countPerCushion]).toEqual([{ kind: 'cloth', slot: 'mesh' }, 1]);
    expect([lengths(one, 'drain-panel'), lengths(one, 'anti-slip-base')]).toEqual([
      [1300, 1300],
      [1796, 1796],
    ]);
    expect(codes(one).filter((code) => code === 'slot-not-named').length).toBe(2);
    const named = metric({ drain: 'mesh' }, { slots: { mesh: { widthMm: 1500 } } });
    expect(codes(named)).not.toContain('slot-not-named');
  });
});

describe('plates and boxing', () => {
  it('are notched alike, so that they cannot twist: every corner of the plate lies opposite one of the boxing', () => {
    const one = metric({}, { template: { shape: 'rectangle', widthMm: 500, depthMm: 450, cornerRadiusMm: 60 } });
    const strips = one.pieces.filter(({ role }) => role === 'boxing');
    const corners = strips.flatMap(({ marks }) => marks.filter(({ kind }) => kind === 'corner'));
    // Two corners lie under the plaque's ends or on the boxing: each is on both edges at the same place.
    expect(corners.length % 2).toBe(0);
    for (const mark of corners) expect(corners.some((other) => other !== mark && other.at.x === mark.at.x && other.outward.y === -mark.outward.y)).toBeTrue();
    expect(piece(one, 'plate').marks.filter(({ kind }) => kind === 'corner').length).toBe(4);
  });
});

describe('every boxed cover', () => {
  it('has seams that pair, in every shape and school, whatever is chosen', () => {
    const choices = fc.record({
      boxing: fc.constantFrom('strip' as const, 'panels' as const),
      edge: fc.constantFrom('plain' as const, 'welt' as const, 'ridge' as const),
      weltOn: fc.constantFrom('both' as const, 'top' as const),
      weltCut: fc.constantFrom('bias' as const, 'straight' as const),
      flangeMm: fc.constantFrom(undefined, 10, 13, 16),
      weltStripMm: fc.constantFrom(undefined, 32, 50),
      closing: fc.constantFrom('zip' as const, 'hand' as const, 'hook-and-loop' as const),
      plaque: fc.constantFrom('slit' as const, 'folded' as const, 'lapped' as const),
      zipReach: fc.constantFrom('corners' as const, 'back' as const, 'short' as const, 'fraction' as const),
      zipEnds: fc.constantFrom('plain' as const, 'pocket' as const, 'placket' as const, 'hemmed' as const),
      wide: fc.constantFrom('turn' as const, 'pieced' as const),
      drain: fc.constantFrom('none' as const, 'mesh' as const),
    });
    fc.assert(
      fc.property(
        choices,
        fc.constantFrom(...SHAPES),
        fc.constantFrom(...SHIPPED_SCHOOLS),
        fc.constantFrom('metric' as const, 'inch' as const),
        fc.integer({ min: 420, max: 1900 }),
        ({ flangeMm, weltStripMm, ...rest }, shape, school, units, acrossMm) => {
          const one = made(
            { ...rest, ...(flangeMm === undefined ? {} : { flangeMm }), ...(weltStripMm === undefined ? {} : { weltStripMm }) },
            { template: shape.like(acrossMm, 470), heightMm: 120, school: school.id, core: { layers: [{ grade: 'wren-28', thicknessMm: 120 }] } },
            units,
          );
          expect(unequalSeams(one.cover.seams).map(({ id, edges }) => [id, ...edges.map(({ lengthMm }) => lengthMm)])).toEqual([]);
          expect(new Set(one.pieces.map(({ id }) => id)).size).toBe(one.pieces.length);
          expect(new Set(one.operations.map(({ id }) => id)).size).toBe(one.operations.length);
        },
      ),
      { seed: 138, numRuns: 250 },
    );
  });
});
