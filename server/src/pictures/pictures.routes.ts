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
/** Pictures of one job; and of those that belong to none, but to an entry of the log. */
const MOST_OF_A_JOB = 200;
const MOST_OF_THE_SHOP = 5000;
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

/** Pictures of old cores, checks and entries of the log: posted as the bare file, to their job where they have one, read by id. */
export function pictureRoutes(db: Database, jobs: JobStore, limitBytes: number): Router {
  // The limit is part of the write, so that pictures that come at once cannot pass it together.
  const put = db.prepare(`INSERT INTO picture (id, job_id, width, height, jpeg, created_at)
    SELECT @id, @job, @width, @height, @data, @at WHERE (SELECT COUNT(*) FROM picture WHERE job_id IS @job) < @most`);
  const read = db.prepare<[string], { jpeg: Buffer }>('SELECT jpeg FROM picture WHERE id = ?');

  const router = Router();
  const file = raw({ type: 'image/*', limit: FILE_LIMIT });
  /** Keeps a picture, of a job or of none. */
  const keep = async (body: unknown, job: string | null): Promise<Picture> => {
    if (!Buffer.isBuffer(body) || body.length === 0) throw notAPicture();
    if (spaceOf(db, limitBytes).full)
      throw new Refusal(507, {
        code: 'database-full',
        path: '',
        message: 'The shop’s database has reached its limit: no more pictures are taken. Jobs are still kept.',
      });
    const { data, width, height } = await cleaned(body);
    const picture: Picture = { id: randomUUID(), width, height };
    const most = job === null ? MOST_OF_THE_SHOP : MOST_OF_A_JOB;
    if (put.run({ id: picture.id, job, width, height, data, most, at: new Date().toISOString() }).changes === 0)
      throw new Refusal(409, {
        code: 'too-many-pictures',
        path: '',
        message: job === null ? `The log keeps ${most} pictures that belong to no job at most.` : `A job keeps ${most} pictures at most.`,
      });
    return picture;
  };

  router.post('/jobs/:id/pictures', file, async (request, response) => {
    response.status(201).json(await keep(request.body, jobs.readText(String(request.params['id'])).id));
  });
  router.post('/pictures', file, async (request, response) => {
    response.status(201).json(await keep(request.body, null));
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
