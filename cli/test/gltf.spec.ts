import { WebIO } from '@gltf-transform/core';
import { gltfText, type Solid, type SolidPart } from '@yardland/core/solid';

/** A block of 200 × 100 × 50. */
const BLOCK: SolidPart = {
  id: 'plate:top',
  piece: 'plate',
  kind: 'cover',
  material: 'cloth/main',
  positions: Float64Array.from([0, 0, 0, 200, 0, 0, 200, 100, 0, 0, 100, 0, 0, 0, 50, 200, 0, 50, 200, 100, 50, 0, 100, 50]),
  triangles: Uint32Array.from([0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7]),
  uvs: Float64Array.from([0, 0, 200, 0, 200, 100, 0, 100, 0, 0, 200, 0, 200, 100, 0, 100]),
};
const SOLID: Solid = { parts: [BLOCK, { ...BLOCK, id: 'cord-1', piece: 'welt', kind: 'cord', material: 'cloth/welt' }] };
const PIXEL = 'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';

describe('a glTF file', () => {
  it('is read by another program as what was written: parts, metres, upright, cloth on its repeat', async () => {
    const text = gltfText(SOLID, 'Box seat', (material) => ({
      name: material === 'cloth/main' ? 'Meadow' : 'Cord',
      colour: [0.25, 0.5, 0.75],
      ...(material === 'cloth/main' ? { picture: { dataUri: PIXEL, acrossMm: 100, alongMm: 50 } } : {}),
    }));
    const document = await new WebIO().readJSON({ json: JSON.parse(text) as never, resources: {} });
    const root = document.getRoot();
    expect(root.listScenes().map((scene) => scene.getName())).toEqual(['Box seat']);
    expect(root.listNodes().map((node) => node.getName())).toEqual(['plate:top', 'cord-1']);
    const [plate] = root.listMeshes();
    const primitive = plate!.listPrimitives()[0]!;
    expect(primitive.getMaterial()!.getName()).toBe('Meadow');
    expect(primitive.getMaterial()!.getBaseColorTexture()!.getMimeType()).toBe('image/png');
    expect(root.listMaterials()[1]!.getBaseColorFactor()).toEqual([0.25, 0.5, 0.75, 1]);
    const position = primitive.getAttribute('POSITION')!;
    // 200 across, 50 up, 100 deep towards the back, which is −z.
    expect(position.getMax([]).map((m) => Math.round(m * 1000) + 0)).toEqual([200, 50, 0]);
    expect(position.getMin([]).map((m) => Math.round(m * 1000))).toEqual([0, 0, -100]);
    expect(primitive.getIndices()!.getCount()).toBe(36);
    // Each corner of a block belongs to three faces, each with a normal of its own.
    expect(position.getCount()).toBe(24);
    const uv = primitive.getAttribute('TEXCOORD_0')!;
    expect(uv.getMax([])).toEqual([2, 1]);
    expect(uv.getMin([])).toEqual([0, -1]);
  });
});
