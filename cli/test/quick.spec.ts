import { run } from './support';

describe('yardland quick', () => {
  it('reads a note line by line, says where a line is not understood, and exits by that', () => {
    const { code, out } = run(['quick', '-', '--units', 'inch'], '6 x 19 3/4 x 17 x 3 heron 40\n\nT 24x22\nround 22 weltd\n');
    const lines = JSON.parse(out) as { line: number; ok: boolean; heightMm?: number; grade?: string | null; from?: number; message?: string }[];
    expect(code).toBe(1);
    expect(lines.map(({ line, ok }) => [line, ok])).toEqual([
      [1, true],
      [3, true],
      [4, false],
    ]);
    expect([lines[0]!.grade, Math.round(lines[1]!.heightMm! * 10) / 10]).toEqual(['heron-40', 76.2]);
    expect([lines[2]!.from, lines[2]!.message]).toEqual([9, '“weltd” is not known here; welt or welted would be']);
    expect(run(['quick', '-'], '500 x 430 x 75').code).toBe(0);
    expect(run(['quick', '-', '--units', 'feet'], '5 x 4 x 3').code).toBe(2);
  });
});
