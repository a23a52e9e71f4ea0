import type { RawJob } from './raw-job';

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> => typeof value === 'object' && value !== null && !Array.isArray(value);

/** A cloth whose bias strips were cut in the way that was usual then. */
const fromBlocks = (use: unknown): unknown => (isObject(use) && use['bias'] === undefined ? { ...use, bias: 'block' } : use);

/** A cushion's own cloths: its main one, and those of its parts. */
function cushionFromBlocks(cushion: unknown): unknown {
  if (!isObject(cushion)) return cushion;
  const { cloth, slots } = cushion;
  return {
    ...cushion,
    ...(cloth === undefined ? {} : { cloth: fromBlocks(cloth) }),
    ...(isObject(slots) ? { slots: Object.fromEntries(Object.entries(slots).map(([slot, use]) => [slot, fromBlocks(use)])) } : {}),
  };
}

/** Up to format 3 bias strips were cut from blocks unless a job said otherwise; from format 4 on they are cut across the width as one. Stored jobs keep their blocks. */
export function biasFromBlocks(job: RawJob): RawJob {
  const { cloth, cushions } = job;
  return {
    ...job,
    ...(cloth === undefined ? {} : { cloth: fromBlocks(cloth) }),
    ...(Array.isArray(cushions) ? { cushions: cushions.map(cushionFromBlocks) } : {}),
  };
}
