import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import {
  areaUnit,
  boardFeet,
  type Compared,
  type Figure,
  FIT_WORDS,
  formatAreaNumber,
  formatLength,
  formatLengthUnit,
  formatPressure,
  formatPressureUnit,
  formatTension,
  formatTensionUnit,
} from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { SolvePool } from '../job/solving/solve-pool';
import { trialAsk } from '../job/solving/trial-ask';
import { ComparedCells, type ComparedColumn, type ComparedRow, Comparison } from '../shared/comparison';
import { EDGE_BOX, edgeLanes, type EdgeLane } from './school-edges';

interface Row extends ComparedRow<string> {
  readonly core: string;
  readonly sewn: string;
  readonly cut: string;
  readonly crown: string;
  readonly fit: string;
  readonly cloth: string;
  readonly foam: string;
  /** Pressures and tensions, across and front to back. */
  readonly pressure: string;
  readonly tension: string;
  readonly lanes: readonly EdgeLane[];
}

/** The cushion through every school side by side; one is taken with its number key, or by its button. */
@Component({
  selector: 'yl-compare-dialog',
  imports: [Comparison, ComparedCells],
  template: `
    <yl-comparison title="Compare schools" [idea]="idea()" [working]="working()" what="School" [columns]="columns()" [rows]="rows()" (closed)="close($event)">
      <ng-template [ylCells]="rows()" let-row>
        <td class="wide">
          <svg
            class="block w-47.5 h-13.5 [&_text]:fill-ink-soft [&_text]:text-tiny [&_path]:fill-none [&_path]:stroke-2"
            [attr.viewBox]="edgeBox"
            aria-hidden="true"
          >
            @for (lane of row.lanes; track lane.name) {
              <text class="lane" x="0" [attr.y]="lane.y + 11">{{ lane.name }}</text>
              <rect class="fill-straw stroke-straw-line" [attr.x]="lane.fromX" [attr.y]="lane.y + 2" [attr.width]="lane.coreX - lane.fromX" height="11" />
              @if (lane.wrapX > lane.coreX) {
                <rect
                  class="fill-sage stroke-sage-line [stroke-dasharray:3_2]"
                  [attr.x]="lane.coreX"
                  [attr.y]="lane.y + 2"
                  [attr.width]="lane.wrapX - lane.coreX"
                  height="11"
                />
              }
              <path class="stroke-ink-soft [stroke-dasharray:1.5_2.5]" [attr.d]="'M' + lane.finishedX + ' ' + lane.y + 'v15'" />
              <path class="stroke-chalk [stroke-dasharray:4_2]" [attr.d]="'M' + lane.sewnX + ' ' + lane.y + 'v15'" />
              <path class="stroke-madder" [attr.d]="'M' + lane.cutX + ' ' + lane.y + 'v15'" />
              <text class="font-semibold fill-ink!" [attr.x]="lane.figureX" [attr.y]="lane.y + 11">{{ lane.figure }}</text>
            }
          </svg>
        </td>
        <td class="figure">{{ row.core }}</td>
        <td class="figure">{{ row.sewn }}</td>
        <td class="figure">{{ row.cut }}</td>
        <td class="figure">{{ row.crown }}</td>
        <td class="whitespace-nowrap">
          {{ row.fit }}<small>{{ row.pressure }}</small
          ><small>{{ row.tension }}</small>
        </td>
        <td class="figure">{{ row.cloth }}</td>
        <td class="figure">{{ row.foam }}</td>
      </ng-template>
    </yl-comparison>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<string | null>>(DialogRef);
  readonly #pool = inject(SolvePool);
  readonly #compared = signal<readonly Compared[]>([]);
  /** How many schools are worked out, or why they could not be. */
  protected readonly working = signal<string | null>('Working the schools out …');

  protected readonly edgeBox = EDGE_BOX;
  protected readonly columns = computed<readonly ComparedColumn[]>(() => {
    const units = this.#store.units();
    const inch = units === 'inch';
    return [
      { words: `At the edge, ${inch ? 'in' : 'mm'}`, wide: true },
      ...['Core', 'Sewn', 'Plate, cut', 'Crown'].map((words) => ({ words, figure: true })),
      { words: 'Fits' },
      { words: `Cloth ${areaUnit(units)}`, figure: true },
      { words: `Foam ${inch ? 'bd ft' : 'l'}`, figure: true },
    ];
  });

  protected readonly idea = computed(() => {
    const [cushion, { units, step }] = [this.#store.cushion(), this.#store.inWords()];
    const asked = cushion ? `${cushion.name}, ${formatLengthUnit(cushion.heightMm, units, step)} high. ` : '';
    return `${asked}Each school with its own wrap and all its numbers, the core as thick as it asks. Drawn at the edge: how far core (shaded), wrap (broken outline), seam (dashed) and cut (solid) stand over or short of the finished size (dotted). Press a number to take a school.`;
  });

  protected readonly rows = computed<readonly Row[]>(() => {
    const { units, step } = this.#store.inWords();
    const size = (...figures: readonly (Figure | undefined)[]): string => figures.map((figure) => formatLength(figure?.value ?? 0, units, step)).join(' × ');
    return this.#compared().map(({ school, plan, clothMm2, foamMm3 }, i): Row => {
      const { sizes, fit } = plan;
      return {
        key: String(i + 1),
        takes: school.id,
        name: school.name,
        idea: school.idea,
        core: sizes ? size(sizes.core.width, sizes.core.depth, sizes.core.height) : '—',
        sewn: sizes ? size(sizes.sewn.width, sizes.sewn.depth, sizes.sewn.height) : '—',
        cut: sizes ? size(sizes.cut.width, sizes.cut.depth) : '—',
        crown: fit ? formatLength(fit.crownMm, units, step) : '—',
        fit: fit ? `${FIT_WORDS[fit.verdict]}${fit.bowRisk ? ', may bow' : ''}` : 'not known',
        pressure: fit ? `${formatPressure(fit.pressureAcrossPa, units)} | ${formatPressureUnit(fit.pressureAlongPa, units)}` : '',
        tension: fit ? `${formatTension(fit.tensionAcrossNPerM, units)} | ${formatTensionUnit(fit.tensionAlongNPerM, units)}` : '',
        cloth: formatAreaNumber(clothMm2, units),
        foam: (units === 'inch' ? boardFeet(foamMm3) : foamMm3 / 1e6).toFixed(1),
        here: school.id === this.#store.cushion()?.school,
        lanes: edgeLanes(plan, units, step),
      };
    });
  });

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
