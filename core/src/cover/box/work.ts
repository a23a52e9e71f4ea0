import { sewMinutes } from '../sewing/steps';
import type { Piece } from '../../piece/piece';
import type { Seam } from '../../piece/seam';
import type { Band } from '../band/band';
import { cornersOf } from '../band/corners';
import type { Closing, CoverRequest } from '../contract';
import type { Added } from '../extras/contract';
import { plaqueIsLast, type Box } from './choices';
import { isPanelByPanel } from './order';
import type { Plates } from './plates';
import type { Welts } from './welts';

/** Everything of a boxed cover that its steps are made from. */
export interface BoxWork {
  readonly choices: Box;
  readonly request: CoverRequest;
  readonly pieces: readonly Piece[];
  readonly plates: Plates;
  readonly welts: Welts | null;
  readonly band: Band;
  readonly seams: readonly Seam[];
  readonly closing: Closing;
  readonly extras: Added;
}

export const idsOf = (...of: readonly (Piece | null | undefined)[]): string[] => [...new Set(of.flatMap((piece) => (piece ? [piece.id] : [])))];
export const many = (count: number, one: string, more: string): string => (count === 1 ? one : `${count} ${more}`);

/** Minutes at the machine for the named seams, every row of them, and some corners. */
export function sewingMinutes({ seams, request: { assume } }: Pick<BoxWork, 'seams' | 'request'>, names: readonly string[], corners = 0): number {
  return sewMinutes(seams, assume)(names, corners);
}

/** Those of the named seams that the cover has. */
export const present = ({ seams }: Pick<BoxWork, 'seams'>, ...names: readonly string[]): string[] =>
  names.filter((name) => seams.some(({ id }) => id === name));

/**
 * The seam that closes the ring of panels once the first plate is on: its two ends by hand, or the plaque's right end. Null where panels are wrapped strips, or the ring
 * stays open because the plaque comes last.
 */
export function lastCorner({ band, choices }: BoxWork): string | null {
  if (!band.panels || plaqueIsLast(choices) || isPanelByPanel(choices, band)) return null;
  return band.plaque ? 'plaque-end-right' : 'boxing-ring';
}

/** Clips in each rounded corner so that none opens or overlaps more than the shop allows. */
export function clipsPerCorner({ request: { sewn, sizes, assume }, band }: BoxWork): number {
  if (band.panels) return 0;
  const arc = sewn.segments.find((segment) => segment.edge === 'corner');
  if (!arc || arc.kind !== 'arc') return 1;
  return Math.ceil((sizes.seam.value * Math.abs(arc.sweep)) / assume('clipOpenMm'));
}

export const cornerCount = ({ request: { sewn } }: BoxWork): number => cornersOf(sewn).length;
