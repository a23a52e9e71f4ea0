import { pictureQuerySchema, readWith } from '@yardland/core';
import { MADE_PICTURES } from '@yardland/core/trace';
import { Router } from 'express';
import { check } from '../http/refusal';
import type { Workers } from '../workers/workers';

/** The simulated camera: takes made pictures of traced sheets in turn, or one of a cloth, with perspective, uneven light and grain. Each is made once and kept. */
export function cameraRoutes(workers: Workers): Router {
  const taken = new Map<number | 'cloth', Promise<Uint8Array>>();
  const router = Router();
  router.get('/picture', async (request, response) => {
    const asked = check(pictureQuerySchema, request.query, readWith);
    const shot = asked.of === 'cloth' ? 'cloth' : (asked.shot ?? 0) % MADE_PICTURES.length;
    const kept = taken.get(shot) ?? workers.photograph(shot);
    taken.set(shot, kept);
    response.setHeader('X-Simulated', 'yes');
    response.type('jpeg').send(Buffer.from(await kept));
  });
  return router;
}
