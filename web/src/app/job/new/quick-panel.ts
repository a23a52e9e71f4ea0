import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  linkedSignal,
  signal,
  viewChild,
  type ElementRef,
  type WritableSignal,
} from '@angular/core';
import { readQuickLine, readQuickLines, suggestQuick, type QuickReading, type QuickShop } from '@yardland/core';
import type { JobStore } from '../job-store';
import { Button } from '../../shared/ui/ui';
import { withQuick } from './quick-cushions';
import { isUntouched } from './new-job';
import { quickWords } from './quick-reading';

interface Around {
  readonly added: (cushion: number) => void;
  readonly box: HTMLInputElement;
}

/** Reads what is written in the quick line, offers words, and makes cushions of it. */
export class QuickReader {
  /** Several lines, where a note was pasted; null while there is one line. */
  readonly note = signal<string | null>(null);
  readonly #shop = computed((): QuickShop => this.store.shop()?.document ?? {});
  readonly #like = computed(() => {
    const heightMm = this.store.cushion()?.heightMm;
    return heightMm === undefined ? {} : { heightMm };
  });
  readonly reading = computed(() => readQuickLine(this.text(), this.store.units(), this.#shop(), this.#like()));
  readonly lines = computed(() => readQuickLines(this.note() ?? '', this.store.units(), this.#shop(), this.#like()));
  readonly suggestions = computed(() => {
    const text = this.text();
    return suggestQuick(text, text.length, this.#shop());
  });
  /** The word that the arrow keys have gone to; none until they are pressed. */
  readonly active = linkedSignal({ source: this.text, computation: () => -1 });
  readonly offers = computed(() => this.suggestions().words.length > 0);
  readonly activeId = computed(() => (this.active() >= 0 ? `quick-word-${this.active()}` : null));
  /** A new job's only cushion, as it came: measured ones take its place. */
  readonly replaces = computed(() => {
    const [job, shop] = [this.store.job(), this.store.shop()];
    return !!job && !!shop && isUntouched(job, shop);
  });

  constructor(
    private readonly store: JobStore,
    readonly text: WritableSignal<string>,
    private readonly around: Around,
  ) {}

  words(reading: QuickReading): string {
    return quickWords(reading, this.store.inWords(), this.store.shop()?.document);
  }

  /** Puts a word in place of the one that is being written. */
  choose(word: string): void {
    const { from, to } = this.suggestions();
    this.text.update((text) => `${text.slice(0, from)}${word} ${text.slice(to)}`);
    this.around.box.focus();
  }

  /** Whether a key was for the words on offer. */
  key(event: KeyboardEvent): boolean {
    const { words } = this.suggestions();
    const word = words[this.active()];
    if (words.length && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
      const by = event.key === 'ArrowDown' ? 1 : -1;
      this.active.update((at) => Math.max(-1, Math.min(words.length - 1, at + by)));
    } else if (event.key === 'Enter' && word !== undefined) this.choose(word);
    else return false;
    event.preventDefault();
    return true;
  }

  /** Makes the cushion of the line, where it is understood. */
  commit(): void {
    const reading = this.reading();
    if (reading.ok) this.#make([reading]);
  }

  /** Makes the cushions of a note, once every line of it is understood: as one step of undo. */
  commitNote(): void {
    const readings = this.lines().flatMap(({ reading }) => (reading.ok ? [reading] : []));
    if (!readings.length || readings.length < this.lines().length) return;
    this.note.set(null);
    this.#make(readings);
  }

  leaveNote(): void {
    this.note.set(null);
    this.around.box.focus();
  }

  #make(readings: readonly Extract<QuickReading, { ok: true }>[]): void {
    const [job, shop] = [this.store.job(), this.store.shop()];
    if (!job || !shop) return;
    const { next, first, label } = withQuick(job, readings, { shop, like: this.store.cushion(), replaces: this.replaces() });
    this.store.edit(label, () => next);
    this.around.added(first);
  }
}

/** What was understood of the quick line, what was not and what would be, and the words on offer; of a note every line by itself. */
@Component({
  selector: 'yl-quick-panel',
  imports: [Button],
  template: `
    @if (reader().note() !== null) {
      <section class="card w-120 max-w-[calc(100vw_-_2rem)]" aria-label="Cushions of a note, a line each">
        <textarea
          #lines
          class="w-full rounded border border-line-strong bg-calico p-2 text-row"
          rows="6"
          aria-label="A cushion in each line"
          [value]="reader().note()"
          (input)="reader().note.set(lines.value)"
          (keydown.escape)="reader().leaveNote()"
        ></textarea>
        <ol class="my-1.5 max-h-60 overflow-y-auto">
          @for (one of reader().lines(); track one.line) {
            <li class="border-b border-b-line py-1" [class.text-error]="!one.reading.ok">
              @if (one.reading.ok) {
                {{ reader().words(one.reading) }}
              } @else {
                <b
                  >{{ one.text.slice(0, one.reading.from) }}<mark>{{ one.text.slice(one.reading.from, one.reading.to) }}</mark
                  >{{ one.text.slice(one.reading.to) }}</b
                ><br />{{ reader().words(one.reading) }}
              }
            </li>
          }
        </ol>
        <div class="flex gap-2">
          <button type="button" ylButton="strong" [disabled]="wrong() > 0 || !reader().lines().length" (click)="reader().commitNote()">
            {{ reader().replaces() ? 'Begin with' : 'Add' }} {{ reader().lines().length }} {{ reader().lines().length === 1 ? 'cushion' : 'cushions' }}
          </button>
          <button type="button" ylButton (click)="reader().leaveNote()">Leave it</button>
        </div>
      </section>
    } @else if (reader().text().trim()) {
      <div class="card w-90 max-w-[calc(100vw_-_2rem)]">
        @if (reader().offers()) {
          <div id="quick-words" role="listbox" aria-label="Words that it could become" class="mb-1.5 flex flex-wrap gap-1">
            @for (word of reader().suggestions().words; track word; let i = $index) {
              <button
                type="button"
                role="option"
                tabindex="-1"
                class="word min-h-8 cursor-pointer rounded border border-line-strong px-2 py-1"
                [id]="'quick-word-' + i"
                [class.at]="reader().active() === i"
                [attr.aria-selected]="reader().active() === i"
                (mousedown)="$event.preventDefault()"
                (click)="reader().choose(word)"
              >
                {{ word }}
              </button>
            }
          </div>
        }
        @if (problem(); as wrong) {
          <p class="mb-1 font-bold" data-part="quick-marked">
            {{ reader().text().slice(0, wrong.from) }}<mark>{{ reader().text().slice(wrong.from, wrong.to) }}</mark
            >{{ reader().text().slice(wrong.to) }}
          </p>
        }
        <p data-part="quick-says" [class.text-error]="!reader().reading().ok">{{ says() }}</p>
      </div>
    }
  `,
  styles: `
    .card {
      position: absolute;
      z-index: 20;
      top: calc(100% + 4px);
      right: 0;
      padding: 10px 12px;
      border: 1px solid var(--color-line-strong);
      border-radius: 8px;
      background: var(--color-linen);
      box-shadow: var(--shadow-card);
      font-size: var(--text-note);
    }
    .word.at,
    .word:hover {
      background: var(--color-calico-deep);
      border-color: var(--color-ink);
    }
    mark {
      background: transparent;
      color: var(--color-error);
      text-decoration: wavy underline;
      text-underline-offset: 3px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class QuickPanel {
  readonly reader = input.required<QuickReader>();
  private readonly lines = viewChild<ElementRef<HTMLTextAreaElement>>('lines');
  protected readonly wrong = computed(
    () =>
      this.reader()
        .lines()
        .filter(({ reading }) => !reading.ok).length,
  );
  /** What stands in the way at a place of the line; a line that only lacks its measures is not marked. */
  protected readonly problem = computed(() => {
    const reading = this.reader().reading();
    return reading.ok || reading.code === 'no-measures' || reading.code === 'no-height' ? null : reading;
  });
  protected readonly says = computed(() => {
    const reader = this.reader();
    const reading = reader.reading();
    const words = reader.words(reading);
    if (!reading.ok) return words;
    const them = reading.quantity > 1 ? 'them' : 'it';
    return `${words} ${reader.replaces() ? `Enter puts ${them} in place of the cushion that the job began with.` : `Enter adds ${them}.`}`;
  });

  constructor() {
    // A note that was pasted is gone on with where it now stands.
    afterRenderEffect(() => this.lines()?.nativeElement.focus());
  }
}
