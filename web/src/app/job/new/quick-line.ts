import { ChangeDetectionStrategy, Component, computed, inject, output, signal, viewChild, ViewContainerRef, type ElementRef } from '@angular/core';
import { Messages } from '../../shared/messages';
import { JobStore } from '../job-store';
import type * as Quick from './quick-panel';

/** A whole cushion in one line, as it would be scribbled on card; shows what it understood before Enter commits it. What reads it is fetched when somebody goes to the box. */
@Component({
  selector: 'yl-quick-line',
  template: `
    <div
      class="px-2.5 rounded-md border-[1.5px] border-dashed border-line-strong gap-2 flex items-center min-h-11 [&_input]:border-0 [&_input]:w-full [&_input]:min-w-0 [&_input]:bg-transparent [&_input]:outline-none [&_input]:text-row focus-within:bg-linen [&_input::placeholder]:text-ink-soft"
    >
      <kbd aria-hidden="true">/</kbd>
      <input
        #box
        type="text"
        role="combobox"
        autocomplete="off"
        spellcheck="false"
        aria-label="Quick line: a whole cushion in one line"
        aria-describedby="quick-says"
        aria-controls="quick-words"
        aria-autocomplete="list"
        [attr.aria-expanded]="reader()?.offers() ?? false"
        [attr.aria-activedescendant]="reader()?.activeId() ?? null"
        [placeholder]="example()"
        [value]="text()"
        (focus)="load()"
        (input)="text.set(box.value)"
        (keydown)="key($event)"
        (paste)="paste($event)"
      />
    </div>
    <div id="quick-says" role="status"><ng-container #slot /></div>
  `,
  host: { class: 'relative w-67 flex-none max-phone:flex-[1_1_100%] max-tablet:w-43' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class QuickLine {
  readonly #store = inject(JobStore);
  readonly #messages = inject(Messages);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  readonly added = output<number>();
  protected readonly text = signal('');
  protected readonly example = computed(() => (this.#store.units() === 'inch' ? '6 x 19 3/4 x 17 x 3 welt' : '6 x 500 x 430 x 75 welt'));
  protected readonly reader = signal<Quick.QuickReader | null>(null);
  private readonly slot = viewChild.required('slot', { read: ViewContainerRef });

  focus(): void {
    this.box().nativeElement.focus();
  }

  /** Fetches what reads the line, once. Where it cannot be fetched, that is said and the line stays. */
  protected async load(): Promise<Quick.QuickReader | null> {
    const known = this.reader();
    if (known) return known;
    try {
      const { QuickPanel, QuickReader } = await import('./quick-panel');
      // Asked for twice before it came, it is there already.
      if (this.reader()) return this.reader();
      const reader = new QuickReader(this.#store, this.text, { added: (at) => this.#done(at), box: this.box().nativeElement });
      this.reader.set(reader);
      this.slot().createComponent(QuickPanel).setInput('reader', reader);
      return reader;
    } catch {
      this.#messages.warn('quick-line', 'The quick line is not available while the server is away: this browser has not opened it before.');
      return null;
    }
  }

  protected async key(event: KeyboardEvent): Promise<void> {
    if (this.reader()?.key(event)) return;
    if (event.key === 'Escape') this.#clear();
    else if (event.key === 'Enter') (await this.load())?.commit();
  }

  /** A note of several lines keeps them. */
  protected async paste(event: ClipboardEvent): Promise<void> {
    const pasted = event.clipboardData?.getData('text/plain') ?? '';
    if (!/[\r\n]/.test(pasted.trim())) return;
    event.preventDefault();
    (await this.load())?.note.set(pasted);
  }

  #done(at: number): void {
    this.#clear();
    this.added.emit(at);
  }

  #clear(): void {
    this.text.set('');
    this.box().nativeElement.blur();
  }
}
