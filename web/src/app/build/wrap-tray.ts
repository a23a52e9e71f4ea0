import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatLengthUnit, formatNumber, formatRun, pairMm, WRAP_WAYS, type WrapWay } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/choice';
import { Facts, type Fact } from '../shared/facts';
import { QuantityField } from '../shared/quantity-field';
import { WRAP_WORDS } from './build-words';

/** How the core is wrapped, in how thick a wadding, what is cut for it and how much comes off the roll. */
@Component({
  selector: 'yl-wrap-tray',
  imports: [Choice, QuantityField, Facts],
  template: `
    <yl-quantity
      label="Wrap, one layer"
      [mm]="store.cushionPlan()?.wrap?.value ?? 0"
      [optional]="true"
      [maxMm]="150"
      [hint]="usualWrap()"
      [units]="store.units()"
      [step]="store.step()"
      (changed)="setWrap($event)"
    />
    <yl-choice class="wide" label="The way it is wrapped" [options]="ways()" [value]="store.cushion()?.wrapWay ?? 'school'" (changed)="setWay($event)" />
    <yl-facts [facts]="facts()" />
  `,
  host: { class: 'tray-part' },
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
      { value: 'school', name: school ? `as the school: ${WRAP_WORDS[school.wrap.way]}` : 'as the school' },
      ...WRAP_WAYS.map((value) => ({ value: value as string, name: WRAP_WORDS[value] })),
    ];
  });

  protected readonly facts = computed<readonly Fact[]>(() => {
    const [one, plan] = [this.store.cushionPlan(), this.store.plan()];
    if (!one || !plan) return [];
    const { units, step } = this.store.inWords();
    const size = (mm: number): string => formatLengthUnit(mm, units, step);
    const pieces = one.pieces.filter((piece) => piece.material.kind === 'wadding' && !piece.role.endsWith('-pad'));
    const loft = one.wrap?.value ?? 0;
    const lay = plan.lays.find(({ subject }) => subject.kind === 'wadding' && subject.loftMm === loft);
    const wadding = lay?.subject.kind === 'wadding' ? plan.shop.waddingNear(lay.subject.loftMm) : undefined;
    return [
      ...pieces.map((piece) => ({
        name: `${piece.countPerCushion} × ${piece.label}`,
        says: `${size(piece.width.value)} × ${size(piece.height.value)}`,
      })),
      ...(lay && wadding
        ? [
            {
              name: `Off the roll, ${size(wadding.rollWidthMm)} wide, whole job`,
              says: lay.answer ? formatRun(lay.answer.lengthMm, units) : 'being worked out',
            },
          ]
        : []),
      ...(one.cornerFilling ? [{ name: 'Loose wadding for the corners', says: `${formatNumber(Math.ceil(one.cornerFilling.value))} g a cushion` }] : []),
    ];
  });

  protected setWrap(mm: number | null): void {
    this.store.editCushion('Wrap', ({ wrapLoftMm: _asSchool, ...cushion }) => (mm === null ? cushion : { ...cushion, wrapLoftMm: mm }));
  }

  protected setWay(value: string): void {
    this.store.editCushion('Way of wrapping', ({ wrapWay: _asSchool, ...cushion }) =>
      value === 'school' ? cushion : { ...cushion, wrapWay: value as WrapWay },
    );
  }
}
