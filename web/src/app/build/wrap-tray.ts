import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { offered, formatLengthUnit, formatNumber, formatRun, pairMm, rollsOf, WRAP_FIXES, WRAP_WAYS, type WrapWay } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { Facts, type Fact } from '../shared/facts';
import { QuantityField } from '../shared/controls/quantity-field';
import { TrayPart } from '../shared/ui/ui';
import { waysOfOne } from '../shared/words/way-words';
import { WRAP_WORDS } from './build-words';

/** How the core is wrapped, in how thick a wadding, what is cut for it and how much comes off the roll. */
@Component({
  selector: 'yl-wrap-tray',
  imports: [Choice, QuantityField, Facts],
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
    <yl-facts [facts]="facts()" />
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WrapTray {
  protected readonly store = inject(JobStore);

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
