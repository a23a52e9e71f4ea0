import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { StoredEntry } from '@yardland/core';
import { Dialogs } from '../shared/dialogs';
import { Icon } from '../shared/icon';
import { Messages } from '../shared/messages';
import { Tool } from '../shared/ui/ui';
import type { EntryData } from './entry-dialog';

/** Opens a fresh entry of the log, from anywhere. */
@Component({
  selector: 'yl-write-button',
  imports: [Icon, Tool],
  template: `<button type="button" ylTool="quiet" aria-label="Write in the book" title="Write in the book" (click)="open()">
    <svg ylIcon="notebook-pen" size="20"></svg>
  </button>`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WriteButton {
  readonly here = input<EntryData['here']>(null);
  readonly written = output<StoredEntry>();
  readonly #dialogs = inject(Dialogs);
  readonly #messages = inject(Messages);

  protected async open(): Promise<void> {
    // The dialog is on its way after the first press: what is typed meanwhile would press the button again.
    if (this.#dialogs.anyOpen()) return;
    const data: EntryData = { here: this.here() };
    const entry = await this.#dialogs.open<StoredEntry, EntryData>(async () => (await import('./entry-dialog')).EntryDialog, {
      data,
      labelledBy: 'entry-title',
    });
    if (!entry) return;
    this.#messages.tell('book', 'Written in the book.');
    this.written.emit(entry);
  }
}
