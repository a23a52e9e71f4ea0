import { pictureQuerySchema, readWith } from '@yardland/core';
import { MADE_PICTURES, madePicture } from '@yardland/core/template/trace/made-picture';
import { Router } from 'express';
import sharp from 'sharp';
import { check } from '../http/refusal';

/** The simulated camera: takes made pictures of traced sheets in turn, with perspective, shadow and grain. Each is made once and kept. */
export function cameraRoutes(): Router {
  const taken = new Map<number, Promise<Buffer>>();
  const take = (shot: number): Promise<Buffer> => {
    const { picture } = madePicture(shot);
    return sharp(picture.data, { raw: { width: picture.width, height: picture.height, channels: 1 } })
      .jpeg({ quality: 88 })
      .toBuffer();
  };
  const router = Router();
  router.get('/picture', async (request, response) => {
    const shot = (check(pictureQuerySchema, request.query, readWith).shot ?? 0) % MADE_PICTURES.length;
    const kept = taken.get(shot) ?? take(shot);
    taken.set(shot, kept);
    response.setHeader('X-Simulated', 'yes');
    response.type('jpeg').send(await kept);
  });
  return router;
}
