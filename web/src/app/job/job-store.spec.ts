import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { jobSchema, type Job, type StoredJob } from '@yardland/core';
import boxes from '../../../../demo/jobs/prompt-side-boxes.json';
import shopJson from '../../../../demo/shop.json';
import { Messages } from '../shared/messages';
import { hereWorkers, type HereWorker } from '../testing/here-worker';
import { JobStore } from './job-store';
import { PendingShelf } from './saving/pending-shelf';

const ID = '00000000-0000-4000-8000-000000000001';
const job: Job = jobSchema.parse(boxes);
const stored = (revision: number, of: Job = job, over: Partial<StoredJob> = {}): StoredJob => ({
  id: ID,
  revision,
  archived: false,
  undo: null,
  redo: null,
  job: of,
  ...over,
});

describe('JobStore', () => {
  let store: JobStore;
  let http: HttpTestingController;
  const workers: HereWorker[] = [];
  const url = `/api/jobs/${ID}`;

  const open = (revision = 1): void => {
    store.open(ID);
    http.expectOne(url).flush(stored(revision));
    http.expectOne('/api/shop').flush({ revision: 1, shop: shopJson });
  };
  /** The height that the plan has the cushion finished at, once it has followed. */
  const plannedHeight = (): number | undefined => {
    TestBed.tick();
    return store.cushionPlan()?.sizes?.finished.height.value;
  };
  /** Time for the other windows of the browser to say that they are there. */
  const answered = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 300));
  const height = (mm: number): void => store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: mm }));

  beforeEach(() => {
    localStorage.clear();
    workers.length = 0;
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting(), hereWorkers((worker) => workers.push(worker)), JobStore] });
    store = TestBed.inject(JobStore);
    http = TestBed.inject(HttpTestingController);
  });
  afterEach(() => {
    http.verify();
    localStorage.clear();
  });

  it('shows every derived size at once when something is changed, and sends it with the revision it saw', () => {
    open(7);
    expect(plannedHeight()).toBeCloseTo(88.9, 6);
    height(100);
    expect(plannedHeight()).toBe(100);
    const { request } = http.expectOne({ method: 'PUT', url });
    expect([(request.body as StoredJob).revision, (request.body as { label: string }).label]).toEqual([7, 'Height']);
    expect(store.saveState()).toBe('saving');
  });

  it('previews a drag without sending anything, keeps other cushions as they are, and takes it back', () => {
    open();
    TestBed.tick();
    const other = store.plan()?.cushions[1];
    expect(other).toBeDefined();
    store.previewCushion((cushion) => ({ ...cushion, heightMm: 120 }));
    expect(plannedHeight()).toBe(120);
    expect(store.plan()?.cushions[1]).toBe(other as NonNullable<typeof other>);
    store.previewCushion(null);
    expect(plannedHeight()).toBeCloseTo(88.9, 6);
    http.expectNone({ method: 'PUT', url });
  });

  it('says that a plan could not be made, keeps what was changed, and no longer says it once there is one', () => {
    open();
    expect(plannedHeight()).toBeCloseTo(88.9, 6);
    const words = (): string =>
      TestBed.inject(Messages)
        .all()
        .map(({ text }) => text)
        .join(' ');
    const [worker] = workers as [HereWorker];
    spyOn(worker, 'postMessage').and.stub();
    height(100);
    TestBed.tick();
    worker.dispatchEvent(new ErrorEvent('error', { message: 'out of memory' }));
    expect(words()).toContain('out of memory');
    expect([store.cushion()?.heightMm, plannedHeight()?.toFixed(1)]).toEqual([100, '88.9']);
    height(105);
    expect(plannedHeight()).toBe(105);
    expect(words()).toBe('');
    http.match(() => true);
  });

  it('does not send a change that changes nothing', () => {
    open();
    height(job.cushions[0]?.heightMm ?? 0);
    http.expectNone({ method: 'PUT', url });
    expect(store.saveState()).toBe('saved');
  });

  it('undoes on the server, with the revision that the last write made', () => {
    open();
    height(100);
    http.expectOne({ method: 'PUT', url }).flush(stored(2, { ...job, name: 'x' }, { undo: 'Height' }));
    expect(store.undoLabel()).toBe('Height');
    store.goBackOrForth('undo');
    // Shown at once; the server is told in turn.
    expect(store.cushion()?.heightMm).toBeCloseTo(88.9, 6);
    const undo = http.expectOne(`${url}/undo`);
    expect(undo.request.body).toEqual({ revision: 2 });
    undo.flush(stored(3, job, { redo: 'Height' }));
    expect([store.undoLabel(), store.redoLabel()]).toEqual([null, 'Height']);
  });

  it('undoes twice when it is pressed twice in quick succession, and redoes both', () => {
    open();
    height(100);
    height(110);
    store.goBackOrForth('undo');
    store.goBackOrForth('undo');
    expect(store.cushion()?.heightMm).toBeCloseTo(88.9, 6);
    store.goBackOrForth('redo');
    expect(store.cushion()?.heightMm).toBe(100);
    const sent: string[] = [];
    for (let revision = 2; revision <= 6; revision++) {
      const one = http.expectOne((request) => request.method !== 'GET');
      expect((one.request.body as { revision: number }).revision).toBe(revision - 1);
      sent.push(one.request.url.split('/').at(-1) ?? '');
      one.flush(stored(revision, store.job() as Job));
    }
    expect(sent).toEqual([ID, ID, 'undo', 'undo', 'redo']);
    expect(store.saveState()).toBe('saved');
  });

  it('asks the server for a step that this window does not know, and makes later changes of what it answers', () => {
    store.open(ID);
    http.expectOne(url).flush(stored(4, job, { undo: 'Name' }));
    http.expectOne('/api/shop').flush({ revision: 1, shop: shopJson });
    store.goBackOrForth('undo');
    height(120);
    const earlier = { ...job, name: 'As it was' };
    http.expectOne(`${url}/undo`).flush(stored(5, earlier, { redo: 'Name' }));
    expect([store.job()?.name, store.cushion()?.heightMm]).toEqual(['As it was', 120]);
    const { request } = http.expectOne({ method: 'PUT', url });
    expect([(request.body as StoredJob).revision, (request.body as StoredJob).job.name]).toEqual([5, 'As it was']);
  });

  it('knows the last steps of earlier pages a while after it was opened, and goes there while the server is away', () => {
    jasmine.clock().install();
    store.open(ID);
    http.expectOne(url).flush(stored(4, job, { undo: 'Name' }));
    http.expectOne('/api/shop').flush({ revision: 1, shop: shopJson });
    jasmine.clock().tick(2000);
    const [before, first] = [
      { ...job, name: 'Before' },
      { ...job, name: 'First' },
    ];
    http.expectOne(`${url}/steps`).flush({
      revision: 4,
      past: [
        { label: 'Name', job: before },
        { label: 'Named', job: first },
      ],
      future: [{ label: 'Later', job: { ...job, name: 'Later' } }],
    });
    expect([store.undoLabel(), store.redoLabel()]).toEqual(['Name', 'Later']);
    height(100);
    http.expectOne({ method: 'PUT', url }).error(new ProgressEvent('error'), { status: 0 });
    expect(store.saveState()).toBe('offline');
    for (const name of [job.name, 'Before', 'First']) {
      store.goBackOrForth('undo');
      expect(store.job()?.name).toBe(name);
    }
    // Further back only the server knows the way: it is said, and nothing waits for it.
    store.goBackOrForth('undo');
    expect(store.job()?.name).toBe('First');
    store.goBackOrForth('redo');
    expect(store.job()?.name).toBe('Before');
    height(130);
    expect(store.cushion()?.heightMm).toBe(130);
    jasmine.clock().uninstall();
  });

  it('shows both sides of a conflict and overwrites only when told to', () => {
    open();
    height(100);
    const theirs = stored(5, { ...job, name: 'Theirs' });
    http
      .expectOne({ method: 'PUT', url })
      .flush({ code: 'stale-revision', path: 'revision', message: 'stale', current: theirs }, { status: 409, statusText: 'Conflict' });
    expect(store.conflict()?.theirs.job.name).toBe('Theirs');
    expect(store.conflict()?.mine.cushions[0]?.heightMm).toBe(100);
    store.settle('mine');
    const again = http.expectOne({ method: 'PUT', url });
    expect((again.request.body as StoredJob).revision).toBe(5);
    again.flush(stored(6, again.request.body.job as Job));
    expect([store.saveState(), store.conflict()]).toEqual(['saved', null]);
  });

  it('takes the other window’s job when that is chosen', () => {
    open();
    height(100);
    http
      .expectOne({ method: 'PUT', url })
      .flush({ code: 'stale-revision', path: '', message: 'stale', current: stored(5, { ...job, name: 'Theirs' }) }, { status: 409, statusText: 'Conflict' });
    store.settle('theirs');
    expect([store.job()?.name, store.cushion()?.heightMm]).toEqual(['Theirs', job.cushions[0]?.heightMm]);
    http.expectNone({ method: 'PUT', url });
  });

  it('goes on with what an earlier window could not send, unless somebody else was at it since', async () => {
    const mine = { ...job, name: 'Mine, unsent' };
    TestBed.inject(PendingShelf).keep(ID, { revision: 4, changes: [{ kind: 'edit', label: 'Name', job: mine }] });
    open(4);
    await answered();
    expect(store.job()?.name).toBe('Mine, unsent');
    http.expectOne({ method: 'PUT', url }).flush(stored(5, mine));
    expect(localStorage.length).toBe(0);
  });

  it('asks instead of sending when the job has moved on since', async () => {
    TestBed.inject(PendingShelf).keep(ID, { revision: 4, changes: [{ kind: 'edit', label: 'Name', job: { ...job, name: 'Mine, unsent' } }] });
    open(9);
    await answered();
    expect(store.saveState()).toBe('conflict');
    expect([store.conflict()?.mine.name, store.conflict()?.theirs.revision]).toEqual(['Mine, unsent', 9]);
    http.expectNone({ method: 'PUT', url });
  });

  it('says why a job cannot be opened', () => {
    store.open(ID);
    http.expectOne(url).flush({ code: 'not-found', path: '', message: 'There is no such job.' }, { status: 404, statusText: 'Not found' });
    http.match('/api/shop');
    expect(store.failure()).toBe('There is no such job.');
  });

  it('flips the display, not the document', () => {
    open();
    expect(store.units()).toBe('inch');
    store.flipUnits();
    expect([store.units(), store.job()?.units]).toEqual(['metric', 'inch']);
  });
});
