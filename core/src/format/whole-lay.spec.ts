import { contains, polygonArea } from '../geometry/polygon';
import { LAY_FORMATS, type LayDrawing } from './whole-lay';
import { readOutlineFile } from './formats';
import { area } from '../geometry/outline';

const ring = (...points: readonly (readonly [number, number])[]) => points.map(([x, y]) => ({ x, y }));
const drawing: LayDrawing = {
  title: 'Cloth',
  material: [ring([0, 0], [900, 0], [900, 1370], [0, 1370])],
  pieces: [
    { words: '1 <plate>', polygon: ring([0, 0], [500, 0], [500, 400], [0, 400]) },
    { words: '2 bias', polygon: ring([10, 410], [110, 410], [710, 1010], [610, 1010]) },
  ],
};
const text = (ending: string): string => LAY_FORMATS.find((one) => one.ending === ending)!.write(drawing);

describe('a whole lay as a file', () => {
  it('is read back by the outline readers at its size: the first piece where the material’s edge is left out', () => {
    for (const ending of ['dxf', 'svg']) {
      const written = LAY_FORMATS.find((one) => one.ending === ending)!.write({ ...drawing, material: [], pieces: drawing.pieces.slice(1) });
      const read = readOutlineFile(`a.${ending}`, written, null);
      expect(read.ok && Math.abs(area(read.outline)))
        .withContext(ending)
        .toBeCloseTo(100 * 600, 3);
    }
  });

  it('has every piece with its words, and the plotter goes round each of them at 40 units a millimetre', () => {
    expect(text('dxf').match(/\nLWPOLYLINE\n/g)?.length).toBe(3);
    expect(text('dxf')).toContain('2 bias');
    expect(text('svg')).toContain('1 &lt;plate&gt;');
    const strokes = [...text('plt').matchAll(/PU(-?\d+),(-?\d+);PD([^;]*);/g)].map(([, x, y, rest]) =>
      [x, y, ...(rest ?? '').split(',')].map((n) => Number(n) / 40),
    );
    const rings = strokes.map((flat) => Array.from({ length: flat.length / 2 }, (_, i) => ({ x: flat[2 * i]!, y: flat[2 * i + 1]! })));
    expect(rings.map((one) => Math.abs(polygonArea(one)))).toEqual([900 * 1370, 500 * 400, 100 * 600]);
    expect(contains(rings[0]!, rings[2]![0]!)).toBeTrue();
  });
});
