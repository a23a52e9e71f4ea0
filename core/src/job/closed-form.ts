import type { Construction } from '../cover/contract';
import { CONSTRUCTIONS, constructionOf } from '../cover/list';
import { shipped } from '../shop/assumptions';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';
import { cornersOf } from '../cover/parts/corners';
import type { ClosedForm, ClosedLines } from '../form/form';
import { edgeSpans, flatten, perimeter, type Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import type { Cushion } from './document';
import type { Planned } from './plan-cushion';

/** Chords of the closed cushion's rim run this near to its curves, mm. */
const RIM_MM = 1.5;

/** How far round the rim each of its points lies, mm. */
function alongs(rim: readonly Point[]): number[] {
  let mm = 0;
  return rim.map((p, i) => {
    const before = mm;
    mm += distance(p, rim[(i + 1) % rim.length] as Point);
    return before;
  });
}

/** For each side of the rim, whether it belongs to the front; and the places of the rim that are nearest to its corners. */
function sidesOf(outline: Outline, rim: readonly Point[]): { readonly front: readonly boolean[]; readonly corners: readonly number[] } {
  const places = alongs(rim);
  const length = perimeter(outline);
  const fronts = edgeSpans(outline).filter(({ edge }) => edge === 'front');
  const front = places.map((from, i) => {
    const middle = (from + (places[i + 1] ?? length)) / 2;
    return fronts.some(({ start, end }) => middle > start && middle < end);
  });
  const corners = cornersOf(outline).map(({ start, end }) => {
    const at = ((start + end) / 2) % length;
    const off = (mm: number): number => Math.min(Math.abs(mm - at), length - Math.abs(mm - at));
    return places.reduce((best, mm, i) => (off(mm) < off(places[best] ?? 0) ? i : best), 0);
  });
  return { front, corners };
}

/** The finished cushion as a solid, from its outline, its edge and how it will fit: what a drawing from any side is made of. */
export function closedForm(
  one: Planned,
  { shop, units }: { readonly shop: Shop; readonly units: UnitSystem },
  constructions: readonly Construction[] = CONSTRUCTIONS,
): ClosedForm {
  const { source, outlines, profile, sizes, fit, cover } = one;
  const rim = flatten(outlines.sewn, RIM_MM);
  const { front, corners } = sidesOf(outlines.sewn, rim);
  const lines = constructionOf(source.construction, constructions).lines(source.construction, {
    widthMm: sizes.sewn.width.value,
    assume: (key) => shop.assume(key, units),
  });
  // A plate of three parts has its marks on all of them.
  const [plate] = cover.pieces.filter(({ role }) => role === 'plate');
  const buttons = cover.pieces
    .filter(({ id }) => plate && (id === plate.id || id.startsWith(plate.id.replace(/-(middle|right|left)$/, '-'))))
    .flatMap(({ marks }) => marks.filter(({ kind }) => kind === 'button' || kind === 'tuft').map(({ at }) => at));
  const shared = { rim, front, lines, cornersAt: corners, buttons };
  if (profile.kind === 'body') return { ...shared, heightMm: sizes.finished.height.value, lie: 'along', overMm: 0, underMm: 0 };
  if (profile.kind === 'knife') return { ...shared, heightMm: 0, lie: 'across', overMm: source.heightMm / 2, underMm: source.heightMm / 2 };
  const crownMm = source.crown?.mm ?? fit?.crownMm ?? 0;
  const { slope, sewn } = sizes;
  const [thick, thin] = [sewn.height.value, slope?.sewn.value ?? sewn.height.value];
  return {
    ...shared,
    heightMm: slope?.end === 'front' ? thin : thick,
    ...(slope ? { backMm: slope.end === 'front' ? thick : thin } : {}),
    lie: 'across',
    overMm: crownMm,
    underMm: profile.crownedFaces === 1 ? 0 : crownMm,
  };
}

/** What a cushion's construction leaves on it when it is closed, as far as that is known without planning it. */
export function closedLines({ construction }: Pick<Cushion, 'construction'>, widthMm: number): ClosedLines {
  return constructionOf(construction).lines(construction, { widthMm, assume: shipped });
}
