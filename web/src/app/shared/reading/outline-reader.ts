import { inject, Injectable, InjectionToken } from '@angular/core';
import { issue, type Issue } from '@yardland/core';
import type { FileUnits, ReadOutline } from '@yardland/core/format';

/** A file that takes longer than this to read is no outline that a shop has, ms. */
export const READ_LIMIT_MS = 2000;

/** How a worker that reads outline files is made, and how long it may take; others in tests. */
export const OUTLINE_WORKER = new InjectionToken<{ readonly make: () => Worker; readonly limitMs: number }>('a worker that reads outline files', {
  providedIn: 'root',
  factory: () => ({ make: () => new Worker(new URL('./outline.worker', import.meta.url), { type: 'module' }), limitMs: READ_LIMIT_MS }),
});

/** Reads outlines from files in a worker of their own, so that no file holds the window up. */
@Injectable({ providedIn: 'root' })
export class OutlineReader {
  readonly #worker = inject(OUTLINE_WORKER);

  /** The outline of a file. `units` are what a person said its figures mean, and count only where the file says nothing: `unsaid` tells that they did. */
  async read(file: File, units: FileUnits): Promise<ReadOutline & { readonly unsaid: boolean }> {
    const text = await file.text();
    const first = await this.#readText(file.name, text, null);
    const unsaid = first.ok && first.notes.some((note) => note.code === 'units-not-said');
    return { ...(unsaid ? await this.#readText(file.name, text, units) : first), unsaid };
  }

  #readText(name: string, text: string, units: FileUnits | null): Promise<ReadOutline> {
    return new Promise((resolve) => {
      const worker = this.#worker.make();
      const say = (read: ReadOutline): void => {
        clearTimeout(limit);
        worker.terminate();
        resolve(read);
      };
      const refused = (problem: Issue): ReadOutline => ({ ok: false, problems: [problem] });
      const limit = setTimeout(() => {
        say(refused(issue('error', 'file-takes-too-long', '', { file: name, seconds: this.#worker.limitMs / 1000 })));
      }, this.#worker.limitMs);
      worker.addEventListener('message', ({ data }: MessageEvent<ReadOutline>) => say(data));
      worker.addEventListener('error', (event) => {
        event.preventDefault();
        say(refused(issue('error', 'file-unreadable', '', { file: name })));
      });
      worker.postMessage([name, text, units]);
    });
  }
}
