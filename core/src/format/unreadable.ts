import { issue } from '../kernel/issue';
import type { ReadOutline } from './outline-file';

/** What in a file could not be read right: thrown inside a reader, told as a problem with its line. */
export class Unreadable extends Error {
  constructor(
    /** Line of the file, from 1; 0 where the whole file is meant. */
    readonly line: number,
    what: string,
  ) {
    super(what);
  }
}

/** Runs a reader; what it finds unreadable is a problem that names the line. */
export function reading(kind: string, read: () => ReadOutline): ReadOutline {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error;
    const { line, message } = error;
    return { ok: false, problems: [issue('error', line > 0 ? 'file-line-unreadable' : 'file-not-of-its-kind', '', { kind, line, detail: message })] };
  }
}
