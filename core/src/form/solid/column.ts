import type { RimPoint } from './rim';

/** A column of the band: where it stands, how far it stands out, and its lower and upper edge. */
export interface Column {
  readonly rim: RimPoint;
  readonly lowZ: number;
  readonly highZ: number;
  /** The whole height there, which shares of the band are taken of. */
  readonly fullMm: number;
  readonly bulgeMm: number;
}
