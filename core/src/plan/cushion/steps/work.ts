import { coreOperations } from '../../../bench/core/core-operations';
import type { CoreWork } from '../../../bench/core/core-work';
import { oldCoverOperations } from '../../../bench/core/old-core';
import { withKept } from '../../../bench/cut-otherwise';
import { footFor, withFeet } from '../../../bench/feet';
import { forMachine } from '../../../bench/machine';
import { ordered, type Ordered } from '../../../bench/order';
import { sewingWords, withSewing } from '../../../bench/sewing';
import type { Cover } from '../../../cover/contract';
import type { Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import type { Sizes } from '../../../piece/sizes';
import { isFoam, natureOf } from '../../../material/material';
import type { Constants } from '../../../shop/assumptions';
import type { WrapWay } from '../../../shop/schools';
import type { Shop } from '../../../shop/shop';
import { materialOf } from '../../cloths';
import { isOutdoors } from '../../../job/terms';
import { sameBothWays } from '../feel/watch';
import type { Cushion, Job } from '../../../job/document';
import type { LookedOver } from '../old/look-over';
import { borderParts } from '../wrap-border';

/** Cloth that is not in the stockroom is taken to be so thick, mm. */
const USUAL_CLOTH_MM = 1;

/** How a wrap is laid on, and how its edges are closed where it is not stapled. */
interface Wrapping {
  readonly lay: string;
  readonly close: string;
}

const WRAPPING: Record<WrapWay, Wrapping> = {
  blanket: { lay: 'Wrap the blanket round front and back, lap it once, and set the end pieces in.', close: 'Whip the end pieces in.' },
  faces: { lay: 'Lay a face of wadding on both sides of the core and turn its edges over.', close: '' },
  'faces-and-border': {
    lay: 'Lay the faces on the core, turn their edges over, and wrap the border round with its join at the back or a side.',
    close: 'Trim what stands over at 45° and whip it just closed.',
  },
  'butted-border': {
    lay: 'Lay the faces on the core; wrap the border round with its join at the back or a side, and butt it to the faces.',
    close: 'Whip it just closed, no ridge; trim what stands over at 45°.',
  },
  border: { lay: 'Wrap the border round the core with its join at the back or a side, and lap it over both faces.', close: '' },
  parcel: { lay: 'Lay the core on its plain face, the parcel over it, and fold the flaps down.', close: 'Whip the mitred corners closed.' },
  whipped: { lay: 'Lay a face on both sides and bring their edges together in the middle of the sides.', close: 'Whip them closed all round.' },
};

/** The same where the underside is a board: one face, and the border where there is one. */
function onBoard(way: WrapWay): Wrapping {
  if (way === 'border') return { lay: 'Wrap the border round the core with its join at the back or a side, and lap it over the face.', close: '' };
  const face = 'Lay the face of wadding on the core and turn its edges over';
  if (way === 'faces') return { lay: `${face}; underneath is board.`, close: '' };
  return {
    lay: `${face}; wrap the border round with its join at the back or a side. Underneath is board.`,
    close: 'Trim what stands over at 45° and whip it just closed.',
  };
}

/** The same where the border is butted from parts. */
function joined({ lay, close }: Wrapping, pieces: readonly Piece[]): Wrapping {
  const parts = borderParts(pieces);
  return parts > 1 ? { lay: `${lay} The border is in ${parts} parts: butt them, and begin it where no join comes to a corner.`, close } : { lay, close };
}

/** What each layer is: foam, or the kind of its filling. */
export function fillingKinds(layers: Cushion['core']['layers'], shop: Shop): string[] {
  return layers.map(({ grade }) => {
    const stock = shop.stock(grade);
    return stock === undefined || isFoam(stock) ? 'foam' : stock.kind;
  });
}

interface Made {
  readonly source: Cushion;
  readonly shop: Shop;
  readonly sizes: Sizes;
  readonly pieces: readonly Piece[];
  readonly looked: LookedOver | null;
  readonly wrapWay: WrapWay;
  readonly wrapped: boolean;
  readonly faces: 1 | 2;
  readonly onBoard: boolean;
  readonly muslin: Piece | null;
  readonly assume: Constants;
}

/** What the operations of a core are made from. */
export function coreWork({ source, shop, sizes, pieces, looked, wrapWay, wrapped, faces, onBoard: boarded, muslin, assume }: Made): CoreWork {
  const { core } = source;
  const kept = core.kept ?? false;
  return {
    pieces,
    coreHighMm: sizes.core.height.value,
    kept,
    refresh: kept ? (looked?.refresh.map(({ kind }) => kind) ?? []) : [],
    tool: core.tool ?? 'saw',
    layers: core.layers.map(({ overFront, bevelMm }) => ({ overFront: overFront ?? false, bevelMm: bevelMm ?? null })),
    slope: sizes.slope && { thick: sizes.core.height, thin: sizes.slope.core, end: sizes.slope.end },
    springs: core.layers.filter((_, i) => fillingKinds(core.layers, shop)[i] === 'spring').map(({ grade }) => grade),
    crownedFaces: faces,
    slabs: core.layers.map(({ grade }) => grade).filter((grade) => shop.grade(grade)?.family === 'slab'),
    softUp: !sameBothWays(core),
    muslin,
    wrapping: wrapped
      ? {
          ...joined(boarded ? onBoard(wrapWay) : WRAPPING[wrapWay], pieces),
          fix: source.wrapFix ?? shop.document.wrapFix ?? 'adhesive',
          mitred: pieces.some(({ role }) => role === 'wrap-parcel'),
        }
      : null,
    assume,
  };
}

/** Everything that is done to one cushion: by its construction, or to an old cover that goes back on; and by its core and wrap. */
export function operationsFor(cover: Cover, kept: 'wash' | 'restitch' | null, core: CoreWork): Operation[] {
  const own = cover.operations;
  const old = kept ? oldCoverOperations(kept, core.assume) : [];
  const making = kept ? own.filter(({ phase }) => phase === 'fill' || phase === 'fix') : own;
  // The cloth is cut first, then what it goes round; an old cover is washed before all else; the cover is sewn while the glue sets.
  return [...making.filter(({ phase }) => phase === 'cut'), ...old, ...coreOperations(core), ...making.filter(({ phase }) => phase !== 'cut')];
}

interface Bench {
  readonly source: Cushion;
  readonly job: Pick<Job, 'units' | 'cloth'>;
  readonly shop: Shop;
  readonly seams: Cover['seams'];
  readonly pieces: readonly Piece[];
  readonly assume: Constants;
}

/** The steps in their order, as the machine, the cloth, and pieces that are kept as they were cut ask for them. */
export function workOrder(steps: readonly Operation[], { source, job, shop, seams, pieces, assume }: Bench): Ordered {
  const cloth = materialOf('main', job, source, shop);
  const sewn = {
    name: cloth?.name ?? 'the cloth',
    thicknessMm: cloth?.thicknessMm ?? USUAL_CLOTH_MM,
    kind: natureOf(cloth).kind,
    outdoors: isOutdoors(source.seat?.place),
  };
  const made = forMachine(steps, source.machine ?? shop.document.machine ?? 'walking-foot', { seams, kind: sewn.kind, assume });
  const { operations, problems } = ordered(made, (operation) => footFor(operation, pieces));
  const set = withSewing(withFeet(operations, pieces), sewingWords(sewn, assume, job.units), sewn);
  return { operations: withKept(set, pieces, source.bench?.kept ?? {}, job.units, shop.document.step), problems };
}
