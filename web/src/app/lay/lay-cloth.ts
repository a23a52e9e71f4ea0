import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { clothLayKey, clothName, isBiasItem, itemRef, offered, USUAL_BIAS, withClothUse, type ClothUse, type Job, type PlannedLay } from '@yardland/core';
import type { CompareWaysData } from '../job/compare-ways-dialog';
import { JobStore } from '../job/job-store';
import { knownLays } from '../job/solving/known-lays';
import { Choice, Switch } from '../shared/controls/choice';
import { QuantityField } from '../shared/controls/quantity-field';
import { Tickbox } from '../shared/controls/tickbox';
import { Dialogs } from '../shared/dialogs';
import { Button, LinkButton, TrayPart, Words } from '../shared/ui/ui';
import { wayWords } from './way-words';

const LYING = [
  { value: 'up', name: 'up the roll' },
  { value: 'railroad', name: 'railroaded' },
];

const BIAS_WAYS_WORDS = [
  { value: 'across', name: 'across, as one' },
  { value: 'block', name: 'from blocks' },
  { value: 'tube', name: 'a tube, cut round' },
];

/** How the cloth of a lay is used: which it is, how wide, whose, how the pieces lie on it; and the same set laid in other ways. */
@Component({
  selector: 'yl-lay-cloth',
  imports: [Button, Choice, LinkButton, QuantityField, Switch, Tickbox, Words],
  template: `
    <yl-choice class="wide" label="Cloth" [options]="cloths()" [value]="use().material ?? ''" none="a cloth of this width" (picked)="setCloth($event)" />
    <yl-quantity
      [label]="onHides() ? 'Hide, across' : 'Cloth width'"
      [value]="use().widthMm"
      [min]="200"
      [max]="10000"
      [hint]="onHides() ? 'what is usable of one' : 'over the selvedges'"
      (valueChange)="setWidth($event)"
    />
    <yl-quantity
      label="Their own, long"
      [value]="use().ownLengthMm ?? null"
      [optional]="true"
      [min]="100"
      [max]="200000"
      placeholder="bought"
      [hint]="use().ownLengthMm ? 'nothing is bought' : 'cloth the customer brings'"
      (valueChange)="setOwnLength($event)"
    />
    @if (shrinks()) {
      <yl-tickbox [checked]="use().washed ?? false" (checkedChange)="setWashed(!use().washed)">washed before it is cut</yl-tickbox>
    }
    @if (!onHides()) {
      <yl-switch label="Pieces lie" [options]="lying" [value]="use().railroaded ? 'railroad' : 'up'" (picked)="setLying($event)" />
    }
    @if (patterned()) {
      <yl-tickbox [checked]="!use().unmatched" (checkedChange)="setMatched($event)">pattern matched</yl-tickbox>
      @if (offPattern(); as count) {
        <p ylWords class="self-center">
          {{ count === 1 ? 'One piece is' : count + ' pieces are' }} not matched. <button type="button" ylLink (click)="matchAgain()">Match again</button>
        </p>
      }
    }
    @if (biased()) {
      <yl-choice label="Bias strips" [options]="biasWays" [value]="use().bias ?? usualBias" (picked)="setBias($event)" />
    }
    <button type="button" ylButton class="self-center" (click)="compare()">Compare lays</button>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LayCloth {
  readonly lay = input.required<PlannedLay>();
  readonly use = input.required<ClothUse>();
  /** The key of the lay on this cloth, once the cloth is used otherwise; null when another way to lay it was taken. */
  readonly otherwise = output<string | null>();
  protected readonly store = inject(JobStore);
  readonly #dialogs = inject(Dialogs);
  protected readonly lying = LYING;
  protected readonly biasWays = BIAS_WAYS_WORDS;
  protected readonly usualBias = USUAL_BIAS;
  readonly #cloth = computed(() => this.store.shop()?.cloth(this.use().material ?? ''));

  /** The lay is on hides: they have neither a roll's direction nor selvedges. */
  protected readonly onHides = computed(() => this.lay().request.material.kind !== 'roll');
  protected readonly cloths = computed(() =>
    offered(this.store.shop()?.document.cloths ?? [], this.use().material).map(({ id, name }) => ({ value: id, name })),
  );
  /** Whether the cloth of this lay shrinks, so that it can be asked whether it is washed first. */
  protected readonly shrinks = computed(() => Boolean(this.#cloth()?.shrinkAlongPercent ?? this.#cloth()?.shrinkAcrossPercent));
  /** Whether the cloth of this lay has a pattern, so that it can be asked whether it is matched. */
  protected readonly patterned = computed(() => Boolean(this.#cloth()?.pattern));
  /** How many pieces of this lay were taken off the pattern by themselves. */
  protected readonly offPattern = computed(() => {
    const cushions = this.store.job()?.cushions ?? [];
    const off = this.lay().request.items.flatMap(({ id }) => {
      const ref = itemRef(id);
      return ref?.kind === 'piece' && cushions[ref.cushion]?.unmatchedPieces?.includes(ref.piece) ? [`${ref.cushion}/${ref.piece}`] : [];
    });
    return this.use().unmatched ? 0 : new Set(off).size;
  });
  /** Whether welts on the bias are cut from the cloth of this lay, so that it can be asked how. */
  protected readonly biased = computed(() => this.lay().request.items.some(({ id }) => isBiasItem(id)));

  protected setCloth(id: string): void {
    const width = this.store.shop()?.cloth(id)?.widthMm;
    this.#useOtherwise('Cloth', (use) => ({ ...use, material: id, widthMm: width ?? use.widthMm }));
  }

  protected setWidth(mm: number | null): void {
    if (mm !== null) this.#useOtherwise('Cloth width', (use) => ({ ...use, widthMm: mm }));
  }

  protected setOwnLength(mm: number | null): void {
    this.#useOtherwise('Customer’s own cloth', ({ ownLengthMm: _before, ...use }) => (mm === null ? use : { ...use, ownLengthMm: mm }));
  }

  protected setWashed(washed: boolean): void {
    this.#useOtherwise('Washed first', ({ washed: _before, ...use }) => (washed ? { ...use, washed } : use));
  }

  protected setLying(value: string): void {
    this.#useOtherwise('How the cloth lies', (use) => ({ ...use, railroaded: value === 'railroad' }));
  }

  protected setBias(way: string): void {
    this.#useOtherwise('Bias strips', ({ bias: _before, ...use }) => (way === this.usualBias ? use : { ...use, bias: way as NonNullable<ClothUse['bias']> }));
  }

  protected setMatched(matched: boolean): void {
    this.#useOtherwise('Pattern', ({ unmatched: _before, ...use }) => (matched ? use : { ...use, unmatched: true }));
  }

  protected matchAgain(): void {
    this.store.edit('Pattern', (job) => ({ ...job, cushions: job.cushions.map(({ unmatchedPieces: _off, ...cushion }) => cushion) }));
    this.otherwise.emit(null);
  }

  /** The lay in other ways; what is taken is one step of undo. */
  protected async compare(): Promise<void> {
    const [use, job, shop] = [this.use(), this.store.job(), this.store.shop()];
    if (!job || !shop) return;
    const inWords = this.store.inWords();
    const taken = await this.#dialogs.open<Job | null, CompareWaysData>(async () => (await import('../job/compare-ways-dialog')).CompareWaysDialog, {
      data: {
        store: this.store,
        title: 'Compare lays',
        idea: 'The same set on the same cloth, each way really laid. Widths are over the selvedges.',
        joins: 'Joins in the welt',
        ask: { format: 'yardland/lay-compare-ask@1', job, use, shop: shop.document, known: knownLays(this.store.plan()) },
        words: (way) => wayWords(way, use.railroaded ?? false, inWords),
      },
      labelledBy: 'comparison-title',
    });
    if (!taken) return;
    this.store.edit('The lay otherwise', () => taken);
    this.otherwise.emit(null);
  }

  /** Changes the cloth of this lay wherever the job uses it: as its main cloth, and for parts of cushions. */
  #useOtherwise(label: string, change: (use: ClothUse) => ClothUse): void {
    const [here, before] = [this.use(), this.store.job()];
    if (!before) return;
    const name = clothName(here);
    this.store.edit(label, (job) => withClothUse(job, name, change));
    this.otherwise.emit(clothLayKey(change(here), withClothUse(before, name, change).cloth));
  }
}
