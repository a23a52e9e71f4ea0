/** What came of putting together what two sides made of one thing. */
export interface Merged<T> {
  readonly value: T;
  /** Names of what both sides changed, each its own way: there the other side's stands. */
  readonly clashes: readonly string[];
}

type Fields = Readonly<Record<string, unknown>>;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Three-way merge of a thing's fields: where only one side changed a field, that side's counts; a field that is not there counts as left out. */
export function mergeFields<T extends object>(base: T, mine: T, theirs: T): Merged<T> {
  const [was, here, there] = [base as Fields, mine as Fields, theirs as Fields];
  const value = new Map(Object.entries(there));
  const clashes: string[] = [];
  for (const key of new Set([...Object.keys(was), ...Object.keys(here)])) {
    if (same(was[key], here[key]) || same(here[key], there[key])) continue;
    if (!same(was[key], there[key])) clashes.push(key);
    else if (here[key] === undefined) value.delete(key);
    else value.set(key, here[key]);
  }
  return { value: Object.fromEntries(value) as T, clashes };
}

/**
 * Three-way merge of a list of named things: in the other side's order, with what was added here at the end. Of a thing that both changed the fields are merged. What one
 * side took out goes, unless the other has changed it since.
 */
export function mergeRows<T extends { readonly id: string }>(base: readonly T[], mine: readonly T[], theirs: readonly T[]): Merged<T[]> {
  const [was, here] = [base, mine].map((rows) => new Map(rows.map((row) => [row.id, row]))) as [Map<string, T>, Map<string, T>];
  const clashes: string[] = [];
  const value = theirs.flatMap((row): T[] => {
    const [before, now] = [was.get(row.id), here.get(row.id)];
    if (before && !now) return same(before, row) ? [] : [row];
    if (!now) return [row];
    const merged = mergeFields(before ?? now, now, row);
    if (merged.clashes.length || (!before && !same(now, row))) clashes.push(row.id);
    return [before ? merged.value : row];
  });
  const there = new Set(theirs.map(({ id }) => id));
  const added = mine.filter((row) => !there.has(row.id) && !same(was.get(row.id), row));
  return { value: [...value, ...added], clashes };
}
