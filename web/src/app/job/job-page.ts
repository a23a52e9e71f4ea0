import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, untracked, viewChild } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import { Icon } from '../shared/icon';
import { STATIONS } from '@yardland/core';
import { filter, map, startWith } from 'rxjs';
import { Banner, Button, Empty, Tool } from '../shared/ui/ui';
import { KeptLays } from './solving/kept-lays';
import { PlanSolver } from './solving/plan-solver';
import { dueWords } from '../shared/words/days';
import { Settings } from '../shell/settings';
import { WriteButton } from '../log/write-button';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { Dialogs } from '../shared/dialogs';
import { MEASURES } from '../shared/controls/measures';
import { AdviceStore } from './solving/advice-store';
import { JobStore, type Conflict } from './job-store';
import { QuickLine } from './new/quick-line';
import type { Kept } from './saving/pending-shelf';
import type { SaveState } from './saving/save-queue';
import { Strip } from './strip';
import { Ticket } from './ticket';

const SAVE_WORDS: Record<SaveState, string> = {
  saved: 'saved',
  saving: 'saving …',
  offline: 'not sent yet',
  conflict: 'changed elsewhere',
  refused: 'not taken',
};

const KEPT_WORDS: Record<Kept, string> = {
  all: 'Your changes wait in this browser and go out in order when it is back.',
  'last state': 'This browser’s store is full: the job waits in it as it is now, without its single steps, and goes out when the server is back.',
  nothing: 'This browser’s store is full: your changes are in this window only. Keep it open until they are saved.',
};

/** One job: tape, strip, quick line, the station in hand, ticket; and the keys that work all over it. */
@Component({
  selector: 'yl-job-page',
  imports: [Empty, Button, Tool, Banner, RouterOutlet, RouterLink, Tape, ThemeButton, Strip, QuickLine, Ticket, Icon, WriteButton],
  providers: [JobStore, KeptLays, PlanSolver, AdviceStore, { provide: MEASURES, useExisting: JobStore }],
  templateUrl: './job-page.html',
  styleUrl: './job-page.css',
  host: { '(document:keydown)': 'key($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JobPage {
  readonly id = input.required<string>();
  protected readonly store = inject(JobStore);
  protected readonly settings = inject(Settings);
  readonly #router = inject(Router);
  readonly #dialogs = inject(Dialogs);
  private readonly quick = viewChild<QuickLine>('quick');
  readonly #url = toSignal(
    this.#router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map((event) => event.urlAfterRedirects),
      startWith(this.#router.url),
    ),
    { initialValue: '' },
  );
  protected readonly station = computed(() => this.#url().split(/[/?#]/)[4] ?? '');
  /** Cushion and station of the address; while another address is on its way, of that one: a key that is pressed meanwhile goes on from there. */
  readonly #going = linkedSignal(() => {
    const [, , , cushion = '1', station = ''] = this.#url().split(/[/?#]/);
    return { cushion: Math.max(0, Number(cushion) - 1 || 0), station };
  });
  /** The cushion in hand; an address may name one that is not there any more. */
  readonly #here = computed(() => Math.min(this.#going().cushion, Math.max(0, (this.store.job()?.cushions.length ?? 1) - 1)));
  protected readonly tapeJob = computed(() => ({ id: this.id(), cushion: this.store.cushionIndex() + 1 }));
  /** Where an entry of the book is written from. */
  protected readonly here = computed(() => {
    const [job, index, cushion] = [this.store.job(), this.store.cushionIndex(), this.store.cushion()];
    return job ? { id: this.id(), name: job.name, cushion: cushion ? { index, name: cushion.name } : null } : null;
  });
  protected readonly due = computed(() => dueWords(this.store.job()?.dueDate ?? null));

  constructor() {
    inject(PlanSolver);
    effect(() => {
      const id = this.id();
      untracked(() => this.store.open(id));
    });
    effect(() => this.store.select(this.#going().cushion));
    effect(() => {
      const conflict = this.store.conflict();
      if (!conflict) return;
      void this.#dialogs
        .open<'mine' | 'theirs', Conflict>(async () => (await import('./conflict-dialog')).ConflictDialog, {
          data: conflict,
          labelledBy: 'conflict-title',
          mustAnswer: true,
        })
        .then((keep) => keep && this.store.settle(keep));
    });
  }

  protected saveWords(): string {
    return SAVE_WORDS[this.store.saveState()];
  }

  protected keptWords(): string {
    return KEPT_WORDS[this.store.kept()];
  }

  protected goTo(cushion: number, station = this.#going().station || 'template'): void {
    this.#going.set({ cushion, station });
    void this.#router.navigate(['/jobs', this.id(), cushion + 1, station]);
  }

  protected showKeys(): void {
    void this.#dialogs.open(async () => (await import('../shell/keys-dialog')).KeysDialog, { data: null, labelledBy: 'keys-title' });
  }

  protected showSheet(): void {
    void this.#dialogs.open(async () => (await import('./job-sheet-dialog')).JobSheetDialog, { data: this.store, labelledBy: 'sheet-title' });
  }

  protected copyCushion(): void {
    const job = this.store.job();
    const cushion = job?.cushions[this.#here()];
    if (!cushion || !job) return;
    const { bench: _bench, checks: _checks, ...rest } = cushion;
    this.store.edit(`Copied ${cushion.name}`, (now) => ({ ...now, cushions: [...now.cushions, { ...rest, name: `${cushion.name.slice(0, 110)}, again` }] }));
    this.goTo(job.cushions.length);
  }

  protected removeCushion(): void {
    const index = this.#here();
    const name = this.store.job()?.cushions[index]?.name ?? '';
    this.store.edit(`Removed ${name}`, (job) => ({ ...job, cushions: job.cushions.filter((_, i) => i !== index) }));
    this.goTo(Math.max(0, index - 1));
  }

  protected key(event: KeyboardEvent): void {
    const control = event.ctrlKey || event.metaKey;
    const writing =
      event.target instanceof HTMLElement && event.target.matches('input:not([type=radio], [type=checkbox]), textarea, select, [contenteditable]');
    if (control && event.key.toLowerCase() === 'z' && !writing) {
      event.preventDefault();
      this.store.goBackOrForth(event.shiftKey ? 'redo' : 'undo');
      return;
    }
    if (control || event.altKey || writing || !this.settings.keys() || this.#dialogs.anyOpen()) return;
    const station = STATIONS[Number(event.key) - 1];
    if (station) this.goTo(this.#here(), station.id);
    else if (event.key === '[' || event.key === ']') this.#stepCushion(event.key === ']' ? 1 : -1);
    else if (event.key === '/') this.quick()?.focus();
    else if (event.key === 'u') this.store.flipUnits();
    else if (event.key === 'p') window.open(this.store.ticketLink(), '_blank', 'noopener');
    else if (event.key === '?') this.showKeys();
    else return;
    event.preventDefault();
  }

  #stepCushion(by: number): void {
    const count = this.store.job()?.cushions.length ?? 1;
    this.goTo((this.#here() + by + count) % count);
  }
}
