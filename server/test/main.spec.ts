import { spawn } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import path from 'node:path';
import { bundledServer, root, temporaryFolder } from './support';

const FROM_SOURCES = ['--import', 'tsx', 'server/src/main.ts'];

/** The server as a process of its own. */
function launched(command: readonly string[], env: Record<string, string>) {
  const child = spawn(process.execPath, command, {
    cwd: root,
    env: { ...process.env, YARDLAND_WEB: 'none', YARDLAND_ROOT: root, LOG_LEVEL: 'silent', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let out = '';
  let errors = '';
  child.stdout.on('data', (chunk: Buffer) => (out += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (errors += chunk.toString()));
  const ended = once(child, 'exit').then(([code]) => code as number | null);
  const open = async (): Promise<string> => {
    while (!out.includes('open at')) await once(child.stdout, 'data');
    return /http:\S+/.exec(out)?.[0] ?? '';
  };
  return { child, ended, open, errors: () => errors };
}

describe('the server as a process', () => {
  it('stops when asked, with requests answered and the database closed whole', async () => {
    const dataDir = temporaryFolder();
    const { child, ended, open } = launched(FROM_SOURCES, { PORT: '0', YARDLAND_DATA: dataDir });
    const url = await open();
    expect((await fetch(`${url}/api/health`)).status).toBe(200);
    child.kill('SIGTERM');
    expect(await ended).toBe(0);
    // A database closed in order leaves no write-ahead log behind.
    expect(fs.readdirSync(dataDir).sort()).toEqual(['yardland.db', 'yardland.lock']);
    fs.rmSync(dataDir, { recursive: true });
  }, 30_000);

  it('says in a sentence why it does not start', async () => {
    const dataDir = temporaryFolder();
    const shipped = [path.join(await bundledServer(), 'main.js')];
    const first = launched(shipped, { PORT: '0', YARDLAND_DATA: dataDir });
    const { port } = new URL(await first.open());
    const second = launched(shipped, { PORT: port, YARDLAND_DATA: temporaryFolder() });
    expect(await second.ended).toBe(1);
    expect(second.errors()).toContain(`Port ${port} is taken.`);
    const twice = launched(shipped, { PORT: '0', YARDLAND_DATA: dataDir });
    expect(await twice.ended).toBe(1);
    expect(twice.errors()).toContain('Another Yardland works on');
    const nowhere = launched(shipped, { PORT: '0', YARDLAND_DATA: '/dev/null/shop' });
    expect(await nowhere.ended).toBe(1);
    expect(nowhere.errors()).toContain('There is a file where the folder /dev/null/shop should be.');
    const open = launched(shipped, { HOST: '0.0.0.0', PORT: '0', YARDLAND_DATA: dataDir });
    expect(await open.ended).toBe(1);
    expect(open.errors()).toContain('YARDLAND_PASSPHRASE');
    first.child.kill('SIGTERM');
    await first.ended;
    fs.rmSync(dataDir, { recursive: true });
  }, 150_000);
});
