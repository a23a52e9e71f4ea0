import { effect, inject, Injectable, signal } from '@angular/core';
import { HttpClient } from '@angular/common/http';
import { practiceStateSchema, storedJobSchema } from '@yardland/core';
import type { PracticeState } from '@yardland/core/practice';
import { map, type Observable } from 'rxjs';
import { GUIDE_KEY, readGuide, type Kept } from './guide-kept';

/** Where somebody is in their first hour, and which practice job they have: kept in this browser. */
@Injectable({ providedIn: 'root' })
export class GuideStore {
  readonly #http = inject(HttpClient);
  readonly kept = signal<Kept>(readGuide());

  constructor() {
    effect(() => {
      const kept = this.kept();
      try {
        if (Object.keys(kept).length) localStorage.setItem(GUIDE_KEY, JSON.stringify(kept));
        else localStorage.removeItem(GUIDE_KEY);
      } catch {
        // Without room in the browser it is shown again from its start the next time.
      }
    });
  }

  /** Makes a practice job; emits its id. */
  practise(): Observable<string> {
    return this.#http.post('/api/practice', {}).pipe(
      map((value) => {
        const { id } = storedJobSchema.parse(value);
        this.kept.set({ practice: id });
        return id;
      }),
    );
  }

  state(id: string): Observable<PracticeState> {
    return this.#http.get(`/api/practice/${id}`).pipe(map((value) => practiceStateSchema.parse(value)));
  }

  at(firstHour: number | null): void {
    this.kept.update(({ firstHour: _before, ...kept }) => (firstHour === null ? kept : { ...kept, firstHour }));
  }

  /** What was found so far, so that what is found next is news after a reload too. */
  found(found: readonly string[]): void {
    this.kept.update((kept) => ({ ...kept, found }));
  }

  leavePractice(): void {
    this.kept.update(({ practice: _job, found: _found, ...kept }) => kept);
  }
}
