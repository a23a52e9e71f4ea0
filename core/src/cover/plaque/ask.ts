import type { Figure } from '../../kernel/figure';
import type { Mark } from '../../piece/piece';

/** One strip, folded, seamed and slit; two strips folded in half; a narrow and a wide one that laps over the zip; two that overlap for hook and loop. */
export const PLAQUES = ['slit', 'folded', 'lapped', 'hook-and-loop'] as const;
export type PlaqueKind = (typeof PLAQUES)[number];

/** What a plaque is made from. */
export interface PlaqueAsk {
  readonly kind: PlaqueKind;
  /** Of the plaque between its joins, and what is cut beyond it at each end. */
  readonly opening: Figure;
  readonly end: Figure;
  /** Height of the band as sewn, and the allowances of its two seams. */
  readonly height: Figure;
  readonly lower: Figure;
  readonly upper: Figure;
  /** Allowance of a join in the plaque. */
  readonly seam: Figure;
  /** Width of the zip's tape, or of the hook and loop. */
  readonly zipWidth: Figure;
  /** Of a lapped plaque: how high its teeth lie above the lower seam. */
  readonly teeth: Figure;
  /** From the teeth to a strip's edge, of the lap beyond the teeth, and turned in along the zip. */
  readonly gap: Figure;
  readonly lap: Figure;
  readonly turnIn: Figure;
  /** Longest strip the cloth gives, mm. */
  readonly stripMm: number;
  readonly trimOffMm: number;
  /** Of leather or vinyl: a slit strip is cut along its fold and stuck down, because a basted seam would leave its holes. */
  readonly unbasted?: boolean;
  /** Notches of the plates along it, mm from the opening's left end, and where joins of the plates lie over it. */
  readonly places?: PlaquePlaces;
}

/** What a plaque has opposite it on the plates. */
export interface PlaquePlaces {
  readonly notches: readonly (readonly [Mark['kind'], number])[];
  readonly under: readonly number[];
}
