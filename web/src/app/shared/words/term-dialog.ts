import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { DRAWING, GLOSSARY, type GlossaryName, type GlossaryWord } from '@yardland/core/glossary';
import { Icon } from '../icon';
import { Tool } from '../ui/buttons';

/** What a word of the trade means, with a drawing, beside the place where it stands. */
@Component({
  selector: 'yl-term-dialog',
  imports: [Icon, Tool],
  template: `
    <div class="w-[min(340px,92vw)] rounded-xl border border-line-strong bg-linen px-4.5 pt-2.5 pb-4 text-ink shadow-[0_20px_50px_-20px_rgb(0_0_0/60%)]">
      <div class="flex items-center justify-between gap-2">
        <h2 id="term-title" class="text-lead">{{ entry.word }}</h2>
        <button type="button" ylTool aria-label="Close" (click)="close()"><svg ylIcon="x" size="18"></svg></button>
      </div>
      <svg [attr.viewBox]="box" class="strokes my-1.5 w-full" aria-hidden="true">
        @for (stroke of entry.drawing; track $index) {
          <path [attr.d]="stroke.d" [attr.class]="stroke.ink" />
        }
      </svg>
      <p class="text-small">{{ entry.text }}</p>
    </div>
  `,
  styleUrl: './term-dialog.css',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TermDialog {
  readonly #ref = inject(DialogRef);
  protected readonly entry: GlossaryWord = GLOSSARY[inject<GlossaryName>(DIALOG_DATA)];
  protected readonly box = `0 0 ${DRAWING.width} ${DRAWING.height}`;

  protected close(): void {
    this.#ref.close();
  }
}
