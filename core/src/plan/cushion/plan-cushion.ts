import { checkLayers, corePieces } from '../../allowance/foam';
import { outlinesOf, reachedSizes, type Outlines } from '../../allowance/outlines';
import { drawnIn } from '../../allowance/draw-in';
import { evaluateSizes } from '../../allowance/sizes';
import { feltPieces } from '../../allowance/felt';
import { onRoll, wrapOnBoard, wrapPieces } from '../../allowance/wrap';
import { CONSTRUCTIONS, constructionOf } from '../../cover/list';
import { pieceWide } from '../../cover/plate/piece-wide';
import { threadFor } from '../../cover/sewing/notions';
import { muslinOf } from '../../cover/sewing/muslin';
import { bagInside } from '../../cover/sewing/cover-operations';
import type { Construction, Contents, Cover, CoverRequest, EdgeProfile, FieldGroup } from '../../cover/contract';
import type { Asked } from '../../filling/old-core';
import type { ClosedLines } from '../../form/form';
import { fit, type Fit, type FitRequest } from '../../fit/fit';
import { flatten, perimeter, rectangleOutline, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { given, measuredOn, type Figure } from '../../kernel/figure';
import { hashNumbers } from '../../kernel/hash';
import { issue, under, type Issue } from '../../kernel/issue';
import type { Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import type { Sizes } from '../../piece/sizes';
import type { Constants } from '../../shop/assumptions';
import { overridden, type School, type WrapWay } from '../../shop/schools';
import type { Shop } from '../../shop/shop';
import { outlineOf, shapeOf } from '../../template/shapes/shapes';
import { pairMm, type UnitSystem } from '../../units/length';
import type { Answers } from '../answers';
import { askedOf } from './asked';
import { clothUse, shrinkage, slotFacts } from '../cloths';
import type { Cushion, Job } from '../../job/document';
import { keptCover, lookedOver, type LookedOver } from './look-over';
import { coreWork, fillingKinds, operationsFor, workOrder } from './work';
import { crownFor, facesOf, padPieces, type PlannedCrown } from './crown';
import { asCutProblems, coreAsCut } from './core-as-cut';
import { crownProblems, fitProblems, fitRequestOf, notModelled } from './fit';
import { hollowPads, joinPad, longCoreFor, longCorePieces, longCoreProblems, type PlannedLongCore } from './old-cores';
import { cornerFillingOf, rollsOf, laidLoft, wrapProblems } from './wrap';
import { cutLarger } from './shrink';
import { sameBothWays, watch } from './watch';

/** What a cushion's construction is called; its way of working stays in its module, so that a plan is data and can be sent from one thread to another. */
export interface ConstructionWords {
  readonly kind: string;
  readonly name: string;
  /** A few words on its choices; may be empty. */
  readonly detail: string;
  /** The groups that it has choices in. */
  readonly groups: readonly FieldGroup[];
}

/** What is known of a cushion whether or not it can be made. Paths of its problems start at the cushion, or with `cloth` at the job. */
interface Known {
  /** The very object that was planned: what `previous` is recognised by. */
  readonly source: Cushion;
  readonly construction: ConstructionWords;
  /** The template's outline as it was measured; null where its measures make none. */
  readonly seat: Outline | null;
  /** What the seat asks of its core, for judging the old one. */
  readonly asked: Asked;
  /** Loft of the wadding that fills a hollow, mm. */
  readonly padLoftMm: number;
  /** The old cover goes back on, made ready like this; null where a new one is made. */
  readonly keptCover: 'wash' | 'restitch' | null;
  readonly problems: readonly Issue[];
}

/** A cushion that cannot be made as it stands: its problems say why, and nothing more is derived. */
export interface Blocked extends Known {
  readonly state: 'blocked';
  readonly school: School | null;
  readonly sizes: null;
  readonly outlines: null;
  readonly profile: null;
  readonly lines: null;
  readonly wrap: null;
  readonly wrapWay: WrapWay;
  readonly cornerFilling: null;
  readonly pieces: readonly [];
  readonly cuts: readonly [];
  readonly cover: null;
  readonly operations: readonly [];
  readonly looked: null;
  readonly fit: null;
  readonly fitRequest: null;
  readonly crown: null;
  readonly longCore: null;
}

/** Everything derived from a cushion that can be made. */
export interface Planned extends Known {
  readonly state: 'planned';
  readonly school: School;
  readonly sizes: Sizes;
  /** In one frame: the finished one's box lies at the origin. */
  readonly outlines: Outlines;
  readonly profile: EdgeProfile;
  /** What is seen of the cover when it is closed. */
  readonly lines: ClosedLines;
  readonly wrap: Figure;
  readonly wrapWay: WrapWay;
  /** Loose wadding for corners and packed ends, grams. */
  readonly cornerFilling: Figure | null;
  readonly pieces: readonly Piece[];
  /** The pieces as they are laid, in the order of `pieces`. */
  readonly cuts: readonly Cut[];
  /** The cover as it is made, or as the old one was: then it is neither cut, bought nor sewn. */
  readonly cover: Cover;
  /** The work order, every step after what it waits for. */
  readonly operations: readonly Operation[];
  /** What looking over the old core comes to. */
  readonly looked: LookedOver | null;
  readonly fit: Fit | null;
  /** What the fit was worked out from. */
  readonly fitRequest: FitRequest | null;
  readonly crown: PlannedCrown | null;
  /** One long core out of old ones, where some were put in. */
  readonly longCore: PlannedLongCore | null;
}

export type CushionPlan = Blocked | Planned;

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
  /** The rolls of wadding that the job has chosen. */
  readonly waddings?: Job['waddings'];
  readonly shop: Shop;
  /** The answers of what was computed beside the plan, by the hash of the request. */
  readonly answers: Answers;
  /** The constructions there are; the shipped list where it is not given. */
  readonly constructions?: readonly Construction[];
}

function blocked(known: Omit<Known, 'problems'>, school: School | null, problems: readonly Issue[]): Blocked {
  return {
    ...known,
    problems,
    state: 'blocked',
    school,
    sizes: null,
    outlines: null,
    profile: null,
    lines: null,
    wrap: null,
    wrapWay: 'faces',
    cornerFilling: null,
    pieces: [],
    cuts: [],
    cover: null,
    operations: [],
    looked: null,
    fit: null,
    fitRequest: null,
    crown: null,
    longCore: null,
  };
}

/** The questions of a cushion that have no answer yet. */
export function unanswered({ crown, longCore }: CushionPlan): readonly (PlannedCrown | PlannedLongCore)[] {
  return [crown, longCore].filter((one) => one !== null).filter((one) => one.answer === null);
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

/** Problems of foam that is still to be cut: a kept core has none of them. */
const FOR_NEW_FOAM: ReadonlySet<string> = new Set(['core-larger-than-sheet', 'core-glued-up', 'sheet-thickness-not-stocked', 'filling-not-made-so-high']);

/** What an old cover that goes back on has to be asked: its own size. */
const keptCoverProblems = (cushion: Cushion): Issue[] => (cushion.given === 'sewn' ? [] : [issue('note', 'kept-cover-not-measured', 'seat.oldCover')]);

const groupsOf = ({ fields }: Construction): FieldGroup[] => [...new Set(fields.map(({ group }): FieldGroup => group ?? 'made'))];

/** Derives one cushion: total, pure, and independent of the others. */
export function planCushion(cushion: Cushion, context: CushionContext): CushionPlan {
  const { units, cloth, shop, answers, constructions = CONSTRUCTIONS } = context;
  const assume: Constants = (key) => shop.assume(key, units);
  const kept = keptCover(cushion);
  const construction = constructionOf(cushion.construction, constructions);
  const words = { kind: construction.kind, name: construction.name, detail: construction.says(cushion.construction), groups: groupsOf(construction) };
  const shape = shapeOf(cushion.template);
  const shapeProblems = under('template', shape.check(cushion.template));
  const measured = shapeProblems.length ? null : outlineOf(cushion.template);
  const seat = measured?.outline ?? null;
  const known = { source: cushion, construction: words, seat, asked: askedOf(cushion, shop, units), padLoftMm: assume('hollowPadLoftMm'), keptCover: kept };
  const row = shop.school(cushion.school, cushion.schoolEdition);
  const school: School | null = row && cushion.schoolNumber ? overridden(row, cushion.schoolNumber.number, cushion.schoolNumber.mm) : (row ?? null);
  if (!school) return blocked(known, null, [issue('error', 'school-unknown', 'school', { school: cushion.school })]);
  if (!measured) return blocked(known, school, shapeProblems);

  const { outline: base, acrossMm, deepMm } = measured;
  const thin = shape.thin?.(cushion.template) ?? null;
  const unsuited = construction.suits({ outline: base, sloping: thin !== null });
  if (unsuited.length) return blocked(known, school, unsuited);
  if (thin && thin.mm >= cushion.heightMm)
    return blocked(known, school, [issue('error', 'thin-edge-not-thinner', 'template.thinMm', { thinMm: thin.mm, heightMm: cushion.heightMm })]);
  const measures = { given: cushion.given, acrossMm, deepMm, heightMm: cushion.heightMm };
  const own = construction.sizes?.(cushion.construction, { ...measures, system: units, assume }) ?? null;
  const loftMm = cushion.wrapLoftMm ?? (own ? 0 : pairMm(school.wrap.loft, units));
  const asEvaluated =
    own ??
    evaluateSizes(
      school,
      { ...measures, wrapLoftMm: loftMm, wrapSqueezed: assume('wrapSqueezedLightly'), seamMm: cushion.construction.seamMm ?? null, thin },
      units,
    );
  const flange = construction.flange?.(cushion.construction) ?? null;
  const bySchool = flange ? drawnIn(asEvaluated, given('flange', flange.mm, 'entered'), flange.edges, cushion.given) : asEvaluated;
  const heights = construction.profile(cushion.construction, bySchool, assume).kind === 'knife' ? (['core'] as const) : (['sewn', 'core', 'finished'] as const);
  if (heights.some((name) => bySchool[name].height.value <= 0 || (bySchool.slope && bySchool.slope[name].value <= 0)))
    return blocked(known, school, [issue('error', 'allowances-leave-no-height', 'heightMm', { heightMm: cushion.heightMm })]);
  const bySides = outlinesOf(base, bySchool, acrossMm, deepMm);
  if (!bySides)
    return blocked(known, school, [
      issue('error', 'allowances-leave-nothing', 'template', { widthMm: bySchool.finished.width.value, depthMm: bySchool.finished.depth.value }),
    ]);
  const reached = reachedSizes(bySchool, bySides);
  const sizes = { ...reached, ...construction.cutSizes?.(cushion.construction, { sizes: reached, assume }) };
  const outlines = construction.seamLine ? { ...bySides, sewn: construction.seamLine(bySides.sewn, sizes) } : bySides;
  const profile = construction.profile(cushion.construction, sizes, assume);
  const round = shape.round?.(cushion.template, sizes.sewn.width, sizes.sewn.depth);

  const facts = slotFacts({ cloth, units }, cushion, shop);
  const crown = profile.domes ? crownFor(cushion, sizes, outlines, answers.crown) : null;
  const looked = lookedOver({ ...known, sizes });
  const ownFeather = construction.fillsFeather?.(cushion.construction) ?? null;
  const layered = contentsOf(cushion, sizes.core, shop);
  // A case that is all feather is pushed in by hand, whatever layers are named.
  const contents: Contents = ownFeather === 'all' ? { ...layered, loose: true, sprung: false, stiff: false, softUp: false, foamOnSprings: 0 } : layered;
  const request: CoverRequest = {
    sizes,
    sewn: outlines.sewn,
    cut: outlines.cut,
    core: outlines.core,
    dome: crown?.answer && cushion.crown?.way === 'bow' ? { outline: crown.answer.bowed, faces: facesOf(cushion, profile) } : null,
    marks: cushion.marks ?? [],
    round: round ?? measuredOn('seam line round', perimeter(outlines.sewn), 'along the edge of {0} by {1}', [sizes.sewn.width, sizes.sewn.depth]),
    cloth: facts,
    contents,
    assume,
  };
  const made = pieceWide(construction.make(cushion.construction, request), cushion.construction.wide ?? 'turn', request);
  const machine = cushion.machine ?? shop.document.machine ?? 'walking-foot';
  const thread = made.seams.length ? [threadFor(made.seams, facts('main').thicknessMm, machine, assume)] : [];
  const cover = { ...made, notions: [...made.notions, ...thread, ...bagInside(made, contents)] };
  const wrapWay = cushion.wrapWay ?? school.wrap.way;
  const places = cushion.seat?.places ?? 1;
  const foams = corePieces(cushion.core.layers, sizes.core, outlines.core, places, shop, assume).filter(
    ({ material }) =>
      ownFeather !== 'all' &&
      !(ownFeather && material.kind === 'filling' && fillingKinds([{ grade: material.filling, thicknessMm: material.thicknessMm }], shop)[0] === 'feather'),
  );
  const longCore = longCoreFor(cushion, sizes, answers.longCore);
  const stretches = facts('main').stretches;
  // Foam, cover and paper keep to the plan; wrap and fit go by the core that lies there.
  const cutCore = coreAsCut(cushion.core.asCut, sizes.core, outlines.core);
  const lying = { sizes: cutCore ? { ...sizes, core: cutCore.core } : sizes, outlines: cutCore ? { ...outlines, core: cutCore.outline } : outlines };
  const rolls = rollsOf(cushion, context);
  const asks = profile.modelled
    ? fitRequestOf(cushion, lying.sizes, {
        // What is laid counts: the roll that the shop has, not the loft that was asked for.
        loftMm: laidLoft(loftMm, rolls, shop),
        padLoftMm: laidLoft(cushion.crown?.pads?.loftMm ?? 0, rolls, shop),
        way: wrapWay,
        school,
        stretches,
        assume,
        shop,
        crown: crown?.answer ?? null,
        profile,
        outlines: lying.outlines,
        heightShare: cutCore?.heightShare ?? 1,
      })
    : null;
  const prediction = asks && fit(asks, assume);
  const wadding = [
    ...(cushion.core.kept ? hollowPads(looked, sizes.core, known.padLoftMm) : []),
    ...(cushion.core.kept && longCore ? joinPad(longCore, sizes.core, outlines.core, known.padLoftMm) : []),
    ...(profile.domes ? padPieces(cushion, crown?.answer ?? null, facesOf(cushion, profile)) : []),
    ...(profile.onBoard ? wrapOnBoard : wrapPieces)(wrapWay, loftMm, lying.sizes.core, lying.outlines.core, assume),
  ].flatMap((piece) => {
    const loft = piece.material.kind === 'wadding' ? piece.material.loftMm : loftMm;
    return onRoll(piece, shop.waddingNear(loft, rolls)?.rollWidthMm ?? Infinity, places, assume);
  });
  const coverPieces = kept
    ? []
    : cover.pieces.map((piece) => {
        if (piece.material.kind !== 'cloth') return piece;
        const { across, along } = shrinkage(clothUse(piece.material.slot, { cloth }, cushion), shop);
        return cutLarger(piece, across, along);
      });
  const felt = cushion.core.kept ? [] : feltPieces(cushion.core.layers, sizes.core, shop, assume, construction.felt?.(cushion.construction) ?? null);
  const muslin = cushion.core.kept ? null : muslinOf(request);
  const pieces = [
    ...coverPieces,
    ...(muslin ? [muslin] : []),
    ...(cushion.core.kept ? (longCore ? longCorePieces(longCore, sizes.core) : []) : [...foams, ...felt]),
    ...wadding,
  ];
  const steps = operationsFor(
    cover,
    kept,
    coreWork({
      source: cushion,
      shop,
      sizes,
      pieces,
      looked,
      wrapWay,
      wrapped: loftMm > 0,
      faces: facesOf(cushion, profile),
      onBoard: profile.onBoard,
      muslin,
      assume,
    }),
  );
  const work = workOrder(steps, { source: cushion, job: { units, cloth }, shop, seams: cover.seams, pieces, assume });
  return {
    ...known,
    state: 'planned',
    school,
    sizes,
    outlines,
    profile,
    lines: construction.lines(cushion.construction, { widthMm: sizes.sewn.width.value, assume }),
    wrap: given('wrap', loftMm, cushion.wrapLoftMm === undefined ? 'school' : 'entered'),
    wrapWay,
    cornerFilling: cornerFillingOf(outlines.sewn, sizes, loftMm, school, assume),
    pieces,
    cuts: pieces.map((piece) => cutOf(piece, cushion.quantity)),
    cover,
    operations: work.operations,
    looked,
    fit: prediction,
    fitRequest: asks,
    crown,
    longCore,
    problems: [
      ...under('template', shape.remarks?.(cushion.template) ?? []),
      ...(ownFeather === 'all'
        ? []
        : checkLayers(cushion.core.layers, sizes.core, foams, shop, assume).filter(
            // An insert has a loft, and it is pressed into its cover: its layers need not add up to it.
            ({ code }) => !(cushion.core.kept && FOR_NEW_FOAM.has(code)) && !(profile.kind === 'knife' && code === 'layers-do-not-add-up'),
          )),
      ...notModelled(cushion, shop, profile, construction),
      ...crownProblems(cushion, profile, construction),
      ...(kept ? keptCoverProblems(cushion) : cover.problems),
      ...(muslin && !construction.slots.includes('lining') && facts('lining') === facts('main')
        ? [issue('warning', 'slot-not-named', 'slots.lining', { what: 'muslin between springs and foam' })]
        : []),
      ...(longCore && cushion.core.kept ? longCoreProblems(longCore) : []),
      ...wrapProblems(cushion, loftMm, rolls, shop, assume),
      ...editionProblems(cushion, school, shop),
      ...asCutProblems(cutCore, sizes.core),
      ...(prediction ? fitProblems(prediction, lying.sizes, loftMm, school, assume) : []),
      ...watch({
        source: cushion,
        featherOnly: ownFeather === 'all',
        wrapLoftMm: loftMm,
        rolls,
        looked,
        certified: known.asked.certified ?? false,
        comesOff: construction.traits(cushion.construction).washable,
        shop,
        units,
      }),
      ...work.problems,
    ],
  };
}

/** A glued-up core higher than this share of its smaller side is a block: it does not fold. */
const BLOCK_SHARE = 0.5;

function isBlock(layers: Cushion['core']['layers'], { width, depth, height }: Sizes['core']): boolean {
  return layers.length > 1 && height.value > BLOCK_SHARE * Math.min(width.value, depth.value);
}

/** What the cover goes round. */
function contentsOf(cushion: Cushion, coreSize: Sizes['core'], shop: Shop): Contents {
  const { core, seat, fill } = cushion;
  const { layers } = core;
  const mark = core.kept ? seat?.old?.mark : undefined;
  const kinds = fillingKinds(layers, shop);
  const pattern = seat?.oldCover?.offCore === mark && !keptCover(cushion) ? ': its old cover is the pattern' : '';
  return {
    layers: layers.length,
    softUp: !sameBothWays(core),
    sprung: kinds.includes('spring'),
    featherMm: layers.filter((_, i) => kinds[i] === 'feather').map(({ thicknessMm }) => thicknessMm),
    overFront: layers[0]?.overFront ?? false,
    foamOnSprings: kinds.filter((kind, i) => i > 0 && [kind, kinds[i - 1]].sort().join() === 'foam,spring').length,
    stiff: kinds.includes('spring') || layers.some(({ grade }) => shop.grade(grade)?.family === 'slab') || isBlock(layers, coreSize),
    loose: kinds.length > 0 && kinds.every((kind) => kind === 'feather'),
    fill: fill ?? shop.document.fill ?? 'bag-out',
    belongs: mark ? ` Core ${mark} goes in${pattern}.` : '',
  };
}

/** A cushion that keeps the numbers of a shipped school from before they were corrected. */
function editionProblems({ schoolEdition }: Cushion, school: School, shop: Shop): Issue[] {
  const newest = shop.school(school.id)?.edition;
  if (schoolEdition === undefined || newest === undefined || schoolEdition >= newest) return [];
  return [issue('note', 'school-edition-older', 'schoolEdition', { school: school.name, edition: schoolEdition, newest })];
}
