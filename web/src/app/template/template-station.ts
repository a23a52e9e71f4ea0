import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { shapeOf, type Cushion } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Switch } from '../shared/choice';
import { QuantityField } from '../shared/quantity-field';
import { outlineItems, planDimensions } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';
import { Table, type Edit } from '../shared/table/table';

const GIVEN = [
  { value: 'seat', name: 'the seat' },
  { value: 'finished', name: 'the cushion' },
  { value: 'core', name: 'a kept core' },
];

/** The outline by its measures: typed, dragged, and shown with the other sizes over it. */
@Component({
  selector: 'yl-template-station',
  imports: [Table, QuantityField, Switch],
  templateUrl: './template-station.html',
  host: { class: 'station' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TemplateStation {
  protected readonly store = inject(JobStore);
  protected readonly given = GIVEN;
  protected readonly legend = ['seat', 'finished', 'core'] as const;

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const fit = `template ${this.store.cushionIndex()}`;
    if (!one?.sizes) return { title: 'Template', fit, items: [] };
    const { given, template } = one.source;
    const { acrossMm, deepMm } = shapeOf(template).span(template);
    const { width, depth } = one.sizes.finished;
    const [dx, dy] = [(width.value - acrossMm) / 2, (depth.value - deepMm) / 2];
    const handles: SceneItem[] = [
      {
        kind: 'handle',
        key: 'widthMm',
        axis: 'x',
        at: { x: width.value - dx, y: depth.value / 2 },
        mm: acrossMm,
        perMm: 2,
        minMm: 20,
        maxMm: 20_000,
        name: 'Drag the width',
      },
      {
        kind: 'handle',
        key: 'depthMm',
        axis: 'y',
        at: { x: width.value / 2, y: depth.value - dy },
        mm: deepMm,
        perMm: 2,
        minMm: 20,
        maxMm: 20_000,
        name: 'Drag the depth',
      },
    ];
    return {
      title: `Template of ${one.source.name}, seen from above`,
      fit,
      room: { top: 84, bottom: 92, right: 150, left: 90 },
      items: [
        ...outlineItems(one, ['core', 'finished', 'seat']),
        {
          kind: 'area',
          key: 'centre',
          shape: [
            { x: width.value / 2, y: -12 },
            { x: width.value / 2, y: depth.value + 12 },
          ],
          open: true,
          look: 'fold',
        },
        ...planDimensions(one, given, true),
        ...handles,
        { kind: 'note', key: 'front', at: { x: width.value * 0.25, y: dy }, dy: 22, text: 'front', anchor: 'middle', look: 'small' },
        { kind: 'note', key: 'centre-words', at: { x: width.value / 2, y: depth.value * 0.25 }, dx: 8, text: 'centre', look: 'small' },
      ],
    };
  });

  protected edited({ key, mm }: Edit): void {
    this.store.editCushion(key === 'widthMm' ? 'Width' : 'Depth', (cushion) => measured(cushion, key, mm));
  }

  protected dragging(edit: Edit | null): void {
    this.store.previewCushion(edit && ((cushion) => measured(cushion, edit.key, edit.mm)));
  }

  protected measure(label: string, key: string, mm: number | null): void {
    this.store.editCushion(label, (cushion) => measured(cushion, key, mm ?? 0));
  }

  protected height(mm: number | null): void {
    if (mm !== null) this.store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: mm }));
  }

  protected setGiven(value: string): void {
    const given = GIVEN.find((option) => option.value === value)?.value as Cushion['given'] | undefined;
    if (given) this.store.editCushion('What was measured', (cushion) => ({ ...cushion, given }));
  }

  protected rename(name: string): void {
    if (name.trim()) this.store.editCushion('Name', (cushion) => ({ ...cushion, name: name.trim().slice(0, 120) }));
  }

  protected remark(text: string): void {
    this.store.editCushion('Remark', ({ note: _before, ...cushion }) => (text.trim() ? { ...cushion, note: text.trim().slice(0, 2000) } : cushion));
  }

  protected count(text: string): void {
    const quantity = Math.round(Number(text));
    if (quantity >= 1 && quantity <= 500) this.store.editCushion('How many', (cushion) => ({ ...cushion, quantity }));
  }
}

/** The cushion with one measure of its template set; nothing for the corner radius leaves it out. */
function measured(cushion: Cushion, key: string, mm: number): Cushion {
  if (key !== 'cornerRadiusMm' || mm > 0) return { ...cushion, template: { ...cushion.template, [key]: mm } };
  const { cornerRadiusMm: _none, ...template } = cushion.template;
  return { ...cushion, template };
}
