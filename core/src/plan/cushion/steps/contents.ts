import type { Contents } from '../../../cover/contract';
import type { Cushion } from '../../../job/document';
import type { Sizes } from '../../../piece/sizes';
import type { Shop } from '../../../shop/shop';
import { keptCover } from '../old/look-over';
import { sameBothWays } from '../feel/watch';
import { fillingKinds } from './work';

/** A glued-up core higher than this share of its smaller side is a block: it does not fold. */
const BLOCK_SHARE = 0.5;

function isBlock(layers: Cushion['core']['layers'], { width, depth, height }: Sizes['core']): boolean {
  return layers.length > 1 && height.value > BLOCK_SHARE * Math.min(width.value, depth.value);
}

/** What the cover goes round. */
export function contentsOf(cushion: Cushion, coreSize: Sizes['core'], shop: Shop): Contents {
  const { core, seat, fill } = cushion;
  const { layers } = core;
  const mark = core.kept ? seat?.old?.mark : undefined;
  const kinds = fillingKinds(layers, shop);
  const pattern = seat?.oldCover?.offCore === mark && !keptCover(cushion) ? ': its old cover is the pattern' : '';
  return {
    layers: layers.length,
    softUp: !sameBothWays(core),
    sprung: kinds.includes('spring'),
    featherMm: layers.filter((_, i) => kinds[i] === 'feather').map(({ thicknessMm }) => thicknessMm),
    overFront: layers[0]?.overFront ?? false,
    foamOnSprings: kinds.filter((kind, i) => i > 0 && [kind, kinds[i - 1]].sort().join() === 'foam,spring').length,
    stiff: kinds.includes('spring') || layers.some(({ grade }) => shop.grade(grade)?.family === 'slab') || isBlock(layers, coreSize),
    loose: kinds.length > 0 && kinds.every((kind) => kind === 'feather'),
    fill: fill ?? shop.document.fill ?? 'bag-out',
    belongs: mark ? ` Core ${mark} goes in${pattern}.` : '',
  };
}
