import { ticksWithNames } from './1-ticks-with-names';
import { blocksAndOrders } from './3-blocks-and-orders';
import { schoolsByEdition } from './2-schools-by-edition';
import type { RawJob } from './raw-job';

/** One step from a format to the next: pure, total over whatever was stored, append-only. Each has a kept fixture of the format before. */
export interface Upgrade {
  readonly from: string;
  readonly to: string;
  readonly upgrade: (job: RawJob) => RawJob;
}

export const UPGRADES: readonly Upgrade[] = [
  { from: 'yardland/job@1', to: 'yardland/job@2', upgrade: ticksWithNames },
  { from: 'yardland/job@2', to: 'yardland/job@3', upgrade: schoolsByEdition },
  { from: 'yardland/job@3', to: 'yardland/job@4', upgrade: blocksAndOrders },
];

/** A document brought to the newest format, step by step; what is of no known format is handed on for the schema to refuse. */
export function upgraded(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return UPGRADES.reduce<RawJob>((job, step) => (job['format'] === step.from ? { ...step.upgrade(job), format: step.to } : job), value as RawJob);
}
