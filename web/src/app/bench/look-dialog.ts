import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LOOK_QUESTIONS, materialOf, natureOf, openedAgain, restitching, showsHoles, type Operation, minutesInWords } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { today } from '../shared/words/days';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { BatchChips } from './batch-chips';
import type { BenchWork } from './bench-work';

/** What the dialog is opened with: the look that is answered with no. */
export interface LookData {
  readonly store: JobStore;
  readonly work: BenchWork;
  readonly step: Operation;
}

/** How it was closed: a piece is wrong, which is then asked for. */
export type LookResult = 'piece' | null;

/** A look that is answered with no: on which of the batch, and what is opened and sewn again for it. */
@Component({
  selector: 'yl-look-dialog',
  imports: [BatchChips, Button, DialogFoot, DialogFrame, Words],
  template: `
    <div ylDialog="wide">
      <h2 id="look-title">No: mend it before you go on</h2>
      <p>{{ question }}</p>
      @if (work.quantity() > 1) {
        <div class="grid gap-1.5">
          <p class="text-label text-ink-soft">On which of the {{ work.quantity() }} it is not so</p>
          <yl-batch-chips [numbers]="work.numbers()" [done]="cushions()" words="not so" (toggled)="toggle($event)" />
        </div>
      }
      @if (made().redo.length) {
        <section aria-labelledby="look-open-title">
          <h3 id="look-open-title">Opened and sewn again, the last first</h3>
          <ol class="list-decimal pl-5 [&_li]:mt-1.5">
            @for (one of made().unpick; track one.operation.id) {
              <li>{{ work.words(one.operation) }}</li>
            }
          </ol>
          <p ylWords>About {{ minutes() }} to open and sew again. These steps are then to do again; undo brings their ticks back.</p>
        </section>
      } @else {
        <p ylWords>The run is not ticked yet: sew it again before it is.</p>
      }
      @if (holes()) {
        <p ylWords>Every hole stays in this cloth: sew again in its own holes, or cut the piece anew.</p>
      }
      <div ylDialogFoot>
        <button type="button" ylButton (click)="close(null)">It is right after all</button>
        <button type="button" ylButton [disabled]="!cushions().length" (click)="answer('piece')">A piece is wrong</button>
        <button type="button" ylButton="strong" [disabled]="!cushions().length" (click)="answer('restitched')">Sew that run again</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LookDialog {
  readonly #data = inject<LookData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<LookResult>>(DialogRef);
  protected readonly work = this.#data.work;
  readonly #asks = this.#data.step.asks;
  protected readonly question = this.#asks ? LOOK_QUESTIONS[this.#asks.kind] : '';
  /** The first that was sewn and not yet looked at, until others are named. */
  protected readonly cushions = signal<readonly number[]>(this.#waiting().slice(0, 1));
  protected readonly made = computed(() => {
    const { store, work } = this.#data;
    const share = store.shop()?.assume('unpickShare', store.units()) ?? 1;
    const wrong = { step: this.#asks?.of ?? '', cushions: this.cushions() };
    return restitching(work.steps(), store.cushion()?.bench?.done ?? {}, work.quantity(), wrong, share);
  });
  protected readonly minutes = computed(() => minutesInWords(this.made().minutes));
  /** The main cloth is leather or vinyl. */
  protected readonly holes = computed(() => {
    const [job, shop, cushion] = [this.#data.store.job(), this.#data.store.shop(), this.#data.store.cushion()];
    return job && shop && cushion ? showsHoles(natureOf(materialOf('main', job, cushion, shop))) : false;
  });

  #waiting(): number[] {
    const { work, step } = this.#data;
    const run = work.steps().find(({ id }) => id === step.asks?.of);
    const sewn = run ? work.done(run) : [];
    const looked = work.done(step);
    const open = sewn.filter((cushion) => !looked.includes(cushion));
    return open.length ? open : work.numbers().filter((cushion) => !looked.includes(cushion));
  }

  protected toggle(cushion: number): void {
    this.cushions.update((before) => (before.includes(cushion) ? before.filter((one) => one !== cushion) : [...before, cushion].sort((a, b) => a - b)));
  }

  /** Keeps what was found; with sewing again also takes the ticks of what is opened. */
  protected answer(did: 'restitched' | 'piece'): void {
    const asks = this.#asks;
    if (!asks) return;
    const [made, quantity] = [this.made(), this.work.quantity()];
    const found = { kind: asks.kind, cushions: [...this.cushions()], did, date: today() };
    this.work.change('A look found a fault', (bench) => ({
      ...bench,
      ...(did === 'restitched' ? { done: openedAgain(bench.done, made, quantity) } : {}),
      looks: [...(bench.looks ?? []), found],
    }));
    this.close(did === 'piece' ? 'piece' : null);
  }

  protected close(result: LookResult): void {
    this.#dialog.close(result);
  }
}
