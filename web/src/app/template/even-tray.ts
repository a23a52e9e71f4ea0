import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import {
  asymmetry,
  evenOut,
  formatArea,
  formatLengthUnit,
  grow,
  growEdges,
  MARK_EDGES,
  measured,
  outlineOf,
  withoutEars,
  type Keep,
  type Outline,
} from '@yardland/core';
import { JobStore } from '../job/job-store';
import { QuantityField } from '../shared/controls/quantity-field';
import { Button, TrayPart, TrayRow, Words } from '../shared/ui/ui';

/** How far the halves differ, what would even them out, and everything that is measured on the outline. */
@Component({
  selector: 'yl-even-tray',
  imports: [Words, TrayRow, Button, QuantityField],
  template: `
    @if (measures(); as all) {
      <p ylWords>{{ verdict() }}</p>
      <div ylTrayRow>
        <button type="button" ylButton="strong" [disabled]="even()" (click)="take('average')">Average the halves</button>
        <button type="button" ylButton [disabled]="even()" (click)="take('left')">Keep the left</button>
        <button type="button" ylButton [disabled]="even()" (click)="take('right')">Keep the right</button>
      </div>
      <div ylTrayRow role="group" aria-label="Grow or shrink">
        @for (edge of edges; track edge) {
          <yl-quantity class="few" [label]="'Grow ' + edge" [min]="-500" [max]="500" [value]="amounts()[edge]" (valueChange)="setAmount(edge, $event ?? 0)" />
        }
        <button type="button" ylButton [disabled]="!grows()" (click)="grow()">Grow it</button>
        <button type="button" ylButton (click)="takePenOff()">Take the pen off, {{ pen() }}</button>
        <button type="button" ylButton (click)="takeEarsOff()">Take the ears off, {{ ears() }}</button>
      </div>
      <dl
        class="flex flex-wrap gap-y-1 gap-x-6.5 [&_dt]:text-label [&_dt]:text-ink-soft [&_dd]:mt-0.5 [&_dd]:text-dialog [&_dd]:font-[650] [&_dd]:leading-10 [&_small]:text-label [&_small]:font-normal"
      >
        @for (row of all; track row.word) {
          <div>
            <dt>{{ row.word }}</dt>
            <dd>{{ row.value }}</dd>
          </div>
        }
      </dl>
    }
  `,
  hostDirectives: [TrayPart],
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
      { word: 'area', value: formatArea(all.areaMm2, this.store.units(), 3) },
      { word: 'diagonals', value: all.diagonalsMm.map((mm) => this.#mm(mm)).join(' and ') },
      {
        word: 'smallest radius',
        value: Number.isFinite(all.smallestRadiusMm) ? this.#mm(all.smallestRadiusMm) : 'no curve',
      },
    ];
  });

  protected readonly edges = MARK_EDGES;
  readonly #penMm = computed(() => this.store.shop()?.assume('penAllowanceMm', this.store.job()?.units ?? 'metric') ?? 0);
  readonly #earShare = computed(() => this.store.shop()?.assume('earRunOut', this.store.job()?.units ?? 'metric') ?? 0);
  readonly #earMm = computed(() => this.store.shop()?.assume('earTrimMm', this.store.job()?.units ?? 'metric') ?? 0);
  protected readonly ears = computed(() => this.#mm(this.#earMm()));
  protected readonly pen = computed(() => this.#mm(this.#penMm()));
  /** What each side is to be grown by; a front that runs under a rail gets more. */
  protected readonly amounts = signal({ front: 0, right: 0, back: 0, left: 0 });
  protected readonly grows = computed(() => Object.values(this.amounts()).some((mm) => mm !== 0));

  protected setAmount(edge: (typeof MARK_EDGES)[number], mm: number): void {
    this.amounts.update((amounts) => ({ ...amounts, [edge]: mm }));
  }

  protected grow(): void {
    const amounts = this.amounts();
    const corner = Math.min(...Object.values(amounts));
    this.drawn.emit({
      label: 'Outline grown',
      change: (outline) => {
        const grown = growEdges(outline, { ...amounts, corner });
        return grown.ok ? grown.outline : outline;
      },
    });
    this.amounts.set({ front: 0, right: 0, back: 0, left: 0 });
  }

  /** Drawn round foam with a marker: the line lies outside the edge by the shop's figure. */
  protected takePenOff(): void {
    const mm = -this.#penMm();
    this.drawn.emit({
      label: 'Pen taken off',
      change: (outline) => {
        const grown = grow(outline, mm);
        return grown.ok ? grown.outline : outline;
      },
    });
  }

  /** A knife-edge pillow: corners taken in so that they do not stand out as ears. */
  protected takeEarsOff(): void {
    const [mm, share] = [this.#earMm(), this.#earShare()];
    this.drawn.emit({ label: 'Ears taken off', change: (outline) => withoutEars(outline, mm, share) });
  }

  protected take(keep: Keep): void {
    const label = { average: 'Halves averaged', left: 'Left half kept', right: 'Right half kept' }[keep];
    this.drawn.emit({ label, change: (outline) => evenOut(outline, keep) ?? outline });
  }

  #mm(mm: number): string {
    const { units, step } = this.store.inWords();
    return formatLengthUnit(mm, units, step);
  }
}
