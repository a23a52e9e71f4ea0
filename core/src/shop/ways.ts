/** What the shop sews on: a walking-foot machine feeds both layers alike, a home machine only the lower one. */
export const MACHINES = ['walking-foot', 'home'] as const;
export type Machine = (typeof MACHINES)[number];

/** How a soft core goes in: compressed in a thin bag that is drawn out again or stays inside, or folded and pushed in by hand. */
export const FILL_WAYS = ['bag-out', 'bag-left', 'by-hand'] as const;
export type FillWay = (typeof FILL_WAYS)[number];

/** What is done to cut edges that fray: nothing, or one of four ways to hold them. */
export const RAW_EDGES = ['left', 'pinked', 'overlocked', 'top-stitched', 'sealed'] as const;
export type RawEdges = (typeof RAW_EDGES)[number];
/** Those for cloth that a hot knife would scorch. */
export const COOL_EDGES = ['left', 'pinked', 'overlocked', 'top-stitched'] as const satisfies readonly RawEdges[];
