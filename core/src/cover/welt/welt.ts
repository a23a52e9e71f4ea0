import { rectangleOutline } from '../../geometry/outline';
import { given, law, plus, sum, type Figure } from '../../kernel/figure';
import { showsHoles, type ClothNature } from '../../material/material';
import type { Piece } from '../../piece/piece';
import type { Stretch } from '../../piece/seam';
import type { CoverRequest } from '../contract';
import { biasStripMm } from './bias';
import { clothPiece, stripEdge, stripLine } from '../sewing/cloth-piece';
import { enteredOr } from '../sewing/entered-or';

export interface WeltRequest {
  readonly id: string;
  readonly label: string;
  readonly part: Piece['part'];
  readonly countPerCushion: number;
  readonly cord: Figure;
  readonly cloth: Figure;
  /** Flange of the welt; equal to the plates' seam allowance, so that the seam runs on the seam line. */
  readonly flange: Figure;
  /** Seam line of one plate. */
  readonly round: Figure;
  readonly overlap: Figure;
  /** How deep across the cloth the strips run, mm. */
  readonly biasDepthMm: number;
}

const joinWords = (joins: number): string => (joins === 0 ? 'no join' : joins === 1 ? '1 join' : `${joins} joins`);

/** Width of a welt strip: round the cord, the cloth's own thickness, and a flange on each side. */
function stripWidth(cord: Figure, cloth: Figure, flange: Figure): Figure {
  return law('welt strip', 'π × {0} + {1} + 2 × {2}', [cord, cloth, flange]);
}

/** The welt strip for one plate: bias at 45°, joined on the diagonal, each join using up the strip's width once. Its seam line is the ring once it is joined. */
export function weltPiece(request: WeltRequest): Piece {
  const { id, label, part, countPerCushion, cord, cloth, flange, round, overlap } = request;
  const height = stripWidth(cord, cloth, flange);
  const ring = sum('welt ring', round, plus(overlap));
  const gained = Math.max(1, biasStripMm(request.biasDepthMm) - height.value);
  // The first strip loses nothing to a join, so n strips give n·gained + one strip width.
  const joins = Math.max(0, Math.ceil((ring.value - height.value) / gained - 1e-9) - 1);
  const width = sum('welt length', ring, plus(height, joins));
  const usedUp = width.value - joins * height.value - overlap.value;
  return clothPiece('welt', {
    id,
    role: 'welt',
    label,
    remark: `bias, ${joinWords(joins)}`,
    part,
    countPerCushion,
    width,
    height,
    outline: rectangleOutline(width.value, height.value),
    // What is left of its length once the joins are made and the ring is closed.
    sewn: stripLine(usedUp, height.value, { left: 0, right: 0, lower: flange.value, upper: flange.value }),
    grain: 'bias',
    joins,
  });
}

/** What a cover's choices say of its welt. */
interface WeltChoices {
  readonly cordMm?: number | undefined;
  readonly weltCut?: 'bias' | 'straight' | undefined;
}

const ONLY_WELT: Pick<WeltRequest, 'id' | 'label' | 'part'> = { id: 'welt', label: 'welt strip', part: { index: 1, of: 1 } };

/** How a welt is cut: as chosen; else woven cloth on the bias, leather and vinyl straight, because they have no threads and give by themselves. */
export const weltCutFor = ({ weltCut }: WeltChoices, nature: Pick<ClothNature, 'kind'>): 'bias' | 'straight' =>
  weltCut ?? (showsHoles(nature) ? 'straight' : 'bias');

/** The welt of so many rings as the choices have it: on the bias, or straight; its flange as wide as the plate's allowance, or its own. */
export function chosenWelt(
  choices: WeltChoices,
  { sizes, cloth: cloths, assume }: Pick<CoverRequest, 'sizes' | 'cloth' | 'assume'>,
  round: Figure,
  rings: number,
  named = ONLY_WELT,
): Piece {
  const cloth = cloths('welt');
  const { thicknessMm, biasDepthMm, usableMm } = cloth;
  const shared = {
    ...named,
    cord: enteredOr('cord', choices.cordMm, 'cordMm', assume),
    cloth: given('cloth', thicknessMm, 'material'),
    flange: { ...(sizes.flange ?? sizes.seam), name: 'flange' },
    round,
    overlap: given('to join the ring', assume('ringOverlapMm'), 'shop'),
  };
  return weltCutFor(choices, cloth) === 'straight'
    ? straightWelt({ ...shared, rings, usableMm, anyWay: cloth.kind === 'leather' })
    : weltPiece({ ...shared, countPerCushion: rings, biasDepthMm });
}

/** The edge of a ring of welt that is sewn to a plate: of a welt cut straight, as many strips as make one ring. */
export function weltEdge(welt: Piece): readonly Stretch[] {
  return Array.from({ length: welt.countPerCushion / ringsOf(welt) }, () => stripEdge(welt, 'lower'));
}

export interface StraightWeltRequest extends Omit<WeltRequest, 'countPerCushion' | 'biasDepthMm'> {
  /** Rings a cushion. */
  readonly rings: number;
  readonly usableMm: number;
  /** Leather has no threads: its strips lie as the hide has room. */
  readonly anyWay?: boolean;
}

/** A welt cut straight across the cloth, with its threads: strips of one length, joined on the diagonal as on the bias; so many strips a ring. */
export function straightWelt(request: StraightWeltRequest): Piece {
  const { id, label, part, rings, cord, cloth, flange, round, overlap, usableMm, anyWay = false } = request;
  const height = stripWidth(cord, cloth, flange);
  const ring = sum('welt ring', round, plus(overlap));
  const joins = Math.max(0, Math.ceil((ring.value - height.value) / Math.max(1, usableMm - height.value) - 1e-9) - 1);
  const strips = joins + 1;
  const all = sum('welt length', ring, plus(height, joins));
  const width = strips === 1 ? all : law('welt strip, long', `{0} ÷ ${strips}`, [all]);
  return clothPiece('welt', {
    id,
    role: 'welt',
    label,
    remark: strips === 1 ? 'straight, no join' : `straight, ${strips} a ring`,
    part,
    countPerCushion: rings * strips,
    width,
    height,
    outline: rectangleOutline(width.value, height.value),
    // Its share of the ring once the joins are made and the ring is closed.
    sewn: stripLine(round.value / strips, height.value, { left: 0, right: 0, lower: flange.value, upper: flange.value }),
    ...(anyWay ? { grain: 'any' as const } : {}),
    joins,
  });
}

/** Cord for the welts of a cover; null without any. */
export function cordLength(rings: readonly Piece[]): Figure | null {
  const [first, ...more] = rings.map((ring) => law('cord', '{0} × {1}', [given('rings', ringsOf(ring), 'counted', 'count'), ringOf(ring)]));
  if (!first) return null;
  return more.length ? sum('cord', first, ...more.map((figure) => plus(figure))) : first;
}

/** Rings that a piece of welt makes: strips cut straight are so many a ring. */
const ringsOf = ({ countPerCushion, grain, joins }: Piece): number => (grain === 'bias' ? countPerCushion : countPerCushion / (joins + 1));

/** A ring's own length, from the strip that makes it or a share of it. */
function ringOf({ width }: Piece): Figure {
  const all = width.kind === 'law' ? (width.inputs[0] ?? width) : width;
  return all.kind === 'sum' ? all.from : all;
}
