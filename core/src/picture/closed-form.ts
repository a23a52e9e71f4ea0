import { cornersOf } from '../cover/band/corners';
import type { ClosedForm } from '../form/form';
import { edgeSpans, flatten, perimeter, stationAt, type Outline } from '../geometry/outline';
import type { Cover } from '../cover/contract';
import type { Mark, Piece } from '../piece/piece';
import { alongOutline } from '../geometry/along';
import { distance, type Point } from '../geometry/point';
import type { Planned } from '../plan/cushion/cushion-plan';

/** Chords of the closed cushion's rim run this near to its curves, mm. */
const RIM_MM = 1.5;
/** A domed plate's notches lie this near to the flat seam line, mm. */
const NEAR_MM = 60;

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

/** A rim with a corner of its own at further places round it, mm. */
function rimAt(outline: Outline, places: readonly number[]): Point[] {
  const rim = flatten(outline, RIM_MM);
  const length = perimeter(outline);
  const steps = alongs(rim);
  const scale = length / ((steps.at(-1) ?? 0) + distance(rim.at(-1) as Point, rim[0] as Point));
  const more = places.filter((mm) => steps.every((at) => Math.abs(at * scale - mm) > 1)).map((mm) => ({ mm, at: stationAt(outline, mm).at }));
  return [...rim.map((at, i) => ({ mm: (steps[i] ?? 0) * scale, at })), ...more].sort((a, b) => a.mm - b.mm).map(({ at }) => at);
}

/** For each side of a rim, whether it lies between two places round the outline, the way that goes by the back. */
function between(outline: Outline, rim: readonly Point[], [a, b]: readonly [number, number]): boolean[] {
  const length = perimeter(outline);
  const places = alongs(rim);
  const total = (places.at(-1) ?? 0) + distance(rim.at(-1) as Point, rim[0] as Point);
  const middles = rim.map((_, i) => ((((places[i] ?? 0) + (places[i + 1] ?? total)) / 2) * length) / total);
  const within = (from: number, to: number) => (mm: number) => (from <= to ? mm > from && mm < to : mm > from || mm < to);
  const back = edgeSpans(outline).find(({ edge }) => edge === 'back');
  const middle = back ? (back.start + back.end) / 2 : length / 2;
  return middles.map(within(a, b)(middle) ? within(a, b) : within(b, a));
}

/** What is marked on the first plate; one of three parts has its marks on all of them. */
export function plateMarksOf({ pieces }: Pick<Cover, 'pieces'>): Mark[] {
  const [plate] = pieces.filter(({ role }) => role === 'plate');
  const wholeOf = ({ id, partOf }: Piece): string => partOf?.plate ?? id;
  return pieces.filter((one) => plate && wholeOf(one) === wholeOf(plate)).flatMap(({ marks }) => marks);
}

/** Whether a mark draws the face in. */
export const isButton = ({ kind }: Mark): boolean => kind === 'button' || kind === 'tuft';

/** The finished cushion as a solid, from its outline, its edge and how it will fit: what a drawing from any side is made of. */
export function closedForm(one: Planned): ClosedForm {
  const { source, outlines, profile, sizes, fit, cover, crown, lines } = one;
  const marks = plateMarksOf(cover);
  const buttons = marks.filter(isButton).map(({ at }) => at);
  const zipEnds = lines.zip
    ? marks.flatMap(({ kind, at }) => (kind === 'zip-end' ? [alongOutline(outlines.sewn, at, NEAR_MM)] : [])).filter((mm) => mm !== null)
    : [];
  const rim = rimAt(outlines.sewn, zipEnds);
  const { front, corners } = sidesOf(outlines.sewn, rim);
  const shared = { rim, front, lines, cornersAt: corners, buttons };
  if (profile.kind === 'body') return { ...shared, heightMm: sizes.finished.height.value, lie: 'along', overMm: 0, underMm: 0 };
  if (profile.kind === 'knife') return { ...shared, heightMm: 0, lie: 'across', overMm: source.heightMm / 2, underMm: source.heightMm / 2 };
  const zip = zipEnds.length === 2 ? between(outlines.sewn, rim, zipEnds as [number, number]) : null;
  const rounded = profile.roundedFront;
  const crownMm = source.crown?.mm ?? fit?.crownMm ?? 0;
  const { slope, sewn } = sizes;
  const [thick, thin] = [sewn.height.value, slope?.sewn.value ?? sewn.height.value];
  return {
    ...shared,
    heightMm: slope?.end === 'front' ? thin : thick,
    ...(slope ? { backMm: slope.end === 'front' ? thick : thin } : {}),
    ...(zip ? { zip } : {}),
    ...(rounded ? { rounded } : {}),
    // A crown that is asked for is drawn as it was solved; of a wedge it was solved on the slope.
    ...(crown?.answer && !slope && source.crown?.mm ? { surface: crown.answer.surface } : {}),
    lie: 'across',
    overMm: crownMm,
    underMm: profile.crownedFaces === 1 ? 0 : crownMm,
  };
}
