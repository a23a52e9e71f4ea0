import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import {
  backedUpSchema,
  healthSchema,
  heldRemnantsSchema,
  jobListSchema,
  LAY_ENGINE,
  type BackedUp,
  type Health,
  type HeldRemnants,
  type Job,
  type JobList,
  type JobSteps,
  type KeptLay,
  type StoredJob,
} from '@yardland/core';
import { map, switchMap, type Observable } from 'rxjs';
import { withCheckedProblem } from '../../core-thread/checked-problem';
import { CoreThread } from '../../core-thread/core-thread';

/** The server's jobs, checked against their contract on the way in. */
@Injectable({ providedIn: 'root' })
export class JobsApi {
  readonly #http = inject(HttpClient);
  readonly #thread = inject(CoreThread);

  list(query: Record<string, string | number>): Observable<JobList> {
    return this.#http.get('/api/jobs', { params: query }).pipe(map((value) => jobListSchema.parse(value)));
  }

  read(id: string): Observable<StoredJob> {
    return this.#stored(this.#http.get(`/api/jobs/${id}`));
  }

  create(job: Job): Observable<StoredJob> {
    return this.#stored(this.#http.post('/api/jobs', { job }));
  }

  write(id: string, revision: number, label: string, job: Job): Observable<StoredJob> {
    return this.#stored(this.#http.put(`/api/jobs/${id}`, { revision, label, job }));
  }

  /** Copies the whole shop to one file beside its database; its name and size. */
  backUp(): Observable<BackedUp> {
    return this.#http.post('/api/backups', {}).pipe(map((value) => backedUpSchema.parse(value)));
  }

  /** How the server is, and how much room its database has. */
  health(): Observable<Health> {
    return this.#http.get('/api/health').pipe(map((value) => healthSchema.parse(value)));
  }

  /** The last changes of a job, and those that were taken back. */
  steps(id: string): Observable<JobSteps> {
    return this.#http.get(`/api/jobs/${id}/steps`).pipe(switchMap((value) => this.#thread.read('steps', value)));
  }

  /** Lays of a job that were worked out before. */
  keptLays(id: string): Observable<readonly KeptLay[]> {
    return this.#http.get(`/api/jobs/${id}/lays`).pipe(
      switchMap((value) => this.#thread.read('lays', value)),
      map(({ lays }) => lays),
    );
  }

  /** Keeps lays of a job, so that its papers and its next window need not search for them. */
  keepLays(id: string, lays: readonly KeptLay[]): Observable<unknown> {
    return this.#http.put(`/api/jobs/${id}/lays`, { engine: LAY_ENGINE, lays });
  }

  /** Remnants that jobs have set aside. */
  heldRemnants(): Observable<HeldRemnants['held']> {
    return this.#http.get('/api/jobs/held-remnants').pipe(map((value) => heldRemnantsSchema.parse(value).held));
  }

  /** Undo or redo. */
  step(id: string, direction: 'undo' | 'redo', revision: number): Observable<StoredJob> {
    return this.#stored(this.#http.post(`/api/jobs/${id}/${direction}`, { revision }));
  }

  duplicate(id: string): Observable<StoredJob> {
    return this.#stored(this.#http.post(`/api/jobs/${id}/duplicate`, {}));
  }

  archive(id: string, revision: number, archived: boolean): Observable<StoredJob> {
    return this.#stored(this.#http.post(`/api/jobs/${id}/archive`, { revision, archived }));
  }

  #stored(answer: Observable<unknown>): Observable<StoredJob> {
    return answer.pipe(
      switchMap((value) => this.#thread.read('job', value)),
      withCheckedProblem(this.#thread),
    );
  }
}
