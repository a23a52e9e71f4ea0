import { randomUUID } from 'node:crypto';
import type { Picture } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { raw, Router } from 'express';
import sharp from 'sharp';
import { spaceOf } from '../db/space';
import { notFound, Refusal } from '../http/refusal';
import type { JobStore } from '../jobs/jobs.store';

/** Largest file taken: what a phone's camera makes. */
const FILE_LIMIT = '20mb';
const MOST_PIXELS = 60_000_000;
/** Long enough for mould and cracks to be seen, px on the longer side. */
const KEPT_PX = 1600;
/** Pictures of one job. */
const MOST_OF_A_JOB = 200;
/** Pixels only: a drawing that could carry script or fetch is no picture of foam. */
const FORMATS: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp']);

const notAPicture = (): Refusal =>
  new Refusal(400, { code: 'not-a-picture', path: '', message: 'This is not a picture that can be read: take a JPEG, PNG or WebP of at most 60 megapixels.' });

/** The picture upright, no larger than is kept, as JPEG without anything else that was in its file: place, time, camera. */
async function cleaned(file: Buffer): Promise<{ readonly data: Buffer; readonly width: number; readonly height: number }> {
  try {
    const image = sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { format } = await image.metadata();
    if (!FORMATS.has(format)) throw notAPicture();
    const { data, info } = await image
      .rotate()
      .resize({ width: KEPT_PX, height: KEPT_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    return { data, width: info.width, height: info.height };
  } catch {
    throw notAPicture();
  }
}

/** Pictures of old cores and checks: posted to their job as the bare file, read by id. */
export function pictureRoutes(db: Database, jobs: JobStore, limitBytes: number): Router {
  // The limit is part of the write, so that pictures that come at once cannot pass it together.
  const put = db.prepare(`INSERT INTO picture (id, job_id, width, height, jpeg, created_at)
    SELECT @id, @job, @width, @height, @data, @at WHERE (SELECT COUNT(*) FROM picture WHERE job_id = @job) < ${MOST_OF_A_JOB}`);
  const read = db.prepare<[string], { jpeg: Buffer }>('SELECT jpeg FROM picture WHERE id = ?');

  const router = Router();
  router.post('/jobs/:id/pictures', raw({ type: 'image/*', limit: FILE_LIMIT }), async (request, response) => {
    const { id: jobId } = jobs.readText(String(request.params['id']));
    if (!Buffer.isBuffer(request.body) || request.body.length === 0) throw notAPicture();
    if (spaceOf(db, limitBytes).full)
      throw new Refusal(507, {
        code: 'database-full',
        path: '',
        message: 'The shop’s database has reached its limit: no more pictures are taken. Jobs are still kept.',
      });
    const { data, width, height } = await cleaned(request.body);
    const picture: Picture = { id: randomUUID(), width, height };
    if (put.run({ id: picture.id, job: jobId, width, height, data, at: new Date().toISOString() }).changes === 0)
      throw new Refusal(409, { code: 'too-many-pictures', path: '', message: `A job keeps ${MOST_OF_A_JOB} pictures at most.` });
    response.status(201).json(picture);
  });
  router.get('/pictures/:id', (request, response) => {
    const row = read.get(request.params.id);
    if (!row) throw notFound('picture');
    // Named by an id that is never used again.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.type('jpeg').send(row.jpeg);
  });
  return router;
}
