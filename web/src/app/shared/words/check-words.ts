import type { CHECK_TOLERANCE, CORNERS, IN_SEAT, Meaning, THUMB, WELT_LIES, LookKind } from '@yardland/core';

/** Where each measure is taken: the letter on the drawing, and its words. */
export const PLACES: Record<keyof typeof CHECK_TOLERANCE, { readonly letter: string; readonly words: string }> = {
  widthMm: { letter: 'A', words: 'Wide' },
  depthMm: { letter: 'B', words: 'Deep' },
  edgeMm: { letter: 'C', words: 'High at the edge' },
  middleMm: { letter: 'D', words: 'High in the middle' },
};

const options = <T extends string>(words: Record<T, string>): readonly { readonly value: T; readonly name: string }[] =>
  (Object.keys(words) as T[]).map((value) => ({ value, name: words[value] }));
export const CORNER_OPTIONS = options<(typeof CORNERS)[number]>({ full: 'full', soft: 'soft', empty: 'empty' });
export const WELT_OPTIONS = options<(typeof WELT_LIES)[number]>({ 'on-the-edge': 'on the edge', 'rolls-over': 'rolls over', wavy: 'wavy' });
export const THUMB_OPTIONS = options<(typeof THUMB)[number]>({ taut: 'taut', slack: 'slack', hard: 'hard' });
export const SEAT_OPTIONS = options<(typeof IN_SEAT)[number]>({ fits: 'fits', tight: 'tight', gap: 'leaves a gap' });

/** A finding in words: what it means, what to do to this cushion, what to change for the next, and the station where that is. */
export interface MeaningWords {
  readonly means: string;
  readonly now: string;
  readonly next: string;
  readonly station: 'template' | 'build' | 'filling' | 'cover' | 'bench' | null;
}

type Length = (mm: number) => string;

/** What each finding says; in `length`, in the job's units, what it measured. */
const MEANINGS: { readonly [C in Meaning['code']]: (meaning: Extract<Meaning, { readonly code: C }>, length: Length) => MeaningWords } = {
  'as-promised': () => ({ means: 'As promised.', now: 'Nothing to do.', next: 'Keep the school’s numbers.', station: null }),
  larger: ({ mm }, length) => ({
    means: `Both ways larger than it was sewn by about ${length(mm)}: the seams were sewn ${length(mm / 2)} shallow, or the cloth gives.`,
    now: 'If it feels slack, put loose wadding into the corners and along the edges.',
    next: 'Measure a seam. If it is right, the cloth gives: a school that takes more off the plates.',
    station: 'build',
  }),
  smaller: ({ mm }, length) => ({
    means: `Both ways smaller than it was sewn by about ${length(mm)}: the seams were sewn ${length(mm / 2)} deep, or the filling draws the faces up.`,
    now: 'Knead the filling out to the seams; if it bows, take wadding out of the middle.',
    next: 'Measure a seam. If it is right, cut the plates for the crown, or choose a roomier school.',
    station: 'build',
  }),
  'one-way': ({ mm, place, over }, length) => ({
    means: `Only the ${place === 'widthMm' ? 'width' : 'depth'} is ${length(mm)} ${over ? 'over' : 'under'}: a plate cut or sewn wrong that way, or cloth that gives along one thread.`,
    now: 'Nothing, where it fits the seat.',
    next: 'Measure the plate that was cut against its size on the ticket before the next one is cut.',
    station: 'bench',
  }),
  'edge-high': ({ mm }, length) => ({
    means: `The edge stands ${length(mm)} higher than the boxing was sewn: its seams are shallow, or the wrap pushes it out.`,
    now: 'Steam the sides and work the seams back over the edge.',
    next: 'Measure the boxing between its seams. If it is right, less wrap at the sides.',
    station: 'build',
  }),
  'edge-low': ({ mm }, length) => ({
    means: `The edge is ${length(mm)} lower than the boxing was sewn: the faces pull the boxing over, or the edge of the core is soft.`,
    now: 'Push loose wadding along the edge, under the welt.',
    next: 'A firmer bottom layer, or wrap round the sides.',
    station: 'filling',
  }),
  prouder: ({ mm }, length) => ({
    means: `The middle stands ${length(mm)} prouder than was predicted: the filling is firmer or thicker than assumed.`,
    now: 'Leave it a week under use: new wrap settles.',
    next: 'Test the foam at the gauges; a thinner wrap or a softer top layer brings it down.',
    station: 'filling',
  }),
  flatter: ({ mm }, length) => ({
    means: `The middle is ${length(mm)} flatter than was predicted: the filling gives way more than assumed.`,
    now: 'A pad of wadding on the middle, under the wrap.',
    next: 'Test the foam at the gauges; a crown pad, or a firmer top layer.',
    station: 'build',
  }),
  twisted: ({ mm }, length) => ({
    means: `The plates are twisted against each other by ${length(mm)}: corners were not carried over the boxing.`,
    now: 'Open the seam that closes the cover from one corner to the next, and set the plate to its notches.',
    next: 'Carry every corner square over the boxing before the second plate goes on; pin each notch first.',
    station: 'bench',
  }),
  'corners-soft': () => ({
    means: 'The corners are soft.',
    now: 'Loose wadding into each corner, a handful at a time.',
    next: 'Wrap that goes round the corners, or corners taken off the plates.',
    station: 'build',
  }),
  'corners-empty': () => ({
    means: 'The corners are empty: the core does not reach them.',
    now: 'Loose wadding into each corner until it stands by itself.',
    next: 'A core cut larger by the school, wrap over the sides, or rounder corners.',
    station: 'build',
  }),
  'welt-rolls': () => ({
    means: 'The welt rolls off the edge.',
    now: 'Work it back with the fingers and steam it through a cotton cloth.',
    next: 'Seams to the boxing, the fastening row nearer to the cord; a tauter boxing holds it up.',
    station: 'cover',
  }),
  'welt-wavy': () => ({
    means: 'The welt is wavy: it was eased in, or the strip was stretched as it was covered.',
    now: 'Nothing that lasts; steam helps a little.',
    next: 'Sew it on without pulling, clip it at the corners; on straight edges cut it with the threads.',
    station: 'cover',
  }),
  slack: () => ({
    means: 'It is slack under the thumb.',
    now: 'More wrap, or loose wadding at the edges.',
    next: 'A school that makes the cover tighter, or more wrap: Build shows how tight each is.',
    station: 'build',
  }),
  hard: () => ({
    means: 'It is hard under the thumb: the cover is tighter than the filling likes.',
    now: 'Leave it: it gives in use. Watch that it does not bow.',
    next: 'A school that makes the cover looser, or less wrap: Build shows how tight each is.',
    station: 'build',
  }),
  'tight-in-seat': () => ({
    means: 'It is tight in its seat.',
    now: 'Less wadding at the sides, and steam.',
    next: 'Measure the seat again at three places; the smallest one is the seat.',
    station: 'template',
  }),
  'gap-in-seat': () => ({
    means: 'It leaves a gap in its seat.',
    now: 'Wadding at the sides fills a little; a shim behind the back cushion hides the rest.',
    next: 'Lay paper in the seat again; the school may take too much off for this core.',
    station: 'template',
  }),
};

/** What a finding says. `length` writes a length in the job's units. */
export function meaningWords<C extends Meaning['code']>(meaning: Extract<Meaning, { readonly code: C }>, length: Length): MeaningWords {
  const say: (meaning: Extract<Meaning, { readonly code: C }>, length: Length) => MeaningWords = MEANINGS[meaning.code as C];
  return say(meaning, length);
}

/** What a look on the bench is at, in a word. */
export const LOOK_WORDS: Record<LookKind, string> = {
  corners: 'corners',
  opposite: 'corners not opposite',
  pleats: 'pleats caught',
  'plaque-join': 'plaque’s join',
  ties: 'ties',
  welt: 'welt',
  halves: 'halves unlike',
};
