import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink } from '@angular/router';
import type { PracticeState } from '@yardland/core/practice';
import { catchError, EMPTY, filter, fromEvent, interval, map, merge, startWith, switchMap } from 'rxjs';
import { Button } from '../shared/ui/ui';
import { GuideStore } from './guide-store';

interface Step {
  readonly title: string;
  readonly words: string;
  readonly link?: readonly string[];
  readonly linkWords?: string;
  /** What is pressed or left on the real screens when the step is done. */
  readonly doneBy?: (event: Event) => boolean;
}

const on = (event: Event, selector: string): boolean => event.target instanceof Element && event.target.closest(selector) !== null;

/** The first hour, on the real screens with real data. */
const STEPS: readonly Step[] = [
  {
    title: 'How your shop measures',
    words:
      'Say in the Stockroom, under The shop, whether you measure in millimetres or inches, how finely, and who works here. Everything else has a sensible start.',
    link: ['/stockroom'],
    linkWords: 'To the Stockroom',
  },
  {
    title: 'A cushion from one line',
    words:
      'Make a new job on the Jobs page. In it press / and write a cushion as you would scribble it: 6 x 500 x 430 x 75 welt. It says what it understood; Enter makes it.',
    link: ['/jobs'],
    linkWords: 'To the jobs',
    doneBy: (event) => event instanceof KeyboardEvent && event.key === 'Enter' && on(event, '[role=combobox]'),
  },
  {
    title: 'One why',
    words: 'Every figure on the ticket is a sum. Press one, the core’s width say, and read what it is made of.',
    doneBy: (event) => event.type === 'click' && on(event, 'yl-ticket [aria-label$=", why"]'),
  },
  {
    title: 'One print',
    words: 'Print this ticket: sizes, pieces with their sums, the order of work to tick off. It goes with the work.',
    doneBy: (event) => event.type === 'click' && on(event, 'yl-ticket a[href*="/tickets/"]'),
  },
  { title: 'Now with mistakes', words: 'A practice job has mistakes made on purpose. Find and mend them; each tells you why afterwards.' },
];

/** So often it is looked whether a mistake was mended. */
const LOOK_MS = 2500;

/** The way in, and how far somebody is with a practice job: a card at the foot of the real screens, that can be left at any time. */
@Component({
  selector: 'yl-guide-card',
  imports: [RouterLink, Button],
  template: `
    @if (step(); as one) {
      <section class="guide" [class.low]="!onJob()" aria-label="The first hour">
        <p class="text-label text-ink-soft">First hour, {{ at() + 1 }} of {{ steps.length }}</p>
        <h2 class="text-panel">{{ one.title }}</h2>
        <p>{{ one.words }}</p>
        <div class="mt-2 flex flex-wrap gap-2">
          @if (one.link; as link) {
            <a ylButton [routerLink]="link">{{ one.linkWords }}</a>
          }
          @if (at() < steps.length - 1) {
            <button type="button" ylButton="strong" (click)="store.at(at() + 1)">Next</button>
          } @else {
            <button type="button" ylButton="strong" (click)="practise()">Practise</button>
          }
          <button type="button" ylButton (click)="store.at(null)">Leave the way in</button>
        </div>
      </section>
    } @else if (practice(); as state) {
      <section class="guide" [class.closed]="!open()" aria-label="Practice">
        <div class="flex items-center justify-between gap-3">
          <h2 class="text-lead">Practice: {{ state.found.length }} of {{ state.found.length + state.left.length }} found</h2>
          <button type="button" ylButton [attr.aria-expanded]="open()" (click)="open.set(!open())">{{ open() ? 'Less' : 'More' }}</button>
        </div>
        <p role="status" [class.sr-only]="!open()">
          @if (news(); as one) {
            <b>{{ one.was }}</b> {{ one.why }}
          } @else if (!state.left.length) {
            All of them. Whoever finds these at the table saves a set of cushions a year.
          } @else {
            Something is wrong in each of these cushions. Look, mend it, and it tells why.
          }
        </p>
        @if (open()) {
          @if (hint(); as one) {
            <p class="mt-1">
              <b>{{ one.name }}:</b> {{ one.hint }}
              <a class="underline" [routerLink]="['/jobs', id(), one.cushion + 1, 'template']">Go there</a>
            </p>
          } @else if (state.left.length) {
            <button type="button" ylButton class="mt-1" (click)="hinted.set(true)">A hint</button>
          }
          <ul class="mt-1 max-h-40 overflow-y-auto">
            @for (one of state.found; track one.id) {
              <li class="border-t border-t-line py-1">
                <b>{{ one.was }}</b> {{ one.why }}
              </li>
            }
          </ul>
          <button type="button" class="mt-1 min-h-8 underline" (click)="store.leavePractice()">Leave practice</button>
        }
      </section>
    }
  `,
  styles: `
    .guide {
      position: fixed;
      z-index: 45;
      /* Over the drawing, below the buttons that some stations have at its corner: a tray is never covered. */
      top: 128px;
      left: 176px;
      width: min(340px, calc(100vw - 24px));
      padding: 8px 14px 10px;
      border: 1.5px solid var(--color-ink);
      border-radius: 10px;
      background: var(--color-linen);
      box-shadow: var(--shadow-card);
    }
    /* On the other pages it lies at the foot, where a list begins last. */
    .guide.low {
      top: auto;
      bottom: 12px;
    }
    .guide.closed {
      width: auto;
      padding-block: 2px;
    }
    @media (max-width: 900px) {
      .guide {
        top: auto;
        bottom: 12px;
        left: 12px;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GuideCard {
  readonly #router = inject(Router);
  protected readonly store = inject(GuideStore);
  protected readonly steps = STEPS;
  protected readonly at = computed(() => this.store.kept().firstHour ?? -1);
  protected readonly step = computed(() => STEPS[this.at()] ?? null);
  protected readonly open = signal(true);
  protected readonly hinted = signal(false);
  /** What was found since the last look. */
  protected readonly news = signal<PracticeState['found'][number] | null>(null);
  protected readonly hint = computed(() => (this.hinted() ? (this.practice()?.left[0] ?? null) : null));
  readonly #state = signal<PracticeState | null>(null);
  readonly #url = toSignal(
    this.#router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(({ urlAfterRedirects }) => urlAfterRedirects),
      startWith(this.#router.url),
    ),
    { initialValue: '' },
  );
  /** A job's stations are open: their drawing leaves room above, their tray does not below. */
  protected readonly onJob = computed(() => /^\/jobs\/./.test(this.#url()));
  /** The practice job, where it is the one that is open. */
  protected readonly id = computed(() => {
    const id = this.store.kept().practice;
    return id !== undefined && this.#url().startsWith(`/jobs/${id}/`) ? id : null;
  });
  protected readonly practice = computed(() => (this.id() ? this.#state() : null));

  constructor() {
    interval(LOOK_MS)
      .pipe(
        startWith(0),
        filter(() => this.id() !== null && document.visibilityState === 'visible'),
        switchMap(() => this.store.state(this.id() ?? '').pipe(catchError(() => EMPTY))),
        takeUntilDestroyed(inject(DestroyRef)),
      )
      .subscribe((state) => this.#came(state));
    merge(fromEvent(document, 'click', { capture: true }), fromEvent(document, 'keydown', { capture: true }))
      .pipe(takeUntilDestroyed())
      .subscribe((event) => {
        if (this.step()?.doneBy?.(event)) this.store.at(this.at() + 1);
      });
  }

  protected practise(): void {
    this.store.practise().subscribe((id) => void this.#router.navigate(['/jobs', id, 1, 'template']));
  }

  #came(state: PracticeState): void {
    const known = this.store.kept().found ?? [];
    const found = state.found.find(({ id }) => !known.includes(id));
    if (state.found.length !== known.length) this.store.found(state.found.map(({ id }) => id));
    if (found) {
      this.news.set(found);
      this.hinted.set(false);
      this.open.set(true);
    }
    this.#state.set(state);
  }
}
