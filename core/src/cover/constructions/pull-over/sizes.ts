import { given, minus, plus, renamed, sum, type Figure } from '../../../kernel/figure';
import type { Plane, Sizes } from '../../../piece/sizes';
import type { Constants } from '../../../shop/assumptions';
import type { SizeAsk } from '../../contract';
import type { PullOver } from './choices';
import { enteredOr } from '../../sewing/entered-or';
import { PULL_OVER_CONSTANTS } from './constants';

/** Height of the frame's edge. */
export const frameEdge = ({ frameEdgeMm }: PullOver, assume: Constants): Figure =>
  enteredOr('frame edge', frameEdgeMm, PULL_OVER_CONSTANTS.frameEdgeMm, assume);

/** From the edge of the frame to the staples underneath, and what is left over them to hold. */
export const underneath = (assume: Constants): { readonly line: Figure; readonly hold: Figure } => ({
  line: given('to the staples', assume(PULL_OVER_CONSTANTS.stapleLineMm), 'shop'),
  hold: given('to hold', assume(PULL_OVER_CONSTANTS.stapleHoldMm), 'shop'),
});

/** What hangs down at the front and round the sides, from the core's upper edge: core, frame, to the staples and to hold. */
export function dropOf(core: Figure, frame: Figure, assume: Constants): Figure {
  const { line, hold } = underneath(assume);
  return sum('drop', core, plus(frame), plus(line), plus(hold));
}

/** Sizes of a cover pulled over a frame: the frame's outline is seat, core and seam line in one; the height given is the core's. */
export function pullOverSizes(choices: PullOver, ask: SizeAsk): Sizes {
  const { assume } = ask;
  const frame = frameEdge(choices, assume);
  const seam = enteredOr('seam', choices.seamMm, 'drumSeamMm', assume);
  const core = ask.given === 'sewn' ? sum('core', given('old cover, high', ask.heightMm, 'entered'), minus(frame)) : given('core', ask.heightMm, 'entered');
  const [across, deep] = [given('frame', ask.acrossMm, 'entered'), given('frame', ask.deepMm, 'entered')];
  const sewnHeight = sum('sewn height', core, plus(frame));
  const drop = dropOf(core, frame, assume);
  const plane = (name: string): Plane => ({ width: renamed(name, across), depth: renamed(name, deep) });
  return {
    seat: plane('seat'),
    finished: { ...plane('finished'), height: renamed('finished height', sewnHeight) },
    core: { ...plane('core'), height: renamed('core thickness', core) },
    sewn: { ...plane('sewn'), height: sewnHeight },
    cut: { width: sum('cut', across, plus(seam, 2)), depth: sum('cut', deep, plus(seam, 2)) },
    boxingCut: sum('side band, cut', drop, plus(seam)),
    seam,
    flange: null,
    cutToCore: false,
    slope: null,
  };
}
