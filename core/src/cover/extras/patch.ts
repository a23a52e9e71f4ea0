import { grow } from '../../geometry/offset';
import { outlineBounds, perimeter } from '../../geometry/outline';
import { lawOrMeasured, type Figure } from '../../kernel/figure';
import { issue } from '../../kernel/issue';
import type { ClothSlot } from '../../piece/material-ref';
import { operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import { allRound, clothPiece } from '../sewing/cloth-piece';
import type { Added, ExtraAsk } from './contract';

/** A patch sewn flat onto the bottom plate. */
export interface Patch {
  readonly slot: ClothSlot;
  readonly id: string;
  readonly label: string;
  readonly remark: string;
  /** Its line of sewing lies so far inside the plate's seam line. */
  readonly inset: Figure;
  /** Cut so far beyond that line; null where it is cut on it. */
  readonly beyond: Figure | null;
  /** How it is sewn on, with `{0}` for the inset and `{1}` for what is cut beyond. */
  readonly text: string;
}

/** The patch, its seam and its step, and the plate with its line on it; a problem where the plate leaves no room for it. */
export function addPatch({ slot, id, label, remark, inset, beyond, text }: Patch, { bottom, request }: ExtraAsk<unknown>): Partial<Added> {
  const { assume, sizes, cloth } = request;
  const line = bottom.sewn ? grow(bottom.sewn, -inset.value) : null;
  const cut = line?.ok && beyond ? grow(line.outline, beyond.value) : line;
  if (!line?.ok || !cut?.ok) return { problems: [issue('error', 'no-room-for-patch', 'construction', { what: label })] };
  const box = outlineBounds(cut.outline);
  const formula = `{0} − 2 × {1} − 2 × {2}${beyond ? ' + 2 × {3}' : ''}`;
  const size = (figure: Figure, mm: number): Figure => lawOrMeasured(`${label}, cut`, mm, formula, [figure, sizes.seam, inset, ...(beyond ? [beyond] : [])]);
  const piece = clothPiece(slot, {
    id,
    role: 'patch',
    label,
    remark,
    width: size(bottom.width, box.maxX - box.minX),
    height: size(bottom.height, box.maxY - box.minY),
    outline: cut.outline,
    sewn: line.outline,
    // Mesh and net have neither nap nor grain.
    grain: 'any',
  });
  const placements = [...(bottom.placements ?? []), line.outline];
  const start = line.outline.segments[0]?.from ?? { x: NaN, y: NaN };
  return {
    bottom: { ...bottom, placements },
    pieces: [piece],
    seams: [
      {
        id,
        words: `${label} onto the bottom plate`,
        method: 'top-stitch',
        first: [allRound(piece)],
        second: [{ piece: bottom.id, from: start, to: start, placement: placements.length - 1 }],
      },
    ],
    operations: [
      operation({
        id: `sew/${id}`,
        phase: 'sew',
        text,
        figures: [inset, ...(beyond ? [beyond] : [])],
        pieces: [piece.id, bottom.id],
        seams: [id],
        minutes: minutesFor('sew', 2 * perimeter(line.outline), 4, assume),
        needs: 'machine',
        after: ['cut/notch'],
      }),
    ],
    // Only a cloth of its own is a mesh, or does not slip.
    problems: cloth(slot) === cloth('main') ? [issue('warning', 'slot-not-named', `slots.${slot}`, { what: label })] : [],
  };
}
