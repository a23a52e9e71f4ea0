import { computed, DestroyRef, inject, Injectable, linkedSignal, signal } from '@angular/core';
import {
  plan,
  stationStates,
  type Cushion,
  type CushionContext,
  type CushionPlan,
  type Job,
  type Plan,
  type SayIn,
  type Shop,
  type Solved,
  type StoredJob,
  type UnitSystem,
} from '@yardland/core';
import { forkJoin, Subscription } from 'rxjs';
import { JobsApi } from '../jobs/jobs-api';
import { problemOf } from '../shared/problem';
import { ShopService } from '../shared/shop.service';
import { drained, pendingShelf, SaveQueue, type Change, type SaveState } from './save-queue';
import { SaveQueues } from './save-queues';

interface Head {
  readonly id: string;
  readonly archived: boolean;
  readonly undo: string | null;
  readonly redo: string | null;
}

export interface Conflict {
  readonly theirs: StoredJob;
  readonly mine: Job;
}

interface Source {
  readonly job: Job;
  readonly shop: Shop;
  readonly solved: Solved;
}

/**
 * The job in hand: its document, the plan derived from it, saving, undo and redo. Every change goes through `edit`; a drag is shown through
 * `preview` and becomes one change when it ends.
 */
@Injectable()
export class JobStore {
  readonly #api = inject(JobsApi);
  readonly #shops = inject(ShopService);
  readonly #queues = inject(SaveQueues);
  #subscriptions = new Subscription();
  #queue: SaveQueue | null = null;

  readonly #head = signal<Head | null>(null);
  readonly #job = signal<Job | null>(null);
  readonly #preview = signal<Job | null>(null);
  readonly #shop = signal<Shop | null>(null);
  readonly solved = signal<Solved>({});
  readonly #cushionIndex = signal(0);
  /** The units shown; null: the job's own. */
  readonly #shownUnits = signal<UnitSystem | null>(null);

  readonly saveState = signal<SaveState>('saved');
  readonly conflict = signal<Conflict | null>(null);
  readonly refusal = signal<string | null>(null);
  /** Why the job could not be opened. */
  readonly failure = signal<string | null>(null);

  readonly head = this.#head.asReadonly();
  readonly shop = this.#shop.asReadonly();
  readonly job = computed(() => this.#preview() ?? this.#job());
  readonly units = computed<UnitSystem>(() => this.#shownUnits() ?? this.#job()?.units ?? 'metric');
  readonly step = computed(() => this.#shop()?.document.step ?? { mm: 1, inch: 1 / 8 });
  readonly inWords = computed<SayIn>(() => ({ units: this.units(), step: this.step() }));

  /** Where the ticket of the cushion in hand is printed. */
  readonly ticketLink = computed(() => `/api/jobs/${this.#head()?.id ?? ''}/tickets/${this.cushionIndex() + 1}.pdf`);

  readonly #source = computed<Source | null>(() => {
    const [job, shop] = [this.job(), this.#shop()];
    return job && shop ? { job, shop, solved: this.solved() } : null;
  });
  /** The plan, each new one made from the one before. */
  readonly plan = linkedSignal<Source | null, Plan | null>({
    source: this.#source,
    computation: (source, previous) => (source ? plan(source.job, source.shop, source.solved, previous?.value ?? undefined) : null),
  }).asReadonly();

  readonly cushionIndex = computed(() => Math.min(this.#cushionIndex(), Math.max(0, (this.job()?.cushions.length ?? 1) - 1)));
  readonly cushion = computed<Cushion | null>(() => this.job()?.cushions[this.cushionIndex()] ?? null);
  readonly cushionPlan = computed<CushionPlan | null>(() => this.plan()?.cushions[this.cushionIndex()] ?? null);
  /** What one cushion is planned in: for trying changes out beside the plan. A crown that stays as it is keeps its surface. */
  readonly context = computed<CushionContext | null>(() => {
    const { job, shop } = this.#source() ?? {};
    const known = this.cushionPlan()?.crown?.answer ?? null;
    return job && shop ? { units: job.units, cloth: job.cloth, shop, crownOf: () => known } : null;
  });
  readonly states = computed(() => {
    const whole = this.plan();
    return whole ? stationStates(whole, this.cushionIndex()) : null;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.#subscriptions.unsubscribe());
  }

  /** Opens a job; changes that an earlier window could not send go out first, if nobody else was at it since. */
  open(id: string): void {
    this.#subscriptions.unsubscribe();
    this.#subscriptions = new Subscription();
    this.#subscriptions.add(
      forkJoin([this.#api.read(id), this.#shops.shop$]).subscribe({
        next: ([stored, shop]) => {
          this.#shop.set(shop);
          this.#take(stored);
          const busy = this.#queues.busy(id);
          if (busy) {
            this.#job.set(busy.latest ?? stored.job);
            this.#listen(busy);
          } else this.#listen(this.#queues.keep(id, this.#newQueue(stored)));
        },
        error: (error: unknown) => this.failure.set(problemOf(error).message),
      }),
    );
  }

  /** A queue for a job just read, with what an earlier window of this browser could not send, if nobody else was at it since. */
  #newQueue(stored: StoredJob): SaveQueue {
    const { id, revision } = stored;
    const pending = pendingShelf.read(id);
    const mine = pending?.changes.at(-1)?.job;
    const mayGoOn = pending !== null && pending.revision === revision;
    if (mine) this.#job.set(mine);
    const queue = new SaveQueue(
      { write: (seen, label, job) => this.#api.write(id, seen, label, job), keep: (waiting) => pendingShelf.keep(id, waiting) },
      revision,
      mayGoOn ? pending.changes : [],
    );
    if (mine && !mayGoOn) {
      queue.state$.next('conflict');
      queue.conflict$.next(stored);
    }
    return queue;
  }

  select(index: number): void {
    this.#cushionIndex.set(index);
  }

  flipUnits(): void {
    this.#shownUnits.set(this.units() === 'inch' ? 'metric' : 'inch');
  }

  /** Changes the job; `label` says what changed, for undo. A change that changes nothing is not kept. */
  edit(label: string, change: (job: Job) => Job): void {
    const job = this.#job();
    this.#preview.set(null);
    if (!job) return;
    const next = change(job);
    if (JSON.stringify(next) === JSON.stringify(job)) return;
    this.#job.set(next);
    this.#queue?.push({ label, job: next });
  }

  /** Changes the cushion in hand. */
  editCushion(label: string, change: (cushion: Cushion) => Cushion): void {
    this.edit(label, (job) => this.#withCushion(job, change));
  }

  /** Shows a change of the cushion in hand without keeping it: what a drag does until it ends. Null takes it back. */
  previewCushion(change: ((cushion: Cushion) => Cushion) | null): void {
    const job = this.#job();
    this.#preview.set(change && job ? this.#withCushion(job, change) : null);
  }

  /** Goes one step back or forth, once everything waiting is sent. */
  goBackOrForth(direction: 'undo' | 'redo'): void {
    const [queue, head] = [this.#queue, this.#head()];
    if (!queue || !head) return;
    this.#subscriptions.add(
      drained(queue).subscribe((state) => {
        if (state !== 'saved' || this.#head()?.[direction] === null) return;
        this.#subscriptions.add(
          this.#api
            .step(head.id, direction, queue.revision)
            .subscribe({ next: (stored) => this.#renew(stored), error: (error: unknown) => this.#failed(error) }),
        );
      }),
    );
  }

  /** Answers a conflict: this window's job written over the other's, or the other's taken. */
  settle(keep: 'mine' | 'theirs'): void {
    const conflict = this.conflict();
    if (!conflict) return;
    this.#take(conflict.theirs);
    const changes: Change[] = keep === 'mine' ? [{ label: 'Kept this window’s job', job: conflict.mine }] : [];
    if (keep === 'mine') this.#job.set(conflict.mine);
    this.#queue?.resume(conflict.theirs.revision, changes);
  }

  /** Puts what the server refused aside and goes on from what it has. */
  dropRefused(): void {
    const id = this.#head()?.id;
    if (!id) return;
    this.#subscriptions.add(this.#api.read(id).subscribe((stored) => this.#renew(stored)));
  }

  addSolved(hash: string, answer: Solved[string]): void {
    this.solved.update((solved) => ({ ...solved, [hash]: answer }));
  }

  #withCushion(job: Job, change: (cushion: Cushion) => Cushion): Job {
    const index = this.cushionIndex();
    return { ...job, cushions: job.cushions.map((cushion, i) => (i === index ? change(cushion) : cushion)) };
  }

  #listen(queue: SaveQueue): void {
    this.#queue = queue;
    this.#subscriptions.add(queue.state$.subscribe((state) => this.saveState.set(state)));
    this.#subscriptions.add(queue.refusal$.subscribe((message) => this.refusal.set(message)));
    this.#subscriptions.add(
      queue.conflict$.subscribe((theirs) => {
        const mine = this.#job();
        this.conflict.set(theirs && mine ? { theirs, mine } : null);
      }),
    );
    this.#subscriptions.add(queue.stored$.subscribe(({ id, archived, undo, redo }) => this.#head.set({ id, archived, undo, redo })));
  }

  #take({ job, id, archived, undo, redo }: StoredJob): void {
    this.#head.set({ id, archived, undo, redo });
    this.#job.set(job);
    this.#preview.set(null);
  }

  #renew(stored: StoredJob): void {
    this.#take(stored);
    this.#queue?.resume(stored.revision, []);
  }

  #failed(error: unknown): void {
    const problem = problemOf(error);
    if (problem.current && problem.code === 'stale-revision') {
      this.#queue?.state$.next('conflict');
      this.#queue?.conflict$.next(problem.current);
    } else if (problem.current) this.#renew(problem.current);
    else if (problem.status === 0) this.saveState.set('offline');
    else this.refusal.set(problem.message);
  }
}
