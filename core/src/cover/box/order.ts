import type { Band } from '../band/band';

/**
 * The orders in which a boxed cover is sewn:
 * - `plaque-with-boxing`: the plaque into the boxing's ring, the ring on the first plate, its zip opened, the second plate;
 * - `plaque-last`: the boxing on both plates, the zip opened, and only then the plaque's ends and long edges;
 * - `joined-in-place`: the boxing, cut long, on the first plate but for its ends; folded over, marked and trimmed there, joined to the plaque, the last run sewn;
 * - `panel-by-panel`: each panel on the top plate by itself, then on the bottom, the corner seams last.
 */
export const ORDERS = ['plaque-with-boxing', 'plaque-last', 'joined-in-place', 'panel-by-panel'] as const;
export type BoxOrder = (typeof ORDERS)[number];

export const ORDER_WORDS: Record<BoxOrder, string> = {
  'plaque-with-boxing': 'plaque with the boxing',
  'plaque-last': 'plaque last',
  'joined-in-place': 'joined in place',
  'panel-by-panel': 'panel by panel',
};

/** What can still be corrected, and until when. */
export const ORDER_CORRECTS: Record<BoxOrder, string> = {
  'plaque-with-boxing': 'The ring has to be right before it meets a plate: after that only by opening it.',
  'plaque-last': 'The plaque is made to fit what is left open between the boxing’s ends.',
  'joined-in-place': 'The boxing’s length is found on the plate: cloth that gives does no harm.',
  'panel-by-panel': 'A panel a little long or short is taken up at the corners, until these are sewn.',
};

/** The choices that an order of work depends on. */
interface Choosing {
  readonly order?: BoxOrder | undefined;
  readonly boxing?: 'strip' | 'panels' | undefined;
  readonly closing?: 'zip' | 'hand' | 'hook-and-loop' | undefined;
  readonly edge: 'plain' | 'welt' | 'ridge';
}

/** The orders that a cover can be sewn in: what is joined in place is a strip with a plaque; panels one by one have no ridge along their corners, which are closed last. */
export function ordersFor({ boxing, closing, edge }: Choosing): readonly BoxOrder[] {
  const plaque = closing !== 'hand';
  const panels = boxing === 'panels';
  return [
    'plaque-with-boxing',
    ...(plaque ? (['plaque-last'] as const) : []),
    ...(plaque && !panels ? (['joined-in-place'] as const) : []),
    ...(panels && edge !== 'ridge' ? (['panel-by-panel'] as const) : []),
  ];
}

/** The order that a cover is sewn in: as chosen where it suits, else the plaque with the boxing. */
export function orderOf(choices: Choosing): BoxOrder {
  return choices.order && ordersFor(choices).includes(choices.order) ? choices.order : 'plaque-with-boxing';
}

/** The boxing of a strip is joined to its plaque on the first plate. */
export const isJoinedInPlace = (choices: Choosing, { panels, plaque }: Pick<Band, 'panels' | 'plaque'>): boolean =>
  orderOf(choices) === 'joined-in-place' && !panels && plaque !== null;

/** The corner seams of panels are closed last, when both plates are on. */
export const isPanelByPanel = (choices: Choosing, { panels }: Pick<Band, 'panels'>): boolean => orderOf(choices) === 'panel-by-panel' && panels;
