import { drawnDimension, drawScene, folded, fittedView, onScreen, zoomed } from './draw';
import { sceneBounds, type Scene } from './scene';

const scene: Scene = {
  title: 'a box',
  fit: 'x',
  items: [
    {
      kind: 'area',
      key: 'box',
      shape: [
        { x: 0, y: 0 },
        { x: 600, y: 0 },
        { x: 600, y: 400 },
        { x: 0, y: 400 },
      ],
      look: 'cut',
    },
    { kind: 'dim', key: 'w', name: 'width', side: 'below', from: { x: 0, y: 0 }, to: { x: 600, y: 0 }, mm: 600 },
    { kind: 'note', key: 'n', at: { x: 300, y: 200 }, text: 'a long word', short: 'a', within: 60, tall: 100 },
    { kind: 'leader', key: 'a', at: { x: 600, y: 300 }, toX: 600, text: 'one' },
    { kind: 'leader', key: 'b', at: { x: 600, y: 299 }, toX: 600, text: 'two' },
  ],
};

describe('drawing a scene', () => {
  const view = fittedView(sceneBounds(scene), { width: 800, height: 600 }, undefined);

  it('fits it whole, upright and in the room kept free', () => {
    const [low, high] = [onScreen({ x: 0, y: 0 }, view), onScreen({ x: 600, y: 400 }, view)];
    expect(low.x).toBeGreaterThanOrEqual(59.9);
    expect(high.x).toBeLessThanOrEqual(690.1);
    expect(high.y).toBeGreaterThanOrEqual(63.9);
    expect(low.y).toBeLessThanOrEqual(522.1);
    expect(low.y).toBeGreaterThan(high.y);
  });

  it('zooms about a point that stays where it is', () => {
    const about = { x: 400, y: 300 };
    const mm = { x: (about.x - view.x) / view.scale, y: (view.y - about.y) / view.scale };
    const after = onScreen(mm, zoomed(view, 1.7, about));
    expect(after.x).toBeCloseTo(400, 6);
    expect(after.y).toBeCloseTo(300, 6);
  });

  it('writes a dimension clear of the thing, words only where they fit, and leaders apart', () => {
    const drawn = drawScene(scene, view);
    const [dim] = drawn.dims;
    expect(dim?.y).toBeCloseTo(onScreen({ x: 0, y: 0 }, view).y + 30, 6);
    expect(dim).toEqual(drawnDimension(scene.items[1] as never, view));
    expect(drawn.notes[0]?.text).toBe('a');
    const [one, two] = drawn.leaders.map(({ lines }) => lines[0]?.y ?? 0);
    expect(Math.abs((one ?? 0) - (two ?? 0))).toBeGreaterThanOrEqual(17);
    expect(folded('Eider feather and fibre, channelled, −93\u00a0%', 22)).toEqual(['Eider feather and', 'fibre, channelled,', '−93\u00a0%']);
    expect(folded('Baumwollstoffstreifenbreite', 22)).toEqual(['Baumwollstoffstreifenbreite']);
  });
});
