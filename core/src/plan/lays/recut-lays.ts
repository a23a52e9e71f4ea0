import { USUAL_BIAS } from '../../cover/welt/bias';
import { hashText } from '../../kernel/hash';
import { placed, type LayAnswer, type LayMaterial } from '../../lay/contract';
import type { ClothSlot } from '../../piece/material-ref';
import { isLaid } from '../../piece/piece';
import type { Shop } from '../../shop/shop';
import { runThere } from './bought';
import { clothFacts, clothUse } from '../cloths';
import type { Job } from '../../job/document';
import { biasItems, cutId, itemOf, movesFor, pinsOn, turnsOn, wanted, type NamedItem } from './lays';
import { clothLayKey, leftKey, recutKey, type PlannedLay, type WantedLay } from './planned-lay';
import type { CushionPlan, Cut } from '../cushion/cushion-plan';
import { remnantKey, remnantMaterial, remnantsFor } from './remnants';

type Hide = Extract<LayMaterial, { readonly kind: 'hide' }>;

/** Material of the job that is there: a remnant set aside, or what was bought for a lay; with what is cut from it already. */
interface Ground {
  readonly key: string;
  readonly of: string;
  readonly remnant: string | null;
  readonly material: Hide;
  /** What the material depends on, for the lay's hash. */
  readonly content: unknown;
}

/** How many of a cut are cut anew. Of a piece of which some copies are turned over, the record says which one it was; where all copies of a cushion are, both are. */
function recutCount({ source }: CushionPlan, { piece, turned }: Cut): number {
  return (source.bench?.recuts ?? [])
    .filter((one) => one.piece === piece.id)
    .reduce((count, { cushions, each, turned: over = false }) => {
      const both = piece.turned === piece.countPerCushion || each === piece.countPerCushion;
      const turnedOver = both ? Math.min(each, piece.turned) : over ? each : 0;
      return count + cushions.length * (turned ? turnedOver : each - turnedOver);
    }, 0);
}

/** What has to be cut anew, by the lay of its material. Recuts of pieces that the plan no longer has are passed over: the record keeps them. */
function recutItems(job: Job, plans: readonly CushionPlan[], lays: readonly WantedLay[], shop: Shop): Map<WantedLay, NamedItem[]> {
  const groups = new Map<WantedLay, NamedItem[]>();
  const add = (lay: WantedLay, items: readonly NamedItem[]): void => {
    groups.set(lay, [...(groups.get(lay) ?? []), ...items]);
  };
  const onCloth = ({ source }: CushionPlan, slot: ClothSlot): WantedLay | undefined => {
    const key = clothLayKey(clothUse(slot, job, source, shop), job.cloth);
    return lays.find((lay) => lay.key === key);
  };
  plans.forEach((plan, index) => {
    for (const cut of plan.cuts) {
      const count = recutCount(plan, cut);
      if (count === 0) continue;
      const { material, grain } = cut.piece;
      if (!isLaid(cut.piece) && material.kind === 'cloth') {
        // A part of a wide plate was cut out of seamed drops: anew it is cut by itself.
        const lay = onCloth(plan, material.slot);
        if (lay?.subject.kind !== 'cloth') continue;
        const { use } = lay.subject;
        const turns = turnsOn(clothFacts(use, job.units, shop), cut.piece, shop.cloth(use.material ?? '')?.hideMm !== undefined);
        add(lay, [itemOf(index, { ...cut, count, hash: `${cut.hash} ${count}` }, turns)]);
        continue;
      }
      if (grain !== 'bias') {
        for (const lay of lays) {
          const item = lay.request.items.find((one) => one.id === cutId(index, cut));
          if (item) add(lay, [{ item: { ...item, count }, hash: `${cut.hash} ${count}` }]);
        }
        continue;
      }
      const lay = material.kind === 'cloth' ? onCloth(plan, material.slot) : undefined;
      if (lay?.subject.kind !== 'cloth') continue;
      const { use } = lay.subject;
      add(lay, biasItems([{ ...cut, count }], use.bias ?? USUAL_BIAS, clothFacts(use, job.units, shop)));
    }
  });
  return groups;
}

/** The outlines of what a lay has cut from one sheet, or from its roll or hide. */
function cutFrom({ request: { items } }: PlannedLay, { placements }: LayAnswer, sheet: number): (readonly { x: number; y: number }[])[] {
  const polygons = new Map(items.map(({ id, polygon }) => [id, polygon]));
  return placements.filter((one) => one.sheet === sheet).map((one) => placed(polygons.get(one.item) ?? [], one));
}

/** What is there of a lay's roll or sheets once it is cut. Of a lay that breaks the rules nothing is cut. */
function leftOf(lay: PlannedLay, job: Job, shop: Shop): Ground[] {
  const { answer, request, key } = lay;
  if (!answer || request.material.kind === 'hide') return [];
  const { material } = request;
  const lengthMm = material.kind === 'sheet' ? material.lengthMm : (runThere(lay, job, shop)?.value ?? 0);
  const outline = [
    { x: 0, y: 0 },
    { x: lengthMm, y: 0 },
    { x: lengthMm, y: material.widthMm },
    { x: 0, y: material.widthMm },
  ];
  if (!(lengthMm > 0)) return [];
  return Array.from({ length: answer.sheets }, (_, sheet) => ({
    key: leftKey(key, sheet),
    of: key,
    remnant: null,
    material: { kind: 'hide', outline, flaws: [], taken: cutFrom(lay, answer, sheet) },
    content: [lay.hash, lengthMm, answer.placements],
  }));
}

/** What a job has of a lay's material: the remnants that it set aside, the smallest first, and what was bought. Null while that is not known. */
function groundsOf(job: Job, base: WantedLay, laid: readonly PlannedLay[], shop: Shop): Ground[] | null {
  const unknown = ({ answer, problems }: PlannedLay): boolean => !answer && problems.length === 0;
  const aside = new Set(job.remnants ?? []);
  const remnants = remnantsFor(base.subject, shop).filter(({ id }) => aside.has(id));
  const bought = laid.find(({ key }) => key === base.key);
  const before = remnants.map(({ id }) => laid.find(({ key }) => key === remnantKey(base.key, id)));
  if ([bought, ...before].some((lay) => lay && unknown(lay))) return null;
  const kept = remnants.map((remnant, i): Ground => {
    const [lay, of] = [before[i], remnantKey(base.key, remnant.id)];
    const taken = lay?.answer ? cutFrom(lay, lay.answer, 0) : [];
    const material = remnantMaterial(remnant);
    return {
      key: leftKey(of, 0),
      of,
      remnant: remnant.id,
      material: { ...material, taken },
      content: [material, lay?.hash ?? null, lay?.answer?.placements ?? []],
    };
  });
  return [...kept, ...(bought ? leftOf(bought, job, shop) : [])];
}

/** A job's cushions and lays when pieces are cut anew: the lays of its materials, and those as they are laid, remnants before the roll. */
interface CutBefore {
  readonly job: Job;
  readonly plans: readonly CushionPlan[];
  readonly lays: readonly WantedLay[];
  readonly laid: readonly WantedLay[];
  readonly shop: Shop;
}

/**
 * Lays pieces that have to be cut again on what is left once everything else is cut: first the remnants, then the roll and the sheets, between the pieces and beyond them. What
 * finds no place there is bought and laid by itself. Each lay depends on the answers before it (`solvedAs`); until those are known the last lay is held.
 * Pieces matched to a pattern are laid by themselves, because the distance from the roll's end to the next motif is unknown.
 */
export function recutLays({ job, plans, lays, laid, shop }: CutBefore, solvedAs: (lay: WantedLay) => PlannedLay): WantedLay[] {
  return [...recutItems(job, plans, lays, shop)].flatMap(([base, named]): WantedLay[] => {
    const bySelf = (items: readonly NamedItem[], held: boolean): WantedLay => ({
      ...wanted(job, { key: recutKey(base.key), subject: base.subject, material: base.request.material, gapMm: base.request.gapMm, named: items }),
      recutOf: base.key,
      held,
    });
    const grounds = groundsOf(job, base, laid.map(solvedAs), shop);
    if (!grounds) return [bySelf(named, true)];
    let rest = named;
    const before: WantedLay[] = [];
    for (const ground of grounds) {
      const here = rest.filter(({ item }) => !item.motif);
      if (here.length === 0) break;
      const items = here.map(({ item }) => item);
      const pins = pinsOn(job, ground.key, items);
      const content = here.map(({ item, hash }) => [item.id, item.count, hash]);
      const on: WantedLay = {
        ...base,
        key: ground.key,
        hash: hashText(JSON.stringify(['left', base.request.gapMm, ground.content, ground.key, pins, content])),
        request: { ...base.request, material: ground.material, items, pins, moves: movesFor(job, items, ground.material) },
        offPattern: [],
        recutOf: ground.of,
        remnant: ground.remnant,
      };
      before.push(on);
      const { answer, problems } = solvedAs(on);
      if (!answer && problems.length === 0) return [...before, bySelf(rest, true)];
      const found = new Map<string, number>();
      for (const { item } of answer?.placements ?? []) found.set(item, (found.get(item) ?? 0) + 1);
      rest = rest.flatMap((one) => {
        const count = one.item.count - (found.get(one.item.id) ?? 0);
        return count > 0 ? [{ hash: `${one.hash} ${count}`, item: { ...one.item, count } }] : [];
      });
    }
    return rest.length ? [...before, bySelf(rest, false)] : before;
  });
}
