import { coreOperations, oldCoverOperations, type CoreWork } from '../../bench/core-operations';
import { withKept } from '../../bench/cut-otherwise';
import { footFor, withFeet } from '../../bench/feet';
import { forMachine } from '../../bench/machine';
import { ordered, type Ordered } from '../../bench/order';
import { sewingWords, withSewing } from '../../bench/sewing';
import type { Cover } from '../../cover/contract';
import type { Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import type { Sizes } from '../../piece/sizes';
import { isFoam } from '../../material/material';
import type { Constants } from '../../shop/assumptions';
import type { WrapWay } from '../../shop/schools';
import type { Shop } from '../../shop/shop';
import { clothUse } from '../cloths';
import type { Cushion, Job } from '../../job/document';
import type { LookedOver } from './look-over';

/** Cloth that is not in the stockroom is taken to be so thick, mm. */
const USUAL_CLOTH_MM = 1;

const WRAPPING: Record<WrapWay, string> = {
  blanket: 'Wrap the blanket round front and back, lap it once, and whip the end pieces in.',
  faces: 'Lay a face of wadding on both sides of the core and turn its edges over.',
  'faces-and-border':
    'Lay the faces on the core, turn their edges over, wrap the border round with its join at the back or a side, trim what stands over at 45° and whip it just closed.',
  'butted-border':
    'Lay the faces on the core; wrap the border round with its join at the back or a side, butt it to the faces and whip it just closed, no ridge; trim what stands over at 45°.',
  border: 'Wrap the border round the core with its join at the back or a side, and lap it over both faces.',
  parcel: 'Lay the core on its plain face, the parcel over it; fold the flaps down and whip the mitred corners closed.',
  whipped: 'Lay a face on both sides, bring their edges together in the middle of the sides and whip them closed all round.',
};

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
  readonly assume: Constants;
}

/** What the operations of a core are made from. */
export function coreWork({ source, shop, sizes, pieces, looked, wrapWay, wrapped, faces, assume }: Made): CoreWork {
  const { core } = source;
  const kept = core.kept ?? false;
  return {
    pieces,
    kept,
    refresh: kept ? (looked?.refresh.map(({ kind }) => kind) ?? []) : [],
    tool: core.tool ?? 'saw',
    layers: core.layers.map(({ overFront, bevelMm }) => ({ overFront: overFront ?? false, bevelMm: bevelMm ?? null })),
    slope: sizes.slope && { thick: sizes.core.height, thin: sizes.slope.core, end: sizes.slope.end },
    springs: core.layers.filter((_, i) => fillingKinds(core.layers, shop)[i] === 'spring').map(({ grade }) => grade),
    crownedFaces: faces,
    slabs: core.layers.map(({ grade }) => grade).filter((grade) => shop.grade(grade)?.family === 'slab'),
    wrapping: wrapped ? { way: WRAPPING[wrapWay], fix: source.wrapFix ?? shop.document.wrapFix ?? 'adhesive' } : null,
    assume,
  };
}

/** Everything that is done to one cushion: by its construction, or to an old cover that goes back on; and by its core and wrap. */
export function operationsFor(cover: Cover, kept: 'wash' | 'restitch' | null, core: CoreWork): Operation[] {
  const own = cover.operations;
  const making = kept ? [...oldCoverOperations(kept, core.assume), ...own.filter(({ phase }) => phase === 'fill' || phase === 'fix')] : own;
  const core0 = coreOperations(core);
  // The cloth is cut first, then what it goes round; the cover is sewn while the glue sets.
  return [...making.filter(({ phase }) => phase === 'cut'), ...core0, ...making.filter(({ phase }) => phase !== 'cut')];
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
  const made = forMachine(steps, source.machine ?? shop.document.machine ?? 'walking-foot', seams, assume);
  const { operations, problems } = ordered(made, (operation) => footFor(operation, pieces));
  const cloth = shop.cloth(clothUse('main', job, source).material ?? '');
  const sewn = {
    name: cloth?.name ?? 'the cloth',
    thicknessMm: cloth?.thicknessMm ?? USUAL_CLOTH_MM,
    leather: cloth?.hideMm !== undefined,
    outdoors: source.seat?.place === 'outdoor',
  };
  const set = withSewing(withFeet(operations, pieces), sewingWords(sewn, assume, job.units, shop.document.step));
  return { operations: withKept(set, pieces, source.bench?.kept ?? {}, job.units, shop.document.step), problems };
}
