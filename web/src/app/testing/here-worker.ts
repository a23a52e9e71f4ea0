import type { Provider } from '@angular/core';
import { MAKE_CORE_WORKER } from '../core-thread/make-core-worker';
import type { FromCore, ToCore } from '../core-thread/messages';
import { CoreWork } from '../core-thread/core-work';

/** A core worker in the same thread: what is posted goes through a copy, as between real ones. Plans are answered before `postMessage` comes back. */
export class HereWorker extends EventTarget {
  readonly heard: ToCore[] = [];
  terminated = false;
  readonly #work = new CoreWork((message) => this.say(message));

  postMessage(message: ToCore): void {
    this.heard.push(message);
    this.#work.hear(structuredClone(message));
  }

  say(message: FromCore): void {
    if (!this.terminated) this.dispatchEvent(new MessageEvent('message', { data: structuredClone(message) }));
  }

  terminate(): void {
    this.terminated = true;
    for (const message of this.heard) if ('id' in message) this.#work.hear({ kind: 'cancel', id: message.id });
  }
}

/** Puts such workers in place of real ones; `made` gets each of them. */
export function hereWorkers(made: (worker: HereWorker) => void = () => undefined): Provider {
  const make = (): Worker => {
    const worker = new HereWorker();
    made(worker);
    return worker as unknown as Worker;
  };
  return { provide: MAKE_CORE_WORKER, useValue: make };
}
