import { given, minus, plus, sum, type Figure } from '../kernel/figure';
import { issue, type Issue } from '../kernel/issue';
import type { Sizes } from '../piece/sizes';

/** Who gives way where the wrapped core measures otherwise than planned. */
export const TEST_FIT_COVERS = ['follows', 'as-planned'] as const;

/** A core tried on before any cloth is cut: what it measured over its wrap, lightly squeezed, as far as it has been measured, mm. */
export interface TestFit {
  readonly widthMm?: number | undefined;
  readonly depthMm?: number | undefined;
  readonly heightMm?: number | undefined;
  readonly cover: (typeof TEST_FIT_COVERS)[number];
}

/** A wrapped core measures as planned within this, mm: what a tape can tell on wadding. */
const AS_PLANNED_MM = 3;

const SIDES = ['width', 'depth', 'height'] as const;
type Side = (typeof SIDES)[number];
const measuredOf = (fit: TestFit, side: Side): number | undefined => fit[`${side}Mm`];

/** Whether the cover is to be cut to what was measured, and something was. */
const follows = (fit: TestFit): boolean => fit.cover === 'follows' && SIDES.some((side) => measuredOf(fit, side) !== undefined);

/** The sizes with plates and boxing cut to the wrapped core as it measured; sides that were not measured stay as planned. */
export function followingTestFit(sizes: Sizes, fit: TestFit): Sizes {
  if (!follows(fit)) return sizes;
  const { sewn, seam, flange } = sizes;
  const side = (name: Side): Figure => {
    const mm = measuredOf(fit, name);
    return mm === undefined ? sewn[name] : given('over the wrap', mm, 'entered');
  };
  const made = { width: side('width'), depth: side('depth'), height: side('height') };
  const cut = (figure: Figure, before: Figure, planned: Figure): Figure => (figure === planned ? before : sum('cut', figure, plus(flange ?? seam, 2)));
  const higher = made.height.value - sewn.height.value;
  const by = given(higher < 0 ? 'less by the test-fit' : 'more by the test-fit', Math.abs(higher), 'measured');
  return {
    ...sizes,
    sewn: made,
    cut: { width: cut(made.width, sizes.cut.width, sewn.width), depth: cut(made.depth, sizes.cut.depth, sewn.depth) },
    boxingCut: higher === 0 ? sizes.boxingCut : sum('boxing cut', sizes.boxingCut, higher < 0 ? minus(by) : plus(by)),
    cutToCore: false,
  };
}

/** What a test-fit has changed, or what differs from it and stays: nothing while it measures as planned. `planned` are the sizes before it. */
export function testFitProblems(fit: TestFit, planned: Sizes['sewn']): Issue[] {
  const measured = SIDES.map((side) => measuredOf(fit, side) ?? planned[side].value);
  const off = measured.map((mm, i) => mm - planned[SIDES[i] as Side].value);
  const worstMm = off.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
  if (Math.abs(worstMm) < AS_PLANNED_MM) return [];
  const [widthMm = 0, depthMm = 0, heightMm = 0] = measured;
  const data = {
    widthMm,
    depthMm,
    heightMm,
    worstMm: Math.abs(worstMm),
    plannedWidthMm: planned.width.value,
    plannedDepthMm: planned.depth.value,
    plannedHeightMm: planned.height.value,
  };
  if (fit.cover === 'follows') return [issue('note', 'test-fit-followed', 'testFit', data)];
  return [issue('warning', worstMm > 0 ? 'test-fit-larger' : 'test-fit-smaller', 'testFit', data)];
}
