import { bounds } from '../geometry/outline';
import { overlapArea } from '../geometry/overlap';
import type { Point } from '../geometry/point';
import { polygonArea, polygonGap } from '../geometry/polygon';
import { issue, type Issue } from '../kernel/issue';
import { edgeCuts } from './edge-to-edge';
import { fitsPattern, knownPhase, offPattern, ON_PATTERN_MM, patternOf, phaseOf, turnedMotif } from './pattern';
import { boxOf, isSawn, placed, type LayAnswer, type LayItem, type LayMaterial, type LayRequest, type Placement } from './contract';

/** Pieces may come nearer than the gap by this, mm: double-precision noise, not a rule. */
const NOISE_MM = 1e-3;
/** Where there is no gap, pieces touch; they may share so much, mm². */
const NOISE_MM2 = 0.01;

interface Laid {
  readonly label: string;
  readonly sheet: number;
  readonly polygon: readonly Point[];
  /** It was there before: it is not checked against others that were. */
  readonly before?: true;
}

/**
 * Checks a lay against its request, knowing nothing of how it was made: every piece there once, in an allowed turn, inside the material, clear of every
 * other and of the flaws, and the pinned ones where they were put. An empty list means the lay can be cut.
 */
export function validateLay(request: LayRequest, answer: LayAnswer): Issue[] {
  const problems: Issue[] = [];
  const { material } = request;
  const items = new Map(request.items.map((item) => [item.id, item]));
  const seen = new Set<string>();
  const laid = cutAlready(material);
  const box = boxOf(material);
  if (material.kind === 'roll') box.maxX = answer.lengthMm;

  for (const placement of answer.placements) {
    const label = `${placement.item} ${placement.copy + 1}`;
    const item = items.get(placement.item);
    if (!item) {
      problems.push(issue('error', 'lay-unknown-piece', '', { piece: label }));
      continue;
    }
    if (seen.has(label) || placement.copy < 0 || placement.copy >= item.count) problems.push(issue('error', 'lay-piece-twice', '', { piece: label }));
    seen.add(label);
    if (!item.turns.includes(placement.turn)) problems.push(issue('error', 'lay-turn-not-allowed', '', { piece: label, turn: placement.turn }));
    const polygon = placed(item.polygon, placement);
    const outside = outsideBy(polygon, material, box, item.good);
    if (outside > NOISE_MM || placement.sheet < 0 || placement.sheet >= answer.sheets)
      problems.push(issue('error', 'lay-outside', '', { piece: label, byMm: outside }));
    laid.push({ label, sheet: placement.sheet, polygon });
  }

  for (const item of request.items) {
    const without = answer.unplaced.filter((id) => id === item.id).length;
    const there = Array.from({ length: item.count }, (_, copy) => `${item.id} ${copy + 1}`).filter((label) => seen.has(label)).length;
    if (there + without < item.count) problems.push(issue('error', 'lay-piece-missing', '', { piece: item.id }));
    // Left out is only what fits on nothing: an item that would go in by itself was dropped. A hide may be full.
    if (without && material.kind !== 'hide' && fitsAlone(item, material) && fitsPattern(item, material))
      problems.push(issue('error', 'lay-left-out', '', { piece: item.id }));
  }
  for (const pin of legalPins(request)) {
    const found = answer.placements.find(({ item, copy }) => item === pin.item && copy === pin.copy);
    const off = found ? Math.max(Math.abs(found.x - pin.x), Math.abs(found.y - pin.y)) : 0;
    if (found && (off > NOISE_MM || found.turn !== pin.turn || found.sheet !== pin.sheet))
      problems.push(issue('error', 'lay-pin-moved', '', { piece: `${pin.item} ${pin.copy + 1}` }));
  }
  if (isSawn(material) && !edgeCuts(request, answer)) problems.push(issue('error', 'lay-not-edge-to-edge', '', {}));
  problems.push(...notMatched(request, answer), ...tooNear(laid, request.gapMm));
  return problems;
}

/** Pieces that are cut from a hide already: others keep the gap to them as to each other. */
const cutAlready = (material: LayMaterial): Laid[] =>
  material.kind === 'hide' ? (material.taken ?? []).map((polygon, i) => ({ label: `cut already ${i + 1}`, sheet: 0, polygon, before: true })) : [];

/** Pieces whose motif is not where the cloth has one. */
function notMatched({ material, items }: LayRequest, { placements, patternAtMm = 0 }: LayAnswer): Issue[] {
  const pattern = patternOf(material);
  if (!pattern) return [];
  const phaseMm = knownPhase(material) ?? patternAtMm;
  return placements.flatMap(({ item, copy, turn, x, y }) => {
    const motif = turnedMotif(items.find(({ id }) => id === item) ?? {}, turn);
    const offMm = motif ? offPattern(pattern, phaseMm, { x: x + motif.x, y: y + motif.y }) : 0;
    return offMm > ON_PATTERN_MM ? [issue('error', 'lay-off-pattern', '', { piece: `${item} ${copy + 1}`, byMm: offMm })] : [];
  });
}

/** The pins that count beyond doubt: in a turn their piece may have, inside the material, clear of the pins before them by a little more than they must be. */
function legalPins({ items, pins, material, gapMm }: LayRequest): Placement[] {
  const held = cutAlready(material);
  const pattern = patternOf(material);
  let phaseMm: number | null = knownPhase(material);
  return pins.filter((pin) => {
    const item = items.find(({ id }) => id === pin.item);
    if (!item?.turns.includes(pin.turn) || pin.copy >= item.count) return false;
    const laid: Laid = { label: `${pin.item} ${pin.copy + 1}`, sheet: pin.sheet, polygon: placed(item.polygon, pin) };
    const again = held.some(({ label }) => label === laid.label);
    if (again || outsideBy(laid.polygon, material, boxOf(material), item.good) > 0 || tooNear([...held, laid], gapMm + 2 * NOISE_MM).length) return false;
    const motif = turnedMotif(item, pin.turn);
    if (pattern && motif) {
      phaseMm ??= phaseOf({ material, items }, [pin]) ?? 0;
      if (offPattern(pattern, phaseMm, { x: pin.x + motif.x, y: pin.y + motif.y }) > ON_PATTERN_MM / 2) return false;
    }
    held.push(laid);
    return true;
  });
}

/** How far a piece reaches beyond the material's box, mm; on a hide also the side of what lies off it, on a flaw or, of a piece that is seen, on a soft part, as a square. */
function outsideBy(polygon: readonly Point[], material: LayMaterial, box: ReturnType<typeof boxOf>, seen = false): number {
  const own = bounds(polygon);
  const beyond = Math.max(box.minX - own.minX, box.minY - own.minY, own.maxX - box.maxX, own.maxY - box.maxY);
  if (material.kind !== 'hide') return beyond;
  const off = Math.abs(polygonArea(polygon)) - overlapArea(polygon, material.outline);
  const spoilt = seen ? [...material.flaws, ...(material.soft ?? [])] : material.flaws;
  const flawed = spoilt.reduce((sum, flaw) => sum + overlapArea(polygon, flaw), 0);
  const lost = Math.max(0, off) + flawed;
  return Math.max(beyond, lost > NOISE_MM2 ? Math.sqrt(lost) : 0);
}

/** Whether one copy of an item lies inside a roll or sheet in any allowed turn. */
function fitsAlone({ polygon, turns }: LayItem, material: LayMaterial): boolean {
  const whole = boxOf(material);
  return turns.some((turn) => {
    const own = bounds(placed(polygon, { turn, x: 0, y: 0 }));
    return own.maxY - own.minY <= whole.maxY - whole.minY && own.maxX - own.minX <= whole.maxX - whole.minX;
  });
}

/** Pairs nearer than the gap. Swept along the material, so that only pieces whose boxes come near are measured. */
function tooNear(laid: readonly Laid[], gapMm: number): Issue[] {
  const problems: Issue[] = [];
  const least = gapMm - NOISE_MM;
  const sorted = laid.map((one) => ({ ...one, box: bounds(one.polygon) })).sort((a, b) => a.sheet - b.sheet || a.box.minX - b.box.minX);
  let open: typeof sorted = [];
  for (const b of sorted) {
    open = open.filter((a) => a.sheet === b.sheet && a.box.maxX + gapMm > b.box.minX);
    for (const a of open) {
      if ((a.before && b.before) || a.box.minY - b.box.maxY >= gapMm || b.box.minY - a.box.maxY >= gapMm) continue;
      if (gapMm > NOISE_MM) {
        const gap = polygonGap(a.polygon, b.polygon);
        if (gap < least) problems.push(issue('error', 'lay-too-near', '', { piece: a.label, other: b.label, gapMm: gap }));
      } else {
        const sharedMm2 = overlapArea(a.polygon, b.polygon);
        if (sharedMm2 > NOISE_MM2) problems.push(issue('error', 'lay-overlap', '', { piece: a.label, other: b.label, sharedMm2 }));
      }
    }
    open.push(b);
  }
  return problems;
}
