import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { area, formatLengthUnit, formatArea, gluedArea, HEIGHT_WORDS, kerfOf, type CuttingTool } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { capital } from '../shared/words/capital';
import { Choice } from '../shared/controls/choice';
import { Facts, type Fact } from '../shared/facts';
import { QuantityField } from '../shared/controls/quantity-field';
import { TrayPart } from '../shared/ui/ui';
import { MEASURED_SIDES } from './build-words';

/** How the core is cut and put together: its height, what each layer's own plan is, what is glued, what the saw leaves. */
@Component({
  selector: 'yl-core-tray',
  imports: [QuantityField, Choice, Facts],
  template: `
    <yl-quantity class="few" [label]="heightWords()" [value]="store.cushion()?.heightMm ?? 0" [min]="5" [max]="1000" (valueChange)="setHeight($event)" />
    <yl-choice class="few wider" label="Cut with" [options]="tools" [value]="store.cushion()?.core?.tool ?? 'saw'" (picked)="setTool($event)" />
    @if ((store.cushion()?.core?.layers?.length ?? 0) > 1) {
      <yl-choice label="Top layer" [options]="fronts" [value]="store.cushion()?.core?.layers?.[0]?.overFront ? 'over' : 'flat'" (picked)="setFront($event)" />
    }
    @for (layer of store.cushion()?.core?.layers ?? []; track $index; let i = $index) {
      <yl-quantity
        [label]="(store.cushion()?.core?.layers?.length ?? 0) > 1 ? 'Bevel, layer ' + (i + 1) : 'Bevel'"
        [value]="layer.bevelMm ?? null"
        [optional]="true"
        [max]="100"
        class="few"
        hint="none"
        (valueChange)="setBevel(i, $event)"
      />
    }
    @for (side of sides; track side.key) {
      <yl-quantity
        class="few"
        [label]="'As cut, ' + side.name"
        [value]="store.cushion()?.core?.asCut?.[side.key] ?? null"
        [optional]="true"
        [max]="side.most"
        hint="measured after cutting"
        (valueChange)="setAsCut(side.key, $event)"
      />
    }
    <yl-facts [facts]="facts()" />
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CoreTray {
  protected readonly store = inject(JobStore);
  protected readonly tools = [
    { value: 'saw', name: 'foam saw' },
    { value: 'knife', name: 'knife' },
    { value: 'hot-wire', name: 'hot wire' },
  ];
  protected readonly sides = MEASURED_SIDES;
  protected readonly fronts = [
    { value: 'flat', name: 'lies flat' },
    { value: 'over', name: 'rolls over the front' },
  ];

  protected readonly facts = computed<readonly Fact[]>(() => {
    const [one, shop, job] = [this.store.cushionPlan(), this.store.shop(), this.store.job()];
    if (!one?.sizes || !one.outlines || !shop || !job) return [];
    const { units, step } = this.store.inWords();
    const length = (mm: number): string => formatLengthUnit(mm, units, step);
    const foam = one.pieces.filter((piece) => piece.material.kind === 'foam');
    const glued = gluedArea(one.pieces, one.source.core.layers, area(one.outlines.core), Math.min(one.sizes.core.width.value, one.sizes.core.depth.value));
    const parts = foam.filter((piece) => piece.glued);
    return [
      { name: 'Kerf between pieces', says: length(kerfOf(one.source.core.tool, (key) => shop.assume(key, job.units))) },
      ...(parts.length
        ? [{ name: 'Glued up from', says: parts.map((piece) => `${piece.label.replace(/^foam,? ?/, '')}: ${length(piece.width.value)}`).join(' · ') }]
        : []),
      ...(glued > 0 ? [{ name: 'To glue, for one', says: formatArea(glued, units) }] : []),
    ];
  });

  protected readonly heightWords = computed(() => capital(HEIGHT_WORDS[this.store.cushion()?.given ?? 'finished']));

  protected setHeight(mm: number | null): void {
    if (mm !== null) this.store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: mm }));
  }

  protected setTool(value: string): void {
    this.store.editCushion('Cutting tool', ({ core: { tool: _before, ...core }, ...cushion }) => ({
      ...cushion,
      core: value === 'saw' ? core : { ...core, tool: value as CuttingTool },
    }));
  }

  /** A size of the core as it came off the saw; none: as planned. */
  protected setAsCut(key: 'widthMm' | 'depthMm' | 'heightMm', mm: number | null): void {
    this.store.editCushion('Core as cut', ({ core: { asCut, ...core }, ...cushion }) => {
      const { [key]: _before, ...rest } = asCut ?? {};
      const next = mm === null ? rest : { ...rest, [key]: mm };
      return { ...cushion, core: Object.keys(next).length ? { ...core, asCut: next } : core };
    });
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
