import { run, runFromSources, type Said } from './support';

const lay = (document: unknown): Said => run(['lay', '-'], JSON.stringify(document));

interface Answer {
  readonly placements: readonly {
    readonly id: string;
    readonly copy: number;
    readonly sheet: number;
    readonly xMm: number;
    readonly yMm: number;
    readonly turn: number;
  }[];
  readonly lengthMm: number;
  readonly use: number;
  readonly boundMm: number;
  readonly unplaced: readonly string[];
}

/** Four slanted pieces, beside each other 4 × 400 and one slant of 600 long, on cloth as wide as they are. */
const slants = {
  format: 'yardland/lay@2',
  material: { kind: 'roll', widthMm: 600 },
  gapMm: 0,
  pieces: [
    {
      id: 's',
      outline: [
        [0, 0],
        [400, 0],
        [1000, 600],
        [600, 600],
      ],
      count: 4,
      turns: [0, 180],
    },
  ],
  seconds: 1,
  seed: 1,
  threads: 1,
};

describe('yardland lay', () => {
  it('lays pieces on a roll in the time it is given: x along from 0, y across, turned about their own origin', () => {
    const { code, out } = lay(slants);
    expect(code).toBe(0);
    const answer = JSON.parse(out) as Answer;
    expect(answer.lengthMm).toBeCloseTo(2200, 3);
    expect(answer.boundMm).toBeLessThanOrEqual(2200);
    expect(answer.unplaced).toEqual([]);
    const outline = slants.pieces[0]!.outline as [number, number][];
    const corners = answer.placements.flatMap(({ xMm, yMm, turn }) =>
      outline.map(([x, y]) => (turn === 180 ? [xMm - x, yMm - y] : [xMm + x, yMm + y]) as [number, number]),
    );
    expect(Math.min(...corners.map(([x]) => x))).toBeCloseTo(0, 6);
    expect(Math.max(...corners.map(([x]) => x))).toBeCloseTo(answer.lengthMm, 6);
    expect(corners.every(([, y]) => y > -1e-6 && y < 600 + 1e-6)).toBeTrue();
  });

  it('lays sheets for a saw that goes from edge to edge, and gives its cuts in order', () => {
    const box = [
      [0, 0],
      [500, 0],
      [500, 400],
      [0, 400],
    ];
    const sheet = { kind: 'sheet', widthMm: 800, lengthMm: 1000, cuts: 'edge-to-edge' };
    const { code, out } = lay({ ...slants, material: sheet, pieces: [{ id: 'core', outline: box, count: 4, turns: [0] }] });
    expect(code).toBe(0);
    const answer = JSON.parse(out) as Answer & { readonly cuts: unknown; readonly sheets: number };
    expect([answer.sheets, answer.use]).toEqual([1, 1]);
    expect(answer.cuts).toEqual([
      { sheet: 0, from: [500, 0], to: [500, 800] },
      { sheet: 0, from: [0, 400], to: [500, 400] },
      { sheet: 0, from: [500, 400], to: [1000, 400] },
    ]);
  });

  it('tries a seed to each thread and gives the best of them', () => {
    // Each thread compiles the sources for itself.
    const { code, out } = runFromSources(['lay', '-'], JSON.stringify({ ...slants, threads: 2, seconds: 0.5 }));
    expect(code).toBe(0);
    expect((JSON.parse(out) as Answer).lengthMm).toBeCloseTo(2200, 3);
  });

  it('refuses an earlier format, an outline that crosses itself, a name used twice and too much, each at its place', () => {
    const [slant] = slants.pieces;
    const refused = (over: object): unknown[] => {
      const { code, error } = lay({ ...slants, ...over });
      expect(code).toBe(2);
      return (JSON.parse(error) as { problems: { code: string; path: string; message: string }[] }).problems.map(({ code: problem, path, message }) => [
        problem,
        path,
        message,
      ]);
    };
    expect(refused({ format: 'yardland/lay@1' })).toEqual([['document-invalid-value', 'format', jasmine.stringContaining('lay@1 is no longer answered')]]);
    const crossed = {
      ...slant,
      outline: [
        [0, 0],
        [100, 100],
        [100, 0],
        [0, 100],
      ],
    };
    expect(refused({ pieces: [crossed] })).toEqual([['outline-crosses-itself', 'pieces.0.outline', jasmine.stringContaining('50 mm')]]);
    expect(refused({ pieces: [slant, slant] })).toEqual([['lay-piece-named-twice', 'pieces.1.id', jasmine.any(String)]]);
    expect(
      refused({
        pieces: [
          { ...slant, count: 1500 },
          { ...slant, id: 't', count: 1500 },
        ],
      }),
    ).toEqual([['lay-too-many-pieces', 'pieces', jasmine.stringContaining('3')]]);
  });

  it('puts motifs on their marks on a patterned roll, and refuses a half drop without two repeats', () => {
    const square = [
      [0, 0],
      [300, 0],
      [300, 300],
      [0, 300],
    ];
    const pattern = { alongMm: 320, acrossMm: 340, halfDrop: false, motifAcrossMm: 170 };
    const asked = {
      format: 'yardland/lay@2',
      material: { kind: 'roll', widthMm: 1360, pattern },
      gapMm: 3,
      pieces: [{ id: 'plate', outline: square, count: 5, turns: [0], motif: [150, 150] }],
      seconds: 0.3,
    };
    const answer = JSON.parse(lay(asked).out) as Answer;
    // Four rows: the fifth lies one repeat further along.
    expect(answer.lengthMm).toBeCloseTo(620, 6);
    expect(answer.placements.map(({ xMm, yMm }) => [xMm % 320, (yMm - 20) % 340])).toEqual(Array(5).fill([0, 0]));
    const refused = lay({ ...asked, material: { ...asked.material, pattern: { ...pattern, halfDrop: true, acrossMm: 0 } } });
    expect(refused.code).not.toBe(0);
    expect(refused.error).toContain('half drop');
  });
});
