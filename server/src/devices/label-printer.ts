import { setTimeout as wait } from 'node:timers/promises';

/** Thrown when the roll is at its end: what was printed until then is on the table. */
export class OutOfLabels extends Error {}

/** A printer of labels off a roll. A real one takes the place of the simulated one by being another of these. */
export interface LabelPrinter {
  readonly name: string;
  readonly simulated: boolean;
  /** Prints the labels of a file, one a page, from one on (counted from 1), and tells each that is out. Stops after the label in hand when `signal` aborts. Throws `OutOfLabels`. */
  readonly print: (file: Uint8Array, from: number, of: number, signal: AbortSignal) => AsyncGenerator<number>;
  readonly newRoll: () => void;
}

/** Labels on a roll, and how long one takes, seconds. */
const ROLL = 100;
const LABEL_S = 2.5;

/** A label printer that only counts: a roll of a hundred, used up over all prints until a new one is put in; `speed` makes the clock run faster. */
export function simulatedLabelPrinter(speed: number): LabelPrinter {
  let left = ROLL;
  return {
    name: 'Label printer',
    simulated: true,
    async *print(_file, from, of, signal) {
      for (let label = from; label <= of && !signal.aborted; label++) {
        if (left === 0) throw new OutOfLabels();
        await wait((1000 * LABEL_S) / speed, undefined, { signal }).catch(() => undefined);
        if (signal.aborted) return;
        left--;
        yield label;
      }
    },
    newRoll: () => {
      left = ROLL;
    },
  };
}
