import { outlineBounds, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import type { Skin, SkinRun } from '../skin';
import type { Column } from './column';
import { PartBuilder, type SolidPart } from './solid';

export interface BandAsk {
  readonly columns: readonly Column[];
  readonly skin: Skin;
  readonly roundMm: number;
  readonly rowMm: number;
  readonly mostRows: number;
  readonly partsOf: (piece: string) => readonly { readonly id: string; readonly sewn: Outline }[];
  readonly materialOf: (piece: string) => string;
  readonly asCut: (piece: string, p: Point) => Point;
}

/** A run of a piece that was cut in parts as runs of its parts, divided where they are joined. */
function dividedRun(run: SkinRun, partsOf: BandAsk['partsOf']): SkinRun[] {
  const parts = partsOf(run.piece);
  if (!parts.length) return [run];
  const [lowerLeft, lowerRight, upperRight, upperLeft] = run.corners;
  const wide = lowerRight.x - lowerLeft.x;
  return parts.flatMap(({ id, sewn }) => {
    const { minX, maxX } = outlineBounds(sewn);
    const [from, to] = [Math.max(minX, lowerLeft.x), Math.min(maxX, lowerRight.x)];
    if (to - from < 1e-6) return [];
    const at = (x: number): number => run.fromMm + ((run.toMm - run.fromMm) * (x - lowerLeft.x)) / wide;
    return [
      {
        ...run,
        piece: id,
        fromMm: at(from),
        toMm: at(to),
        corners: [
          { x: from, y: lowerLeft.y },
          { x: to, y: lowerRight.y },
          { x: to, y: upperRight.y },
          { x: from, y: upperLeft.y },
        ] as const,
      },
    ];
  });
}

/** Where on its piece a place of a run lies: `mm` round the rim, at a share of the height. */
function onRun({ fromMm, toMm, low, high, corners: [a, b, c, d] }: SkinRun, mm: number, share: number): Point {
  const t = (mm - fromMm) / (toMm - fromMm);
  const s = (share - low) / (high - low);
  const between = (p: Point, q: Point, by: number): Point => ({ x: p.x + (q.x - p.x) * by, y: p.y + (q.y - p.y) * by });
  return between(between(a, b, t), between(d, c, t), s);
}

/** Shares of the height that the band's rows lie at: even ones, and every edge of a run. */
function rowsOf(runs: readonly SkinRun[], heightMm: number, rowMm: number, mostRows: number): number[] {
  const count = Math.max(2, Math.min(mostRows, Math.ceil(heightMm / rowMm)));
  const edges = runs.flatMap(({ low, high }) => [low, high]);
  const even = Array.from({ length: count + 1 }, (_, k) => k / count).filter(
    (share) => share === 0 || share === 1 || edges.every((edge) => Math.abs(edge - share) > 0.4 / count),
  );
  return [...new Set([...even, ...edges])].sort((a, b) => a - b).filter((share, i, all) => i === 0 || share - (all[i - 1] as number) > 1e-6);
}

/** The band round the cushion, each piece of it a part of the solid. */
export function bandParts({ columns, skin, roundMm, rowMm, mostRows, partsOf, materialOf, asCut }: BandAsk): SolidPart[] {
  const highest = Math.max(...columns.map(({ fullMm }) => fullMm));
  if (highest <= 0) return [];
  const runs = skin.band.flatMap((run) => dividedRun(run, partsOf));
  const rows = rowsOf(runs, highest, rowMm, mostRows);
  const builders = new Map<string, PartBuilder>();
  const fallback: SkinRun = {
    piece: skin.upper.plates.at(-1)?.piece ?? '',
    fromMm: 0,
    toMm: roundMm,
    low: 0,
    high: 1,
    corners: [
      { x: 0, y: 0 },
      { x: roundMm, y: 0 },
      { x: roundMm, y: highest },
      { x: 0, y: highest },
    ],
  };
  /** The run that a place belongs to, and the place measured the way that run is. */
  const runAt = (mm: number, share: number): { readonly index: number; readonly run: SkinRun; readonly turn: number } => {
    let best = { index: -1, run: fallback, turn: 0, off: Infinity };
    runs.forEach((run, index) => {
      const turn = Math.floor((run.toMm - 1e-9 - mm) / roundMm) * roundMm;
      const at = mm + turn;
      const off = Math.max(0, run.fromMm - at, at - run.toMm) + highest * Math.max(0, run.low - share, share - run.high);
      if (off < best.off) best = { index, run, turn, off };
    });
    return best;
  };
  const vertexAt = ({ rim: { at, outward }, lowZ, highZ, bulgeMm }: Column, row: number, i: number) => {
    const share = rows[row] as number;
    const out = bulgeMm * 4 * share * (1 - share);
    // The same sums as the faces' edges, so that seams meet to the last digit.
    const z = row === 0 ? lowZ : row === rows.length - 1 ? highZ : lowZ + (highZ - lowZ) * share;
    return { key: `${i}/${row}`, place: { x: at.x + outward.x * out, y: at.y + outward.y * out, z }, share: share };
  };
  columns.forEach((left, i) => {
    const j = (i + 1) % columns.length;
    const right = columns[j] as Column;
    const [from, to] = [left.rim.mm, j === 0 ? roundMm : right.rim.mm];
    for (let row = 0; row + 1 < rows.length; row++) {
      const { index, run, turn } = runAt((from + to) / 2, ((rows[row] as number) + (rows[row + 1] as number)) / 2);
      let builder = builders.get(run.piece);
      if (!builder) {
        builder = new PartBuilder({ id: `${run.piece}:band`, piece: run.piece, kind: 'cover', material: materialOf(run.piece) });
        builders.set(run.piece, builder);
      }
      const put = (column: Column, at: number, n: number, mm: number): number => {
        const { key, place } = vertexAt(column, at, n);
        // Shares of the piece are of the whole height, also where the face falls away before it.
        const { lowZ, highZ, fullMm } = column;
        const whole = fullMm > 0 && column.bulgeMm === 0 ? (lowZ + (highZ - lowZ) * (rows[at] as number)) / fullMm : (rows[at] as number);
        const on = asCut(run.piece, onRun(run, mm + turn, whole));
        return (builder as PartBuilder).vertex(`${key}/${index}/${mm + turn}`, place, on.x, on.y);
      };
      const [a, b, c, d] = [put(left, row, i, from), put(right, row, j, to), put(right, row + 1, j, to), put(left, row + 1, i, from)];
      builder.triangle(a, b, c);
      builder.triangle(a, c, d);
    }
  });
  return [...builders.values()].filter(({ empty }) => !empty).map((builder) => builder.part());
}
