import { seededRandom } from '../../kernel/random';
import { flatten, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { outlineOf, type Template } from '../shapes/shapes';
import type { Gray } from './gray';
import { homography, mapPoint } from './homography';
import { sheetCorners } from './on-sheet';
import type { Corners } from './trace';

/** A picture of a traced sheet as a camera would take it, made from an outline that is known: so that errors can be measured. */
export interface MadePicture {
  readonly picture: Gray;
  readonly corners: Corners;
  readonly sheetWidthMm: number;
  readonly sheetDepthMm: number;
  /** The outline the pen's middle followed. */
  readonly truth: Outline;
}

interface Made {
  readonly name: string;
  readonly template: Template;
  readonly sheet: readonly [widthMm: number, depthMm: number];
  readonly corners: Corners;
  readonly penMm: number;
  readonly seed: number;
}

const SIZE = { width: 1600, height: 1200 };

/** The pictures that the simulated camera takes, in turn. */
export const MADE_PICTURES: readonly Made[] = [
  {
    name: 'round-back seat on a large sheet, from the front',
    template: { shape: 'round-back', widthMm: 470, depthMm: 460, riseMm: 120 },
    sheet: [594, 841],
    corners: [
      { x: 330, y: 1120 },
      { x: 1240, y: 1150 },
      { x: 1120, y: 90 },
      { x: 470, y: 70 },
    ],
    penMm: 5,
    seed: 7,
  },
  {
    name: 'T between arms, from the left',
    template: { shape: 't', widthMm: 520, depthMm: 440, backWidthMm: 400, earDepthMm: 120 },
    sheet: [594, 841],
    corners: [
      { x: 260, y: 1090 },
      { x: 1170, y: 1160 },
      { x: 1290, y: 130 },
      { x: 420, y: 60 },
    ],
    penMm: 4,
    seed: 19,
  },
  {
    name: 'an old, lopsided pattern',
    template: {
      shape: 'free',
      outline: {
        format: 'yardland/outline@1',
        start: [30, 0],
        segments: [
          { to: [440, 6] },
          { to: [472, 70], c1: [462, 10], c2: [474, 36] },
          { to: [430, 340], c1: [470, 170], c2: [456, 270] },
          { to: [236, 410], c1: [404, 396], c2: [320, 412] },
          { to: [24, 322], c1: [140, 408], c2: [44, 388] },
          { to: [0, 60], c1: [8, 240], c2: [2, 150] },
          { to: [30, 0], c1: [-2, 26], c2: [8, 2] },
        ],
      },
    },
    sheet: [594, 841],
    corners: [
      { x: 300, y: 1140 },
      { x: 1290, y: 1100 },
      { x: 1180, y: 70 },
      { x: 480, y: 100 },
    ],
    penMm: 6,
    seed: 31,
  },
];

const RASTER_MM = 0.5;

/** How much ink lies in each half millimetre of the sheet, 0 to 1. */
function inked(
  points: readonly Point[],
  width: number,
  depth: number,
  penMm: number,
): { readonly data: Float32Array; readonly columns: number; readonly rows: number } {
  const [columns, rows] = [Math.round(width / RASTER_MM), Math.round(depth / RASTER_MM)];
  const data = new Float32Array(columns * rows);
  const reach = penMm / 2 + RASTER_MM;
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    const [x0, x1] = [Math.min(a.x, b.x) - reach, Math.max(a.x, b.x) + reach].map((mm) => Math.round(mm / RASTER_MM)) as [number, number];
    const [y0, y1] = [Math.min(a.y, b.y) - reach, Math.max(a.y, b.y) + reach].map((mm) => Math.round(mm / RASTER_MM)) as [number, number];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    for (let row = Math.max(0, y0); row < Math.min(rows, y1); row++)
      for (let column = Math.max(0, x0); column < Math.min(columns, x1); column++) {
        const p = { x: (column + 0.5) * RASTER_MM, y: (row + 0.5) * RASTER_MM };
        const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
        const off = Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
        const ink = Math.max(0, Math.min(1, 0.5 + (penMm / 2 - off) / RASTER_MM));
        data[row * columns + column] = Math.max(data[row * columns + column] ?? 0, ink);
      }
  });
  return { data, columns, rows };
}

/** Renders one of the made pictures: perspective, a table darker than the paper, a shadow across, uneven light, blur and grain. */
export function madePicture(index: number): MadePicture {
  const made = MADE_PICTURES[index % MADE_PICTURES.length] as Made;
  const [width, depth] = made.sheet;
  const { outline: truth, acrossMm, deepMm } = outlineOf(made.template);
  const [dx, dy] = [(width - acrossMm) / 2 + 9, (depth - deepMm) / 2 - 14];
  const ink = inked(
    flatten(truth, 0.05).map((p) => ({ x: p.x + dx, y: p.y + dy })),
    width,
    depth,
    made.penMm,
  );
  const sheet = sheetCorners({ width, depth });
  const toSheet = homography(made.corners, sheet);
  const random = seededRandom(made.seed);
  const data = new Uint8Array(SIZE.width * SIZE.height);
  for (let y = 0; y < SIZE.height; y++)
    for (let x = 0; x < SIZE.width; x++) {
      // Four looks at each pixel soften its edges as a lens does.
      let light = 0;
      for (const [ox, oy] of [
        [0.25, 0.25],
        [0.75, 0.25],
        [0.25, 0.75],
        [0.75, 0.75],
      ] as const) {
        const p = toSheet ? mapPoint(toSheet, { x: x + ox - 0.5, y: y + oy - 0.5 }) : { x: -1, y: -1 };
        const on = p.x >= 0 && p.y >= 0 && p.x <= width && p.y <= depth;
        const cell = on ? Math.min(ink.rows - 1, Math.floor(p.y / RASTER_MM)) * ink.columns + Math.min(ink.columns - 1, Math.floor(p.x / RASTER_MM)) : -1;
        light += on ? 232 - 190 * (ink.data[cell] ?? 0) : 82 + 10 * Math.sin(x / 23) * Math.sin(y / 31);
      }
      // Light falls off to one side, and an arm's shadow lies across.
      const uneven = 0.82 + 0.18 * (x / SIZE.width) * (1 - (0.3 * y) / SIZE.height);
      const arm = Math.abs(x * 0.5 + y - 900) < 130 ? 0.86 : 1;
      data[y * SIZE.width + x] = Math.max(0, Math.min(255, Math.round((light / 4) * uneven * arm + (random() - 0.5) * 16)));
    }
  return { picture: { ...SIZE, data }, corners: made.corners, sheetWidthMm: width, sheetDepthMm: depth, truth };
}
