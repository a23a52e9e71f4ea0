import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { allBought, type ComplaintSort, type LogAbout, type LogEntry, type LogKind, type StoredEntry } from '@yardland/core';
import { catchError, of } from 'rxjs';
import { Choice, type Option } from '../shared/controls/choice';
import { NoteField } from '../shared/controls/note-field';
import { TextField } from '../shared/controls/text-field';
import { Pictures } from '../shared/reading/pictures';
import { newUuid } from '../shared/saving/new-id';
import { problemOf } from '../shared/saving/problem';
import { ShopService } from '../shared/saving/shop.service';
import { Button, DialogFields, DialogFoot, DialogFrame, Label, TextArea, Words } from '../shared/ui/ui';
import { today } from '../shared/words/days';
import { Settings } from '../shell/settings';
import { LogApi } from './log-api';
import { COMPLAINT_OPTIONS, KIND_OPTIONS } from './entry-words';

/** What the dialog is opened with: where it was opened, or the entry that is changed. */
export interface EntryData {
  /** The job and the cushion in hand; null in the shop's rooms. */
  readonly here: { readonly id: string; readonly name: string; readonly cushion: { readonly index: number; readonly name: string } | null } | null;
  readonly entry?: StoredEntry;
}

type On = LogAbout['on'];

/** Writes an entry of the log: what it says is in hand at once, everything else is filled in already and can be changed. */
@Component({
  selector: 'yl-entry-dialog',
  imports: [DialogFrame, DialogFields, DialogFoot, Button, Words, Label, TextArea, Choice, TextField, NoteField, Pictures],
  template: `
    <form ylDialog (submit)="$event.preventDefault(); write()">
      <h2 id="entry-title">{{ data.entry ? 'Change the entry' : 'Write in the book' }}</h2>
      <div>
        <label ylLabel for="entry-text">{{ kind() === 'complaint' ? 'What the customer says' : 'What is worth knowing later' }}</label>
        <textarea #words id="entry-text" ylInput rows="4" maxlength="2000" cdkFocusInitial [value]="text()" (input)="text.set(words.value)"></textarea>
      </div>
      <div ylDialogFields>
        <yl-choice label="About" [options]="subjects()" [value]="on()" (picked)="on.set($event)" />
        <yl-choice label="Kind" [options]="kinds" [value]="kind()" (picked)="kind.set($event)" />
        @if (on() === 'material') {
          <yl-choice label="Material" [options]="materials()" [value]="material()" none="choose one" (picked)="material.set($event)" />
        }
        @if (on() === 'supplier') {
          <yl-text label="Supplier" [value]="supplier()" [maxLength]="80" (valueChange)="supplier.set($event)" />
        }
        @if (kind() === 'complaint') {
          <yl-choice label="It is about" [options]="complaints" [value]="complaint()" (picked)="complaint.set($event)" />
        }
        <yl-text label="Day" type="date" [value]="day()" (valueChange)="day.set($event)" />
        @if (people().length) {
          <yl-choice label="By" [options]="people()" [value]="who()" none="nobody said" (picked)="who.set($event)" />
        }
        @if (kind() === 'complaint') {
          <yl-note class="col-span-full" label="What it was, and what was done" [value]="outcome()" (valueChange)="outcome.set($event)" />
        }
      </div>
      <yl-pictures [job]="jobId()" [ids]="pictures()" of="the entry" [most]="6" (added)="addPicture($event)" (removed)="dropPicture($event)" />
      @if (failure(); as why) {
        <p ylWords="bad" role="alert">{{ why }}</p>
      }
      <div ylDialogFoot>
        <button type="button" ylButton (click)="close()">Leave it</button>
        <button type="submit" ylButton="strong" [disabled]="sending()">{{ data.entry ? 'Keep it' : 'Write it' }}</button>
      </div>
    </form>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class EntryDialog {
  protected readonly data = inject<EntryData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<StoredEntry>>(DialogRef);
  readonly #api = inject(LogApi);
  readonly #settings = inject(Settings);
  readonly #shop = toSignal(inject(ShopService).document$.pipe(catchError(() => of(null))));
  readonly #id = this.data.entry?.id ?? newUuid();

  protected readonly kinds = KIND_OPTIONS;
  protected readonly complaints = COMPLAINT_OPTIONS;
  protected readonly text = signal(this.data.entry?.text ?? '');
  protected readonly kind = signal<LogKind>(this.data.entry?.kind ?? 'remark');
  protected readonly day = signal(this.data.entry?.day ?? today());
  protected readonly on = signal<On>(this.data.entry?.about.on ?? (this.data.here?.cushion ? 'cushion' : this.data.here ? 'job' : 'shop'));
  protected readonly material = signal(this.#was('material'));
  protected readonly supplier = signal(this.#was('supplier'));
  protected readonly who = signal(this.data.entry ? this.data.entry.who : this.#settings.person());
  protected readonly complaint = signal<ComplaintSort>(this.data.entry?.complaint ?? 'other');
  protected readonly outcome = signal(this.data.entry?.outcome ?? '');
  protected readonly pictures = signal<readonly string[]>(this.data.entry?.pictures ?? []);
  protected readonly failure = signal<string | null>(null);
  protected readonly sending = signal(false);
  protected readonly jobId = computed(() => this.data.here?.id ?? null);

  protected readonly subjects = computed((): Option<On>[] => {
    const here = this.data.here;
    return [
      ...(here?.cushion ? [{ value: 'cushion' as const, name: here.cushion.name }] : []),
      ...(here ? [{ value: 'job' as const, name: `the job ${here.name}` }] : []),
      { value: 'shop', name: 'the shop' },
      { value: 'material', name: 'a material' },
      { value: 'supplier', name: 'a supplier' },
    ];
  });
  protected readonly materials = computed((): Option[] => {
    const shop = this.#shop();
    return shop ? allBought(shop).map(({ id, name }) => ({ value: id, name })) : [];
  });
  protected readonly people = computed((): Option[] => (this.#shop()?.people ?? []).map((name) => ({ value: name, name })));

  protected addPicture(id: string): void {
    this.pictures.update((all) => [...all, id]);
  }

  protected dropPicture(id: string): void {
    this.pictures.update((all) => all.filter((one) => one !== id));
  }

  protected write(): void {
    const about = this.#about();
    if (typeof about === 'string') {
      this.failure.set(about);
      return;
    }
    const [text, who, outcome, pictures, kind] = [this.text().trim(), this.who(), this.outcome().trim(), this.pictures(), this.kind()];
    if (!text && !pictures.length) {
      this.failure.set('Write a few words, or add a picture.');
      return;
    }
    const entry: LogEntry = {
      day: this.day() || today(),
      kind,
      about,
      text,
      ...(who ? { who } : {}),
      ...(kind === 'complaint' ? { complaint: this.complaint() } : {}),
      ...(kind === 'complaint' && outcome ? { outcome } : {}),
      ...(pictures.length ? { pictures: [...pictures] } : {}),
    };
    this.sending.set(true);
    this.#api.write(this.#id, this.data.entry?.revision ?? 0, entry).subscribe({
      next: (stored) => this.#dialog.close(stored),
      error: (error: unknown) => {
        this.sending.set(false);
        this.failure.set(`It is not written yet. ${problemOf(error).message}`);
      },
    });
  }

  protected close(): void {
    this.#dialog.close();
  }

  #was(on: 'material' | 'supplier'): string {
    const about = this.data.entry?.about;
    return about?.on === 'material' && on === 'material' ? about.material : about?.on === 'supplier' && on === 'supplier' ? about.supplier : '';
  }

  /** What it is about, or why that is not said yet. */
  #about(): LogAbout | string {
    const { here } = this.data;
    switch (this.on()) {
      case 'cushion':
        return here?.cushion ? { on: 'cushion', job: here.id, index: here.cushion.index, name: here.cushion.name } : { on: 'shop' };
      case 'job':
        return here ? { on: 'job', job: here.id } : { on: 'shop' };
      case 'material':
        return this.material() ? { on: 'material', material: this.material() } : 'Say which material it is about.';
      case 'supplier':
        return this.supplier().trim() ? { on: 'supplier', supplier: this.supplier().trim() } : 'Say which supplier it is about.';
      case 'shop':
        return { on: 'shop' };
    }
  }
}
