import fs from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { jobSchema, type Job } from '@yardland/core';
import { pino } from 'pino';
import { createApp } from '../src/app';
import type { Reached } from '../src/tls/trust.routes';
import { openDatabase } from '../src/db/open';
import { JobStore } from '../src/jobs/jobs.store';
import { seedDemo } from '../src/seed/seed';
import { ShopStore } from '../src/shop/shop.store';
import { NO_REQUIRED_MODULES } from '../src/workers/threads';
import { Workers } from '../src/workers/workers';
import { bundleServer } from '../../tools/server-bundle.mjs';

export const root = fileURLToPath(new URL('../..', import.meta.url));
export const demoDir = path.join(root, 'demo');

let bundle: Promise<string> | null = null;

/** The folder of the server and its threads' tasks as they are shipped, bundled when it is first asked for: a process that compiles hundreds of sources takes seconds each time. */
export function bundledServer(): Promise<string> {
  return (bundle ??= bundleServer('server/dist').then(() => path.join(root, 'server/dist')));
}

const folders: string[] = [];
process.on('exit', () => {
  for (const folder of folders) fs.rmSync(folder, { recursive: true, force: true });
});

/** A new folder, gone at the latest when the specs end. */
export function temporaryFolder(): string {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-test-'));
  folders.push(folder);
  return folder;
}

export function demoJob(name = 'prompt-side-boxes'): Job {
  return jobSchema.parse(JSON.parse(fs.readFileSync(path.join(demoDir, `jobs/${name}.json`), 'utf8')));
}

/** An answer of the server; its body is whatever it sent, and each spec says what it should be. */
export interface Answer {
  readonly status: number;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- bodies of every shape come through here
  readonly body: any;
  readonly headers: Headers;
}

export interface Running {
  readonly url: string;
  readonly dataDir: string;
  readonly get: (route: string) => Promise<Answer>;
  readonly send: (method: string, route: string, body?: unknown, headers?: Record<string, string>) => Promise<Answer>;
  readonly stop: () => Promise<void>;
}

/** The real application on a real port over a fresh database, seeded with the demo shop. */
export async function running(
  over: {
    passPhrase?: string;
    webDir?: string;
    limitBytes?: number;
    key?: string;
    proxies?: readonly string[];
    reached?: Reached;
    simulationSpeed?: number;
  } = {},
): Promise<Running> {
  const dataDir = temporaryFolder();
  const db = openDatabase(dataDir);
  seedDemo(demoDir, db, new JobStore(db), new ShopStore(db));
  const workers = new Workers({ tasks: { filename: path.join(await bundledServer(), 'tasks.js'), execArgv: NO_REQUIRED_MODULES } });
  const config = {
    host: '127.0.0.1',
    port: 0,
    dataDir,
    webDir: over.webDir ?? null,
    demoDir,
    begins: 'demo' as const,
    simulationSpeed: over.simulationSpeed ?? 400,
    passPhrase: over.passPhrase ?? null,
    names: [],
    proxies: over.proxies ?? [],
    limitBytes: over.limitBytes ?? 8e9,
    tls: 'none' as const,
  };
  const app = createApp({
    config,
    db,
    workers,
    log: pino({ level: 'silent' }),
    ...(over.key ? { key: over.key } : {}),
    ...(over.reached ? { reached: over.reached } : {}),
  });
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  // Client and server share one event loop here: were both to time an idle connection out, a request could go into one just being closed.
  server.keepAliveTimeout = 0;
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const send: Running['send'] = async (method, route, body, headers = {}) => {
    const response = await fetch(url + route, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const type = response.headers.get('content-type') ?? '';
    return {
      status: response.status,
      headers: response.headers,
      body: type.includes('json') ? await response.json() : Buffer.from(await response.arrayBuffer()),
    };
  };
  return {
    url,
    dataDir,
    get: (route) => send('GET', route),
    send,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await workers.close();
      db.close();
      fs.rmSync(dataDir, { recursive: true, force: true });
    },
  };
}
