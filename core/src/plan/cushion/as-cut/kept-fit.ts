import { fit, type Fit } from '../../../fit/fit';
import type { Piece } from '../../../piece/piece';
import type { Constants } from '../../../shop/assumptions';
import type { CushionPlan } from '../cushion-plan';

/** Pieces that stay as they were cut: width and height, mm, by their ids. */
export type KeptSizes = Readonly<Record<string, readonly [number, number]>>;

/** What comes of it when pieces stay as they were cut. */
export interface Kept {
  /** How the cushion fits; null where none of them has a say in it, and where none is predicted. */
  readonly fit: Fit | null;
  /** How much longer the band round the cushion is than the edge of its plates, beyond what is planned, mm: they are sewn together. */
  readonly bandLongerMm: number;
}

/**
 * The fit when some pieces stay as they were cut. Plates change the cover's width and depth by their mean difference; strips change the boxing's height by theirs. The
 * band's length is that of its strips and plaque; a plate's edge grows by twice its difference in width and depth.
 */
export function keptFit({ fitRequest, pieces }: Pick<CushionPlan, 'fitRequest' | 'pieces'>, kept: KeptSizes, assume: Constants): Kept {
  const more = (piece: Piece): readonly [number, number] => {
    const [width, height] = kept[piece.id] ?? [piece.width.value, piece.height.value];
    return [width - piece.width.value, height - piece.height.value];
  };
  const of = (...roles: readonly Piece['role'][]): Piece[] => pieces.filter(({ role }) => roles.includes(role));
  const mean = (some: readonly Piece[], axis: 0 | 1): number => {
    const count = some.reduce((sum, { countPerCushion }) => sum + countPerCushion, 0);
    return count ? some.reduce((sum, piece) => sum + piece.countPerCushion * more(piece)[axis], 0) / count : 0;
  };
  const [plates, boxing] = [of('plate'), of('boxing')];
  const [wider, deeper, higher] = [mean(plates, 0), mean(plates, 1), mean(boxing, 1)];
  const longer = of('boxing', 'plaque').reduce((sum, piece) => sum + piece.countPerCushion * more(piece)[0], 0);
  const says = [...plates, ...boxing].some(({ id }) => kept[id]);
  return {
    fit:
      fitRequest && says
        ? fit({ ...fitRequest, widthMm: fitRequest.widthMm + wider, depthMm: fitRequest.depthMm + deeper, heightMm: fitRequest.heightMm + higher }, assume)
        : null,
    bandLongerMm: boxing.length ? longer - 2 * (wider + deeper) : 0,
  };
}
