import { operation, type Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import { minutesFor } from '../../shop/minutes';
import { CAUTION, CUT_WITH, ids, round, type CoreWork } from './core-work';

/** Ripped off an old core: bare already. */
const isStrip = ({ material }: Piece): boolean => material.kind === 'old-core' && material.strip === true;

const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** Cutting of what goes into the cover, each piece by what it is of. */
export function cutting({ pieces, tool, slabs, springs, muslin, assume }: CoreWork): Operation[] {
  const isSlab = ({ material }: Piece): boolean => material.kind === 'foam' && slabs.includes(material.grade);
  const of = (kind: Piece['material']['kind']): Piece[] => pieces.filter(({ material }) => material.kind === kind);
  const wadding = of('wadding');
  return [
    ...of('foam').map((piece) =>
      operation({
        id: `cut/${piece.id}`,
        phase: 'cut',
        text: isSlab(piece)
          ? `Cut the ${piece.label}: {0} × {1}, with scissors or a knife, one layer at a time; never with the saw.`
          : `Cut the ${piece.label}: {0} × {1}, marked square to the face and cut upright.`,
        figures: [piece.width, piece.height],
        cautions: [CAUTION[isSlab(piece) ? 'knife' : tool]],
        tools: [CUT_WITH[isSlab(piece) ? 'knife' : tool]],
        pieces: [piece.id],
        minutes: minutesFor('cut', round(piece), 0, assume),
        needs: 'table',
      }),
    ),
    ...of('old-core').map((piece) =>
      operation({
        id: `cut/${piece.id}`,
        phase: 'cut',
        text: isStrip(piece)
          ? `Trim ${piece.label} to {0} × {1}.`
          : `Take the old wrap and pads off ${piece.label} and cut it to {0} × {1}.${piece.remark ? ` ${sentence(piece.remark)}` : ''}`,
        figures: [piece.width, piece.height],
        cautions: [CAUTION[tool]],
        tools: [CUT_WITH[tool]],
        pieces: [piece.id],
        minutes: minutesFor('cut', round(piece), 0, assume),
        needs: 'table',
      }),
    ),
    ...of('filling').map((piece) =>
      operation({
        id: `cut/${piece.id}`,
        phase: 'cut',
        text:
          piece.role === 'felt'
            ? `Cut the ${piece.label}, {0} × {1}: cut its backing only and tear the edges, so that no ridge shows.`
            : `Make or order the ${piece.label} to size: {0} × {1}.`,
        figures: [piece.width, piece.height],
        cautions: piece.material.kind === 'filling' && springs.includes(piece.material.filling) ? [CAUTION.springs] : [],
        pieces: [piece.id],
        minutes: minutesFor('cut', 0, 0, assume),
        needs: 'table',
      }),
    ),
    ...(muslin
      ? [
          operation({
            id: 'cut/muslin',
            phase: 'cut',
            text: 'Cut the muslin to the core’s outline, {0} × {1}.',
            figures: [muslin.width, muslin.height],
            pieces: [muslin.id],
            minutes: minutesFor('cut', round(muslin), 0, assume),
            needs: 'table',
          }),
        ]
      : []),
    ...(wadding.length ? [cutWadding(wadding, assume)] : []),
  ];
}

function cutWadding(wadding: readonly Piece[], assume: CoreWork['assume']): Operation {
  const pads = wadding.some(({ role }) => role === 'crown-pad' || role === 'hollow-pad');
  const edgeMm = wadding.reduce((mm, piece) => mm + round(piece), 0);
  return operation({
    id: 'cut/wadding',
    phase: 'cut',
    text: pads ? 'Cut the wadding: the wrap, and the pads by their outlines.' : 'Cut the wadding for the wrap.',
    pieces: ids(wadding),
    minutes: minutesFor('cut', edgeMm, 0, assume),
    needs: 'table',
  });
}
