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
