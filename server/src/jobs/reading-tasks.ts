import { createJobSchema, readStoredJob, readWith, writeJobSchema, type Issue } from '@yardland/core';
import { firstOf } from '../http/refusal';
import { again, prepared, type PreparedJob } from './prepared';

// What is done with the text of a job, small or large: by name, so that a thread can do it too.

/** A body that was read, or why not; null: it is no JSON at all. */
export type BodyRead =
  | { readonly ok: true; readonly job: PreparedJob; readonly revision: number; readonly label: string }
  | { readonly ok: false; readonly problems: readonly Issue[] | null };

/** Reads the body of a new job (`create`) or of a change (`write`). */
export function body({ text, kind }: { readonly text: string; readonly kind: 'create' | 'write' }): BodyRead {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, problems: null };
  }
  const read = kind === 'create' ? readWith(createJobSchema, value) : readWith(writeJobSchema, value);
  if (!read.ok) return { ok: false, problems: firstOf(read.problems) };
  const { job, revision = 0, label = '' } = read.value as { job: Parameters<typeof prepared>[0]; revision?: number; label?: string };
  return { ok: true, job: prepared(job), revision, label };
}

/** A stored document brought up to date; null where it cannot be read. */
export function upToDate({ text }: { readonly text: string }): PreparedJob | null {
  const read = readStoredJob(text);
  return read.ok ? prepared(read.value) : null;
}

/** The copy of a stored document; null where it cannot be read. */
export function copy({ text }: { readonly text: string }): PreparedJob | null {
  const read = readStoredJob(text);
  return read.ok ? prepared(again(read.value)) : null;
}
