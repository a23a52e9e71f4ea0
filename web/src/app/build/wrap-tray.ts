import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  offered,
  formatLengthUnit,
  formatNumber,
  formatRun,
  pairMm,
  rollsOf,
  TEST_FIT_COVERS,
  WRAP_FIXES,
  WRAP_WAYS,
  type Job,
  type WrapWay,
} from '@yardland/core';
import type { CompareWaysData } from '../job/compare-ways-dialog';
import { JobStore } from '../job/job-store';
import { knownLays } from '../job/solving/known-lays';
import { Choice } from '../shared/controls/choice';
import { Facts, type Fact } from '../shared/facts';
import { QuantityField } from '../shared/controls/quantity-field';
import { Dialogs } from '../shared/dialogs';
import { Icon } from '../shared/icon';
import { Button, TrayPart } from '../shared/ui/ui';
import { waysOfOne } from '../shared/words/way-words';
import { MEASURED_SIDES, WRAP_WORDS } from './build-words';

/** How the core is wrapped, in how thick a wadding, what is cut for it and how much comes off the roll. */
@Component({
  selector: 'yl-wrap-tray',
  imports: [Button, Choice, Icon, QuantityField, Facts],
  template: `
    <yl-quantity
      label="Wrap, one layer"
      [value]="store.cushionPlan()?.wrap?.value ?? 0"
      [optional]="true"
      [max]="150"
      [hint]="usualWrap()"
      (valueChange)="setWrap($event)"
    />
    <yl-choice class="wide" label="The way it is wrapped" [options]="ways()" [value]="store.cushion()?.wrapWay ?? 'school'" (picked)="setWay($event)" />
    <yl-choice label="Held by" [options]="fixes()" [value]="store.cushion()?.wrapFix ?? 'shop'" (picked)="setFix($event)" />
    <yl-choice class="wide" label="Off the roll, whole job" [options]="rolls()" [value]="roll()" (picked)="setRoll($event)" />
    <yl-choice
      class="wide"
      label="Tried on before cloth is cut"
      [options]="trials"
      [value]="store.cushion()?.testFit?.cover ?? 'no'"
      (picked)="setTrial($event)"
    />
    @if (store.cushion()?.testFit) {
      @for (side of sides; track side.key) {
        <yl-quantity
          class="few"
          [label]="'Measured ' + side.name"
          [value]="store.cushion()?.testFit?.[side.key] ?? null"
          [optional]="true"
          [max]="side.most"
          hint="over the wrap"
          (valueChange)="setTried(side.key, $event)"
        />
      }
    }
    <button type="button" ylButton class="self-end" [disabled]="!wrapped()" (click)="compare()">
      <svg ylIcon="columns-3" size="20"></svg> Compare ways to wrap
    </button>
    <yl-facts [facts]="facts()" />
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WrapTray {
  protected readonly store = inject(JobStore);
  readonly #dialogs = inject(Dialogs);
  protected readonly wrapped = computed(() => (this.store.cushionPlan()?.wrap?.value ?? 0) > 0);

  /** This cushion wrapped in every way, by the wadding that the whole job then takes. */
  protected async compare(): Promise<void> {
    const [job, shop, cushion] = [this.store.job(), this.store.shop(), this.store.cushionIndex()];
    if (!job || !shop) return;
    const taken = await this.#dialogs.open<Job | null, CompareWaysData>(async () => (await import('../job/compare-ways-dialog')).CompareWaysDialog, {
      data: {
        store: this.store,
        title: 'Compare ways to wrap',
        idea: 'This cushion wrapped in each way, by the wadding of the whole job, each really laid. How the cushion fits may differ: the ticket says so.',
        joins: 'Joins in the wadding',
        ask: { format: 'yardland/wrap-compare-ask@1', job, cushion, shop: shop.document, known: knownLays(this.store.plan()) },
        words: (way) => (way.kind === 'wrap' ? WRAP_WORDS[way.wrap] : 'As it is now'),
      },
      labelledBy: 'comparison-title',
    });
    if (taken) this.store.edit('Way of wrapping', () => taken);
  }

  protected readonly usualWrap = computed(() => {
    const [school, job] = [this.store.cushionPlan()?.school, this.store.job()];
    const { units, step } = this.store.inWords();
    return school && job ? `the school takes ${formatLengthUnit(pairMm(school.wrap.loft, job.units), units, step)}` : null;
  });
  protected readonly ways = computed(() => {
    const school = this.store.cushionPlan()?.school;
    return [
      { value: 'school' as const, name: school ? `as the school: ${WRAP_WORDS[school.wrap.way]}` : 'as the school' },
      ...WRAP_WAYS.map((value) => ({ value, name: WRAP_WORDS[value] })),
    ];
  });

  protected readonly facts = computed<readonly Fact[]>(() => {
    const [one, plan] = [this.store.cushionPlan(), this.store.plan()];
    if (!one || !plan) return [];
    const { units, step } = this.store.inWords();
    const size = (mm: number): string => formatLengthUnit(mm, units, step);
    const pieces = one.pieces.filter((piece) => piece.material.kind === 'wadding' && !piece.role.endsWith('-pad'));
    const loft = one.wrap?.value ?? 0;
    const wadding = loft > 0 ? plan.shop.waddingNear(loft, rollsOf(one.source, plan.job)) : undefined;
    const lay = plan.lays.find(({ subject }) => subject.kind === 'wadding' && subject.material === wadding?.id);
    return [
      ...pieces.map((piece) => ({
        name: `${piece.countPerCushion} × ${piece.label}`,
        says: `${size(piece.width.value)} × ${size(piece.height.value)}`,
      })),
      ...(lay && wadding
        ? [
            {
              name: `Off ${wadding.name}, ${size(wadding.rollWidthMm)} wide, whole job`,
              says: lay.answer ? formatRun(lay.answer.lengthMm, units) : 'being worked out',
            },
          ]
        : []),
      ...(one.cornerFilling
        ? [
            {
              name: one.school?.wrap.packedEnds ? 'Loose wadding, corners and packed ends' : 'Loose wadding for the corners',
              says: `${formatNumber(Math.ceil(one.cornerFilling.value))} g a cushion`,
            },
          ]
        : []),
      ...(one.school?.wrap.packedEnds && one.fitRequest
        ? [{ name: 'Loft at a packed end, wrap and packing', says: size(Math.max(one.fitRequest.sideLoftAcrossMm, one.fitRequest.sideLoftAlongMm)) }]
        : []),
    ];
  });

  protected setWrap(mm: number | null): void {
    this.store.editCushion('Wrap', ({ wrapLoftMm: _asSchool, ...cushion }) => (mm === null ? cushion : { ...cushion, wrapLoftMm: mm }));
  }

  protected readonly trials = [
    { value: 'no' as const, name: 'no' },
    { value: 'follows' as const, name: 'yes: the cover follows' },
    { value: 'as-planned' as const, name: 'yes: the cover as planned' },
  ];
  protected readonly sides = MEASURED_SIDES;

  /** Whether the wrapped core is tried before cloth is cut, and what gives way then. */
  protected setTrial(value: string): void {
    const cover = TEST_FIT_COVERS.find((one) => one === value);
    this.store.editCushion('Test-fit', ({ testFit, ...cushion }) => (cover ? { ...cushion, testFit: { ...testFit, cover } } : cushion));
  }

  /** What the wrapped core measured on one side; none: not measured yet. */
  protected setTried(key: (typeof this.sides)[number]['key'], mm: number | null): void {
    this.store.editCushion('Test-fit', ({ testFit, ...cushion }) => {
      const { [key]: _before, ...rest } = testFit ?? { cover: 'follows' as const };
      return { ...cushion, testFit: mm === null ? rest : { ...rest, [key]: mm } };
    });
  }

  protected readonly fixes = computed(() => waysOfOne('wrapFix', this.store.shop()?.document));

  protected setFix(value: string): void {
    const fix = WRAP_FIXES.find((one) => one === value);
    this.store.editCushion('How the wrap is held', ({ wrapFix: _before, ...cushion }) => (fix ? { ...cushion, wrapFix: fix } : cushion));
  }

  /** The shop's rolls. The job takes one of them, or whichever is nearest in loft. */
  protected readonly rolls = computed(() => {
    const { units, step } = this.store.inWords();
    return [
      { value: 'nearest', name: 'nearest in loft' },
      ...offered(this.store.shop()?.document.waddings ?? [], this.store.job()?.waddings?.[0]).map(({ id, name, loftMm }) => ({
        value: id,
        name: `${name}, loft ${formatLengthUnit(loftMm, units, step)}`,
      })),
    ];
  });
  /** A roll that the shop does not have any more is passed over. */
  protected readonly roll = computed(() => this.store.job()?.waddings?.find((id) => this.rolls().some(({ value }) => value === id)) ?? 'nearest');

  protected setRoll(value: string): void {
    this.store.edit('Roll of wadding', ({ waddings: _before, ...job }) => (value === 'nearest' ? job : { ...job, waddings: [value] }));
  }

  protected setWay(value: WrapWay | 'school'): void {
    this.store.editCushion('Way of wrapping', ({ wrapWay: _asSchool, ...cushion }) => (value === 'school' ? cushion : { ...cushion, wrapWay: value }));
  }
}
