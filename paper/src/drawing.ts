import {
  flatten,
  isNotch,
  numberedApart,
  numberedStaples,
  outlineBounds,
  sectionOf,
  stitchesFor,
  towards,
  type Hand,
  type Piece,
  type Planned,
  type RollPlan,
  type Point,
  type SayIn,
  type Section,
  type SectionMatter,
  type Shop,
  type StaplePlan,
  formatLength,
  formatLengthUnit,
} from '@yardland/core';
import type { Sheet } from './sheet';

export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

function dimension(sheet: Sheet, from: Point, to: Point, text: string): void {
  sheet.stroke(from, to);
  const upright = Math.abs(to.x - from.x) < 1;
  for (const end of [from, to])
    sheet.stroke({ x: end.x - (upright ? 3 : 0), y: end.y - (upright ? 0 : 3) }, { x: end.x + (upright ? 3 : 0), y: end.y + (upright ? 0 : 3) });
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  if (upright) sheet.line(text, middle.x + 6, middle.y - 6, { size: 11, face: 'bold' });
  else sheet.line(text, middle.x, middle.y + 3, { size: 11, face: 'bold', align: 'center' });
}

/** The piece that shows a cushion from above: the largest of its visible cloth. */
export function planPiece(one: Planned): Piece | null {
  const size = ({ width, height }: Piece): number => width.value * height.value;
  const plates = one.cover.pieces.filter(({ role, sewn }) => sewn && (role === 'plate' || role === 'end' || role === 'channel'));
  return [...plates].sort((a, b) => size(b) - size(a))[0] ?? null;
}

/** A piece from above: cut line solid, sewing line dashed and measured, notches as ticks, the grain as an arrow; front at the bottom. */
export function drawPlan(sheet: Sheet, piece: Piece, frame: Frame, { units, step }: SayIn): void {
  const cut = outlineBounds(piece.outline);
  const sewn = outlineBounds(piece.sewn ?? piece.outline);
  const seam = Math.max(0, sewn.minX - cut.minX);
  const [roomX, roomY] = [54, 30];
  const scale = Math.min((frame.width - roomX) / (cut.maxX - cut.minX), (frame.height - roomY) / (cut.maxY - cut.minY));
  const paper = (p: Point): Point => ({ x: frame.x + 4 + (p.x - cut.minX) * scale, y: frame.y + 4 + (cut.maxY - p.y) * scale });
  sheet.shape(
    flatten(piece.outline).map(paper),
    { width: 1.2 },
    (piece.holes ?? []).map((hole) => flatten(hole).map(paper)),
  );
  if (piece.sewn) sheet.shape(flatten(piece.sewn).map(paper), { width: 0.8, dash: [4, 2.5] });
  for (const mark of piece.marks.filter((one) => !isNotch(one))) {
    const { x, y } = paper(mark.at);
    const arm = mark.kind === 'roll' ? 0.8 : 2.5;
    sheet.stroke({ x: x - arm, y }, { x: x + arm, y }, 0.7);
    sheet.stroke({ x, y: y - arm }, { x, y: y + arm }, 0.7);
  }
  for (const mark of piece.marks.filter(isNotch))
    sheet.stroke(paper({ x: mark.at.x + mark.outward.x * seam, y: mark.at.y + mark.outward.y * seam }), paper(mark.at), 1);
  const at = (x: number, y: number): Point => paper({ x: sewn.minX + (sewn.maxX - sewn.minX) * x, y: sewn.minY + (sewn.maxY - sewn.minY) * y });
  if (piece.grain === 'with-the-roll') {
    const arrow = [at(0.5, 0.32), at(0.5, 0.7)] as const;
    sheet.stroke(arrow[0], arrow[1], 0.8);
    sheet.stroke(arrow[1], { x: arrow[1].x - 3, y: arrow[1].y + 6 }, 0.8);
    sheet.stroke(arrow[1], { x: arrow[1].x + 3, y: arrow[1].y + 6 }, 0.8);
    sheet.line('grain', arrow[1].x + 6, (arrow[0].y + arrow[1].y) / 2 - 4, { size: 8, grey: 60 });
  }
  const foot = paper({ x: 0, y: cut.minY }).y + 8;
  dimension(sheet, { x: at(0, 0).x, y: foot }, { x: at(1, 0).x, y: foot }, formatLength(sewn.maxX - sewn.minX, units, step));
  const side = paper({ x: cut.maxX, y: 0 }).x + 8;
  dimension(sheet, { x: side, y: at(0, 1).y }, { x: side, y: at(0, 0).y }, formatLength(sewn.maxY - sewn.minY, units, step));
  sheet.line('front', (at(0, 0).x + at(1, 0).x) / 2, at(0, 0).y - 12, { size: 8, grey: 60, align: 'center' });
}

/** Numbers of staples stand this far apart on paper. */
const NUMBERS_APART = 16;

/** The staples of a plan in a frame, with their numbers as far as there is room for them; seen from below, the front at the foot. */
export function drawStaplePlan(sheet: Sheet, plan: StaplePlan, frame: Frame): { readonly scale: number; readonly paper: (p: Point) => Point } {
  const box = outlineBounds(plan.edge);
  const scale = Math.min(frame.width / (box.maxX - box.minX), frame.height / (box.maxY - box.minY));
  const paper = (p: Point): Point => ({ x: frame.x + (box.maxX - p.x) * scale, y: frame.y + (box.maxY - p.y) * scale });
  sheet.shape(flatten(plan.edge).map(paper), { width: 1.2 });
  sheet.shape(flatten(plan.line).map(paper), { width: 0.5, dash: [4, 2.5] });
  for (const { at, corner } of plan.staples) {
    const { x, y } = paper(at);
    sheet.stroke({ x: x - 1.2, y }, { x: x + 1.2, y }, corner ? 2.4 : 1.2);
  }
  const middle = paper({ x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 });
  for (const { at, order } of numberedStaples(plan, NUMBERS_APART / scale)) {
    const inside = towards(paper(at), middle, 10);
    sheet.line(String(order), inside.x, inside.y - 4, { size: 8, face: 'bold', align: 'center' });
  }
  return { scale, paper };
}

/** Where a cover is stapled and in which order, seen from below with the front at the foot. Returns the y below. */
export function drawStaples(sheet: Sheet, plan: StaplePlan, frame: Frame, inWords: SayIn): number {
  const box = outlineBounds(plan.edge);
  const { paper } = drawStaplePlan(sheet, plan, { x: frame.x + 8, y: frame.y + 4, width: frame.width, height: frame.height - 14 });
  const middle = paper({ x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 });
  for (const { at, count } of plan.pleats) {
    const p = paper(at);
    sheet.line(`${count} small ${count === 1 ? 'pleat' : 'pleats'}`, (p.x + middle.x) / 2, (p.y * 2 + middle.y) / 3, { size: 8, align: 'center' });
  }
  sheet.line(
    `line ${formatLengthUnit(plan.inMm, inWords.units, inWords.step)} from the edge, ${plan.staples.length} staples, corners last`,
    middle.x,
    middle.y - 4,
    {
      size: 8,
      grey: 60,
      align: 'center',
    },
  );
  const bottom = paper({ x: box.minX, y: box.minY }).y + 4;
  sheet.line('Stapling, seen from below, the front at the foot', frame.x + 8, bottom, { size: 8, grey: 80 });
  return bottom + 12;
}

/** Numbers of a roll's stitches stand this far apart on paper. */
const STITCH_NUMBERS_APART = 26;

/** A rolled edge from above: its stitches numbered in the order of a hand, its sides with their turns; the tufts as small circles. */
export function drawRoll(sheet: Sheet, plan: RollPlan, hand: Hand, frame: Frame): void {
  const box = outlineBounds(plan.edge);
  const scale = Math.min((frame.width - 8) / (box.maxX - box.minX), (frame.height - 8) / (box.maxY - box.minY));
  const left = frame.x + (frame.width - (box.maxX - box.minX) * scale) / 2;
  const paper = (p: Point): Point => ({ x: left + (p.x - box.minX) * scale, y: frame.y + 4 + (box.maxY - p.y) * scale });
  const middle = paper({ x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 });
  const inwards = (p: Point, points: number): Point => towards(p, middle, points);
  sheet.shape(flatten(plan.edge).map(paper), { width: 1.2 });
  for (const at of plan.tufts) {
    const { x, y } = paper(at);
    sheet.stroke({ x: x - 2.5, y }, { x: x + 2.5, y }, 0.7);
    sheet.stroke({ x, y: y - 2.5 }, { x, y: y + 2.5 }, 0.7);
  }
  const sides = stitchesFor(plan, hand);
  for (const { at, order } of numberedApart(
    sides.flatMap(({ stitches }) => stitches),
    STITCH_NUMBERS_APART / scale,
  )) {
    const p = inwards(paper(at), 9);
    sheet.line(String(order), p.x, p.y - 3.5, { size: 6.5, align: 'center' });
  }
  sides.forEach(({ words, stitches }, i) => {
    for (const { at } of stitches) {
      const { x, y } = paper(at);
      sheet.stroke({ x: x - 0.8, y }, { x: x + 0.8, y }, 1.6);
    }
    const between = stitches[Math.floor(stitches.length / 2)];
    if (!between) return;
    const p = inwards(paper(between.at), 21);
    sheet.line(`${i + 1} ${words}`, p.x, p.y - 4, { size: 8, face: 'bold', align: 'center' });
  });
}

const FILLS: Record<SectionMatter, string> = {
  wrap: '#e4e4e4',
  foam: '#ffffff',
  'foam-alt': '#f4f4f4',
  spring: '#d8d8d8',
  feather: '#ececec',
  felt: '#c8c8c8',
  pads: '#d2d2d2',
  cover: '',
  welt: '#ffffff',
  board: '#9a9a9a',
};

/** The bodies of a section, each placed on the paper by `paper`. */
export function sectionAreas(sheet: Sheet, { areas }: Pick<Section, 'areas'>, paper: (p: Point) => Point): void {
  for (const area of areas) {
    const fill = FILLS[area.matter];
    sheet.shape(area.points.map(paper), { width: area.matter === 'cover' ? 1.2 : 0.5, ...(fill ? { fill } : {}) });
  }
}

/** The section as the screen shows it: cover, wrap, layers, pads and crown, to one scale both ways, with its words beside it. Returns the y below. */
export function drawSection(sheet: Sheet, one: Planned, frame: Frame, shop: Shop, inWords: SayIn): number {
  const section = sectionOf(one, shop, inWords);
  const words = 128;
  const tall = section.heightMm + section.overMm + section.underMm;
  const scale = Math.min((frame.width - words) / section.widthMm, (frame.height - 14) / Math.max(tall, 1));
  const zero = frame.y + 2 + (section.heightMm + section.overMm) * scale;
  const paper = (p: Point): Point => ({ x: frame.x + 8 + p.x * scale, y: zero - p.y * scale });
  sectionAreas(sheet, section, paper);
  // Words one under the other, each with a line to what it is about.
  const right = frame.x + 8 + section.widthMm * scale + 14;
  const sorted = [...section.words].sort((a, b) => b.at.y - a.at.y);
  let below = frame.y;
  for (const { at, text } of sorted) {
    const point = paper(at);
    const y = Math.max(below, point.y - 5);
    sheet.stroke(point, { x: right - 3, y: y + 5 }, 0.3);
    sheet.line(text, right, y, { size: 8.5, most: frame.x + frame.width - right });
    below = y + 11;
  }
  const bottom = Math.max(below, zero + section.underMm * scale) + 2;
  sheet.line(`Section, ${section.way}`, frame.x + 8, bottom, { size: 8, grey: 80 });
  return bottom + 12;
}
