import { TestBed } from '@angular/core/testing';
import { openShop, plan, planSolved, type Job, type Plan } from '@yardland/core';
import { lastValueFrom, Subject } from 'rxjs';
import { boxesJob, demoShop } from '../testing/opened-job';
import { HereWorker, hereWorkers } from '../testing/here-worker';
import { CoreThread, type PlanAsk, type Planned } from './core-thread';
import { MAKE_CORE_WORKER } from './make-core-worker';
import type { FromCore, ToCore } from './messages';

const ask = (job: Job, over: Partial<PlanAsk> = {}): PlanAsk => ({ job, shop: demoShop, solved: {}, ...over });
const higher = (job: Job, index: number, mm: number): Job => ({
  ...job,
  cushions: job.cushions.map((cushion, i) => (i === index ? { ...cushion, heightMm: mm } : cushion)),
});
/** A plan without what it was made of, as plain data. */
const content = ({ job: _job, shop: _shop, ...rest }: Plan): unknown => structuredClone(rest);
const planIn = (planned: Planned<PlanAsk> | undefined): Plan => {
  if (!planned || !('plan' in planned)) throw new Error(planned ? planned.failed : 'nothing was planned');
  return planned.plan;
};

/** A worker that answers when it is told to. */
class SlowWorker extends HereWorker {
  readonly #waiting: FromCore[] = [];

  override say(message: FromCore): void {
    this.#waiting.push(message);
  }

  answerOne(): void {
    const message = this.#waiting.shift();
    if (message) super.say(message);
  }
}

describe('the core in a thread of its own', () => {
  /** What came back of the plans asked for. */
  function following(): { readonly asks: Subject<PlanAsk>; readonly got: Planned<PlanAsk>[]; readonly thread: CoreThread } {
    const thread = TestBed.inject(CoreThread);
    const asks = new Subject<PlanAsk>();
    const got: Planned<PlanAsk>[] = [];
    thread.plans(asks).subscribe((planned) => got.push(planned));
    return { asks, got, thread };
  }

  describe('that answers at once', () => {
    const workers: HereWorker[] = [];
    beforeEach(() => {
      workers.length = 0;
      TestBed.configureTestingModule({ providers: [hereWorkers((worker) => workers.push(worker))] });
    });

    it('plans every version of a job as it is planned without a thread: changed, added to, shortened, put in another order, with answers, in another shop', () => {
      const { asks, got } = following();
      const changed = higher(boxesJob, 0, 110);
      const { cushions } = changed;
      const added = { ...changed, cushions: [...cushions, { ...(cushions[0] as Job['cushions'][number]), name: 'One more' }] };
      const turned = { ...added, cushions: [...added.cushions].reverse() };
      const fewer = { ...turned, cushions: turned.cushions.slice(1) };
      const solvedPlan = planSolved(fewer, demoShop);
      const answers = Object.fromEntries(
        solvedPlan.lays.flatMap(({ hash, answer, problems }) => (answer ? [[hash, { format: 'yardland/checked-lay@2' as const, answer, problems }]] : [])),
      );
      const dearer = openShop({ ...demoShop.document, name: 'Another shop', calibration: { clothGapMm: 9 } });
      const versions = [
        ask(boxesJob),
        ask(changed),
        ask(added),
        ask(turned),
        ask(fewer),
        ask(fewer, { solved: answers }),
        ask(fewer, { shop: dearer, solved: answers }),
      ];
      let before: Plan | undefined;
      for (const version of versions) {
        asks.next(version);
        before = plan(version.job, version.shop, version.solved, before);
        const planned = planIn(got.at(-1));
        expect(content(planned)).toEqual(content(before));
        expect([planned.job, planned.shop]).toEqual([version.job, version.shop]);
      }
      expect(planIn(got[5]).lays.every(({ answer }) => answer)).toBeTrue();
    });

    it('leaves the plans of cushions that have not changed the same objects, and does not send their sources again', () => {
      const { asks, got } = following();
      asks.next(ask(boxesJob));
      asks.next(ask(higher(boxesJob, 0, 120)));
      const [first, second] = got.map(planIn) as [Plan, Plan];
      expect(second.cushions[0]).not.toBe(first.cushions[0] as Plan['cushions'][number]);
      expect(second.cushions[1]).toBe(first.cushions[1] as Plan['cushions'][number]);
      const [, again] = workers[0]?.heard ?? [];
      expect(JSON.stringify(again).length).toBeLessThan(1000);
    });

    it('says what it could not plan, and plans the next all the same', () => {
      const { asks, got } = following();
      asks.next(ask(boxesJob));
      asks.next(ask({ ...boxesJob, cushions: null as unknown as Job['cushions'] }));
      const changed = higher(boxesJob, 1, 105);
      asks.next(ask(changed));
      expect(got[1]).toEqual(jasmine.objectContaining({ failed: jasmine.stringContaining('TypeError') as never }));
      expect(content(planIn(got[2]))).toEqual(content(plan(changed, demoShop)));
    });

    it('checks a job that the server sent against its contract', async () => {
      const { thread } = following();
      const stored = { id: '00000000-0000-4000-8000-000000000003', revision: 1, archived: false, undo: null, redo: null, job: boxesJob };
      expect((await lastValueFrom(thread.read('job', stored))).job).toEqual(boxesJob);
      await expectAsync(lastValueFrom(thread.read('job', { ...stored, job: { ...boxesJob, cushions: [] } }))).toBeRejectedWithError(/cushions/);
    });
  });

  it('plans only the newest of what comes while it is at work', () => {
    const worker = new SlowWorker();
    TestBed.configureTestingModule({ providers: [{ provide: MAKE_CORE_WORKER, useValue: () => worker }] });
    const { asks, got } = following();
    for (const mm of [90, 100, 110, 120]) asks.next(ask(higher(boxesJob, 0, mm)));
    for (let i = 0; i < 4; i++) worker.answerOne();
    expect(got.map(({ ask: { job } }) => job.cushions[0]?.heightMm)).toEqual([90, 120]);
    expect(planIn(got[1]).cushions[0]?.sizes?.finished.height.value).toBe(120);
  });

  it('says so when it dies, and starts anew with everything', () => {
    const workers: SlowWorker[] = [];
    const make = (): SlowWorker => {
      const worker = new SlowWorker();
      workers.push(worker);
      return worker;
    };
    TestBed.configureTestingModule({ providers: [{ provide: MAKE_CORE_WORKER, useValue: make }] });
    const { asks, got } = following();
    asks.next(ask(boxesJob));
    workers[0]?.dispatchEvent(new ErrorEvent('error', { message: 'out of memory' }));
    expect(got).toEqual([jasmine.objectContaining({ failed: 'out of memory' })]);
    asks.next(ask(higher(boxesJob, 0, 95)));
    workers[1]?.answerOne();
    expect(planIn(got[1]).cushions[0]?.sizes?.finished.height.value).toBe(95);
    const [first] = workers[1]?.heard ?? [];
    expect(first).toEqual(jasmine.objectContaining<ToCore>({ kind: 'plan', source: jasmine.objectContaining({ kind: 'new' }) as never }));
  });

  it('gives a plan up that takes longer than ten seconds, asks what else was asked of a new thread, and plans the next change at once', () => {
    jasmine.clock().install();
    try {
      const workers: SlowWorker[] = [];
      const make = (): SlowWorker => {
        const worker = new SlowWorker();
        workers.push(worker);
        return worker;
      };
      TestBed.configureTestingModule({ providers: [{ provide: MAKE_CORE_WORKER, useValue: make }] });
      const { asks, got, thread } = following();
      asks.next(ask(boxesJob));
      workers[0]?.answerOne();
      asks.next(ask(higher(boxesJob, 0, 95)));
      const read: unknown[] = [];
      thread.read('job', {}).subscribe({ error: (error: unknown) => read.push(error) });
      jasmine.clock().tick(9_900);
      expect(got.length).toBe(1);
      jasmine.clock().tick(200);
      expect(got[1]).toEqual(jasmine.objectContaining({ failed: jasmine.stringContaining('longer than 10 s') as never }));
      expect([workers.length, workers[0]?.terminated, workers[1]?.heard[0]?.kind]).toEqual([2, true, 'read']);
      workers[1]?.answerOne();
      expect(read.length).toBe(1);
      asks.next(ask(higher(boxesJob, 0, 105)));
      workers[1]?.answerOne();
      expect(planIn(got[2]).cushions[0]?.sizes?.finished.height.value).toBe(105);
      // What was answered is not cut off afterwards.
      jasmine.clock().tick(20_000);
      expect([got.length, workers.length]).toEqual([3, 2]);
    } finally {
      jasmine.clock().uninstall();
    }
  });
});
