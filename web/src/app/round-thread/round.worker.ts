/// <reference lib="webworker" />
import { cushionPicture, solidOf, type Solid } from '@yardland/core/solid';
import type { FromRound, ToRound } from './round-messages';

/** The memory of a mesh, which is handed over and not copied. */
const memoryOf = (solid: Solid | null): ArrayBuffer[] =>
  (solid?.parts.flatMap(({ positions, triangles, uvs }) => [positions.buffer, triangles.buffer, uvs.buffer]) ?? []) as ArrayBuffer[];

addEventListener('message', ({ data: { id, one, wanted, view } }: MessageEvent<ToRound>) => {
  try {
    if (wanted === 'picture') {
      postMessage({ id, made: cushionPicture(one, view) } satisfies FromRound);
      return;
    }
    const solid = solidOf(one);
    postMessage({ id, made: solid } satisfies FromRound, { transfer: memoryOf(solid) });
  } catch (error) {
    postMessage({ id, failed: error instanceof Error ? error.message : String(error) } satisfies FromRound);
  }
});
