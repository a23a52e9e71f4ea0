import { given, law, minus, plus, renamed, sum, type Figure, type Term } from '../kernel/figure';
import type { Growth, School } from '../shop/schools';
import { pairMm, type Pair, type UnitSystem } from '../units/length';

export interface Plane {
  readonly width: Figure;
  readonly depth: Figure;
}

/** The four sizes of a cushion, and the sewn one beside the finished. Millimetres, unrounded. */
export interface Sizes {
  readonly seat: Plane;
  readonly finished: Plane & { readonly height: Figure };
  /** What the cover measures seam to seam. */
  readonly sewn: Plane & { readonly height: Figure };
  readonly core: Plane & { readonly height: Figure };
  /** The plates. */
  readonly cut: Plane;
  readonly boxingCut: Figure;
  readonly seam: Figure;
}

export interface SizeRequest {
  readonly given: 'seat' | 'finished' | 'core';
  readonly acrossMm: number;
  readonly deepMm: number;
  readonly heightMm: number;
  /** One layer of wrap; 0 for none. */
  readonly wrapLoftMm: number;
  /** The cushion's own seam allowance, or null for the school's. */
  readonly seamMm: number | null;
}

const fromSchool = (name: string, value: Pair, system: UnitSystem): Figure => given(name, pairMm(value, system), 'school');

interface Direction {
  readonly growth: Growth;
  readonly long: School['longCore'];
}

function coreFromFinished(finished: Figure, { growth, long }: Direction, system: UnitSystem): Figure {
  const terms: Term[] = growth.times ? [plus(fromSchool('a side', growth.each, system), growth.times)] : [];
  if (long && finished.value > pairMm(long.beyond, system)) {
    const numbers = [finished, fromSchool('limit', long.beyond, system), fromSchool('more', long.add, system), fromSchool('of length', long.per, system)];
    terms.push(plus(law('for a long core', '({0} − {1}) × {2} per {3}', numbers, (f = 0, beyond = 0, add = 0, per = 1) => ((f - beyond) * add) / per)));
  }
  return sum('core', finished, ...terms);
}

function finishedFromCore(core: Figure, { growth, long }: Direction, system: UnitSystem): Figure {
  const plain = sum('finished', core, ...(growth.times ? [minus(fromSchool('a side', growth.each, system), growth.times)] : []));
  if (!long || plain.value <= pairMm(long.beyond, system)) return plain;
  const numbers = [
    renamed('core less its sides', plain),
    fromSchool('limit', long.beyond, system),
    fromSchool('more', long.add, system),
    fromSchool('of length', long.per, system),
  ];
  return law(
    'finished',
    '({0} + {1} × {2} per {3}) ÷ (1 + {2} per {3})',
    numbers,
    (c = 0, beyond = 0, add = 0, per = 1) => (c + (beyond * add) / per) / (1 + add / per),
  );
}

/**
 * Leads from the given size to all the others by the rules of one school. Runs both ways: from the seat or the finished size to the core,
 * from a kept core to the cover. The longer side alone takes the long-core rule.
 */
export function evaluateSizes(school: School, request: SizeRequest, system: UnitSystem): Sizes {
  const seam = request.seamMm === null ? fromSchool('seam', school.seam, system) : given('seam', request.seamMm, 'entered');
  const gap = fromSchool('gap', school.seatGap, system);

  const plan = (enteredMm: number, growth: Growth, longer: boolean): Record<'seat' | 'finished' | 'core' | 'cut', Figure> => {
    const direction = { growth, long: longer ? school.longCore : null };
    const entered = given(request.given, enteredMm, 'entered');
    const finished =
      request.given === 'core' ? finishedFromCore(entered, direction, system) : request.given === 'seat' ? sum('finished', entered, minus(gap)) : entered;
    return {
      seat: request.given === 'seat' ? entered : sum('seat', finished, plus(gap)),
      finished,
      core: request.given === 'core' ? entered : coreFromFinished(finished, direction, system),
      cut: sum('cut', finished, plus(seam, 2)),
    };
  };
  const across = plan(request.acrossMm, school.coreAcross, request.acrossMm >= request.deepMm);
  const deep = plan(request.deepMm, school.coreDeep, request.deepMm > request.acrossMm);

  const height = given('finished height', request.heightMm, 'entered');
  const wrapped = request.wrapLoftMm > 0 && school.wrap.coreThicknessWrapped;
  const thicker = fromSchool(wrapped ? 'over the height, wrapped' : 'over the height', wrapped || school.coreThickness, system);
  const ease = fromSchool('boxing ease', school.boxingEase, system);
  const sewnHeight = ease.value ? sum('sewn height', height, plus(ease)) : renamed('sewn height', height);

  return {
    seat: { width: across.seat, depth: deep.seat },
    finished: { width: across.finished, depth: deep.finished, height },
    sewn: { width: renamed('sewn', across.finished), depth: renamed('sewn', deep.finished), height: sewnHeight },
    core: { width: across.core, depth: deep.core, height: sum('core thickness', height, plus(thicker)) },
    cut: { width: across.cut, depth: deep.cut },
    boxingCut: sum('boxing cut', sewnHeight, plus(seam, 2)),
    seam,
  };
}
