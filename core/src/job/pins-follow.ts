import { itemId, itemRef } from '../piece/item-ref';
import type { Job } from './document';

/**
 * Moves pins along with their cushions. A pin names its cushion by its place in the list, so adding, removing or moving a cushion shifts the others. Pins of a removed
 * cushion are dropped. `before`: the job before the change; cushions that were not touched are the same objects.
 */
export function withPinsFollowing(before: Job, after: Job): Job {
  if (!after.pins || after.pins !== before.pins || after.cushions.length === before.cushions.length) return after;
  const pins = after.pins.flatMap((pin) => {
    const ref = itemRef(pin.item);
    // Bias strips are of the whole cloth.
    if (ref?.kind !== 'piece') return [pin];
    const cushion = before.cushions[ref.cushion];
    const now = cushion ? after.cushions.indexOf(cushion) : -1;
    return now < 0 ? [] : [{ ...pin, item: itemId({ ...ref, cushion: now }) }];
  });
  const { pins: _before, ...rest } = after;
  return pins.length ? { ...rest, pins } : rest;
}
