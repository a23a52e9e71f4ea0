import { computed, inject, InjectionToken, type Signal } from '@angular/core';
import type { Pair, UnitSystem } from '@yardland/core';

/** The units that lengths are shown and typed in here, and the step they are rounded to. */
export interface Measures {
  readonly units: Signal<UnitSystem>;
  readonly step: Signal<Pair>;
}

/** What a page provides once for every field, figure and drawing on it. */
export const MEASURES = new InjectionToken<Measures>('units and step of the lengths on this page');

/** The measures in force where this is called (in an injection context): what a field was told itself, else the page's. */
export function measuresHere(own: { readonly units: Signal<UnitSystem | undefined>; readonly step: Signal<Pair | undefined> }): Measures {
  const page = inject(MEASURES, { optional: true, skipSelf: true });
  const told = <T>(value: T | undefined, what: string): T => {
    if (value === undefined) throw new Error(`a length is shown, and neither it nor its page says in which ${what}`);
    return value;
  };
  return {
    units: computed(() => told(own.units() ?? page?.units(), 'units')),
    step: computed(() => told(own.step() ?? page?.step(), 'step')),
  };
}
