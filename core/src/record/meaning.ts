import type { Check } from '../job/document';
import type { CushionPlan } from '../plan/cushion/cushion-plan';
import { compare, type CheckPlace } from './check';

/** What a check shows that is not as it was promised, or that all is. `mm` is how far off, always positive. */
export type Meaning =
  | { readonly code: 'as-promised' }
  | { readonly code: 'larger' | 'smaller' | 'prouder' | 'flatter' | 'edge-high' | 'edge-low' | 'twisted'; readonly mm: number }
  | { readonly code: 'one-way'; readonly place: 'widthMm' | 'depthMm'; readonly mm: number; readonly over: boolean }
  | { readonly code: 'corners-soft' | 'corners-empty' | 'welt-rolls' | 'welt-wavy' | 'slack' | 'hard' | 'tight-in-seat' | 'gap-in-seat' };

/** Plates twisted by less than this are as straight as soft goods can be sewn, mm. */
export const TWIST_MM = 5;

/**
 * What the last check of a cushion means. When width and depth differ alike, the cause is the seams or the cloth; when only one differs, it is that plate. The middle is judged
 * against the predicted crown, so a crowned cushion that came out as planned gives no finding. What was not measured is not judged; before any measurement the list is empty.
 */
export function meaningOf(plan: CushionPlan, check: Check): Meaning[] {
  const off = new Map(compare(plan, check).map(({ place, offMm, within }) => [place, offMm !== null && within === false ? offMm : offMm === null ? null : 0]));
  const by = (place: CheckPlace): number => off.get(place) ?? 0;
  const [wide, deep, edge, middle] = [by('widthMm'), by('depthMm'), by('edgeMm'), by('middleMm')];
  const found: Meaning[] = [];
  if (wide * deep > 0) found.push({ code: wide > 0 ? 'larger' : 'smaller', mm: Math.abs(wide + deep) / 2 });
  else
    for (const [place, mm] of [
      ['widthMm', wide],
      ['depthMm', deep],
    ] as const)
      if (mm !== 0) found.push({ code: 'one-way', place, mm: Math.abs(mm), over: mm > 0 });
  if (edge !== 0) found.push({ code: edge > 0 ? 'edge-high' : 'edge-low', mm: Math.abs(edge) });
  // The middle stands on the edge: of both off alike the edge is the cause.
  const crown = Math.abs(middle - edge) > 1e-9 ? middle - edge : 0;
  if (middle !== 0 && crown !== 0) found.push({ code: crown > 0 ? 'prouder' : 'flatter', mm: Math.abs(crown) });
  if ((check.twistMm ?? 0) > TWIST_MM) found.push({ code: 'twisted', mm: check.twistMm ?? 0 });
  if (check.corners === 'soft') found.push({ code: 'corners-soft' });
  if (check.corners === 'empty') found.push({ code: 'corners-empty' });
  if (check.welt === 'rolls-over') found.push({ code: 'welt-rolls' });
  if (check.welt === 'wavy') found.push({ code: 'welt-wavy' });
  if (check.thumb === 'slack') found.push({ code: 'slack' });
  if (check.thumb === 'hard') found.push({ code: 'hard' });
  if (check.seat === 'tight') found.push({ code: 'tight-in-seat' });
  if (check.seat === 'gap') found.push({ code: 'gap-in-seat' });
  if (found.length) return found;
  const judged =
    [...off.values()].some((mm) => mm !== null) || [check.twistMm, check.corners, check.welt, check.thumb, check.seat].some((one) => one !== undefined);
  return judged ? [{ code: 'as-promised' }] : [];
}
