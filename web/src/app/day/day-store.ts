import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import type { ShopDay } from '@yardland/core';
import { movedBetween, standingOf, USUAL_DAY, withoutDonePins, withPins, type Day, type PlannedStep, type StandingStep } from '@yardland/core/schedule';
import { catchError, combineLatest, distinctUntilChanged, EMPTY, fromEvent, interval, map, merge, startWith, Subject, switchMap, tap } from 'rxjs';
import { Messages } from '../shared/messages';
import { problemOf } from '../shared/saving/problem';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { dayWords } from '../shared/words/days';
import { DayApi } from './day-api';

/** The plan is asked for again so often: the clock goes on, and others tick at their benches. */
const AGAIN_MS = 60_000;
const ABOUT = 'the plan of the day';
/** Changes of the plan that can be taken back. */
const MOST_UNDO = 50;

/** How the shop worked before a change, and the plan that stood then. */
interface Before {
  readonly shopDay: ShopDay;
  readonly day: Day | null;
}

/** The plan of the day on this page: asked for again when the shop, the clock or the bench moves it; what is put by hand, and taken back. */
@Injectable()
export class DayStore {
  readonly #api = inject(DayApi);
  readonly #edit = inject(ShopEditor);
  readonly #messages = inject(Messages);
  readonly #again = new Subject<void>();
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #undo = signal<readonly Before[]>([]);
  readonly failure = signal<string | null>(null);
  /** What the last change pushed, in words: read out where they stand. */
  readonly pushed = signal('');
  #before: Day | null = null;
  /** It was made anew: what comes of that is told on whichever part is shown. */
  #tells = false;

  readonly shown = toSignal(
    combineLatest([
      inject(ShopService).document$.pipe(
        map(({ day, people }) => ({ day, people })),
        distinctUntilChanged((a, b) => JSON.stringify(a) === JSON.stringify(b)),
      ),
      merge(this.#again, interval(AGAIN_MS), fromEvent(document, 'visibilitychange')).pipe(startWith(null)),
    ]).pipe(
      switchMap(([{ day }]) =>
        this.#api.shown(day).pipe(
          tap((shown) => this.#came(shown.day)),
          catchError((error: unknown) => {
            this.failure.set(problemOf(error).message);
            return EMPTY;
          }),
        ),
      ),
      takeUntilDestroyed(inject(DestroyRef)),
    ),
  );
  readonly day = computed(() => this.shown()?.day ?? null);
  readonly shopDay = computed(() => this.#shop()?.day ?? USUAL_DAY);
  readonly canUndo = computed(() => this.#undo().length > 0);

  /** Puts steps at a person, not before a time; nothing of both lets them go. */
  put(steps: readonly PlannedStep[], put: { readonly person?: string; readonly notBefore?: string }): void {
    this.change((day) => withPins(day, steps, put));
  }

  /** Changes how the shop works; what it pushes is said when the plan comes. */
  change(edit: (day: ShopDay) => ShopDay): void {
    this.#keep();
    const steps = this.day()?.steps ?? [];
    this.#edit.change((shop) => ({ ...shop, day: withoutDonePins(edit(shop.day ?? USUAL_DAY), steps) }));
  }

  /** Makes the plan anew, whatever it was so far: every step goes to whoever is free first. */
  anew(): void {
    this.#keep();
    this.#tells = true;
    this.#stand(null, () => this.again());
  }

  undo(): void {
    const before = this.#undo().at(-1);
    if (!before) return;
    this.#before = this.day();
    this.#undo.update((all) => all.slice(0, -1));
    this.#stand(before.day && standingOf(before.day), () => {
      if (JSON.stringify(before.shopDay) === JSON.stringify(this.shopDay())) this.again();
      else this.#edit.change((shop) => ({ ...shop, day: before.shopDay }));
    });
  }

  #keep(): void {
    this.#before = this.day();
    const before = { shopDay: this.shopDay(), day: this.day() };
    this.#undo.update((all) => [...all.slice(-MOST_UNDO + 1), before]);
  }

  #stand(steps: readonly StandingStep[] | null, then: () => void): void {
    this.#api.stand(steps).subscribe({ next: then, error: (error: unknown) => this.warn(error) });
  }

  again(): void {
    this.#again.next();
  }

  warn(error: unknown): void {
    this.#messages.warn(ABOUT, problemOf(error).message);
  }

  #came(day: Day): void {
    this.failure.set(null);
    const before = this.#before;
    this.#before = null;
    if (!before) return;
    const moved = movedBetween(before, day);
    const told = moved.slice(0, 3).map(({ name, to, days }) => `${name} ends ${days > 0 ? 'later' : 'sooner'}, ${dayWords(to.slice(0, 10))}`);
    const words = moved.length ? `${told.join('; ')}${moved.length > 3 ? `; ${moved.length - 3} more move` : ''}.` : 'No job ends earlier or later.';
    this.pushed.set(words);
    if (this.#tells) this.#messages.tell(ABOUT, `Planned anew. ${words}`);
    this.#tells = false;
  }
}
