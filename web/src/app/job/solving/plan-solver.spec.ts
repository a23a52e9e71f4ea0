import { TestBed } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import { checkedLay, LAY_ENGINE, solveLay, type HeavyRequest, type LayAnswer } from '@yardland/core';
import { Subject } from 'rxjs';
import type { JobStore } from '../job-store';
import { openedStore } from '../../testing/opened-job';
import type { Solving } from '../../core-thread/messages';
import { KeptLays } from './kept-lays';
import { SolvePool } from './solve-pool';
import { PlanSolver } from './plan-solver';

/** A pool whose worker answers when it is told to. */
class HandPool {
  readonly asked = new Map<string, { request: HeavyRequest; kept: LayAnswer | undefined; answers: Subject<Solving> }>();
  readonly stopped: string[] = [];

  solve(hash: string, request: HeavyRequest, kept?: LayAnswer): Subject<Solving> {
    const answers = new Subject<Solving>();
    this.asked.set(hash, { request, kept, answers });
    return answers;
  }

  stop(hash: string): void {
    this.stopped.push(hash);
  }
}

describe('PlanSolver', () => {
  let pool: HandPool;
  let store: JobStore;
  let solver: PlanSolver;
  let http: HttpTestingController;
  const lays = (): string => `/api/jobs/${store.head()?.id ?? ''}/lays`;
  const settle = async (): Promise<void> => {
    TestBed.tick();
    await new Promise((resolve) => setTimeout(resolve, 260));
  };

  beforeEach(async () => {
    pool = new HandPool();
    TestBed.configureTestingModule({ providers: [KeptLays, PlanSolver, { provide: SolvePool, useValue: pool }] });
    ({ store, http } = openedStore());
    solver = TestBed.inject(PlanSolver);
    await settle();
    // Until it is known which lays are kept, none is searched for.
    expect(pool.asked.size).toBe(0);
    http.expectOne({ method: 'GET', url: lays() }).flush({ engine: LAY_ENGINE, lays: [] });
    await settle();
  });

  it('asks for every lay the plan wants, once the plan has been still', () => {
    expect([...pool.asked.keys()].sort()).toEqual((store.plan()?.wanted ?? []).map((one) => one.hash).sort());
  });

  it('keeps a stop that comes before the work has begun, for when it does', async () => {
    store.edit('Cloth width', (job) => ({ ...job, cloth: { ...job.cloth, widthMm: 1555 } }));
    TestBed.tick();
    const [wanted] = store.plan()?.wanted ?? [];
    if (!wanted) throw new Error('nothing wanted');
    expect(pool.asked.has(wanted.hash)).toBeFalse();
    solver.stop(wanted.hash);
    expect(pool.stopped).toEqual([]);
    await settle();
    expect(pool.asked.has(wanted.hash)).toBeTrue();
    expect(pool.stopped).toEqual([wanted.hash]);
  });

  it('shows progress, and hands the answer to the plan', async () => {
    const [wanted] = store.plan()?.wanted ?? [];
    if (!wanted) throw new Error('nothing wanted');
    const { request, answers } = pool.asked.get(wanted.hash) ?? {};
    if (!request || !answers) throw new Error('not asked');
    if (request.format !== 'yardland/lay-request@2') throw new Error('no lay');
    const answer = solveLay(request);
    answers.next({ kind: 'progress', progress: { done: 3, of: 240, best: answer } });
    expect(solver.progress()[wanted.hash]?.done).toBe(3);
    answers.next({ kind: 'done', answer: checkedLay(request, answer) });
    await settle();
    expect(solver.progress()[wanted.hash]).toBeUndefined();
    expect(store.plan()?.wanted.map((one) => one.hash)).not.toContain(wanted.hash);
    expect(store.plan()?.lays.find((lay) => lay.hash === wanted.hash)?.answer).toEqual(answer);
    // The server keeps it for papers and other windows.
    expect(http.expectOne({ method: 'PUT', url: lays() }).request.body).toEqual({ engine: LAY_ENGINE, lays: [{ hash: wanted.hash, answer }] });
  });

  it('searches on for a lay that was stopped: it stays until the better one is there', async () => {
    const [wanted] = store.plan()?.wanted ?? [];
    const { request, answers } = pool.asked.get(wanted?.hash ?? '') ?? {};
    if (!wanted || !answers || request?.format !== 'yardland/lay-request@2') throw new Error('no lay asked for');
    const answer = solveLay(request);
    const shown = (): LayAnswer | null | undefined => store.plan()?.lays.find(({ hash }) => hash === wanted.hash)?.answer;
    answers.next({ kind: 'done', answer: checkedLay(request, { ...answer, stopped: true }) });
    await settle();
    expect(shown()?.stopped).toBeTrue();
    pool.asked.clear();
    solver.searchOn(wanted.hash);
    expect(pool.asked.get(wanted.hash)?.kept).toBeUndefined();
    await settle();
    expect(shown()?.stopped).toBeTrue();
    pool.asked.get(wanted.hash)?.answers.next({ kind: 'done', answer: checkedLay(request, answer) });
    await settle();
    expect(shown()).toEqual(answer);
  });

  it('lets go of what is no longer wanted and asks for what is', async () => {
    const before = new Set(pool.asked.keys());
    store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: 95 }));
    await settle();
    const gone = [...before].filter((hash) => !(store.plan()?.wanted ?? []).some((one) => one.hash === hash));
    expect(gone.length).toBeGreaterThan(0);
    for (const hash of gone) expect(pool.asked.get(hash)?.answers.observed).toBeFalse();
    for (const { hash } of store.plan()?.wanted ?? []) expect(pool.asked.get(hash)?.answers.observed).toBeTrue();
  });

  it('says when a lay cannot be worked out, and stops when asked', () => {
    const [hash = ''] = pool.asked.keys();
    solver.stop(hash);
    expect(pool.stopped).toEqual([hash]);
    pool.asked.get(hash)?.answers.next({ kind: 'failed', message: 'no memory' });
    expect(solver.failure()).toEqual({ hash, message: 'no memory' });
    // Tried again, and the failure is gone once it is answered.
    solver.again();
    expect(solver.failure()).toBeNull();
    expect(pool.asked.get(hash)?.answers.observed).toBeTrue();
  });
});

describe('PlanSolver with lays that are kept', () => {
  it('has them checked instead of searched for, and goes on by itself where the server does not say', async () => {
    for (const answers of [true, false]) {
      TestBed.resetTestingModule();
      const pool = new HandPool();
      TestBed.configureTestingModule({ providers: [KeptLays, PlanSolver, { provide: SolvePool, useValue: pool }] });
      const { store, http } = openedStore();
      TestBed.inject(PlanSolver);
      const settle = async (): Promise<void> => {
        TestBed.tick();
        await new Promise((resolve) => setTimeout(resolve, 260));
      };
      await settle();
      const [wanted] = store.plan()?.wanted ?? [];
      if (wanted?.request.format !== 'yardland/lay-request@2') throw new Error('no lay wanted');
      const answer = solveLay({ ...wanted.request, moves: 10 });
      const request = http.expectOne({ method: 'GET', url: `/api/jobs/${store.head()?.id ?? ''}/lays` });
      if (answers) request.flush({ engine: LAY_ENGINE, lays: [{ hash: wanted.hash, answer }] });
      else request.error(new ProgressEvent('error'));
      await settle();
      expect(pool.asked.get(wanted.hash)?.kept).toEqual(answers ? answer : undefined);
    }
  });
});
