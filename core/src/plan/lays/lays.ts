import { itemId } from '../../piece/item-ref';
import { kerfOf } from '../../allowance/tools';
import type { ClothFacts } from '../../cover/contract';
import { biasBlocks, USUAL_BIAS, type BiasWay } from '../../cover/welt/bias';
import { CLOTH_SLOTS, type ClothSlot } from '../../piece/material-ref';
import { bounds } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { hashText } from '../../kernel/hash';
import { fitsPattern } from '../../lay/pattern';
import { isSawn, turnedBy, type LayItem, type LayMaterial, type LayPattern, type LayRequest } from '../../lay/contract';
import { nominalThickness } from '../../material/material';
import { motifsOf } from '../../piece/motifs';
import { isLaid, type Piece } from '../../piece/piece';
import type { Shop } from '../../shop/shop';
import { clothFacts, clothName, clothUse, UNNAMED_CLOTH } from '../cloths';
import type { ClothUse, Job } from '../../job/document';
import type { CushionPlan, Cut } from '../cushion/cushion-plan';
import { clothLayKey, type LaySubject, type WantedLay } from './planned-lay';
import { rollsOf } from '../cushion/wrap';
import { seatMiddle } from '../../job/split';

/** Places looked for in one lay: so many for each piece, within limits. */
interface Moves {
  readonly aPiece: number;
  readonly most: number;
}
const MOVES_LEAST = 200;
const MOVES: Moves = { aPiece: 150, most: 6_000 };
/** On a roll a place is found in a third of the time that it takes on sheets and hides. */
const ROLL_MOVES: Moves = { aPiece: 400, most: 16_000 };
/** So many times as many where the job asks for it: the last few parts in a hundred take their time. */
const THOROUGH = 10;
/** Searches of one lay that begin differently: which one comes out better is chance, and a machine has more than one core. */
const SEEDS = 2;

/** On foam and wadding every quarter turn is as good as another. */
const ALL_TURNS: readonly number[] = [0, 90, 180, 270];

/** An item of a lay with the name of its content, so that a lay is named without looking at every point. */
export interface NamedItem {
  readonly item: LayItem;
  readonly hash: string;
}

/** Pieces are drawn with the roll running up; a lay runs along x. */
const alongX = (polygon: readonly Point[]): Point[] => turnedBy(polygon, -90);

/** The name of a cut in a lay: copies that are cut turned over are an item of their own. */
export const cutId = (cushion: number, { piece, turned }: Cut): string => itemId({ kind: 'piece', cushion, piece: piece.id, ...(turned ? { turned } : {}) });

export function itemOf(index: number, cut: Cut, turns: readonly number[], motif?: Point): NamedItem {
  const good = cut.piece.material.kind === 'cloth' && cut.piece.face === 'visible';
  const item = {
    id: cutId(index, cut),
    polygon: alongX(cut.polygon),
    count: cut.count,
    turns,
    ...(motif ? { motif } : {}),
    ...(good ? { good: true as const } : {}),
  };
  return { item, hash: cut.hash };
}

/** How many places are looked for in a lay of these items. */
export function movesFor({ lays }: Job, items: readonly LayItem[], material: LayMaterial): number {
  const pieces = items.reduce((sum, { count }) => sum + count, 0);
  const { aPiece, most } = material.kind === 'roll' ? ROLL_MOVES : MOVES;
  return (lays === 'thorough' ? THOROUGH : 1) * Math.min(most, Math.max(MOVES_LEAST, aPiece * pieces));
}

/** The pieces that a person has pinned on a lay. */
export function pinsOn({ pins = [] }: Job, key: string, items: readonly LayItem[]): LayRequest['pins'] {
  return pins.filter(({ lay, item }) => lay === key && items.some(({ id }) => id === item)).map(({ lay: _lay, ...pin }) => pin);
}

/** What is to be laid on what. */
interface Laying {
  /** The lay's name within the job. */
  readonly key: string;
  readonly subject: LaySubject;
  readonly material: LayMaterial;
  readonly gapMm: number;
  readonly named: readonly NamedItem[];
  /** Cushions whose pieces find no place on the pattern. */
  readonly offPattern?: readonly number[];
}

/** The question of one lay, as an engine is asked it, named by its content. */
export function wanted(job: Job, { key, subject, material, gapMm, named, offPattern = [] }: Laying): WantedLay {
  const items = named.map(({ item }) => item);
  const request: LayRequest = {
    format: 'yardland/lay-request@2',
    material,
    gapMm,
    items,
    pins: isSawn(material) ? [] : pinsOn(job, key, items),
    seed: 1,
    seeds: SEEDS,
    moves: movesFor(job, items, material),
  };
  const content = named.map(({ item, hash }) => [item.id, item.turns, hash, ...(item.motif ? [item.motif] : [])]);
  return {
    hash: hashText(JSON.stringify([request.format, material, gapMm, request.seed, request.seeds, request.moves, request.pins, content])),
    key,
    subject,
    request,
    offPattern,
    recutOf: null,
    remnant: null,
    held: false,
  };
}

/** Cloth for all bias strips of one cloth, strips of like width together. */
export function biasItems(bias: readonly Cut[], way: BiasWay, { usableMm, biasDepthMm }: ClothFacts): NamedItem[] {
  const strips = new Map<number, number>();
  for (const { piece, count } of bias) strips.set(piece.height.value, (strips.get(piece.height.value) ?? 0) + (piece.joins + 1) * count);
  return [...strips].flatMap(([stripMm, count], group) =>
    biasBlocks(way, count, stripMm, biasDepthMm, usableMm).map(({ polygon, strips: held, turns }, i): NamedItem => ({
      item: { id: itemId({ kind: 'bias', group: group + 1, block: i + 1 }), polygon: alongX(polygon), count: 1, turns },
      hash: `${way} ${held} ${stripMm} ${biasDepthMm}`,
    })),
  );
}

/** The pattern of a cloth that is to be matched, as it lies between the selvedges; null where there is none. */
export function patternFor({ material, unmatched }: ClothUse, shop: Shop): LayPattern | null {
  const pattern = material === undefined || unmatched ? undefined : shop.cloth(material)?.pattern;
  if (!pattern) return null;
  const { alongMm, acrossMm, halfDrop = false, motifMm = acrossMm / 2 } = pattern;
  return { alongMm, acrossMm, halfDrop, motifAcrossMm: motifMm };
}

interface OnCloth {
  readonly use: ClothUse;
  readonly slots: Set<ClothSlot>;
  readonly items: NamedItem[];
  readonly bias: Cut[];
  readonly offPattern: number[];
}

/** Leather may be turned a little from the hide's length: a piece's stretch changes slowly. */
const HIDE_TURNS: readonly number[] = [0, 180, 10, 190, 350, 170];

/** The turns that a piece may have on a roll of cloth, or on a hide. */
export function turnsOn({ railroaded, oneWay }: ClothFacts, { grain, alongRoll }: Piece, hide: boolean): readonly number[] {
  if (grain === 'any') return ALL_TURNS;
  if (hide) return HIDE_TURNS;
  const turn = railroaded || alongRoll ? 90 : 0;
  return oneWay ? [turn] : [turn, turn + 180];
}

/** The pieces of cloth by the cloth they are cut from: slots of one cloth are laid together, each other cloth by itself. */
function byCloth(job: Job, plans: readonly CushionPlan[], shop: Shop): Map<string, OnCloth> {
  const cloths = new Map<string, OnCloth>();
  plans.forEach((plan, index) => {
    let motifs: ReadonlyMap<string, Point> | null = null;
    const here = new Map<OnCloth, NamedItem[]>();
    for (const cut of plan.cuts) {
      const { material, grain } = cut.piece;
      if (material.kind !== 'cloth' || !isLaid(cut.piece)) continue;
      const use = clothUse(material.slot, job, plan.source, shop);
      const name = clothName(use);
      const cloth = cloths.get(name) ?? { use, slots: new Set<ClothSlot>(), items: [], bias: [], offPattern: [] };
      cloths.set(name, cloth);
      cloth.slots.add(material.slot);
      if (grain === 'bias') {
        cloth.bias.push(cut);
        continue;
      }
      const pattern = patternFor(use, shop);
      if (pattern) motifs ??= motifsOf(plan.pieces, plan.cover?.seams ?? [], seatMiddle(plan.source), pattern);
      const drawn = pattern && !plan.source.unmatchedPieces?.includes(cut.piece.id) ? motifs?.get(cut.piece.id) : undefined;
      const at = drawn && cut.turned ? { x: cutMiddle(cut) * 2 - drawn.x, y: drawn.y } : drawn;
      const [motif] = at ? alongX([at]) : [];
      const items = here.get(cloth) ?? [];
      here.set(cloth, items);
      items.push(itemOf(index, cut, turnsOn(clothFacts(use, job.units, shop), cut.piece, shop.cloth(use.material ?? '')?.hideMm !== undefined), motif));
    }
    for (const [cloth, items] of here) {
      const roll = rollOf(cloth.use, job, shop);
      const matched = items.every(({ item }) => fitsPattern(item, roll));
      if (!matched) cloth.offPattern.push(index);
      cloth.items.push(...(matched ? items : items.map(withoutMotif)));
    }
  });
  return cloths;
}

/** The upright line that a piece is turned over about, x. */
function cutMiddle({ polygon }: Cut): number {
  const { minX, maxX } = bounds(polygon);
  return (minX + maxX) / 2;
}

const withoutMotif = ({ item: { motif: _motif, ...item }, hash }: NamedItem): NamedItem => ({ item, hash });

/** A cloth as it lies between its selvedges; of leather that is still to be bought, what is usable of a hide. */
function rollOf(use: ClothUse, job: Job, shop: Shop): LayMaterial {
  const pattern = patternFor(use, shop);
  const hideMm = shop.cloth(use.material ?? '')?.hideMm;
  if (hideMm !== undefined) return { kind: 'sheet', widthMm: clothFacts(use, job.units, shop).usableMm, lengthMm: hideMm };
  return { kind: 'roll', widthMm: clothFacts(use, job.units, shop).usableMm, ...(pattern ? { pattern } : {}) };
}

/** One lay for each cloth; the main one first, under the name it has always had. */
function clothLays(job: Job, plans: readonly CushionPlan[], shop: Shop): WantedLay[] {
  const main = clothName(job.cloth);
  const cloths = [...byCloth(job, plans, shop)].sort(([a], [b]) => Number(b === main) - Number(a === main));
  return cloths.map(([, { use, slots, items, bias, offPattern }]) => {
    const facts = clothFacts(use, job.units, shop);
    const all = [...items, ...biasItems(bias, use.bias ?? USUAL_BIAS, facts)];
    const subject: LaySubject = {
      kind: 'cloth',
      name: facts.name ?? UNNAMED_CLOTH,
      slots: CLOTH_SLOTS.filter((slot) => slots.has(slot)),
      use,
      ownLengthMm: use.ownLengthMm ?? null,
    };
    const gapMm = shop.assume('clothGapMm', job.units);
    return wanted(job, { key: clothLayKey(use, job.cloth), subject, material: rollOf(use, job, shop), gapMm, named: all, offPattern });
  });
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
  const groups = grouped(plans, ({ material }) => {
    const stock = material.kind === 'foam' ? shop.grade(material.grade) : undefined;
    return stock && material.kind === 'foam' ? `${stock.id} ${nominalThickness(stock, material.thicknessMm)}` : null;
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
      ...(job.foamCuts ? { cuts: job.foamCuts } : {}),
    };
    const kerfMm = Math.max(
      ...plans
        .filter((plan) => plan.pieces.some(({ material }) => material.kind === 'foam' && material.grade === gradeId))
        .map((plan) => kerfOf(grade.family === 'slab' ? 'knife' : plan.source.core.tool, (key) => shop.assume(key, job.units))),
    );
    const subject: LaySubject = { kind: 'foam', grade: gradeId, thicknessMm: Number(thickness) };
    return [wanted(job, { key: `foam-${gradeId}-${thickness}`, subject, material, gapMm: kerfMm, named: items })];
  });
}

/** One lay for each roll of wadding, whatever lofts were asked of it. */
function waddingLays(job: Job, plans: readonly CushionPlan[], shop: Shop): WantedLay[] {
  const groups = grouped(plans, ({ material }, { source }) =>
    material.kind === 'wadding' ? (shop.waddingNear(material.loftMm, rollsOf(source, job))?.id ?? null) : null,
  );
  return [...groups].flatMap(([id, items]) => {
    const wadding = shop.document.waddings.find((one) => one.id === id);
    if (!wadding) return [];
    const material: LayMaterial = { kind: 'roll', widthMm: wadding.rollWidthMm };
    const subject: LaySubject = { kind: 'wadding', loftMm: wadding.loftMm, material: id };
    return [wanted(job, { key: `wadding-${id}`, subject, material, gapMm: shop.assume('clothGapMm', job.units), named: items })];
  });
}

/** The lays a job needs: one on each cloth, one on each foam and thickness, one on each wadding. What was wrong and is cut anew is laid besides. */
export function laysOf(job: Job, plans: readonly CushionPlan[], shop: Shop): WantedLay[] {
  return [...clothLays(job, plans, shop), ...foamLays(job, plans, shop), ...waddingLays(job, plans, shop)];
}
