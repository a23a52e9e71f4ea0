import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild, type ElementRef } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { LucideArchive, LucideArchiveRestore, LucideCopyPlus, LucidePlus, LucideUpload } from '@lucide/angular';
import { JOB_STATES, JOB_TEXT_LIMIT, readJobText, sayLine, type JobList, type JobSummary } from '@yardland/core';
import { catchError, combineLatest, debounceTime, map, of, startWith, Subject, switchMap, type Observable } from 'rxjs';
import { newJob } from '../job/new-job';
import { Choice } from '../shared/choice';
import { dayWords, daysUntil } from '../shared/days';
import { Messages } from '../shared/messages';
import { problemOf } from '../shared/problem';
import { ShopService } from '../shared/shop.service';
import { Button, Chip, Empty, InputBox, Label, Room, RoomHead, RoomMain, Tool } from '../shared/ui/ui';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { JobsApi } from './jobs-api';
import { jobStateWords } from './state-words';

type Loaded = { readonly list: JobList; readonly failure: null } | { readonly list: null; readonly failure: string };

/** What messages of the list are about. */
const ABOUT = 'jobs';

/** What is due: search, states, new, copy, archive, import. */
@Component({
  selector: 'yl-jobs-page',
  imports: [
    RoomMain,
    RoomHead,
    Label,
    InputBox,
    Button,
    Empty,
    Chip,
    Tool,
    FormsModule,
    RouterLink,
    Tape,
    ThemeButton,
    Choice,
    LucidePlus,
    LucideUpload,
    LucideArchive,
    LucideArchiveRestore,
    LucideCopyPlus,
  ],
  templateUrl: './jobs-page.html',
  hostDirectives: [Room],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JobsPage {
  readonly #api = inject(JobsApi);
  readonly #router = inject(Router);
  private readonly file = viewChild.required<ElementRef<HTMLInputElement>>('file');
  readonly #shop = toSignal(inject(ShopService).shop$.pipe(catchError(() => of(null))));
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
      switchMap(([search, state, archived]): Observable<Loaded> =>
        this.#api.list({ ...(search ? { search } : {}), ...(state ? { state } : {}), archived: archived ? 'yes' : 'no' }).pipe(
          map((list) => ({ list, failure: null })),
          catchError((error: unknown) => of({ list: null, failure: problemOf(error).message })),
        ),
      ),
      takeUntilDestroyed(),
    ),
  );

  protected readonly rows = computed(() =>
    (this.loaded()?.list?.jobs ?? []).map((job) => {
      const days = job.dueDate === null ? null : daysUntil(job.dueDate);
      const done = job.state === 'ready' || job.state === 'delivered';
      return {
        ...job,
        stateWords: jobStateWords[job.state],
        dueWords: job.dueDate === null ? 'no date' : dayWords(job.dueDate),
        away:
          days === null || done
            ? ''
            : days < 0
              ? `${-days} ${days === -1 ? 'day' : 'days'} late`
              : days === 0
                ? 'today'
                : `in ${days} ${days === 1 ? 'day' : 'days'}`,
        late: days !== null && days < 0 && !done,
        shapes: shapesOf(job),
        more: Math.max(0, job.cushions - MOST_SHAPES),
      };
    }),
  );

  protected pickState(value: string): void {
    this.state.set(value === 'all' ? '' : value);
  }

  protected create(): void {
    const shop = this.#shop();
    if (!shop) {
      this.#messages.warn(ABOUT, 'The shop’s materials are not there yet; try again in a moment.');
      return;
    }
    this.#open(this.#api.create(newJob(shop)));
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
      error: (error: unknown) => this.#messages.warn(ABOUT, problemOf(error).message),
    });
  }

  #bringBack(id: string, revision: number): void {
    this.#api
      .archive(id, revision, false)
      .subscribe({ next: () => this.#again.next(), error: (error: unknown) => this.#messages.warn(ABOUT, problemOf(error).message) });
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
    const read = readJobText(await file.text());
    const step = this.#shop()?.document.step ?? { mm: 1, inch: 1 / 8 };
    if (read.ok) this.#open(this.#api.create(read.value));
    else {
      const [first] = read.problems;
      this.#messages.warn(
        ABOUT,
        `${file.name} was not taken. ${first ? `${first.path ? `At ${first.path}: ` : ''}${sayLine(first, { units: 'metric', step })}` : ''}`,
      );
    }
  }

  #open(answer: Observable<{ readonly id: string }>): void {
    answer.subscribe({
      next: ({ id }) => void this.#router.navigate(['/jobs', id, 1, 'template']),
      error: (error: unknown) => this.#messages.warn(ABOUT, problemOf(error).message),
    });
  }
}

/** Cushions of a job that are drawn in the list; how many more there are is said. */
const MOST_SHAPES = 5;

interface Shape {
  readonly path: string;
  readonly width: number;
  readonly height: number;
  readonly quantity: number;
}

/** The outlines of a job's first cushions, to one scale; a cushion that has none yet is drawn as its box. */
function shapesOf(job: JobSummary): Shape[] {
  const drawn = job.outlines.filter(({ widthMm, depthMm }) => widthMm > 0 && depthMm > 0);
  const scale = Math.min(0.05, ...drawn.map(({ widthMm, depthMm }) => Math.min(72 / widthMm, 34 / depthMm)));
  return drawn.slice(0, MOST_SHAPES).map(({ widthMm, depthMm, quantity, outline }) => {
    const box: [number, number][] = [
      [0, 0],
      [widthMm, 0],
      [widthMm, depthMm],
      [0, depthMm],
    ];
    // The back is up: y grows towards it.
    const points = (outline ?? box).map(([x, y]) => `${(1.5 + x * scale).toFixed(1)} ${(1.5 + (depthMm - y) * scale).toFixed(1)}`);
    return { width: widthMm * scale + 3, height: depthMm * scale + 3, quantity, path: `M${points.join('L')}z` };
  });
}
