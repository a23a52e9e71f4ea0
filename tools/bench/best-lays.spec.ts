import { validateLay } from '@yardland/core';
import { root } from '../served';
import { readBestLays } from './best-lays';
import { realSets, setHash } from './lay-sets';

describe('the best lays known', () => {
  it('are lays of the bench’s sets as they are now, and can be cut (else: npm run best-lays)', () => {
    const lays = readBestLays(root);
    for (const { name, request } of realSets(root)) {
      const { hash, answer } = lays[name]!;
      expect(hash).withContext(name).toBe(setHash(request));
      expect(validateLay(request, answer)).withContext(name).toEqual([]);
      // What it says it uses is what its pieces take of its length.
      const { material, items } = request;
      if (material.kind !== 'roll') continue;
      const twice = (polygon: readonly { x: number; y: number }[]): number =>
        Math.abs(polygon.reduce((sum, p, i) => sum + p.x * polygon[(i + 1) % polygon.length]!.y - polygon[(i + 1) % polygon.length]!.x * p.y, 0));
      const area = items.reduce((sum, { polygon, count }) => sum + (count * twice(polygon)) / 2, 0);
      expect(answer.use)
        .withContext(name)
        .toBeCloseTo(area / (material.widthMm * answer.lengthMm), 9);
    }
  }, 60_000);
});
