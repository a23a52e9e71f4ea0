import { Unreadable } from '../unreadable';

/** One pair of a DXF file: what the value is, the value, and the line it stands on. */
export interface Pair {
  readonly code: number;
  readonly value: string;
  readonly line: number;
}

/** The pairs of a file. Throws `Unreadable` where a group code is none. */
export function pairsOf(text: string): Pair[] {
  const lines = text.split(/\r\n|\n|\r/);
  const pairs: Pair[] = [];
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = (lines[i] ?? '').trim();
    if (!/^-?\d{1,5}$/.test(code)) {
      if (pairs.length < 2) throw new Unreadable(0, 'it does not begin as a drawing');
      throw new Unreadable(i + 1, `“${code.slice(0, 40)}” is no group code`);
    }
    pairs.push({ code: Number(code), value: (lines[i + 1] ?? '').trim(), line: i + 2 });
  }
  if (pairs.length < 4) throw new Unreadable(0, 'it does not begin as a drawing');
  return pairs;
}

/** A thing of the drawing and what is said of it. */
export interface Entity {
  readonly type: string;
  readonly line: number;
  readonly pairs: readonly Pair[];
}

/** Entities between two pairs; vertices of an old polyline follow it as entities of their own. */
export function entitiesIn(pairs: readonly Pair[]): Entity[] {
  const entities: { type: string; line: number; pairs: Pair[] }[] = [];
  for (const pair of pairs)
    if (pair.code === 0) entities.push({ type: pair.value, line: pair.line, pairs: [] });
    else entities.at(-1)?.pairs.push(pair);
  return entities;
}

/** The pairs of a section, by its name. */
export function section(pairs: readonly Pair[], name: string): readonly Pair[] {
  const start = pairs.findIndex(({ code, value }, i) => code === 2 && value === name && pairs[i - 1]?.value === 'SECTION');
  if (start === -1) return [];
  const end = pairs.findIndex(({ code, value }, i) => i > start && code === 0 && value === 'ENDSEC');
  return pairs.slice(start + 1, end === -1 ? undefined : end);
}

/** A figure of a pair. Throws `Unreadable` with its line where it is none, or beyond anything a shop cuts. */
export function numberIn({ value, line }: Pair): number {
  const n = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(value) ? Number(value) : NaN;
  if (!Number.isFinite(n) || Math.abs(n) > 1e9) throw new Unreadable(line, `“${value.slice(0, 40)}” is no figure that can be read`);
  return n;
}

/** A figure of an entity by its group code; `otherwise` where it is not given. */
export function number(entity: Entity, code: number, otherwise = 0): number {
  const found = entity.pairs.find((pair) => pair.code === code);
  return found ? numberIn(found) : otherwise;
}

/** Every figure of a group code, in their order. */
export const numbers = (entity: Entity, code: number): number[] => entity.pairs.filter((pair) => pair.code === code).map(numberIn);

export const text = (entity: Entity, code: number): string => entity.pairs.find((pair) => pair.code === code)?.value ?? '';
