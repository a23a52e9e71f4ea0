import fs from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { readConfig } from '../src/config';
import { openDatabase } from '../src/db/open';
import { IDLE_MS, Sessions } from '../src/sign-in/sessions';
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

  it('takes a trusted proxy’s word that TLS is spoken, and nobody else’s', async () => {
    const secure = async (proxies: readonly string[]): Promise<boolean> => {
      const app = await running({ passPhrase: 'straw and chalk', proxies });
      const body = new URLSearchParams({ phrase: 'straw and chalk', to: '/' });
      const signed = await fetch(`${app.url}/sign-in`, { method: 'POST', redirect: 'manual', body, headers: { 'x-forwarded-proto': 'https' } });
      await app.stop();
      return / Secure/.test(signed.headers.get('set-cookie') ?? '');
    };
    expect([await secure(['loopback']), await secure([])]).toEqual([true, false]);
  });

  it('opens to others only behind a pass-phrase, and tires of wrong ones', async () => {
    expect(() => readConfig({ HOST: '0.0.0.0' }, '/')).toThrowError(/YARDLAND_PASSPHRASE/);
    expect(() => readConfig({ PORT: 'many' }, '/')).toThrowError(/PORT/);
    expect(() => readConfig({ YARDLAND_BEGIN: 'empty' }, '/')).toThrowError('YARDLAND_BEGIN must be demo or own, not “empty”.');
    expect(readConfig({ HOST: '0.0.0.0', YARDLAND_PASSPHRASE: 'straw and chalk' }, '/').host).toBe('0.0.0.0');
    expect(() => readConfig({ HOST: '0.0.0.0', YARDLAND_PASSPHRASE: '            ' }, '/')).toThrowError(/YARDLAND_PASSPHRASE/);
    expect(() => readConfig({ YARDLAND_PASSPHRASE: ' ' }, '/')).toThrowError(/blank/);
    expect(() => readConfig({ YARDLAND_PASSPHRASE: 'linen' }, '/')).toThrowError(/too short/);
    const app = await running({ passPhrase: 'straw and chalk' });
    const form = (phrase: string, to = '/jobs/some') =>
      fetch(`${app.url}/sign-in`, { method: 'POST', redirect: 'manual', body: new URLSearchParams({ phrase, to }) });
    const page = (cookie = '') => fetch(`${app.url}/jobs/some?a=1`, { redirect: 'manual', headers: { accept: 'text/html', cookie } });
    expect((await app.get('/api/health')).body.code).toBe('pass-phrase-needed');
    expect((await page()).headers.get('location')).toBe(`/sign-in?to=${encodeURIComponent('/jobs/some?a=1')}`);
    expect(await (await fetch(`${app.url}/sign-in?to=/jobs/some`)).text()).toContain('name="to" value="/jobs/some"');

    const signed = await form('straw and chalk');
    expect([signed.status, signed.headers.get('location')]).toEqual([303, '/jobs/some']);
    const set = signed.headers.get('set-cookie') ?? '';
    expect(set).toMatch(/^yardland_session=[\w-]{43}; Max-Age=1209600; Path=\/;.*HttpOnly; SameSite=Strict$/);
    const cookie = set.split(';')[0] ?? '';
    const as = (method: string, route: string, own = cookie) => app.send(method, route, undefined, { cookie: own });
    expect((await as('GET', '/api/health')).status).toBe(200);
    // To another's page nobody is sent.
    for (const to of ['//elsewhere.example', '/\\elsewhere.example', 'https://elsewhere.example', '/sign-in'])
      expect((await form('straw and chalk', to)).headers.get('location'))
        .withContext(to)
        .toBe('/');

    // Listed, ended by another, and ended by oneself.
    const other = ((await form('straw and chalk')).headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    const { asked, sessions } = (await as('GET', '/api/sessions')).body;
    expect([asked, sessions.length, sessions.filter(({ here }: { here: boolean }) => here).length]).toEqual([true, 6, 1]);
    const here = (await as('GET', '/api/sessions', other)).body.sessions.find((one: { here: boolean }) => one.here);
    expect((await as('DELETE', `/api/sessions/${here.id}`)).status).toBe(204);
    expect((await as('GET', '/api/health', other)).status).toBe(401);
    expect((await as('POST', '/sign-out')).status).not.toBe(500);
    expect((await as('GET', '/api/health')).status).toBe(401);

    // Wrong ones make the next slower; the right one is taken all the same, and right ones never count.
    for (let i = 0; i < 5; i++) expect((await form(`wrong ${i}`)).status).toBe(401);
    const [again, beside] = await Promise.all([form('straw and chalk'), form('straw and chalk')]);
    expect([again.status, beside.status]).toEqual([303, 303]);
    const last = (again.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    // A stream that was begun ends with its session.
    const stream = await fetch(`${app.url}/api/devices/press-gauge/stream?massKg=15&plateAreaCm2=323&thicknessMm=100`, { headers: { cookie: last } });
    const own = (await as('GET', '/api/sessions', last)).body.sessions.find((one: { here: boolean }) => one.here);
    const second = (beside.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    expect((await as('DELETE', `/api/sessions/${own.id}`, second)).status).toBe(204);
    const read = await stream.text().catch(() => '');
    expect(read).not.toContain('event: done');
    await app.stop();
  });
});

describe('sessions', () => {
  it('end when nobody uses them, and not when the clock is set back', () => {
    const db = openDatabase(temporaryFolder());
    let now = Date.parse('2026-03-01T08:00:00Z');
    const sessions = new Sessions(db, () => now);
    const token = sessions.begin('a tablet');
    now += IDLE_MS - 1000;
    expect(sessions.of(token)).not.toBeNull();
    // Used then: it goes on from there.
    now += IDLE_MS - 1000;
    expect(sessions.of(token)).not.toBeNull();
    now -= 400 * 86_400_000;
    expect(sessions.of(token)).not.toBeNull();
    now += IDLE_MS + 1000;
    expect(sessions.of(token)).toBeNull();
    expect(sessions.list(null)).toEqual([]);
    expect(JSON.stringify(db.prepare('SELECT * FROM session').all())).not.toContain(token);
    db.close();
  });
});
