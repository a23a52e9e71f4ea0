import type { SolidPart } from './solid';

/** Where a part ends, as pairs of places one after the other (x, y, z each): its sides that belong to one triangle only. A part that is closed in itself has none. */
export function bordersOf({ positions, triangles }: SolidPart): Float32Array {
  const sides = new Map<string, readonly [number, number]>();
  for (let t = 0; t < triangles.length; t += 3)
    for (let k = 0; k < 3; k++) {
      const [a, b] = [triangles[t + k] as number, triangles[t + ((k + 1) % 3)] as number];
      const back = `${b}|${a}`;
      if (sides.has(back)) sides.delete(back);
      else sides.set(`${a}|${b}`, [a, b]);
    }
  return Float32Array.from([...sides.values()].flatMap(([a, b]) => [...positions.subarray(3 * a, 3 * a + 3), ...positions.subarray(3 * b, 3 * b + 3)]));
}
