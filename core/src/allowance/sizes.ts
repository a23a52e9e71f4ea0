import { given, law, minus, plus, renamed, sum, type Figure, type Term } from '../kernel/figure';
import { schoolNumber, type School, type SchoolNumberKey } from '../shop/schools';
import { pairMm, type UnitSystem } from '../units/length';
import type { GivenSize, Sizes } from '../piece/sizes';
import { slopeOf, type Thin } from './slope';

export interface SizeRequest {
  readonly given: GivenSize;
  readonly acrossMm: number;
  readonly deepMm: number;
  /** Of the size that was given: a kept core's own thickness, an old cover's sewn boxing. */
  readonly heightMm: number;
  /** One layer of wrap; 0 for none. */
  readonly wrapLoftMm: number;
  /** Share of its loft that a wrap keeps when the cover is measured over it. */
  readonly wrapSqueezed: number;
  /** The cushion's own seam allowance, or null for the school's. */
  readonly seamMm: number | null;
  readonly thin: Thin | null;
}

/** Everything the rules are read with. */
interface Rules {
  readonly school: School;
  readonly system: UnitSystem;
  readonly seam: Figure;
  /** The wrap on one side or face, squeezed. */
  readonly wrap: Figure;
}

function numberOf({ school, system }: Pick<Rules, 'school' | 'system'>, key: SchoolNumberKey): Figure {
  const number = schoolNumber(key);
  return given(number.short, pairMm(number.get(school) ?? { mm: 0, inch: 0 }, system), school.overridden === key ? 'entered' : 'school');
}

/** A term that adds what is above nothing and takes away what is below; none where it is nothing. */
function signed(figure: Figure, times: number): Term[] {
  if (figure.value === 0 || times === 0) return [];
  return [figure.value > 0 ? plus(figure, times) : minus({ ...figure, value: -figure.value } as Figure, times)];
}

const reversed = (terms: readonly Term[]): Term[] => terms.map((term) => ({ ...term, sign: term.sign === 1 ? -1 : 1 }));

interface Direction {
  readonly terms: readonly Term[];
  /** The longer side alone takes the long-core rule. */
  readonly long: readonly [beyond: Figure, add: Figure, per: Figure] | null;
}

function directionOf(rules: Rules, key: 'core-across' | 'core-deep', longer: boolean): Direction {
  const { school } = rules;
  const growth = key === 'core-across' ? school.coreAcross : school.coreDeep;
  return {
    terms: [...signed(numberOf(rules, key), growth.times), ...(longer ? signed(numberOf(rules, 'core-ends'), school.coreEnds.times) : [])],
    long: longer && school.longCore ? [numberOf(rules, 'long-beyond'), numberOf(rules, 'long-add'), numberOf(rules, 'long-per')] : null,
  };
}

function coreFromFinished(finished: Figure, { terms, long }: Direction): Figure {
  if (!long || finished.value <= long[0].value) return sum('core', finished, ...terms);
  const more = law('for a long core', '({0} − {1}) × {2} per {3}', [finished, ...long]);
  return sum('core', finished, ...terms, plus(more));
}

function finishedFromCore(core: Figure, { terms, long }: Direction): Figure {
  const plain = sum('finished', core, ...reversed(terms));
  if (!long || plain.value <= long[0].value) return plain;
  return law('finished', '({0} + {1} × {2} per {3}) ÷ (1 + {2} per {3})', [renamed('core less its sides', plain), ...long]);
}

/** What the plates' seam line has over the size it is sewn to. */
function plateTerms(rules: Rules): Term[] {
  const { plate } = rules.school;
  if (plate.to === 'core') return [minus(rules.seam, 2)];
  return [...(plate.to === 'wrapped' ? signed(rules.wrap, 2) : []), ...signed(numberOf(rules, 'plate'), 2)];
}

interface Line {
  readonly seat: Figure;
  readonly finished: Figure;
  readonly sewn: Figure;
  readonly core: Figure;
  readonly cut: Figure;
}

/** One direction of the plan, from whichever size was given. */
function lineOf(rules: Rules, from: SizeRequest['given'], enteredMm: number, direction: Direction): Line {
  const gap = numberOf(rules, 'seat-gap');
  const terms = plateTerms(rules);
  const { to } = rules.school.plate;
  const entered = given(from === 'sewn' ? 'old cover' : from, enteredMm, 'entered');

  const coreGiven = from === 'core' ? entered : from === 'sewn' && to !== 'finished' ? sum('core', entered, ...reversed(terms)) : null;
  const finished = coreGiven
    ? finishedFromCore(coreGiven, direction)
    : from === 'seat'
      ? sum('finished', entered, minus(gap))
      : from === 'sewn'
        ? terms.length
          ? sum('finished', entered, ...reversed(terms))
          : renamed('finished', entered)
        : entered;
  const core = coreGiven ?? coreFromFinished(finished, direction);
  const base = to === 'finished' ? finished : core;
  const sewn = from === 'sewn' ? renamed('sewn', entered) : terms.length ? sum('sewn', base, ...terms) : renamed('sewn', base);
  const cut = to === 'core' ? renamed('cut', core) : sum('cut', terms.length ? sewn : base, plus(rules.seam, 2));
  return { seat: from === 'seat' ? entered : sum('seat', finished, plus(gap)), finished, sewn, core, cut };
}

interface Heights {
  readonly finished: Figure;
  readonly core: Figure;
  readonly sewn: Figure;
  readonly boxingCut: Figure;
}

/** What the core has over the finished height. */
function thickerBy({ school, system }: Rules, wrapped: boolean): Figure {
  return wrapped && school.wrap.coreThicknessWrapped
    ? given('over the height, wrapped', pairMm(school.wrap.coreThicknessWrapped, system), 'school')
    : numberOf({ school, system }, 'core-thickness');
}

/** What the sewn boxing has over the height it is sewn to. */
function boxingTerms(rules: Rules): Term[] {
  const { to } = rules.school.boxing;
  if (to === 'core') return [minus(rules.seam, 2)];
  return [...(to === 'wrapped' ? signed(rules.wrap, 2) : []), ...signed(numberOf(rules, 'boxing'), 1)];
}

const HEIGHT_NAMES = { seat: 'finished height', finished: 'finished height', core: 'core thickness', sewn: 'old cover, high' } as const;

/** Heights at one edge of the cushion, from the height of whichever size was given; a seat's is the finished one. */
function heightsOf(rules: Rules, from: SizeRequest['given'], enteredMm: number, wrapped: boolean, edge = ''): Heights {
  const { to } = rules.school.boxing;
  const thicker = thickerBy(rules, wrapped);
  const terms = boxingTerms(rules);
  const backFrom = (name: string, figure: Figure, more: readonly Term[]): Figure =>
    more.length ? sum(name, figure, ...reversed(more)) : renamed(name, figure);
  const entered = given(`${HEIGHT_NAMES[from]}${edge}`, enteredMm, 'entered');

  const coreGiven = from === 'core' ? entered : from === 'sewn' && to !== 'finished' ? backFrom('core thickness', entered, terms) : null;
  const finished = coreGiven
    ? sum('finished height', coreGiven, ...reversed([plus(thicker)]))
    : from === 'sewn'
      ? backFrom('finished height', entered, terms)
      : entered;
  const core = coreGiven ?? sum('core thickness', finished, plus(thicker));
  const base = to === 'finished' ? finished : core;
  const sewn = from === 'sewn' ? renamed('sewn height', entered) : terms.length ? sum('sewn height', base, ...terms) : renamed('sewn height', base);
  const boxingCut = to === 'core' ? renamed('boxing cut', core) : sum('boxing cut', sewn, plus(rules.seam, 2));
  return { finished, core, sewn, boxingCut };
}

/**
 * Derives every size from the given one by the rules of one school, in either direction: from the seat or the finished size to the core, from a kept core
 * to the cover, from an old cover to a new core. The height entered belongs to the size given. On a wedge both edges follow the same rules.
 */
export function evaluateSizes(school: School, request: SizeRequest, system: UnitSystem): Sizes {
  const seam = request.seamMm === null ? numberOf({ school, system }, 'seam') : given('seam', request.seamMm, 'entered');
  const loft = given('loft', request.wrapLoftMm, 'entered');
  const wrap = law('wrap, squeezed', '{0} × {1}', [loft, given('squeezed', request.wrapSqueezed, 'shop', 'count')]);
  const rules: Rules = { school, system, seam, wrap };
  const across = lineOf(rules, request.given, request.acrossMm, directionOf(rules, 'core-across', request.acrossMm >= request.deepMm));
  const deep = lineOf(rules, request.given, request.deepMm, directionOf(rules, 'core-deep', request.deepMm > request.acrossMm));
  const wrapped = request.wrapLoftMm > 0;
  const thick = heightsOf(rules, request.given, request.heightMm, wrapped);
  const thin = request.thin && heightsOf(rules, request.given, request.thin.mm, wrapped, ', thin edge');

  return {
    seat: { width: across.seat, depth: deep.seat },
    finished: { width: across.finished, depth: deep.finished, height: thick.finished },
    sewn: { width: renamed('sewn', across.sewn), depth: renamed('sewn', deep.sewn), height: thick.sewn },
    core: { width: across.core, depth: deep.core, height: thick.core },
    cut: { width: across.cut, depth: deep.cut },
    boxingCut: thick.boxingCut,
    seam,
    flange: null,
    cutToCore: school.plate.to === 'core',
    slope: request.thin && thin ? slopeOf(request.thin.end, thin, thick.sewn, deep.sewn, seam) : null,
  };
}
