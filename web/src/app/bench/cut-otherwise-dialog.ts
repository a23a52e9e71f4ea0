import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  adapting,
  CHANGED_MM,
  changedSince,
  FIT_WORDS,
  keptFit,
  shipped,
  type ChangedSince,
  type KeptSizes,
  type Operation,
  formatLengthUnit,
  formatSize,
} from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import type { BenchWork } from './bench-work';

/** What the dialog is opened with. */
export interface CutOtherwiseData {
  readonly store: JobStore;
  readonly work: BenchWork;
  readonly step: Operation;
}

/** Pieces that were cut before their size changed: kept as they are, cut anew or made to do, and what each does. Closes with the piece that is to be cut anew, or null. */
@Component({
  selector: 'yl-cut-otherwise-dialog',
  imports: [Button, DialogFoot, DialogFrame, Words],
  template: `
    <div ylDialog="wide">
      <h2 id="cut-otherwise-title">Cut before the size changed</h2>
      @if (rows().length > 1) {
        <section class="grid gap-2" aria-label="All of them">
          <h3 class="text-lead">All of them, as they were cut together</h3>
          <div class="grid items-center gap-3 [grid-template-columns:minmax(200px,1fr)_2fr] max-phone:grid-cols-1">
            <button type="button" ylButton (click)="keepAll()">Keep all that was cut</button>
            <p ylWords>{{ together() }}</p>
          </div>
        </section>
      }
      @for (one of rows(); track one.piece) {
        <section class="grid gap-2" [attr.aria-label]="one.label">
          <h3 class="text-lead">{{ one.label }}: cut {{ one.then }}, planned now {{ one.now }}</h3>
          <div class="grid gap-3 [grid-template-columns:repeat(auto-fit,minmax(200px,1fr))]">
            <div class="grid content-start gap-1.5">
              <button type="button" ylButton (click)="keep(one.source)">Keep what was cut</button>
              <p ylWords>{{ one.keep }}</p>
            </div>
            <div class="grid content-start gap-1.5">
              <button type="button" ylButton (click)="close(one.piece)">Cut it anew</button>
              <p ylWords>As planned. What is sewn with it is opened; it is laid off what is left.</p>
            </div>
            <div class="grid content-start gap-1.5">
              <button type="button" ylButton [disabled]="one.adapting === null" (click)="adapt(one.source)">Make it do</button>
              <p ylWords>{{ one.adapt }}</p>
            </div>
          </div>
        </section>
      } @empty {
        <p ylWords>Every piece of this step is decided.</p>
      }
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close(null)">Done</button></div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CutOtherwiseDialog {
  readonly #data = inject<CutOtherwiseData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<string | null>>(DialogRef);

  protected readonly rows = computed(() => {
    const { store, step } = this.#data;
    const plan = store.cushionPlan();
    const bench = store.cushion()?.bench;
    if (!plan || !bench) return [];
    return changedSince(bench.done[step.id], plan.pieces, bench.kept).flatMap((source) => {
      const piece = plan.pieces.find(({ id }) => id === source.piece);
      if (!source.now || !piece) return [];
      const way = adapting(piece, source.then);
      const keep = this.#keepWords({ [source.piece]: source.then }, 'The fit does not depend on this piece.');
      return [
        {
          source,
          piece: source.piece,
          label: source.label,
          then: this.#size(source.then),
          now: this.#size(source.now),
          keep,
          adapting: way,
          adapt: this.#adaptWords(way),
        },
      ];
    });
  });

  /** What comes of keeping every piece of the step that is not decided yet. */
  protected readonly together = computed(() =>
    this.#keepWords(Object.fromEntries(this.rows().map(({ source }) => [source.piece, source.then])), 'The fit does not depend on these pieces.'),
  );

  /** What keeping pieces does to the fit, beside those that are kept already, and whether they still go together with the rest. */
  #keepWords(kept: KeptSizes, none: string): string {
    const { store } = this.#data;
    const [plan, shop, { units, step }] = [store.cushionPlan(), store.shop(), store.inWords()];
    if (!plan) return '';
    const assume = (key: Parameters<typeof shipped>[0]): number => shop?.assume(key, units) ?? shipped(key);
    const before = Object.fromEntries(Object.entries(store.cushion()?.bench?.kept ?? {}).map(([id, { sizes }]) => [id, sizes]));
    const { fit, bandLongerMm } = keptFit(plan, { ...before, ...kept }, assume);
    const fits =
      fit && plan.fit
        ? fit.verdict === plan.fit.verdict
          ? `The cushion stays ${FIT_WORDS[fit.verdict]}.`
          : `The cushion becomes ${FIT_WORDS[fit.verdict]}; as planned it is ${FIT_WORDS[plan.fit.verdict]}.`
        : none;
    const off = formatLengthUnit(Math.abs(bandLongerMm), units, step);
    const apart =
      Math.abs(bandLongerMm) > CHANGED_MM
        ? ` The band is then ${off} too ${bandLongerMm > 0 ? 'long' : 'short'} for the plates’ edge: cut what goes with it anew, or keep it too.`
        : '';
    return fits + apart;
  }

  protected keepAll(): void {
    const all = Object.fromEntries(this.rows().map(({ source: { piece, then } }) => [piece, { sizes: [then[0], then[1]] as [number, number] }]));
    this.#data.work.change('All kept as they were cut', (bench) => ({ ...bench, kept: { ...bench.kept, ...all } }));
  }

  #size(pair: readonly [number, number]): string {
    const { units, step } = this.#data.store.inWords();
    return formatSize(pair, units, step);
  }

  #adaptWords(way: ReturnType<typeof adapting>): string {
    if (way === null) return 'It is too small: its seam would be too narrow to hold.';
    const { units, step } = this.#data.store.inWords();
    const [wide, high] = way.trimMm.map((mm) => (mm > CHANGED_MM ? formatLengthUnit(mm, units, step) : ''));
    const off = [wide && `${wide} off its width`, high && `${high} off its height`].filter(Boolean).join(' and ');
    const seam = way.seamMm === null ? '' : `Sew it with a seam of ${formatLengthUnit(way.seamMm, units, step)}.`;
    return [off && `Trim ${off}.`, seam].filter(Boolean).join(' ');
  }

  protected keep({ piece, then }: ChangedSince): void {
    this.#decide('Kept as it was cut', piece, { sizes: [then[0], then[1]] });
  }

  protected adapt({ piece, then, now }: ChangedSince): void {
    const source = this.rows().find((one) => one.piece === piece);
    const seamMm = source?.adapting?.seamMm ?? null;
    if (!source?.adapting || !now) return;
    if (seamMm !== null) this.#decide('Sewn with a narrower seam', piece, { sizes: [then[0], then[1]], seamMm });
    else
      // Trimmed, it is as planned: every step that remembers it does so now.
      this.#data.work.change('Trimmed to its size', (bench) => ({
        ...bench,
        done: Object.fromEntries(
          Object.entries(bench.done).map(([id, tick]) => [id, tick.sizes?.[piece] ? { ...tick, sizes: { ...tick.sizes, [piece]: [now[0], now[1]] } } : tick]),
        ),
      }));
  }

  #decide(label: string, piece: string, kept: { sizes: [number, number]; seamMm?: number }): void {
    this.#data.work.change(label, (bench) => ({ ...bench, kept: { ...bench.kept, [piece]: kept } }));
  }

  protected close(piece: string | null): void {
    this.#dialog.close(piece);
  }
}
