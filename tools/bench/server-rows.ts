import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import http from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { jobSchema } from '@yardland/core';
import { prepared } from '../../server/src/jobs/prepared';
import { JobStore } from '../../server/src/jobs/jobs.store';
import { openDatabase } from '../../server/src/db/open';
import { referenceOf, rowOf, type Row } from './measure';

const MANY = 10_000;
const READS = 6000;
const WRITES = 1500;
const AT_ONCE = 16;

const agent = new http.Agent({ keepAlive: true, maxSockets: AT_ONCE });

function ask(base: string, method: string, route: string, body?: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const request = http.request(
      base + route,
      { method, agent, headers: body ? { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) } : {} },
      (response) => {
        let text = '';
        response.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
        response.on('end', () =>
          response.statusCode && response.statusCode < 300 ? resolve(text) : reject(new Error(`${response.statusCode}: ${text.slice(0, 200)}`)),
        );
      },
    );
    request.on('error', reject);
    request.end(body);
  });
}

/** Runs `count` requests, so many at once; each one's time, and how many a second. */
async function load(count: number, work: (i: number) => Promise<unknown>): Promise<{ times: number[]; perSecond: number }> {
  const times: number[] = [];
  let next = 0;
  const begun = performance.now();
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      for (let i = next++; i < count; i = next++) {
        const start = performance.now();
        await work(i);
        times.push(performance.now() - start);
      }
    }),
  );
  return { times, perSecond: count / ((performance.now() - begun) / 1000) };
}

/** Starts the built server over a folder of data; a script of another server where one is given. */
export async function start(
  root: string,
  data: string,
  script: readonly string[] = ['dist/server/main.js'],
): Promise<{ child: ChildProcess; url: string; ms: number }> {
  const begun = performance.now();
  const child = spawn(process.execPath, script, {
    cwd: root,
    env: { ...process.env, PORT: '0', YARDLAND_DATA: data, YARDLAND_ROOT: root, LOG_LEVEL: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  while (child.stdout && !said.includes('open at')) said += String((await once(child.stdout, 'data'))[0]);
  return { child, url: /http:\S+/.exec(said)?.[0] ?? '', ms: performance.now() - begun };
}

/** The rows of the built server over ten thousand jobs, on loopback. */
export async function serverRows(root: string): Promise<Row[]> {
  const data = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-bench-'));
  try {
    const job = jobSchema.parse(JSON.parse(fs.readFileSync(path.join(root, 'demo/jobs/prompt-side-boxes.json'), 'utf8')));
    const db = openDatabase(data);
    // Filling is not measured: no need to have every row on the disk by itself.
    db.pragma('synchronous = OFF');
    const store = new JobStore(db);
    const ids = Array.from({ length: MANY }, (_, i) => store.create(prepared({ ...job, name: `Job ${i}` })).id);
    db.close();

    const starts: number[] = [];
    for (let i = 0; i < 5; i++) {
      const { child, ms } = await start(root, data);
      starts.push(ms);
      child.kill('SIGTERM');
      await once(child, 'exit');
    }
    const bare = await start(root, data, ['--import', 'tsx', 'tools/bench/bare-server.ts', path.join(data, 'yardland.db')]);
    const bareId = (i: number): string => ids[(i * 7919) % MANY] ?? '';
    await load(500, (i) => ask(bare.url, 'GET', `/api/jobs/${bareId(i)}`));
    const bareReads = await load(READS, (i) => ask(bare.url, 'GET', `/api/jobs/${bareId(i)}`));
    bare.child.kill('SIGTERM');
    await once(bare.child, 'exit');
    const { child, url } = await start(root, data);
    const idAt = (i: number): string => ids[(i * 7919) % MANY] ?? '';
    await load(500, (i) => ask(url, 'GET', `/api/jobs/${idAt(i)}`));
    const reads = await load(READS, (i) => ask(url, 'GET', `/api/jobs/${idAt(i)}`));
    const writes = await load(WRITES, (i) =>
      ask(url, 'PUT', `/api/jobs/${ids[i] ?? ''}`, JSON.stringify({ revision: 1, label: 'Bench', job: { ...job, name: `Written ${i}` } })),
    );
    // One at a time: a person searches, not sixteen.
    const lists: number[] = [];
    for (let i = 0; i < 60; i++) {
      const begun = performance.now();
      await ask(url, 'GET', `/api/jobs?search=Job%20${i * 150}&limit=50`);
      lists.push(performance.now() - begun);
    }
    const memory = Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${child.pid ?? 0}/status`, 'utf8'))?.[1] ?? NaN) / 1024;
    child.kill('SIGTERM');
    await once(child, 'exit');
    const among = `among ${MANY} jobs, ${AT_ONCE} at once`;
    return [
      rowOf(`server: read a job ${among}`, 'p99 under 15 ms', reads.times, { reference: referenceOf('a bare route over a bare database', bareReads.times) }),
      rowOf('server: reads a second', 'over 1 500, and over 0.6 of the bare route', [reads.perSecond], {
        unit: '/s',
        reference: { words: 'the bare route', median: bareReads.perSecond },
      }),
      rowOf(`server: write a job with its revision ${among}`, '—', writes.times),
      rowOf('server: writes a second', 'over 400', [writes.perSecond], { unit: '/s' }),
      rowOf('server: search the list by words of three letters and more', 'under 10 ms', lists),
      rowOf('start to serving, built', 'under 1.5 s', starts),
      rowOf('memory of the server after all that', 'under 200 MB', [memory], { unit: 'MB' }),
    ];
  } finally {
    agent.destroy();
    fs.rmSync(data, { recursive: true, force: true });
  }
}
