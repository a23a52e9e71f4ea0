import fs from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { readConfig } from '../src/config';
import { running, temporaryFolder } from './support';

/** A request with a Host header of one's own, which fetch does not allow. */
function statusAs(url: string, headers: Record<string, string>, method = 'GET'): Promise<number> {
  return new Promise((resolve, reject) => {
    http
      .request(url, { method, headers }, (response) => resolve(response.statusCode ?? 0))
      .on('error', reject)
      .end();
  });
}

describe('the server', () => {
  it('answers under its own name only and takes writes from its own pages only', async () => {
    const app = await running();
    const { host } = new URL(app.url);
    expect(await statusAs(`${app.url}/api/health`, { host })).toBe(200);
    expect(await statusAs(`${app.url}/api/health`, { host: 'elsewhere.example' })).toBe(403);
    const write = (origin: string) => app.send('POST', '/api/jobs', {}, { origin });
    expect((await write('http://elsewhere.example')).body.code).toBe('foreign-origin');
    expect((await write('null')).body.code).toBe('foreign-origin');
    expect((await write(app.url)).status).toBe(400);
    await app.stop();
  });

  it('sends a strict content policy with a nonce for styles, new for each page, and no page for a missing file', async () => {
    const webDir = temporaryFolder();
    fs.writeFileSync(path.join(webDir, 'index.html'), '<html ng-csp-nonce="%NONCE%"></html>');
    const app = await running({ webDir });
    const page = async () => {
      const response = await fetch(`${app.url}/jobs/some/build`);
      return { policy: response.headers.get('content-security-policy') ?? '', text: await response.text() };
    };
    const [one, two] = [await page(), await page()];
    const nonce = /nonce="([^"]+)"/.exec(one.text)?.[1] ?? 'none';
    expect(one.policy).toContain(`'nonce-${nonce}'`);
    expect(one.policy).toContain("script-src 'self'");
    expect(one.policy).not.toMatch(/unsafe/);
    expect(two.text).not.toBe(one.text);
    expect((await fetch(`${app.url}/none.js`)).status).toBe(404);
    await app.stop();
    fs.rmSync(webDir, { recursive: true });
  });

  it('opens to others only behind a pass-phrase, and tires of wrong ones', async () => {
    expect(() => readConfig({ HOST: '0.0.0.0' }, '/')).toThrowError(/YARDLAND_PASSPHRASE/);
    expect(() => readConfig({ PORT: 'many' }, '/')).toThrowError(/PORT/);
    expect(readConfig({ HOST: '0.0.0.0', YARDLAND_PASSPHRASE: 'straw and chalk' }, '/').host).toBe('0.0.0.0');
    const app = await running({ passPhrase: 'straw and chalk' });
    const as = (phrase: string) => app.send('GET', '/api/health', undefined, { authorization: `Basic ${Buffer.from(`shop:${phrase}`).toString('base64')}` });
    expect((await app.get('/api/health')).body.code).toBe('pass-phrase-needed');
    expect((await as('straw and chalk')).status).toBe(200);
    for (let i = 0; i < 10; i++) expect((await as(`wrong ${i}`)).status).toBe(401);
    expect((await as('wrong again')).status).toBe(429);
    await app.stop();
  });
});
