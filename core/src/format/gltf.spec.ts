import { shaded } from '../form/solid/normals';
import { BLOCK } from '../testing/mesh';
import { base64 } from './gltf';

describe('base64', () => {
  it('holds bytes the way the standard has them', () => {
    // RFC 4648, section 10.
    const text = (word: string): string => base64(Uint8Array.from(word, (letter) => letter.charCodeAt(0)));
    expect(['', 'f', 'fo', 'foo', 'foob', 'fooba', 'foobar'].map(text)).toEqual(['', 'Zg==', 'Zm8=', 'Zm9v', 'Zm9vYg==', 'Zm9vYmE=', 'Zm9vYmFy']);
  });
});

describe('a shaded part', () => {
  it('has the normals of its faces at edges of more than 45°', () => {
    const { normals, triangles, positions } = shaded(BLOCK);
    for (const v of triangles) {
      const normal = [...normals.subarray(3 * v, 3 * v + 3)].map((one) => Math.round(one));
      expect(normal.reduce((sum, one) => sum + Math.abs(one), 0)).toBe(1);
      // Outward: towards the side of the block that the vertex lies on.
      const axis = normal.findIndex((one) => one !== 0);
      const high = positions[3 * v + axis]! > 0;
      expect(normal[axis]).toBe(high ? 1 : -1);
    }
  });
});
