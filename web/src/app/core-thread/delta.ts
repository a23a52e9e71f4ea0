/**
 * The difference between a value and its predecessor, for sending between threads. An object that is identical to the one before is not sent, and stays the same object on the other side,
 * so that whatever was derived from it there stays valid.
 */
export type Delta =
  | { readonly kind: 'same' }
  /** The element at this place of the list before. */
  | { readonly kind: 'moved'; readonly from: number }
  | { readonly kind: 'new'; readonly value: unknown }
  | { readonly kind: 'list'; readonly items: readonly Delta[] }
  | { readonly kind: 'record'; readonly changed: Readonly<Record<string, Delta>>; readonly gone: readonly string[] };

const SAME: Delta = { kind: 'same' };

type PlainRecord = Readonly<Record<string, unknown>>;
const isRecord = (value: unknown): value is PlainRecord => typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/**
 * What has to be sent so that the other side, which has `before`, makes `after` of it. Told by identity, `depth` levels of lists and records deep; what has
 * changed below that is sent whole.
 */
export function deltaOf(before: unknown, after: unknown, depth: number): Delta {
  if (Object.is(before, after)) return SAME;
  if (depth > 0 && Array.isArray(before) && Array.isArray(after)) return { kind: 'list', items: listDelta(before, after, depth - 1) };
  if (depth > 0 && isRecord(before) && isRecord(after)) {
    const changed = Object.entries(after).filter(([key, value]) => !(key in before) || !Object.is(before[key], value));
    return {
      kind: 'record',
      changed: Object.fromEntries(changed.map(([key, value]) => [key, deltaOf(before[key], value, depth - 1)])),
      gone: Object.keys(before).filter((key) => !(key in after)),
    };
  }
  return { kind: 'new', value: after };
}

function listDelta(before: readonly unknown[], after: readonly unknown[], depth: number): Delta[] {
  const places = new Map(before.map((one, i) => [one, i]));
  return after.map((one, i): Delta => {
    const from = typeof one === 'object' ? places.get(one) : undefined;
    return from !== undefined && from !== i ? { kind: 'moved', from } : deltaOf(before[i], one, i < before.length ? depth : 0);
  });
}

/** What `deltaOf` was given as `after`, made of the same `before`. Throws a `TypeError` where `before` is not of the form that the delta was made from. */
export function applied(before: unknown, delta: Delta): unknown {
  switch (delta.kind) {
    case 'same':
      return before;
    case 'new':
      return delta.value;
    case 'moved':
      throw new TypeError('an element has moved where there is no list');
    case 'list': {
      if (!Array.isArray(before)) throw new TypeError('a list was expected');
      const items: readonly unknown[] = before;
      return delta.items.map((one, i) => (one.kind === 'moved' ? items[one.from] : applied(items[i], one)));
    }
    case 'record': {
      if (!isRecord(before)) throw new TypeError('a record was expected');
      const kept = Object.entries(before).filter(([key]) => !delta.gone.includes(key));
      const changed = Object.entries(delta.changed).map(([key, one]) => [key, applied(before[key], one)] as const);
      return Object.fromEntries([...kept, ...changed]);
    }
  }
}
