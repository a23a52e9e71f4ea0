import { stageLine, type Stage, type StageLine } from '../../piece/stage';

/** Share of the allowance that is left beside a seam where the bulk is trimmed. */
const LEFT = 0.5;
/** Where the cut across the point runs, in allowances from the stitch. */
const POINT = 0.35;

/**
 * The corner of a seam inside out, its allowance `seamMm` on both sides, and the bulk trimmed in three cuts: along one allowance, along the other, across the point.
 * The stitch's corner is the origin, the cushion below and to the left of it.
 */
export function threeCutsStages(seamMm: number): readonly Stage[] {
  const s = seamMm;
  const reach = 5 * s;
  const taper = 3 * s;
  const stitch: StageLine[] = [stageLine('stitch', [-reach, 0], [0, 0]), stageLine('stitch', [0, 0], [0, -reach])];
  const whole = stageLine('cloth', [-reach, s], [s, s], [s, -reach]);
  const first = stageLine('cloth', [-reach, s], [-taper, s], [-taper + s, LEFT * s], [s, LEFT * s], [s, -reach]);
  const second = stageLine('cloth', [-reach, s], [-taper, s], [-taper + s, LEFT * s], [LEFT * s, LEFT * s], [LEFT * s, -taper + s], [s, -taper], [s, -reach]);
  const point = POINT * s;
  const third = stageLine(
    'cloth',
    [-reach, s],
    [-taper, s],
    [-taper + s, LEFT * s],
    [point - LEFT * s, LEFT * s],
    [LEFT * s, point - LEFT * s],
    [LEFT * s, -taper + s],
    [s, -taper],
    [s, -reach],
  );
  return [
    { words: 'first cut, along one allowance', lines: [whole, ...stitch, stageLine('cut', [-taper, s], [-taper + s, LEFT * s], [s, LEFT * s])] },
    { words: 'second cut, along the other', lines: [first, ...stitch, stageLine('cut', [s, -taper], [LEFT * s, -taper + s], [LEFT * s, LEFT * s])] },
    {
      words: 'third cut, across the point, never into the stitch',
      lines: [second, ...stitch, stageLine('cut', [point - LEFT * s, LEFT * s], [LEFT * s, point - LEFT * s])],
    },
    { words: 'trimmed: no bulk is left to turn', lines: [third, ...stitch] },
  ];
}

/** A cover flat and folded in half on its centre line, both halves edge on edge. */
export function halvesStages(widthMm: number, depthMm: number): readonly Stage[] {
  const [half, d] = [widthMm / 2, depthMm];
  const out = widthMm * 0.012;
  return [
    {
      words: 'flat, its centre line marked',
      lines: [stageLine('cloth', [-half, 0], [half, 0], [half, d], [-half, d], [-half, 0]), stageLine('fold', [0, 0], [0, d])],
    },
    {
      words: 'folded on it: every edge lies on its twin',
      lines: [
        stageLine('cloth', [0, 0], [half, 0], [half, d], [0, d]),
        stageLine('cloth', [0, out], [half - out, out], [half - out, d - out], [0, d - out]),
        stageLine('fold', [0, 0], [0, d]),
      ],
    },
  ];
}
