import { stageLine, type Stage } from '../../piece/stage';

/** How a strip sewn on as a ring is joined, all mm: its sewing starts `startMm` past the mark and stops `stopMm` from there; the end is cut `overMm` over the beginning and turned in by `turnMm`. */
export interface RingJoin {
  readonly startMm: number;
  readonly stopMm: number;
  readonly overMm: number;
  readonly turnMm: number;
}

/** The join of a welt at its mark, seen from the seam: the plate's edge below, its mark at 0, the welt above. It is sewn on from the left of the drawing round to its right. */
export function weltRingStages({ startMm, stopMm, overMm, turnMm }: RingJoin): readonly Stage[] {
  const reach = 1.3 * stopMm;
  const lift = stopMm * 0.28;
  const g = stopMm * 0.09;
  const stopped = startMm - stopMm;
  const edge = stageLine('cloth', [-reach, 0], [reach, 0]);
  const mark = stageLine('fold', [0, -g], [0, g * 2]);
  const row = (from: number, to: number) => stageLine('stitch', [from, g], [to, g]);
  const begun = stageLine('cord', [0, 2 * g], [reach, 2 * g]);
  const coming = stageLine('cord', [-reach, 2 * g], [stopped, 2 * g], [stopped + lift, 2 * g + lift], [overMm + 2 * lift, 2 * g + lift]);
  return [
    { words: 'begun past the mark, stopped short of it', lines: [edge, mark, begun, coming, row(startMm, reach), row(-reach, stopped)] },
    {
      words: 'end cut over the beginning, its cloth turned in',
      lines: [
        edge,
        mark,
        begun,
        row(startMm, reach),
        row(-reach, stopped),
        stageLine('cord', [-reach, 2 * g], [stopped, 2 * g], [0, 2 * g + lift]),
        stageLine('cloth', [0, 2 * g + lift], [overMm, 2 * g + lift + g], [overMm - turnMm, 2 * g + lift + 2 * g]),
        stageLine('cut', [overMm, 2 * g + lift - g], [overMm, 2 * g + lift + 3 * g]),
      ],
    },
    {
      words: 'beginning laid in it, cord to cord, the row closed',
      lines: [
        edge,
        mark,
        stageLine('cord', [-reach, 2 * g], [reach, 2 * g]),
        stageLine('cloth', [-stopMm * 0.1, 2.7 * g], [overMm - turnMm, 2.7 * g]),
        row(-reach, reach),
      ],
    },
  ];
}

/** How a band is joined on its way round, mm: so much left unsewn on each side of the mark, its ends overlapped by two allowances of `seamMm`, sewn on past the first stitches by `pastMm`. */
export interface WalkedBand {
  readonly openMm: number;
  readonly seamMm: number;
  readonly pastMm: number;
}

/** The join of a band walked round a plate to its mark at 0: the plate's edge below, the band above. */
export function walkedBandStages({ openMm, seamMm, pastMm }: WalkedBand): readonly Stage[] {
  const reach = 2.4 * openMm;
  const g = openMm * 0.28;
  const edge = stageLine('cloth', [-reach, 0], [reach, 0]);
  const mark = stageLine('fold', [0, -g], [0, 2 * g]);
  const row = (from: number, to: number) => stageLine('stitch', [from, g / 2], [to, g / 2]);
  const sewn = [edge, mark, row(-reach, -openMm), row(openMm, reach)];
  return [
    {
      words: 'both ends left long, open on each side of the mark',
      lines: [...sewn, stageLine('cloth', [-reach, g], [-openMm, g], [0, 4 * g]), stageLine('cloth', [reach, g], [openMm, g], [0.3 * openMm, 3 * g])],
    },
    {
      words: 'walked to the mark, overlapped, cut square',
      lines: [
        ...sewn,
        stageLine('cloth', [-reach, g], [seamMm, g]),
        stageLine('cloth', [reach, 1.6 * g], [-seamMm, 1.6 * g]),
        stageLine('cut', [seamMm, 0], [seamMm, 3 * g]),
        stageLine('cut', [-seamMm, 0], [-seamMm, 3 * g]),
      ],
    },
    {
      words: 'joined at the mark, the row closed over the first stitches',
      lines: [
        edge,
        mark,
        stageLine('cloth', [-reach, g], [0, g], [0, g + seamMm]),
        stageLine('cloth', [reach, g], [0.02 * openMm, g], [0.02 * openMm, g + seamMm]),
        row(-reach, reach),
        stageLine('stitch', [openMm, g * 0.8], [openMm + pastMm, g * 0.8]),
      ],
    },
  ];
}

/** How a boxing is joined to its plaque on the plate, mm: left open for `openMm` from where they meet, cut `longMm` longer, trimmed to `seamMm` beyond the fold. */
export interface InPlace {
  readonly openMm: number;
  readonly longMm: number;
  readonly seamMm: number;
}

/** One end of a boxing joined in place: the plate's edge below, the place where it meets the plaque at 0, the boxing from the left. */
export function inPlaceStages({ openMm, longMm, seamMm }: InPlace): readonly Stage[] {
  const reach = 3.4 * openMm;
  const right = Math.max(longMm, openMm * 2);
  const g = openMm * 0.28;
  const edge = stageLine('cloth', [-reach, 0], [right, 0]);
  const mark = stageLine('fold', [0, -g], [0, 2 * g]);
  const row = (from: number, to: number) => stageLine('stitch', [from, g / 2], [to, g / 2]);
  const stopped = row(-reach, -openMm);
  return [
    { words: 'sewn on, stopped short of the mark, its end long', lines: [edge, mark, stopped, stageLine('cloth', [-reach, g], [longMm, g])] },
    {
      words: 'folded over at the mark, marked on fold and plate',
      lines: [edge, mark, stopped, stageLine('cloth', [-reach, g], [0, g], [0, 1.8 * g], [-longMm, 1.8 * g])],
    },
    {
      words: 'trimmed to one seam beyond the fold',
      lines: [
        edge,
        mark,
        stopped,
        stageLine('cloth', [-reach, g], [0, g], [0, 1.8 * g], [-seamMm, 1.8 * g]),
        stageLine('cut', [-seamMm, 1.2 * g], [-seamMm, 2.8 * g]),
      ],
    },
    {
      words: 'joined to the plaque at the fold, the last run sewn',
      lines: [
        edge,
        mark,
        stageLine('cloth', [-reach, g], [0, g], [0, g + seamMm]),
        stageLine('cloth', [right, g], [0.03 * openMm, g], [0.03 * openMm, g + seamMm]),
        row(-reach, right),
      ],
    },
  ];
}
