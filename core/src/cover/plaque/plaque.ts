import { given, law, minus, plus, sum, type Figure } from '../../kernel/figure';
import { stripRun, type SkinRun } from '../../form/skin';
import type { Piece } from '../../piece/piece';
import type { SeamDraft, Stretch } from '../../piece/seam';
import type { Stage } from '../../piece/stage';
import { clothStrip, pairOfMarks, stripEdge } from '../sewing/cloth-piece';
import type { PlaqueAsk, PlaqueKind } from './ask';
import { plaqueStages } from './plaque-stages';

/** The part of the band that opens. */
export interface Plaque {
  readonly kind: PlaqueKind;
  readonly pieces: readonly Piece[];
  /** Its cut length, all of it. */
  readonly length: Figure;
  readonly topEdge: readonly Stretch[];
  readonly bottomEdge: readonly Stretch[];
  /** Its ends as they meet the boxing: together as high as the band. */
  readonly left: readonly Stretch[];
  readonly right: readonly Stretch[];
  readonly seams: readonly SeamDraft[];
  /** Where its strips show, mm from the opening's left end. */
  readonly runs: readonly SkinRun[];
  /** Share of the band's height at which one strip shows below and the other above. */
  readonly split: number;
  /** How it is made up, across. */
  readonly stages: readonly Stage[];
}

/** One strip of a plaque before it is pieced: its height, its allowances, and what of its height is folded away where its ends are sewn. */
interface Strip {
  readonly id: string;
  readonly label: string;
  readonly remark: string;
  readonly height: Figure;
  readonly lowerMm: number;
  readonly upperMm: number;
  readonly foldedMm: number;
  readonly count: number;
}

const twice = (name: string, from: Figure, lower: Figure, upper: Figure, ...more: Figure[]): Figure =>
  lower.value === upper.value
    ? sum(name, from, plus(lower, 2), ...more.map((one) => plus(one)))
    : sum(name, from, plus(lower), plus(upper), ...more.map((one) => plus(one)));

/** The strips of a plaque from the lower seam up; one that serves as both is named once. */
function stripsOf(ask: PlaqueAsk): readonly [lower: Strip, upper: Strip] {
  const { kind, height, lower, upper, zipWidth, teeth, gap, lap, turnIn } = ask;
  switch (kind) {
    case 'slit': {
      const strip: Strip = {
        id: 'plaque',
        label: 'zip plaque',
        remark: 'slit strip',
        height: twice('plaque, cut', height, lower, upper, zipWidth),
        lowerMm: lower.value,
        upperMm: upper.value,
        foldedMm: zipWidth.value,
        count: 1,
      };
      return [strip, strip];
    }
    case 'folded': {
      const half = (which: string, allowance: Figure): Strip => ({
        id: `plaque${which && `-${which}`}`,
        label: `${which && `${which} `}zip plaque strip`,
        remark: 'folded in half',
        height: sum('strip, cut', height, plus(allowance, 2)),
        lowerMm: allowance.value,
        upperMm: allowance.value,
        foldedMm: height.value / 2,
        count: which ? 1 : 2,
      });
      if (lower.value !== upper.value) return [half('lower', lower), half('upper', upper)];
      const both = half('', lower);
      return [both, both];
    }
    case 'lapped': {
      const narrow = sum('narrow strip, cut', lower, plus(teeth), minus(gap), plus(turnIn));
      const wide = sum('wide strip, cut', upper, plus(height), minus(teeth), plus(lap, 2), plus(gap), plus(turnIn));
      return [
        {
          id: 'plaque-narrow',
          label: 'narrow plaque strip',
          remark: 'under the lap',
          height: narrow,
          lowerMm: lower.value,
          upperMm: turnIn.value,
          foldedMm: 0,
          count: 1,
        },
        {
          id: 'plaque-wide',
          label: 'wide plaque strip',
          remark: 'laps over the zip',
          height: wide,
          lowerMm: lap.value + gap.value + turnIn.value,
          upperMm: upper.value,
          // Its lap lies over the gap and the narrow strip.
          foldedMm: lap.value - gap.value,
          count: 1,
        },
      ];
    }
    case 'hook-and-loop': {
      const strip = (id: string, label: string, remark: string, seam: Figure, flip: boolean): Strip => {
        const cut = law('strip, cut', '{0} + {1} ÷ 2 + {2} ÷ 2 + {3}', [seam, height, zipWidth, turnIn]);
        const [lowerMm, upperMm] = flip ? [turnIn.value, seam.value] : [seam.value, turnIn.value];
        return { id, label, remark, height: cut, lowerMm, upperMm, foldedMm: flip ? zipWidth.value : 0, count: 1 };
      };
      return [strip('plaque-hook', 'hook-side strip', 'lies under', lower, false), strip('plaque-loop', 'loop-side strip', 'laps over', upper, true)];
    }
  }
}

/** Share of the band's height up to which the lower strip shows: to the zip, or to the edge of the strip that laps over it. */
function splitOf({ kind, height, teeth, lap, zipWidth }: PlaqueAsk): number {
  const mm = kind === 'lapped' ? teeth.value - lap.value : kind === 'hook-and-loop' ? (height.value - zipWidth.value) / 2 : height.value / 2;
  return height.value > 0 ? Math.max(0, Math.min(1, mm / height.value)) : 0;
}

/** Stitches along the teeth: a slit strip is sewn shut first, then a row on each side; hook and loop take two rows each. */
const ROWS: Record<PlaqueKind, number> = { slit: 3, folded: 2, lapped: 2, 'hook-and-loop': 4 };

/** Where a plaque longer than the cloth allows is joined, mm from the opening's left end: under the plates' joins, and what then is still too long in parts of one length. */
function plaqueJoins({ opening, end, seam, stripMm, trimOffMm, places }: PlaqueAsk, lengthMm: number): number[] {
  const under = places?.under ?? [];
  // Parts that lie between joins of the plates are as long as those ask; others leave room for what is trimmed.
  const room = stripMm - 2 * seam.value - (under.length ? 0 : 2 * trimOffMm);
  if (!Number.isFinite(stripMm) || lengthMm <= stripMm || room <= 0) return [];
  const beyond = end.value - seam.value;
  const stops = [0, ...under, opening.value];
  return stops.slice(1).flatMap((to, i) => {
    const from = stops[i] ?? 0;
    const ends = (i === 0 ? beyond : 0) + (i === stops.length - 2 ? beyond : 0);
    const parts = Math.max(1, Math.ceil((to - from + ends) / room - 1e-9));
    const inner = Array.from({ length: parts - 1 }, (_, k) => from + ((to - from) * (k + 1)) / parts);
    return i === stops.length - 2 ? inner : [...inner, to];
  });
}

/** Where a plaque's strips show, part by part between `stops`: the lower up to the split, the upper from there. `endMm`: cut beyond the end of a part, by whether it is joined there. */
function plaqueRuns(
  ask: PlaqueAsk,
  {
    stops,
    lower,
    upper,
    endMm,
  }: { readonly stops: readonly number[]; readonly lower: readonly Piece[]; readonly upper: readonly Piece[]; readonly endMm: (joined: boolean) => number },
): SkinRun[] {
  const split = splitOf(ask);
  const below = split * ask.height.value;
  const placeOf = (i: number) => ({ fromMm: stops[i] ?? 0, toMm: stops[i + 1] ?? ask.opening.value, x: endMm(i > 0) });
  const seamY = (piece: Piece, edge: 'lower' | 'upper'): number => stripEdge(piece, edge).from.y;
  const runs = [
    ...lower.map((piece, i) => {
      const lowerY = seamY(piece, 'lower');
      return stripRun(piece.id, placeOf(i), { lowerY, upperY: lowerY + below, high: split });
    }),
    ...upper.map((piece, i) => {
      const upperY = seamY(piece, 'upper');
      return stripRun(piece.id, placeOf(i), { lowerY: upperY - (ask.height.value - below), upperY, low: split });
    }),
  ];
  return runs.filter(({ low, high }) => high - low > 1e-9);
}

/** A plaque as long as its opening and its ends; longer than the cloth allows, it is pieced like the boxing. */
export function makePlaque(ask: PlaqueAsk): Plaque {
  const { kind, opening, end, seam, stripMm, trimOffMm } = ask;
  const length = sum('plaque, cut', opening, plus(end, 2));
  const [lower, upper] = stripsOf(ask);
  const notches = ask.places?.notches ?? [['centre-back', opening.value / 2] as const];
  const joinsAt = plaqueJoins(ask, length.value);
  const stops = [0, ...joinsAt, opening.value];
  const parts = stops.length - 1;
  const endMm = (inner: boolean): number => (inner ? seam.value : end.value);

  const cut = (strip: Strip): Piece[] =>
    Array.from({ length: parts }, (_, i): Piece => {
      const [left, right] = [endMm(i > 0), endMm(i < parts - 1)];
      const [from, to] = [stops[i] ?? 0, stops[i + 1] ?? opening.value];
      const run = given('its run', to - from, 'measured');
      const width =
        parts === 1 ? length : sum('plaque part', run, plus(given('at its left end', left, 'shop')), plus(given('at its right end', right, 'shop')));
      const sides = { left, right, lower: strip.lowerMm, upper: strip.upperMm };
      // A notch lies in a part, or on the join between two.
      const marks = notches
        .filter(([, x]) => x >= from && (x < to || i === parts - 1))
        .flatMap(([kind, x]) => pairOfMarks(kind, left + x - from, strip.height.value, sides));
      return clothStrip(
        'boxing',
        {
          id: parts === 1 ? strip.id : `${strip.id}-${i + 1}`,
          role: 'plaque',
          label: parts === 1 ? strip.label : `${strip.label} ${i + 1} of ${parts}`,
          remark: strip.remark,
          part: { index: i + 1, of: parts },
          countPerCushion: strip.count,
          width,
          height: strip.height,
          trimMm: Math.max(0, Math.min(2 * trimOffMm, stripMm - width.value)),
        },
        sides,
        marks,
      );
    });

  const lowerParts = cut(lower);
  const upperParts = upper === lower ? lowerParts : cut(upper);
  const single = upper === lower && lower.count === 1;
  const ends = (edge: 'left' | 'right'): Stretch[] => {
    const of = (list: readonly Piece[], strip: Strip): Stretch => stripEdge(list.at(edge === 'left' ? 0 : -1) as Piece, edge, strip.foldedMm);
    return single ? [of(lowerParts, lower)] : [of(lowerParts, lower), of(upperParts, upper)];
  };
  const joins = (list: readonly Piece[], strip: Strip): SeamDraft[] =>
    list.slice(1).map((piece, i) => ({
      id: `${strip.id}-join-${i + 1}`,
      words: `join ${i + 1} in the ${strip.label}`,
      first: [stripEdge(list[i] as Piece, 'right')],
      second: [stripEdge(piece, 'left')],
      count: strip.count,
    }));
  const along = (list: readonly Piece[], edge: 'lower' | 'upper'): Stretch[] => list.map((piece) => stripEdge(piece, edge));
  const runs = plaqueRuns(ask, { stops, lower: lowerParts, upper: upperParts, endMm });
  return {
    kind,
    stages: plaqueStages(ask),
    pieces: upper === lower ? lowerParts : [...lowerParts, ...upperParts],
    length,
    runs,
    split: splitOf(ask),
    topEdge: along(upperParts, 'upper'),
    bottomEdge: along(lowerParts, 'lower'),
    left: ends('left'),
    right: ends('right'),
    seams: [
      ...joins(lowerParts, lower),
      ...(upper === lower ? [] : joins(upperParts, upper)),
      {
        id: kind === 'hook-and-loop' ? 'plaque-hook-and-loop' : kind === 'slit' ? 'plaque-slit' : 'plaque-zip',
        words: kind === 'hook-and-loop' ? 'hook and loop onto the strips' : 'zip into the plaque',
        first: along(lowerParts, single ? 'lower' : 'upper'),
        second: along(upperParts, single ? 'upper' : 'lower'),
        rows: ROWS[kind] - (kind === 'slit' && ask.unbasted ? 1 : 0),
      },
    ],
  };
}
