import type { JobSummary } from '@yardland/core';

export const jobStateWords: Record<JobSummary['state'], string> = {
  new: 'new',
  'waiting-for-foam': 'waiting for foam',
  cutting: 'cutting',
  sewing: 'sewing',
  ready: 'ready',
  delivered: 'delivered',
};
