import { InjectionToken } from '@angular/core';

/** How a worker with the computing core is made; another one in tests. */
export const MAKE_CORE_WORKER = new InjectionToken<() => Worker>('how a core worker is made', {
  providedIn: 'root',
  factory: () => () => new Worker(new URL('./core.worker', import.meta.url), { type: 'module' }),
});
