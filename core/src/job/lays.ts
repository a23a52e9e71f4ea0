import { kerfOf } from '../build/foam';
import { biasBlocks, biasDepth } from '../cover/welt';
import { flatten, rectangleOutline } from '../geometry/outline';
import { hashText } from '../kernel/hash';
import type { Issue } from '../kernel/issue';
import type { LayAnswer, LayItem, LayMaterial, LayRequest, Turn } from '../lay/contract';
import { nominalThickness } from '../material/material';
import type { Piece } from '../piece/piece';
import type { Shop } from '../shop/shop';
import type { Job } from './document';
import { clothFacts, type CushionPlan, type Cut } from './plan-cushion';

/** Which material a lay is on. */
export type LaySubject =
  | { readonly kind: 'cloth' }
  | { readonly kind: 'foam'; readonly grade: string; readonly thicknessMm: number }
  | { readonly kind: 'wadding'; readonly loftMm: number; readonly material: string };

/** A lay that the plan needs, named by the content of its request. */
export interface WantedLay {
  readonly hash: string;
  readonly key: string;
  readonly subject: LaySubject;
  readonly request: LayRequest;
}

/** A lay of the plan: its request, and the checked answer once there is one. */
export interface PlannedLay extends WantedLay {
  readonly answer: LayAnswer | null;
  readonly problems: readonly Issue[];
}

/** Orders tried for one lay. */
const TRIES = 240;
const ALL_TURNS: readonly Turn[] = [0, 90, 180, 270];

/** An item of a lay with the name of its content, so that a lay is named without looking at every point. */
interface NamedItem {
  readonly item: LayItem;
  readonly hash: string;
}

function itemOf(index: number, cut: Cut, turns: readonly Turn[]): NamedItem {
  return { item: { id: `${index}/${cut.piece.id}`, polygon: cut.polygon, count: cut.count, turns }, hash: cut.hash };
}

function wanted(key: string, subject: LaySubject, material: LayMaterial, named: readonly NamedItem[]): WantedLay {
  const request: LayRequest = { format: 'yardland/lay-request@1', material, items: named.map(({ item }) => item), seed: 1, tries: TRIES };
  const content = named.map(({ item, hash }) => [item.id, item.turns, hash]);
  return { hash: hashText(JSON.stringify([request.format, material, request.seed, TRIES, content])), key, subject, request };
}

/** Bias blocks for all welts of the job, strips of like width together. */
function biasItems(plans: readonly CushionPlan[], usableMm: number, shopDepthMm: number): NamedItem[] {
  const strips = new Map<number, number>();
  for (const plan of plans)
    for (const piece of plan.pieces)
      if (piece.grain === 'bias')
        strips.set(piece.height.value, (strips.get(piece.height.value) ?? 0) + (piece.joins + 1) * piece.countPerCushion * plan.source.quantity);
  return [...strips].flatMap(([stripMm, count], group) => {
    const { depthMm, widthsMm } = biasBlocks(count, stripMm, biasDepth(shopDepthMm, usableMm), usableMm);
    return widthsMm.map((widthMm, i): NamedItem => ({
      item: { id: `bias/${group + 1}.${i + 1}`, polygon: flatten(rectangleOutline(widthMm, depthMm)), count: 1, turns: [0, 90] },
      hash: `${widthMm} ${depthMm}`,
    }));
  });
}

function clothLay(job: Job, plans: readonly CushionPlan[], shop: Shop): WantedLay | null {
  const facts = clothFacts(job, shop);
  const base: Turn = job.cloth.railroaded ? 90 : 0;
  const turnsFrom = (turn: Turn): Turn[] => (facts.oneWay ? [turn] : [turn, ((turn + 180) % 360) as Turn]);
  const items = plans.flatMap((plan, index) =>
    plan.cuts
      .filter(({ piece }) => piece.material === 'cover' && piece.grain !== 'bias')
      .map((cut) => {
        const strip = ['boxing', 'side-panel', 'plaque'].includes(cut.piece.role);
        const alongRoll = strip && plan.source.construction.strips === 'along' && base === 0;
        return itemOf(index, cut, turnsFrom(alongRoll ? 90 : base));
      }),
  );
  const all = [...items, ...biasItems(plans, facts.usableMm, shop.assume('biasDepthMm', job.units))];
  return all.length ? wanted('cloth', { kind: 'cloth' }, { kind: 'roll', widthMm: facts.usableMm, gapMm: shop.assume('clothGapMm', job.units) }, all) : null;
}

/** Pieces of one kind grouped by what they are cut from. */
function grouped(plans: readonly CushionPlan[], keyOf: (piece: Piece, plan: CushionPlan) => string | null): Map<string, NamedItem[]> {
  const groups = new Map<string, NamedItem[]>();
  plans.forEach((plan, index) => {
    for (const cut of plan.cuts) {
      const key = keyOf(cut.piece, plan);
      if (key === null) continue;
      const group = groups.get(key) ?? [];
      group.push(itemOf(index, cut, ALL_TURNS));
      groups.set(key, group);
    }
  });
  return groups;
}

/** One lay for each foam and sheet: an inch sheet and its metric twin are one. */
function foamLays(job: Job, plans: readonly CushionPlan[], shop: Shop): WantedLay[] {
  const groups = grouped(plans, ({ material, grade, thicknessMm }) => {
    const stock = material === 'foam' ? shop.grade(grade ?? '') : undefined;
    return stock ? `${stock.id} ${nominalThickness(stock, thicknessMm ?? 0)}` : null;
  });
  return [...groups].flatMap(([key, items]) => {
    const [gradeId = '', thickness = ''] = key.split(' ');
    const grade = shop.grade(gradeId);
    if (!grade) return [];
    const trim = 2 * shop.assume('sheetTrimMm', job.units);
    const material: LayMaterial = {
      kind: 'sheet',
      widthMm: grade.sheet.widthMm - trim,
      lengthMm: grade.sheet.lengthMm - trim,
      gapMm: Math.max(
        ...plans
          .filter((plan) => plan.pieces.some((piece) => piece.grade === gradeId))
          .map((plan) => kerfOf(plan.source.core.tool, (key) => shop.assume(key, job.units))),
      ),
    };
    return [wanted(`foam-${gradeId}-${thickness}`, { kind: 'foam', grade: gradeId, thicknessMm: Number(thickness) }, material, items)];
  });
}

/** One lay for each roll of wadding, whatever lofts were asked of it. */
function waddingLays(job: Job, plans: readonly CushionPlan[], shop: Shop): WantedLay[] {
  const rollOf = (piece: Piece, plan: CushionPlan) => shop.waddingNear(piece.thicknessMm ?? plan.wrap?.value ?? 0, plan.source.seat?.place === 'outdoor');
  const groups = grouped(plans, (piece, plan) => (piece.material === 'wadding' ? (rollOf(piece, plan)?.id ?? null) : null));
  return [...groups].flatMap(([id, items]) => {
    const wadding = shop.document.waddings.find((one) => one.id === id);
    if (!wadding) return [];
    const material: LayMaterial = { kind: 'roll', widthMm: wadding.rollWidthMm, gapMm: shop.assume('clothGapMm', job.units) };
    return [wanted(`wadding-${id}`, { kind: 'wadding', loftMm: wadding.loftMm, material: id }, material, items)];
  });
}

/** The lays a job needs: one on its cloth, one on each foam and thickness, one on each wadding. */
export function laysOf(job: Job, plans: readonly CushionPlan[], shop: Shop): WantedLay[] {
  const cloth = clothLay(job, plans, shop);
  return [...(cloth ? [cloth] : []), ...foamLays(job, plans, shop), ...waddingLays(job, plans, shop)];
}
