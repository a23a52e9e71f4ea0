import * as z from 'zod';
import { grow } from '../../geometry/offset';
import { outlineBounds, perimeter, type Outline } from '../../geometry/outline';
import { arcAbout } from '../../geometry/segment';
import { given, law, lawOrMeasured, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { operation, type Operation } from '../../piece/operation';
import type { ClothSlot } from '../../piece/material-ref';
import type { Piece } from '../../piece/piece';
import type { SeamDraft } from '../../piece/seam';
import { minutesFor } from '../../shop/minutes';
import type { CoverRequest, Field, Notion } from '../contract';
import { allRound, clothPiece, clothStrip, stripEdge } from '../sewing/cloth-piece';
import { choiceField, countField, lengthField } from '../sewing/fields';
import { lengthWithin } from '../sewing/lengths';
import { enteredOr } from '../sewing/entered-or';

/** What may be added to a cover: how ties and buttons on the template are made, handles, vents, a drain panel, a base that does not slip. */
export const extrasShape = {
  tieLengthMm: lengthWithin(50, 3000).optional(),
  tieWidthMm: lengthWithin(5, 100).optional(),
  buttonMm: lengthWithin(8, 80).optional(),
  handles: z.int().min(0).max(12).optional(),
  vents: z.int().min(0).max(40).optional(),
  drain: z.enum(['none', 'mesh']).optional(),
  base: z.enum(['plain', 'anti-slip']).optional(),
};
export type Extras = z.infer<z.ZodObject<typeof extrasShape>>;

const group = { group: 'extras' } as const;

/** What the tray shows of it. */
export const extrasFields: readonly Field<Extras>[] = [
  lengthField<Extras>('tieLengthMm', 'Ties, long', [50, 3000], 'tieLengthMm', group),
  lengthField<Extras>('tieWidthMm', 'Ties, wide', [5, 100], 'tieWidthMm', group),
  lengthField<Extras>('buttonMm', 'Buttons', [8, 80], 'buttonMm', group),
  countField<Extras>('handles', 'Handles', 12, group),
  countField<Extras>('vents', 'Vents', 40, group),
  choiceField<Extras>('drain', 'Drain panel', { none: 'none', mesh: 'mesh in the bottom' }, group),
  choiceField<Extras>('base', 'Base', { plain: 'plain', 'anti-slip': 'anti-slip' }, group),
];

/** What the extras add to a cover. */
export interface Added {
  readonly pieces: readonly Piece[];
  readonly seams: readonly SeamDraft[];
  readonly notions: readonly Notion[];
  readonly operations: readonly Operation[];
  readonly problems: readonly Issue[];
  /** The bottom plate with the lines on which patches are sewn to it; the same one where there are none. */
  readonly bottom: Piece;
}

export interface ExtrasAsk {
  readonly choices: Extras;
  readonly request: CoverRequest;
  readonly bottom: Piece;
  /** Pieces of the band, by id. */
  readonly bandIds: readonly string[];
}

/** A disc. */
function disc(diameterMm: number): Outline {
  const r = diameterMm / 2;
  const centre = { x: r, y: r };
  return { segments: [arcAbout('front', centre, { x: 0, y: r }, Math.PI), arcAbout('back', centre, { x: 2 * r, y: r }, Math.PI)] };
}

/** A strip turned in on both edges and folded: 2 × finished + 2 × turn-in wide; its two edges meet. */
function foldedStrip(role: 'tie' | 'handle', label: string, length: Figure, wide: Figure, turnIn: Figure, count: number, remark: string): Piece {
  const height = law('strip, cut', '2 × {0} + 2 × {1}', [wide, turnIn]);
  return clothStrip(
    'main',
    { id: role, role, label, remark, countPerCushion: count, width: length, height },
    { left: 0, right: 0, lower: turnIn.value, upper: turnIn.value },
    [],
  );
}

/** A patch sewn flat onto the bottom plate, so far inside its seam line; null where nothing is left of it. */
function patch(
  slot: ClothSlot,
  id: string,
  label: string,
  remark: string,
  bottom: Piece,
  seam: Figure,
  inset: Figure,
  beyond: Figure | null,
): { readonly piece: Piece; readonly line: Outline } | null {
  const line = bottom.sewn ? grow(bottom.sewn, -inset.value) : null;
  if (!line?.ok) return null;
  const cut = beyond ? grow(line.outline, beyond.value) : line;
  if (!cut.ok) return null;
  const box = outlineBounds(cut.outline);
  const size = (figure: Figure, mm: number): Figure =>
    lawOrMeasured(`${label}, cut`, mm, `{0} − 2 × {1} − 2 × {2}${beyond ? ' + 2 × {3}' : ''}`, [figure, seam, inset, ...(beyond ? [beyond] : [])]);
  return {
    line: line.outline,
    piece: clothPiece(slot, {
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
    }),
  };
}

/** Everything that was asked for besides plates, band, closing and welt. */
export function extrasOf({ choices, request, bottom, bandIds }: ExtrasAsk): Added {
  const { assume, marks, sizes, cloth } = request;
  const chosen = (name: string, entered: number | undefined, key: 'tieLengthMm' | 'tieWidthMm' | 'buttonMm'): Figure => enteredOr(name, entered, key, assume);
  const turnIn = given('turned in', assume('tieTurnMm'), 'shop');
  const ties = marks.filter(({ kind }) => kind === 'tie').length;
  const buttons = marks.filter(({ kind }) => kind === 'button').length;
  const handles = choices.handles ?? 0;
  const vents = choices.vents ?? 0;
  const pieces: Piece[] = [];
  const seams: SeamDraft[] = [];
  const notions: Notion[] = [];
  const operations: Operation[] = [];
  const problems: Issue[] = [];

  const folded = (piece: Piece, id: string, words: string): void => {
    pieces.push(piece);
    seams.push({ id, words, method: 'top-stitch', first: [stripEdge(piece, 'lower')], second: [stripEdge(piece, 'upper')], count: piece.countPerCushion });
  };
  if (ties) {
    const length = chosen('tie', choices.tieLengthMm, 'tieLengthMm');
    const tie = foldedStrip('tie', 'tie', length, chosen('tie, wide', choices.tieWidthMm, 'tieWidthMm'), turnIn, 2 * ties, 'two a mark');
    folded(tie, 'ties', 'each tie folded and top-stitched');
    operations.push(
      operation({
        id: 'sew/ties-made',
        phase: 'sew',
        text: 'Fold both edges of each tie strip in {0}, fold it in half, turn one end in and top-stitch.',
        figures: [turnIn],
        pieces: [tie.id],
        seams: ['ties'],
        minutes: minutesFor('sew', 2 * ties * length.value, 2 * ties, assume),
        needs: 'machine',
        after: ['cut/notch'],
      }),
    );
  }
  if (handles) {
    const length = given('handle', assume('handleLengthMm'), 'shop');
    const handle = foldedStrip('handle', 'handle', length, given('handle, wide', assume('handleWidthMm'), 'shop'), turnIn, handles, 'on the boxing');
    folded(handle, 'handles', 'each handle folded and top-stitched');
    operations.push(
      operation({
        id: 'sew/handles',
        phase: 'sew',
        text: `Fold and top-stitch ${handles === 1 ? 'the handle' : `${handles} handles`}, and box-stitch ${handles === 1 ? 'it on the boxing, in the middle of a side' : 'them on the boxing, two a side from its middle out'}, with slack for a hand.`,
        cautions: ['Through the boxing and a patch behind it: the pull comes on four stitches.'],
        pieces: [handle.id, ...bandIds],
        seams: ['handles'],
        minutes: minutesFor('sew', handles * length.value, 4 * handles, assume),
        needs: 'machine',
        after: ['cut/notch'],
      }),
    );
  }
  if (vents) {
    notions.push({ ware: 'eyelets', name: 'Vent eyelets', sold: 'count', amount: given('vents', vents, 'entered', 'count') });
    operations.push(
      operation({
        id: 'sew/vents',
        phase: 'sew',
        text: `Set ${vents === 1 ? 'the vent eyelet' : `${vents} vent eyelets`} in the back of the boxing, clear of the zip, before it is sewn on.`,
        cautions: ['Back the cloth with a scrap where an eyelet goes.'],
        pieces: bandIds,
        minutes: minutesFor('cut', 0, 3 * vents, assume),
        needs: 'bench',
        after: ['cut/notch'],
      }),
    );
  }
  if (buttons) {
    const button = chosen('button', choices.buttonMm, 'buttonMm');
    const across = law('disc', '2 × {0}', [button]);
    pieces.push(
      clothPiece('main', {
        id: 'button',
        role: 'button',
        label: 'button disc',
        remark: 'a pair a mark',
        countPerCushion: 2 * buttons,
        width: across,
        height: across,
        outline: disc(across.value),
      }),
    );
    const each = law('twine a pair', '2 × {0} + {1}', [sizes.core.height, given('to tie it', assume('buttonTwineMm'), 'shop')]);
    notions.push(
      { ware: 'buttons', name: 'Buttons to cover', sold: 'count', amount: given('buttons', 2 * buttons, 'counted', 'count') },
      { ware: 'twine', name: 'Twine', sold: 'run', amount: law('twine', '{0} × {1}', [given('pairs', buttons, 'counted', 'count'), each]) },
    );
  }

  let placed = bottom;
  const put = (slot: ClothSlot, made: ReturnType<typeof patch>, id: string, label: string, text: string, figures: readonly Figure[]): void => {
    if (!made) {
      problems.push(issue('error', 'no-room-for-patch', 'construction', { what: label }));
      return;
    }
    const placements = [...(placed.placements ?? []), made.line];
    placed = { ...placed, placements };
    const start = made.line.segments[0]?.from ?? { x: NaN, y: NaN };
    pieces.push(made.piece);
    seams.push({
      id,
      words: `${label} onto the bottom plate`,
      method: 'top-stitch',
      first: [allRound(made.piece)],
      second: [{ piece: placed.id, from: start, to: start, placement: placements.length - 1 }],
    });
    operations.push(
      operation({
        id: `sew/${id}`,
        phase: 'sew',
        text,
        figures,
        pieces: [made.piece.id, placed.id],
        seams: [id],
        minutes: minutesFor('sew', 2 * perimeter(made.line), 4, assume),
        needs: 'machine',
        after: ['cut/notch'],
      }),
    );
    // Only a cloth of its own is a mesh, or does not slip.
    if (cloth(slot) === cloth('main')) problems.push(issue('warning', 'slot-not-named', `slots.${slot}`, { what: label }));
  };
  if (choices.drain === 'mesh') {
    const inset = given('margin', assume('drainInsetMm'), 'shop');
    const lap = given('allowance', assume('drainLapMm'), 'shop');
    put(
      'mesh',
      patch('mesh', 'drain-panel', 'drain panel', 'mesh', bottom, sizes.seam, inset, lap),
      'drain-panel',
      'drain panel',
      'Sew the mesh flat to the bottom plate, {0} inside its seam line; cut the plate’s cloth away inside the stitching but for {1}, turn that in and top-stitch.',
      [inset, lap],
    );
  }
  if (choices.base === 'anti-slip') {
    const inset = given('margin', assume('gripInsetMm'), 'shop');
    put(
      'grip',
      patch('grip', 'anti-slip-base', 'anti-slip base', 'sewn flat to the bottom', bottom, sizes.seam, inset, null),
      'anti-slip-base',
      'anti-slip base',
      'Sew the anti-slip cloth flat to the bottom plate, its edge {0} inside the seam line.',
      [inset],
    );
  }
  return { pieces, seams, notions, operations, problems, bottom: placed };
}
