import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Icon } from '../shared/icon';
import { BUILDS, FEELS, PARTS, POSTURES } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { Choice, Switch } from '../shared/controls/choice';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, DialogFields, DialogFoot, DialogFrame, LayerRow, Tool } from '../shared/ui/ui';
import { BUILD_WORDS, type Seat, type SeatSitter } from './sitters-words';

const POSTURE_WORDS: Record<SeatSitter['posture'], string> = { upright: 'sits upright', reclined: 'leans back', lying: 'lies' };
const PART_WORDS: Record<(typeof PARTS)[number], string> = { seat: 'a seat', back: 'a back', mattress: 'a mattress', pillow: 'a pillow' };

/** Who sits and how it should feel: asked by build, never by weight, and printed on no ticket. */
@Component({
  selector: 'yl-sitters-dialog',
  imports: [DialogFrame, LayerRow, Tickbox, Tool, Button, DialogFields, DialogFoot, Choice, Switch, Icon],
  template: `
    <div ylDialog>
      <h2 id="sitters-title">Who sits, and how should it feel?</h2>
      <p>By build, so that nobody is asked for a weight. None of this is printed on a ticket.</p>
      @for (sitter of sitters(); track $index; let i = $index) {
        <div ylLayerRow data-part="layer-row" role="group" [attr.aria-label]="'Sitter ' + (i + 1)">
          <yl-choice [bare]="true" [label]="'Sitter ' + (i + 1) + ', build'" [options]="builds" [value]="sitter.build" (picked)="change(i, 'build', $event)" />
          <yl-choice
            [bare]="true"
            [label]="'Sitter ' + (i + 1) + ', posture'"
            [options]="postures"
            [value]="sitter.posture"
            (picked)="change(i, 'posture', $event)"
          />
          <yl-tickbox [checked]="sitter.frail ?? false" (checkedChange)="toggleFrail(i)">finds it hard to get up</yl-tickbox>
          <button type="button" ylTool="quiet" [attr.aria-label]="'Remove sitter ' + (i + 1)" (click)="remove(i)">
            <svg ylIcon="trash-2" size="20"></svg>
          </button>
        </div>
      }
      <div>
        <button type="button" ylButton [disabled]="sitters().length >= 12" (click)="add()"><svg ylIcon="plus" size="20"></svg> Another sitter</button>
      </div>
      <div ylDialogFields>
        <yl-switch label="It is" [options]="parts" [value]="seat().part ?? 'seat'" (picked)="set('part', $event)" />
        <yl-switch label="It should feel" [options]="feels" [value]="seat().feel ?? 'medium'" (picked)="set('feel', $event)" />
        <yl-tickbox [checked]="seat().reversible ?? false" (checkedChange)="toggleReversible()">turned over now and then</yl-tickbox>
      </div>
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close()">Done</button></div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SittersDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject(DialogRef);
  protected readonly builds = BUILDS.map((value) => ({ value, name: BUILD_WORDS[value] }));
  protected readonly postures = POSTURES.map((value) => ({ value, name: POSTURE_WORDS[value] }));
  protected readonly parts = PARTS.map((value) => ({ value, name: PART_WORDS[value] }));
  protected readonly feels = FEELS.map((value) => ({ value, name: value }));
  protected readonly seat = computed<Seat>(() => this.#store.cushion()?.seat ?? {});
  protected readonly sitters = computed(() => this.seat().sitters ?? []);

  protected add(): void {
    this.#sitters('Another sitter', (sitters) => [...sitters, { build: 'middling', posture: this.seat().part === 'mattress' ? 'lying' : 'upright' }]);
  }

  protected remove(index: number): void {
    this.#sitters('One sitter less', (sitters) => sitters.filter((_, i) => i !== index));
  }

  protected change(index: number, key: 'build' | 'posture', value: string): void {
    this.#sitters('Sitter', (sitters) => sitters.map((sitter, i) => (i === index ? ({ ...sitter, [key]: value } as SeatSitter) : sitter)));
  }

  protected toggleFrail(index: number): void {
    this.#sitters('Sitter', (sitters) =>
      sitters.map(({ frail, ...sitter }, i) => (i !== index ? { ...sitter, ...(frail ? { frail } : {}) } : frail ? sitter : { ...sitter, frail: true })),
    );
  }

  protected set(key: 'part' | 'feel', value: string): void {
    this.#store.editCushion(key === 'part' ? 'What it is' : 'Feel wanted', (cushion) => ({ ...cushion, seat: { ...cushion.seat, [key]: value } as Seat }));
  }

  protected toggleReversible(): void {
    this.#store.editCushion('Turned over', (cushion) => {
      const { reversible, ...seat } = cushion.seat ?? {};
      return { ...cushion, seat: reversible ? seat : { ...seat, reversible: true } };
    });
  }

  protected close(): void {
    this.#dialog.close();
  }

  #sitters(label: string, change: (sitters: readonly SeatSitter[]) => SeatSitter[]): void {
    this.#store.editCushion(label, (cushion) => {
      const { sitters = [], ...seat } = cushion.seat ?? {};
      const next = change(sitters);
      return { ...cushion, seat: next.length ? { ...seat, sitters: next } : seat };
    });
  }
}
