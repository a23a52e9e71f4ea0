import { computed, inject, Injectable, linkedSignal, untracked } from '@angular/core';
import {
  benchTime,
  changedSince,
  doneBy,
  doneOn,
  filled,
  formatNumber,
  PHASES,
  signedBy,
  sizesAt,
  toggledOn,
  whereabouts,
  withPassedLooks,
  type Cushion,
  type Hand,
  type Operation,
  type Phase,
  minutesInWords,
  formatSize,
} from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Settings } from '../shell/settings';

type Bench = NonNullable<Cushion['bench']>;
const NOTHING: Bench = { done: {} };

export const PHASE_WORDS: Record<Phase, string> = {
  strip: 'Take apart',
  cut: 'Cut',
  prepare: 'Prepare the core',
  sew: 'Sew',
  fill: 'Fill and dress',
  fix: 'Fix',
};

/** What is done at the bench on the cushion in hand: its steps, on which of the batch each is done, and the clock. Every change is one step of undo. */
@Injectable()
export class BenchWork {
  readonly #store = inject(JobStore);
  readonly #settings = inject(Settings);
  readonly steps = computed<readonly Operation[]>(() => this.#store.cushionPlan()?.operations ?? []);
  readonly quantity = computed(() => this.#store.cushion()?.quantity ?? 1);
  readonly numbers = computed(() => Array.from({ length: this.quantity() }, (_, i) => i + 1));
  readonly #bench = computed<Bench>(() => this.#store.cushion()?.bench ?? NOTHING);
  readonly phases = computed(() =>
    PHASES.map((phase) => ({ phase, name: PHASE_WORDS[phase], steps: this.steps().filter((step) => step.phase === phase) })).filter(
      ({ steps }) => steps.length,
    ),
  );
  /** Who works in the shop, and which of them is at this screen. */
  readonly people = computed(() => this.#store.shop()?.document.people ?? []);
  readonly person = computed(() => this.people().find((name) => name === this.#settings.person()) ?? '');
  /** The hand that this person sews with. */
  readonly hand = computed(() => this.#settings.hands()[this.person()] ?? 'right');
  readonly left = computed(() => this.steps().filter((step) => this.done(step).length < this.quantity()).length);
  readonly #done = computed(() => this.#bench().done);
  /** The same with looks that were gone past. */
  readonly #passed = computed(() => withPassedLooks(this.steps(), this.#done(), this.quantity()));
  /** Which steps there are: the same while a new plan changes nothing but what they say. */
  readonly #ids = computed(() =>
    this.steps()
      .map(({ id }) => id)
      .join(' '),
  );
  /** The step in hand: the first that is not done, unless another is pointed at; until something is ticked or there are other steps. */
  readonly here = linkedSignal({
    source: () => ({ done: this.#done(), quantity: this.quantity(), ids: this.#ids() }),
    computation: () => untracked(() => this.#next()?.id ?? ''),
  });
  /** The step, or the piece, that a code on paper has led to: in the address, in any case. */
  #led = new URLSearchParams(location.search).get('at')?.toLowerCase();

  /** The first step that is not done: of those that a code has led to, the first time that there are steps. */
  #next(): Operation | undefined {
    const all = this.steps();
    const led = all.filter(({ id, pieces }) => [id, ...pieces].some((one) => one.toLowerCase() === this.#led));
    if (all.length) this.#led = undefined;
    const left = (steps: readonly Operation[]): Operation | undefined => steps.find((step) => this.done(step).length < this.quantity());
    return left(led) ?? led[0] ?? left(all) ?? all[0];
  }

  readonly step = computed(() => this.steps().find(({ id }) => id === this.here()) ?? this.steps()[0] ?? null);
  readonly place = computed(() => this.steps().findIndex(({ id }) => id === this.step()?.id) + 1);
  readonly time = computed(() => benchTime(this.steps(), this.#passed(), this.#bench().minutes ?? {}, this.quantity()));
  /** Where each cushion of the batch is. */
  readonly batch = computed(() => whereabouts(this.steps(), this.#passed(), this.quantity()));
  readonly clock = computed(() => this.#bench().clock ?? null);
  readonly recuts = computed(() => this.#bench().recuts ?? []);

  /** On which of the batch a step is done, from 1. */
  done({ id }: Operation): number[] {
    return doneOn(this.#passed()[id], this.quantity());
  }

  /** Who did a step, and of a batch on which: `Alma 1, 2; Bo 3`. Empty where nobody said who they are. */
  by({ id }: Operation): string {
    const all = doneBy(this.#bench().done[id], this.quantity());
    return all.map(({ person, cushions }) => (this.quantity() > 1 ? `${person} ${cushions.join(', ')}` : person)).join('; ');
  }

  isAt(person: string): void {
    this.#settings.person.set(person);
  }

  sewsWith(hand: Hand): void {
    this.#settings.hands.update((hands) => ({ ...hands, [this.person()]: hand }));
  }

  words({ text, figures }: Operation): string {
    const { units, step } = this.#store.inWords();
    return filled(text, figures, units, step);
  }

  /** What a step takes by the shop's rates, and what it was clocked at. */
  minutes(step: Operation): string {
    const clocked = this.#bench().minutes?.[step.id];
    const all = step.minutes * this.quantity();
    const wait = step.waitMinutes > 0 ? `, then ${formatNumber(step.waitMinutes)} min to wait` : '';
    return `${minutesInWords(all)}${wait}${clocked === undefined ? '' : `; clocked ${minutesInWords(clocked)}`}`;
  }

  /** What has changed since the step was ticked, in words: the pieces in hand then have other sizes now, or are gone. */
  changed(step: Operation): string[] {
    const { units, step: shopStep } = this.#store.inWords();
    const size = (pair: readonly [number, number]): string => formatSize(pair, units, shopStep);
    return changedSince(this.#bench().done[step.id], this.#store.cushionPlan()?.pieces ?? [], this.#bench().kept).map(({ label, then, now }) =>
      now ? `${label} was ${size(then)} when this was ticked; it is ${size(now)} now.` : `${label}, ${size(then)}, was done here and is no longer in the plan.`,
    );
  }

  setDone(step: Operation, on: readonly number[]): void {
    const sizes = sizesAt(step, this.#store.cushionPlan()?.pieces ?? []);
    this.change(`${PHASE_WORDS[step.phase]}: ${on.length} of ${this.quantity()}`, (bench) => {
      const { [step.id]: before, ...rest } = bench.done;
      const by = signedBy(before, on, this.person(), this.quantity());
      return { ...bench, done: on.length ? { ...rest, [step.id]: { count: on.length, on: [...on], sizes, ...(Object.keys(by).length ? { by } : {}) } } : rest };
    });
  }

  toggle(step: Operation, cushion: number): void {
    this.setDone(step, toggledOn(this.#bench().done[step.id], cushion, this.quantity()));
  }

  /** All of the batch, or none. */
  tick(step: Operation): void {
    this.setDone(step, this.done(step).length >= this.quantity() ? [] : this.numbers());
  }

  /** Done on the next cushion of the batch; when it is done on all, the next step is in hand. */
  doneOnNext(): void {
    const step = this.step();
    if (!step) return;
    const done = this.done(step);
    const next = this.numbers().find((cushion) => !done.includes(cushion));
    if (next === undefined) this.go(1);
    else {
      const last = done.length + 1 >= this.quantity();
      const after = this.steps()[this.place()]?.id;
      this.setDone(
        step,
        [...done, next].sort((a, b) => a - b),
      );
      this.here.set(last && after ? after : step.id);
    }
  }

  /** The step before or after. */
  go(by: 1 | -1): void {
    const next = this.steps()[this.place() - 1 + by];
    if (next) this.here.set(next.id);
  }

  /** Starts the clock on the step in hand, or stops it; stopping adds what has run to its step. */
  pressClock(now: Date): void {
    const [running, step] = [this.clock(), this.step()];
    if (running) {
      const minutes = Math.max(0, (now.getTime() - Date.parse(running.since)) / 60_000);
      this.change('Clock stopped', ({ clock: _clock, ...bench }) => ({
        ...bench,
        minutes: { ...bench.minutes, [running.step]: Math.round(((bench.minutes?.[running.step] ?? 0) + minutes) * 100) / 100 },
      }));
    } else if (step) {
      const by = this.person();
      this.change('Clock started', (bench) => ({ ...bench, clock: { step: step.id, since: now.toISOString(), ...(by ? { by } : {}) } }));
    }
  }

  /** Changes what is kept of the bench, as one step of undo. */
  change(label: string, change: (bench: Bench) => Bench): void {
    this.#store.editCushion(label, (cushion) => ({ ...cushion, bench: change(cushion.bench ?? NOTHING) }));
  }
}
