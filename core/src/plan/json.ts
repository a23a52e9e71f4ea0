import { wasteOf } from './buy/waste';
import { flatten } from '../geometry/outline';
import type { Figure } from '../kernel/figure';
import { whyLine } from '../kernel/why';
import { formatLength } from '../units/format';
import type { Closing } from '../cover/contract';
import type { MaterialRef } from '../piece/material-ref';
import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';
import type { Seam } from '../piece/seam';
import type { Point } from '../geometry/point';
import type { RollPlan } from '../piece/roll';
import type { StaplePlan } from '../piece/staples';
import type { CushionPlan } from './cushion/cushion-plan';
import { notionsOf } from './buy/notions';
import { clothUse, clothWords } from './cloths';
import { isOfJob, type Plan } from './plan';
import type { SayIn } from '../say/say';
import { sayLine } from './said';
import { filled } from './cushion/words';

/** What a piece is cut from; `cloth` names the slot, or is null for what is not cloth. */
function materialJson(material: MaterialRef) {
  switch (material.kind) {
    case 'cloth':
      return { material: 'cover', cloth: material.slot };
    case 'foam':
      return { material: 'foam', cloth: null, grade: material.grade, thicknessMm: material.thicknessMm };
    case 'filling':
      return { material: 'filling', cloth: null, grade: material.filling, thicknessMm: material.thicknessMm };
    case 'wadding':
      return { material: 'wadding', cloth: null, loftMm: material.loftMm };
    case 'old-core':
    case 'thin-foam':
      return { material: material.kind, cloth: null, thicknessMm: material.thicknessMm };
  }
}

function seamJson({ id, words, method, rows, count, easedMm, edges }: Seam) {
  return {
    id,
    words,
    method,
    rows,
    count,
    edges: edges.map(({ stretches, lengthMm }) => ({ piece: stretches[0]?.piece ?? '', pieces: [...new Set(stretches.map(({ piece }) => piece))], lengthMm })),
    easedMm,
  };
}

/** A closing with its figures as millimetres or counts, and the tape and opening by their own names. */
function closingJson(closing: Closing) {
  switch (closing.kind) {
    case 'zip':
      return { kind: closing.kind, reach: closing.reach, openingMm: closing.opening.value, tapeMm: closing.tape.value, sliders: closing.sliders.value };
    case 'hand':
      return { kind: closing.kind, openingMm: closing.opening.value };
    case 'hook-and-loop':
      return { kind: closing.kind, openingMm: closing.opening.value, tapeMm: closing.tape.value };
    case 'envelope':
      return { kind: closing.kind, overlapMm: closing.overlap.value };
    case 'staples':
      return { kind: closing.kind, roundMm: closing.round.value, count: closing.count.value };
  }
}

/** The fixing plan: the line, and its staples in their order. */
function staplesJson({ inMm, line, staples, pleats }: StaplePlan) {
  return {
    inMm,
    line: flatten(line).map((p) => [p.x, p.y] as const),
    staples: staples.map(({ at, order, corner }) => ({ order, at: [at.x, at.y] as const, corner })),
    pleats: pleats.map(({ at, count }) => ({ at: [at.x, at.y] as const, count })),
  };
}

/** The roll plan: its sides in their order, each with its stitches from right to left, and the tufts. */
function rollJson({ sides, tufts }: RollPlan) {
  const pair = (p: Point) => [p.x, p.y] as const;
  return { sides: sides.map(({ words, stitches }) => ({ side: words, stitches: stitches.map(pair) })), tufts: tufts.map(pair) };
}

function operationJson({ id, phase, text, figures, pieces, seams, cautions, minutes, waitMinutes, needs, tools, after }: Operation, { units, step }: SayIn) {
  return { id, phase, text: filled(text, figures, units, step), pieces, seams, cautions, minutes, waitMinutes, needs, tools, after };
}

function pieceJson(piece: Piece, inWords: SayIn) {
  return {
    id: piece.id,
    label: piece.label,
    role: piece.role,
    ...materialJson(piece.material),
    countPerCushion: piece.countPerCushion,
    turned: piece.turned,
    widthMm: piece.width.value,
    heightMm: piece.height.value,
    sizeLabel: `${formatLength(piece.width.value, inWords.units, inWords.step)} × ${formatLength(piece.height.value, inWords.units, inWords.step)}`,
    trimMm: piece.trimMm,
    joins: piece.joins,
    outline: flatten(piece.outline).map((p) => [p.x, p.y] as const),
    holes: (piece.holes ?? []).map((hole) => flatten(hole).map((p) => [p.x, p.y] as const)),
    sewn: piece.sewn && flatten(piece.sewn).map((p) => [p.x, p.y] as const),
    notches: piece.marks.map((mark) => ({ kind: mark.kind, at: [mark.at.x, mark.at.y] as const })),
    why: [...new Set([whyLine(piece.width, inWords.units), whyLine(piece.height, inWords.units)])],
  };
}

const plane = (size: { readonly width: Figure; readonly depth: Figure; readonly height?: Figure }) => ({
  widthMm: size.width.value,
  depthMm: size.depth.value,
  ...(size.height ? { heightMm: size.height.value } : {}),
});

function cushionJson(one: CushionPlan, index: number, { job, shop }: Plan, inWords: SayIn) {
  const { sizes } = one;
  return {
    name: one.source.name,
    quantity: one.source.quantity,
    cloth: { name: clothWords('main', job, one.source, shop), ...clothUse('main', job, one.source, shop) },
    sizes: sizes && {
      seat: plane(sizes.seat),
      finished: plane(sizes.finished),
      sewn: plane(sizes.sewn),
      core: plane(sizes.core),
      cut: plane(sizes.cut),
    },
    pieces: one.pieces.map((piece) => pieceJson(piece, inWords)),
    construction: one.construction.kind,
    keptCover: one.keptCover,
    staples: one.cover?.staples ? staplesJson(one.cover.staples) : null,
    roll: one.cover?.roll ? rollJson(one.cover.roll) : null,
    seams: (one.keptCover ? [] : (one.cover?.seams ?? [])).map(seamJson),
    closings: (one.keptCover ? [] : (one.cover?.closings ?? [])).map(closingJson),
    notions: notionsOf(one).map(({ ware, name, sold, amount }) => ({ ware, name, sold, amount: amount.value })),
    operations: one.operations.map((each) => operationJson(each, inWords)),
    fit: one.fit,
    problems: one.problems.map((problem) => ({
      code: problem.code,
      path: isOfJob(problem, one) ? problem.path : `cushions.${index}.${problem.path}`,
      severity: problem.severity,
      message: sayLine(problem, inWords),
    })),
  };
}

/** The plan as open JSON, `yardland/plan@1`: sizes in mm unrounded, sentences and derivations in the job's units. */
export function planJson(plan: Plan) {
  const inWords: SayIn = { units: plan.job.units, step: plan.shop.document.step };
  return {
    format: 'yardland/plan@1' as const,
    name: plan.job.name,
    units: plan.job.units,
    cushions: plan.cushions.map((one, index) => cushionJson(one, index, plan, inWords)),
    lays: plan.lays.map((lay) => ({
      key: lay.key,
      subject: lay.subject,
      ...(lay.remnant === null ? {} : { remnant: lay.remnant }),
      ...(lay.recutOf === null ? {} : { recutOf: lay.recutOf }),
      material: lay.request.material,
      gapMm: lay.request.gapMm,
      answer: lay.answer,
    })),
    buy: plan.buy.map((line) => ({
      ware: line.ware,
      name: line.name,
      thicknessMm: line.thicknessMm,
      sold: line.sold,
      lot: line.lot,
      amount: line.amount?.value ?? null,
      why: line.amount ? whyLine(line.amount, inWords.units) : null,
    })),
    waste: wasteOf(plan).map(({ layKey, ...row }) => ({ lay: layKey, ...row })),
    salvaged: plan.salvaged.map(({ zip, cushion, copy, neededMm }) => ({ zip: zip.id, lengthMm: zip.lengthMm, cushion, copy, neededMm })),
    problems: plan.problems.map((problem) => ({ code: problem.code, path: problem.path, severity: problem.severity, message: sayLine(problem, inWords) })),
  };
}
