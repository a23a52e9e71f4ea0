// `npm run soak -- --minutes 60 --kills 25`: six simulated people work on five hundred jobs of the built server, which is killed again and again; malformed requests come in between.
// Every acknowledged write has to be there at the end, no request may be answered 500, and the memory at both ends is reported.
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { jobSchema, seededRandom, type Job } from '@yardland/core';
import { openDatabase } from '../server/src/db/open';
import { prepared } from '../server/src/jobs/prepared';
import { JobStore } from '../server/src/jobs/jobs.store';

const root = fileURLToPath(new URL('..', import.meta.url));
const { values } = parseArgs({
  options: { minutes: { type: 'string', default: '2' }, kills: { type: 'string', default: '4' }, jobs: { type: 'string', default: '500' } },
});
/** Bounded whatever is asked for: two hours, two hundred kills, five thousand jobs. */
const [minutes, kills, many] = [Math.min(120, Number(values.minutes)), Math.min(200, Number(values.kills)), Math.min(5000, Number(values.jobs))];
const PEOPLE = 6;

const data = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-soak-'));
const demo = jobSchema.parse(JSON.parse(fs.readFileSync(path.join(root, 'demo/jobs/prompt-side-boxes.json'), 'utf8')));
const db = openDatabase(data);
const store = new JobStore(db);
const ids = Array.from({ length: many }, (_, i) => store.create(prepared({ ...demo, name: `Job ${i}` })).id);
db.close();

let server = null as ChildProcess | null;
let url = '';
async function start(): Promise<void> {
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    cwd: root,
    env: { ...process.env, PORT: '0', YARDLAND_DATA: data, YARDLAND_ROOT: root, LOG_LEVEL: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  while (!said.includes('open at')) said += String((await once(child.stdout, 'data'))[0]);
  [server, url] = [child, /http:\S+/.exec(said)?.[0] ?? ''];
}
const memoryMb = (): number => Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${server?.pid ?? 0}/status`, 'utf8'))?.[1] ?? NaN) / 1024;

/** The name that was acknowledged last for each job, and by which revision. */
const acknowledged = new Map<string, { readonly name: string; readonly revision: number }>();
const seen = { requests: 0, written: 0, stale: 0, refused: 0, broken: 0, away: 0, slowest: 0 };

async function ask(method: string, route: string, body?: unknown): Promise<{ readonly status: number; readonly text: string } | null> {
  const began = performance.now();
  try {
    const response = await fetch(`${url}${route}`, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    seen.requests++;
    if (response.status === 500) seen.broken++;
    if (!/pdf/.test(route)) seen.slowest = Math.max(seen.slowest, performance.now() - began);
    return { status: response.status, text };
  } catch {
    seen.away++;
    await wait(50);
    return null;
  }
}

const until = Date.now() + minutes * 60_000;
async function person(n: number): Promise<void> {
  const random = seededRandom(n + 1);
  for (let i = 0; Date.now() < until; i++) {
    const id = ids[Math.floor(random() * ids.length)] ?? '';
    const read = await ask('GET', `/api/jobs/${id}`);
    if (!read || read.status !== 200) continue;
    const { revision, job } = JSON.parse(read.text) as { readonly revision: number; readonly job: Job };
    const name = `Job of ${n}, ${i}`;
    const written = await ask('PUT', `/api/jobs/${id}`, { revision, label: 'Name', job: { ...job, name } });
    if (written?.status === 200) {
      seen.written++;
      const made = (JSON.parse(written.text) as { readonly revision: number }).revision;
      if ((acknowledged.get(id)?.revision ?? 0) < made) acknowledged.set(id, { name, revision: made });
    } else if (written?.status === 409) seen.stale++;
    if (i % 7 === n) await ask('GET', '/api/jobs?search=Job&limit=50');
    if (i % 25 === n) await ask('GET', `/api/jobs/${id}/tickets/1.pdf`);
    if (i % 11 === n) {
      const odd = await ask(
        'POST',
        '/api/jobs',
        random() < 0.5 ? `{"job":${'['.repeat(500)}` : { job: { ...job, cushions: [{ ...job.cushions[0], heightMm: random() < 0.5 ? -1 : 'x' }] } },
      );
      if (odd?.status === 400) seen.refused++;
    }
  }
}

await start();
const people = Array.from({ length: PEOPLE }, (_, n) => person(n));
await wait(Math.min(20_000, (minutes * 60_000) / 4));
const before = memoryMb();
for (let k = 0; k < kills && Date.now() < until; k++) {
  await wait((minutes * 60_000 * 0.6) / Math.max(1, kills));
  const dying = server;
  dying?.kill('SIGKILL');
  if (dying) await once(dying, 'exit');
  await start();
}
await Promise.all(people);
const after = memoryMb();
let lost = 0;
for (const [id, { name, revision }] of acknowledged) {
  const read = await ask('GET', `/api/jobs/${id}`);
  const now = JSON.parse(read?.text ?? '{}') as { readonly revision?: number; readonly job?: Job };
  // A later write whose answer was lost in a kill may stand in its place.
  if ((now.revision ?? 0) < revision || (now.revision === revision && now.job?.name !== name)) lost++;
}
server?.kill('SIGTERM');
if (server) await once(server, 'exit');
const checked = openDatabase(data);
const whole = checked.pragma('integrity_check', { simple: true });
checked.close();
fs.rmSync(data, { recursive: true, force: true });
console.log(
  `${minutes} min, ${kills} kills, ${seen.requests} requests, ${seen.written} writes acknowledged, ${lost} lost; ${seen.stale} stale, ${seen.refused} refused, ${seen.broken} answered 500; ` +
    `slowest answer but for paper ${Math.round(seen.slowest)} ms; memory ${Math.round(before)} MB, ${Math.round(after)} MB at the end; database ${String(whole)}`,
);
process.exitCode = lost || seen.broken || whole !== 'ok' ? 1 : 0;
