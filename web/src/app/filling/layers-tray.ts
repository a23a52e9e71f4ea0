import { LiveAnnouncer } from '@angular/cdk/a11y';
import { CdkDrag, CdkDragHandle, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { afterNextRender, ChangeDetectionStrategy, Component, computed, type ElementRef, inject, Injector, viewChildren } from '@angular/core';
import { offered, formatNumber, isFoam, KG_M3_PER_LB_FT3, N_PER_LBF, formatLength } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { Icon } from '../shared/icon';
import { QuantityField } from '../shared/controls/quantity-field';
import { LayerRow, Tool, TrayPart } from '../shared/ui/ui';
import { changeLayers, withThickness } from './layers';

/** The layers of the core, from the top down: what each is of, how thick, and in which order. */
@Component({
  selector: 'yl-layers-tray',
  imports: [LayerRow, Tool, Choice, QuantityField, Icon, CdkDropList, CdkDrag, CdkDragHandle],
  templateUrl: './layers-tray.html',
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LayersTray {
  protected readonly store = inject(JobStore);
  readonly #announcer = inject(LiveAnnouncer);
  readonly #injector = inject(Injector);
  private readonly ups = viewChildren<ElementRef<HTMLButtonElement>>('up');
  private readonly downs = viewChildren<ElementRef<HTMLButtonElement>>('down');
  protected readonly grades = computed(() => {
    const shop = this.store.shop()?.document;
    const named = (this.store.cushion()?.core.layers ?? []).map(({ grade }) => grade);
    return offered([...(shop?.grades ?? []), ...(shop?.fillings ?? [])], ...named).map(({ id, name }) => ({ value: id, name }));
  });

  protected setGrade(index: number, grade: string): void {
    changeLayers(this.store, 'Foam', (layers) => layers.map((layer, i) => (i === index ? { ...layer, grade } : layer)));
  }

  protected setThickness(index: number, mm: number | null): void {
    if (mm !== null) changeLayers(this.store, 'Layer thickness', withThickness(index, mm));
  }

  protected remove(index: number): void {
    changeLayers(this.store, 'Layer removed', (layers) => layers.filter((_, i) => i !== index));
  }

  /** Takes a layer to another place, 0 the top. */
  protected take(from: number, to: number): void {
    if (from === to) return;
    changeLayers(this.store, 'Layers in another order', (layers) => {
      const next = [...layers];
      moveItemInArray(next, from, to);
      return next;
    });
    void this.#announcer.announce(`Layer ${from + 1} is layer ${to + 1} now`);
  }

  /** A step up (−1) or down by its button, which stays in hand at the layer's new place; at either end the other one. */
  protected step(from: number, by: -1 | 1): void {
    const to = from + by;
    this.take(from, to);
    afterNextRender(
      () => {
        const [first, second] = by < 0 ? [this.ups(), this.downs()] : [this.downs(), this.ups()];
        [first[to], second[to]].find((one) => one && !one.nativeElement.disabled)?.nativeElement.focus();
      },
      { injector: this.#injector },
    );
  }

  /** Sheets in stock for a layer's foam, or the heights its filling is made in. */
  protected sheets(id: string): { value: string; name: string }[] {
    const { units, step } = this.store.inWords();
    return (this.store.shop()?.stock(id)?.thicknessesMm ?? []).map((mm) => ({ value: String(mm), name: formatLength(mm, units, step) }));
  }

  /** The stocked sheet that a thickness is; empty where it has to be split or glued. */
  protected sheetOf(id: string, thicknessMm: number): string {
    return String(
      this.store
        .shop()
        ?.stock(id)
        ?.thicknessesMm.find((mm) => Math.abs(mm - thicknessMm) < 0.5) ?? '',
    );
  }

  protected setSheet(index: number, value: string): void {
    if (value) this.setThickness(index, Number(value));
  }

  /** Density and hardness, always both: quality is not feel. */
  protected remark(id: string): string {
    const stock = this.store.shop()?.stock(id);
    if (!stock) return '';
    const inch = this.store.units() === 'inch';
    const density = inch ? `${formatNumber(stock.densityKgM3 / KG_M3_PER_LB_FT3, 1)} lb/ft³` : `${formatNumber(stock.densityKgM3)} kg/m³`;
    if (!isFoam(stock)) return `${density}, by a rule of thumb`;
    const hardness = inch ? `${formatNumber(stock.hardness25N / N_PER_LBF)} lbf` : `${formatNumber(stock.hardness25N)} N`;
    return `${density}, ${hardness} at 25 %${stock.quoted ? ', converted' : ''}`;
  }
}
