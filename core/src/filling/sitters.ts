import type { AssumptionKey, Constants } from '../shop/assumptions';

/** Builds to ask by, lightest first: weight is a delicate matter, so nobody is asked for it and no ticket prints it. */
export const BUILDS = ['child', 'light', 'slight', 'middling', 'sturdy', 'heavy'] as const;
export type Build = (typeof BUILDS)[number];

const MASS: Record<Build, AssumptionKey> = {
  child: 'childKg',
  light: 'lightKg',
  slight: 'slightKg',
  middling: 'middlingKg',
  sturdy: 'sturdyKg',
  heavy: 'heavyKg',
};

/** The mass that stands for a build, kg. */
export function massOf(build: Build, assume: Constants): number {
  return assume(MASS[build]);
}

interface Weighed {
  readonly massKg: number;
}

/** The heaviest of at least one. */
export const heaviestOf = <S extends Weighed>(sitters: readonly S[]): S => sitters.reduce((a, b) => (b.massKg > a.massKg ? b : a));

/** The sitter of middle weight stands for the usual one. */
export function typicalOf<S extends Weighed>(sitters: readonly S[]): S {
  const sorted = [...sitters].sort((a, b) => a.massKg - b.massKg);
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? heaviestOf(sitters);
}
