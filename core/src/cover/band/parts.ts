import type { EdgeSpan } from '../../geometry/outline';
import { given, measuredOn, plus, sum, type Figure } from '../../kernel/figure';
import type { Mark, Piece } from '../../piece/piece';
import type { SeamDraft } from '../../piece/seam';
import { clothStrip, pairOfMarks, stripEdge } from '../sewing/cloth-piece';
import type { BandPart } from './band';
import type { BandEnds } from './ends';
import { stripLengths } from './joins';
import type { BandLie } from './lie';
import { centreBack } from './reach';
import type { BoxingRequest } from './request';

/** The whole boxing's cut length, every join in it: P − O + 2s, with pockets 4q more; hemmed ends P − O + 2 hems. */
function wholeLength(request: BoxingRequest, sewn: Figure, joins: number): Figure {
  const { ends, seam, opened } = request;
  const each = joins ? [plus(given('for each join', 2 * seam.value, 'counted'), joins)] : [];
  if (opened && ends.kind === 'hemmed') return sum('boxing, cut', sewn, plus(ends.hem, 2), ...each);
  return sum('boxing, cut', sewn, ...(opened && ends.kind === 'pocket' ? [plus(ends.pocket, 4)] : []), plus(seam, 2), ...each);
}

/** What each part of the boxing is called: by its number, or as a panel by the side it stands on. */
function namesOf(panels: boolean, middles: readonly number[], spans: readonly EdgeSpan[]): { readonly id: string; readonly label: string }[] {
  const of = middles.length;
  if (!panels) return middles.map((_, i) => ({ id: `boxing-${i + 1}`, label: of > 1 ? `boxing ${i + 1} of ${of}` : 'boxing' }));
  const seen = new Map<string, number>();
  return middles.map((along) => {
    const side = spans.find(({ start, end }) => along >= start - 1e-6 && along <= end + 1e-6)?.edge ?? 'front';
    const count = (seen.get(side) ?? 0) + 1;
    seen.set(side, count);
    return { id: `panel-${side}${count > 1 ? `-${count}` : ''}`, label: `${side} panel${count > 1 ? ` ${count}` : ''}` };
  });
}

/** Where the band is notched, mm from its start; folds lie beyond its ends. */
function notchPlaces({ sewn, tiesMm, opened }: BoxingRequest, { foldMm }: BandEnds, { front, corners, onBand, lengthMm }: BandLie): [Mark['kind'], number][] {
  const folds: [Mark['kind'], number][] = [
    ['fold', -foldMm],
    ['fold', lengthMm + foldMm],
  ];
  return [
    ...(front ? [['centre-front', onBand((front.start + front.end) / 2)] as [Mark['kind'], number]] : []),
    ...corners.map((corner): [Mark['kind'], number] => ['corner', onBand(corner.start) + (corner.end - corner.start) / 2]),
    ...tiesMm.map((along): [Mark['kind'], number] => ['tie', onBand(along)]),
    ...(opened ? [] : [['centre-back', onBand(centreBack(sewn))] as [Mark['kind'], number]]),
    ...(foldMm > 0 ? folds : []),
  ];
}

/** Where the stitches of a roll go on one part, along both its edges. */
function rollMarks({ roll, lower, upper, cutHeight }: BoxingRequest, { onBand }: BandLie, { fromMm, toMm, x: left }: Omit<BandPart, 'piece'>): Mark[] {
  if (!roll) return [];
  return roll.alongMm
    .map(onBand)
    .filter((x) => x >= fromMm - 1e-6 && x <= toMm + 1e-6)
    .flatMap((x): Mark[] => {
      const at = (y: number): Mark => ({ kind: 'roll', at: { x: left + x - fromMm, y }, outward: { x: 0, y: 0 } });
      return [at(lower.value + roll.insetMm), at(cutHeight.value - upper.value - roll.insetMm)];
    });
}

/** The band's pieces, each with the stretch it covers. */
export function bandParts(request: BoxingRequest, ends: BandEnds, lie: BandLie): BandPart[] {
  const { seam, panels, lower, upper, cutHeight, trimOffMm, stripMm } = request;
  const { lengthMm, joinsMm, startMm, sewn, spans } = lie;
  const lengths = stripLengths(lie.band, joinsMm);
  const whole = wholeLength(request, sewn, joinsMm.length);
  const stops = [0, ...joinsMm, lengthMm];
  const of = lengths.length;
  const middles = lengths.map((_, i) => (startMm + ((stops[i] ?? 0) + (stops[i + 1] ?? 0)) / 2) % lie.totalMm);
  const names = namesOf(panels, middles, spans);
  const places = notchPlaces(request, ends, lie);
  return lengths.map((cutMm, i): BandPart => {
    const [from, to] = [stops[i] ?? 0, stops[i + 1] ?? lengthMm];
    const [leftEnd, rightEnd] = [i === 0 ? ends.boxing : seam, i === of - 1 ? ends.boxing : seam];
    const place = { fromMm: from, toMm: to, x: leftEnd.value };
    const ownEnd = (kind: Mark['kind'], x: number): boolean => kind === 'fold' && ((x < 0 && i === 0) || (x > lengthMm && i === of - 1));
    // A panel's own ends are its corners: they need no notch.
    const within = (x: number): boolean => (panels ? x > from + 1e-6 && x < to - 1e-6 : x >= from && x <= to);
    const marks = places
      .filter(([kind, x]) => within(x) || ownEnd(kind, x))
      .flatMap(([kind, x]) => pairOfMarks(kind, place.x + x - from, cutHeight.value, { lower: lower.value, upper: upper.value }));
    const run = panels ? given('its side', to - from, 'measured') : measuredOn(`strip ${i + 1} of ${of}`, to - from, 'from join to join of {0}', [sewn]);
    const beyond = leftEnd === rightEnd ? [plus(leftEnd, 2)] : [plus(leftEnd), plus(rightEnd)];
    const piece = clothStrip(
      'boxing',
      {
        ...(names[i] ?? { id: `boxing-${i + 1}`, label: 'boxing' }),
        role: panels ? 'panel' : 'boxing',
        remark: of > 1 ? '' : 'no join',
        part: { index: i + 1, of },
        width: of === 1 ? whole : sum(panels ? 'panel, cut' : 'boxing strip', run, ...beyond),
        height: cutHeight,
        // Strips are cut longer at both ends, as far as the cloth allows; panels are cut to their side.
        trimMm: panels ? 0 : Math.max(0, Math.min(2 * trimOffMm, stripMm - cutMm)),
      },
      { left: leftEnd.value, right: rightEnd.value, lower: lower.value, upper: upper.value },
      [...marks, ...rollMarks(request, lie, place)],
    );
    return { piece, ...place };
  });
}

/** The seam of a band's right end of one part to the left end of the next, the `i`-th of `of` parts. */
export function joinSeam(left: Piece, right: Piece, { panels, i, of }: { readonly panels: boolean; readonly i: number; readonly of: number }): SeamDraft {
  return {
    id: panels ? `panel-corner-${i}` : `boxing-join-${i}`,
    words: panels ? `${left.label} to the ${right.label}` : of > 2 ? `join ${i} in the boxing` : 'join in the boxing',
    first: [stripEdge(left, 'right')],
    second: [stripEdge(right, 'left')],
  };
}
