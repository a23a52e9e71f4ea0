import { once } from 'node:events';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { rowOf, type Row } from './measure';
import { start } from './server-rows';

const TIMES = 20;
/** The demo's job whose lays take longest. */
const JOB = 'Roof terrace';

/** The rows of paper over the demo shop, whose lays are kept: as whoever has seen the lay on the screen waits for it. */
export async function paperRows(root: string): Promise<Row[]> {
  const data = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-bench-'));
  const { child, url } = await start(root, data);
  try {
    const { jobs } = (await (await fetch(`${url}/api/jobs`)).json()) as { readonly jobs: readonly { readonly id: string; readonly name: string }[] };
    const id = jobs.find(({ name }) => name === JOB)?.id ?? '';
    const timed = async (paper: string): Promise<number[]> => {
      const times: number[] = [];
      for (let i = 0; i < TIMES; i++) {
        const begun = performance.now();
        const answer = await fetch(`${url}/api/jobs/${id}/${paper}`);
        if (!answer.ok) throw new Error(`${paper}: ${answer.status}`);
        await answer.arrayBuffer();
        times.push(performance.now() - begun);
      }
      return times;
    };
    const tickets = await timed('tickets/1.pdf');
    return [
      rowOf(`a ticket of the demo’s ${JOB}, the first after the start`, '—', tickets.slice(0, 1)),
      rowOf(`a ticket of the demo’s ${JOB}, its lays kept`, 'under 300 ms', tickets.slice(1)),
      rowOf(`the cutting list of the demo’s ${JOB}, its lays kept`, 'under 1 s', await timed('cutting-list.pdf')),
    ];
  } finally {
    child.kill('SIGTERM');
    await once(child, 'exit');
    fs.rmSync(data, { recursive: true, force: true });
  }
}
