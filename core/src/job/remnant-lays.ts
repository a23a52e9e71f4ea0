import { hashText } from '../kernel/hash';
import type { LayItem, LayMaterial } from '../lay/contract';
import { nominalThickness, type Remnant } from '../material/material';
import type { Shop } from '../shop/shop';
import { formatLength, formatLengthUnit } from '../units/format';
import type { Job } from './document';
import { movesFor, pinsOn } from './lays';
import type { LaySubject, PlannedLay, WantedLay } from './planned-lay';
import type { SayIn } from './say';

/** The lay of a remnant, before the lay of what is bought. */
export const remnantKey = (key: string, remnant: string): string => `${key}/on ${remnant}`;

/** Whether a remnant is of the material of a lay. */
function isOf(remnant: Remnant, subject: LaySubject, shop: Shop): boolean {
  if ('cloth' in remnant) return subject.kind === 'cloth' && subject.use.material === remnant.cloth;
  if (subject.kind !== 'foam' || subject.grade !== remnant.grade) return false;
  const grade = shop.grade(remnant.grade);
  return grade !== undefined && nominalThickness(grade, remnant.thicknessMm) === subject.thicknessMm;
}

/** The remnants of the stockroom that are of the material of a lay, whether set aside or not: the smallest first, so that large ones stay whole. */
export function remnantsFor(subject: LaySubject, shop: Shop): readonly Remnant[] {
  return shop.document.remnants.filter((one) => isOf(one, subject, shop)).sort((a, b) => a.widthMm * a.lengthMm - b.widthMm * b.lengthMm);
}

/** A remnant as it lies on the table: its outline or its box, x along, its lower left corner at 0. */
export function remnantMaterial({ widthMm, lengthMm, outline, flaws = [], soft = [] }: Remnant): Extract<LayMaterial, { readonly kind: 'hide' }> {
  const box: readonly (readonly [number, number])[] = [
    [0, 0],
    [lengthMm, 0],
    [lengthMm, widthMm],
    [0, widthMm],
  ];
  const [left, low] = [0, 1].map((axis) => Math.min(...(outline ?? box).map((point) => point[axis] ?? 0)));
  const points = (ring: readonly (readonly [number, number])[]) => ring.map(([x, y]) => ({ x: x - (left ?? 0), y: y - (low ?? 0) }));
  return { kind: 'hide', outline: points(outline ?? box), flaws: flaws.map(points), soft: soft.map(points) };
}

/** A remnant in words: `remnant 600 × 400 mm, Stalls`; one of leather is a hide. */
export function remnantWords(remnant: Omit<Remnant, 'id'> & { readonly cloth?: string }, shop: Shop, { units, step }: SayIn): string {
  const size = `${formatLength(remnant.lengthMm, units, step)} × ${formatLengthUnit(remnant.widthMm, units, step)}`;
  const hide = remnant.outline && shop.cloth(remnant.cloth ?? '')?.hideMm !== undefined;
  return `${hide ? 'hide' : 'remnant'} ${size}${remnant.note ? `, ${remnant.note}` : ''}`;
}

/** The items of a lay of which some are still left, with so many as are left. */
function leftItems(items: readonly LayItem[], left: ReadonlyMap<string, number>): LayItem[] {
  return items.flatMap((item) => {
    const count = left.get(item.id) ?? 0;
    return count > 0 ? [{ ...item, count }] : [];
  });
}

/**
 * The lays of a job with what it cuts from remnants first. Each remnant that is set aside gets a lay of what is still to be cut, as much as it takes; what it has no room for goes on
 * to the next, and what is left at last to the lay of what is bought, which falls away where nothing is. A lay is known once those before it are answered (`solvedAs`); until
 * then the last one is held. Pieces matched to a pattern are not laid on remnants: where its motifs lie there is not known.
 */
export function offRemnants(job: Job, lays: readonly WantedLay[], shop: Shop, solvedAs: (lay: WantedLay) => PlannedLay): WantedLay[] {
  const aside = new Set(job.remnants ?? []);
  if (aside.size === 0) return [...lays];
  return lays.flatMap((lay): WantedLay[] => {
    const { items } = lay.request;
    const left = new Map(items.map(({ id, count }) => [id, count]));
    const asked = (over: Partial<WantedLay>, request: WantedLay['request']): WantedLay => ({
      ...lay,
      ...over,
      request,
      hash: hashText(JSON.stringify([lay.hash, request.material, request.pins, request.items.map(({ id, count }) => [id, count])])),
    });
    const before: WantedLay[] = [];
    for (const remnant of remnantsFor(lay.subject, shop).filter(({ id }) => aside.has(id))) {
      const here = leftItems(items, left).filter(({ motif }) => !motif);
      if (here.length === 0) break;
      const key = remnantKey(lay.key, remnant.id);
      const on = asked(
        { key, remnant: remnant.id, offPattern: [] },
        { ...lay.request, material: remnantMaterial(remnant), items: here, pins: pinsOn(job, key, here), moves: movesFor(job, here) },
      );
      before.push(on);
      const { answer, problems } = solvedAs(on);
      // Of an answer that breaks the rules nothing is cut: all of it goes on.
      if (!answer && problems.length === 0) return [...before, { ...lay, held: true }];
      for (const { item } of answer?.placements ?? []) left.set(item, (left.get(item) ?? 0) - 1);
    }
    if (before.length === 0) return [lay];
    const rest = leftItems(items, left);
    return rest.length ? [...before, asked({}, { ...lay.request, items: rest, moves: movesFor(job, rest) })] : before;
  });
}
