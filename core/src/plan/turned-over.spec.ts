import { flatten, rectangleOutline } from '../geometry/outline';
import { isHanded } from '../geometry/measure';
import { itemRef } from '../piece/item-ref';
import type { Piece } from '../piece/piece';
import { SHAPES, type Template } from '../template/shapes/shapes';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import type { Construction } from '../cover/list';
import { plan } from './plan';

const shop = demoShop();
const LEANING = { shape: 'trapezoid', frontMm: 600, backMm: 500, depthMm: 450, skewMm: 40 } as Template;
const STRAIGHT = { shape: 'trapezoid', frontMm: 600, backMm: 500, depthMm: 450 } as Template;

function planned(template: Template, construction: Partial<Construction> = {}, quantity = 1) {
  const cushion = sampleCushion({ template, quantity, construction: { kind: 'boxed', edge: 'plain', seamMm: 13, ...construction } as Construction });
  const whole = plan(sampleJob([cushion]), shop);
  const [one] = whole.cushions;
  if (one?.state !== 'planned') throw new Error('blocked');
  return { one, cloth: whole.lays.find(({ key }) => key === 'cloth') };
}

/** Signed turns of a ring's corners from its longest edge on: equal for rings that a turn and a move bring onto each other, not for mirror images. */
function turnsOf(ring: readonly { readonly x: number; readonly y: number }[]): string {
  const edges = ring.map((p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    return { long: Math.hypot(q.x - p.x, q.y - p.y), way: Math.atan2(q.y - p.y, q.x - p.x) };
  });
  const from = edges.reduce((best, { long }, i) => (long > edges[best]!.long + 1e-6 ? i : best), 0);
  return edges
    .map((_, k) => {
      const [a, b] = [edges[(from + k) % edges.length]!, edges[(from + k + 1) % edges.length]!];
      return `${a.long.toFixed(1)} ${((b.way - a.way + 4 * Math.PI) % (2 * Math.PI)).toFixed(3)}`;
    })
    .join(' ');
}

describe('an outline with a left and a right', () => {
  it('is told from one that is its own mirror image', () => {
    expect(isHanded(rectangleOutline(500, 400))).toBeFalse();
    const handed = (template: Template) => isHanded(planned(template).one.outlines.sewn);
    expect([handed(LEANING), handed(STRAIGHT)]).toEqual([true, false]);
    // Of the shapes as they are first offered none leans.
    for (const shape of SHAPES.filter((one) => ['rectangle', 'round', 't', 'ring-sector', 'trapezoid'].includes(one.shape)))
      expect(handed(shape.like(600, 480) as Template))
        .withContext(shape.shape)
        .toBeFalse();
  });

  it('has the one plate cut as drawn and the other as its mirror image, so that both right sides come out', () => {
    const { one, cloth } = planned(LEANING, {}, 3);
    expect(one.pieces.find(({ id }) => id === 'plate')).toEqual(jasmine.objectContaining({ countPerCushion: 2, turned: 1 }));
    const items = (cloth?.request.items ?? []).filter(({ id }) => {
      const ref = itemRef(id);
      return ref?.kind === 'piece' && ref.piece === 'plate';
    });
    expect(items.map(({ id, count }) => [id, count])).toEqual([
      ['0/plate', 3],
      ['0/plate/turned', 3],
    ]);
    const [drawn, turned] = items.map(({ polygon }) => polygon);
    // The mirror image, by hand: the laid outline with its y the other way round.
    const mirror = [...drawn!].reverse().map(({ x, y }) => ({ x, y: -y }));
    expect(turnsOf(turned!)).toBe(turnsOf(mirror));
    expect(turnsOf(turned!)).not.toBe(turnsOf(drawn!));
    const said = one.operations.find(({ id }) => id === 'cut/cover')?.cautions.join(' ');
    expect(said).toContain('plate (one turned over)');
  });

  it('has what faces down by itself turned over too: a bottom of another cloth, a base, a dust cover', () => {
    const turned = (template: Template, construction: Partial<Construction>) =>
      planned(template, construction)
        .one.pieces.filter((piece: Piece) => piece.turned > 0)
        .map(({ id, turned: count }) => `${id} ${count}`);
    expect(turned(LEANING, { kind: 'folded-corner' } as Partial<Construction>)).toEqual(['plate-bottom 1']);
    expect(turned(LEANING, { kind: 'knife-edge', closing: 'envelope' } as Partial<Construction>)).toEqual(['plate-back-lower 1', 'plate-back-upper 1']);
    expect(turned(STRAIGHT, {})).toEqual([]);
  });

  it('lays both halves of the area that was laid before', () => {
    const area = (polygon: readonly { readonly x: number; readonly y: number }[]) =>
      Math.abs(polygon.reduce((sum, p, i) => sum + p.x * polygon[(i + 1) % polygon.length]!.y - polygon[(i + 1) % polygon.length]!.x * p.y, 0)) / 2;
    const { one, cloth } = planned(LEANING);
    const laid = (cloth?.request.items ?? []).filter(({ id }) => id.includes('/plate')).reduce((sum, { polygon, count }) => sum + count * area(polygon), 0);
    const plate = one.pieces.find(({ id }) => id === 'plate')!;
    expect(laid / (2 * area(flatten(plate.outline)))).toBeCloseTo(1, 9);
  });
});

describe('one of a pair that was wrong', () => {
  const again = (recut: { readonly each: number; readonly turned?: boolean }) => {
    const cushion = sampleCushion({
      template: LEANING,
      quantity: 2,
      construction: { kind: 'boxed', edge: 'plain', seamMm: 13 } as Construction,
      bench: { recuts: [{ piece: 'plate', cushions: [1, 2], date: '2026-11-02', ...recut }], done: {}, minutes: {} } as never,
    });
    const lay = plan(sampleJob([cushion]), shop).lays.find(({ recutOf }) => recutOf !== null);
    return lay?.request.items.map(({ id, count }) => [id, count]);
  };

  it('is cut anew the way it was cut, both where both are', () => {
    expect(again({ each: 1 })).toEqual([['0/plate', 2]]);
    expect(again({ each: 1, turned: true })).toEqual([['0/plate/turned', 2]]);
    expect(again({ each: 2 })).toEqual([
      ['0/plate', 2],
      ['0/plate/turned', 2],
    ]);
  });
});
