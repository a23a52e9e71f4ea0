import { type LayWay, type SayIn, formatLengthUnit } from '@yardland/core';

/** The ways to cut strips on the bias. */
export const BIAS_WORDS = {
  block: 'Bias strips from blocks',
  across: 'Bias strips from selvedge to selvedge',
  tube: 'Bias from a tube, cut round and round',
} as const;

/** A way to lay the same set, as it is compared with others; `railroaded`: the cloth lies so now. */
export function wayWords(way: LayWay, railroaded: boolean, { units, step }: SayIn): string {
  switch (way.kind) {
    case 'as-it-is':
      return 'As it is now';
    case 'turned':
      return railroaded ? 'Up the roll' : 'Railroaded';
    case 'width':
      return `Cloth ${formatLengthUnit(way.widthMm, units, step)} wide`;
    case 'bias':
      return BIAS_WORDS[way.way];
    case 'pattern':
      return way.matched ? 'Pattern matched' : 'Pattern not matched';
    case 'motif':
      return `${way.cushion}${way.piece === null ? '' : `, ${way.piece}`} ${way.matched ? 'matched again' : 'not matched'}`;
    case 'straight-welt':
      return 'Welt cut straight';
    case 'boxing':
      return way.strips === 'along' ? 'Boxing along the roll' : 'Boxing across the roll';
    case 'one-by-one':
      return 'Each kind of cushion by itself';
    case 'wrap':
      return way.wrap;
  }
}
