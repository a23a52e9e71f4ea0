import type { Job } from '@yardland/core';

export interface Difference {
  readonly path: string;
  readonly theirs: string;
  readonly mine: string;
}

function leaves(value: unknown, path: string, into: Map<string, string>): Map<string, string> {
  if (value !== null && typeof value === 'object') for (const [key, inner] of Object.entries(value)) leaves(inner, path ? `${path}.${key}` : key, into);
  else into.set(path, String(value));
  return into;
}

/** A path as a person would say it: `cushions.0.template.widthMm` → `cushion 1, template, width`. */
export function pathWords(path: string): string {
  return path
    .split('.')
    .filter((part) => part !== 'cushions')
    .map((part) =>
      /^\d+$/.test(part)
        ? `no. ${Number(part) + 1}`
        : part
            .replace(/Mm$/, '')
            .replace(/([A-Z])/g, ' $1')
            .toLowerCase(),
    )
    .join(', ');
}

/** Where two states of one job differ, field by field. */
export function differences(theirs: Job, mine: Job): Difference[] {
  const [a, b] = [leaves(theirs, '', new Map()), leaves(mine, '', new Map())];
  return [...new Set([...a.keys(), ...b.keys()])]
    .filter((path) => a.get(path) !== b.get(path))
    .map((path) => ({ path: pathWords(path), theirs: a.get(path) ?? '—', mine: b.get(path) ?? '—' }));
}
