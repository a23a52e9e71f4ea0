/** Somebody in a line, to be let in. */
type Waiting = () => void;

/**
 * So many at work at once; the others wait, a line for each asker, and each line in turn lets its first in: whoever asks for much waits for it behind those who ask for little.
 */
export class Turns {
  #free: number;
  /** Askers in the order of their turns. */
  readonly #lines = new Map<string, Waiting[]>();

  constructor(atOnce: number) {
    this.#free = atOnce;
  }

  /** Waits for a turn; each that was had is given back by `give`. Fails with the signal's reason when it is aborted before. */
  async take(asker: string, left: AbortSignal): Promise<void> {
    left.throwIfAborted();
    if (this.#free > 0) {
      this.#free--;
      return;
    }
    await new Promise<void>((resolve, reject) => {
      const goes = (): void => {
        this.#drop(asker, comes);
        reject(left.reason as Error);
      };
      const comes = (): void => {
        left.removeEventListener('abort', goes);
        resolve();
      };
      left.addEventListener('abort', goes, { once: true });
      this.#lines.set(asker, [...(this.#lines.get(asker) ?? []), comes]);
    });
  }

  give(): void {
    const [line] = this.#lines;
    if (!line) {
      this.#free++;
      return;
    }
    const [asker, [first, ...rest]] = line;
    this.#lines.delete(asker);
    // To the end: the others come first.
    if (rest.length) this.#lines.set(asker, rest);
    first?.();
  }

  #drop(asker: string, waiting: Waiting): void {
    const line = (this.#lines.get(asker) ?? []).filter((one) => one !== waiting);
    if (line.length) this.#lines.set(asker, line);
    else this.#lines.delete(asker);
  }
}
