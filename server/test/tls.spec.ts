import { X509Certificate } from 'node:crypto';
import fs from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import path from 'node:path';
import { createPlainApp } from '../src/app';
import { readConfig } from '../src/config';
import { shopCertificate } from '../src/tls/certificate';
import { tlsListener, type Listener } from '../src/tls/listen';
import { running, temporaryFolder } from './support';

const DAY_MS = 86_400_000;
const NAMES = ['localhost', '127.0.0.1', 'lantern-house.local', '192.168.7.20'];

interface Got {
  readonly status: number;
  readonly location: string | undefined;
  readonly text: string;
}
const got = (response: http.IncomingMessage): Promise<Got> =>
  new Promise((resolve) => {
    let text = '';
    response.on('data', (part: Buffer) => (text += part.toString()));
    response.on('end', () => resolve({ status: response.statusCode ?? 0, location: response.headers.location, text }));
  });
const plainly = (port: number, route: string): Promise<Got> =>
  new Promise((resolve, reject) => http.get({ host: '127.0.0.1', port, path: route, agent: false }, (response) => resolve(got(response))).on('error', reject));
const securely = (port: number, ca: string, servername = 'localhost'): Promise<Got> =>
  new Promise((resolve, reject) =>
    https.get({ host: '127.0.0.1', port, path: '/api/health', ca, servername, agent: false }, (response) => resolve(got(response))).on('error', reject),
  );

describe('the certificate of the shop', () => {
  let folder: string;
  beforeEach(() => (folder = temporaryFolder()));
  afterEach(() => fs.rmSync(folder, { recursive: true }));

  it('is made once, is good for every name, and shorter than browsers allow', async () => {
    const first = await shopCertificate(folder, NAMES);
    const cert = new X509Certificate(first.cert);
    expect(NAMES.map((name) => (/^\d/.test(name) ? cert.checkIP(name) : cert.checkHost(name)))).toEqual(NAMES);
    expect(cert.ca).toBeFalse();
    expect(new X509Certificate(first.authority!).ca).toBeTrue();
    expect(Date.parse(cert.validTo) - Date.parse(cert.validFrom)).toBeLessThanOrEqual(398 * DAY_MS);
    expect(await shopCertificate(folder, NAMES)).toEqual(first);
    for (const file of ['authority.key', 'server.key']) expect(fs.statSync(path.join(folder, 'tls', file)).mode & 0o077).toBe(0);
  });

  it('is made anew before it ends and for other names, by the same authority', async () => {
    const first = await shopCertificate(folder, NAMES);
    const later = await shopCertificate(folder, NAMES, new Date(Date.now() + 370 * DAY_MS));
    const elsewhere = await shopCertificate(folder, [...NAMES, '192.168.7.31']);
    for (const next of [later, elsewhere]) {
      expect(next.cert).not.toBe(first.cert);
      expect(next.authority).toBe(first.authority);
    }
    expect(new X509Certificate(elsewhere.cert).checkIP('192.168.7.31')).toBe('192.168.7.31');
  });
});

describe('one port with TLS and without', () => {
  let folder: string;
  let listener: Listener;
  let ca: string;
  const open = async (isOwn: () => boolean): Promise<number> => {
    folder = temporaryFolder();
    const pair = await shopCertificate(folder, NAMES);
    ca = pair.authority!;
    const config = readConfig({ HOST: '0.0.0.0', YARDLAND_PASSPHRASE: 'straw and chalk' }, '/');
    const app: http.RequestListener = (request, response) => response.end(`app, ${'encrypted' in request.socket ? 'with' : 'without'} TLS`);
    listener = tlsListener(app, createPlainApp(config, { address: 'https://lantern-house.local:4820', authority: ca }), pair, isOwn);
    await new Promise<void>((resolve) => listener.listen(0, '127.0.0.1', () => resolve()));
    return listener.port();
  };
  afterEach(async () => {
    const closed = new Promise<void>((resolve) => listener.close(resolve));
    listener.closeAllConnections();
    await closed;
    fs.rmSync(folder, { recursive: true });
  });

  it('gives the application with TLS to whoever trusts the authority, and sends others on to it', async () => {
    const port = await open(() => false);
    expect((await securely(port, ca)).text).toBe('app, with TLS');
    await expectAsync(securely(port, ca, 'elsewhere.example')).toBeRejectedWithError(/altnames/i);
    const { status, location } = await plainly(port, '/jobs/7/1/bench?step=cut%2Fcloth');
    expect([status, location]).toEqual([308, `https://127.0.0.1:${port}/jobs/7/1/bench?step=cut%2Fcloth`]);
    // How to trust it is told without it.
    const page = await plainly(port, '/trust');
    expect(page.text).toContain(new X509Certificate(ca).fingerprint256);
    expect(page.text).toContain('https://lantern-house.local:4820/trust');
    expect((await plainly(port, '/trust/yardland-shop.crt')).text).toBe(ca);
  });

  it('answers commands of this very machine without TLS', async () => {
    expect((await plainly(await open(() => true), '/api/health')).text).toBe('app, without TLS');
  });
});

describe('whether the server speaks TLS', () => {
  const shared = { HOST: '0.0.0.0', YARDLAND_PASSPHRASE: 'straw and chalk' };
  it('is by itself in the shop’s network, not on this machine alone nor behind a proxy, and as it is told', () => {
    expect(readConfig({}, '/').tls).toBe('none');
    expect(readConfig(shared, '/').tls).toBe('own');
    expect(readConfig({ ...shared, YARDLAND_PROXIES: 'loopback' }, '/').tls).toBe('none');
    expect(readConfig({ ...shared, YARDLAND_TLS: 'none' }, '/').tls).toBe('none');
    expect(readConfig({ ...shared, YARDLAND_TLS_CERT: '/c.pem', YARDLAND_TLS_KEY: '/k.pem' }, '/').tls).toEqual({ certFile: '/c.pem', keyFile: '/k.pem' });
    expect(() => readConfig({ ...shared, YARDLAND_TLS_CERT: '/c.pem' }, '/')).toThrowError(/YARDLAND_TLS_KEY/);
    expect(() => readConfig({ ...shared, YARDLAND_TLS: 'yes' }, '/')).toThrowError(/own or none/);
  });

  it('on this machine alone the page says how to open it to others', async () => {
    const app = await running();
    const answer = await fetch(`${app.url}/trust`);
    expect([answer.status, (await answer.text()).includes('HOST=0.0.0.0')]).toEqual([200, true]);
    expect((await fetch(`${app.url}/trust/yardland-shop.crt`)).status).toBe(404);
    await app.stop();
  });
});
