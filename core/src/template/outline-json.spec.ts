import { outlineFromJson, outlineProblems, outlineSchema, type OutlineJson } from './outline-json';

type Segments = OutlineJson['segments'];
const outline = (start: [number, number], segments: Segments): OutlineJson => ({ format: 'yardland/outline@1', start, segments });
const code = (json: OutlineJson): string | undefined => outlineProblems(outlineFromJson(outlineSchema.parse(json)))[0]?.code;
/** A ring of points, and what leads from each to the next. */
const ring = (count: number, radius: number, more: (i: number) => Partial<Segments[number]> = () => ({})): OutlineJson => {
  const at = (i: number): [number, number] => [radius + radius * Math.cos((2 * Math.PI * i) / count), radius + radius * Math.sin((2 * Math.PI * i) / count)];
  return outline(
    at(0),
    Array.from({ length: count }, (_, i) => ({ to: at((i + 1) % count), ...more(i) })),
  );
};

describe('an outline beyond what a cushion can be', () => {
  it('is refused however large its arcs', () => {
    // 400 arcs of 359° over a chord of 200 m: sixteen kilobytes of text.
    expect(
      code(
        outline(
          [0, 0],
          [...Array(399)].map((_, i) => ({ to: [i % 2 ? 0 : 99_000, i] as [number, number], sweepDeg: 359 })),
        ),
      ),
    ).toBe('outline-too-large');
    expect(code(ring(8, 30_000))).toBe('outline-too-large');
    // Ends near each other, and an arc of 115 m radius between them.
    expect(code(outline([0, 0], [{ to: [2000, 0], sweepDeg: 359 }, { to: [0, 0] }]))).toBe('outline-too-large');
  });

  it('is refused with more curves than a template has, and taken with as many as one has', () => {
    const wave = (i: number): Partial<Segments[number]> => ({ sweepDeg: i % 2 ? 20 : -20 });
    expect(code(ring(2000, 600, wave))).toBe('outline-too-many-curves');
    expect(code(ring(120, 600, wave))).toBeUndefined();
    expect(code(ring(600, 600))).toBeUndefined();
    // A gently curved front of three metres has a radius of hundreds.
    expect(code(outline([0, 0], [{ to: [3000, 0], sweepDeg: -0.3 }, { to: [3000, 500] }, { to: [0, 500] }, { to: [0, 0] }]))).toBeUndefined();
  });
});
