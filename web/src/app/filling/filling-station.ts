import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideArrowDown, LucideArrowUp, LucidePlus, LucideTrash2 } from '@lucide/angular';
import { formatLength, formatNumber } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/choice';
import { QuantityField } from '../shared/quantity-field';
import { boxArea } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';
import { Table, type Edit } from '../shared/table/table';

const N_PER_LBF = 4.44822;
const KG_M3_PER_LB_FT3 = 16.0185;

/** The stack of layers in section, to scale; soft above, firm below. */
@Component({
  selector: 'yl-filling-station',
  imports: [Table, Choice, QuantityField, LucidePlus, LucideTrash2, LucideArrowUp, LucideArrowDown],
  templateUrl: './filling-station.html',
  host: { class: 'station' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FillingStation {
  protected readonly store = inject(JobStore);
  protected readonly grades = computed(() => (this.store.shop()?.document.grades ?? []).map(({ id, name }) => ({ value: id, name })));

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const shop = this.store.shop();
    const fit = `filling ${this.store.cushionIndex()}`;
    if (!one?.sizes || !shop) return { title: 'Filling', fit, items: [] };
    const { units, step } = this.store.inWords();
    const { width, height } = one.sizes.core;
    const { layers } = one.source.core;
    const total = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
    const items: SceneItem[] = [];
    let top = total;
    layers.forEach((layer, i) => {
      const grade = shop.grade(layer.grade);
      const y = top - layer.thicknessMm;
      items.push(boxArea(`layer-${i}`, 0, y, width.value, layer.thicknessMm, i % 2 ? 'foam-alt' : 'foam'));
      items.push({
        kind: 'dim',
        key: `layer-${i}`,
        name: `layer ${i + 1} thickness`,
        side: 'left',
        away: 46,
        from: { x: 0, y: top },
        to: { x: 0, y },
        mm: layer.thicknessMm,
        edit: { minMm: 5, maxMm: 600 },
      });
      items.push({
        kind: 'leader',
        key: `words-${i}`,
        at: { x: width.value * 0.98, y: y + layer.thicknessMm / 2 },
        toX: width.value,
        text: grade ? `${grade.name}` : layer.grade,
      });
      top = y;
    });
    // What the school asks for, as a line the layers should reach.
    items.push({
      kind: 'area',
      key: 'wanted',
      shape: [
        { x: -width.value * 0.04, y: height.value },
        { x: width.value * 1.04, y: height.value },
      ],
      open: true,
      look: 'bound',
    });
    items.push({
      kind: 'note',
      key: 'wanted-words',
      at: { x: width.value / 2, y: Math.max(height.value, total) },
      dy: -14,
      anchor: 'middle',
      text: `the school asks for ${formatLength(height.value, units, step)} of core`,
      look: 'small',
    });
    items.push(boxArea('ground', -width.value * 0.06, -width.value * 0.03, width.value * 1.12, width.value * 0.03, 'board'));
    items.push({
      kind: 'dim',
      key: 'core-width',
      name: 'core width',
      side: 'below',
      away: 34,
      from: { x: 0, y: -width.value * 0.03 },
      to: { x: width.value, y: -width.value * 0.03 },
      mm: width.value,
    });
    return { title: `Filling of ${one.source.name}, in section`, fit, room: { left: 120, right: 190, top: 90, bottom: 80 }, items };
  });

  protected readonly weight = computed(() => {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    if (!one?.sizes || !shop) return null;
    const { width, depth } = one.sizes.core;
    const kg = one.source.core.layers.reduce(
      (sum, layer) => sum + ((shop.grade(layer.grade)?.densityKgM3 ?? 0) * width.value * depth.value * layer.thicknessMm) / 1e9,
      0,
    );
    return `${formatNumber(kg, 1)} kg of foam in each`;
  });

  protected setGrade(index: number, grade: string): void {
    this.#layers('Foam', (layers) => layers.map((layer, i) => (i === index ? { ...layer, grade } : layer)));
  }

  protected setThickness(index: number, mm: number | null): void {
    if (mm !== null) this.#layers('Layer thickness', (layers) => layers.map((layer, i) => (i === index ? { ...layer, thicknessMm: mm } : layer)));
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
    this.#layers('Layer added', (layers) => {
      const missing = wanted - layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
      return [{ grade: layers[0]?.grade ?? grade.id, thicknessMm: missing > 5 ? missing : 25 }, ...layers];
    });
  }

  protected remove(index: number): void {
    this.#layers('Layer removed', (layers) => layers.filter((_, i) => i !== index));
  }

  protected move(index: number, by: number): void {
    this.#layers('Layers in another order', (layers) => {
      const next = [...layers];
      const [layer] = next.splice(index, 1);
      if (layer) next.splice(index + by, 0, layer);
      return next;
    });
  }

  #layers(label: string, change: (layers: { grade: string; thicknessMm: number }[]) => { grade: string; thicknessMm: number }[]): void {
    this.store.editCushion(label, (cushion) => ({ ...cushion, core: { ...cushion.core, layers: change(cushion.core.layers) } }));
  }

  /** Density and hardness, always both: quality is not feel. */
  protected remark(id: string): string {
    const grade = this.store.shop()?.grade(id);
    if (!grade) return '';
    const inch = this.store.units() === 'inch';
    const density = inch ? `${formatNumber(grade.densityKgM3 / KG_M3_PER_LB_FT3, 1)} lb/ft³` : `${formatNumber(grade.densityKgM3)} kg/m³`;
    const hardness = inch ? `${formatNumber(grade.hardness25N / N_PER_LBF)} lbf` : `${formatNumber(grade.hardness25N)} N`;
    return `${density}, ${hardness} at 25 %`;
  }
}
