import { drawnIn } from '../../../allowance/draw-in';
import { outlinesOf, reachedSizes, type Outlines } from '../../../allowance/outlines';
import { followingTestFit, type TestFit } from '../../../allowance/test-fit';
import { evaluateSizes } from '../../../allowance/sizes';
import type { Construction, EdgeProfile } from '../../../cover/contract';
import type { Cushion } from '../../../job/document';
import type { Outline } from '../../../geometry/outline';
import { given, type Figure } from '../../../kernel/figure';
import { issue, under, type Issue } from '../../../kernel/issue';
import type { Sizes } from '../../../piece/sizes';
import { overridden, type School } from '../../../shop/schools';
import type { Shop } from '../../../shop/shop';
import { outlineOf, shapeOf } from '../../../template/shapes/shapes';
import { pairMm } from '../../../units/length';
import { slotFacts } from '../../cloths';
import { keptCover } from '../old/look-over';
import type { CushionContext } from './context';

/** The wrapped core tried before cloth is cut: what was found, and the sewn size that was planned. */
export type FollowedTestFit = TestFit & { readonly planned: Sizes['sewn'] };

/** How large a cushion becomes, and what its outline and its edge are. */
export interface Sized {
  readonly school: School;
  readonly sizes: Sizes;
  readonly outlines: Outlines;
  readonly profile: EdgeProfile;
  /** The wrap's loft as asked for, mm. */
  readonly loftMm: number;
  /** Null where nothing was tried, or the construction's cover cannot follow. */
  readonly testFit: FollowedTestFit | null;
  /** Seam line round, where the shape has a law of its own for it. */
  readonly round: Figure | undefined;
}

/** No sizes, and why. */
export interface Unsized {
  readonly school: School | null;
  readonly sizes: null;
  readonly problems: readonly Issue[];
}

/** The school of a cushion with its own number in place, as the edition that it keeps; undefined where there is none of that name. */
function schoolOf({ school, schoolEdition, schoolNumber }: Cushion, shop: Shop): School | undefined {
  const row = shop.school(school, schoolEdition);
  return row && schoolNumber ? overridden(row, schoolNumber.number, schoolNumber.mm) : row;
}

/** The template's outline as it was measured; null where its measures make none. */
export function seatOf({ template }: Cushion): Outline | null {
  return shapeOf(template).check(template).length ? null : (outlineOf(template)?.outline ?? null);
}

/** The first step: from the template, the school and the construction to every size and outline, or to what stands in the way. */
export function sizedCushion(cushion: Cushion, construction: Construction, context: CushionContext): Sized | Unsized {
  const { shop, units, assume } = context;
  const { construction: choices, template, given: measuredAs, heightMm } = cushion;
  const school = schoolOf(cushion, shop);
  if (!school) return { school: null, sizes: null, problems: [issue('error', 'school-unknown', 'school', { school: cushion.school })] };
  const not = (...problems: readonly Issue[]): Unsized => ({ school, sizes: null, problems });

  const shape = shapeOf(template);
  const shapeProblems = under('template', shape.check(template));
  const measured = shapeProblems.length ? null : outlineOf(template);
  if (!measured) return not(...shapeProblems);
  const { outline: base, acrossMm, deepMm } = measured;
  const thin = shape.thin?.(template) ?? null;
  const unsuited = construction.suits({ outline: base, sloping: thin !== null });
  if (unsuited.length) return not(...unsuited);
  if (thin && thin.mm >= heightMm) return not(issue('error', 'thin-edge-not-thinner', 'template.thinMm', { thinMm: thin.mm, heightMm }));

  const measures = { given: measuredAs, acrossMm, deepMm, heightMm };
  const own = construction.sizes?.(choices, { ...measures, system: units, assume }) ?? null;
  const loftMm = cushion.wrapLoftMm ?? (own ? 0 : pairMm(school.wrap.loft, units));
  const asked = { ...measures, wrapLoftMm: loftMm, wrapSqueezed: assume('wrapSqueezedLightly'), seamMm: choices.seamMm ?? null, thin };
  const evaluated = own ?? evaluateSizes(school, asked, units);
  const cloth = given('cloth', slotFacts(context, cushion, shop)('welt').thicknessMm, 'material');
  const welted = construction.flange?.(choices, { cloth, assume }) ?? null;
  const bySchool = welted ? drawnIn(evaluated, welted.flange, welted.edges, measuredAs) : evaluated;
  if (leavesNoHeight(bySchool, construction.profile(choices, bySchool, assume)))
    return not(issue('error', 'allowances-leave-no-height', 'heightMm', { heightMm }));
  const tried = testFitOf(cushion, () => own === null && construction.profile(choices, bySchool, assume).kind === 'band');
  const fitted = tried ? followingTestFit(bySchool, tried) : bySchool;
  const bySides = outlinesOf(base, fitted, acrossMm, deepMm);
  if (!bySides) {
    const { width, depth } = bySchool.finished;
    return not(issue('error', 'allowances-leave-nothing', 'template', { widthMm: width.value, depthMm: depth.value }));
  }
  const reached = reachedSizes(fitted, bySides);
  const sizes = { ...reached, ...construction.cutSizes?.(choices, { sizes: reached, assume }) };
  return {
    school,
    sizes,
    outlines: construction.seamLine ? { ...bySides, sewn: construction.seamLine(bySides.sewn, sizes) } : bySides,
    profile: construction.profile(choices, sizes, assume),
    loftMm,
    testFit: tried && { ...tried, planned: bySchool.sewn },
    round: shape.round?.(template, sizes.sewn.width, sizes.sewn.depth),
  };
}

/** The test-fit of a cushion whose cover is cut anew and can follow it: a level box that the school sizes. */
function testFitOf(cushion: Cushion, follows: () => boolean): TestFit | null {
  if (!cushion.testFit || keptCover(cushion) !== null) return null;
  const level = (shapeOf(cushion.template).thin?.(cushion.template) ?? null) === null;
  return level && follows() ? cushion.testFit : null;
}

/** A knife edge has no height of its own as sewn or finished. */
function leavesNoHeight(sizes: Sizes, { kind }: EdgeProfile): boolean {
  const heights = kind === 'knife' ? (['core'] as const) : (['sewn', 'core', 'finished'] as const);
  return heights.some((name) => sizes[name].height.value <= 0 || (sizes.slope && sizes.slope[name].value <= 0));
}
