/** How somebody sits. */
export const POSTURES = ['upright', 'reclined', 'lying'] as const;

/** What a cushion lies on. */
export const DECKS = ['board', 'folding-bed', 'webbing', 'springs'] as const;
export type Deck = (typeof DECKS)[number];
