import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { constructionOf, type ClothSlot } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/choice';
import { TrayPart, Words } from '../shared/ui/ui';

type OtherSlot = Exclude<ClothSlot, 'main'>;

const SLOT_WORDS: Record<OtherSlot, string> = {
  bottom: 'Bottom of',
  boxing: 'Boxing or band of',
  welt: 'Welt of',
  lining: 'Lining of',
  ticking: 'Ticking of',
  mesh: 'Drain panel of',
  grip: 'Anti-slip base of',
};
const MAIN = 'main';

/** Which parts of a cover are of another cloth than the job's. How much of it there is and how it lies is said where it is laid. */
@Component({
  selector: 'yl-slots-tray',
  imports: [Words, Choice],
  template: `
    <p ylWords>The main cloth is chosen where it is laid. Every other cloth has a lay of its own.</p>
    @for (slot of slots(); track slot.slot) {
      <yl-choice [label]="slot.label" [options]="slot.options" [value]="slot.value" (picked)="set(slot.slot, slot.label, $event)" />
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SlotsTray {
  protected readonly store = inject(JobStore);
  protected readonly slots = computed(() => {
    const [cushion, shop] = [this.store.cushion(), this.store.shop()];
    if (!cushion || !shop) return [];
    const cloths = shop.document.cloths.map(({ id, name }) => ({ value: id, name }));
    // What the filling brings along is cut from a cloth too: the muslin between springs and foam.
    const used = (this.store.cushionPlan()?.pieces ?? []).flatMap(({ material }) => (material.kind === 'cloth' ? [material.slot] : []));
    return [...new Set([...constructionOf(cushion.construction).slots, ...used])]
      .filter((slot): slot is OtherSlot => slot !== 'main')
      .map((slot) => ({
        slot,
        label: SLOT_WORDS[slot],
        options: [{ value: MAIN, name: 'the main cloth' }, ...cloths],
        value: cushion.slots?.[slot]?.material ?? MAIN,
      }));
  });

  protected set(slot: OtherSlot, label: string, id: string): void {
    const cloth = this.store.shop()?.cloth(id);
    this.store.editCushion(`${label} another cloth`, ({ slots: before, ...cushion }) => {
      const { [slot]: _other, ...rest } = before ?? {};
      const slots = cloth ? { ...rest, [slot]: { material: cloth.id, widthMm: cloth.widthMm } } : rest;
      return Object.keys(slots).length ? { ...cushion, slots } : cushion;
    });
  }
}
