import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { deciding, FIT_WORDS, flatten, formatLength, formatLengthUnit, formatNumber, outlineBounds, type Compared, type Figure } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { SolvePool } from '../job/solve-pool';
import { trialAsk } from '../job/trial-ask';

interface Row {
  readonly id: string;
  readonly key: number;
  readonly name: string;
  readonly idea: string;
  readonly finished: string;
  readonly core: string;
  readonly sewn: string;
  readonly cut: string;
  readonly pieces: number;
  readonly crown: string;
  readonly fit: string;
  readonly cloth: string;
  readonly foam: string;
  readonly here: boolean;
  readonly cutPath: string;
  readonly corePath: string;
  readonly box: string;
}

/** The cushion through every school side by side; one is taken with its number key, or by its button. */
@Component({
  selector: 'yl-compare-dialog',
  template: `
    <div class="dialog widest">
      <h2 id="compare-title">Compare schools</h2>
      <p>
        {{ asked() }} Each school with its own wrap and all its numbers, the core as thick as it asks. Solid is the cut plate, shaded the core. Press a number
        to take a school.
      </p>
      @if (working(); as words) {
        <p class="tray-words" role="status">{{ words }}</p>
      }
      <div class="schools-beside">
        <table>
          <thead>
            <tr>
              <th scope="col">School</th>
              <th scope="col"><span class="sr-only">Outlines over each other</span></th>
              <th scope="col" class="num">Finished</th>
              <th scope="col" class="num">Core</th>
              <th scope="col" class="num">Sewn</th>
              <th scope="col" class="num">Plate, cut</th>
              <th scope="col" class="num">Pieces</th>
              <th scope="col" class="num">Crown</th>
              <th scope="col">Fits, N/m</th>
              <th scope="col" class="num">Cloth m²</th>
              <th scope="col" class="num">Foam l</th>
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.id) {
              <tr [class.here]="row.here">
                <th scope="row" [title]="row.idea">
                  <b class="place">{{ row.key }}</b> {{ row.name }}
                </th>
                <td>
                  <svg class="thumb" [attr.viewBox]="row.box" aria-hidden="true">
                    <path class="thumb-core" [attr.d]="row.corePath" />
                    <path class="thumb-cut" [attr.d]="row.cutPath" />
                  </svg>
                </td>
                <td class="num">{{ row.finished }}</td>
                <td class="num">{{ row.core }}</td>
                <td class="num">{{ row.sewn }}</td>
                <td class="num">{{ row.cut }}</td>
                <td class="num">{{ row.pieces }}</td>
                <td class="num">{{ row.crown }}</td>
                <td class="fits">{{ row.fit }}</td>
                <td class="num">{{ row.cloth }}</td>
                <td class="num">{{ row.foam }}</td>
                <td>
                  @if (row.here) {
                    <span class="far">in hand</span>
                  } @else {
                    <button type="button" class="button" [attr.aria-label]="'Take ' + row.name" (click)="close(row.id)">Take</button>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <div class="dialog-foot"><button type="button" class="button strong" (click)="close(null)">Done</button></div>
    </div>
  `,
  host: { '(keydown)': 'pressed($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<string | null>>(DialogRef);
  readonly #pool = inject(SolvePool);
  readonly #compared = signal<readonly Compared[]>([]);
  /** How many schools are worked out, or why they could not be. */
  protected readonly working = signal<string | null>('Working the schools out …');

  protected readonly asked = computed(() => {
    const [cushion, { units, step }] = [this.#store.cushion(), this.#store.inWords()];
    return cushion ? `${cushion.name}, ${formatLengthUnit(cushion.heightMm, units, step)} high.` : '';
  });

  protected readonly rows = computed<readonly Row[]>(() => {
    const { units, step } = this.#store.inWords();
    const size = (...figures: readonly (Figure | undefined)[]): string => figures.map((figure) => formatLength(figure?.value ?? 0, units, step)).join(' × ');
    return this.#compared().map(({ school, plan, clothMm2, foamMm3 }, i): Row => {
      const { sizes, outlines, fit } = plan;
      const path = (which: 'cut' | 'core'): string =>
        outlines
          ? `M${flatten(outlines[which], 1)
              .map((p) => `${p.x.toFixed(1)} ${(-p.y).toFixed(1)}`)
              .join('L')}Z`
          : '';
      const box = outlines ? outlineBounds(outlines.finished) : { minX: 0, minY: 0, maxX: 1, maxY: 1 };
      const margin = (box.maxX - box.minX) * 0.08 + 20;
      return {
        id: school.id,
        key: i + 1,
        name: school.name,
        idea: school.idea,
        finished: sizes ? size(sizes.finished.width, sizes.finished.depth, sizes.finished.height) : '—',
        core: sizes ? size(sizes.core.width, sizes.core.depth, sizes.core.height) : '—',
        sewn: sizes ? size(sizes.sewn.width, sizes.sewn.depth, sizes.sewn.height) : '—',
        cut: sizes ? size(sizes.cut.width, sizes.cut.depth) : '—',
        pieces: plan.pieces.reduce((sum, piece) => sum + piece.countPerCushion, 0),
        crown: fit ? formatLength(fit.crownMm, units, step) : '—',
        fit: fit ? `${FIT_WORDS[fit.verdict]}, ${formatNumber(deciding(fit))}${fit.bowRisk ? ', may bow' : ''}` : 'not known',
        cloth: (clothMm2 / 1e6).toFixed(2),
        foam: (foamMm3 / 1e6).toFixed(1),
        here: school.id === this.#store.cushion()?.school,
        cutPath: path('cut'),
        corePath: path('core'),
        box: `${box.minX - margin} ${-box.maxY - margin} ${box.maxX - box.minX + 2 * margin} ${box.maxY - box.minY + 2 * margin}`,
      };
    });
  });

  protected pressed(event: KeyboardEvent): void {
    const row = this.rows()[Number(event.key) - 1];
    if (row && !event.ctrlKey && !event.metaKey && !event.altKey) this.close(row.id);
  }

  protected close(id: string | null): void {
    this.#dialog.close(id);
  }

  constructor() {
    const [cushion, job, shop] = [this.#store.cushion(), this.#store.job(), this.#store.shop()];
    if (!cushion || !job || !shop) return;
    this.#pool
      .try(trialAsk('yardland/compare-ask@1', cushion, job, shop))
      .pipe(takeUntilDestroyed())
      .subscribe((says) => {
        if (says.kind === 'trying') this.working.set(`Working the schools out: ${says.progress.done} of ${says.progress.of}`);
        if (says.kind === 'failed') this.working.set(`The schools could not be compared: ${says.message}`);
        if (says.kind !== 'tried' || says.answer.format !== 'yardland/compare-answer@1') return;
        this.working.set(null);
        this.#compared.set(says.answer.compared);
      });
  }
}
