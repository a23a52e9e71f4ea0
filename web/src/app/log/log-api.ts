import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import {
  checkedJobsSchema,
  logFacetsSchema,
  logListSchema,
  storedEntrySchema,
  type CheckedJobs,
  type LogEntry,
  type LogFacets,
  type LogList,
  type LogQuery,
  type StoredEntry,
} from '@yardland/core';
import { map, type Observable } from 'rxjs';

type Params = Record<string, string | number>;

/** What is asked for, without what is not. */
const paramsOf = (query: LogQuery): Params => Object.fromEntries(Object.entries(query).filter(([, value]) => value !== undefined && value !== '')) as Params;

/** The shop's log. */
@Injectable({ providedIn: 'root' })
export class LogApi {
  readonly #http = inject(HttpClient);

  list(query: LogQuery): Observable<LogList> {
    return this.#http.get('/api/log', { params: paramsOf(query) }).pipe(map((value) => logListSchema.parse(value)));
  }

  facets(): Observable<LogFacets> {
    return this.#http.get('/api/log/facets').pipe(map((value) => logFacetsSchema.parse(value)));
  }

  /** Jobs with a check. */
  checked(): Observable<CheckedJobs['jobs']> {
    return this.#http.get('/api/log/checked').pipe(map((value) => checkedJobsSchema.parse(value).jobs));
  }

  /** Writes an entry with the revision that was seen; 0 makes it. */
  write(id: string, revision: number, entry: LogEntry): Observable<StoredEntry> {
    return this.#http.put(`/api/log/${id}`, { revision, entry }).pipe(map((value) => storedEntrySchema.parse(value)));
  }

  drop(id: string, revision: number): Observable<unknown> {
    return this.#http.delete(`/api/log/${id}`, { params: { revision } });
  }

  /** Where the entries asked for are taken away as CSV. */
  csvAddress(query: LogQuery): string {
    const parameters = new URLSearchParams(Object.entries(paramsOf(query)).map(([key, value]) => [key, String(value)]));
    return `/api/log/log.csv?${parameters.toString()}`;
  }
}
