import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLengthUnit, type Planned, type SayIn } from '@yardland/core';
import type { NamedSitting } from '@yardland/core/solid';
import { Choice } from '../shared/controls/choice';
import { Tickbox } from '../shared/controls/tickbox';
import { Messages } from '../shared/messages';
import { saveBlob, saveFile } from '../shared/reading/save-file';
import { Button, TrayPart } from '../shared/ui/ui';
import { RoundLook, VIEWS, type CutWay, type ViewName } from './round-look';
import { Slide } from './slide';
import { stepOf } from './round-words';

const CUTS = [
  { value: 'none', name: 'closed' },
  { value: 'across', name: 'across' },
  { value: 'deep', name: 'front to back' },
] as const;

/** How a cushion in the round is looked at: from where, cut open, taken apart, sat on; and its files. */
@Component({
  selector: 'yl-round-tray',
  imports: [Choice, Tickbox, Slide, Button],
  template: `
    <yl-choice class="min-w-36" label="Seen from" none="turned by hand" [options]="views" [value]="look.view()" (picked)="show($event)" />
    <yl-choice class="min-w-36" label="Cut open" [options]="cuts" [value]="look.cutWay()" (picked)="cut($event)" />
    @if (look.cutWay() !== 'none') {
      <yl-slide label="Where" [(share)]="look.cutAt" [says]="cutWords()" />
    }
    <yl-slide [label]="togetherLabel()" [(share)]="look.together" [says]="step()" />
    @if (sitters().length > 1) {
      <yl-choice class="min-w-40" label="Sat on by" [options]="sitters()" [value]="sitter()" (picked)="sit($event)" />
    }
    <yl-tickbox class="self-end" [(checked)]="look.chalk">Chalk the seams</yl-tickbox>
    <span class="flex flex-wrap gap-2 self-end">
      <button type="button" ylButton (click)="takePng()">Take the picture</button>
      <button type="button" ylButton (click)="takeGltf()">Take it as glTF</button>
    </span>
    @if (step(); as words) {
      <p class="basis-full text-note" role="status" data-part="round-step">{{ words }}</p>
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RoundTray {
  protected readonly look = inject(RoundLook);
  readonly #messages = inject(Messages);
  readonly one = input.required<Planned>();
  readonly sittings = input.required<readonly NamedSitting[]>();
  readonly inWords = input.required<SayIn>();
  protected readonly views = VIEWS;
  protected readonly cuts = CUTS;

  protected readonly sitters = computed(() => [
    { value: 'nobody', name: 'nobody' },
    ...this.sittings().map(({ name, sinkMm }, i) => {
      const { units, step } = this.inWords();
      return { value: String(i), name: `${name}: sinks ${formatLengthUnit(sinkMm, units, step)}` };
    }),
  ]);
  protected readonly sitter = computed(() => {
    const at = this.look.sitter();
    return at === null ? 'nobody' : String(at);
  });
  protected readonly cutWords = computed(() => `${Math.round(this.look.cutAt() * 100)} % of the way`);
  protected readonly togetherLabel = computed(() => (this.look.together() >= 1 ? 'Put together' : this.look.together() <= 0 ? 'Taken apart' : 'Being made'));
  /** The step of the order of work at which the slider stands; empty while the cushion is whole. */
  protected readonly step = computed(() => stepOf(this.one(), this.look.together(), this.inWords()));

  protected show(name: ViewName): void {
    this.look.show(name);
  }

  protected cut(way: CutWay): void {
    this.look.cutWay.set(way);
  }

  protected sit(value: string): void {
    this.look.sitter.set(value === 'nobody' ? null : Number(value));
  }

  protected takeGltf(): void {
    const text = this.look.shownBy()?.gltf();
    if (text) saveFile(text, this.one().source.name, 'gltf');
    else this.#messages.warn('round', 'There is no mesh to take away yet: wait until the cushion is shown.');
  }

  protected async takePng(): Promise<void> {
    const picture = await this.look.shownBy()?.png();
    if (picture) saveBlob(picture, this.one().source.name, 'png');
    else this.#messages.warn('round', 'There is no picture to take away: this browser shows the line drawing.');
  }
}
