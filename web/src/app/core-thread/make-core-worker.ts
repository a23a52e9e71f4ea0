import { InjectionToken } from '@angular/core';

/** How a worker with the computing core is made; another one in tests. */
export const MAKE_CORE_WORKER = new InjectionToken<() => Worker>('how a core worker is made', {
  providedIn: 'root',
  factory: () => () => new Worker(new URL('./core.worker', import.meta.url), { type: 'module' }),
});

/** Makes a worker, hands on what it says, and tells why it died: then it is of no use any more. */
export function startedWorker<T>(make: () => Worker, hear: (message: T) => void, died: (why: string) => void): Worker {
  const worker = make();
  worker.addEventListener('message', ({ data }: MessageEvent<T>) => hear(data));
  worker.addEventListener('error', (event) => {
    event.preventDefault();
    died(event.message || 'the worker could not go on');
  });
  worker.addEventListener('messageerror', () => died('a message could not be read'));
  return worker;
}
