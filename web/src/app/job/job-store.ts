import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import {
  mergeBench,
  withPinsFollowing,
  stationStates,
  type Cushion,
  type CushionPlan,
  type Job,
  type SayIn,
  type Shop,
  type StoredJob,
  type UnitSystem,
} from '@yardland/core';
import { catchError, EMPTY, filter, forkJoin, map, Subscription, switchMap, take, timer } from 'rxjs';
import { JobsApi } from './saving/jobs-api';
import { Messages } from '../shared/messages';
import { problemOf } from '../shared/saving/problem';
import { ShopService } from '../shared/saving/shop.service';
import { History } from './saving/history';
import { PendingShelf, type Kept, type Pending } from './saving/pending-shelf';
import { PlannedJob } from './planned-job';
import { stillToSend, type Answered, type SaveQueue, type SaveState } from './saving/save-queue';
import { SaveQueues } from './saving/save-queues';

/** The job's last steps are asked for when it has been open for so long, ms: its own reading goes first. */
const STEPS_AFTER_MS = 1500;

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

/**
 * The job in hand: its document, the plan derived from it, saving, undo and redo. Every change goes through `edit`; a drag is shown through
 * `preview` and becomes one change when it ends. The document changes at once; its plan is made in a thread of its own and follows in a moment.
 */
@Injectable()
export class JobStore {
  readonly #api = inject(JobsApi);
  readonly #shops = inject(ShopService);
  readonly #queues = inject(SaveQueues);
  readonly #shelf = inject(PendingShelf);
  readonly #messages = inject(Messages);
  #subscriptions = new Subscription();
  #queue: SaveQueue | null = null;

  readonly #head = signal<Head | null>(null);
  readonly #job = signal<Job | null>(null);
  /** What the server last had of this window: what two windows' ticks are told apart by. */
  #base: Job | null = null;
  readonly #preview = signal<Job | null>(null);
  readonly #shop = signal<Shop | null>(null);
  readonly #cushionIndex = signal(0);
  /** The units shown; null: the job's own. */
  readonly #shownUnits = signal<UnitSystem | null>(null);

  /** The way back of this window; `#turned` renews what is derived from it. */
  readonly #history = new History();
  readonly #turned = signal(0);
  /** Steps back or forth that only the server knows the document of; changes made meanwhile wait for them. */
  #blindSteps = 0;
  readonly #deferred: { readonly label: string; readonly change: (job: Job) => Job }[] = [];

  /** What the next undo takes back and the next redo brings again; null where there is none. */
  readonly undoLabel = computed(() => (this.#turned(), this.#history.undo ?? this.#head()?.undo ?? null));
  readonly redoLabel = computed(() => (this.#turned(), this.#history.redo ?? (this.#history.changed ? null : (this.#head()?.redo ?? null))));

  /** The piece that is pointed at on the drawing: the ticket shows its row. */
  readonly shownPiece = signal<string | null>(null);

  readonly saveState = signal<SaveState>('saved');
  /** How well changes that are not sent yet are kept in this browser. */
  readonly kept = signal<Kept>('all');
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
  /** The same for its order of work on the wall. */
  readonly wallLink = computed(() => `/api/jobs/${this.#head()?.id ?? ''}/wall/${this.cushionIndex() + 1}.pdf`);

  /** The plan, and the answers of long computations that it uses. */
  readonly planned = new PlannedJob({ id: computed(() => this.#head()?.id ?? null), job: this.job, shop: this.#shop });
  /** The newest plan there is: of the document as it is now, or, for a moment after a change, as it was before. */
  readonly plan = this.planned.plan;

  readonly cushionIndex = computed(() => Math.min(this.#cushionIndex(), Math.max(0, (this.job()?.cushions.length ?? 1) - 1)));
  readonly cushion = computed<Cushion | null>(() => this.job()?.cushions[this.cushionIndex()] ?? null);
  readonly cushionPlan = computed<CushionPlan | null>(() => this.plan()?.cushions[this.cushionIndex()] ?? null);
  readonly states = computed(() => {
    const whole = this.plan();
    return whole ? stationStates(whole, this.cushionIndex()) : null;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.#leave());
    // What changes in the stockroom while a job is open counts at once.
    this.#shops.changes$.pipe(takeUntilDestroyed()).subscribe((shop) => this.#shop.set(shop));
  }

  /** Opens a job; changes that an earlier window could not send go out first, if nobody else was at it since. */
  open(id: string): void {
    this.#leave();
    this.#subscriptions = new Subscription();
    this.#subscriptions.add(
      forkJoin([this.#api.read(id), this.#shops.shop$, this.#shelf.find(id)]).subscribe({
        next: ([stored, shop, pending]) => {
          this.#shop.set(shop);
          this.#take(stored);
          const busy = this.#queues.busy(id);
          if (busy) {
            this.#job.set(busy.latest ?? stored.job);
            this.#listen(busy);
          } else this.#listen(this.#newQueue(stored, pending));
          if (pending) this.#lookForMore(id);
          this.#learnSteps(id);
        },
        error: (error: unknown) => this.failure.set(problemOf(error).message),
      }),
    );
  }

  /** Several windows may have been closed with changes: once those of one are sent, the next one's are looked for, and shown beside what stands now. */
  #lookForMore(id: string): void {
    const queue = this.#queue;
    if (!queue) return;
    const more$ = queue.state$.pipe(
      filter((state) => state === 'saved'),
      take(1),
      filter(() => this.#shelf.jobs().includes(id)),
      switchMap(() => this.#api.read(id)),
      switchMap((stored) => this.#shelf.find(id).pipe(map((pending) => ({ stored, pending })))),
      catchError(() => EMPTY),
    );
    this.#subscriptions.add(
      more$.subscribe(({ stored, pending }) => {
        const mine = pending?.changes.at(-1)?.job;
        // What waits by now is this window's own: it goes on by itself.
        if (!mine || this.#queue !== queue || queue.waiting) return;
        this.#showBoth(mine, stored, queue);
      }),
    );
  }

  /** Another window's job beside the server's: the person chooses. */
  #showBoth(mine: Job, stored: StoredJob, queue: SaveQueue): void {
    this.#job.set(mine);
    // What that window had from the server is not known, so its ticks cannot be told from the other's.
    this.#base = null;
    queue.state$.next('conflict');
    queue.conflict$.next(stored);
  }

  /** The way back that other pages made, so that undo needs no server. Without an answer, or while something waits to be sent, it stays with the server. */
  #learnSteps(id: string): void {
    const steps$ = timer(STEPS_AFTER_MS).pipe(
      switchMap(() => this.#api.steps(id)),
      catchError(() => EMPTY),
    );
    this.#subscriptions.add(
      steps$.subscribe((steps) => {
        if (this.#queue?.waiting || this.#queue?.revision !== steps.revision || this.#blindSteps > 0) return;
        this.#history.learn(steps);
        this.#turned.update((n) => n + 1);
      }),
    );
  }

  #leave(): void {
    this.#subscriptions.unsubscribe();
    const id = this.#head()?.id;
    if (id !== undefined) this.#queues.leave(id);
  }

  /** A queue for a job just read, with what an earlier window of this browser could not send, if nobody else was at it since. */
  #newQueue(stored: StoredJob, pending: Pending | null): SaveQueue {
    const { id, revision } = stored;
    const mine = pending?.changes.at(-1)?.job;
    const left = pending && stillToSend(pending, stored);
    const mayGoOn = left !== null;
    if (left?.length === 0) this.#shelf.keep(id, null);
    if (mine) this.#job.set(mine);
    const queue = this.#queues.begin(id, revision, left ?? []);
    this.#blindSteps = (left ?? []).filter((change) => change.job === null).length;
    if (mine && !mayGoOn) this.#showBoth(mine, stored, queue);
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
    if (this.#blindSteps > 0) {
      this.#deferred.push({ label, change });
      return;
    }
    const next = withPinsFollowing(job, change(job));
    if (JSON.stringify(next) === JSON.stringify(job)) return;
    this.#history.made(label, job);
    this.#job.set(next);
    this.planned.askNow();
    this.#turned.update((n) => n + 1);
    this.#queue?.push({ kind: 'edit', label, job: next });
  }

  /** Changes the cushion in hand. */
  editCushion(label: string, change: (cushion: Cushion) => Cushion): void {
    this.edit(label, (job) => this.#withCushion(job, change));
  }

  /** Shows a change of the cushion in hand without keeping it: what a drag does until it ends. Null takes it back. */
  previewCushion(change: ((cushion: Cushion) => Cushion) | null): void {
    const job = this.#job();
    this.#preview.set(change && job ? this.#withCushion(job, change) : null);
    this.planned.askNow();
  }

  /** Undoes or redoes one step: at once where this window knows the document, otherwise when the server has answered. Sent in order with the edits. */
  goBackOrForth(direction: 'undo' | 'redo'): void {
    const [queue, job] = [this.#queue, this.#job()];
    const label = direction === 'undo' ? this.undoLabel() : this.redoLabel();
    if (!queue || !job || label === null) return;
    this.#preview.set(null);
    const there = this.#blindSteps > 0 ? null : this.#history.step(direction, job);
    if (there) this.#job.set(there);
    else if (this.saveState() === 'offline') {
      // Waiting for it would hold up every change until then.
      this.#messages.warn('undo', 'Only the server knows this step, and it does not answer: try again when it is back.');
      return;
    } else {
      this.#history.forget();
      this.#blindSteps++;
    }
    this.#turned.update((n) => n + 1);
    queue.push({ kind: direction, label, job: there });
  }

  /** Answers a conflict: this window's job written over the other's, or the other's taken. */
  settle(keep: 'mine' | 'theirs'): void {
    const conflict = this.conflict();
    if (!conflict) return;
    if (keep === 'mine') this.#goOnWith(conflict.mine, conflict.theirs, 'Kept this window’s job');
    else this.#renew(conflict.theirs);
  }

  /** Goes on from what the server has, with one edit that makes it this job. */
  #goOnWith(job: Job, theirs: StoredJob, label: string): void {
    this.#take(theirs);
    this.#history.made(label, theirs.job);
    this.#job.set(job);
    this.#turned.update((n) => n + 1);
    this.#queue?.resume(theirs.revision, [{ kind: 'edit', label, job }]);
  }

  /** Puts what the server refused aside and goes on from what it has. */
  dropRefused(): void {
    const id = this.#head()?.id;
    if (!id) return;
    this.#subscriptions.add(this.#api.read(id).subscribe((stored) => this.#renew(stored)));
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
        const together = theirs && mine && this.#base ? mergeBench(this.#base, mine, theirs.job) : null;
        if (theirs && together) this.#goOnWith(together, theirs, 'Ticked in two windows');
        else this.conflict.set(theirs && mine ? { theirs, mine } : null);
      }),
    );
    this.#subscriptions.add(queue.kept$.subscribe((kept) => this.kept.set(kept)));
    this.#subscriptions.add(queue.answered$.subscribe((answered) => this.#answered(answered)));
  }

  /** The server has taken a change: its steps are known, and the document of one that only it knew. */
  #answered({ change, stored }: Answered): void {
    const { id, archived, undo, redo, job } = stored;
    this.#head.set({ id, archived, undo, redo });
    this.#base = job;
    if (change.job !== null) return;
    this.#blindSteps--;
    if (this.#blindSteps > 0) return;
    this.#job.set(job);
    this.#preview.set(null);
    this.#turned.update((n) => n + 1);
    for (const { label, change: late } of this.#deferred.splice(0)) this.edit(label, late);
  }

  #take({ job, id, archived, undo, redo }: StoredJob): void {
    if (this.#head()?.id !== id) this.planned.forget();
    this.#head.set({ id, archived, undo, redo });
    this.#base = job;
    this.#job.set(job);
    this.#preview.set(null);
    this.#history.forget();
    this.#blindSteps = 0;
    this.#deferred.length = 0;
    this.#turned.update((n) => n + 1);
  }

  #renew(stored: StoredJob): void {
    this.#take(stored);
    this.#queue?.resume(stored.revision, []);
  }
}
