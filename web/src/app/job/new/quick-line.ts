import { ChangeDetectionStrategy, Component, computed, inject, output, signal, viewChild, type ElementRef } from '@angular/core';
import { firstFilling, pairMm, type Cushion } from '@yardland/core';
import { Messages } from '../../shared/messages';
import { JobStore } from '../job-store';
import type * as QuickReading from './quick-reading';
import { isUntouched } from './new-job';

/** A whole cushion in one line, as it would be scribbled on card; shows what it understood before Enter commits it. */
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
        autocomplete="off"
        spellcheck="false"
        aria-label="Quick line: a whole cushion in one line"
        aria-describedby="quick-says"
        [placeholder]="example()"
        [value]="text()"
        (focus)="load()"
        (input)="text.set(box.value)"
        (keydown.enter)="commit()"
        (keydown.escape)="clear()"
      />
    </div>
    <div id="quick-says" role="status">
      @if (text().trim() && reading(); as read) {
        <p
          class="px-3 py-2.5 rounded-lg border border-line-strong absolute z-20 top-[calc(100%_+_4px)] right-0 w-82.5 bg-linen shadow-card text-note [&.bad]:text-error"
          data-part="quick-says"
          [class.bad]="!read.ok"
        >
          {{ says() }}
        </p>
      }
    </div>
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
  /** What reads the line; it knows every construction, and is fetched when somebody goes to the box. */
  readonly #reader = signal<typeof QuickReading | null>(null);
  protected readonly reading = computed(() => this.#reader()?.readQuickLine(this.text(), this.#store.units(), this.#store.shop()?.document) ?? null);

  protected readonly says = computed(() => {
    const reading = this.reading();
    if (!reading) return '';
    const words = this.#reader()?.quickWords(reading, this.#store.inWords()) ?? '';
    if (!reading.ok) return words;
    const them = reading.quantity > 1 ? 'them' : 'it';
    return `${words} ${this.#replaces() ? `Enter puts ${them} in place of the cushion that the job began with.` : `Enter adds ${them}.`}`;
  });

  /** A new job's only cushion, as it came: a measured one takes its place. */
  readonly #replaces = computed(() => {
    const [job, shop] = [this.#store.job(), this.#store.shop()];
    return !!job && !!shop && isUntouched(job, shop);
  });

  focus(): void {
    this.box().nativeElement.focus();
  }

  protected clear(): void {
    this.text.set('');
    this.box().nativeElement.blur();
  }

  /** Fetches what reads the line, once. Where it cannot be fetched, that is said and the line stays. */
  protected async load(): Promise<void> {
    if (this.#reader()) return;
    try {
      this.#reader.set(await import('./quick-reading'));
    } catch {
      this.#messages.warn('quick-line', 'The line cannot be read while the server is away; it was not opened in this browser before.');
    }
  }

  protected async commit(): Promise<void> {
    await this.load();
    const reading = this.reading();
    const [job, shop] = [this.#store.job(), this.#store.shop()];
    if (!reading?.ok || !job || !shop) return;
    const like = this.#store.cushion();
    const replaces = this.#replaces();
    const school = like?.school ?? shop.schools[0]?.id ?? '';
    const row = shop.school(school);
    const thicknessMm = reading.heightMm + (row ? pairMm(row.coreThickness, job.units) : 0);
    // As the cushion in hand is filled; what takes the place of the one a job began with is filled as it suits its own height.
    const grade = replaces ? undefined : like?.core.layers[0]?.grade;
    const cushion: Cushion = {
      name: `Cushion ${replaces ? 1 : job.cushions.length + 1}`,
      quantity: reading.quantity,
      given: reading.given,
      template: reading.template,
      heightMm: reading.heightMm,
      school,
      construction: reading.construction,
      core: { layers: grade ? [{ grade, thicknessMm }] : firstFilling(thicknessMm, shop, job.units) },
    };
    this.#store.edit(`Added ${cushion.name}`, (now) => ({ ...now, cushions: replaces ? [cushion] : [...now.cushions, cushion] }));
    this.clear();
    this.added.emit(replaces ? 0 : job.cushions.length);
  }
}
