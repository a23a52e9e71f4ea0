import { perimeter } from '../../geometry/outline';
import { given } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import { minutesFor } from '../../shop/minutes';
import { CAUTION, CUT_WITH, ids, type CoreWork } from './core-work';

interface Bench {
  readonly foam: readonly Piece[];
  readonly minutes: number;
}

/** Layers put together: felt round the springs, parts glued up, muslin on the springs, layers glued, the top one over the front. */
function together({ pieces, layers, muslin, softUp, assume }: CoreWork, { foam, minutes }: Bench): Operation[] {
  const felt = pieces.filter(({ role }) => role === 'felt');
  const glue = { phase: 'prepare', cautions: [CAUTION.glue], pieces: ids(foam), waitMinutes: assume('tackyMinutes'), needs: 'bench' } as const;
  return [
    ...(felt.length
      ? [
          operation({
            id: 'prepare/felt',
            phase: 'prepare',
            text: 'Wrap the spring unit in felt one way, then the other way over it; pack the corners, and trim nothing before it is inside.',
            cautions: [CAUTION.springs],
            pieces: ids(felt),
            minutes,
            needs: 'bench',
          }),
        ]
      : []),
    ...(foam.some(({ glued }) => glued)
      ? [
          operation({
            ...glue,
            id: 'prepare/glue-parts',
            text: 'Glue each layer up from its parts, flat on the bench: both faces, tacky first, pressed together without a gap.',
            minutes,
          }),
        ]
      : []),
    ...(muslin
      ? [
          operation({
            id: 'prepare/muslin',
            phase: 'prepare',
            text: 'Lay the muslin on the springs and tack it at its edges, before any foam goes on them.',
            pieces: [muslin.id],
            minutes: minutesFor('prepare', perimeter(muslin.outline), 0, assume),
            needs: 'bench',
            after: ['cut/muslin', 'prepare/felt'],
          }),
        ]
      : []),
    ...(layers.length > 1
      ? [
          operation({
            ...glue,
            id: 'prepare/glue-layers',
            text: `Glue the layers together: let the glue go tacky first${softUp ? ', soft side up' : ''}.`,
            minutes,
            after: ['prepare/glue-parts', 'prepare/muslin', 'prepare/felt'],
          }),
        ]
      : []),
    ...(layers[0]?.overFront
      ? [
          operation({
            ...glue,
            id: 'prepare/over-front',
            text: 'Roll the top layer down over the front and glue it to the ends of those below.',
            minutes,
            after: ['prepare/glue-layers'],
          }),
        ]
      : []),
  ];
}

/** The core shaped once it is together: edges bevelled, a wedge's slope. */
function shaped({ layers, slope, tool }: CoreWork, { foam, minutes }: Bench): Operation[] {
  return [
    ...layers.flatMap(({ bevelMm }, i) =>
      bevelMm === null
        ? []
        : [
            operation({
              id: `prepare/bevel-${i + 1}`,
              phase: 'prepare',
              text: `Bevel the upper edges${layers.length > 1 ? ` of layer ${i + 1}` : ''}: {0} down and {0} inwards, all round.`,
              figures: [given('bevel', bevelMm, 'entered')],
              cautions: [CAUTION[tool]],
              tools: [CUT_WITH[tool]],
              pieces: ids(foam),
              minutes,
              needs: 'table',
            }),
          ],
    ),
    ...(slope
      ? [
          operation({
            id: 'prepare/slope',
            phase: 'prepare',
            text: `Cut the top on the slope, from {0} at the ${slope.end === 'back' ? 'front' : 'back'} to {1} at the ${slope.end}: mark both sides, saw from side to side.`,
            figures: [slope.thick, slope.thin],
            cautions: [CAUTION[tool]],
            tools: [CUT_WITH[tool]],
            pieces: ids(foam),
            minutes,
            needs: 'table',
          }),
        ]
      : []),
  ];
}

/** A new core made ready to be wrapped. */
export function newCore(work: CoreWork): Operation[] {
  const foam = work.pieces.filter(({ material, role }) => role !== 'felt' && (material.kind === 'foam' || material.kind === 'filling'));
  const longest = Math.max(0, ...foam.map(({ width }) => width.value));
  const bench = { foam, minutes: minutesFor('prepare', longest, 0, work.assume) };
  return [...together(work, bench), ...shaped(work, bench)];
}
