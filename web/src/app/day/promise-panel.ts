import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { kept, movedBetween, type Promised, type Saver, type WhatIf } from '@yardland/core/schedule';
import { minutesInWords } from '@yardland/core';
import { catchError, combineLatest, map, of, startWith, switchMap } from 'rxjs';
import { JobsApi } from '../job/saving/jobs-api';
import { Choice, type Option } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { TextField } from '../shared/controls/text-field';
import { Messages } from '../shared/messages';
import { problemOf } from '../shared/saving/problem';
import { Button, FieldRow, Panel, Words } from '../shared/ui/ui';
import { dayWords } from '../shared/words/days';
import { DayApi } from './day-api';
import { DayStore } from './day-store';
import { movedWords, promiseReasons, saverWords } from './promise-words';

/** What is known of a promise; none of it while it is worked out. */
interface Answer {
  readonly promised: Promised | null;
  readonly reasons: readonly string[];
  readonly failure: string | null;
}

/** What can be promised for a job that is not at work yet, what would save one that is late, and what comes of something tried out. */
@Component({
  selector: 'yl-promise-panel',
  imports: [Button, Choice, NumberField, TextField, Panel, FieldRow, Words],
  templateUrl: './promise-panel.html',
  host: { class: 'block min-h-0 flex-1 overflow-y-auto pb-5 [&_h2]:mb-1.5 [&_h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PromisePanel {
  protected readonly store = inject(DayStore);
  readonly #api = inject(DayApi);
  readonly #jobs = inject(JobsApi);
  readonly #messages = inject(Messages);
  protected readonly dayWords = dayWords;

  // What can be promised.
  protected readonly open = computed<readonly Option[]>(() =>
    (this.store.shown()?.open ?? []).map(({ id, name, minutes }) => ({ value: id, name: `${name}, ${minutesInWords(minutes)}` })),
  );
  protected readonly asked = signal('');
  protected readonly promise = toSignal(
    combineLatest([toObservable(this.asked), toObservable(this.store.shown)]).pipe(
      switchMap(([id]) =>
        id === ''
          ? of(null)
          : this.#api.promise(id).pipe(
              map((promised): Answer => ({ promised, reasons: promiseReasons(promised), failure: null })),
              catchError((error: unknown) => of<Answer>({ promised: null, reasons: [], failure: problemOf(error).message })),
              startWith<Answer>({ promised: null, reasons: [], failure: null }),
            ),
      ),
    ),
  );

  /** The day that can be promised becomes the job's due day. */
  protected promiseIt(id: string, dueDate: string): void {
    this.#jobs
      .read(id)
      .pipe(switchMap(({ revision, job }) => this.#jobs.write(id, revision, 'Promised', { ...job, dueDate })))
      .subscribe({
        next: ({ job }) => this.#messages.tell('promise', `${job.name} is promised for ${dayWords(dueDate)}.`),
        error: (error: unknown) => this.#messages.warn('promise', problemOf(error).message),
      });
  }

  // What is late.
  protected readonly late = computed(() => (this.store.day()?.jobs ?? []).filter(({ lateDays }) => lateDays > 0).sort((a, b) => b.lateDays - a.lateDays));
  protected readonly savers = signal<ReadonlyMap<string, readonly Saver[] | 'working'>>(new Map());

  protected save(id: string): void {
    const put = (found: readonly Saver[] | 'working'): void => this.savers.update((all) => new Map([...all, [id, found]]));
    put('working');
    this.#api.savers(id).subscribe({
      next: put,
      error: (error: unknown) => {
        put([]);
        this.store.warn(error);
      },
    });
  }

  protected lateWords({
    lateDays,
    due,
    end,
    bound,
  }: {
    readonly lateDays: number;
    readonly due: string | null;
    readonly end: string;
    readonly bound: string;
  }): string {
    const due_ = due === null ? '' : `due ${dayWords(due)}, `;
    const cannot = due !== null && bound.slice(0, 10) > due ? ` No plan brings it in before ${dayWords(bound.slice(0, 10))}.` : '';
    const days = Math.ceil(lateDays);
    return `${due_}done ${dayWords(end.slice(0, 10))}: ${days} ${days === 1 ? 'day' : 'days'} late.${cannot}`;
  }

  protected saver(one: Saver): string {
    return saverWords(one, (job) => this.store.day()?.jobs.find(({ id }) => id === job)?.name ?? 'another job');
  }

  /** Takes over what was tried out: hours of a day, a job that waits. */
  protected keep(whatIf: WhatIf): void {
    const steps = this.store.day()?.steps ?? [];
    this.store.change((day) => kept(day, whatIf, steps));
    this.savers.set(new Map());
    this.tried.set(null);
  }

  // What if.
  protected readonly people = computed<readonly Option[]>(() => (this.store.day()?.people ?? []).map(({ name }) => ({ value: name, name })));
  protected readonly atWork = computed<readonly Option[]>(() => (this.store.day()?.jobs ?? []).map(({ id, name }) => ({ value: id, name })));
  protected readonly person = signal('');
  protected readonly on = signal('');
  protected readonly hours = signal<number>(6);
  protected readonly waits = signal('');
  protected readonly until = signal('');
  protected readonly tried = signal<WhatIf | null>(null);
  protected readonly outcome = toSignal(
    combineLatest([toObservable(this.tried), toObservable(this.store.day)]).pipe(
      switchMap(([whatIf, before]) =>
        !whatIf || !before
          ? of(null)
          : this.#api.shown(this.store.shopDay(), whatIf).pipe(
              map(({ day }) => movedBetween(before, day).map(movedWords)),
              catchError((error: unknown) => of([problemOf(error).message])),
              startWith(null),
            ),
      ),
    ),
  );

  protected tryHours(): void {
    if (this.person() && this.on()) this.tried.set({ otherwise: [{ person: this.person(), day: this.on(), hours: this.hours() }] });
  }

  protected tryWaiting(): void {
    if (this.waits() && this.until()) this.tried.set({ waits: [{ job: this.waits(), until: this.until() }] });
  }
}
