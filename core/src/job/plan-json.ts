import { flatten } from '../geometry/outline';
import type { Figure } from '../kernel/figure';
import { whyLine } from '../kernel/why';
import { formatLength } from '../units/format';
import type { Piece } from '../piece/piece';
import type { CushionPlan } from './plan-cushion';
import type { Plan } from './plan';
import { sayLine, type SayIn } from './say';
import { pieceLabel } from './words';

function pieceJson(piece: Piece, inWords: SayIn) {
  return {
    label: pieceLabel(piece),
    role: piece.role,
    material: piece.material,
    ...(piece.grade === null ? {} : { grade: piece.grade, thicknessMm: piece.thicknessMm }),
    countPerCushion: piece.countPerCushion,
    widthMm: piece.width.value,
    heightMm: piece.height.value,
    sizeLabel: `${formatLength(piece.width.value, inWords.units, inWords.step)} × ${formatLength(piece.height.value, inWords.units, inWords.step)}`,
    trimMm: piece.trimMm,
    joins: piece.joins,
    outline: flatten(piece.outline).map((p) => [p.x, p.y] as const),
    notches: piece.marks.map((mark) => ({ kind: mark.kind, at: [mark.at.x, mark.at.y] as const })),
    why: [...new Set([whyLine(piece.width, inWords.units), whyLine(piece.height, inWords.units)])],
  };
}

const plane = (size: { readonly width: Figure; readonly depth: Figure; readonly height?: Figure }) => ({
  widthMm: size.width.value,
  depthMm: size.depth.value,
  ...(size.height ? { heightMm: size.height.value } : {}),
});

function cushionJson(one: CushionPlan, index: number, inWords: SayIn) {
  const { sizes } = one;
  return {
    name: one.source.name,
    quantity: one.source.quantity,
    sizes: sizes && {
      seat: plane(sizes.seat),
      finished: plane(sizes.finished),
      sewn: plane(sizes.sewn),
      core: plane(sizes.core),
      cut: plane(sizes.cut),
    },
    pieces: one.pieces.map((piece) => pieceJson(piece, inWords)),
    seams: one.cover?.seams ?? [],
    notions: one.cover && {
      zipMm: one.cover.notions.zip.value,
      openingMm: one.cover.opening.value,
      cordMm: one.cover.notions.cord?.value ?? 0,
      threadMm: one.cover.notions.thread.value,
      sliders: one.cover.notions.sliders.value,
    },
    fit: one.fit,
    problems: one.problems.map((problem) => ({
      code: problem.code,
      path: problem.path.startsWith('cloth') ? problem.path : `cushions.${index}.${problem.path}`,
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
    cushions: plan.cushions.map((one, index) => cushionJson(one, index, inWords)),
    lays: plan.lays.map((lay) => ({ key: lay.key, subject: lay.subject, material: lay.request.material, answer: lay.answer })),
    buy: plan.buy.map((line) => ({
      ware: line.ware,
      name: line.name,
      thicknessMm: line.thicknessMm,
      sold: line.sold,
      lot: line.lot,
      amount: line.amount?.value ?? null,
      why: line.amount ? whyLine(line.amount, inWords.units) : null,
    })),
    problems: plan.problems.map((problem) => ({ code: problem.code, path: problem.path, severity: problem.severity, message: sayLine(problem, inWords) })),
  };
}
