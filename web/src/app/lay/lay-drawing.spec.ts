import { polygonArea, solveLay, type LayRequest, type PlannedLay } from '@yardland/core';
import { bandsOf, partIn, turned } from './lay-drawing';

const square = (w: number, h: number) => [
  { x: 0, y: 0 },
  { x: w, y: 0 },
  { x: w, y: h },
  { x: 0, y: h },
];

describe('a lay on the table', () => {
  it('loses nothing of a piece that goes over from one row of the roll to the next', () => {
    const request: LayRequest = {
      format: 'yardland/lay-request@1',
      material: { kind: 'roll', widthMm: 1380, gapMm: 3 },
      items: [{ id: 'p', polygon: square(1300, 900), count: 12, turns: [0] }],
      seed: 1,
      tries: 4,
    };
    const answer = solveLay(request);
    const lay: PlannedLay = {
      hash: 'x',
      key: 'cloth',
      subject: { kind: 'cloth', name: 'plain', slots: ['main'], use: { widthMm: 1400 }, ownLengthMm: null },
      request,
      answer,
      problems: [],
    };
    const bands = bandsOf(lay, answer);
    expect(bands.length).toBeGreaterThan(1);
    for (const placement of answer.placements) {
      const points = square(1300, 900).map((p) => turned({ x: p.x + placement.x, y: p.y + placement.y }));
      const shown = bands.map((band) => Math.abs(polygonArea(partIn(band, points, 0)))).reduce((a, b) => a + b);
      expect(shown / (1300 * 900)).toBeCloseTo(1, 6);
    }
  });
});
