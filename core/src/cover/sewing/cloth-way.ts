import { showsHoles, type ClothNature } from '../../material/material';
import type { Tool } from '../../piece/operation';
import type { PlaqueKind } from '../plaque/ask';

/** What is cut of a cover, in the construction's words. */
export interface CuttingWords {
  /** Strips that are cut first, along the edge of the roll. */
  readonly strips?: string;
  /** Everything else. */
  readonly rest: string;
  /** A word on how the nap lies on it, for cloth that has one. */
  readonly nap?: string;
  readonly notch: string;
}

/** How the pieces of a cover are cut, by what it is of: woven cloth by its grain and nap, vinyl along the roll, leather where the hide is good. `ofOthers`: some are of another cloth. */
export function cuttingText({ strips, rest, nap }: CuttingWords, { kind }: Pick<ClothNature, 'kind'>, ofOthers: boolean): string {
  const first = (along: string): string => (strips === undefined ? `Cut ${rest}` : `Cut ${strips} first along ${along}, then ${rest}`);
  switch (kind) {
    case 'woven':
      return `Square the end of the cloth. ${first('the selvedge')}${nap === undefined ? '' : `, ${nap}`}; grain and nap one way.`;
    case 'vinyl':
      return `Square the end of the vinyl. ${first('the edge of the roll')}, all one way. Mark on the wrong side, in the allowance.`;
    case 'leather':
      return `Find the place of each piece on the hide: what is seen on the good back, clear of flaws. Mark round them on the wrong side; cut ${rest}${strips === undefined ? '' : `, then ${strips}`}.${ofOthers ? ' What is of another cloth is cut from that.' : ''}`;
  }
}

/** How what is sewn is made flat: woven cloth is pressed; leather, vinyl and cloth that an iron would mark are worked with a roller. */
export const flattened = ({ pressable }: Pick<ClothNature, 'pressable'>, what: string): string =>
  pressable ? `press ${what}` : `work ${what} flat with a seam roller`;

/** What it takes to flatten a seam that an iron would mark. */
export const rollerFor = ({ pressable }: Pick<ClothNature, 'pressable'>): readonly Tool[] => (pressable ? [] : ['seam roller']);

/** What making up a plaque takes beyond the everyday tools: only the basted seam of a slit strip is laid open. */
export const plaqueTools = (kind: PlaqueKind, cloth: Pick<ClothNature, 'kind' | 'pressable'>): readonly Tool[] =>
  kind === 'slit' && !showsHoles(cloth) ? rollerFor(cloth) : [];

/** The end of a sentence on dressing: cloth is steamed, leather and vinyl are not. */
export const steamed = (cloth: Pick<ClothNature, 'kind'>): string => (showsHoles(cloth) ? '.' : ', steam.');

/** How each plaque is made up; `{0}` is the tape. A slit strip of leather or vinyl has no basted seam: it is cut along its fold and its edges are stuck down. */
export function plaqueText(kind: PlaqueKind, cloth: Pick<ClothNature, 'kind' | 'pressable'>): string {
  switch (kind) {
    case 'slit':
      return showsHoles(cloth)
        ? 'Make up the zip plaque: cut the strip along its fold line, turn each edge under by half the zip’s width and stick it down, lay both edges over the zip of {0}, the teeth between them, and sew a row along each the same way, across the ends too.'
        : `Make up the zip plaque: fold the strip right sides in, seam at half the zip’s width with the longest stitch, slit the fold, ${cloth.pressable ? 'press open' : 'open the seam with a seam roller'}, centre the zip of {0} over it, sew both rows the same way, cross the ends, and unpick the long stitch.`;
    case 'folded':
      return 'Make up the zip plaque: fold both strips in half, butt their folds over the zip of {0}, and sew a row along each fold.';
    case 'lapped':
      return 'Make up the zip plaque: join the narrow strip to one side of the zip of {0} and the wide one to the other, fold the wide one over the teeth and top-stitch the lap.';
    case 'hook-and-loop':
      return 'Turn both closing strips in, and sew hook to the one and loop to the other, {0} each, two rows each; lay the loop side over the hook side.';
  }
}
