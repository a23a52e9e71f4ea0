import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { area } from '@yardland/core';
import { type FileUnits, readOutlineFile } from '@yardland/core/format';

interface Truth {
  /** Worked out from the figures in the file, by the formula of its shape. */
  readonly areaMm2?: number;
  /** What a person would say where the file says nothing. */
  readonly units?: FileUnits;
  /** Relative. */
  readonly tolerance?: number;
  readonly refused?: string;
  readonly line?: number;
}

const folder = fileURLToPath(new URL('./outlines', import.meta.url));
const truths = JSON.parse(fs.readFileSync(path.join(folder, 'true-areas.json'), 'utf8')) as Record<string, Truth>;
const readFile = (name: string, units: FileUnits | null) => readOutlineFile(name, fs.readFileSync(path.join(folder, name), 'utf8'), units);

describe('outline files as other programs write them', () => {
  it('are all told of in the list, and all in the folder', () => {
    expect(
      fs
        .readdirSync(folder)
        .filter((name) => name !== 'true-areas.json')
        .sort(),
    ).toEqual(Object.keys(truths).sort());
  });

  for (const [name, { areaMm2, units, tolerance = 2e-5, refused, line }] of Object.entries(truths))
    it(`${name} is ${refused === undefined ? 'read with its true area' : 'refused by name and line'}`, () => {
      const read = readFile(name, units ?? null);
      if (refused !== undefined) {
        expect(read.ok ? 'read' : read.problems[0]?.code).toBe(refused);
        if (line !== undefined && !read.ok) expect(read.problems[0]?.data['line']).toBe(line);
        return;
      }
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      expect(Math.abs(area(read.outline) / (areaMm2 ?? NaN) - 1)).toBeLessThan(tolerance);
    });

  it('are not turned into other units by what a person says, where the file says its own', () => {
    const said = Object.entries(truths).filter(([, truth]) => truth.areaMm2 !== undefined && truth.units === undefined);
    for (const [name, { areaMm2, tolerance = 2e-5 }] of said) {
      const read = readFile(name, 'inch');
      expect(read.ok && Math.abs(area(read.outline) / (areaMm2 ?? NaN) - 1))
        .withContext(name)
        .toBeLessThan(tolerance);
    }
  });
});
