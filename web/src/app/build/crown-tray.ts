import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { offered, formatExact, formatLengthUnit, type Cushion } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice, Switch } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { Facts, type Fact } from '../shared/facts';
import { QuantityField } from '../shared/controls/quantity-field';
import { TrayPart, Words } from '../shared/ui/ui';

type Crown = NonNullable<Cushion['crown']>;
/** What a crown starts as when a height is typed. */
const FIRST: Crown = { mm: 0, way: 'bow', faces: 2 };
const PAD_LOFT_MM = 13;

/** How far the faces stand proud, how the cloth makes room for it, and what is laid under it. */
@Component({
  selector: 'yl-crown-tray',
  imports: [Words, QuantityField, NumberField, Choice, Switch, Facts],
  template: `
    <yl-quantity
      class="few"
      label="Crown"
      [value]="crown()?.mm ?? null"
      [optional]="true"
      [max]="200"
      hint="middle over edge"
      (valueChange)="setHeight($event)"
    />
    @if (crown(); as crown) {
      <yl-switch label="The plates are" [options]="ways" [value]="crown.way" (picked)="set({ way: $event })" />
      @if (!store.cushionPlan()?.sizes?.slope) {
        <yl-switch label="Crowned" [options]="faces" [value]="'' + crown.faces" (picked)="set({ faces: $event === '1' ? 1 : 2 })" />
      }
      <yl-number label="Pads a face" class="few" [whole]="true" [min]="0" [max]="8" [value]="crown.pads?.count ?? 0" (valueChange)="setPads($event ?? 0)" />
      @if (crown.pads; as pads) {
        <yl-choice
          class="few wider"
          label="Pads of"
          [options]="lofts()"
          [value]="'' + pads.loftMm"
          (picked)="set({ pads: { count: pads.count, loftMm: +$event } })"
        />
      }
      <yl-facts [facts]="facts()" />
    } @else {
      <p ylWords>Flat faces, as far as the filling lets them. Type how far the middle should stand above the edge.</p>
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CrownTray {
  protected readonly store = inject(JobStore);
  protected readonly crown = computed(() => this.store.cushion()?.crown ?? null);
  protected readonly ways = [
    { value: 'bow', name: 'domed' },
    { value: 'flat', name: 'left flat' },
  ] as const;
  protected readonly faces = [
    { value: '2', name: 'both faces' },
    { value: '1', name: 'the top' },
  ];
  protected readonly lofts = computed(() => {
    const { units, step } = this.store.inWords();
    const lofts = new Set([...offered(this.store.shop()?.document.waddings ?? []).map((wadding) => wadding.loftMm), this.crown()?.pads?.loftMm ?? PAD_LOFT_MM]);
    return [...lofts].sort((a, b) => a - b).map((mm) => ({ value: String(mm), name: `wadding ${formatLengthUnit(mm, units, step)}` }));
  });

  protected readonly facts = computed<readonly Fact[]>(() => {
    const one = this.store.cushionPlan();
    if (!one?.crown) return [];
    const { answer } = one.crown;
    if (!answer) return [{ name: 'The surface', says: 'being worked out' }];
    const { units, step } = this.store.inWords();
    const unit = units === 'inch' ? ' in' : ' mm';
    const fine = (mm: number): string => `${formatExact(Math.round(mm * 10) / 10, units)}${unit}`;
    const bowed = one.source.crown?.way === 'bow';
    return [
      { name: 'More cloth across · front to back', says: `${fine(answer.extraAcrossMm)} · ${fine(answer.extraAlongMm)}` },
      bowed
        ? { name: 'Eased into the flat band', says: one.cover?.eased ? fine(one.cover.eased.value) : '' }
        : { name: 'Finished size draws in', says: `${fine(answer.drawInAcrossMm)} · ${fine(answer.drawInAlongMm)}` },
      ...(answer.pads.length
        ? [{ name: 'Contours of the pads, above the edge', says: answer.pads.map((pad) => formatLengthUnit(pad.heightMm, units, step)).join(' · ') }]
        : []),
    ];
  });

  protected setHeight(mm: number | null): void {
    this.store.editCushion('Crown', ({ crown, ...cushion }) => (mm ? { ...cushion, crown: { ...FIRST, ...crown, mm } } : cushion));
  }

  protected set(change: Partial<Crown>): void {
    this.store.editCushion('Crown', (cushion) => (cushion.crown ? { ...cushion, crown: { ...cushion.crown, ...change } } : cushion));
  }

  protected setPads(count: number): void {
    this.store.editCushion('Crown pads', (cushion) => {
      if (!cushion.crown) return cushion;
      const { pads, ...crown } = cushion.crown;
      return { ...cushion, crown: count > 0 ? { ...crown, pads: { count, loftMm: pads?.loftMm ?? PAD_LOFT_MM } } : crown };
    });
  }
}
