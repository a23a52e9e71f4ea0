import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { Icon } from '../icon';
import { Button } from '../ui/ui';

/** Where a picture comes from: a file that is chosen, or the shop's camera. The one that ships is simulated and takes made pictures in turn. */
@Component({
  selector: 'yl-picture-source',
  imports: [Button, Icon],
  template: `
    <label ylButton="file">
      <svg ylIcon="image" size="20"></svg> Choose a picture
      <input #file type="file" class="sr-only" accept="image/jpeg,image/png,image/webp" (change)="choose(file.files); file.value = ''" />
    </label>
    <button type="button" ylButton (click)="shoot()"><svg ylIcon="camera" size="20"></svg> Take one</button>
    <span class="px-2.5 py-0.5 rounded-[99px] border border-dashed border-line-strong text-label text-ink-soft">camera simulated</span>
  `,
  host: { class: 'flex flex-wrap items-center gap-2.5' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PictureSource {
  /** What the simulated camera looks at. */
  readonly of = input.required<'sheet' | 'cloth'>();
  readonly chosen = output<Blob>();
  readonly failed = output<string>();
  #shot = 0;

  protected choose(files: FileList | null): void {
    const file = files?.[0];
    if (file) this.chosen.emit(file);
  }

  protected async shoot(): Promise<void> {
    const answer = await fetch(`/api/devices/camera/picture?of=${this.of()}&shot=${this.#shot++}`).catch(() => null);
    if (answer?.ok) this.chosen.emit(await answer.blob());
    else this.failed.emit('The camera does not answer.');
  }
}
