import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { bounds, flatten, formatLength, pieceLabel, type AssumptionKey, type Construction, type Piece } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Switch } from '../shared/choice';
import { QuantityField } from '../shared/quantity-field';
import { notchItems } from '../shared/table/cushion-scene';
import { shifted, type Note, type Scene, type SceneItem } from '../shared/table/scene';
import { Table } from '../shared/table/table';

type LengthKey = 'cordMm' | 'seamMm' | 'zipWidthMm' | 'zipReturnMm' | 'zipPocketMm';

const EDGES = [
  { value: 'plain', name: 'plain' },
  { value: 'welt', name: 'welt' },
];
const STRIPS = [
  { value: 'across', name: 'across the cloth' },
  { value: 'along', name: 'along the roll' },
];
/** The two plates lie side by side, this share of a plate apart; strips longer than both are drawn with a break. */
const PLATE_GAP = 0.12;

interface Placed {
  readonly piece: Piece;
  readonly copy: 'top' | 'bottom';
  readonly x: number;
}

/**
 * Pieces in rows: the plates side by side, the top one on the left; then strips, two that are short beside each other in the places of the plates.
 */
function rowsOf(pieces: readonly Piece[], most: number): Placed[][] {
  const plates = pieces.filter((piece) => piece.role === 'plate');
  const [top, bottom] = [plates.at(-1), plates[0]];
  const second = most / 2 + (most * PLATE_GAP) / (2 * (2 + PLATE_GAP));
  const rows: Placed[][] =
    top && bottom
      ? [
          [
            { piece: top, copy: 'top', x: 0 },
            { piece: bottom, copy: 'bottom', x: second },
          ],
        ]
      : [];
  let open = false;
  for (const piece of pieces) {
    if (piece.role === 'plate') continue;
    const short = piece.width.value <= most / 2;
    if (short && open) rows.at(-1)?.push({ piece, copy: 'top', x: second });
    else rows.push([{ piece, copy: 'top', x: 0 }]);
    open = short && !open;
  }
  return rows;
}

/** The cover's pieces to scale, each with its notches and grain; the construction's choices in the tray. */
@Component({
  selector: 'yl-cover-station',
  imports: [Table, Switch, QuantityField],
  templateUrl: './cover-station.html',
  host: { class: 'station' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CoverStation {
  protected readonly store = inject(JobStore);
  protected readonly edges = EDGES;
  /** Small parts are set finer than the shop cuts. */
  protected readonly fine = { mm: 1, inch: 1 / 16 };
  protected readonly strips = STRIPS;
  protected readonly picked = signal<string | null>(null);

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const fit = `cover ${this.store.cushionIndex()} ${one?.source.construction.edge ?? ''}`;
    if (!one?.cover || !one.sizes) return { title: 'Cover', fit, items: [] };
    const seam = one.sizes.seam.value;
    const plate = one.pieces.find((piece) => piece.role === 'plate');
    const most = (plate?.width.value ?? 1000) * (2 + PLATE_GAP);
    const items: SceneItem[] = [];
    let y = 0;
    for (const row of rowsOf(one.cover.pieces, most)) {
      y -= Math.max(...row.map(({ piece }) => piece.height.value));
      for (const { piece, copy, x } of row) items.push(...this.#pieceItems(piece, copy, x, y, most, seam));
      y -= (plate?.height.value ?? 400) * 0.16;
    }
    return { title: `Pieces of the cover of ${one.source.name}`, fit, room: { left: 40, right: 40, top: 66, bottom: 22 }, items };
  });

  protected pick(key: string): void {
    this.picked.update((picked) => (picked === key ? null : key));
  }

  /** What is set, or what the shop takes when nothing is. */
  protected length(key: LengthKey): number {
    const [cushion, shop, job] = [this.store.cushion(), this.store.shop(), this.store.job()];
    const set = cushion?.construction[key];
    if (set !== undefined || !shop || !job) return set ?? 0;
    if (key === 'seamMm') return this.store.cushionPlan()?.sizes?.seam.value ?? 0;
    return shop.assume(key satisfies AssumptionKey, job.units);
  }

  protected hint(key: LengthKey): string | null {
    return this.store.cushion()?.construction[key] === undefined ? (key === 'seamMm' ? 'as the school says' : 'as the shop has it') : null;
  }

  protected setLength(label: string, key: LengthKey, mm: number | null): void {
    this.#construct(label, ({ [key]: _before, ...rest }) => (mm === null ? rest : { ...rest, [key]: mm }));
  }

  protected setEdge(value: string): void {
    this.#construct('Edge', (construction) => ({ ...construction, edge: value === 'welt' ? 'welt' : 'plain' }));
  }

  protected setStrips(value: string): void {
    this.#construct('Direction of strips', (construction) => ({ ...construction, strips: value === 'along' ? 'along' : 'across' }));
  }

  #construct(label: string, change: (construction: Construction) => Construction): void {
    this.store.editCushion(label, (cushion) => ({ ...cushion, construction: change(cushion.construction) }));
  }

  /** One piece with its words; of the plates the `copy` lies at x. */
  #pieceItems(piece: Piece, copy: 'top' | 'bottom', x0: number, y: number, most: number, seam: number): SceneItem[] {
    const { units, step } = this.store.inWords();
    const box = bounds(flatten(piece.outline));
    const [dx, dy] = [x0 - box.minX, y - box.minY];
    const width = box.maxX - box.minX;
    const height = box.maxY - box.minY;
    const plate = piece.role === 'plate';
    const words = plate ? `${copy} plate` : `${piece.countPerCushion} × ${pieceLabel(piece)}`;
    const id = plate ? `plate-${copy}` : piece.id;
    const size = `${formatLength(piece.width.value, units, step)} × ${formatLength(piece.height.value, units, step)}`;
    const note = (x: number, key: string, text: string, look: 'plain' | 'small'): Note => ({
      kind: 'note',
      key: `${id}-${key}`,
      at: { x, y: y + height },
      dy: -7,
      text,
      look,
      anchor: look === 'small' ? 'end' : 'start',
    });
    const look = piece.grain === 'bias' ? 'bias' : 'piece';
    if (width <= most) {
      return [
        { kind: 'area', key: id, shape: shifted(piece.outline, dx, dy), look, pick: `${words}, ${size}` },
        ...(piece.sewn ? [{ kind: 'area' as const, key: `${id}-sewn`, shape: shifted(piece.sewn, dx, dy), look: 'sew' as const }] : []),
        ...notchItems(piece, seam, id, dx, dy),
        ...(plate
          ? [
              {
                kind: 'arrow' as const,
                key: `${id}-grain`,
                from: { x: x0 + width * 0.5, y: y + height * 0.3 },
                to: { x: x0 + width * 0.5, y: y + height * 0.7 },
                text: 'grain',
              },
            ]
          : []),
        note(x0, 'words', words, 'plain'),
        // On a piece too short for its name and its size above it.
        width < most * 0.6 && !plate
          ? { ...note(x0 + width / 2, 'size', size, 'small'), at: { x: x0 + width / 2, y: y + height / 2 }, dy: 4, anchor: 'middle' as const }
          : note(x0 + width, 'size', size, 'small'),
      ];
    }
    // Longer than the table: a break in the middle, both ends to scale.
    const half = most * 0.485;
    const lean = Math.min(height * 0.5, half * 0.06);
    const left = [
      { x: 0, y },
      { x: half - lean, y },
      { x: half + lean, y: y + height },
      { x: 0, y: y + height },
    ];
    const right = [
      { x: most - half - lean, y },
      { x: most, y },
      { x: most, y: y + height },
      { x: most - half + lean, y: y + height },
    ];
    const near = piece.marks.filter((mark) => mark.at.x < half - lean);
    const far = piece.marks.filter((mark) => mark.at.x > width - half + lean);
    return [
      { kind: 'area', key: piece.id, shape: left, look, pick: `${words}, ${size}` },
      { kind: 'area', key: `${piece.id}-far`, shape: right, look },
      ...notchItems({ ...piece, marks: near }, seam, `${piece.id}-near`, 0, y),
      ...notchItems({ ...piece, marks: far }, seam, `${piece.id}-far`, most - width, y),
      note(0, 'words', words, 'plain'),
      note(most, 'size', `${size}, drawn with a break`, 'small'),
    ];
  }
}
