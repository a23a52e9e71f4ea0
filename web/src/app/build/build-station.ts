import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatLengthUnit, pairMm } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/choice';
import { QuantityField } from '../shared/quantity-field';
import { outlineItems, planDimensions, plateItems, sectionItems, shapeDimensions } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';
import { Table, type Edit } from '../shared/table/table';
import { measureWord, withMeasure } from '../template/measures';

/** From the finished size to core and wrap by an allowance school, in plan and section, with the fit predicted. */
@Component({
  selector: 'yl-build-station',
  imports: [Table, Choice, QuantityField],
  templateUrl: './build-station.html',
  host: { class: 'station' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BuildStation {
  protected readonly store = inject(JobStore);

  protected readonly schools = computed(() => (this.store.shop()?.schools ?? []).map(({ id, name }) => ({ value: id, name })));
  protected readonly idea = computed(() => this.store.cushionPlan()?.school?.idea ?? '');
  protected readonly usualWrap = computed(() => {
    const [school, job] = [this.store.cushionPlan()?.school, this.store.job()];
    const { units, step } = this.store.inWords();
    return school && job ? `the school takes ${formatLengthUnit(pairMm(school.wrap.loft, job.units), units, step)}` : null;
  });

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const shop = this.store.shop();
    const fit = `build ${this.store.cushionIndex()}`;
    const plate = one?.pieces.find((piece) => piece.role === 'plate');
    if (!one?.sizes || !plate || !shop) return { title: 'Build', fit, items: [] };
    const { width, depth, height } = one.sizes.finished;
    const crown = one.fit?.crownMm ?? 0;
    // The section lies below the plan, clear of the plan's own dimension line.
    const sectionY = -(Math.max(width.value, depth.value) * 0.31 + height.value + crown);
    const items: SceneItem[] = [
      ...plateItems(plate, one.sizes.seam.value),
      ...outlineItems(one, ['core']),
      { kind: 'area', key: 'sewn-over', shape: plate.sewn ?? plate.outline, look: 'sew' },
      ...(one.source.given === 'finished' ? shapeDimensions(one) : planDimensions(one, 'finished')),
      ...sectionItems(one, { x: 0, y: sectionY }, this.store.inWords(), shop),
      {
        kind: 'dim',
        key: 'heightMm',
        name: 'finished height',
        side: 'left',
        away: 28,
        from: { x: 0, y: sectionY },
        to: { x: 0, y: sectionY + height.value },
        mm: height.value,
        edit: { minMm: 5, maxMm: 1000 },
      },
      { kind: 'note', key: 'plan-words', at: { x: -one.sizes.seam.value, y: depth.value + one.sizes.seam.value }, dy: -12, text: 'Plan', look: 'head' },
      { kind: 'note', key: 'section-words', at: { x: 0, y: sectionY + height.value + crown }, dy: -10, text: 'Section, left to right', look: 'head' },
    ];
    return { title: `Build of ${one.source.name}, plan and section`, fit, room: { left: 110, right: 190, top: 64, bottom: 40 }, items };
  });

  protected setSchool(id: string): void {
    this.store.editCushion('School', (cushion) => ({ ...cushion, school: id }));
  }

  protected setWrap(mm: number | null): void {
    this.store.editCushion('Wrap', (cushion) => {
      if (mm !== null) return { ...cushion, wrapLoftMm: mm };
      const { wrapLoftMm: _asSchool, ...rest } = cushion;
      return rest;
    });
  }

  protected setHeight(mm: number | null): void {
    if (mm !== null) this.store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: mm }));
  }

  protected edited({ key, mm }: Edit): void {
    if (key === 'heightMm') this.setHeight(mm);
    else this.store.editCushion(measureWord(this.store.cushion(), key), (cushion) => withMeasure(cushion, key, mm));
  }
}
