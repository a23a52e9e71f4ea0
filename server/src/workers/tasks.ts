import { solve as solveHere, type HeavyAnswer, type HeavyRequest } from '@yardland/core';
import { madePicture } from '@yardland/core/template/trace/made-picture';
import sharp from 'sharp';

// What runs in a worker thread: the pool calls these by name, so that the thread that answers requests never waits for them.

/** Answers a heavy question of a plan. */
export function solve(request: HeavyRequest): HeavyAnswer {
  return solveHere(request);
}

/** One of the simulated camera's pictures, as a JPEG file. */
export async function photograph(shot: number): Promise<Uint8Array> {
  const { picture } = madePicture(shot);
  return await sharp(picture.data, { raw: { width: picture.width, height: picture.height, channels: 1 } })
    .jpeg({ quality: 88 })
    .toBuffer();
}
