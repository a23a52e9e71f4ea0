import { given, law, type Figure } from '../kernel/figure';
import type { Shop } from '../shop/shop';
import { clothFacts } from './cloths';
import type { Job } from './document';
import { biasItems, repeatToBegin, wanted, type NamedItem, type PlannedLay, type WantedLay } from './lays';
import type { CushionPlan } from './plan-cushion';

/** The lay of what is cut anew off the material of another lay. */
export const recutKey = (key: string): string => `${key}/recut`;

/**
 * Pieces that were wrong, laid by themselves: what is cut already stays as it is, and they come off what is left of the same material. Recuts of pieces that the plan
 * no longer has are passed over: the record keeps them.
 */
export function recutLays(job: Job, plans: readonly CushionPlan[], lays: readonly WantedLay[], shop: Shop): WantedLay[] {
  const groups = new Map<WantedLay, NamedItem[]>();
  const add = (lay: WantedLay, items: readonly NamedItem[]): void => {
    groups.set(lay, [...(groups.get(lay) ?? []), ...items]);
  };
  plans.forEach((plan, index) => {
    const counts = new Map<string, number>();
    for (const { piece, cushions, each } of plan.source.bench?.recuts ?? []) counts.set(piece, (counts.get(piece) ?? 0) + cushions.length * each);
    for (const [id, count] of counts) {
      const cut = plan.cuts.find(({ piece }) => piece.id === id);
      if (!cut) continue;
      const { material, grain } = cut.piece;
      if (grain !== 'bias') {
        for (const lay of lays) {
          const item = lay.request.items.find((one) => one.id === `${index}/${id}`);
          if (item) add(lay, [{ item: { ...item, count }, hash: `${cut.hash} ${count}` }]);
        }
        continue;
      }
      const lay = lays.find(({ subject }) => material.kind === 'cloth' && subject.kind === 'cloth' && subject.slots.includes(material.slot));
      if (lay?.subject.kind !== 'cloth') continue;
      const { use } = lay.subject;
      add(lay, biasItems([{ ...cut, count }], use.bias ?? 'block', clothFacts(use, job.units, shop)));
    }
  });
  return [...groups].map(([lay, items]) => ({
    ...wanted(job, recutKey(lay.key), lay.subject, lay.request.material, lay.request.gapMm, items),
    recutOf: lay.key,
  }));
}

/**
 * What is left of the material that was bought for a lay, mm: the roll beyond what is laid and squared, or the last sheet beyond what is laid. Null while the lay is worked out.
 */
export function leftOver(lay: PlannedLay, bought: Figure | null, squareEndMm: number): Figure | null {
  const { answer, request } = lay;
  if (!answer) return null;
  const laid = given('laid', answer.lengthMm, 'counted');
  if (request.material.kind === 'sheet')
    return law('left of the last sheet', '{0} − {1}', [given('sheet', request.material.lengthMm, 'material'), laid], (sheet = 0, mm = 0) => sheet - mm);
  if (!bought) return null;
  const off = given('to square the end, and a repeat', squareEndMm + repeatToBegin(request), 'shop');
  return law('left of the roll', '{0} − {1} − {2}', [bought, laid, off], (all = 0, mm = 0, squared = 0) => Math.max(0, all - mm - squared));
}
