import fc from 'fast-check';
import { measured } from '../geometry/measure';
import { area, flatten, outlineBounds, perimeter, type Outline } from '../geometry/outline';
import { outlineOf, SHAPES } from '../template/shapes/shapes';
import { distanceTo } from '../geometry/measure';
import { splineCubics } from './dxf/spline';
import { formatOf, OUTLINE_FORMATS, readOutlineFile } from './formats';

const outlines = SHAPES.map((shape) => ({ shape: shape.shape, outline: outlineOf(shape.like(620, 480)).outline }));

/** Largest distance between two outlines, looked at from both. */
function apart(a: Outline, b: Outline): number {
  const [p, q] = [flatten(a, 0.002), flatten(b, 0.002)];
  return Math.max(...p.map((point) => distanceTo(q, point)), ...q.map((point) => distanceTo(p, point)));
}

function read(file: string, text: string): Outline {
  const result = readOutlineFile(file, text, null);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.outline;
}

describe('outline files', () => {
  it('read back what they wrote, to a hundredth of a millimetre, for every shape', () => {
    for (const format of OUTLINE_FORMATS.filter((one) => one.read && one.write && one.ending !== 'csv'))
      for (const { shape, outline } of outlines) {
        const again = read(`a.${format.ending}`, format.write?.(outline, 'A <seat> & "more"') ?? '');
        expect(apart(outline, again)).withContext(`${format.ending} ${shape}`).toBeLessThan(0.01);
        expect(perimeter(again)).withContext(`${format.ending} ${shape}`).toBeCloseTo(perimeter(outline), 2);
        expect(again.segments.filter((one) => one.kind === 'arc').length)
          .withContext(`${format.ending} ${shape}`)
          .toBe(outline.segments.filter((one) => one.kind === 'arc').length);
      }
    for (const { outline } of outlines) {
      const points = read('a.csv', formatOf('a.csv')?.write?.(outline, '') ?? '');
      // Within 0.02 mm of the curve, and laid with its box at the origin again.
      expect(apart(outline, points)).toBeLessThan(0.06);
    }
  });

  it('know their units: from the file, from the person, or say that they were not said', () => {
    const square = 'x,y\n0,0\n10,0\n10,10\n0,10\n';
    const bare = readOutlineFile('a.csv', square, null);
    expect(bare.ok && bare.notes.map((note) => note.code)).toEqual(['units-not-said']);
    const inches = readOutlineFile('a.csv', square, 'inch');
    expect(inches.ok && measured(inches.outline).widthMm).toBeCloseTo(254, 9);
    const named = readOutlineFile('a.csv', square.replace('x,y', 'x_in,y_in'), null);
    expect(named.ok && measured(named.outline).widthMm).toBeCloseTo(254, 9);
    const comma = readOutlineFile('a.csv', '0;0\n10,5;0\n10,5;4\n0;4\n', 'mm');
    expect(comma.ok && measured(comma.outline).widthMm).toBeCloseTo(10.5, 9);
    const svg = (root: string) => `<svg xmlns="http://www.w3.org/2000/svg" ${root}><rect x="1" y="1" width="20" height="10"/></svg>`;
    expect(measured(read('a.svg', svg('width="50mm" height="50mm" viewBox="0 0 100 100"'))).widthMm).toBeCloseTo(10, 9);
    expect(measured(read('a.svg', svg('width="2in" height="2in" viewBox="0 0 2 2"'))).widthMm).toBeCloseTo(508, 6);
  });

  it('follow transforms, ellipses, quadratic curves and polylines with bulges', () => {
    const inGroup = read('a.svg', '<svg width="100mm" viewBox="0 0 100 100"><g transform="translate(5 5) scale(2)"><circle cx="10" cy="10" r="10"/></g></svg>');
    expect(area(inGroup)).toBeCloseTo(Math.PI * 400, 1);
    const ellipse = read('a.svg', '<svg width="100mm" viewBox="0 0 100 100"><ellipse cx="50" cy="50" rx="40" ry="20" transform="rotate(30 50 50)"/></svg>');
    expect(area(ellipse) / (Math.PI * 800)).toBeCloseTo(1, 3);
    // A parabola of width 40 and height 20 under its chord: two thirds of the box.
    const quadratic = read('a.svg', '<svg width="100mm" viewBox="0 0 100 100"><path d="M0 50 Q20 10 40 50 Z"/></svg>');
    expect(area(quadratic)).toBeCloseTo((2 / 3) * 40 * 20, 6);
    // A stadium: two bulges of 1 are half circles.
    const stadium =
      '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n10\n0\n20\n0\n10\n100\n20\n0\n42\n1\n10\n100\n20\n40\n10\n0\n20\n40\n42\n1\n0\nENDSEC\n0\nEOF\n';
    expect(area(read('a.dxf', stadium))).toBeCloseTo(100 * 40 + Math.PI * 400, 6);
  });

  it('turn a spline into Béziers that run through the same places', () => {
    const controls = [0, 1, 2, 3, 4, 5].map((i) => ({ x: i * 10, y: [0, 8, -4, 9, 3, 0][i] ?? 0 }));
    const knots = [0, 0, 0, 0, 1, 2, 3, 3, 3, 3];
    /** De Boor's algorithm, straight from its definition. */
    const basis = (i: number, k: number, t: number): number => {
      if (k === 0) return t >= knots[i]! && (t < knots[i + 1]! || (t === 3 && knots[i + 1] === 3 && knots[i]! < 3)) ? 1 : 0;
      const [a, b] = [knots[i + k]! - knots[i]!, knots[i + k + 1]! - knots[i + 1]!];
      return (a ? ((t - knots[i]!) / a) * basis(i, k - 1, t) : 0) + (b ? ((knots[i + k + 1]! - t) / b) * basis(i + 1, k - 1, t) : 0);
    };
    const cubics = splineCubics(controls, knots);
    expect(cubics.length).toBe(3);
    for (let i = 0; i <= 30; i++) {
      const t = i / 10;
      const at = controls.reduce((sum, p, j) => ({ x: sum.x + p.x * basis(j, 3, t), y: sum.y + p.y * basis(j, 3, t) }), { x: 0, y: 0 });
      const span = Math.min(2, Math.floor(t));
      const [u, c] = [t - span, cubics[span]!];
      const y = (1 - u) ** 3 * c.from.y + 3 * (1 - u) ** 2 * u * c.c1.y + 3 * (1 - u) * u * u * c.c2.y + u ** 3 * c.to.y;
      expect(y).toBeCloseTo(at.y, 9);
    }
  });

  it('refuse hostile files with a coded problem and never throw', () => {
    const code = (file: string, text: string) => {
      const result = readOutlineFile(file, text, null);
      return result.ok ? 'read' : result.problems[0]?.code;
    };
    expect(code('a.svg', `${'<g>'.repeat(10_000)}`)).toBe('file-not-of-its-kind');
    expect(code('a.svg', `<svg>${'<g>'.repeat(100)}</svg>`)).toBe('file-line-unreadable');
    expect(code('a.svg', '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg><path d="&b;"/></svg>')).toBe('file-line-unreadable');
    expect(code('a.svg', '<svg width="10mm" viewBox="0 0 10 10"><script>alert(1)</script></svg>')).toBe('file-without-outline');
    expect(code('a.svg', '<svg><path d="M0 0L1e999 0L5 5Z"/></svg>')).toMatch(/file-(not-of-its-kind|line-unreadable)/);
    expect(code('a.dxf', 'hello\nworld\n')).toBe('file-not-of-its-kind');
    expect(code('a.dxf', '0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\nNaN\n20\n0\n11\n1\n21\n1\n0\nENDSEC\n')).toBe('file-line-unreadable');
    expect(code('a.csv', '0,0\n1,zwei\n')).toBe('file-line-unreadable');
    expect(code('a.csv', '0,0\n'.repeat(30_000))).toBe('outline-too-fine');
    expect(code('a.json', '{"format":"yardland/outline@1","start":[0,0],"segments":[]}')).toMatch(/^document-/);
    expect(code('a.json', '[')).toBe('file-not-json');
    expect(code('a.step', '')).toBe('file-kind-unknown');
    expect(code('a.csv', 'x'.repeat(5_000_000))).toBe('file-too-large');
    fc.assert(
      fc.property(fc.constantFrom('a.svg', 'a.dxf', 'a.csv', 'a.json'), fc.string({ maxLength: 400 }), (file, text) => {
        const result = readOutlineFile(file, text, null);
        if (!result.ok) expect(result.problems.length).toBeGreaterThan(0);
      }),
      { seed: 51, numRuns: 400 },
    );
    const dxf = formatOf('a.dxf')?.write?.(outlines[4]!.outline, 'x') ?? '';
    for (let cut = 10; cut < dxf.length; cut += 97) expect(() => readOutlineFile('a.dxf', dxf.slice(0, cut), null)).not.toThrow();
  });

  it('write a plotter file that goes round once, pen down, 40 units a millimetre', () => {
    const plt = formatOf('a.plt')?.write?.(outlineOf({ shape: 'rectangle', widthMm: 100, depthMm: 50 }).outline, '') ?? '';
    expect(plt).toBe('IN;SP1;PU0,0;PD4000,0;PD4000,2000;PD0,2000;PD0,0;PU;SP0;\n');
  });

  it('takes twenty thousand equal outlines for one, without comparing each with each', () => {
    const body = '<path d="M0 0H400V300H0Z"/>'.repeat(20_000 / 4);
    const read = readOutlineFile('many.svg', `<svg xmlns="http://www.w3.org/2000/svg" width="500mm" height="500mm" viewBox="0 0 500 500">${body}</svg>`, null);
    if (!read.ok) throw new Error(read.problems[0]?.code);
    const { maxX, maxY } = outlineBounds(read.outline);
    expect([read.outline.segments.length, maxX, maxY, read.notes.map(({ data }) => data['others'])]).toEqual([4, 400, 300, [4999]]);
    // So many straight lines that hardly have a length, all in one spot: told to be too fine, or nothing, at once.
    const dots = Array.from(
      { length: 19_000 },
      (_, i) => `<line x1="${(i % 97) / 97}" y1="${(i % 89) / 89}" x2="${(i % 97) / 97 + 0.06}" y2="${(i % 89) / 89 + 0.06}"/>`,
    ).join('');
    expect(
      readOutlineFile('dots.svg', `<svg xmlns="http://www.w3.org/2000/svg" width="9mm" height="9mm" viewBox="0 0 9 9">${dots}</svg>`, null).ok,
    ).toBeFalse();
  });
});
