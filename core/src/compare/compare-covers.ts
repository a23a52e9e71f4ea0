import { sewnMm, type SeamMethod } from '../piece/seam';
import type { CoverTraits } from '../cover/contract';
import { CONSTRUCTIONS } from '../cover/list';
import { usualChoices } from '../cover/usual';
import { area } from '../geometry/outline';
import type { Issue } from '../kernel/issue';
import { isLaid } from '../piece/piece';
import { cushionSchema, type Cushion } from '../job/document';
import type { Planned } from '../plan/cushion/cushion-plan';
import { planCushion } from '../plan/cushion/plan-cushion';
import type { CushionContext } from '../plan/cushion/steps/context';

/** What making a cushion's cover in one way takes, for one cushion. */
export interface CoverFacts {
  /** Pieces of cloth. */
  readonly pieces: number;
  /** Their area, mm²: what lies between them on the roll is not counted. */
  readonly clothMm2: number;
  /** Seams by the way they are sewn, every row, mm. */
  readonly machineMm: number;
  readonly topStitchMm: number;
  readonly handMm: number;
  /** The whole work order, minutes. */
  readonly minutes: number;
  readonly welted: boolean;
  readonly traits: CoverTraits;
  /** The cushion planned so, for drawing it and showing it in the round. */
  readonly planned: Planned;
}

/** A cushion made in one way: what it takes, or why it cannot be. */
export interface CoverOffer {
  readonly kind: string;
  readonly name: string;
  readonly detail: string;
  /** The construction it would be given. */
  readonly construction: Cushion['construction'];
  readonly facts: CoverFacts | null;
  /** Why it does not suit; empty where it does. */
  readonly problems: readonly Issue[];
}

/** What of a cushion's choices another construction understands too: its edge and its seam. */
function carriedOver(from: Cushion['construction'], to: Readonly<Record<string, unknown>>): Cushion['construction'] | null {
  const common = (['edge', 'cordMm', 'seamMm'] as const).filter((key) => from[key as keyof typeof from] !== undefined);
  // As much of it as the other takes: a ridge, say, is not every construction's.
  for (const keys of [common, common.filter((key) => key === 'seamMm'), []]) {
    const read = cushionSchema.shape.construction.safeParse({ ...to, ...Object.fromEntries(keys.map((key) => [key, from[key as keyof typeof from]])) });
    if (read.success) return read.data;
  }
  return null;
}

/**
 * The same cushion through every construction: the one in hand as it is chosen, each other as the shop usually makes it with this one's edge and seam where it has them. Crowns are
 * not worked out: plates are laid flat.
 */
export function compareCovers(cushion: Cushion, context: CushionContext): CoverOffer[] {
  return CONSTRUCTIONS.flatMap((module): CoverOffer[] => {
    const inHand = module.kind === cushion.construction.kind;
    const construction = inHand ? cushion.construction : carriedOver(cushion.construction, usualChoices(module, context.shop.document));
    if (!construction) return [];
    const plan = planCushion({ ...cushion, construction }, context);
    const shared = { kind: module.kind, name: module.name, detail: module.says(construction), construction };
    if (plan.state === 'blocked') return [{ ...shared, facts: null, problems: plan.problems.filter(({ severity }) => severity === 'error') }];
    const cloth = plan.cover.pieces.filter((piece) => piece.material.kind === 'cloth' && isLaid(piece));
    const sewn = (method: SeamMethod): number => sewnMm(plan.cover.seams.filter((seam) => seam.method === method));
    return [
      {
        ...shared,
        problems: [],
        facts: {
          planned: plan,
          pieces: cloth.reduce((count, piece) => count + piece.countPerCushion, 0),
          clothMm2: cloth.reduce((mm2, piece) => mm2 + piece.countPerCushion * area(piece.outline), 0),
          machineMm: sewn('machine'),
          topStitchMm: sewn('top-stitch'),
          handMm: sewn('hand'),
          minutes: plan.operations.reduce((sum, step) => sum + step.minutes, 0),
          welted: plan.profile.welt !== null,
          traits: module.traits(construction),
        },
      },
    ];
  });
}
