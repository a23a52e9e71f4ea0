import { bordersOf } from './borders';
import { satOn } from './sat-on';
import { sliceOf } from './slice';
import { BLOCK } from '../../testing/mesh';
import { triangulate } from './triangulate';

function areaOf(corners: Float32Array): number {
  let sum = 0;
  for (let i = 0; i < corners.length; i += 9) {
    const [u, v] = [0, 3].map((at) => [0, 1, 2].map((k) => corners[i + 3 + at + k]! - corners[i + k]!)) as [number[], number[]];
    sum += Math.hypot(u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!) / 2;
  }
  return sum;
}

describe('a solid', () => {
  it('is cut by a plane into the area that stands there, and into nothing beside it', () => {
    expect(areaOf(sliceOf([BLOCK], { axis: 'x', at: 70 }))).toBeCloseTo(100 * 50, 3);
    expect(areaOf(sliceOf([BLOCK], { axis: 'y', at: 50 }))).toBeCloseTo(200 * 50, 3);
    expect(areaOf(sliceOf([BLOCK], { axis: 'z', at: 25 }))).toBeCloseTo(200 * 100, 3);
    expect(sliceOf([BLOCK], { axis: 'x', at: 300 }).length).toBe(0);
  });

  it('has a border where a part ends: none all round, four sides without its lid', () => {
    expect(bordersOf(BLOCK).length).toBe(0);
    const open = { ...BLOCK, triangles: BLOCK.triangles.filter((_, i) => i < 6 || i >= 12) };
    expect(bordersOf(open).length / 6).toBe(4);
  });

  it('goes down under somebody where they sit, not at its foot and not far from them', () => {
    const [sat] = satOn(
      [{ ...BLOCK, positions: Float64Array.from([100, 52, 50, 100, 52, 0, 400, 52, 50, 0, 0, 0, 200, 104, 50]), triangles: Uint32Array.from([0, 1, 2]) }],
      {
        sinkMm: 20,
        radiusMm: 60,
      },
    );
    const z = [2, 5, 8].map((i) => sat!.positions[i]);
    expect(z[1]).toBe(0);
    expect(z[2]).toBe(50);
    // 100 away from the middle of what is sat on is inside 1.7 radii: part of the way down, never all of it.
    expect(z[0]).toBeLessThanOrEqual(50);
    expect(Math.min(...Array.from(sat!.positions))).toBeGreaterThanOrEqual(0);
  });
});

describe('a triangulation', () => {
  it('fills a line that turns in, keeps edges across it, and leaves out what lies outside', () => {
    const line = [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 4, y: 1 },
      { x: 1, y: 1 },
      { x: 1, y: 3 },
      { x: 0, y: 3 },
    ];
    const edges = [...line.map((_, i) => [i, (i + 1) % 6] as const), [0, 3] as const];
    const made = triangulate(line, 6, edges);
    const area = made.reduce((sum, [i, j, k]) => {
      const [a, b, c] = [line[i]!, line[j]!, line[k]!];
      return sum + ((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) / 2;
    }, 0);
    expect(area).toBeCloseTo(4 + 2, 12);
    expect(made.length).toBe(4);
    expect(made.filter((corners) => corners.includes(0) && corners.includes(3)).length).toBe(2);
  });
});
