import type { Cushion } from '@yardland/core';
import type { JobStore } from '../job/job-store';

type Layer = Cushion['core']['layers'][number];

/** Changes the layers of the cushion in hand; `label` says what, for undo. */
export function changeLayers(store: JobStore, label: string, change: (layers: readonly Layer[]) => Layer[]): void {
  store.editCushion(label, (cushion) => ({ ...cushion, core: { ...cushion.core, layers: change(cushion.core.layers) } }));
}

/** The layers with one of another thickness, mm. */
export const withThickness =
  (index: number, mm: number) =>
  (layers: readonly Layer[]): Layer[] =>
    layers.map((layer, i) => (i === index ? { ...layer, thicknessMm: mm } : layer));

/** Layers that are cut from remnants: these are set aside for the job in the same step. */
export function layersFromRemnants(store: JobStore, layers: readonly Layer[], remnants: readonly string[]): void {
  const index = store.cushionIndex();
  store.edit('Filling from what is there', (job) => ({
    ...job,
    remnants: [...new Set([...(job.remnants ?? []), ...remnants])],
    cushions: job.cushions.map((cushion, i) => (i === index ? { ...cushion, core: { ...cushion.core, layers: [...layers] } } : cushion)),
  }));
}
