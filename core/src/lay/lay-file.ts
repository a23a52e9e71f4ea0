import * as z from 'zod';
import { polygonCrossing } from '../geometry/simple';
import { issue, type Issue } from '../kernel/issue';
import { isSawn, type LayAnswer, type LayMaterial, type LayRequest } from './contract';
import { edgeCuts } from './edge-to-edge';

/** Bounds that a cushion shop never meets, so that no question keeps a machine for hours. */
const MOST_ITEMS = 500;
const MOST_COPIES = 2000;
const MOST_POINTS = 2000;
const MOST_ALL_POINTS = 60_000;
const MOST_MM = 1e6;

const LAY_1_REFUSED =
  'lay@1 is no longer answered: in lay@2 x runs along the material and y across it, a piece is turned about its own origin, and the gap stands beside the material';

const point = z.tuple([z.number().min(-MOST_MM).max(MOST_MM), z.number().min(-MOST_MM).max(MOST_MM)]);
const ring = z.array(point).min(3).max(MOST_POINTS);
const length = z.number().positive().max(MOST_MM);

const repeat = z.number().nonnegative().max(MOST_MM);
const patternSchema = z
  .strictObject({ alongMm: repeat, acrossMm: repeat, halfDrop: z.boolean().default(false), motifAcrossMm: repeat.default(0) })
  .refine(({ alongMm, acrossMm }) => [alongMm, acrossMm].every((mm) => mm === 0 || mm >= 1), 'a repeat is 1 mm at least, or 0 for none')
  .refine(({ alongMm, acrossMm, halfDrop }) => !halfDrop || (alongMm > 0 && acrossMm > 0), 'a half drop needs both repeats');

/** A lay asked for by file: `yardland lay FILE.json`. x runs along the material from 0, y across it from 0; millimetres, degrees counter-clockwise. */
export const layFileSchema = z.strictObject({
  format: z.literal('yardland/lay@2', { error: ({ input }) => (input === 'yardland/lay@1' ? LAY_1_REFUSED : undefined) }),
  material: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('roll'), widthMm: length, pattern: patternSchema.optional() }),
    z.strictObject({ kind: z.literal('sheet'), widthMm: length, lengthMm: length, cuts: z.literal('edge-to-edge').optional() }),
    z.strictObject({ kind: z.literal('hide'), outline: ring, flaws: z.array(ring).max(200).default([]), soft: z.array(ring).max(50).default([]) }),
  ]),
  gapMm: z.number().min(0).max(500).default(0),
  pieces: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(120),
        outline: ring,
        count: z.int().min(1).max(MOST_COPIES).default(1),
        turns: z.array(z.number().min(-360).max(360)).min(1).max(72).default([0, 180]),
        /** On a roll with a pattern: where the centre of a motif has to fall. */
        motif: point.optional(),
        /** It is seen: on a hide it keeps off the soft parts. */
        good: z.boolean().default(false),
      }),
    )
    .min(1)
    .max(MOST_ITEMS),
  seconds: z.number().min(0.05).max(3600).default(10),
  seed: z.int().min(0).max(4_294_967_295).default(1),
  threads: z.int().min(1).max(16).default(1),
});
export type LayFile = z.infer<typeof layFileSchema>;

const polygon = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => ({ x, y }));

/** What is wrong with a lay file beyond its form: outlines that cross themselves, names used twice, too much of it. */
export function checkLayFile({ material, pieces }: LayFile): Issue[] {
  const named = new Set<string>();
  const crossing = (points: LayFile['pieces'][number]['outline'], path: string): Issue[] => {
    const at = polygonCrossing(polygon(points));
    return at ? [issue('error', 'outline-crosses-itself', path, { xMm: at.x, yMm: at.y })] : [];
  };
  const rings = [...pieces.map(({ outline }) => outline), ...(material.kind === 'hide' ? [material.outline, ...material.flaws, ...material.soft] : [])];
  const copies = pieces.reduce((sum, { count }) => sum + count, 0);
  if (copies > MOST_COPIES) return [issue('error', 'lay-too-many-pieces', 'pieces', { pieces: copies, most: MOST_COPIES })];
  const points = rings.reduce((sum, one) => sum + one.length, 0);
  if (points > MOST_ALL_POINTS) return [issue('error', 'lay-too-many-points', 'pieces', { points, most: MOST_ALL_POINTS })];
  return [
    ...pieces.flatMap(({ id, outline }, i) => {
      const twice = named.has(id) ? [issue('error', 'lay-piece-named-twice', `pieces.${i}.id`, { piece: id })] : [];
      named.add(id);
      return [...twice, ...crossing(outline, `pieces.${i}.outline`)];
    }),
    ...(material.kind === 'hide'
      ? [
          ...crossing(material.outline, 'material.outline'),
          ...(['flaws', 'soft'] as const).flatMap((list) => material[list].flatMap((part, i) => crossing(part, `material.${list}.${i}`))),
        ]
      : []),
  ];
}

/** The question to the engine that a file asks, with a seed of its own; it runs until a clock outside stops it. */
export function layFileRequest({ material, gapMm, pieces }: LayFile, seed: number): LayRequest {
  const asked = (): LayMaterial => {
    if (material.kind === 'hide')
      return { kind: 'hide', outline: polygon(material.outline), flaws: material.flaws.map(polygon), soft: material.soft.map(polygon) };
    if (material.kind === 'sheet') {
      const { cuts, ...sheet } = material;
      return cuts ? { ...sheet, cuts } : sheet;
    }
    return { kind: 'roll', widthMm: material.widthMm, ...(material.pattern ? { pattern: material.pattern } : {}) };
  };
  return {
    format: 'yardland/lay-request@2',
    material: asked(),
    gapMm,
    items: pieces.map(({ id, outline, count, turns, motif, good }) => ({
      id,
      polygon: polygon(outline),
      count,
      turns,
      ...(motif ? { motif: { x: motif[0], y: motif[1] } } : {}),
      ...(good ? { good } : {}),
    })),
    pins: [],
    seed,
    moves: Number.MAX_SAFE_INTEGER,
  };
}

/** The answer as a file: the outline of each copy turned counter-clockwise about its own origin, then moved; where a saw goes from edge to edge, its cuts in their order. */
export function layFileAnswer(request: LayRequest, answer: LayAnswer) {
  const { placements, lengthMm, sheets, use, bound, patternAtMm, unplaced } = answer;
  const cuts = isSawn(request.material) ? edgeCuts(request, answer) : null;
  return {
    placements: placements.map(({ item, copy, sheet, x, y, turn }) => ({ id: item, copy, sheet, xMm: x, yMm: y, turn })),
    lengthMm,
    sheets,
    use,
    boundMm: bound,
    ...(patternAtMm === undefined ? {} : { patternAtMm }),
    ...(cuts ? { cuts: cuts.map(({ sheet, from, to }) => ({ sheet, from: [from.x, from.y], to: [to.x, to.y] })) } : {}),
    unplaced,
  };
}
