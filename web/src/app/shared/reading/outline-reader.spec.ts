import { TestBed } from '@angular/core/testing';
import { area } from '@yardland/core';
import { OUTLINE_WORKER, OutlineReader } from './outline-reader';

describe('an outline read from a file', () => {
  it('is read in a real worker, its units as the file says or as a person did', async () => {
    const reader = TestBed.inject(OutlineReader);
    const said = await reader.read(new File(['x mm,y mm\n0,0\n500,0\n500,400\n0,400\n'], 'seat.csv'), 'inch');
    expect(said.ok && [Math.round(area(said.outline)), said.unsaid]).toEqual([200_000, false]);
    const unsaid = await reader.read(new File(['x,y\n0,0\n20,0\n20,10\n0,10\n'], 'seat.csv'), 'inch');
    expect(unsaid.ok && [Math.round(area(unsaid.outline) / (25.4 * 25.4)), unsaid.unsaid]).toEqual([200, true]);
    const wrong = await reader.read(new File(['no outline'], 'seat.doc'), 'mm');
    expect(!wrong.ok && wrong.problems.map(({ code }) => code)).toEqual(['file-kind-unknown']);
  });

  it('is given up when it takes too long: the worker ends, and it is said', async () => {
    const endless = new Blob(['onmessage = () => { for (;;); };'], { type: 'text/javascript' });
    const url = URL.createObjectURL(endless);
    let ended = 0;
    TestBed.overrideProvider(OUTLINE_WORKER, {
      useValue: {
        limitMs: 150,
        make: () => {
          const worker = new Worker(url);
          const terminate = worker.terminate.bind(worker);
          worker.terminate = () => (ended++, terminate());
          return worker;
        },
      },
    });
    const read = await TestBed.inject(OutlineReader).read(new File(['x'], 'seat.svg'), 'mm');
    expect(!read.ok && read.problems.map(({ code }) => code)).toEqual(['file-takes-too-long']);
    expect(ended).toBe(1);
    URL.revokeObjectURL(url);
  });
});
