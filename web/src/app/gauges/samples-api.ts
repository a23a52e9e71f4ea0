import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import {
  deviceListSchema,
  readingSchema,
  sampleListSchema,
  storedSampleSchema,
  type DeviceId,
  type DeviceList,
  type Reading,
  type Sample,
  type StoredSample,
} from '@yardland/core';
import { map, Observable } from 'rxjs';

/** Thrown into a stream whose device went away. */
export class DeviceGone extends Error {}

/** Bench samples and the devices that measure them. */
@Injectable({ providedIn: 'root' })
export class SamplesApi {
  readonly #http = inject(HttpClient);

  list(): Observable<readonly StoredSample[]> {
    return this.#http.get('/api/samples').pipe(map((value) => sampleListSchema.parse(value).samples));
  }

  /** Writes a sample with the revision that was seen; 0 makes it. */
  write(id: string, revision: number, sample: Sample): Observable<StoredSample> {
    return this.#http.put(`/api/samples/${id}`, { revision, sample }).pipe(map((value) => storedSampleSchema.parse(value)));
  }

  /** Takes a sample away as it was seen. */
  drop(id: string, revision: number): Observable<unknown> {
    return this.#http.delete(`/api/samples/${id}`, { params: { revision } });
  }

  /** The shop's devices; simulated ones say so. */
  devices(): Observable<DeviceList> {
    return this.#http.get('/api/devices').pipe(map((value) => deviceListSchema.parse(value).devices));
  }

  /** Readings of a device as they come; leaving stops it. Fails with `DeviceGone` when it is unplugged or the server is away. */
  readings(device: DeviceId, query: Record<string, string | number>): Observable<Reading> {
    return new Observable((subscriber) => {
      const parameters = new URLSearchParams(Object.entries(query).map(([key, value]) => [key, String(value)]));
      const source = new EventSource(`/api/devices/${device}/stream?${parameters.toString()}`);
      const hear = (event: MessageEvent<string>): void => subscriber.next(readingSchema.parse(JSON.parse(event.data)));
      source.addEventListener('reading', hear);
      source.addEventListener('done', (event: MessageEvent<string>) => {
        hear(event);
        subscriber.complete();
      });
      source.addEventListener('unplugged', () =>
        subscriber.error(new DeviceGone('The device was unplugged. What was read until then is kept; nothing was taken over.')),
      );
      source.addEventListener('error', () => subscriber.error(new DeviceGone('The device does not answer.')));
      return () => source.close();
    });
  }
}
