/** Words of the quick line that several constructions share, each with the choice it stands for. */

/** A welted edge, or a plain seam. */
export const EDGE_CHOICE_WORDS = {
  welt: { edge: 'welt' },
  welted: { edge: 'welt' },
  piped: { edge: 'welt' },
  piping: { edge: 'welt' },
  plain: { edge: 'plain' },
} as const;

export const ZIP_CHOICE_WORDS = { zip: { closing: 'zip' }, zipped: { closing: 'zip' } } as const;

export const HAND_CHOICE_WORDS = { hand: { closing: 'hand' }, 'by-hand': { closing: 'hand' }, 'hand-closed': { closing: 'hand' } } as const;

export const HOOK_CHOICE_WORDS = { 'hook-and-loop': { closing: 'hook-and-loop' } } as const;
