import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild, type ElementRef } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { LucideArchive, LucideArchiveRestore, LucideCopyPlus, LucidePlus, LucideUpload } from '@lucide/angular';
import { JOB_FORMAT, JOB_STATES, JOB_TEXT_LIMIT, readJobText, sayLine, type Job, type JobList, type JobSummary, type Shop } from '@yardland/core';
import { catchError, combineLatest, debounceTime, map, of, startWith, Subject, switchMap, type Observable } from 'rxjs';
import { Choice } from '../shared/choice';
import { dayWords, daysUntil } from '../shared/days';
import { problemOf } from '../shared/problem';
import { ShopService } from '../shared/shop.service';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { JobsApi } from './jobs-api';
import { jobStateWords } from './state-words';

type Loaded = { readonly list: JobList; readonly failure: null } | { readonly list: null; readonly failure: string };

/** A new job with one ordinary cushion, ready to be measured. */
function newJob(shop: Shop): Job {
  const inch = shop.document.units === 'inch';
  const [width, depth, height] = inch ? [508, 457.2, 76.2] : [500, 450, 75];
  const [cloth] = shop.document.cloths;
  return {
    format: JOB_FORMAT,
    name: 'New job',
    units: shop.document.units,
    state: 'new',
    cushions: [
      {
        name: 'Cushion 1',
        quantity: 1,
        given: 'seat',
        template: { shape: 'rectangle', widthMm: width ?? 500, depthMm: depth ?? 450 },
        heightMm: height ?? 75,
        school: shop.schools[0]?.id ?? '',
        construction: { kind: 'boxed', edge: 'welt' },
        core: { layers: shop.document.grades[0] ? [{ grade: shop.document.grades[2]?.id ?? shop.document.grades[0].id, thicknessMm: height ?? 75 }] : [] },
      },
    ],
    cloth: cloth ? { widthMm: cloth.widthMm, material: cloth.id } : { widthMm: 1400 },
  };
}

/** What is due: search, states, new, copy, archive, import. */
@Component({
  selector: 'yl-jobs-page',
  imports: [FormsModule, RouterLink, Tape, ThemeButton, Choice, LucidePlus, LucideUpload, LucideArchive, LucideArchiveRestore, LucideCopyPlus],
  templateUrl: './jobs-page.html',
  host: { class: 'room' },
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
  protected readonly message = signal<string | null>(null);
  /** The job put away last, to be brought back. */
  protected readonly putAway = signal<{ readonly id: string; readonly revision: number; readonly name: string } | null>(null);
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
      };
    }),
  );

  protected pickState(value: string): void {
    this.state.set(value === 'all' ? '' : value);
  }

  protected create(): void {
    const shop = this.#shop();
    if (!shop) {
      this.message.set('The shop’s materials are not there yet; try again in a moment.');
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
        this.putAway.set(archived ? { id, revision, name: job.name } : null);
        this.#again.next();
      },
      error: (error: unknown) => this.message.set(problemOf(error).message),
    });
  }

  protected bringBack(): void {
    const job = this.putAway();
    if (!job) return;
    this.#api
      .archive(job.id, job.revision, false)
      .subscribe({ next: () => this.#again.next(), error: (error: unknown) => this.message.set(problemOf(error).message) });
    this.putAway.set(null);
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
      this.message.set(`${file.name} is ${Math.round(file.size / 1e6)} MB; a job file is at most ${JOB_TEXT_LIMIT / 1e6} MB.`);
      return;
    }
    const read = readJobText(await file.text());
    const step = this.#shop()?.document.step ?? { mm: 1, inch: 1 / 8 };
    if (read.ok) this.#open(this.#api.create(read.value));
    else {
      const [first] = read.problems;
      this.message.set(`${file.name} was not taken. ${first ? `${first.path ? `At ${first.path}: ` : ''}${sayLine(first, { units: 'metric', step })}` : ''}`);
    }
  }

  #open(answer: Observable<{ readonly id: string }>): void {
    answer.subscribe({
      next: ({ id }) => void this.#router.navigate(['/jobs', id, 1, 'template']),
      error: (error: unknown) => this.message.set(problemOf(error).message),
    });
  }
}

/** Small outlines of a job's cushions, to one scale. */
function shapesOf(job: JobSummary): { path: string; width: number; height: number; quantity: number }[] {
  const drawn = job.outlines.filter(({ widthMm, depthMm }) => widthMm > 0 && depthMm > 0);
  const scale = Math.min(0.05, ...drawn.map(({ widthMm, depthMm }) => Math.min(72 / widthMm, 34 / depthMm)));
  return drawn.slice(0, 5).map(({ widthMm, depthMm, quantity }) => {
    const [width, height] = [widthMm * scale, depthMm * scale];
    return { width: width + 3, height: height + 3, quantity, path: `M1.5 1.5h${width.toFixed(1)}v${height.toFixed(1)}h${(-width).toFixed(1)}z` };
  });
}
