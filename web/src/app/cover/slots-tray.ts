import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { offered, constructionOf, withCushionCloth, type ClothSlot } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { Button, TrayPart, Words } from '../shared/ui/ui';
import { JOB_CLOTH, mainClothOptions, useOf } from './cloth-options';

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

/** Which cloth a cover is of, and which of its parts are of another. How much of it there is and how it lies is said where it is laid. */
@Component({
  selector: 'yl-slots-tray',
  imports: [Words, Button, Choice],
  template: `
    <yl-choice label="Cover of" [options]="mains()" [value]="main()" (picked)="setMain($event)" />
    @for (slot of slots(); track slot.slot) {
      <yl-choice [label]="slot.label" [options]="slot.options" [value]="slot.value" (picked)="set(slot.slot, slot.label, $event)" />
    }
    @if (several()) {
      <button type="button" ylButton class="self-end" (click)="open()">Several cushions in one cloth …</button>
    }
    <p ylWords class="self-center">The job’s cloth is chosen where it is laid. Each cloth has a lay of its own.</p>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SlotsTray {
  readonly #dialogs = inject(Dialogs);
  protected readonly store = inject(JobStore);
  protected readonly slots = computed(() => {
    const [cushion, shop] = [this.store.cushion(), this.store.shop()];
    if (!cushion || !shop) return [];
    // What the filling brings along is cut from a cloth too: the muslin between springs and foam.
    const used = (this.store.cushionPlan()?.pieces ?? []).flatMap(({ material }) => (material.kind === 'cloth' ? [material.slot] : []));
    return [...new Set([...constructionOf(cushion.construction).slots, ...used])]
      .filter((slot): slot is OtherSlot => slot !== 'main')
      .map((slot) => ({
        slot,
        label: SLOT_WORDS[slot],
        options: [
          { value: MAIN, name: 'the same' },
          ...offered(shop.document.cloths, cushion.slots?.[slot]?.material).map(({ id, name }) => ({ value: id, name })),
        ],
        value: cushion.slots?.[slot]?.material ?? MAIN,
      }));
  });

  protected readonly mains = computed(() => mainClothOptions(this.store.job(), this.store.shop()));
  protected readonly main = computed(() => this.store.cushion()?.cloth?.material ?? JOB_CLOTH);
  protected readonly several = computed(() => (this.store.job()?.cushions.length ?? 0) > 1);

  protected setMain(id: string): void {
    const [index, shop] = [this.store.cushionIndex(), this.store.shop()];
    this.store.edit('Cloth of the cover', (job) => withCushionCloth(job, [index], useOf(id, job, shop)));
  }

  protected open(): void {
    void this.#dialogs.open(async () => (await import('./cushion-cloths-dialog')).CushionClothsDialog, { data: this.store, labelledBy: 'cloths-title' });
  }

  protected set(slot: OtherSlot, label: string, id: string): void {
    const cloth = this.store.shop()?.cloth(id);
    this.store.editCushion(`${label} another cloth`, ({ slots: before, ...cushion }) => {
      const { [slot]: _other, ...rest } = before ?? {};
      const slots = cloth ? { ...rest, [slot]: { material: cloth.id, widthMm: cloth.widthMm } } : rest;
      return Object.keys(slots).length ? { ...cushion, slots } : cushion;
    });
  }
}
