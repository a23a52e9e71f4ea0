import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { asymmetry, evenOut, formatLengthUnit, measured, outlineOf, type Keep, type Outline } from '@yardland/core';
import { JobStore } from '../job/job-store';

/** How far the halves differ, what would even them out, and everything that is measured on the outline. */
@Component({
  selector: 'yl-even-tray',
  template: `
    @if (measures(); as all) {
      <p class="tray-words">{{ verdict() }}</p>
      <div class="points-tools">
        <button type="button" class="button strong" [disabled]="even()" (click)="take('average')">Average the halves</button>
        <button type="button" class="button" [disabled]="even()" (click)="take('left')">Keep the left</button>
        <button type="button" class="button" [disabled]="even()" (click)="take('right')">Keep the right</button>
      </div>
      <dl class="facts">
        @for (row of all; track row.word) {
          <div>
            <dt>{{ row.word }}</dt>
            <dd>{{ row.value }}</dd>
          </div>
        }
      </dl>
    }
  `,
  host: { class: 'tray-part' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class EvenTray {
  protected readonly store = inject(JobStore);
  readonly drawn = output<{ readonly label: string; readonly change: (outline: Outline) => Outline }>();
  readonly #outline = computed(() => {
    const cushion = this.store.cushion();
    return cushion && this.store.cushionPlan()?.outlines ? outlineOf(cushion.template).outline : null;
  });
  readonly #worst = computed(() => {
    const outline = this.#outline();
    return outline ? asymmetry(outline).worstMm : 0;
  });
  /** Halves this near are the same at the bench. */
  protected readonly even = computed(() => this.#worst() < 0.1);
  protected readonly verdict = computed(() =>
    this.even()
      ? 'Both halves are the same.'
      : `Folded on the centre line the halves differ by ${this.#mm(this.#worst())} at the worst place. Left as it is, the seat stays as it was measured.`,
  );
  protected readonly measures = computed(() => {
    const outline = this.#outline();
    if (!outline) return null;
    const all = measured(outline);
    return [
      { word: 'all round', value: this.#mm(all.perimeterMm) },
      { word: 'area', value: `${(all.areaMm2 / 1e6).toFixed(3)} m²` },
      { word: 'diagonals', value: all.diagonalsMm.map((mm) => this.#mm(mm)).join(' and ') },
      {
        word: 'smallest radius',
        value: Number.isFinite(all.smallestRadiusMm) ? this.#mm(all.smallestRadiusMm) : 'no curve',
      },
    ];
  });

  protected take(keep: Keep): void {
    const label = { average: 'Halves averaged', left: 'Left half kept', right: 'Right half kept' }[keep];
    this.drawn.emit({ label, change: (outline) => evenOut(outline, keep) ?? outline });
  }

  #mm(mm: number): string {
    const { units, step } = this.store.inWords();
    return formatLengthUnit(mm, units, step);
  }
}
