import type { Figure } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import { sewnMm, type Seam } from '../../piece/seam';
import type { Constants } from '../../shop/assumptions';
import type { Stage } from '../../piece/stage';
import { minutesFor } from '../../shop/minutes';
import { weltRingStages } from './ring-stages';

/** Minutes at the machine for some of the seams, named by id: every row of each, and so many corners to turn. */
export type SewMinutes = (seamIds: readonly string[], corners?: number) => number;

/** The minutes of a cover's seams by the shop's rates. */
export function sewMinutes(seams: readonly Seam[], assume: Constants): SewMinutes {
  return (ids, corners = 0) => minutesFor('sew', sewnMm(seams.filter(({ id }) => ids.includes(id))), corners, assume);
}

/** A step that sets a zip between two edges, both sides of it sewn. */
export interface ZipStep {
  /** Where it goes, with `{0}` for its tape. */
  readonly text: string;
  readonly tape: Figure;
  readonly pieces: readonly string[];
  readonly seam: string;
  /** Length that is sewn on each side of it, mm. */
  readonly runMm: number;
  readonly after: readonly string[];
}

/** Setting a zip into a seam of two plates. */
export function zipStep({ text, tape, pieces, seam, runMm, after }: ZipStep, assume: Constants): Operation {
  return operation({
    id: 'sew/zip',
    foot: 'zip',
    phase: 'sew',
    text,
    figures: [tape],
    cautions: ['Slider on, and a stop across each end of the zip.'],
    pieces,
    seams: [seam],
    minutes: minutesFor('sew', 2 * runMm, 2, assume),
    needs: 'machine',
    after,
  });
}

/** A welt that is made up and sewn on in one step. */
export interface WeltStep {
  readonly text: string;
  readonly pieces: readonly string[];
  readonly seam: string;
  /** Corners that its flange is clipped at. */
  readonly corners: number;
  readonly after?: readonly string[];
}

/** The join of a welt's ring by the shop's figures, moment by moment. */
export const weltRing = (assume: Constants): readonly Stage[] =>
  weltRingStages({ startMm: assume('ringOverlapMm'), stopMm: assume('ringStopMm'), overMm: assume('ringOverMm'), turnMm: assume('ringTurnMm') });

/** Making a welt up and sewing it on as a ring: its length is sewn twice. */
export function weltStep({ text, pieces, seam, corners, after = [] }: WeltStep, sew: SewMinutes, assume: Constants): Operation {
  return operation({
    id: 'sew/welt-on',
    foot: 'edge',
    phase: 'sew',
    text,
    cautions: corners ? ['Clip the welt’s flange at each corner; do not cut the stitch.'] : [],
    pieces,
    seams: [seam],
    looks: ['welt'],
    stages: weltRing(assume),
    minutes: sew([seam]) + sew([seam], corners),
    needs: 'machine',
    after,
  });
}
