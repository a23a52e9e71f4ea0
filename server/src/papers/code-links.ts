import { Router } from 'express';
import { notFound } from '../http/refusal';
import type { JobStore } from '../jobs/jobs.store';
import type { Reached } from '../tls/trust.routes';

/** So many characters of a job's id stand in a code: short enough for a label, and one of four thousand million. */
const ID_LETTERS = 8;
const PLACES = 'q';

/** The address of a job as the codes on its papers have it; null where no other device reaches the server. */
export const codeLink = ({ address }: Reached, id: string): string | null => (address === null ? null : `${address}/${PLACES}/${id.slice(0, ID_LETTERS)}`);

/**
 * Where a code leads: `/q/JOB/CUSHION/bench` to a station, `/q/JOB/CUSHION/s/STEP` to a step at the bench, `/q/JOB/CUSHION/p/PIECE` to what is done next with a piece. Codes are in capitals.
 */
export function codeRoutes(jobs: JobStore): Router {
  const router = Router();
  router.get('/:job/:cushion/*place', (request, response) => {
    const { job, cushion, place } = request.params as { readonly job: string; readonly cushion: string; readonly place: readonly string[] };
    const id = jobs.byFirst(job.toLowerCase());
    if (id === null || !/^\d{1,3}$/.test(cushion)) throw notFound('job of this code');
    const [kind = '', ...rest] = place.map((part) => part.toLowerCase());
    const named = encodeURIComponent(rest.join('/'));
    const to = kind === 's' || kind === 'p' ? `bench?at=${named}` : encodeURIComponent(kind);
    response.redirect(302, `/jobs/${id}/${cushion}/${to}`);
  });
  return router;
}
