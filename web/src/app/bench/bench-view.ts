import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { formatLength, type Operation } from '@yardland/core';
import { NextStep } from '../day/next-step';
import type { JobStore } from '../job/job-store';
import { Icon } from '../shared/icon';
import { MEASURES } from '../shared/controls/measures';
import { Table } from '../shared/table/table';
import type { Scene } from '../shared/table/scene';
import { Button, Tool } from '../shared/ui/ui';
import { BatchChips } from './batch-chips';
import { PHASE_WORDS, type BenchWork } from './bench-work';
import { Dialogs } from '../shared/dialogs';
import { openLook } from './mend-dialogs';
import { stepScene } from './step-scene';

/** What the view is opened with. */
export interface BenchViewData {
  readonly store: JobStore;
  readonly work: BenchWork;
}

/** A finger that went this far sideways has swiped, pixels. */
const SWIPE_PX = 70;
/** Keys that a person holds with another: never the foot switch. */
const HELD = new Set(['Shift', 'Control', 'Alt', 'Meta', 'AltGraph', 'CapsLock', 'Tab']);
const TICK_MS = 1000;

/** One step at a time over the whole screen, to be read at two metres: its picture, its words, its sizes and only its own cautions. Stepped by big keys, a swipe, or a foot switch. */
@Component({
  selector: 'yl-bench-view',
  imports: [BatchChips, Button, Icon, NextStep, Table, Tool],
  templateUrl: './bench-view.html',
  viewProviders: [{ provide: MEASURES, useFactory: () => inject<BenchViewData>(DIALOG_DATA).store }],
  host: { '(keydown)': 'pressed($event)', class: 'fixed inset-0 block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BenchView {
  readonly #data = inject<BenchViewData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<null>>(DialogRef);
  readonly #dialogs = inject(Dialogs);
  protected readonly work = this.#data.work;
  protected readonly phaseWords = PHASE_WORDS;
  protected readonly cushion = computed(() => this.#data.store.cushion());
  protected readonly job = computed(() => this.#data.store.head()?.id ?? '');
  protected readonly scene = computed<Scene>(() => {
    const [one, step] = [this.#data.store.cushionPlan(), this.work.step()];
    const fit = `view ${step?.id ?? ''}`;
    return one?.state === 'planned' && step
      ? stepScene(one, step, { fit, lying: 'in-rows', inWords: this.#data.store.inWords(), shop: this.#data.store.shop(), hand: this.work.hand() })
      : { title: 'Bench', fit, items: [] };
  });
  protected readonly done = computed(() => {
    const step = this.work.step();
    return step ? this.work.done(step) : [];
  });
  protected readonly all = computed(() => this.done().length >= this.work.quantity());
  /** The sizes of this step: its own figures, and the pieces in hand when they are few. */
  protected readonly sizes = computed(() => {
    const { units, step: shopStep } = this.#data.store.inWords();
    const step = this.work.step();
    const length = (mm: number): string => formatLength(mm, units, shopStep);
    const figures = (step?.figures ?? []).filter(({ unit }) => unit === 'mm').map(({ name, value }) => ({ name, value: length(value) }));
    const pieces = (this.#data.store.cushionPlan()?.pieces ?? []).filter(({ id }) => step?.pieces.includes(id));
    const cut =
      pieces.length <= 6 ? pieces.map(({ label, width, height }) => ({ name: label, value: `${length(width.value)} × ${length(height.value)}` })) : [];
    return [...figures, ...cut];
  });
  readonly #now = signal(Date.now());
  protected readonly running = computed(() => {
    const clock = this.work.clock();
    if (!clock) return null;
    const seconds = Math.max(0, Math.floor((this.#now() - Date.parse(clock.since)) / 1000));
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  });
  #from: number | null = null;

  constructor() {
    const destroyed = inject(DestroyRef);
    const ticking = setInterval(() => this.#now.set(Date.now()), TICK_MS);
    destroyed.onDestroy(() => clearInterval(ticking));
    this.#stayAwake(destroyed);
  }

  /** The screen does not go dark at the bench; a browser that cannot promise it is left as it is. */
  #stayAwake(destroyed: DestroyRef): void {
    let lock: WakeLockSentinel | null = null;
    const ask = (): void => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      navigator.wakeLock.request('screen').then(
        (held) => (lock = held),
        () => (lock = null),
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    destroyed.onDestroy(() => {
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    });
  }

  protected pressed(event: KeyboardEvent): void {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || HELD.has(event.key) || event.key === 'Escape') return;
    // A key in focus is pressed by Enter and space as anywhere; the drawing keeps its own keys.
    const onButton = event.target instanceof HTMLButtonElement && (event.key === 'Enter' || event.key === ' ');
    if (onButton) return;
    event.preventDefault();
    event.stopPropagation();
    const step = this.work.step();
    if (event.key === 'ArrowRight' || event.key === 'PageDown') this.work.go(1);
    else if (event.key === 'ArrowLeft' || event.key === 'PageUp') this.work.go(-1);
    else if (event.key === 't' || event.key === 'T') this.clock();
    else if (/^[1-9]$/.test(event.key)) {
      if (step && Number(event.key) <= this.work.quantity()) this.work.toggle(step, Number(event.key));
    } else if (!event.repeat) this.work.doneOnNext();
  }

  protected clock(): void {
    this.#now.set(Date.now());
    this.work.pressClock(new Date());
  }

  /** A look that is answered with no, or with a piece that is wrong. */
  protected async notSo(step: Operation): Promise<void> {
    await openLook(this.#dialogs, { ...this.#data, step });
  }

  protected down(event: PointerEvent): void {
    this.#from = event.clientX;
  }

  protected up(event: PointerEvent): void {
    const went = this.#from === null ? 0 : event.clientX - this.#from;
    this.#from = null;
    if (Math.abs(went) >= SWIPE_PX) this.work.go(went < 0 ? 1 : -1);
  }

  protected close(): void {
    this.#dialog.close(null);
  }
}
