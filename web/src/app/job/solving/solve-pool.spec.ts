import { TestBed } from '@angular/core/testing';
import { checkedLay, flatten, outlineOf, plan, rectangleOutline, solveLay, type LayRequest } from '@yardland/core';
import { firstValueFrom, lastValueFrom, toArray } from 'rxjs';
import { boxesJob, demoShop } from '../../testing/opened-job';
import { hereWorkers, type HereWorker } from '../../testing/here-worker';
import { Messages } from '../../shared/messages';
import { SolvePool } from './solve-pool';
import { trialAsk } from './trial-ask';

const lay = (moves: number): LayRequest => ({
  format: 'yardland/lay-request@2',
  material: { kind: 'roll', widthMm: 1350 },
  gapMm: 3,
  items: [410, 260, 330, 190].map((mm, i) => ({ id: `p${i}`, polygon: flatten(rectangleOutline(mm, 300 + 70 * i)), count: 6, turns: [0, 90] })),
  pins: [],
  seed: 1,
  moves,
});

describe('the solve pool', () => {
  const workers: HereWorker[] = [];
  let pool: SolvePool;

  beforeEach(() => {
    workers.length = 0;
    TestBed.configureTestingModule({ providers: [hereWorkers((worker) => workers.push(worker))] });
    pool = TestBed.inject(SolvePool);
  });

  afterEach(() => workers.forEach((worker) => worker.terminate()));

  it('answers a lay with what the independent check says of it', async () => {
    const request = lay(40);
    const says = await lastValueFrom(pool.solve('h', request));
    expect(says.kind === 'done' && says.answer).toEqual(checkedLay(request, solveLay(request)));
  });

  it('cancels what nobody waits for any more, and what comes after is answered', async () => {
    const gone: string[] = [];
    pool
      .solve('long', lay(100_000))
      .subscribe((says) => gone.push(says.kind))
      .unsubscribe();
    expect(workers[0]?.heard.at(-1)).toEqual({ kind: 'cancel', id: 'long 1' });
    const says = await lastValueFrom(pool.solve('short', lay(4)));
    expect([says.kind, gone]).toEqual(['done', []]);
  });

  it('gives the best so far when it is told to stop, and a stop for something answered stops nothing later', async () => {
    const answer = lastValueFrom(pool.solve('h', lay(1_000_000)));
    await firstValueFrom(pool.solve('other', lay(4)));
    pool.stop('h');
    const says = await answer;
    if (says.kind !== 'done' || says.answer.format !== 'yardland/checked-lay@2') throw new Error(says.kind);
    expect([says.answer.answer.stopped, says.answer.problems]).toEqual([true, []]);
    pool.stop('h');
    const again = await lastValueFrom(pool.solve('h', lay(30)));
    expect(again.kind === 'done' && again.answer.format === 'yardland/checked-lay@2' && again.answer.answer.stopped).toBeFalse();
  });

  it('runs the searches of a lay apart, with the answer that one thread gives, and stops and leaves all of them', async () => {
    const request = { ...lay(60), seeds: 3 };
    const says = await lastValueFrom(pool.solve('h', request));
    expect(says.kind === 'done' && says.answer).toEqual(checkedLay(request, solveLay(request)));
    const heard = (): string[] => workers.flatMap((worker) => worker.heard.map(({ kind }) => kind));
    expect(heard()).toEqual(['solve', 'solve', 'solve']);

    const stopped = lastValueFrom(pool.solve('h', { ...lay(1_000_000), seeds: 3 }));
    await firstValueFrom(pool.solve('other', lay(4)));
    pool.stop('h');
    const best = await stopped;
    expect(best.kind === 'done' && best.answer.format === 'yardland/checked-lay@2' && best.answer.answer.stopped).toBeTrue();
    pool
      .solve('h', { ...lay(1_000_000), seeds: 3 })
      .subscribe()
      .unsubscribe();
    expect(heard().filter((kind) => kind === 'cancel')).toHaveSize(3);
  });

  const die = (worker: HereWorker | undefined): boolean =>
    worker?.dispatchEvent(new ErrorEvent('error', { message: 'out of memory', cancelable: true })) ?? false;

  it('says when a worker dies and begins again with a new one: the answer is the same', async () => {
    const request = lay(40);
    const waiting = lastValueFrom(pool.solve('h', request));
    die(workers[0]);
    const says = await waiting;
    expect(says.kind === 'done' && says.answer).toEqual(checkedLay(request, solveLay(request)));
    expect(workers.map(({ terminated }) => terminated)).toEqual([true, false]);
    expect(
      TestBed.inject(Messages)
        .all()
        .map(({ text }) => text),
    ).toEqual(['Something being worked out stopped (out of memory) and was started again.']);
  });

  it('fails those who wait when the new worker dies too, and makes another for the next', async () => {
    const waiting = lastValueFrom(pool.solve('h', lay(1_000_000)).pipe(toArray()));
    die(workers[0]);
    die(workers[1]);
    expect((await waiting).at(-1)).toEqual({ kind: 'failed', message: 'out of memory' });
    expect((await lastValueFrom(pool.solve('h', lay(4)))).kind).toBe('done');
    expect(workers.length).toBe(3);
  });

  it('tries changes out by a worker of its own, each school with its own crown', async () => {
    const cushion = { ...(boxesJob.cushions[0] as (typeof boxesJob.cushions)[0]), crown: { mm: 20, way: 'bow' as const, faces: 2 as const } };
    const says = await lastValueFrom(pool.try(trialAsk('yardland/compare-ask@1', cushion, boxesJob, demoShop)));
    if (says.kind !== 'tried' || says.answer.format !== 'yardland/compare-answer@1') throw new Error(JSON.stringify(says));
    const widths = says.answer.compared.map(({ plan: { crown, outlines } }) => [crown?.answer !== null, outlines !== null]);
    expect(widths.every(([answered, drawn]) => answered && drawn)).toBeTrue();
    const asked = says.answer.compared.map(({ plan: made }) => JSON.stringify(made.crown?.request.outline));
    // Schools whose plates differ were not shown a neighbour's crown.
    expect(new Set(asked).size).toBeGreaterThan(2);
    for (const { plan: made } of says.answer.compared)
      expect(made.pieces.find(({ role }) => role === 'plate')?.sewn).toEqual(made.crown?.answer?.bowed ?? null);
  });
});

describe('the real solve worker', () => {
  it('answers from its own thread', async () => {
    const pool = TestBed.inject(SolvePool);
    const [wanted] = plan(boxesJob, demoShop).wanted;
    if (wanted?.request.format !== 'yardland/lay-request@2') throw new Error('no lay');
    const says = await lastValueFrom(pool.solve(wanted.hash, wanted.request));
    expect(says.kind === 'done' && says.answer).toEqual(checkedLay(wanted.request, solveLay(wanted.request)));
    const { outline } = outlineOf({ shape: 'rectangle', widthMm: 600, depthMm: 500 });
    const crown = await lastValueFrom(pool.solve('crown', { format: 'yardland/crown-ask@1', outline, crownMm: 30, pads: 0 }));
    // The oracle of the trade: 4.38 mm more on the centre line of 600.
    expect(crown.kind === 'done' && crown.answer.format === 'yardland/crown-answer@1' && crown.answer.extraAcrossMm).toBeCloseTo(4.38, 1);
  }, 30_000);
});
