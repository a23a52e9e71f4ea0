import type { RawJob } from './raw-job';

/** Shipped schools whose rows were corrected when format 3 came in. */
const CORRECTED: ReadonlySet<unknown> = new Set(['measured-over-the-wrap', 'full-block', 'sprung-and-snug', 'deck-tight']);

/** Format 2 knew one edition of each school. A cushion that named one which has been corrected since keeps the numbers it was made by, and says so. */
export function schoolsByEdition(job: RawJob): RawJob {
  const { cushions } = job;
  return Array.isArray(cushions) ? { ...job, cushions: cushions.map(pinned) } : job;
}

function pinned(cushion: unknown): unknown {
  return typeof cushion === 'object' && cushion !== null && 'school' in cushion && CORRECTED.has(cushion.school) ? { ...cushion, schoolEdition: 1 } : cushion;
}
