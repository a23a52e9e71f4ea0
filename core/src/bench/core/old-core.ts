import { operation, type Operation } from '../../piece/operation';
import type { AssumptionKey, Constants } from '../../shop/assumptions';
import { minutesFor } from '../../shop/minutes';
import { CAUTION, ids, type CoreWork, type Refreshing } from './core-work';

/** What each part of a refresh is, in the order in which it is done: the old wrap comes off first, for under it the joints are looked at; then the frame, while it is bare. */
const REFRESH: readonly {
  readonly kind: Refreshing;
  readonly phase?: 'strip';
  readonly text: string;
  readonly cautions: readonly string[];
  readonly wait?: AssumptionKey;
}[] = [
  { kind: 'wrap', phase: 'strip', text: 'Take off the old wrap and pads, and look at every joint under them.', cautions: [CAUTION.mould] },
  {
    kind: 'frame',
    phase: 'strip',
    text: 'While it is bare, clean the frame or deck that the cushion lies on: vacuum and wipe it, and look for slack webbing, splinters and old staples.',
    cautions: [CAUTION.mould],
  },
  {
    kind: 'air',
    text: 'Powder the old core and let the powder rest; then vacuum it and hang it out to air.',
    cautions: [CAUTION.mould],
    wait: 'powderMinutes',
  },
  {
    kind: 'glue',
    text: 'Re-glue the open joints: both sides, tacky first, and weigh them down; sew along them with string, and let them rest.',
    cautions: [CAUTION.glue],
    wait: 'glueRestMinutes',
  },
  { kind: 'splice', text: 'Splice in the missing strip from an offcut; joins where nobody sits.', cautions: [CAUTION.glue], wait: 'glueRestMinutes' },
  {
    kind: 'pad',
    text: 'Lay the hollow pads in the hollow, the smallest first and the largest on top, and tack them with glue at their edges only.',
    cautions: [CAUTION.glue],
  },
  { kind: 'steam', text: 'Steam the corners until they stand again.', cautions: [], wait: 'steamRestMinutes' },
];

/** What brings an old core back, each part after those before it. */
export function refreshing({ refresh, pieces, assume }: CoreWork): Operation[] {
  return REFRESH.filter(({ kind }) => refresh.includes(kind)).map(({ kind, phase, text, cautions, wait }, i, all) =>
    operation({
      id: `prepare/old-${kind}`,
      phase: phase ?? 'prepare',
      text,
      cautions,
      pieces: kind === 'pad' ? ids(pieces.filter(({ id }) => id.startsWith('hollow-pad'))) : [],
      minutes: minutesFor('prepare', 0, 0, assume),
      ...(wait ? { waitMinutes: assume(wait) } : {}),
      needs: 'bench',
      after: all.slice(0, i).map((before) => `prepare/old-${before.kind}`),
    }),
  );
}

/** Old cores butted to one long core, with a pad over their joins where there is one. */
export function joiningOldCores({ pieces, assume }: CoreWork): Operation[] {
  const old = pieces.filter(({ material }) => material.kind === 'old-core');
  const pad = pieces.find(({ id }) => id === 'join-pad' || id.startsWith('join-pad-'));
  if (!old.length) return [];
  return [
    operation({
      id: 'prepare/join-old-cores',
      phase: 'prepare',
      text: `Butt ${old.map(({ label }) => label).join(', ')} in this order from the left: glue tacky first, press together, sew along the joins with string.`,
      cautions: [CAUTION.glue],
      pieces: ids(old),
      minutes: minutesFor(
        'prepare',
        old.reduce((mm, { height }) => mm + height.value, 0),
        old.length,
        assume,
      ),
      waitMinutes: assume('glueRestMinutes'),
      needs: 'bench',
    }),
    ...(pad
      ? [
          operation({
            id: 'prepare/join-pad',
            phase: 'prepare',
            text: 'Lay a pad over the whole length on both faces, so that no join is felt, and tack it at its edges only.',
            cautions: [CAUTION.glue],
            pieces: ids(pieces.filter(({ id }) => id.startsWith('join-pad'))),
            minutes: minutesFor('prepare', pad.width.value, 0, assume),
            needs: 'bench',
            after: ['prepare/join-old-cores'],
          }),
        ]
      : []),
  ];
}

/** An old cover made ready to go back on, in place of cutting and sewing a new one. */
export function oldCoverOperations(way: 'wash' | 'restitch', assume: Constants): Operation[] {
  return [
    operation({
      id: `prepare/cover-${way}`,
      phase: way === 'wash' ? 'strip' : 'prepare',
      text:
        way === 'wash'
          ? 'Take the old cover off and wash it first: it dries longest. Dry it flat.'
          : 'Re-stitch the seams that pull, a row beside the old one, and strengthen them with a top stitch. Wash the cover first if it needs it.',
      minutes: minutesFor(way === 'wash' ? 'prepare' : 'sew', 2000, 0, assume),
      ...(way === 'wash' ? { waitMinutes: assume('washMinutes') } : {}),
      needs: way === 'wash' ? 'bench' : 'machine',
    }),
  ];
}
