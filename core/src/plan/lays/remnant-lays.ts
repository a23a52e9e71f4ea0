import { hashText } from '../../kernel/hash';
import type { LayItem } from '../../lay/contract';
import type { Shop } from '../../shop/shop';
import type { Job } from '../../job/document';
import { movesFor, pinsOn } from './lays';
import type { PlannedLay, WantedLay } from './planned-lay';
import { remnantKey, remnantMaterial, remnantsFor } from './remnants';

/** The items of a lay of which some are still left, with so many as are left. */
function leftItems(items: readonly LayItem[], left: ReadonlyMap<string, number>): LayItem[] {
  return items.flatMap((item) => {
    const count = left.get(item.id) ?? 0;
    return count > 0 ? [{ ...item, count }] : [];
  });
}

/**
 * The lays of a job, remnants first. Each remnant that is set aside gets a lay of what is still to be cut; what does not fit goes to the next remnant, and finally to the
 * lay of what is bought, which disappears when nothing is left for it. Each lay depends on the answers of those before it (`solvedAs`); until they are known the last one is
 * held. Pieces matched to a pattern are laid only on remnants on which a motif was found.
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
      const { material: bought } = lay.request;
      const material = remnantMaterial(remnant, bought.kind === 'roll' ? bought.pattern : undefined);
      const here = leftItems(items, left).filter(({ motif }) => !motif || material.pattern);
      if (here.length === 0) continue;
      const key = remnantKey(lay.key, remnant.id);
      const on = asked(
        { key, remnant: remnant.id, offPattern: [] },
        { ...lay.request, material, items: here, pins: pinsOn(job, key, here), moves: movesFor(job, here, material) },
      );
      before.push(on);
      const { answer, problems } = solvedAs(on);
      // Of an answer that breaks the rules nothing is cut: all of it goes on.
      if (!answer && problems.length === 0) return [...before, { ...lay, held: true }];
      for (const { item } of answer?.placements ?? []) left.set(item, (left.get(item) ?? 0) - 1);
    }
    if (before.length === 0) return [lay];
    const rest = leftItems(items, left);
    return rest.length ? [...before, asked({}, { ...lay.request, items: rest, moves: movesFor(job, rest, lay.request.material) })] : before;
  });
}
