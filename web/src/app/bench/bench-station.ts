import { afterNextRender, ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { FILL_WAYS, formatNumber, HANDS, MACHINES, recutPlaces, toolsOf, type Operation, minutesInWords } from '@yardland/core';
import { PHONE } from '../shared/screens';
import { JobStore } from '../job/job-store';
import { layWords } from '../lay/lay-words';
import { Choice } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { Icon } from '../shared/icon';
import type { Scene } from '../shared/table/scene';
import { Messages } from '../shared/messages';
import { Table } from '../shared/table/table';
import { Button, StationFrame, Tool, Words } from '../shared/ui/ui';
import { BatchChips } from './batch-chips';
import type { CutOtherwiseData } from './cut-otherwise-dialog';
import { BenchWork } from './bench-work';
import { openLook, openRecut } from './mend-dialogs';
import { waysOfOne } from '../shared/words/way-words';
import type { stepScene } from './step-scene';

/** The work order: what is done on which of the batch, the step in hand drawn, the time it takes, and what was wrong and is cut anew. */
@Component({
  selector: 'yl-bench-station',
  imports: [RouterLink, Choice, BatchChips, Button, Words, Tool, Table, Icon],
  templateUrl: './bench-station.html',
  providers: [BenchWork],
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BenchStation {
  protected readonly store = inject(JobStore);
  protected readonly work = inject(BenchWork);
  readonly #dialogs = inject(Dialogs);
  readonly #messages = inject(Messages);
  protected readonly inWords = minutesInWords;

  /** What draws a step: fetched once the page stands, for no step is drawn before its plan is made. */
  readonly #draw = signal<typeof stepScene | null>(null);

  protected readonly scene = computed<Scene>(() => {
    const [one, step] = [this.store.cushionPlan(), this.work.step()];
    const fit = `bench ${this.store.cushionIndex()} ${step?.id ?? ''}`;
    // On a narrow screen the picture stands over the work order, as wide as the screen; else it is a column beside it.
    const draw = this.#draw();
    return draw && one?.state === 'planned' && step
      ? draw(one, step, {
          fit,
          lying: matchMedia(PHONE).matches ? 'in-wide-rows' : 'under-each-other',
          inWords: this.store.inWords(),
          shop: this.store.shop(),
          hand: this.work.hand(),
        })
      : { title: 'Bench', fit, items: [] };
  });

  /** The time in words: for one and for all, what is left, and what was clocked against what it was reckoned at. */
  protected readonly time = computed(() => {
    const { eachMinutes, allMinutes, leftMinutes, waitMinutes, clockedMinutes, reckonedMinutes } = this.work.time();
    const quantity = this.work.quantity();
    const each = quantity > 1 ? `${minutesInWords(eachMinutes)} each, ` : '';
    const wait = waitMinutes > 0 ? `, and ${minutesInWords(waitMinutes)} of waiting` : '';
    const clocked = clockedMinutes > 0 ? `; clocked ${minutesInWords(clockedMinutes)} where ${minutesInWords(reckonedMinutes)} were reckoned` : '';
    return `${each}${minutesInWords(allMinutes)} in all, ${minutesInWords(leftMinutes)} left${wait}${clocked}`;
  });

  /** Where the cushions of a batch are, when they are not all at one step. */
  protected readonly batch = computed(() => {
    const at = this.work.batch();
    const apart = new Set(at.map(({ next }) => next?.id ?? '')).size > 1;
    return apart ? at.map(({ cushion, next, done }) => ({ cushion, words: next ? this.work.words(next) : 'all done', done })) : [];
  });

  protected readonly recuts = computed(() =>
    this.work.recuts().map(({ piece, cushions, each, why, date }, index) => {
      const label = this.store.cushionPlan()?.pieces.find(({ id }) => id === piece)?.label ?? piece.replaceAll('-', ' ');
      const on = this.work.quantity() > 1 ? ` on ${cushions.join(', ')}` : '';
      const lies = recutPlaces(this.store.plan()?.lays ?? [], { cushion: this.store.cushionIndex(), piece }).map(({ lay, count }) => ({
        key: lay.key,
        words: `${formatNumber(count)} on ${layWords(lay, this.store.shop(), this.store.inWords())}`,
      }));
      return { index, lies, words: `${cushions.length * each} × ${label}${on}, ${date.replaceAll('-', '\u2011')}${why ? `: ${why}` : ''}` };
    }),
  );

  /** Steps that were ticked and that the plan no longer has. */
  protected readonly gone = computed(() => {
    const now = new Set(this.work.steps().map(({ id }) => id));
    return Object.entries(this.store.cushion()?.bench?.done ?? {}).flatMap(([id, { count }]) =>
      now.has(id) ? [] : [{ id, words: id.replaceAll('-', ' '), count }],
    );
  });

  constructor() {
    import('./step-scene').then(
      ({ stepScene }) => this.#draw.set(stepScene),
      () =>
        this.#messages.warn(
          'drawing',
          'The drawings of the steps could not be fetched: the server does not answer, or has been updated. Load the page again when it is back.',
        ),
    );
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => {
      // Only the list itself is scrolled: scrolling into view would move the whole page with it.
      const [list, step] = [host.querySelector<HTMLElement>('.work-order'), host.querySelector<HTMLElement>('.step.here')];
      if (list && step) list.scrollTop += step.getBoundingClientRect().top - list.getBoundingClientRect().top - list.clientHeight / 3;
    });
  }

  protected readonly machines = computed(() => waysOfOne('machine', this.store.shop()?.document));
  protected readonly fills = computed(() => waysOfOne('fill', this.store.shop()?.document));

  protected readonly wallLink = computed(() => `${this.store.wallLink()}${this.work.hand() === 'left' ? '?hand=left' : ''}`);
  protected readonly hands = HANDS.map((value) => ({ value, name: `the ${value} hand` }));
  protected readonly people = computed(() => {
    const names = this.work.people();
    return names.length ? [{ value: '', name: 'nobody in particular' }, ...names.map((name) => ({ value: name, name }))] : [];
  });

  protected setHand(value: string): void {
    const hand = HANDS.find((one) => one === value);
    if (hand) this.work.sewsWith(hand);
  }

  protected setMachine(value: string): void {
    const machine = MACHINES.find((one) => one === value);
    this.store.editCushion('Sewn on', ({ machine: _before, ...cushion }) => (machine ? { ...cushion, machine } : cushion));
  }

  protected setFill(value: string): void {
    const fill = FILL_WAYS.find((one) => one === value);
    this.store.editCushion('How it is filled', ({ fill: _before, ...cushion }) => (fill ? { ...cushion, fill } : cushion));
  }

  /** What is to be laid out beyond the everyday tools, in words; empty where nothing is. */
  protected readonly tools = computed(() => toolsOf(this.work.steps()).join(', '));

  protected isDone(step: Operation): boolean {
    return this.work.done(step).length >= this.work.quantity();
  }

  protected forget(id: string): void {
    this.work.change('Tick of a step that is gone', ({ done: { [id]: _gone, ...done }, ...bench }) => ({ ...bench, done }));
  }

  protected dropRecut(index: number): void {
    this.work.change('Not cut anew', ({ recuts = [], ...bench }) => {
      const left = recuts.filter((_, i) => i !== index);
      return left.length ? { ...bench, recuts: left } : bench;
    });
  }

  protected async view(): Promise<void> {
    await this.#dialogs.open(async () => (await import('./bench-view')).BenchView, {
      data: { store: this.store, work: this.work },
      labelledBy: 'bench-view-title',
    });
  }

  protected async recut(piece: string | null = null): Promise<void> {
    await openRecut(this.#dialogs, { store: this.store, work: this.work, piece });
  }

  /** A look that is answered with no. */
  protected async notSo(step: Operation): Promise<void> {
    await openLook(this.#dialogs, { store: this.store, work: this.work, step });
  }

  /** What becomes of pieces that were cut before their size changed. */
  protected async decide(step: Operation): Promise<void> {
    const piece = await this.#dialogs.open<string | null, CutOtherwiseData>(async () => (await import('./cut-otherwise-dialog')).CutOtherwiseDialog, {
      data: { store: this.store, work: this.work, step },
      labelledBy: 'cut-otherwise-title',
    });
    if (piece) await this.recut(piece);
  }

  protected clock(): void {
    this.work.pressClock(new Date());
  }
}
