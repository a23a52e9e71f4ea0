import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { area, formatLengthUnit, formatNumber, gluedArea, kerfOf, pieceLabel, type CuttingTool, type LaySubject } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/choice';
import { Facts, type Fact } from '../shared/facts';
import { QuantityField } from '../shared/quantity-field';

/** How the core is cut and put together: its height, what each layer's own plan is, what is glued, what the saw leaves. */
@Component({
  selector: 'yl-core-tray',
  imports: [QuantityField, Choice, Facts],
  template: `
    <yl-quantity
      class="few"
      label="Finished height"
      [mm]="store.cushion()?.heightMm ?? 0"
      [minMm]="5"
      [maxMm]="1000"
      [units]="store.units()"
      [step]="store.step()"
      (changed)="setHeight($event)"
    />
    <yl-choice class="few wider" label="Cut with" [options]="tools" [value]="store.cushion()?.core?.tool ?? 'saw'" (changed)="setTool($event)" />
    @if ((store.cushion()?.core?.layers?.length ?? 0) > 1) {
      <yl-choice label="Top layer" [options]="fronts" [value]="store.cushion()?.core?.layers?.[0]?.overFront ? 'over' : 'flat'" (changed)="setFront($event)" />
    }
    @for (layer of store.cushion()?.core?.layers ?? []; track $index; let i = $index) {
      <yl-quantity
        [label]="(store.cushion()?.core?.layers?.length ?? 0) > 1 ? 'Bevel, layer ' + (i + 1) : 'Bevel of the upper edges'"
        [mm]="layer.bevelMm ?? null"
        [optional]="true"
        [maxMm]="100"
        class="few"
        hint="none"
        [units]="store.units()"
        [step]="store.step()"
        (changed)="setBevel(i, $event)"
      />
    }
    <yl-facts [facts]="facts()" />
  `,
  host: { class: 'tray-part' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CoreTray {
  protected readonly store = inject(JobStore);
  protected readonly tools = [
    { value: 'saw', name: 'foam saw' },
    { value: 'knife', name: 'knife' },
    { value: 'hot-wire', name: 'hot wire' },
  ];
  protected readonly fronts = [
    { value: 'flat', name: 'lies flat' },
    { value: 'over', name: 'rolls over the front' },
  ];

  protected readonly facts = computed<readonly Fact[]>(() => {
    const [one, shop, job] = [this.store.cushionPlan(), this.store.shop(), this.store.job()];
    if (!one?.sizes || !one.outlines || !shop || !job) return [];
    const { units, step } = this.store.inWords();
    const length = (mm: number): string => formatLengthUnit(mm, units, step);
    const foam = one.pieces.filter((piece) => piece.material === 'foam');
    const glued = gluedArea(one.pieces, one.source.core.layers, area(one.outlines.core), Math.min(one.sizes.core.width.value, one.sizes.core.depth.value));
    const parts = foam.filter((piece) => piece.glued);
    const mine = (subject: LaySubject): boolean =>
      subject.kind === 'foam' &&
      one.source.core.layers.some((layer) => layer.grade === subject.grade && Math.abs(layer.thicknessMm - subject.thicknessMm) < 0.01);
    const foamLays = this.store.plan()?.lays.filter(({ subject }) => mine(subject)) ?? [];
    const left = foamLays.flatMap(({ answer, request }) => {
      if (!answer || request.material.kind !== 'sheet') return [];
      const rest = request.material.lengthMm - answer.lengthMm;
      return rest > 150 ? [`${length(rest)} × ${length(request.material.widthMm)}`] : [];
    });
    return [
      { name: 'Kerf between pieces', says: length(kerfOf(one.source.core.tool, (key) => shop.assume(key, job.units))) },
      ...(parts.length
        ? [{ name: 'Glued up from', says: parts.map((piece) => `${pieceLabel(piece).replace(/^foam,? ?/, '')}: ${length(piece.width.value)}`).join(' · ') }]
        : []),
      ...(glued > 0 ? [{ name: 'To glue, for one', says: `${formatNumber(glued / 1e6, 2)} m²` }] : []),
      ...(left.length ? [{ name: 'Left of the last sheet, for the remnants', says: left.join(' · ') }] : []),
    ];
  });

  protected setHeight(mm: number | null): void {
    if (mm !== null) this.store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: mm }));
  }

  protected setTool(value: string): void {
    this.store.editCushion('Cutting tool', ({ core: { tool: _before, ...core }, ...cushion }) => ({
      ...cushion,
      core: value === 'saw' ? core : { ...core, tool: value as CuttingTool },
    }));
  }

  protected setFront(value: string): void {
    this.#layer('Top layer', 0, ({ overFront: _before, ...layer }) => (value === 'over' ? { ...layer, overFront: true } : layer));
  }

  protected setBevel(index: number, mm: number | null): void {
    this.#layer('Bevel', index, ({ bevelMm: _before, ...layer }) => (mm ? { ...layer, bevelMm: mm } : layer));
  }

  #layer(label: string, index: number, change: (layer: Layer) => Layer): void {
    this.store.editCushion(label, (cushion) => ({
      ...cushion,
      core: { ...cushion.core, layers: cushion.core.layers.map((layer, i) => (i === index ? change(layer) : layer)) },
    }));
  }
}

type Layer = NonNullable<ReturnType<JobStore['cushion']>>['core']['layers'][number];
