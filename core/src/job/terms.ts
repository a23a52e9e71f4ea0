// The closed lists of words that a job's document is made of, and its limits. Apart from its schema, so that a list of choices can be shown without it.
import { DECKS } from '../filling/under-and-over';

/** The format that documents are written in now. */
export const JOB_FORMAT = 'yardland/job@4' as const;

export const JOB_STATES = ['new', 'waiting-for-foam', 'cutting', 'sewing', 'ready', 'delivered'] as const;
export const SUPPORTS = DECKS;
export const PARTS = ['seat', 'back', 'mattress', 'pillow'] as const;
export const FEELS = ['soft', 'medium', 'firm'] as const;
export const USES = ['daily', 'regular', 'occasional'] as const;
/** `covered`: out of doors, under a roof. */
export const PLACES = ['indoor', 'covered', 'outdoor', 'damp'] as const;

/** Out of doors, under a roof or not: what gets wet there must dry. */
export const isOutdoors = (place: (typeof PLACES)[number] | undefined): boolean => place === 'outdoor' || place === 'covered';

/** Where a seat is used, as fire rules see it. */
export const FIRE_SETTINGS = ['home', 'public', 'marine', 'rail', 'care'] as const;

/** What is judged on a dressed cushion without a tape; the first of each is as it should be. */
export const CORNERS = ['full', 'soft', 'empty'] as const;
export const WELT_LIES = ['on-the-edge', 'rolls-over', 'wavy'] as const;
export const THUMB = ['taut', 'slack', 'hard'] as const;
export const IN_SEAT = ['fits', 'tight', 'gap'] as const;

/** Cushions of one job, all kinds together: a theatre's stalls are hundreds. */
export const MOST_CUSHIONS = 2000;

/** Layers that a core has at most. */
export const MOST_LAYERS = 8;

/** Largest job file that is read, characters. */
export const JOB_TEXT_LIMIT = 2_000_000;
