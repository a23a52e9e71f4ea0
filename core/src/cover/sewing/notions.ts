import { given, law, plus, sum, type Figure } from '../../kernel/figure';
import { sewnMm, type Seam } from '../../piece/seam';
import type { Piece } from '../../piece/piece';
import type { Constants } from '../../shop/assumptions';
import type { Machine } from '../../shop/ways';
import { showsHoles } from '../../material/material';
import type { ClothFacts, Closing, CoverRequest, Notion } from '../contract';
import { cordLength } from '../welt/welt';

/** Thread per length of seam and row, from thin cloth (0.5 mm) to thick (2 mm), straight between. */
function threadRatio(clothMm: number, assume: Constants): number {
  const share = Math.min(1, Math.max(0, (clothMm - 0.5) / 1.5));
  return assume('threadThin') + share * (assume('threadThick') - assume('threadThin'));
}

/** Thread for every row of every seam that is sewn, doubled by hand; on a home machine plain seams of woven cloth are gone round twice, and so does their thread. */
export function threadFor(
  seams: readonly Seam[],
  { thicknessMm, kind }: Pick<ClothFacts, 'thicknessMm' | 'kind'>,
  machine: Machine,
  assume: Constants,
): Notion {
  const sewn = seams.filter(({ method }) => method !== 'staple');
  const twice = machine === 'home' && !showsHoles({ kind });
  const again = sewn.filter(({ method, zip }) => method === 'hand' || (twice && method === 'machine' && !zip));
  const seamMm = sewnMm(sewn) + sewnMm(again);
  const byHand = again.some(({ method }) => method === 'hand') ? ', by hand doubled' : '';
  const amount = law('thread', '{0} × {1}', [
    given(`of seam, every row${twice ? ', plain seams twice' : ''}${byHand}`, seamMm, 'measured'),
    given('of thread to one of seam', threadRatio(thicknessMm, assume), 'shop', 'count'),
  ]);
  return { ware: 'thread', name: 'Thread', sold: 'run', amount };
}

/** A zip through an opening: its new tape longer by the shop's trim-off at each end, with one slider. Where the cover is made for a salvaged zip, that is set in. */
export function zipClosing(
  opening: Figure,
  reach: string,
  { assume, ownZip }: Pick<CoverRequest, 'assume' | 'ownZip'>,
): Extract<Closing, { readonly kind: 'zip' }> {
  const tapeEnd = given('an end', assume('trimOffMm'), 'shop');
  const tape = sum('zip tape', opening, plus(tapeEnd, 2));
  const own = ownZip?.opening.value === opening.value ? ownZip.length : null;
  return { kind: 'zip', reach: own ? 'as far as its salvaged zip' : reach, opening, tape, setIn: own ?? tape, sliders: given('slider', 1, 'counted', 'count') };
}

/** What a closing and the welts take, in the order in which they are bought; thread is reckoned once the whole cover is known. */
export function notionsFor(closings: readonly Closing[], welts: readonly Piece[]): Notion[] {
  const cord = cordLength(welts);
  return [
    ...closings.flatMap((closing): Notion[] => {
      if (closing.kind === 'zip')
        return [
          { ware: 'zip', name: 'Zip tape', sold: 'run', amount: closing.tape },
          { ware: 'slider', name: 'Sliders', sold: 'count', amount: closing.sliders },
        ];
      if (closing.kind === 'hook-and-loop') return [{ ware: 'hook-and-loop', name: 'Hook-and-loop tape', sold: 'run', amount: closing.tape }];
      return closing.kind === 'staples' ? [{ ware: 'staples', name: 'Staples', sold: 'count', amount: closing.count, onFilled: true }] : [];
    }),
    ...(cord ? [{ ware: 'cord', name: 'Welt cord', sold: 'run', amount: cord } as const] : []),
  ];
}
