import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { saveFile } from '../shared/reading/save-file';
import { Icon } from '../shared/icon';
import { fullSize, outlineToJson, say, TEMPLATE_PAPERS, TEMPLATE_SIZES, type FullSize, type Issue } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { QuantityField } from '../shared/controls/quantity-field';
import { OutlineReader } from '../shared/reading/outline-reader';
import { Button, TrayPart, TrayRow, Words } from '../shared/ui/ui';
import type { PhotoData } from './photo-dialog';

const SIZE_WORDS: Record<(typeof TEMPLATE_SIZES)[number], string> = {
  given: 'as measured',
  seat: 'the seat',
  finished: 'finished',
  core: 'the core',
  cut: 'the plate as cut',
};
const PAPER_WORDS: Record<(typeof TEMPLATE_PAPERS)[number] | 'roll', string> = {
  a4: 'A4 tiles',
  letter: 'Letter tiles',
  a3: 'A3 tiles',
  legal: 'Legal tiles',
  roll: 'one sheet off a roll',
};
/** What a choice of a piece begins with. */
const PIECE = 'piece ';
const ENDINGS = ['dxf', 'svg', 'plt', 'csv', 'json'] as const;

/** Outlines in from files, and out: full size on paper, or as a file for a saw, a plotter or another program. */
@Component({
  selector: 'yl-files-tray',
  imports: [TrayRow, Button, Words, Choice, QuantityField, Icon],
  template: `
    <div ylTrayRow>
      <label ylButton="file">
        <svg ylIcon="folder-open" size="20"></svg> Outline from a file
        <input #file type="file" class="sr-only" accept=".dxf,.svg,.csv,.json" (change)="open(file.files); file.value = ''" />
      </label>
      <button type="button" ylButton (click)="photo()"><svg ylIcon="camera" size="20"></svg> From a picture</button>
      <yl-choice class="few" label="Where it does not say" [options]="units" [value]="fileUnits()" (picked)="fileUnits.set($event)" />
      <p ylWords role="status">{{ message() }}</p>
    </div>
    <div ylTrayRow>
      <yl-choice class="few" label="Which outline" [options]="outlines()" [value]="which()" (picked)="which.set($event)" />
      <yl-choice class="few" label="On" [options]="papers" [value]="paper()" (picked)="paper.set($event)" />
      @if (paper() === 'roll') {
        <yl-quantity label="Roll, wide" [value]="roll()" [min]="200" [max]="3000" (valueChange)="roll.set($event ?? roll())" />
      }
      <a ylButton="strong" target="_blank" rel="noopener" [href]="print()"><svg ylIcon="printer" size="20"></svg> Print full size</a>
      @for (ending of endings; track ending) {
        <button type="button" ylButton [attr.aria-label]="'Save as ' + ending.toUpperCase()" (click)="save(ending)">
          <svg ylIcon="download" size="20"></svg> {{ ending.toUpperCase() }}
        </button>
      }
    </div>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FilesTray {
  protected readonly store = inject(JobStore);
  readonly #dialogs = inject(Dialogs);
  readonly #reader = inject(OutlineReader);
  protected readonly endings = ENDINGS;
  protected readonly units = [
    { value: 'mm', name: 'millimetres' },
    { value: 'inch', name: 'inches' },
  ] as const;
  /** The outlines of the sizes, then every piece by its name. */
  protected readonly outlines = computed(() => [
    ...TEMPLATE_SIZES.map((value) => ({ value: value as string, name: SIZE_WORDS[value] })),
    ...(this.store.cushionPlan()?.pieces ?? []).map(({ id, label }) => ({ value: `${PIECE}${id}`, name: label })),
  ]);
  protected readonly papers = [...TEMPLATE_PAPERS, 'roll' as const].map((value) => ({ value, name: PAPER_WORDS[value] }));
  protected readonly fileUnits = signal<'mm' | 'inch'>('mm');
  protected readonly which = linkedSignal<readonly { readonly value: string }[], string>({
    source: () => this.outlines(),
    computation: (outlines, before) => (outlines.some(({ value }) => value === before?.value) ? (before?.value ?? 'given') : 'given'),
  });
  protected readonly paper = signal<(typeof TEMPLATE_PAPERS)[number] | 'roll'>('a4');
  protected readonly roll = signal(1500);
  protected readonly message = signal('');

  protected readonly print = computed(() => {
    const query = this.paper() === 'roll' ? `rollWidthMm=${this.roll()}` : `paper=${this.paper()}`;
    const which = this.#piece() ? `piece=${encodeURIComponent(this.#piece() ?? '')}` : `size=${this.which()}`;
    return `/api/jobs/${this.store.head()?.id ?? ''}/templates/${this.store.cushionIndex() + 1}.pdf?${which}&${query}`;
  });

  /** The piece that is chosen, by its id; null for the outline of a size. */
  readonly #piece = computed(() => (this.which().startsWith(PIECE) ? this.which().slice(PIECE.length) : null));

  /** Reads an outline and makes it the template; what was there comes back with undo. */
  protected async open(files: FileList | null): Promise<void> {
    const file = files?.[0];
    if (!file) return;
    const read = await this.#reader.read(file, this.fileUnits());
    if (!read.ok) {
      this.message.set(this.#words(read.problems));
      return;
    }
    this.store.editCushion('Outline from a file', (cushion) => ({ ...cushion, template: { shape: 'free', outline: outlineToJson(read.outline) } }));
    this.message.set(
      [
        `${file.name} is the template now.`,
        read.unsaid ? `The file does not say its units: read as ${this.fileUnits() === 'mm' ? 'millimetres' : 'inches'}.` : '',
        this.#words(read.notes),
      ]
        .filter(Boolean)
        .join(' '),
    );
  }

  /** The dialog and what it works with are loaded when they are wanted. */
  protected async photo(): Promise<void> {
    const data: PhotoData = {
      title: 'Template from a picture',
      about: 'Draw round the pattern on a sheet of known size, with a dark marker; the whole sheet in the picture, on something darker.',
      take: 'Take as the template',
      inWords: this.store.inWords(),
      parts: [],
      taken: (outline) =>
        this.store.editCushion('Traced from a picture', (cushion) => ({ ...cushion, template: { shape: 'free', outline: outlineToJson(outline) } })),
    };
    await this.#dialogs.open(async () => (await import('./photo-dialog')).PhotoDialog, { data, labelledBy: 'photo-title' });
  }

  protected async save(ending: (typeof ENDINGS)[number]): Promise<void> {
    const found = this.#found();
    const { formatOf } = await import('@yardland/core/format');
    const name = [this.store.cushion()?.name ?? 'outline', ...(found?.piece ? [found.words] : [])].join(' ');
    const text = found && formatOf(`x.${ending}`)?.write?.(found.outline, name);
    if (!text) return;
    saveFile(text, name, ending);
  }

  #found(): FullSize | null {
    const one = this.store.cushionPlan();
    return one && fullSize(one, TEMPLATE_SIZES.find((size) => size === this.which()) ?? 'given', this.#piece());
  }

  #words(problems: readonly Issue[]): string {
    return problems
      .map((problem) => say(problem, this.store.inWords()))
      .map(({ what, mend }) => `${what} ${mend}`.trim())
      .join(' ');
  }
}
