import type { DeviceId, Reading } from '@yardland/core';

/** Thrown by a stream whose device went away. */
export class Unplugged extends Error {}

/** A measuring device of the shop. A real one takes the place of a simulated one by being another of these in the list of `devices.ts`. */
export interface Device {
  readonly id: DeviceId;
  readonly name: string;
  readonly simulated: boolean;
  /** Readings from when measuring begins until it is done; stops early when `signal` aborts. Throws `Unplugged`; throws a Refusal for a query it cannot follow. */
  readonly stream: (query: unknown, signal: AbortSignal) => AsyncGenerator<Reading>;
}
