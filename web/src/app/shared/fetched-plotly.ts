import { afterNextRender, signal, type Signal } from '@angular/core';
import type * as Plotly from 'plotly.js-basic-dist-min';

/** The maker of charts, fetched once the page that asks for it stands; null until then. */
export function fetchedPlotly(): { readonly plotly: Signal<typeof Plotly | null>; readonly failed: Signal<boolean> } {
  const plotly = signal<typeof Plotly | null>(null);
  const failed = signal(false);
  afterNextRender(() => {
    import('plotly.js-basic-dist-min').then(
      (module) => plotly.set((module as unknown as { default?: typeof Plotly }).default ?? module),
      () => failed.set(true),
    );
  });
  return { plotly: plotly.asReadonly(), failed: failed.asReadonly() };
}
