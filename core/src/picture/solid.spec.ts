import * as fc from 'fast-check';
import { CONSTRUCTIONS, type Construction } from '../cover/list';
import { boundsOf } from '../form/solid/solid';
import { area, outlineBounds } from '../geometry/outline';
import type { Cushion } from '../job/document';
import { plan } from '../plan/plan';
import { solve } from '../plan/solve';
import type { Planned } from '../plan/cushion/cushion-plan';
import { EXTRAS_CONSTANTS } from '../cover/extras/constants';
import { SHAPES, type Template } from '../template/shapes/shapes';
import { areaOf, areaOnPiece, openSides, skinOf, volumeOf } from '../testing/mesh';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { solidOf } from './solid';
import { roundWords } from './solid-words';

const shop = demoShop();

/** A cushion planned with its crown solved; null where it cannot be made. */
function solved(cushion: Cushion): Planned | null {
  const job = sampleJob([cushion]);
  const { wanted } = plan(job, shop);
  const answers = Object.fromEntries(wanted.flatMap(({ hash, request }) => (request.format === 'yardland/crown-ask@1' ? [[hash, solve(request)]] : [])));
  const [one] = plan(job, shop, answers).cushions;
  return one?.state === 'planned' ? one : null;
}

/** Box 500 × 400 × 80, flat, its plates on the seam line. */
const FLAT: Partial<Cushion> = { template: { shape: 'rectangle', widthMm: 500, depthMm: 400 }, heightMm: 80, wrapLoftMm: 0, given: 'sewn' };

describe('the cushion in the round', () => {
  it('is closed, every side of a triangle met by one other, for every construction × shape × choice × crown, and its parts keep the area of their pieces', () => {
    let [made, turn] = [0, 0];
    const seen = new Set<string>();
    fc.assert(
      fc.property(
        fc.nat({ max: SHAPES.length - 1 }),
        fc.constantFrom(null, 0, 12, 25),
        fc.constantFrom(0, 1),
        fc.integer({ min: 320, max: 1700 }),
        fc.integer({ min: 300, max: 900 }),
        fc.integer({ min: 60, max: 180 }),
        fc.nat(),
        (like, crownMm, bulge, wide, deep, high, seed) => {
          // Each construction in its turn, so that none is left out by chance.
          const [construction, shape] = [CONSTRUCTIONS[turn++ % CONSTRUCTIONS.length]!, SHAPES[like]!];
          const choices = construction.fields.filter(({ kind }) => kind === 'choice');
          const field = choices[seed % Math.max(1, choices.length)];
          const other = field?.kind === 'choice' ? { [field.key]: field.options[Math.floor(seed / 97) % field.options.length]?.value } : {};
          const one = solved(
            sampleCushion({
              template: shape.like(wide, deep) as Template,
              heightMm: high,
              construction: construction.schema.parse({ ...construction.defaults(), wide: 'pieced', ...other }) as Construction,
              ...(crownMm === null ? {} : { crown: { mm: crownMm, way: seed % 2 ? 'bow' : 'flat', faces: 2 } }),
            }),
          );
          if (!one) return;
          const solid = solidOf(one, { bulge });
          if (!solid) throw new Error('no solid');
          made++;
          seen.add(construction.kind);
          const skin = skinOf(solid);
          const { low, high: top } = boundsOf(skin);
          expect(openSides(skin))
            .withContext(`${construction.kind} ${one.source.template.shape} ${JSON.stringify(other)}`)
            .toBe(0);
          expect(solid.parts.reduce((sum, { triangles }) => sum + triangles.length / 3, 0)).toBeLessThan(40_000);
          expect(Math.abs(low.z)).toBeLessThan(1e-9);
          expect(volumeOf(skin)).toBeGreaterThan(0);
          for (const part of skin) {
            const piece = one.cover.pieces.find(({ id }) => id === part.piece);
            if (part.kind === 'board' || !piece) continue;
            // A crowned face has more area than its plate by half the mean square of its slope; the band and flat faces have their piece's own.
            // A plate domed for more than the crown that is predicted has cloth to spare.
            const spare = one.cover.eased !== null;
            const flat = spare || one.profile.kind === 'knife' || part.id.endsWith(':band') || (one.fit?.crownMm ?? crownMm ?? 0) === 0;
            const ratio = areaOf(part) / areaOnPiece(part);
            if (part.id.endsWith(':band') && bulge === 0)
              expect(ratio)
                .withContext(`${construction.kind} ${one.source.template.shape} ${part.id} ${JSON.stringify(other)}`)
                .toBeCloseTo(1, 2);
            expect(ratio)
              .withContext(`${construction.kind} ${one.source.template.shape} ${part.id} ${JSON.stringify(other)}`)
              .toBeGreaterThan(spare ? 0.8 : 0.985);
            if (!flat)
              expect(ratio)
                .withContext(`${construction.kind} ${one.source.template.shape} ${part.id} ${JSON.stringify(other)}`)
                .toBeLessThan(1.25);
            const { minX, minY, maxX, maxY } = outlineBounds(piece.outline);
            let out = 0;
            for (let i = 0; i < part.uvs.length; i += 2) {
              const [u, v] = [part.uvs[i] ?? NaN, part.uvs[i + 1] ?? NaN];
              if (!(u > minX - 1 && u < maxX + 1 && v > minY - 1 && v < maxY + 1)) out++;
            }
            expect(out)
              .withContext(`${construction.kind} ${one.source.template.shape} ${wide} ${deep} ${part.id} ${JSON.stringify(other)}`)
              .toBe(0);
          }
          // Nothing stands outside the sewn size by more than crown and cord.
          if (bulge === 0 && one.profile.kind === 'band') {
            const box = outlineBounds(one.outlines.sewn);
            const all = boundsOf(solid.parts.filter(({ kind }) => kind !== 'core'));
            const cord = one.profile.welt?.cordMm ?? 1.3;
            expect(all.low.x).toBeGreaterThan(box.minX - cord - 5);
            expect(all.high.x).toBeLessThan(box.maxX + cord + 5);
            const crown = one.fit?.crownMm ?? crownMm ?? 0;
            expect(top.z)
              .withContext(`${construction.kind} ${one.source.template.shape}`)
              .toBeLessThan(one.sizes.sewn.height.value + 2 * crown + cord + (one.lines.top === 'roll' ? 7 : 4));
          }
        },
      ),
      { seed: 32, numRuns: 99, endOnFailure: true },
    );
    expect(made).toBeGreaterThan(45);
    expect([...seen].sort()).toEqual(CONSTRUCTIONS.map(({ kind }) => kind).sort());
  });

  it('encloses plan × height where it is flat, and cap by cap what a crowned disc encloses', () => {
    const box = solved(sampleCushion({ ...FLAT, core: { layers: [{ grade: 'wren-28', thicknessMm: 80 }] } }));
    const flat = box && solidOf({ ...box, fit: null, fitRequest: null, source: { ...box.source } }, { bulge: 0 });
    expect(volumeOf(skinOf(flat!)) / (500 * 400 * 80)).toBeCloseTo(1, 3);
    // A membrane over a disc is a paraboloid: c (1 − r²/R²), which encloses π R² c ÷ 2 over the disc and has area π R² (1 + c²/R²) to the second order.
    const [R, c] = [225, 30];
    const disc = solved(
      sampleCushion({
        ...FLAT,
        template: { shape: 'round', diameterMm: 2 * R },
        construction: { kind: 'block', edge: 'plain' },
        crown: { mm: c, way: 'flat', faces: 1 },
      }),
    );
    const crowned =
      disc && solidOf({ ...disc, fit: null, fitRequest: null, source: { ...disc.source, crown: { mm: c, way: 'flat', faces: 1 } } }, { bulge: 0 });
    const expected = Math.PI * R * R * (80 + c / 2);
    expect(Math.abs(volumeOf(skinOf(crowned!)) / expected - 1)).toBeLessThan(0.01);
    const plate = crowned!.parts.find(({ id }) => id === 'plate:top');
    expect(Math.abs(areaOf(plate!) / (Math.PI * R * R * (1 + (c * c) / (R * R))) - 1)).toBeLessThan(0.01);
  });

  it('fills a wedge with layers that taper as it does, inside its cover', () => {
    // 100 at the back, 60 at the front, by hand: without a wrap the filling is 0.4 clear of both faces, 3 of the sides, and drawn a hundredth smaller in plan.
    const wedge = solved(
      sampleCushion({
        ...FLAT,
        template: { shape: 'wedge', widthMm: 500, depthMm: 400, thinMm: 60, thin: 'front' },
        heightMm: 100,
        core: {
          layers: [
            { grade: 'wren-28', thicknessMm: 25 },
            { grade: 'heron-40', thicknessMm: 75 },
          ],
        },
      }),
    )!;
    const solid = solidOf({ ...wedge, fit: null, fitRequest: null }, { bulge: 0 })!;
    const [top, base] = solid.parts.filter(({ kind }) => kind === 'core');
    const whole = volumeOf([top!]) + volumeOf([base!]);
    expect(whole / (0.99 * 494 * (0.99 * 394) * ((99.2 + 59.2) / 2))).toBeCloseTo(1, 3);
    expect(volumeOf([top!]) / whole).toBeCloseTo(0.25, 3);
    const [inner, outer] = [boundsOf([top!, base!]), boundsOf(skinOf(solid))];
    for (const axis of ['x', 'y', 'z'] as const) {
      expect(inner.low[axis]).withContext(axis).toBeGreaterThan(outer.low[axis]);
      expect(inner.high[axis]).withContext(axis).toBeLessThan(outer.high[axis]);
    }
    // At the front the filling ends under the thin edge.
    const highAtFront = Math.max(
      ...Array.from({ length: top!.positions.length / 3 }, (_, i) => ((top!.positions[3 * i + 1] as number) < 8 ? (top!.positions[3 * i + 2] as number) : 0)),
    );
    expect(highAtFront).toBeGreaterThan(55);
    expect(highAtFront).toBeLessThan(61);
  });

  it('has ties laid along the band from their mark, handles in the middle of its longest side, and shows of the zip what no pocket covers', () => {
    // 590 × 490: the back's middle is 590 + 490 + 295 mm round from the front's left corner.
    const cushion = (ends: 'plain' | 'pocket'): Planned =>
      solved(
        sampleCushion({
          wrapLoftMm: 0,
          template: { shape: 'rectangle', widthMm: 590, depthMm: 490 },
          given: 'sewn',
          marks: [{ kind: 'tie', edge: 'back', share: 0.5 }],
          construction: construction.schema.parse({
            ...construction.defaults(),
            handles: 1,
            tieLengthMm: 150,
            tieWidthMm: 20,
            zipEnds: ends,
            zipReach: 'back',
          }) as Construction,
        }),
      )!;
    const construction = CONSTRUCTIONS.find(({ kind }) => kind === 'boxed')!;
    const pocketed = cushion('pocket');
    const solid = solidOf(pocketed, { bulge: 0 })!;
    const straps = solid.parts.filter(({ id }) => id.startsWith('strap-'));
    expect(straps.map(({ piece }) => piece)).toEqual(['tie', 'tie', 'handle']);
    expect(roundWords(pocketed, String)).toMatch(/zip at the back, a pair of ties, a handle$/);
    const thick = 1.4;
    const handle = shop.assume(EXTRAS_CONSTANTS.handleLengthMm, 'metric') * shop.assume(EXTRAS_CONSTANTS.handleWidthMm, 'metric') * thick;
    straps.forEach((strap, i) => {
      expect(openSides([strap]))
        .withContext(strap.id)
        .toBe(0);
      expect(volumeOf([strap]) / [150 * 20 * thick, 150 * 20 * thick, handle][i]!)
        .withContext(strap.id)
        .toBeCloseTo(1, 1);
    });
    const [right, left, front] = straps.map((strap) => boundsOf([strap]));
    // Counter-clockwise along the back is towards the left.
    expect([left!.low.x, left!.high.x, right!.low.x, right!.high.x].map(Math.round)).toEqual([295, 445, 145, 295]);
    expect(Math.max(left!.high.y, right!.high.y)).toBeLessThan(490 + 2);
    expect(front!.low.y).toBeGreaterThan(-7);
    expect(front!.high.y).toBeLessThan(0);
    expect((front!.low.x + front!.high.x) / 2).toBeCloseTo(295, 6);
    const teeth = (one: Planned): number => {
      const { low, high } = boundsOf(solidOf(one, { bulge: 0 })!.parts.filter(({ id }) => id === 'zip'));
      return high.x - low.x;
    };
    const pocket = shop.assume('zipPocketMm', 'metric');
    expect(pocket).toBeGreaterThan(5);
    expect(Math.abs(teeth(cushion('plain')) - teeth(pocketed) - 2 * pocket)).toBeLessThan(6);
  });

  it('puts each piece where it is sewn: the front’s middle of plate and boxing meet, and the plaque stands at the back', () => {
    const one = solved(sampleCushion())!;
    const solid = solidOf(one, { bulge: 0 })!;
    const near = (id: string, x: number, y: number): number => {
      const part = solid.parts.find((each) => each.id === id)!;
      const { positions } = part;
      let least = Infinity;
      for (let i = 0; i < positions.length; i += 3) least = Math.min(least, Math.hypot((positions[i] ?? NaN) - x, (positions[i + 1] ?? NaN) - y));
      return least;
    };
    expect(near('plaque:band', 295, 490)).toBeLessThan(10);
    expect(near('plaque:band', 295, 0)).toBeGreaterThan(400);
    const boxing = one.cover.pieces.find(({ id, marks }) => id.startsWith('boxing') && marks.some(({ kind }) => kind === 'centre-front'))!;
    const mark = boxing.marks.find(({ kind, outward }) => kind === 'centre-front' && outward.y > 0)!;
    const part = solid.parts.find(({ id }) => id === `${boxing.id}:band`)!;
    let best = { off: Infinity, x: NaN, y: NaN };
    for (let i = 0; i < part.uvs.length / 2; i++) {
      const off = Math.hypot((part.uvs[2 * i] ?? NaN) - mark.at.x, (part.uvs[2 * i + 1] ?? NaN) - mark.at.y);
      if (off < best.off) best = { off, x: part.positions[3 * i] ?? NaN, y: part.positions[3 * i + 1] ?? NaN };
    }
    expect(best.off).toBeLessThan(10);
    expect(Math.abs(best.x - 295)).toBeLessThan(10);
    expect(best.y).toBeCloseTo(0, 6);
  });

  it('bulges no further than half of what its sides are squeezed by, keeps the band’s length and draws its edges nearer', () => {
    const one = solved(sampleCushion({ wrapLoftMm: 40 }))!;
    const [straight, bulged] = [solidOf(one, { bulge: 0 })!, solidOf(one, { bulge: 1 })!];
    const [a, b] = [boundsOf(skinOf(straight)), boundsOf(skinOf(bulged))];
    expect(a.low.y).toBeCloseTo(0, 6);
    expect(b.low.y).toBeLessThan(-2);
    expect(b.low.y).toBeGreaterThan(-75 * 0.123);
    const band = (solid: typeof straight) => solid.parts.filter(({ id }) => id.endsWith(':band')).reduce((sum, part) => sum + areaOf(part), 0);
    // Its own length never grows: the area of the band stays within a hundredth, corners among it.
    expect(Math.abs(band(bulged) / band(straight) - 1)).toBeLessThan(0.012);
    expect(Math.abs(area(one.outlines.sewn))).toBeGreaterThan(0);
  });
});
