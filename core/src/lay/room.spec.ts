import type { LayItem, LayRequest, Placement } from './contract';
import { roomAround } from './room';

const ring = (...points: readonly (readonly [number, number])[]) => points.map(([x, y]) => ({ x, y }));
const item = (id: string, polygon: LayItem['polygon']): LayItem => ({ id, polygon, count: 2, turns: [0, 180] });
const at = (id: string, x: number, y: number, copy = 0, turn = 0): Placement => ({ item: id, copy, sheet: 0, x, y, turn });
const request = (items: readonly LayItem[], over: Partial<LayRequest> = {}): LayRequest => ({
  format: 'yardland/lay-request@2',
  material: { kind: 'roll', widthMm: 1000 },
  gapMm: 0,
  items,
  pins: [],
  seed: 1,
  moves: 0,
  ...over,
});
const box = item('box', ring([0, 0], [100, 0], [100, 100], [0, 100]));
const roof = item('roof', ring([0, 0], [200, 0], [100, 100]));

describe('the room round a piece on a lay', () => {
  it('is measured to the edges and to what lies there, nothing at the open end of a roll', () => {
    // A box 30 from the squared end and 50 from the lower edge; another level with it 40 further on.
    const placements = [at('box', 30, 50), at('box', 170, 50, 1)];
    expect(roomAround(request([box]), { placements }, placements[0]!)).toEqual({ back: 30, onward: 40, below: 50, above: 850 });
    expect(roomAround(request([box]), { placements }, placements[1]!)).toEqual({ back: 40, onward: null, below: 50, above: 850 });
    // One that only passes it is not met, however near.
    const beside = [at('box', 30, 50), at('box', 30, 150, 1)];
    expect(roomAround(request([box]), { placements: beside }, beside[0]!)).toEqual({ back: 30, onward: null, below: 50, above: 0 });
  });

  it('is measured to the slant that is met first, corner to edge', () => {
    // A roof from 300 on, its slope rises at 45°: the box, 100 long, meets its foot with its lower corner.
    const low = [at('box', 0, 0), at('roof', 300, 0)];
    expect(roomAround(request([box, roof]), { placements: low }, low[0]!).onward).toBeCloseTo(200, 5);
    // Lifted by 60 only what lies under 100 can meet: the slope at 60 across, 360 along, meets the lower corner.
    const high = [at('box', 0, 60), at('roof', 300, 0)];
    expect(roomAround(request([box, roof]), { placements: high }, high[0]!).onward).toBeCloseTo(260, 5);
    expect(roomAround(request([box, roof]), { placements: [at('box', 0, 100), at('roof', 300, 0)] }, at('box', 0, 100)).onward).toBeNull();
    // Above the roof: down to its ridge.
    const over = [at('box', 350, 140), at('roof', 300, 0)];
    expect(roomAround(request([box, roof]), { placements: over }, over[0]!).below).toBeCloseTo(40, 5);
  });

  it('is measured to flaws on a hide, and on its own sheet only', () => {
    const hide = request([box], {
      material: { kind: 'hide', outline: ring([0, 0], [900, 0], [900, 800], [0, 800]), flaws: [ring([500, 20], [540, 20], [540, 60], [500, 60])] },
    });
    expect(roomAround(hide, { placements: [at('box', 100, 0)] }, at('box', 100, 0))).toEqual({ back: 100, onward: 300, below: 0, above: 700 });
    const sheets = request([box], { material: { kind: 'sheet', widthMm: 500, lengthMm: 600 } });
    const apart = [at('box', 0, 0), { ...at('box', 150, 0, 1), sheet: 1 }];
    expect(roomAround(sheets, { placements: apart }, apart[0]!).onward).toBe(500);
  });
});
