import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-cli-'));

function run(args: string[], input = ''): { code: number | null; out: string; error: string } {
  const done = spawnSync(process.execPath, ['--import', 'tsx', 'cli/src/main.ts', ...args], { cwd: root, input, encoding: 'utf8', maxBuffer: 1 << 26 });
  return { code: done.status, out: done.stdout, error: done.stderr };
}

const job = {
  format: 'yardland/job@1',
  name: 'Two seats',
  units: 'metric',
  cushions: [
    {
      name: 'Seat',
      quantity: 2,
      given: 'seat',
      template: { shape: 'rectangle', widthMm: 590, depthMm: 490, cornerRadiusMm: 0 },
      heightMm: 75,
      school: 'padded-to-the-line',
      construction: { kind: 'boxed', edge: 'plain', seamMm: 13, plaque: 'slit', zipWidthMm: 30, zipReturnMm: 50, zipPocketMm: 25 },
      core: { layers: [{ grade: 'wren-28', thicknessMm: 75 }] },
      wrapLoftMm: 25,
    },
  ],
  cloth: { widthMm: 1400 },
};

describe('yardland plan', () => {
  afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

  it('prints the whole plan, unrounded, with its derivations', () => {
    const file = path.join(folder, 'job.json');
    fs.writeFileSync(file, JSON.stringify(job));
    const { code, out, error } = run(['plan', file]);
    expect([code, error]).toEqual([0, '']);
    const plan = JSON.parse(out);
    expect(plan.format).toBe('yardland/plan@1');
    const [cushion] = plan.cushions;
    expect(cushion.sizes.finished).toEqual({ widthMm: 590, depthMm: 490, heightMm: 75 });
    expect(cushion.sizes.cut).toEqual({ widthMm: 616, depthMm: 516 });
    const plate = cushion.pieces.find((piece: { role: string }) => piece.role === 'plate');
    expect(plate.countPerCushion).toBe(2);
    expect(plate.outline.length).toBe(4);
    expect(plate.why[0]).toBe('590 seat − 0 gap = 590 finished; + 2 × 13 seam = 616 cut');
    expect(plan.lays.every((lay: { answer: unknown }) => lay.answer !== null)).toBeTrue();
    expect(plan.buy.find((line: { ware: string }) => line.ware === 'cloth').amount % 100).toBe(0);
  });

  it('reads standard input and another shop', () => {
    const shop = JSON.parse(fs.readFileSync(path.join(root, 'demo/shop.json'), 'utf8'));
    const file = path.join(folder, 'shop.json');
    fs.writeFileSync(file, JSON.stringify({ ...shop, grades: [] }));
    const plan = JSON.parse(run(['plan', '-', '--shop', file], JSON.stringify(job)).out);
    expect(plan.problems.map((problem: { code: string }) => problem.code)).toContain('grade-unknown');
  });

  it('refuses what is not a job: exit code 2, the problems with their paths on standard error, nothing on standard output', () => {
    const refused = (args: string[], input = ''): { code: string; path: string; message: string }[] => {
      const { code, out, error } = run(args, input);
      expect([code, out]).toEqual([2, '']);
      return JSON.parse(error).problems;
    };
    const bad = { ...job, cushions: [{ ...job.cushions[0], heightMm: -1, colour: 'red' }] };
    expect(refused(['plan', '-'], JSON.stringify(bad)).map((problem) => problem.path)).toEqual(['cushions.0.heightMm', 'cushions.0.colour']);
    expect(refused(['plan', '-'], '{"half":')[0]!.code).toBe('file-not-json');
    expect(refused(['plan', path.join(folder, 'none.json')])[0]!.code).toBe('file-unreadable');
    expect(refused(['knit', 'x'])[0]!.code).toBe('verb-unknown');
    expect(refused(['plan', '-', '--colour', 'red'])[0]!.code).toBe('option-unknown');
  });
});
