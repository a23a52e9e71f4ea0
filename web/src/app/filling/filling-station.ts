import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal, viewChild } from '@angular/core';
import { Icon } from '../shared/icon';
import {
  offered,
  BUILDS,
  cushionFeel,
  fillingLayers,
  formatNumber,
  layerOf,
  massOf,
  MOST_LAYERS,
  PA_PER_LBF_FT2,
  type Build,
  type Cushion,
  type Feel,
  type FeelVerdict,
  type FillingLayer,
  type Ranked,
  formatLengthUnit,
} from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Dialogs } from '../shared/dialogs';
import { LineChart, type ChartLine } from '../shared/line-chart';
import type { Scene } from '../shared/table/scene';
import { Table, type Edit, type Move } from '../shared/table/table';
import { Button, Label, LayerRow, NotFetched, SidePanel, Split, StationFrame, Tray, Words } from '../shared/ui/ui';
import type { ChooseData, ChooseResult } from './choose-dialog';
import { dropIndex, fillingScene } from './filling-scene';
import { changeLayers, withThickness, layersFromRemnants } from './layers';
import { LayersTray } from './layers-tray';
import { Term } from '../shared/words/term';

const layerIndex = (key: string): number => Number(key.replace('layer-', ''));

const BUILD_NAMES = ['nobody', 'a child', 'very light', 'slight', 'middling', 'sturdy', 'heavy'];
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
  imports: [Split, SidePanel, Words, Label, Tray, LayerRow, NotFetched, Button, Table, LineChart, Icon, LayersTray, Term],
  templateUrl: './filling-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FillingStation {
  protected readonly store = inject(JobStore);
  /** Which sitter is on the cushion: 0 nobody, then the builds from the lightest. */
  protected readonly sitting = linkedSignal(() => {
    const builds = (this.store.cushion()?.seat?.sitters ?? []).map((sitter) => BUILDS.indexOf(sitter.build) + 1);
    return builds.length ? Math.max(...builds) : BUILDS.indexOf('middling') + 1;
  });
  protected readonly most = BUILDS.length;
  private readonly table = viewChild(Table);
  readonly #dialogs = inject(Dialogs);
  protected readonly rivals = signal<readonly Ranked[]>([]);

  readonly #layers = computed(() => {
    const [cushion, shop] = [this.store.cushion(), this.store.shop()];
    return cushion && shop ? fillingLayers(cushion, shop) : null;
  });
  /** What to say in place of the drawing where there is no layer: whether the cushion waits for one, or its cover is filled by itself. */
  protected readonly empty = computed(() => {
    const one = this.store.cushionPlan();
    if (!one || one.source.core.layers.length > 0) return null;
    const wants = one.problems.some(({ code }) => code === 'core-has-no-layers') || one.state === 'blocked';
    if (!wants) return { wants, what: 'Filled by weight', mend: 'The cover’s own case is filled with loose feather: it needs no layers.' };
    const { units, step } = this.store.inWords();
    const height = formatLengthUnit(one.sizes?.core.height.value ?? one.source.heightMm, units, step);
    return {
      wants,
      what: 'Nothing in it yet',
      mend: `It is to be filled ${height} high. Say who sits, and a filling is chosen with reasons; or begin with a layer.`,
    };
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
  /** The same in a sentence, read out when another sitter sits down or the stack changes. */
  protected readonly told = computed(() => {
    const read = this.readings();
    return read ? [`Feels ${read.feel}, sinks ${read.sink}, the worst layer ${read.peak}.`, ...read.verdicts].join(' ') : '';
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
    if (!take) return;
    const layers = take.layers.map(({ grade, thicknessMm }) => ({ grade, thicknessMm }));
    if (result.remnants.length) layersFromRemnants(this.store, layers, result.remnants);
    else changeLayers(this.store, 'Filling chosen', () => layers);
  }

  #feelUnder(layers: readonly FillingLayer[] | null, build: Build): Feel | null {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    if (!layers || !one || !shop) return null;
    const units = this.store.units();
    const posture =
      this.store.cushion()?.seat?.sitters?.find((sitter) => sitter.build === build)?.posture ?? (one.source.seat?.part === 'mattress' ? 'lying' : 'upright');
    return cushionFeel(
      one.source,
      { wrapLoftMm: one.wrap?.value ?? 0, layers, sitter: { massKg: massOf(build, (key) => shop.assume(key, units)), posture } },
      shop,
      units,
    );
  }

  #line(name: string, layers: readonly FillingLayer[] | null): ChartLine | null {
    const heaviest = this.#feelUnder(layers, 'heavy');
    if (!heaviest) return null;
    const per = this.store.units() === 'inch' ? 25.4 : 1;
    const point = ({ pressurePa, sinkMm }: { pressurePa: number; sinkMm: number }) => ({
      y: pressurePa / (this.store.units() === 'inch' ? PA_PER_LBF_FT2 : 1000),
      x: sinkMm / per,
    });
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

  protected edited({ key, mm }: Edit): void {
    if (mm !== null) changeLayers(this.store, 'Layer thickness', withThickness(layerIndex(key), mm));
  }

  protected readonly full = computed(() => (this.store.cushion()?.core.layers.length ?? 0) >= MOST_LAYERS);

  /** A new layer on top, as thick as what is missing. */
  protected add(): void {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    const [grade] = offered(shop?.document.grades ?? []);
    if (!grade) return;
    const wanted = one?.sizes?.core.height.value ?? 50;
    changeLayers(this.store, 'Layer added', (layers) => {
      const missing = wanted - layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
      return [{ grade: layers[0]?.grade ?? grade.id, thicknessMm: missing > 5 ? missing : 25 }, ...layers];
    });
  }

  /** A layer dragged over the table: the others make room while it is on its way. */
  protected carried(move: Move | null): void {
    this.store.previewCushion(move && ((cushion) => this.#withMoved(cushion, move)));
  }

  protected dropped(move: Move): void {
    const layers = this.store.cushion()?.core.layers ?? [];
    const to = dropIndex(layers, layerIndex(move.key), move.to.y);
    this.store.editCushion('Layers in another order', (cushion) => this.#withMoved(cushion, move));
    // The layer that was moved stays in hand, under the key of its new place.
    this.table()?.holdKnob(`layer-${to}`);
  }

  #withMoved(cushion: Cushion, { key, to }: Move): Cushion {
    const from = layerIndex(key);
    const layers = [...cushion.core.layers];
    const index = dropIndex(layers, from, to.y);
    const [layer] = layers.splice(from, 1);
    if (layer) layers.splice(index, 0, layer);
    return { ...cushion, core: { ...cushion.core, layers } };
  }
}
