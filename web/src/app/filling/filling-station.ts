import { LiveAnnouncer } from '@angular/cdk/a11y';
import { CdkDrag, CdkDragHandle, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { Icon } from '../shared/icon';
import {
  BUILDS,
  cushionFeel,
  fillingLayers,
  formatLength,
  formatLengthUnit,
  formatNumber,
  isFoam,
  KG_M3_PER_LB_FT3,
  layerOf,
  massOf,
  N_PER_LBF,
  type Build,
  type Cushion,
  type Feel,
  type FeelVerdict,
  type FillingLayer,
  type Ranked,
} from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/choice';
import { Dialogs } from '../shared/dialogs';
import { LineChart, type ChartLine } from '../shared/line-chart';
import { QuantityField } from '../shared/quantity-field';
import type { Scene } from '../shared/table/scene';
import { Table, type Edit, type Move } from '../shared/table/table';
import { Button, Label, LayerRow, SidePanel, Split, StationFrame, Tool, Tray, Words } from '../shared/ui/ui';
import type { ChooseData, ChooseResult } from './choose-dialog';
import { dropIndex, fillingScene } from './filling-scene';

const BUILD_NAMES = ['nobody', 'a child', 'slight', 'middling', 'sturdy', 'heavy'];
/** Each verdict, and what would mend it. */
const VERDICTS: Record<FeelVerdict, string> = {
  'bottoms-out': 'Bottoms out: a firmer base, or a thicker stack.',
  'near-bottom': 'Near its bottom: a little firmer or thicker.',
  'board-like': 'Sits like a board: a softer top, or more of it.',
  'hard-to-rise': 'Hard to get up from: firmer, or a higher seat.',
};

/** The stack of layers in section, to scale; soft above, firm below. */
@Component({
  selector: 'yl-filling-station',
  imports: [Split, SidePanel, Words, Label, Tray, LayerRow, Tool, Button, Table, Choice, QuantityField, LineChart, Icon, CdkDropList, CdkDrag, CdkDragHandle],
  templateUrl: './filling-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FillingStation {
  protected readonly store = inject(JobStore);
  protected readonly grades = computed(() => {
    const shop = this.store.shop()?.document;
    return [...(shop?.grades ?? []), ...(shop?.fillings ?? [])].map(({ id, name }) => ({ value: id, name }));
  });

  /** Which sitter is on the cushion: 0 nobody, then the builds from the lightest. */
  protected readonly sitting = linkedSignal(() => {
    const builds = (this.store.cushion()?.seat?.sitters ?? []).map((sitter) => BUILDS.indexOf(sitter.build) + 1);
    return builds.length ? Math.max(...builds) : BUILDS.indexOf('middling') + 1;
  });
  protected readonly most = BUILDS.length;
  readonly #announcer = inject(LiveAnnouncer);
  readonly #dialogs = inject(Dialogs);
  protected readonly rivals = signal<readonly Ranked[]>([]);

  readonly #layers = computed(() => {
    const [cushion, shop] = [this.store.cushion(), this.store.shop()];
    return cushion && shop ? fillingLayers(cushion, shop) : null;
  });
  /** A roll: its layers are no stack that is sat on. */
  protected readonly rolled = computed(() => this.store.cushionPlan()?.profile?.kind === 'body');

  /** How the stack feels under the sitter on it; null for nobody, or while a foam is not known. */
  readonly #feel = computed(() => {
    const build = BUILDS[this.sitting() - 1];
    return build ? this.#feelUnder(this.#layers(), build) : null;
  });

  protected readonly scene = computed<Scene>(() => {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    const fit = `filling ${this.store.cushionIndex()} ${one?.source.core.layers.length ?? 0}`;
    return one && shop ? fillingScene(one, shop, this.#feel(), fit, this.store.inWords()) : { title: 'Filling', fit, items: [] };
  });

  protected readonly readings = computed(() => {
    const [feel, { units, step }] = [this.#feel(), this.store.inWords()];
    if (!feel) return null;
    const words = (mm: number): string => formatLengthUnit(mm, units, step);
    return {
      feel: feel.feel,
      sink: words(feel.sinkMm),
      give: words(feel.giveMm),
      peak: `${formatNumber(feel.peakStrain * 100)} %`,
      sat: feel.satHeightMm === null ? null : words(feel.satHeightMm),
      verdicts: feel.verdicts.map((verdict) => VERDICTS[verdict]),
      unsaid: this.store.cushion()?.seat?.support === undefined,
    };
  });
  protected readonly sitterWords = computed(() => BUILD_NAMES[this.sitting()] ?? '');

  protected readonly lines = computed<readonly ChartLine[]>(() => {
    const own = this.#line('this stack', this.#layers());
    const rivals = this.rivals().map((rival) =>
      this.#line(
        this.#rivalName(rival),
        rival.layers.flatMap(({ grade, thicknessMm }) => {
          const stock = this.store.shop()?.stock(grade);
          return stock ? [layerOf(stock, thicknessMm)] : [];
        }),
      ),
    );
    return [own, ...rivals].filter((line) => line !== null);
  });
  protected readonly chartWords = computed(() =>
    this.lines()
      .map((line) => `${line.name}: ${line.marks.map((mark) => `${mark.name} sinks ${formatNumber(mark.x, 1)}`).join(', ')}`)
      .join('. '),
  );

  protected sit(value: string): void {
    this.sitting.set(Number(value));
  }

  protected askSitters(): void {
    void this.#dialogs.open(async () => (await import('./sitters-dialog')).SittersDialog, { data: this.store, labelledBy: 'sitters-title' });
  }

  protected async chooseForMe(): Promise<void> {
    const result = await this.#dialogs.open<ChooseResult, ChooseData>(async () => (await import('./choose-dialog')).ChooseDialog, {
      data: { store: this.store, rivals: this.rivals() },
      labelledBy: 'choose-title',
    });
    if (!result) return;
    this.rivals.set(result.rivals);
    const take = result.take;
    if (take) this.#change('Filling chosen', () => take.layers.map(({ grade, thicknessMm }) => ({ grade, thicknessMm })));
  }

  #feelUnder(layers: readonly FillingLayer[] | null, build: Build): Feel | null {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    if (!layers || !one || !shop) return null;
    const units = this.store.units();
    const posture =
      this.store.cushion()?.seat?.sitters?.find((sitter) => sitter.build === build)?.posture ?? (one.source.seat?.part === 'mattress' ? 'lying' : 'upright');
    return cushionFeel(one.source, one.wrap?.value ?? 0, layers, { massKg: massOf(build, (key) => shop.assume(key, units)), posture }, shop, units);
  }

  #line(name: string, layers: readonly FillingLayer[] | null): ChartLine | null {
    const heaviest = this.#feelUnder(layers, 'heavy');
    if (!heaviest) return null;
    const per = this.store.units() === 'inch' ? 25.4 : 1;
    const point = ({ pressurePa, sinkMm }: { pressurePa: number; sinkMm: number }) => ({ y: pressurePa / 1000, x: sinkMm / per });
    const marks = BUILDS.flatMap((build, i) => {
      const feel = this.#feelUnder(layers, build);
      return feel ? [{ name: BUILD_NAMES[i + 1] ?? build, ...point({ pressurePa: feel.meanPressurePa, sinkMm: feel.sinkMm }) }] : [];
    });
    return { name, points: [{ x: 0, y: 0 }, ...heaviest.curve.map(point)], marks };
  }

  #rivalName(rival: Ranked): string {
    const { units, step } = this.store.inWords();
    return rival.layers
      .map((layer) => `${formatLengthUnit(layer.thicknessMm, units, step)} ${this.store.shop()?.stock(layer.grade)?.name ?? layer.grade}`)
      .join(' over ');
  }

  protected readonly weight = computed(() => {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    if (!one?.sizes || !shop) return null;
    const { width, depth } = one.sizes.core;
    const kg = one.source.core.layers.reduce(
      (sum, layer) => sum + ((shop.stock(layer.grade)?.densityKgM3 ?? 0) * width.value * depth.value * layer.thicknessMm) / 1e9,
      0,
    );
    return `${formatNumber(kg, 1)} kg of filling in each`;
  });

  protected setGrade(index: number, grade: string): void {
    this.#change('Foam', (layers) => layers.map((layer, i) => (i === index ? { ...layer, grade } : layer)));
  }

  protected setThickness(index: number, mm: number | null): void {
    if (mm !== null) this.#change('Layer thickness', (layers) => layers.map((layer, i) => (i === index ? { ...layer, thicknessMm: mm } : layer)));
  }

  protected edited({ key, mm }: Edit): void {
    this.setThickness(Number(key.replace('layer-', '')), mm);
  }

  /** A new layer on top, as thick as what is missing. */
  protected add(): void {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    const [grade] = shop?.document.grades ?? [];
    if (!grade) return;
    const wanted = one?.sizes?.core.height.value ?? 50;
    this.#change('Layer added', (layers) => {
      const missing = wanted - layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
      return [{ grade: layers[0]?.grade ?? grade.id, thicknessMm: missing > 5 ? missing : 25 }, ...layers];
    });
  }

  protected remove(index: number): void {
    this.#change('Layer removed', (layers) => layers.filter((_, i) => i !== index));
  }

  /** Takes a layer to another place, 0 the top. */
  protected take(from: number, to: number): void {
    if (from === to) return;
    this.#change('Layers in another order', (layers) => {
      const next = [...layers];
      moveItemInArray(next, from, to);
      return next;
    });
    void this.#announcer.announce(`Layer ${from + 1} is layer ${to + 1} now`);
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

  /** A layer dragged over the table: the others make room while it is on its way. */
  protected carried(move: Move | null): void {
    this.store.previewCushion(move && ((cushion) => this.#withMoved(cushion, move)));
  }

  protected dropped(move: Move): void {
    this.store.editCushion('Layers in another order', (cushion) => this.#withMoved(cushion, move));
  }

  #withMoved(cushion: Cushion, { key, to }: Move): Cushion {
    const from = Number(key.replace('layer-', ''));
    const layers = [...cushion.core.layers];
    const index = dropIndex(layers, from, to.y);
    const [layer] = layers.splice(from, 1);
    if (layer) layers.splice(index, 0, layer);
    return { ...cushion, core: { ...cushion.core, layers } };
  }

  #change(label: string, change: (layers: { grade: string; thicknessMm: number }[]) => { grade: string; thicknessMm: number }[]): void {
    this.store.editCushion(label, (cushion) => ({ ...cushion, core: { ...cushion.core, layers: change(cushion.core.layers) } }));
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
