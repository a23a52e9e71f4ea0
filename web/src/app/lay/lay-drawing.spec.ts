import { partIn, placed, polygonArea, solveLay, type LayRequest } from '@yardland/core';
import { bandsOf } from './lay-drawing';

const square = (w: number, h: number) => [
  { x: 0, y: 0 },
  { x: w, y: 0 },
  { x: w, y: h },
  { x: 0, y: h },
];

describe('a lay on the table', () => {
  it('loses nothing of a piece that goes over from one row of the roll to the next', () => {
    const material = { kind: 'roll', widthMm: 1380 } as const;
    const request: LayRequest = {
      format: 'yardland/lay-request@2',
      material,
      gapMm: 3,
      items: [{ id: 'p', polygon: square(900, 1300), count: 12, turns: [0] }],
      pins: [],
      seed: 1,
      moves: 4,
    };
    const answer = solveLay(request);
    const bands = bandsOf(material, answer);
    expect(bands.length).toBeGreaterThan(1);
    for (const placement of answer.placements) {
      const points = placed(square(900, 1300), placement);
      const shown = bands.map((band) => Math.abs(polygonArea(partIn(band, points, 0)))).reduce((a, b) => a + b);
      expect(shown / (1300 * 900)).toBeCloseTo(1, 6);
    }
  });
});
