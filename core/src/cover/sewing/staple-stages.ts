import { stageLine, type Stage, type StageLine } from '../../piece/stage';

/** The edge of a board across, cloth turned under and stapled: so far in from the edge, with so much left beyond the staples. */
export function turnedUnder(inMm: number, holdMm: number): readonly Stage[] {
  const thick = inMm * 0.8;
  const g = inMm * 0.14;
  const board = stageLine('board', [0, 0], [-3 * inMm, 0], [-3 * inMm, thick], [0, thick]);
  const foam = stageLine('foam', [0, thick], [-3 * inMm, thick], [-3 * inMm, 3 * thick], [0, 3 * thick]);
  const end = inMm + holdMm;
  return [
    { words: 'drawn over the edge', lines: [foam, board, stageLine('cloth', [-3 * inMm, 3 * thick + g], [g, 3 * thick + g], [g, -end])] },
    {
      words: 'turned under and stapled along the line',
      lines: [
        foam,
        board,
        stageLine('cloth', [-3 * inMm, 3 * thick + g], [g, 3 * thick + g], [g, -g], [-end, -g]),
        stageLine('staple', [-inMm, thick * 0.6], [-inMm, -2 * g]),
      ],
    },
  ];
}

const DEGREE = Math.PI / 180;
/** The round of a frame is drawn as a quarter of a circle, its radius so many times what is turned under. */
const ROUND = 4;

/** The round of a frame from below: the cloth turned under by `inMm` with `holdMm` beyond the staples, its fullness halved and halved again until `count` small pleats lie. */
export function pleatStages(inMm: number, holdMm: number, count: number): readonly Stage[] {
  const radius = ROUND * inMm;
  const at = (r: number, degrees: number): [number, number] => [r * Math.cos(degrees * DEGREE), r * Math.sin(degrees * DEGREE)];
  const sweep = (radiusAt: (degrees: number) => number): [number, number][] => Array.from({ length: 46 }, (_, i) => at(radiusAt(i * 2), i * 2));
  const inner = radius - inMm - holdMm * 0.6;
  const board = stageLine('board', [0, 0], ...sweep(() => radius));
  const staple = (degrees: number): StageLine => stageLine('staple', at(radius - inMm - inMm * 0.12, degrees), at(radius - inMm + inMm * 0.12, degrees));
  const pleats = Array.from({ length: count }, (_, i) => (90 * (i + 1)) / (count + 1));
  const width = 90 / (count + 1) / 4;
  return [
    {
      words: 'stapled on both sides of the round; the fullness stands between',
      lines: [board, stageLine('cloth', ...sweep((degrees) => inner + inMm * 0.3 * Math.sin(degrees * 4 * DEGREE) ** 2)), staple(2), staple(88)],
    },
    {
      words: `halved and halved again: ${count === 1 ? 'one small pleat' : `${count} small pleats`}, none past the edge`,
      lines: [
        board,
        stageLine('cloth', ...sweep(() => inner)),
        ...pleats.flatMap((degrees) => [
          stageLine('cloth', at(inner, degrees - width), at(radius - inMm * 0.25, degrees), at(inner, degrees + width)),
          staple(degrees),
        ]),
        staple(2),
        staple(88),
      ],
    },
  ];
}
