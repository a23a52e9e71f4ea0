import { aheadOn } from '../../geometry/around';
import { edgeSpans, perimeter, type EdgeSpan } from '../../geometry/outline';
import { minus, renamed, sum, type Figure } from '../../kernel/figure';
import { cornersOf, type Corner } from './corners';
import type { BandEnds } from './ends';
import { placeJoins, type BandToJoin } from './joins';
import { centreBack } from './reach';
import type { BoxingRequest } from './request';

export const middleOf = ({ start, end }: Corner): number => (start + end) / 2;

/** How a band lies round its seam line, and where it is joined. */
export interface BandLie {
  /** Where it starts, mm round the seam line; with a zip at the right end of the opening. */
  readonly startMm: number;
  /** Seam line round, mm. */
  readonly totalMm: number;
  readonly sewn: Figure;
  readonly lengthMm: number;
  /** A place of the seam line in mm from the band's start. */
  readonly onBand: (alongMm: number) => number;
  readonly corners: readonly Corner[];
  readonly spans: readonly EdgeSpan[];
  readonly front: EdgeSpan | undefined;
  readonly band: BandToJoin;
  /** Its joins, mm from its start. */
  readonly joinsMm: readonly number[];
}

/** Lays the band round its seam line and finds its joins: where it does least harm, or for panels at the corners. */
export function bandLie(request: BoxingRequest, ends: BandEnds): BandLie {
  const { sewn, seam, round, opened, panels } = request;
  const reached = opened?.reached ?? null;
  const totalMm = perimeter(sewn);
  const spans = edgeSpans(sewn);
  const corners = cornersOf(sewn);
  const back = centreBack(sewn);
  // A band closed by hand starts where a join does least harm: at the first corner behind the front, else at the centre back.
  const cornerBack = corners
    .map(middleOf)
    .filter((at) => at < back)
    .at(-1);
  const startMm = reached ? reached.middleMm + reached.opening.value / 2 : panels ? (cornerBack ?? back) : back;
  const sewnBoxing = reached ? sum('boxing, sewn', round, minus(reached.opening)) : renamed('boxing, sewn', round);
  const onBand = (along: number): number => aheadOn(totalMm, startMm, along);
  const front = spans.find((span) => span.edge === 'front');
  const length = Math.max(0, sewnBoxing.value);
  const clear = request.jointClearMm;
  const cornerZones = corners.map(({ start, end: stop }) => ({ from: onBand(start) - clear, to: onBand(start) + (stop - start) + clear }));
  // A tie on the zip's own stretch crowds no join: there is none there.
  const tieZones = request.tiesMm.map((along) => ({ from: onBand(along) - clear, to: onBand(along) + clear }));
  const frontZone = front ? { from: onBand(front.start), to: onBand(front.start) + (front.end - front.start) } : { from: 0, to: 0 };
  const beyondMm = ends.boxing.value - seam.value;
  const band: BandToJoin = {
    lengthMm: length,
    stripMm: request.stripMm,
    trimMm: 2 * request.trimOffMm,
    seamMm: seam.value,
    endsMm: [beyondMm, beyondMm],
    front: frontZone,
    nearFront: [
      { from: frontZone.from - request.frontClearMm, to: frontZone.from + 1e-6 },
      { from: frontZone.to - 1e-6, to: frontZone.to + request.frontClearMm },
    ],
    under: request.plateJoinsMm
      .map(onBand)
      .filter((x) => x > 1e-6 && x < length - 1e-6)
      .sort((a, b) => a - b),
    crowded: [{ from: 0, to: clear }, { from: length - clear, to: length }, ...cornerZones, ...tieZones],
  };
  const atCorners = (): number[] =>
    panelJoins(
      band,
      corners.map((corner) => onBand(middleOf(corner))),
    );
  return {
    startMm,
    totalMm,
    sewn: sewnBoxing,
    lengthMm: length,
    onBand,
    corners,
    spans,
    front,
    band,
    joinsMm: panels ? atCorners() : (placeJoins(band)?.at ?? []),
  };
}

/** Where panels meet, mm from the band's start: the middles of the corners that are not under the plaque; and where a panel is longer than the cloth allows, evenly between. */
function panelJoins(band: BandToJoin, corners: readonly number[]): number[] {
  const at = corners.filter((x) => x > 1e-6 && x < band.lengthMm - 1e-6).sort((a, b) => a - b);
  const stops = [0, ...at, band.lengthMm];
  return stops.slice(1).flatMap((to, i) => {
    const from = stops[i] ?? 0;
    const ends = (i === 0 ? band.endsMm[0] : 0) + (i === at.length ? band.endsMm[1] : 0);
    const room = band.stripMm - 2 * band.seamMm - ends;
    const parts = Number.isFinite(room) && room > 0 ? Math.max(1, Math.ceil((to - from) / room - 1e-9)) : 1;
    const under = parts > 1 ? band.under.filter((x) => x > from + 1e-6 && x < to - 1e-6) : [];
    const inner = under.length ? under : Array.from({ length: parts - 1 }, (_, k) => from + ((to - from) * (k + 1)) / parts);
    return i === at.length ? inner : [...inner, to];
  });
}
