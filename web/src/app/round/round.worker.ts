/// <reference lib="webworker" />
import { solidOf } from '@yardland/core/solid';
import type { FromRound, ToRound } from './round-messages';

addEventListener('message', ({ data: { id, one } }: MessageEvent<ToRound>) => {
  try {
    const solid = solidOf(one);
    const moved = solid?.parts.flatMap(({ positions, triangles, uvs }) => [positions.buffer, triangles.buffer, uvs.buffer]) ?? [];
    postMessage({ id, solid } satisfies FromRound, { transfer: moved as ArrayBuffer[] });
  } catch (error) {
    postMessage({ id, failed: error instanceof Error ? error.message : String(error) } satisfies FromRound);
  }
});
