/** What the shop sews on: a walking-foot machine feeds both layers alike, a home machine only the lower one. */
export const MACHINES = ['walking-foot', 'home'] as const;
export type Machine = (typeof MACHINES)[number];
