import type { RawJob } from './raw-job';

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> => typeof value === 'object' && value !== null && !Array.isArray(value);

/** A cloth whose bias strips were cut in the way that was usual then. */
const fromBlocks = (use: unknown): unknown => (isObject(use) && use['bias'] === undefined ? { ...use, bias: 'block' } : use);

/** Until format 3 a boxed cover said only whether its plaque was sewn in with the boxing or last; now it names its order of work. */
function withOrder(construction: unknown): unknown {
  if (!isObject(construction) || construction['plaqueSewn'] === undefined) return construction;
  const { plaqueSewn, ...choices } = construction;
  return { ...choices, order: plaqueSewn === 'last' ? 'plaque-last' : 'plaque-with-boxing' };
}

/** A cushion's own cloths, its main one and those of its parts; and the order its cover is sewn in. */
function brought(cushion: unknown): unknown {
  if (!isObject(cushion)) return cushion;
  const { cloth, slots, construction } = cushion;
  return {
    ...cushion,
    ...(construction === undefined ? {} : { construction: withOrder(construction) }),
    ...(cloth === undefined ? {} : { cloth: fromBlocks(cloth) }),
    ...(isObject(slots) ? { slots: Object.fromEntries(Object.entries(slots).map(([slot, use]) => [slot, fromBlocks(use)])) } : {}),
  };
}

/** Up to format 3 bias strips were cut from blocks unless a job said otherwise; from format 4 on they are cut across the width as one. Stored jobs keep their blocks, and their order of work by its new name. */
export function blocksAndOrders(job: RawJob): RawJob {
  const { cloth, cushions } = job;
  return {
    ...job,
    ...(cloth === undefined ? {} : { cloth: fromBlocks(cloth) }),
    ...(Array.isArray(cushions) ? { cushions: cushions.map(brought) } : {}),
  };
}
