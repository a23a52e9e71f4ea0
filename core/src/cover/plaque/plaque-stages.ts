import { stageLine, type Stage } from '../../piece/stage';
import type { PlaqueAsk } from './ask';

/** Layers are drawn this share of the band's height apart. */
const LAYER = 0.14;
/** The rows beside the teeth lie a quarter of the zip's width from them: half of what the tape has on each side. */
const ROW = 0.25;

/** A plaque across, as it is made up: before and after each fold and slit. The lower seam is on the left. None for hook and loop, which is only turned in. */
export function plaqueStages({ kind, height, lower, upper, zipWidth, teeth, gap, lap, turnIn, unbasted }: PlaqueAsk): readonly Stage[] {
  const [h, low, high, zip] = [height.value, lower.value, upper.value, zipWidth.value];
  const g = h * LAYER;
  const row = zip * ROW;
  const tape = stageLine('zip', [-zip / 2, -2 * g], [zip / 2, -2 * g]);
  const stitch = (x: number, top = g, foot = -3 * g) => stageLine('stitch', [x, top], [x, foot]);
  if (kind === 'slit') {
    const [left, right] = [h / 2 + low, h / 2 + high];
    const open = [stageLine('cloth', [-left, 0], [0, 0], [0, -g], [-zip / 2, -g]), stageLine('cloth', [right, 0], [0, 0], [0, -g], [zip / 2, -g])];
    if (unbasted)
      return [
        { words: 'strip cut along its fold, both edges turned under and stuck down', lines: open },
        { words: 'edges over the zip, a row along each', lines: [...open, tape, stitch(-row), stitch(row)] },
      ];
    return [
      {
        words: 'folded right sides in, seamed at half the zip’s width',
        lines: [stageLine('cloth', [-left, 0], [zip / 2 - g / 2, 0], [zip / 2, g / 2], [zip / 2 - g / 2, g], [-right, g]), stitch(0, 2 * g, -g)],
      },
      { words: 'fold slit, pressed open', lines: [...open, stitch(0, g, -2 * g)] },
      { words: 'zip centred, a row on each side, long stitch out', lines: [...open, tape, stitch(-row), stitch(row)] },
    ];
  }
  if (kind === 'folded') {
    const strip = (outer: number, way: 1 | -1, from: number) =>
      stageLine('cloth', [way * (from + outer), 0], [way * (from + g / 2), 0], [way * from, g / 2], [way * (from + g / 2), g], [way * (from + outer), g]);
    const [left, right] = [h / 2 + low, h / 2 + high];
    return [
      { words: 'both strips folded in half', lines: [strip(left, -1, zip / 2), strip(right, 1, zip / 2)] },
      { words: 'folds butted over the zip, a row along each', lines: [strip(left, -1, 0), strip(right, 1, 0), tape, stitch(-row, 2 * g), stitch(row, 2 * g)] },
    ];
  }
  if (kind === 'lapped') {
    const narrow = stageLine('cloth', [-(low + teeth.value), 0], [-gap.value, 0], [-gap.value, -g], [-gap.value - turnIn.value, -g]);
    const beyond = h - teeth.value + high;
    const flat = stageLine('cloth', [gap.value + turnIn.value, 0], [gap.value, 0], [gap.value, g], [-2 * lap.value - beyond, g]);
    const over = stageLine('cloth', [gap.value + turnIn.value, 0], [-lap.value, 0], [-lap.value - g / 2, g / 2], [-lap.value, g], [beyond, g]);
    return [
      { words: 'each strip sewn to its side of the zip', lines: [narrow, flat, tape, stitch(-row), stitch(row + gap.value)] },
      { words: 'wide strip folded over the teeth, lap top-stitched', lines: [narrow, over, tape, stitch(gap.value + row, 2 * g)] },
    ];
  }
  return [];
}

/** An end of the boxing hemmed and lapped over the plaque's end, mm: turned in by the hem, lapped, closed by a row so far from the fold; where its edges are welted the row stops short of both welts. */
export interface HemmedEnd {
  readonly hemMm: number;
  readonly lapMm: number;
  readonly rowMm: number;
  readonly welted: { readonly heightMm: number; readonly shortMm: number } | null;
}

/** The stages of a hemmed end: across, and flat where its row has to stop short of the welts. */
export function hemmedEndStages({ hemMm, lapMm, rowMm, welted }: HemmedEnd): readonly Stage[] {
  const g = lapMm * LAYER;
  const boxing = stageLine('cloth', [2.4 * lapMm, 0], [0, 0], [-g / 2, -g / 2], [0, -g], [hemMm, -g]);
  const flat = ({ heightMm, shortMm }: { readonly heightMm: number; readonly shortMm: number }): Stage => ({
    words: 'seen flat: the row stops short of the welt at both edges, so that the slider passes',
    lines: [
      stageLine('cord', [-1.4 * lapMm, 0], [2.4 * lapMm, 0]),
      stageLine('cord', [-1.4 * lapMm, heightMm], [2.4 * lapMm, heightMm]),
      stageLine('cloth', [0, 0], [0, heightMm]),
      stageLine('zip', [-1.4 * lapMm, heightMm / 2], [lapMm, heightMm / 2]),
      stageLine('stitch', [rowMm, shortMm], [rowMm, heightMm - shortMm]),
    ],
  });
  return [
    { words: 'end of the boxing turned in', lines: [boxing] },
    {
      words: 'lapped over the end of the plaque, closed by a row',
      lines: [boxing, stageLine('cloth', [-1.4 * lapMm, -2 * g], [lapMm, -2 * g]), stageLine('stitch', [rowMm, g], [rowMm, -3 * g])],
    },
    ...(welted ? [flat(welted)] : []),
  ];
}

/** An end placket across: a piece `longMm` long folded back so that its end lies `shortMm` short of the other, laid over the zip's end between plaque and boxing, which meet at 0. */
export function placketStages(longMm: number, shortMm: number, seamMm: number): readonly Stage[] {
  const g = longMm * LAYER;
  const fold = (longMm - shortMm) / 2;
  const placket = (y: number) =>
    stageLine('cloth', [seamMm, y], [seamMm - (longMm - fold), y], [seamMm - (longMm - fold), y + g], [seamMm - (longMm - fold) + fold, y + g]);
  const up = seamMm;
  return [
    { words: 'folded back, its end short of the other', lines: [placket(0)] },
    {
      words: 'laid over the zip’s end, plaque and boxing sewn together through it',
      lines: [
        placket(0),
        stageLine('zip', [-2 * longMm, -g], [-seamMm, -g]),
        stageLine('cloth', [-2 * longMm, -2 * g], [0, -2 * g], [0, -2 * g - up]),
        stageLine('cloth', [2 * longMm, -2 * g], [g / 3, -2 * g], [g / 3, -2 * g - up]),
        stageLine('stitch', [-g, -2 * g - up / 2], [g, -2 * g - up / 2]),
      ],
    },
  ];
}
