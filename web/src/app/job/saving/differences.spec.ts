import { JOB_FORMAT } from '@yardland/core';
import { differences, pathWords } from './differences';

describe('two states of a job', () => {
  it('are compared field by field, in words', () => {
    const base = { format: JOB_FORMAT, name: 'A', units: 'metric' as const, cushions: [], cloth: { widthMm: 1400 } };
    expect(differences(base, { ...base, name: 'B', cloth: { widthMm: 1400, railroaded: true } })).toEqual([
      { path: 'name', theirs: 'A', mine: 'B' },
      { path: 'cloth, railroaded', theirs: '—', mine: 'true' },
    ]);
    expect(pathWords('cushions.0.template.cornerRadiusMm')).toBe('no. 1, template, corner radius');
  });
});
