import type { Corners, TraceAnswer, TraceRequest } from '@yardland/core';

interface Picture {
  readonly rgba: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** A picture to find the sheet in, or to trace; stopping is ending the worker. */
export type ToTraceWorker = ({ readonly kind: 'find' } & Picture) | ({ readonly kind: 'trace' } & Picture & Omit<TraceRequest, 'picture'>);

export type FromTraceWorker =
  | { readonly kind: 'sheet'; readonly corners: Corners | null }
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'traced'; readonly answer: TraceAnswer };
