import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FIRE_SETTINGS, PLACES, SUPPORTS, USES } from '@yardland/core';
import { sittersWords } from '../filling/sitters-words';
import { Choice } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { QuantityField } from '../shared/controls/quantity-field';
import { TextField } from '../shared/controls/text-field';
import { Button, Label, TrayPart } from '../shared/ui/ui';
import { optionsOf } from './look-over-words';
import { SeatEditor } from './seat-editor';

/** The seat itself: what is under it, who uses it how, and which fire rules may apply. */
@Component({
  selector: 'yl-seat-tray',
  imports: [Label, Button, Choice, QuantityField, TextField],
  template: `
    <yl-choice label="Underneath is" [options]="supports" [value]="edit.seat().support ?? ''" (picked)="edit.setSeat('Support', { support: $event })" />
    <yl-choice label="Sat on" [options]="uses" [value]="edit.seat().use ?? ''" (picked)="edit.setSeat('Use', { use: $event })" />
    <yl-choice label="Stands" [options]="places" [value]="edit.seat().place ?? ''" (picked)="edit.setSeat('Place', { place: $event })" />
    <yl-quantity
      label="Deck height"
      [value]="edit.seat().deckHeightMm ?? null"
      [optional]="true"
      [max]="3000"
      hint="floor to deck"
      (valueChange)="edit.setSeat('Deck height', { deckHeightMm: $event })"
    />
    <div class="field wide block min-w-0">
      <span ylLabel id="who-sits">Who sits</span>
      <button type="button" ylButton="wide" aria-describedby="who-sits" (click)="askSitters()">{{ who() }}</button>
    </div>
    <span class="basis-full h-0"></span>
    <yl-choice class="wide" label="Used in" [options]="settings" [value]="edit.seat().fire?.setting ?? ''" (picked)="edit.setFire({ setting: $event })" />
    <yl-text
      class="long"
      label="Fire rules that may apply"
      placeholder="which code, which certificate, who asks for it"
      [maxLength]="300"
      [value]="edit.seat().fire?.rules ?? ''"
      (valueChange)="edit.setFire({ rules: $event })"
    />
    @if (caution(); as words) {
      <p class="px-2.5 py-1.75 mt-0.5 mb-1.5 rounded-md flex-[1_1_100%] bg-warn-ground text-note">{{ words }}</p>
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SeatTray {
  protected readonly edit = inject(SeatEditor);
  readonly #dialogs = inject(Dialogs);
  protected readonly supports = optionsOf(SUPPORTS);
  protected readonly uses = optionsOf(USES);
  protected readonly places = optionsOf(PLACES);
  protected readonly settings = optionsOf(FIRE_SETTINGS);
  protected readonly who = computed(() => sittersWords(this.edit.seat().sitters ?? []));

  protected readonly caution = computed(() => {
    const setting = this.edit.seat().fire?.setting;
    if (!setting) return null;
    return setting === 'home'
      ? 'Upholstered furniture falls under flammability rules in many places: follow the code where it will be used.'
      : 'Public, marine, rail and care settings need certified materials and licensed advice. Whoever runs the place and its fire adviser decide; keep the certificate with the job.';
  });

  protected askSitters(): void {
    void this.#dialogs.open(async () => (await import('../filling/sitters-dialog')).SittersDialog, { data: this.edit.store, labelledBy: 'sitters-title' });
  }
}
