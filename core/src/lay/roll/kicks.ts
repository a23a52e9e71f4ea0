import type { Layout } from './layout';

/** Up to this share, the roll is shortened by moving what lies beyond a random cut; beyond it, everything is pressed together evenly. */
const MUCH = 0.04;
/** Large pieces together make up this share of the area. */
const LARGE_SHARE = 0.75;

const move = (all: Layout, i: number, byX: number): void => {
  if (!all.fixed[i]) all.x[i] = (all.x[i] as number) + byX;
};

/** Shortens the roll: all pieces beyond a random cut move in together. Pieces may overlap afterwards. */
export function shrink(all: Layout, to: number, random: () => number): void {
  const by = all.length - to;
  const cut = random() * all.length;
  const share = to / all.length - 1;
  for (let i = 0; i < all.n; i++) {
    const centre = all.centreX(i);
    if (by > MUCH * all.length) move(all, i, centre * share);
    else if (centre > cut) move(all, i, -by);
  }
  all.length = to;
  all.clampAll();
}

/** Lengthens the roll: all pieces beyond a random cut move out together. */
export function stretch(all: Layout, to: number, random: () => number): void {
  const by = to - all.length;
  const cut = random() * all.length;
  all.length = to;
  for (let i = 0; i < all.n; i++) if (all.centreX(i) > cut) move(all, i, by);
  all.clampAll();
}

/** Presses a lay to a length: the middle of each piece keeps its relative position along the roll. */
export function pressTo(all: Layout, to: number): void {
  const share = to / all.length - 1;
  all.length = to;
  for (let i = 0; i < all.n; i++) move(all, i, all.centreX(i) * share);
  all.clampAll();
}

/** The larger pieces that may be moved: those that make up three quarters of the area. */
export function largePieces(all: Layout): number[] {
  const area = (i: number): number => all.areaMm2[i] as number;
  const whole = all.areaMm2.reduce((a, b) => a + b, 0);
  let sum = 0;
  return all
    .movable()
    .sort((a, b) => area(b) - area(a))
    .filter((i) => {
      const before = sum;
      sum += area(i);
      return before < LARGE_SHARE * whole;
    });
}

/** Exchanges two large pieces of different items, middle for middle. */
export function exchange(all: Layout, large: readonly number[], random: () => number): void {
  for (let tries = 0; tries < 20 && large.length > 1; tries++) {
    const i = large[Math.floor(random() * large.length)] as number;
    const j = large[Math.floor(random() * large.length)] as number;
    if (all.firstShape[i] === all.firstShape[j]) continue;
    const put = (k: number, x: number, y: number): void => {
      const s = all.s[k] as number;
      all.x[k] = x - ((all.minX[s] as number) + (all.maxX[s] as number)) / 2;
      all.y[k] = y - ((all.minY[s] as number) + (all.maxY[s] as number)) / 2;
      all.clamp(k);
    };
    const [xi, yi, xj, yj] = [all.centreX(i), all.centreY(i), all.centreX(j), all.centreY(j)];
    put(i, xj, yj);
    put(j, xi, yi);
    return;
  }
}

/** Turns all pieces between two positions along the roll by 180° as one, or exchanges them with those before: neighbours that fit each other stay together. */
export function rearrange(all: Layout, random: () => number): void {
  const { n, x, y, s, fixed, half } = all;
  const from = random() * all.length * 0.7;
  const to = from + (0.15 + 0.5 * random()) * (all.length - from);
  const inside = Array.from({ length: n }, (_, i) => i).filter((i) => all.centreX(i) >= from && all.centreX(i) < to);
  const turns = inside.every((i) => !fixed[i] && (half[s[i] as number] as number) >= 0);
  if (random() < 0.6 && turns) {
    for (const i of inside) {
      s[i] = half[s[i] as number] as number;
      x[i] = from + to - (x[i] as number);
      y[i] = all.width - (y[i] as number);
    }
  } else {
    for (let i = 0; i < n; i++) {
      const centre = all.centreX(i);
      if (centre < from) move(all, i, to - from);
      else if (centre < to) move(all, i, -from);
    }
  }
  all.clampAll();
}
