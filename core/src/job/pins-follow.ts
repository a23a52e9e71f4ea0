import { itemId, itemRef } from '../piece/item-ref';
import type { Job } from './document';

/**
 * The job with its pins on the pieces they were put on: a pin names its cushion by its place in the list, and a cushion that was added, taken out or
 * moved shifts the others. Pins of a cushion that is gone go with it. `before` is the job that was changed; cushions that were not touched are the same objects.
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
