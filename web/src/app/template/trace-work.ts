import { Injectable } from '@angular/core';
import { Observable } from 'rxjs';
import type { FromTraceWorker, ToTraceWorker } from './trace-messages';

/** Work on a picture in a worker of its own; leaving before the answer ends it. */
@Injectable({ providedIn: 'root' })
export class TraceWork {
  run(message: ToTraceWorker): Observable<FromTraceWorker> {
    return new Observable((subscriber) => {
      const worker = new Worker(new URL('./trace.worker', import.meta.url), { type: 'module' });
      worker.addEventListener('message', ({ data }: MessageEvent<FromTraceWorker>) => {
        subscriber.next(data);
        if (data.kind !== 'progress') subscriber.complete();
      });
      worker.addEventListener('error', (event) => subscriber.error(new Error(event.message)));
      worker.postMessage(message);
      return () => worker.terminate();
    });
  }
}
