import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { Icon } from '../icon';
import { PicturesApi } from './pictures-api';
import { problemOf } from '../saving/problem';
import { Button, Tool, Words } from '../ui/ui';

/** Pictures of one thing of a job: shown small, added, taken out. They are sent to the server at once; which belong to the thing is told to whoever keeps it. */
@Component({
  selector: 'yl-pictures',
  imports: [Button, Tool, Words, Icon],
  template: `
    @for (id of ids(); track id; let i = $index) {
      <span class="relative block [&_img]:rounded-md [&_img]:border [&_img]:border-line-strong [&_img]:w-16.5 [&_img]:h-13 [&_img]:object-cover">
        <a [href]="address(id)" target="_blank" rel="noopener"><img [src]="address(id)" [alt]="'Picture ' + (i + 1) + ' of ' + of()" /></a>
        <button
          type="button"
          ylTool="quiet"
          class="absolute -top-3 -right-3.5"
          [attr.aria-label]="'Take picture ' + (i + 1) + ' out'"
          (click)="removed.emit(id)"
        >
          <svg ylIcon="trash-2" size="18"></svg>
        </button>
      </span>
    }
    <label ylButton="file">
      <svg ylIcon="camera" size="20"></svg> {{ sending() ? 'Sending …' : 'Add a picture' }}
      <input #files type="file" class="sr-only" accept="image/jpeg,image/png,image/webp" multiple (change)="add(files.files); files.value = ''" />
    </label>
    @if (message(); as words) {
      <p ylWords="bad" role="alert">{{ words }}</p>
    }
  `,
  host: { class: 'flex flex-wrap items-center gap-2.5', role: 'group', '[attr.aria-label]': '"Pictures of " + of()' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Pictures {
  /** The job they belong to; null: none, but an entry of the log. */
  readonly job = input.required<string | null>();
  readonly ids = input.required<readonly string[]>();
  /** What they are of: `the old core`. */
  readonly of = input.required<string>();
  readonly most = input(12);
  /** One came in, with its id. */
  readonly added = output<string>();
  readonly removed = output<string>();
  readonly #api = inject(PicturesApi);
  protected readonly sending = signal(0);
  protected readonly message = signal<string | null>(null);
  protected readonly address = (id: string): string => this.#api.address(id);

  protected add(files: FileList | null): void {
    const room = this.most() - this.ids().length - this.sending();
    if (!files) return;
    this.message.set(files.length > room ? `${this.most()} pictures of ${this.of()} are kept at most; the rest was left out.` : null);
    for (const file of [...files].slice(0, Math.max(0, room))) {
      this.sending.update((n) => n + 1);
      this.#api.send(this.job(), file).subscribe({
        next: ({ id }) => {
          this.sending.update((n) => n - 1);
          this.added.emit(id);
        },
        error: (error: unknown) => {
          this.sending.update((n) => n - 1);
          this.message.set(`${file.name}: ${problemOf(error).message}`);
        },
      });
    }
  }
}
