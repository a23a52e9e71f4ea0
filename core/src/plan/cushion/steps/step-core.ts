import { feltPieces } from '../../../allowance/felt';
import { checkLayers, corePieces } from '../../../allowance/foam';
import { onRoll, wrapOnBoard, wrapPieces } from '../../../allowance/wrap';
import type { Outlines } from '../../../allowance/outlines';
import type { Construction } from '../../../cover/contract';
import type { Cushion } from '../../../job/document';
import type { Issue } from '../../../kernel/issue';
import type { Piece } from '../../../piece/piece';
import type { Sizes } from '../../../piece/sizes';
import type { WrapWay } from '../../../shop/schools';
import type { Rolls, Shop } from '../../../shop/shop';
import type { CushionContext } from './context';
import { asCutProblems, coreAsCut, type CoreAsCut } from '../as-cut/core-as-cut';
import { facesOf, padPieces } from '../crown';
import type { LookedOver } from '../old/look-over';
import { hollowPads, joinPad, longCoreFor, longCorePieces, longCoreProblems, type PlannedLongCore } from '../old/old-cores';
import type { Covered } from './step-cover';
import type { Sized } from './step-sizes';
import { fillingKinds } from './work';
import { rollsOf, wrapProblems } from '../wrap';
import { withShortestBorder } from '../wrap-border';

/** What the cover goes round, and the pieces it is made of. */
export interface Cored {
  /** Foam and felt of a new core, or what is made of old ones; empty where one old core goes back in. */
  readonly corePieces: readonly Piece[];
  readonly wadding: readonly Piece[];
  readonly wrapWay: WrapWay;
  /** The rolls of wadding that it may take. */
  readonly rolls: Rolls;
  readonly longCore: PlannedLongCore | null;
  /** The core as it was measured after cutting. */
  readonly cutCore: CoreAsCut | null;
  /** Sizes and outlines with the core that lies there: foam, cover and paper keep to the plan, wrap and fit go by these. */
  readonly lying: { readonly sizes: Sizes; readonly outlines: Outlines };
  readonly problems: readonly Issue[];
}

/** Problems of foam that is still to be cut: a kept core has none of them. */
const FOR_NEW_FOAM: ReadonlySet<string> = new Set(['core-larger-than-sheet', 'core-glued-up', 'sheet-thickness-not-stocked', 'filling-not-made-so-high']);

/** What of an old core the third step goes by. */
export interface OldCore {
  readonly looked: LookedOver | null;
  /** Loft of the wadding that fills a hollow, mm. */
  readonly padLoftMm: number;
}

/** The third step: foam, felt, pads and wrap. */
export function coredCushion(
  cushion: Cushion,
  { construction, looked, padLoftMm }: OldCore & { readonly construction: Construction },
  sized: Sized,
  { ownFeather, crown }: Covered,
  context: CushionContext,
): Cored {
  const { shop, answers, assume } = context;
  const { sizes, outlines, profile, school, loftMm } = sized;
  const { core } = cushion;
  const wrapWay = cushion.wrapWay ?? school.wrap.way;
  const places = cushion.seat?.places ?? 1;
  const foams = corePieces({ layers: core.layers, size: sizes.core, outline: outlines.core, places }, shop, assume).filter(
    ({ material }) =>
      ownFeather !== 'all' && !(ownFeather && material.kind === 'filling' && isFeather({ grade: material.filling, thicknessMm: material.thicknessMm }, shop)),
  );
  const longCore = longCoreFor(cushion, sizes, answers.longCore);
  const cutCore = coreAsCut(core.asCut, sizes.core, outlines.core);
  const lying = { sizes: cutCore ? { ...sizes, core: cutCore.core } : sizes, outlines: cutCore ? { ...outlines, core: cutCore.outline } : outlines };
  const rolls = rollsOf(cushion, context);
  const wadding = [
    ...(core.kept ? hollowPads(looked, sizes.core, padLoftMm) : []),
    ...(core.kept && longCore ? joinPad(longCore, sizes.core, outlines.core, padLoftMm) : []),
    ...(profile.domes ? padPieces(cushion, crown?.answer ?? null, facesOf(cushion, profile)) : []),
    ...withShortestBorder(
      (profile.onBoard ? wrapOnBoard : wrapPieces)(wrapWay, loftMm, lying.sizes.core, lying.outlines.core, assume),
      shop.waddingNear(loftMm, rolls)?.rollWidthMm ?? Infinity,
      cushion.quantity,
    ),
  ].flatMap((piece) => {
    const loft = piece.material.kind === 'wadding' ? piece.material.loftMm : loftMm;
    return onRoll(piece, shop.waddingNear(loft, rolls)?.rollWidthMm ?? Infinity, places, assume);
  });
  const felt = (): Piece[] => feltPieces(core.layers, sizes.core, shop, assume, construction.felt?.(cushion.construction) ?? null);
  const ofOld = longCore ? longCorePieces(longCore, sizes.core) : [];
  // An insert has a loft, and it is pressed into its cover: its layers need not add up to it.
  const passedOver = (code: string): boolean => (core.kept && FOR_NEW_FOAM.has(code)) || (profile.kind === 'knife' && code === 'layers-do-not-add-up');
  const layerProblems = ownFeather === 'all' ? [] : checkLayers(core.layers, sizes.core, foams, shop, assume).filter(({ code }) => !passedOver(code));
  return {
    corePieces: core.kept ? ofOld : [...foams, ...felt()],
    wadding,
    wrapWay,
    rolls,
    longCore,
    cutCore,
    lying,
    problems: [
      ...layerProblems,
      ...(longCore && core.kept ? longCoreProblems(longCore) : []),
      ...wrapProblems(cushion, loftMm, rolls, shop, assume),
      ...asCutProblems(cutCore, sizes.core),
    ],
  };
}

const isFeather = (layer: Cushion['core']['layers'][number], shop: Shop): boolean => fillingKinds([layer], shop)[0] === 'feather';
