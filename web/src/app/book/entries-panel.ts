import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { allBought, CONSTRUCTIONS, formatNumber, MOST_COUNTED, type LogKind, type LogList, type StoredEntry } from '@yardland/core';
import { catchError, combineLatest, debounceTime, map, of, startWith, Subject, switchMap, tap } from 'rxjs';
import { Choice, type Option } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import type { IconNode } from 'lucide';
import { Icon } from '../shared/icon';
import { Messages } from '../shared/messages';
import { ROOM_ICONS } from '../shared/room-icons';
import { PicturesApi } from '../shared/reading/pictures-api';
import { problemOf } from '../shared/saving/problem';
import { ShopService } from '../shared/saving/shop.service';
import { Button, Chip, Empty, InputBox, Label, Tool, Words } from '../shared/ui/ui';
import { dayWords } from '../shared/words/days';
import { LogApi } from '../log/log-api';
import { complaintWords, KIND_OPTIONS, KIND_WORDS } from '../log/entry-words';
import type { EntryData } from '../log/entry-dialog';
import { NOTHING_ASKED, queryOf, sizeOf, type Asked } from './entry-query';

/** Entries fetched at once. */
const PAGE = 100;
const STILL_MS = 150;

const ICONS: Readonly<Record<LogKind, IconNode>> = {
  made: ROOM_ICONS.scissors,
  measured: ROOM_ICONS.ruler,
  changed: ROOM_ICONS.replace,
  bought: ROOM_ICONS.package,
  remark: ROOM_ICONS.messageSquareText,
  complaint: ROOM_ICONS.triangleAlert,
};
const ANY: Option = { value: 'any', name: 'any' };
const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric' });

interface Row {
  readonly entry: StoredEntry;
  readonly day: string;
  readonly kind: string;
  readonly icon: IconNode;
  readonly complaint: string;
  readonly material: string;
  /** What it is about, and where that is. */
  readonly of: string;
  readonly link: readonly (string | number)[] | null;
  readonly more: string;
  readonly again: boolean;
  readonly looksBack: boolean;
}

type Loaded = { readonly list: LogList; readonly failure: null } | { readonly list: null; readonly failure: string };

/** Entries of the log: looked for, written, changed; each leads to what it is about. */
@Component({
  selector: 'yl-entries-panel',
  imports: [RouterLink, Choice, Icon, Button, Chip, Empty, InputBox, Label, Tool, Words],
  templateUrl: './entries-panel.html',
  host: { class: 'flex min-h-0 flex-1 flex-col max-phone:overflow-y-auto' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class EntriesPanel {
  /** Only what is about this job. */
  readonly job = input<string>();
  readonly #api = inject(LogApi);
  readonly #router = inject(Router);
  readonly #dialogs = inject(Dialogs);
  readonly #messages = inject(Messages);
  readonly #pictures = inject(PicturesApi);
  readonly #again = new Subject<void>();
  readonly #shop = toSignal(inject(ShopService).document$.pipe(catchError(() => of(null))));
  readonly #facets = toSignal(
    this.#again.pipe(
      startWith(undefined),
      switchMap(() => this.#api.facets().pipe(catchError(() => of({ customers: [], years: [] })))),
    ),
    { initialValue: { customers: [], years: [] } },
  );

  protected readonly icons = ROOM_ICONS;
  protected readonly asked = signal<Asked>(NOTHING_ASKED);
  /** Entries beyond the first page, fetched when they were asked for. */
  readonly #further = signal<Pick<LogList, 'entries' | 'more'> | null>(null);
  protected readonly units = computed(() => this.#shop()?.units ?? 'metric');
  protected readonly kinds: readonly Option[] = [ANY, ...KIND_OPTIONS];
  protected readonly constructions: readonly Option[] = [ANY, ...CONSTRUCTIONS.map(({ kind, name }) => ({ value: kind, name }))];
  protected readonly years = computed(() => [ANY, ...this.#facets().years.map((year) => ({ value: String(year), name: String(year) }))]);
  protected readonly customers = computed(() => [ANY, ...this.#facets().customers.map((name) => ({ value: name, name }))]);
  protected readonly cloths = computed(() => [ANY, ...this.#named(this.#shop()?.cloths)]);
  protected readonly fillings = computed(() => [ANY, ...this.#named([...(this.#shop()?.grades ?? []), ...(this.#shop()?.fillings ?? [])])]);
  protected readonly schools = toSignal(
    inject(ShopService).shop$.pipe(
      map(({ schools }) => [ANY, ...this.#named(schools)]),
      catchError(() => of([ANY])),
    ),
    { initialValue: [ANY] },
  );
  protected readonly sizeProblem = computed(() => {
    const { size } = this.asked();
    return size.trim() && !sizeOf(size, this.units()) ? `“${size.trim()}” is no size: write it as 600 x 550, or 600 x 550 x 90.` : '';
  });
  readonly #query = computed(() => queryOf(this.asked(), this.units(), this.job()));
  protected readonly filtered = computed(() => this.asked() !== NOTHING_ASKED || this.job() !== undefined);
  protected readonly csv = computed(() => this.#api.csvAddress(this.#query()));

  protected readonly loaded = toSignal<Loaded>(
    combineLatest([toObservable(this.#query).pipe(debounceTime(STILL_MS)), this.#again.pipe(startWith(undefined))]).pipe(
      switchMap(([query]) =>
        this.#api.list({ ...query, limit: PAGE }).pipe(
          tap(() => this.#further.set(null)),
          map((list): Loaded => ({ list, failure: null })),
          catchError((error: unknown) => of<Loaded>({ list: null, failure: problemOf(error).message })),
        ),
      ),
      takeUntilDestroyed(),
    ),
  );
  protected readonly failure = computed(() => this.loaded()?.failure ?? null);
  protected readonly more = computed(() => this.#further()?.more ?? this.loaded()?.list?.more ?? false);
  protected readonly found = computed(() => {
    const list = this.loaded()?.list;
    if (!list) return '';
    const [first] = list.entries;
    const whose = this.job() ? ` about ${first?.of?.name ?? 'this job'}` : '';
    if (this.filtered() && list.total > MOST_COUNTED) return `More than ${formatNumber(MOST_COUNTED)} entries found${whose}, newest first.`;
    return `${formatNumber(list.total)} ${list.total === 1 ? 'entry' : 'entries'}${this.filtered() ? ' found' : ''}${whose}, newest first.`;
  });

  readonly #shown = computed(() => [...(this.loaded()?.list?.entries ?? []), ...(this.#further()?.entries ?? [])]);

  /** Entries by month, newest first. */
  protected readonly months = computed(() => {
    const months: { name: string; rows: Row[] }[] = [];
    for (const entry of this.#shown()) {
      const name = MONTH.format(new Date(`${entry.day}T12:00:00`));
      if (months.at(-1)?.name !== name) months.push({ name, rows: [] });
      months.at(-1)?.rows.push(this.#row(entry));
    }
    return months;
  });

  protected readonly address = (id: string): string => this.#pictures.address(id);

  protected ask(change: Partial<Asked>): void {
    this.asked.update((asked) => ({ ...asked, ...change }));
  }

  protected pick(field: Exclude<keyof Asked, 'words' | 'size'>, value: string): void {
    this.ask({ [field]: value === ANY.value ? '' : value });
  }

  protected clear(): void {
    this.asked.set(NOTHING_ASKED);
    if (this.job()) void this.#router.navigate([], { queryParams: { job: null }, queryParamsHandling: 'merge' });
  }

  protected showMore(): void {
    this.#api.list({ ...this.#query(), from: this.#shown().length, limit: PAGE }).subscribe({
      next: ({ entries, more }) => this.#further.update((before) => ({ entries: [...(before?.entries ?? []), ...entries], more })),
      error: (error: unknown) => this.#messages.warn('book', problemOf(error).message),
    });
  }

  protected async write(): Promise<void> {
    const [job, of] = [this.job(), this.loaded()?.list?.entries.find(({ about }) => 'job' in about && about.job === this.job())?.of];
    await this.#edit({ here: job ? { id: job, name: of?.name ?? 'in hand', cushion: null } : null });
  }

  protected async change(entry: StoredEntry): Promise<void> {
    const { about, of } = entry;
    const here = 'job' in about ? { id: about.job, name: of?.name ?? '', cushion: about.on === 'cushion' ? about : null } : null;
    await this.#edit({ here, entry });
  }

  protected drop({ id, revision, kind }: StoredEntry): void {
    this.#api.drop(id, revision).subscribe({
      next: () => {
        this.#messages.tell('book', `The ${KIND_WORDS[kind]} was taken out of the book.`);
        this.#again.next();
      },
      error: (error: unknown) => this.#messages.warn('book', problemOf(error).message),
    });
  }

  protected async again({ about }: StoredEntry): Promise<void> {
    if (!('job' in about)) return;
    const made = await this.#dialogs.open<{ readonly id: string }, string>(async () => (await import('./again-dialog')).AgainDialog, {
      data: about.job,
      labelledBy: 'again-title',
    });
    if (made) void this.#router.navigate(['/jobs', made.id, 1, 'template']);
  }

  protected async lookBack(entry: StoredEntry): Promise<void> {
    await this.#dialogs.open<null, StoredEntry>(async () => (await import('./look-back-dialog')).LookBackDialog, {
      data: entry,
      labelledBy: 'look-back-title',
    });
  }

  async #edit(data: EntryData): Promise<void> {
    const entry = await this.#dialogs.open<StoredEntry, EntryData>(async () => (await import('../log/entry-dialog')).EntryDialog, {
      data,
      labelledBy: 'entry-title',
    });
    if (entry) this.#again.next();
  }

  #named(list: readonly { readonly id: string; readonly name: string }[] | undefined): Option[] {
    return (list ?? []).map(({ id, name }) => ({ value: id, name }));
  }

  #row(entry: StoredEntry): Row {
    const { about, of: job, day, kind, who, complaint, material } = entry;
    const shop = this.#shop();
    const all = shop ? allBought(shop) : [];
    const named = (id: string): string => all.find((one) => one.id === id)?.name ?? id;
    const of =
      about.on === 'cushion'
        ? `${about.name}, ${job?.name ?? ''}`
        : about.on === 'job'
          ? (job?.name ?? '')
          : about.on === 'material'
            ? named(about.material)
            : about.on === 'supplier'
              ? about.supplier
              : 'the shop';
    const link = about.on === 'cushion' ? ['/jobs', about.job, about.index + 1, 'check'] : about.on === 'job' ? ['/jobs', about.job] : null;
    return {
      entry,
      day: dayWords(day),
      kind: KIND_WORDS[kind],
      icon: ICONS[kind],
      complaint: complaint ? complaintWords(complaint) : '',
      material: material !== null && about.on !== 'material' ? named(material) : '',
      of,
      link,
      more: [job?.customer ?? '', job?.archived ? 'put away' : '', who ? `by ${who}` : '']
        .filter(Boolean)
        .map((word) => `· ${word}`)
        .join(' '),
      again: entry.written === 'delivered',
      looksBack: kind === 'complaint' && about.on === 'cushion',
    };
  }
}
