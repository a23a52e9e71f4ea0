import { computed, inject, Injectable } from '@angular/core';
import type { Cushion } from '@yardland/core';
import { JobStore } from '../job/job-store';

export type Seat = NonNullable<Cushion['seat']>;
export type Old = NonNullable<Seat['old']>;
export type OldCover = NonNullable<Seat['oldCover']>;

/** What was found of a seat, and changing it; a field that is not said is not kept. */
@Injectable()
export class SeatEditor {
  readonly store = inject(JobStore);
  readonly seat = computed<Seat>(() => this.store.cushion()?.seat ?? {});
  readonly old = computed<Old>(() => this.seat().old ?? { findings: [] });
  readonly cover = computed<OldCover>(() => this.seat().oldCover ?? { findings: [] });

  setSeat(label: string, change: Partial<Record<keyof Seat, unknown>>): void {
    this.store.editCushion(label, (cushion) => ({ ...cushion, seat: tidy({ ...cushion.seat, ...change }) as Seat }));
  }

  setOld(label: string, change: Partial<Record<keyof Old, unknown>>): void {
    this.setSeat(label, { old: tidy({ ...this.old(), ...change }) });
  }

  setCover(label: string, change: Partial<Record<keyof OldCover, unknown>>): void {
    this.setSeat(label, { oldCover: tidy({ ...this.cover(), ...change }) });
  }

  setFire(change: Partial<Record<keyof NonNullable<Seat['fire']>, unknown>>): void {
    const fire = tidy({ ...this.seat().fire, ...change });
    this.setSeat('Fire rules', { fire: Object.keys(fire).length ? fire : null });
  }
}

/** The list with a value put in, or taken out where it was. */
export function toggled<T>(values: readonly T[], value: T): T[] {
  return values.includes(value) ? values.filter((one) => one !== value) : [...values, value];
}

/** Leaves out what is not set, so that a document holds only what was said. */
function tidy<T extends object>(value: T): Partial<T> {
  return Object.fromEntries(Object.entries(value).filter(([, inner]) => inner !== undefined && inner !== null && inner !== '')) as Partial<T>;
}
