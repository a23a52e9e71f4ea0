import { checkLayers, corePieces } from '../build/foam';
import { fit, type Fit, type FitRequest } from '../build/fit';
import { outlinesOf, reachedSizes, type Outlines } from '../build/outlines';
import { evaluateSizes, type Sizes } from '../build/sizes';
import { cornerFilling, onRoll, wrapPieces } from '../build/wrap';
import type { Asked } from '../filling/old-core';
import { constructionOf } from '../cover/constructions/constructions';
import type { Cover } from '../cover/constructions/construction';
import { cornersOf } from '../cover/corners';
import { flatten, perimeter, rectangleOutline, type Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { hashNumbers } from '../kernel/hash';
import { given, law, type Figure } from '../kernel/figure';
import { issue, under, type Issue } from '../kernel/issue';
import { SAME_TO_A_CUSHION_MM } from '../material/material';
import type { Piece } from '../piece/piece';
import { overridden, type School, type WrapWay } from '../shop/schools';
import type { Constants } from '../shop/assumptions';
import type { Shop } from '../shop/shop';
import { outlineOf, shapeOf } from '../template/shapes/shapes';
import { pairMm, type UnitSystem } from '../units/length';
import { askedOf } from './asked';
import type { Answers } from './answers';
import type { Cushion, Job } from './document';
import { keptCover, lookedOver } from './look-over';
import { crownFor, facesOf, padPieces, type PlannedCrown } from './plan-crown';
import { hollowPads, joinPad, longCoreFor, longCorePieces, longCoreProblems, type PlannedLongCore } from './plan-old-cores';
import { watch } from './watch';
import { fillingNote, fitProblems, fitRequestOf } from './plan-fit';

/** Everything derived from one cushion. Paths of its problems start at the cushion, or with `cloth` at the job. */
export interface CushionPlan {
  /** The very object that was planned: what `previous` is recognised by. */
  readonly source: Cushion;
  readonly school: School | null;
  readonly sizes: Sizes | null;
  /** In one frame: the finished one's box lies at the origin. */
  readonly outlines: Outlines | null;
  readonly wrap: Figure | null;
  readonly wrapWay: WrapWay;
  /** Loose wadding for corners and packed ends, grams. */
  readonly cornerFilling: Figure | null;
  readonly pieces: readonly Piece[];
  /** The pieces as they are laid, in the order of `pieces`. */
  readonly cuts: readonly Cut[];
  /** The cover as it is made, or as the old one was: then it is neither cut, bought nor sewn. */
  readonly cover: Cover | null;
  /** The old cover goes back on, made ready like this; null where a new one is made. */
  readonly keptCover: 'wash' | 'restitch' | null;
  readonly fit: Fit | null;
  /** What the fit was worked out from. */
  readonly fitRequest: FitRequest | null;
  readonly crown: PlannedCrown | null;
  /** One long core out of old ones, where some were put in. */
  readonly longCore: PlannedLongCore | null;
  /** Loft of the wadding that fills a hollow, mm. */
  readonly padLoftMm: number;
  /** What the seat asks of its core, for judging the old one. */
  readonly asked: Asked;
  readonly problems: readonly Issue[];
}

/** A piece made ready for laying: its polygon with the trim-off in it, and a name for that content. */
export interface Cut {
  readonly piece: Piece;
  readonly polygon: readonly Point[];
  readonly count: number;
  readonly hash: string;
}

export interface CushionContext {
  readonly units: UnitSystem;
  readonly cloth: Job['cloth'];
  readonly shop: Shop;
  /** The answers of what was computed beside the plan, by the hash of the request. */
  readonly answers: Answers;
}

/** Why nothing more of a cushion can be derived. */
type Known = Pick<CushionPlan, 'source' | 'asked' | 'padLoftMm' | 'keptCover'>;

function blocked(known: Known, school: School | null, problems: readonly Issue[]): CushionPlan {
  return {
    ...known,
    school,
    sizes: null,
    outlines: null,
    wrap: null,
    wrapWay: 'faces',
    cornerFilling: null,
    pieces: [],
    cuts: [],
    cover: null,
    fit: null,
    fitRequest: null,
    crown: null,
    longCore: null,
    problems,
  };
}

/** The questions of a cushion that have no answer yet. */
export function unanswered({ crown, longCore }: CushionPlan): readonly (PlannedCrown | PlannedLongCore)[] {
  return [crown, longCore].filter((one) => one !== null).filter((one) => one.answer === null);
}

/** The cloth's facts where a material is chosen, else the shop's assumptions. */
export function clothFacts(
  { cloth, units }: Pick<Job, 'cloth' | 'units'>,
  shop: Shop,
): { readonly usableMm: number; readonly thicknessMm: number; readonly oneWay: boolean; readonly stretches: boolean; readonly name: string | null } {
  const material = cloth.material === undefined ? undefined : shop.cloth(cloth.material);
  return {
    usableMm: Math.max(0, cloth.widthMm - 2 * (material?.selvedgeMm ?? shop.assume('selvedgeMm', units))),
    thicknessMm: material?.thicknessMm ?? shop.assume('clothThicknessMm', units),
    oneWay: material?.oneWay ?? true,
    stretches: material?.stretches ?? false,
    name: material?.name ?? null,
  };
}

/** Trim-off is counted here and nowhere else: a strip is laid longer than its size says. */
function cutOf(piece: Piece, quantity: number): Cut {
  const polygon = flatten(piece.trimMm > 0 ? rectangleOutline(piece.width.value + piece.trimMm, piece.height.value) : piece.outline);
  const count = piece.countPerCushion * quantity;
  const content = new Float64Array(2 * polygon.length + 1);
  content[0] = count;
  polygon.forEach(({ x, y }, i) => content.set([x, y], 2 * i + 1));
  return { piece, polygon, count, hash: hashNumbers(content) };
}

/** Loose wadding: where there is a wrap there is some for the corners; packed ends take more. */
function cornerFillingOf(sewn: Outline, sizes: Sizes, loftMm: number, school: School, assume: Constants): Figure | null {
  const corners = cornersOf(sewn).filter((corner) => !corner.inner).length;
  if (loftMm <= 0) return null;
  const { core, finished } = sizes;
  const [short, across] =
    core.width.value >= core.depth.value
      ? [finished.width.value - core.width.value, sizes.sewn.depth]
      : [finished.depth.value - core.depth.value, sizes.sewn.width];
  return cornerFilling(corners, sizes.sewn.height, school.wrap.packedEnds ? { gapMm: short / 2, widthMm: across } : null, assume);
}

/** Problems of foam that is still to be cut: a kept core has none of them. */
const FOR_NEW_FOAM: ReadonlySet<string> = new Set(['core-larger-than-sheet', 'core-glued-up', 'sheet-thickness-not-stocked', 'filling-not-made-so-high']);

/** Problems of a cover that is still to be made: a kept one has none of them. */
const keptCoverProblems = (cushion: Cushion): Issue[] => (cushion.given === 'sewn' ? [] : [issue('note', 'kept-cover-not-measured', 'seat.oldCover')]);

/** Derives one cushion: total, pure, and independent of the others. */
export function planCushion(cushion: Cushion, { units, cloth, shop, answers }: CushionContext): CushionPlan {
  const assume: Constants = (key) => shop.assume(key, units);
  const kept = keptCover(cushion);
  const known: Known = { source: cushion, asked: askedOf(cushion, shop, units), padLoftMm: assume('hollowPadLoftMm'), keptCover: kept };
  const row = shop.school(cushion.school);
  const school: School | null = row && cushion.schoolNumber ? overridden(row, cushion.schoolNumber.number, cushion.schoolNumber.mm) : (row ?? null);
  if (!school) return blocked(known, null, [issue('error', 'school-unknown', 'school', { school: cushion.school })]);
  const shape = shapeOf(cushion.template);
  const shapeProblems = under('template', shape.check(cushion.template));
  if (shapeProblems.length) return blocked(known, school, shapeProblems);

  const { outline: base, acrossMm, deepMm } = outlineOf(cushion.template);
  const loftMm = cushion.wrapLoftMm ?? pairMm(school.wrap.loft, units);
  const seamMm = cushion.construction.seamMm ?? null;
  const thin = shape.thin?.(cushion.template) ?? null;
  if (thin && thin.mm >= cushion.heightMm)
    return blocked(known, school, [issue('error', 'thin-edge-not-thinner', 'template.thinMm', { thinMm: thin.mm, heightMm: cushion.heightMm })]);
  const bySchool = evaluateSizes(
    school,
    { given: cushion.given, acrossMm, deepMm, heightMm: cushion.heightMm, wrapLoftMm: loftMm, wrapSqueezed: assume('wrapSqueezedLightly'), seamMm, thin },
    units,
  );
  const nothing = (['sewn', 'core', 'finished'] as const).find(
    (name) => bySchool[name].height.value <= 0 || (bySchool.slope && bySchool.slope[name].value <= 0),
  );
  if (nothing) return blocked(known, school, [issue('error', 'allowances-leave-no-height', 'heightMm', { heightMm: cushion.heightMm })]);
  const outlines = outlinesOf(base, bySchool, acrossMm, deepMm);
  if (!outlines)
    return blocked(known, school, [
      issue('error', 'allowances-leave-nothing', 'template', { widthMm: bySchool.finished.width.value, depthMm: bySchool.finished.depth.value }),
    ]);
  const sizes = reachedSizes(bySchool, outlines);
  const round = shape.round?.(cushion.template, sizes.sewn.width, sizes.sewn.depth);

  const facts = clothFacts({ cloth, units }, shop);
  const crown = crownFor(cushion, sizes, outlines, answers.crown);
  const bow = crown?.answer && cushion.crown?.way === 'bow' ? { bowed: crown.answer.bowed, faces: facesOf(cushion, sizes) } : null;
  const cover = constructionOf(cushion.construction).make(cushion.construction, {
    sizes,
    sewn: outlines.sewn,
    bow,
    cut: outlines.cut,
    marks: cushion.marks ?? [],
    round: round ?? law('seam line round', 'edge of the sewn outline, {0} × {1}', [sizes.sewn.width, sizes.sewn.depth], () => perimeter(outlines.sewn)),
    usableMm: facts.usableMm,
    clothThicknessMm: facts.thicknessMm,
    railroaded: cloth.railroaded ?? false,
    assume,
  });
  const wrapWay = cushion.wrapWay ?? school.wrap.way;
  const places = cushion.seat?.places ?? 1;
  const foams = corePieces(cushion.core.layers, sizes.core, outlines.core, places, shop, assume);
  const longCore = longCoreFor(cushion, sizes, answers.longCore);
  const looked = lookedOver({ ...known, sizes });
  const asks = fitRequestOf(cushion, sizes, { loftMm, way: wrapWay, school, stretches: facts.stretches, assume, shop, crown: crown?.answer ?? null });
  const prediction = asks && fit(asks);
  const outdoors = cushion.seat?.place === 'outdoor';
  const problems = [
    ...under('template', shape.remarks?.(cushion.template) ?? []),
    ...checkLayers(cushion.core.layers, sizes.core, foams, shop, assume).filter(({ code }) => !(cushion.core.kept && FOR_NEW_FOAM.has(code))),
    ...fillingNote(cushion, shop),
    ...(kept ? keptCoverProblems(cushion) : cover.problems),
    ...(longCore && cushion.core.kept ? longCoreProblems(longCore) : []),
    ...loftProblems(loftMm, shop, outdoors),
    ...(prediction ? fitProblems(prediction, sizes, loftMm, school, assume) : []),
    ...watch({ source: cushion, wrapLoftMm: loftMm, looked, certified: known.asked.certified ?? false, shop, units }),
  ];
  const pads = padPieces(cushion, sizes, crown?.answer ?? null);
  const wadding = [
    ...(cushion.core.kept ? hollowPads(looked, sizes.core, known.padLoftMm) : []),
    ...(cushion.core.kept && longCore ? joinPad(longCore, sizes.core, outlines.core, known.padLoftMm) : []),
    ...pads,
    ...wrapPieces(wrapWay, loftMm, sizes.core, outlines.core, assume),
  ].flatMap((piece) => onRoll(piece, shop.waddingNear(piece.thicknessMm ?? loftMm, outdoors)?.rollWidthMm ?? Infinity, places, assume));
  const pieces = [...(kept ? [] : cover.pieces), ...(cushion.core.kept ? (longCore ? longCorePieces(longCore, sizes.core) : []) : foams), ...wadding];
  return {
    ...known,
    school,
    sizes,
    outlines,
    wrap: given('wrap', loftMm, cushion.wrapLoftMm === undefined ? 'school' : 'entered'),
    wrapWay,
    cornerFilling: cornerFillingOf(outlines.sewn, sizes, loftMm, school, assume),
    pieces,
    cuts: pieces.map((piece) => cutOf(piece, cushion.quantity)),
    cover,
    fit: prediction,
    fitRequest: asks,
    crown,
    longCore,
    problems,
  };
}

/** No wadding at all, or none whose loft is as good as the one asked for. */
function loftProblems(loftMm: number, shop: Shop, outdoors: boolean): Issue[] {
  if (loftMm <= 0) return [];
  const roll = shop.waddingNear(loftMm, outdoors);
  if (!roll) return [issue('error', 'no-wadding', 'wrapLoftMm', { loftMm })];
  return Math.abs(roll.loftMm - loftMm) > SAME_TO_A_CUSHION_MM
    ? [issue('note', 'wadding-of-another-loft', 'wrapLoftMm', { loftMm, wadding: roll.name, nearestMm: roll.loftMm })]
    : [];
}
