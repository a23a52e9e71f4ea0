import { checkLayers, corePieces } from '../build/foam';
import { fit, type Fit, type FitRequest } from '../build/fit';
import { outlinesOf, reachedSizes, type Outlines } from '../build/outlines';
import { evaluateSizes, type Sizes } from '../build/sizes';
import { middleOf } from '../build/slope';
import { cornerFilling, wrapLies, wrapPieces } from '../build/wrap';
import type { Asked } from '../filling/old-core';
import { constructionOf } from '../cover/constructions/constructions';
import type { Cover } from '../cover/constructions/construction';
import { cornersOf } from '../cover/corners';
import { flatten, perimeter, rectangleOutline, type Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { hashText } from '../kernel/hash';
import { given, law, type Figure } from '../kernel/figure';
import { issue, under, type Issue } from '../kernel/issue';
import { isFoam } from '../material/material';
import type { Piece } from '../piece/piece';
import { overridden, type School, type WrapWay } from '../shop/schools';
import type { Constants } from '../shop/assumptions';
import type { Shop } from '../shop/shop';
import { outlineOf, shapeOf } from '../template/shapes/shapes';
import { pairMm, type UnitSystem } from '../units/length';
import { askedOf } from './asked';
import type { Cushion, Job } from './document';

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
  readonly cover: Cover | null;
  readonly fit: Fit | null;
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
}

function blocked(source: Cushion, asked: Asked, school: School | null, problems: readonly Issue[]): CushionPlan {
  return {
    source,
    asked,
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
    problems,
  };
}

/** The cloth's facts where a material is chosen, else the shop's assumptions. */
export function clothFacts(
  { cloth, units }: Pick<Job, 'cloth' | 'units'>,
  shop: Shop,
): { readonly usableMm: number; readonly thicknessMm: number; readonly oneWay: boolean; readonly name: string | null } {
  const material = cloth.material === undefined ? undefined : shop.cloth(cloth.material);
  return {
    usableMm: Math.max(0, cloth.widthMm - 2 * (material?.selvedgeMm ?? shop.assume('selvedgeMm', units))),
    thicknessMm: material?.thicknessMm ?? shop.assume('clothThicknessMm', units),
    oneWay: material?.oneWay ?? true,
    name: material?.name ?? null,
  };
}

/** Trim-off is counted here and nowhere else: a strip is laid longer than its size says. */
function cutOf(piece: Piece, quantity: number): Cut {
  const polygon = flatten(piece.trimMm > 0 ? rectangleOutline(piece.width.value + piece.trimMm, piece.height.value) : piece.outline);
  const count = piece.countPerCushion * quantity;
  return { piece, polygon, count, hash: hashText(JSON.stringify([count, polygon])) };
}

/** What the fit model is told of a cushion. Null while a layer is not foam, or there is none. */
function fitRequest(cushion: Cushion, sizes: Sizes, loftMm: number, way: WrapWay, school: School, assume: Constants, shop: Shop): FitRequest | null {
  const foams = cushion.core.layers.flatMap((layer) => {
    const grade = shop.grade(layer.grade);
    return grade ? [{ thicknessMm: layer.thicknessMm, hardness25N: grade.hardness25N, supportFactor: grade.supportFactor }] : [];
  });
  if (foams.length === 0 || foams.length < cushion.core.layers.length) return null;
  // A wedge is judged by its middle.
  const { slope } = sizes;
  const height = slope ? middleOf('sewn height in the middle', sizes.sewn.height, slope.sewn).value : sizes.sewn.height.value;
  const share = slope ? middleOf('core in the middle', sizes.core.height, slope.core).value / sizes.core.height.value : 1;
  const lies = wrapLies(way);
  const longer = sizes.core.width.value >= sizes.core.depth.value;
  const packed = school.wrap.packedEnds ? assume('packedEndsMm') : 0;
  return {
    widthMm: sizes.sewn.width.value,
    depthMm: sizes.sewn.depth.value,
    heightMm: height,
    core: {
      widthMm: sizes.core.width.value + (longer ? packed : 0),
      depthMm: sizes.core.depth.value + (longer ? 0 : packed),
      layers: foams.map((foam) => ({ ...foam, thicknessMm: foam.thicknessMm * share })),
    },
    wrapLoftMm: lies.faces ? 2 * loftMm : 0,
    sideWrapSqueezedMm: lies.sides ? loftMm * assume('sideWrapSqueezed') : 0,
    padLoftMm: 0,
    crownedFaces: 2,
    bowAcrossMm: 0,
    bowAlongMm: 0,
    clothStiffnessNPerM: assume('wovenStiffness'),
  };
}

/** The fit model knows foam only: with another filling in the core it says so and predicts nothing. */
function fillingNote(cushion: Cushion, shop: Shop): Issue[] {
  const other = cushion.core.layers.map((layer) => shop.stock(layer.grade)).find((stock) => stock !== undefined && !isFoam(stock));
  return other ? [issue('note', 'fit-not-known-for-filling', 'core.layers', { filling: other.name })] : [];
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

function fitProblems(prediction: Fit, sizes: Sizes, loftMm: number, school: School): Issue[] {
  const problems: Issue[] = [];
  const oversizeMm = Math.max(sizes.core.width.value - sizes.sewn.width.value, sizes.core.depth.value - sizes.sewn.depth.value);
  if (loftMm <= 0 && oversizeMm <= 1) problems.push(issue('warning', 'core-exact-without-wrap', 'wrapLoftMm', { wrapMm: school.wrap.loft.mm }));
  else if (prediction.verdict === 'loose')
    problems.push(issue('warning', 'cover-loose', 'wrapLoftMm', { tension: Math.min(prediction.tensionAcrossNPerM, prediction.tensionAlongNPerM) }));
  const tightest = Math.max(prediction.tensionAcrossNPerM, prediction.tensionAlongNPerM);
  if (prediction.verdict === 'hard-to-close' || prediction.verdict === 'will-not-close')
    problems.push(issue('warning', `cover-${prediction.verdict}`, 'core.layers', { tension: tightest }));
  if (prediction.bowRisk) problems.push(issue('warning', 'cushion-may-bow', 'template', { oversizeMm }));
  return problems;
}

/** Problems of foam that is still to be cut: a kept core has none of them. */
const FOR_NEW_FOAM: ReadonlySet<string> = new Set(['core-larger-than-sheet', 'sheet-thickness-not-stocked', 'filling-not-made-so-high']);

/** Derives one cushion: total, pure, and independent of the others. */
export function planCushion(cushion: Cushion, { units, cloth, shop }: CushionContext): CushionPlan {
  const asked = askedOf(cushion, shop, units);
  const row = shop.school(cushion.school);
  const school: School | null = row && cushion.schoolNumber ? overridden(row, cushion.schoolNumber.number, cushion.schoolNumber.mm) : (row ?? null);
  if (!school) return blocked(cushion, asked, null, [issue('error', 'school-unknown', 'school', { school: cushion.school })]);
  const shape = shapeOf(cushion.template);
  const shapeProblems = under('template', shape.check(cushion.template));
  if (shapeProblems.length) return blocked(cushion, asked, school, shapeProblems);

  const { outline: base, acrossMm, deepMm } = outlineOf(cushion.template);
  const loftMm = cushion.wrapLoftMm ?? pairMm(school.wrap.loft, units);
  const seamMm = cushion.construction.seamMm ?? null;
  const assume: Constants = (key) => shop.assume(key, units);
  const thin = shape.thin?.(cushion.template) ?? null;
  if (thin && thin.mm >= cushion.heightMm)
    return blocked(cushion, asked, school, [issue('error', 'thin-edge-not-thinner', 'template.thinMm', { thinMm: thin.mm, heightMm: cushion.heightMm })]);
  const bySchool = evaluateSizes(
    school,
    { given: cushion.given, acrossMm, deepMm, heightMm: cushion.heightMm, wrapLoftMm: loftMm, wrapSqueezed: assume('wrapSqueezedLightly'), seamMm, thin },
    units,
  );
  const nothing = (['sewn', 'core'] as const).find((name) => bySchool[name].height.value <= 0 || (bySchool.slope && bySchool.slope[name].value <= 0));
  if (nothing) return blocked(cushion, asked, school, [issue('error', 'allowances-leave-no-height', 'heightMm', { heightMm: cushion.heightMm })]);
  const outlines = outlinesOf(base, bySchool, acrossMm, deepMm);
  if (!outlines)
    return blocked(cushion, asked, school, [
      issue('error', 'allowances-leave-nothing', 'template', { widthMm: bySchool.finished.width.value, depthMm: bySchool.finished.depth.value }),
    ]);
  const sizes = reachedSizes(bySchool, outlines);
  const round = shape.round?.(cushion.template, sizes.sewn.width, sizes.sewn.depth);

  const facts = clothFacts({ cloth, units }, shop);
  const cover = constructionOf(cushion.construction).make(cushion.construction, {
    sizes,
    sewn: outlines.sewn,
    cut: outlines.cut,
    marks: cushion.marks ?? [],
    round: round ?? law('seam line round', 'edge of the sewn outline, {0} × {1}', [sizes.sewn.width, sizes.sewn.depth], () => perimeter(outlines.sewn)),
    usableMm: facts.usableMm,
    clothThicknessMm: facts.thicknessMm,
    railroaded: cloth.railroaded ?? false,
    assume,
  });
  const wrapWay = cushion.wrapWay ?? school.wrap.way;
  const asks = fitRequest(cushion, sizes, loftMm, wrapWay, school, assume, shop);
  const prediction = asks && fit(asks);
  const problems = [
    ...under('template', shape.remarks?.(cushion.template) ?? []),
    ...checkLayers(cushion.core.layers, sizes.core, shop, units).filter(({ code }) => !(cushion.core.kept && FOR_NEW_FOAM.has(code))),
    ...fillingNote(cushion, shop),
    ...cover.problems,
    ...(prediction ? fitProblems(prediction, sizes, loftMm, school) : []),
  ];
  const pieces = [
    ...cover.pieces,
    ...(cushion.core.kept ? [] : corePieces(cushion.core.layers, sizes.core, outlines.core, shop)),
    ...wrapPieces(wrapWay, loftMm, sizes.core, outlines.core, assume),
  ];
  return {
    source: cushion,
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
    asked,
    problems,
  };
}
