import type * as z from 'zod';
import type { Field } from '../contract';
import { addButtons, buttonsFields, buttonsShape } from './buttons';
import type { Added, ExtraAsk } from './contract';
import { addDrain, drainFields, drainShape } from './drain';
import { addGrip, gripFields, gripShape } from './grip';
import { addHandles, handlesFields, handlesShape } from './handles';
import { addTies, tiesFields, tiesShape } from './ties';
import { addVents, ventsFields, ventsShape } from './vents';

/** What may be added to a cover: ties and buttons on the template, handles, vents, a drain panel, a base that does not slip. A file each. */
export const extrasShape = { ...tiesShape, ...buttonsShape, ...handlesShape, ...ventsShape, ...drainShape, ...gripShape };
export type Extras = z.infer<z.ZodObject<typeof extrasShape>>;

/** What the tray shows of it. */
export const extrasFields: readonly Field<Extras>[] = [
  ...tiesFields,
  ...buttonsFields,
  ...handlesFields,
  ...ventsFields,
  ...drainFields,
  ...gripFields,
] as readonly Field<Extras>[];

const EXTRAS: readonly ((ask: ExtraAsk<Extras>) => Partial<Added>)[] = [addTies, addHandles, addVents, addButtons, addDrain, addGrip];

/** Everything that was asked for besides plates, band, closing and welt. Each sees the bottom plate as the one before it left it. */
export function extrasOf(ask: ExtraAsk<Extras>): Added {
  const none: Added = { pieces: [], seams: [], notions: [], operations: [], problems: [], straps: [], bottom: ask.bottom };
  return EXTRAS.reduce((sofar, add): Added => {
    const added = add({ ...ask, bottom: sofar.bottom });
    return {
      pieces: [...sofar.pieces, ...(added.pieces ?? [])],
      seams: [...sofar.seams, ...(added.seams ?? [])],
      notions: [...sofar.notions, ...(added.notions ?? [])],
      operations: [...sofar.operations, ...(added.operations ?? [])],
      problems: [...sofar.problems, ...(added.problems ?? [])],
      straps: [...sofar.straps, ...(added.straps ?? [])],
      bottom: added.bottom ?? sofar.bottom,
    };
  }, none);
}
