import { ChangeDetectionStrategy, Component, computed, EnvironmentInjector, inject, signal, viewChild, type ElementRef } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { GraduationCap } from 'lucide';
import { Icon } from '../shared/icon';
import { formatNumber, JOB_STATES, JOB_TEXT_LIMIT, type Job, type JobSummary, type StoredJob } from '@yardland/core';
import { catchError, combineLatest, debounceTime, map, of, startWith, Subject, switchMap, tap, throwError, type Observable } from 'rxjs';
import { newJob } from '../job/new/new-job';
import { Choice } from '../shared/controls/choice';
import { Messages } from '../shared/messages';
import { firstPage, Pages, type PageAsker } from '../shared/saving/pages';
import { problemOf } from '../shared/saving/problem';
import { ShopService } from '../shared/saving/shop.service';
import { Button, Empty, InputBox, Label, Room, RoomHead, RoomMain, Tool } from '../shared/ui/ui';
import { SessionsButton } from '../shell/sessions-button';
import { WriteButton } from '../log/write-button';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { jobRow, type JobRow } from './job-row';
import { JobsApi } from '../job/saving/jobs-api';
import { JobsTable } from './jobs-table';
import { jobStateWords } from '../job/state-words';

type Loaded = { readonly pages: Pages<JobRow>; readonly failure: null } | { readonly pages: null; readonly failure: string };

/** What messages of the list are about. */
const ABOUT = 'jobs';

/** What is due: search, states, new, copy, archive, import. */
@Component({
  selector: 'yl-jobs-page',
  imports: [RoomMain, RoomHead, Tool, Label, InputBox, Button, Empty, Tape, SessionsButton, ThemeButton, Choice, JobsTable, Icon, WriteButton],
  templateUrl: './jobs-page.html',
  hostDirectives: [Room],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JobsPage {
  readonly #api = inject(JobsApi);
  readonly #router = inject(Router);
  readonly #injector = inject(EnvironmentInjector);
  protected readonly learnIcon = GraduationCap;
  private readonly file = viewChild.required<ElementRef<HTMLInputElement>>('file');
  /** The shop, once it is read; a job that is made before waits for it. */
  readonly #shop$ = inject(ShopService).shop$;
  readonly #shop = toSignal(this.#shop$.pipe(catchError(() => of(null))));
  protected readonly shopName = computed(() => this.#shop()?.document.name ?? '');

  protected readonly search = signal('');
  protected readonly state = signal('');
  protected readonly archived = signal(false);
  readonly #messages = inject(Messages);
  readonly #again = new Subject<void>();

  protected readonly stateOptions = [
    { value: 'all', name: 'all states' },
    { value: 'late', name: 'late' },
    ...JOB_STATES.map((value) => ({ value, name: jobStateWords[value] })),
  ];

  protected readonly loaded = toSignal<Loaded>(
    combineLatest([
      toObservable(this.search).pipe(debounceTime(150)),
      toObservable(this.state),
      toObservable(this.archived),
      this.#again.pipe(startWith(undefined)),
    ]).pipe(
      switchMap(([search, state, archived]): Observable<Loaded> => {
        const query = { ...(search ? { search } : {}), ...(state ? { state } : {}), archived: archived ? 'yes' : 'no' };
        const ask: PageAsker<JobRow> = (from, limit) =>
          this.#api.list({ ...query, from, limit }).pipe(map(({ jobs, total }) => ({ rows: jobs.map(jobRow), total })));
        return firstPage(ask).pipe(
          map((first) => ({ pages: new Pages(first, ask, (error) => this.#warn(error)), failure: null })),
          catchError((error: unknown) => of({ pages: null, failure: problemOf(error).message })),
        );
      }),
      takeUntilDestroyed(),
    ),
  );

  /** How many jobs there are, said while something is looked for. */
  protected readonly found = computed(() => {
    const total = this.loaded()?.pages?.total;
    if (total === undefined) return '';
    return `${formatNumber(total)} ${total === 1 ? 'job' : 'jobs'}${this.search() || this.state() ? ' found' : ''}`;
  });

  protected pickState(value: string): void {
    this.state.set(value === 'all' ? '' : value);
  }

  protected create(): void {
    this.#open(this.#shop$.pipe(switchMap((shop) => this.#api.create(newJob(shop)))));
  }

  /** The first hour, on the real screens. */
  protected async wayIn(): Promise<void> {
    (await this.#guide())?.at(0);
  }

  /** A job with mistakes in it, to be found. */
  protected async practise(): Promise<void> {
    (await this.#guide())?.practise().subscribe({
      next: (id) => void this.#router.navigate(['/jobs', id, 1, 'template']),
      error: (error: unknown) => this.#warn(error),
    });
  }

  /** What shows the way, fetched when it is asked for. */
  async #guide() {
    try {
      const [{ showGuide }, { GuideStore }] = await Promise.all([import('../guide/show-guide'), import('../guide/guide-store')]);
      showGuide(this.#injector);
      return this.#injector.get(GuideStore);
    } catch {
      this.#messages.warn(ABOUT, 'The way in could not be fetched: the server does not answer.');
      return null;
    }
  }

  protected duplicate(id: string): void {
    this.#open(this.#api.duplicate(id));
  }

  protected archive(job: JobSummary, archived: boolean): void {
    this.#api.archive(job.id, job.revision, archived).subscribe({
      next: ({ id, revision }) => {
        if (archived) this.#messages.tell(ABOUT, `${job.name} was put away.`, () => this.#bringBack(id, revision));
        this.#again.next();
      },
      error: (error: unknown) => this.#warn(error),
    });
  }

  #bringBack(id: string, revision: number): void {
    this.#api.archive(id, revision, false).subscribe({ next: () => this.#again.next(), error: (error: unknown) => this.#warn(error) });
  }

  protected readonly backingUp = signal(false);

  constructor() {
    // Said long before it is full; without an answer there is nothing to say.
    this.#api.health().subscribe({
      next: ({ space: { bytes, limitBytes, nearlyFull } }) => {
        if (nearlyFull)
          this.#messages.warn(
            'space',
            `The shop’s database holds ${formatNumber(bytes / 1e9, 1)} of ${formatNumber(limitBytes / 1e9, 1)} GB: beyond that no more pictures are taken. Take pictures out of old jobs, or let it become larger (YARDLAND_LIMIT_GB).`,
          );
      },
      error: () => undefined,
    });
  }

  /** Copies the whole shop, pictures with it, to one file beside its database, while others work on. */
  protected backUp(): void {
    this.backingUp.set(true);
    this.#api.backUp().subscribe({
      next: ({ name, bytes }) => {
        this.backingUp.set(false);
        this.#messages.tell('backup', `Backed up: ${name}, ${formatNumber(bytes / 1e6, 1)} MB, in the folder “backups” beside the database.`);
      },
      error: (error: unknown) => {
        this.backingUp.set(false);
        this.#messages.warn('backup', `There is no backup: ${problemOf(error).message}`);
      },
    });
  }

  protected chooseFile(): void {
    this.file().nativeElement.click();
  }

  protected async import(): Promise<void> {
    const input = this.file().nativeElement;
    const [file] = Array.from(input.files ?? []);
    input.value = '';
    if (!file) return;
    if (file.size > JOB_TEXT_LIMIT) {
      this.#messages.warn(ABOUT, `${file.name} is ${Math.round(file.size / 1e6)} MB; a job file is at most ${JOB_TEXT_LIMIT / 1e6} MB.`);
      return;
    }
    try {
      // What reads a job knows every construction: it is fetched when a file is there.
      const { readJobFile } = await import('./read-job-file');
      const read = readJobFile(await file.text(), this.#shop()?.document.step ?? { mm: 1, inch: 1 / 8 });
      if ('job' in read) this.#open(this.#taken(read.job));
      else this.#messages.warn(ABOUT, `${file.name} was not taken. ${read.problem}`);
    } catch {
      this.#messages.warn(ABOUT, `${file.name} could not be read: the server does not answer.`);
    }
  }

  /** A job that comes in with remnants which another job has set aside comes in without them, and that is said. */
  #taken(job: Job): Observable<StoredJob> {
    return this.#api.create(job).pipe(
      catchError((error: unknown) => {
        if (problemOf(error).code !== 'remnant-taken') return throwError(() => error);
        const { remnants: _remnants, ...rest } = job;
        return this.#api
          .create(rest)
          .pipe(tap(() => this.#messages.warn(ABOUT, `${problemOf(error).message} ${job.name} came in without the remnants that its file names.`)));
      }),
    );
  }

  #warn(error: unknown): void {
    this.#messages.warn(ABOUT, problemOf(error).message);
  }

  #open(answer: Observable<{ readonly id: string }>): void {
    answer.subscribe({
      next: ({ id }) => void this.#router.navigate(['/jobs', id, 1, 'template']),
      error: (error: unknown) => this.#warn(error),
    });
  }
}
