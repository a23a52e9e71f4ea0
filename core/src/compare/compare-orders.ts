import { findConstruction } from '../cover/list';
import { cushionSchema, type Cushion } from '../job/document';
import { planCushion } from '../plan/cushion/plan-cushion';
import type { CushionContext } from '../plan/cushion/steps/context';

/** A cushion's cover sewn in one order of work. */
export interface OrderOffer {
  readonly order: string;
  readonly name: string;
  /** The construction it would be given. */
  readonly construction: Cushion['construction'];
  readonly inHand: boolean;
  /** The whole work order for one cushion, and of it what is done at the machine, minutes. */
  readonly minutes: number;
  readonly machineMinutes: number;
  readonly threadMm: number;
  /** Looks before one goes on. */
  readonly looks: number;
  /** What can still be corrected, and until when. */
  readonly corrects: string;
}

/** The orders of work that a cushion's cover can be sewn in, each planned; empty where its construction leaves no choice. */
export function compareOrders(cushion: Cushion, context: CushionContext): OrderOffer[] {
  const { construction } = cushion;
  const module = findConstruction(construction, context.constructions);
  const field = module?.fields.find(({ key }) => key === 'order');
  if (!module || field?.kind !== 'choice') return [];
  const offered = field.offered?.(construction) ?? field.options.map(({ value }) => value);
  const chosen = (construction as Readonly<Record<string, unknown>>)['order'];
  const now = typeof chosen === 'string' && offered.includes(chosen) ? chosen : field.usual;
  if (offered.length < 2) return [];
  return field.options
    .filter(({ value }) => offered.includes(value))
    .flatMap(({ value, name }): OrderOffer[] => {
      const read = cushionSchema.shape.construction.safeParse({ ...construction, order: value });
      const plan = read.success ? planCushion({ ...cushion, construction: read.data }, context) : null;
      if (plan?.state !== 'planned' || !read.success) return [];
      const minutes = (of: typeof plan.operations): number => of.reduce((sum, one) => sum + one.minutes, 0);
      return [
        {
          order: value,
          name,
          construction: read.data,
          inHand: value === now,
          minutes: minutes(plan.operations),
          machineMinutes: minutes(plan.operations.filter(({ needs }) => needs === 'machine')),
          threadMm: plan.cover.notions.reduce((sum, { ware, amount }) => sum + (ware === 'thread' ? amount.value : 0), 0),
          looks: plan.operations.filter(({ asks }) => asks).length,
          corrects: module.orders?.[value] ?? '',
        },
      ];
    });
}
