import { X509Certificate } from 'node:crypto';
import fs from 'node:fs';
import { isIP } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import type { Config } from '../config';
import type { generate as Generate } from 'selfsigned';

/** Makes a key and its certificate; read only when one is to be made. */
const generate: typeof Generate = async (...args) => (await import('selfsigned')).generate(...args);

/** A key and its certificate, PEM. */
export interface KeyPair {
  readonly key: string;
  readonly cert: string;
}

/** What the server speaks TLS with: the certificate it shows, and that of the shop's own authority, which devices trust once; null where the certificate was given. */
export interface TlsFiles extends KeyPair {
  readonly authority: string | null;
}

const DAY_MS = 86_400_000;
/** Devices keep trusting the authority for ten years. */
const AUTHORITY_DAYS = 3650;
/** Browsers refuse a certificate that is valid longer than 398 days. */
const SERVER_DAYS = 397;
/** It is made anew this long before it ends. */
const RENEW_DAYS = 30;
/** A clock that is behind ours does not find it not valid yet. */
const EARLIER_MS = DAY_MS;

/** Names and addresses under which the server is reached: this machine's own, those that were told, and its addresses in the network now. */
export function namesOf({ host, names }: Pick<Config, 'host' | 'names'>): string[] {
  const own = os.hostname().toLowerCase();
  const addresses = Object.values(os.networkInterfaces()).flatMap((all) =>
    (all ?? []).flatMap(({ internal, address, scopeid }) => (internal || scopeid ? [] : [address])),
  );
  const every = ['localhost', '127.0.0.1', '::1', own, `${own.replace(/\.local$/, '')}.local`, ...names, ...addresses];
  return [...new Set(host === '0.0.0.0' || host === '::' ? every : [...every, host])];
}

const read = (folder: string, name: string): KeyPair | null => {
  const [key, cert] = [path.join(folder, `${name}.key`), path.join(folder, `${name}.crt`)];
  return fs.existsSync(key) && fs.existsSync(cert) ? { key: fs.readFileSync(key, 'utf8'), cert: fs.readFileSync(cert, 'utf8') } : null;
};

/** Keeps a pair in the folder, for this user's eyes only. Written beside and renamed, so that a half of one is never read. */
function keep(folder: string, name: string, { key, cert }: KeyPair): KeyPair {
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const [ending, text] of [
    ['key', key],
    ['crt', cert],
  ] as const) {
    const file = path.join(folder, `${name}.${ending}`);
    fs.writeFileSync(`${file}.part`, text, { mode: 0o600 });
    fs.renameSync(`${file}.part`, file);
  }
  return { key, cert };
}

/** The shop's own authority: made once. */
async function authorityIn(folder: string, now: Date): Promise<KeyPair> {
  const known = read(folder, 'authority');
  if (known && Date.parse(new X509Certificate(known.cert).validTo) > now.getTime() + SERVER_DAYS * DAY_MS) return known;
  const { private: key, cert } = await generate([{ name: 'commonName', value: `Yardland, the shop at ${os.hostname()}` }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(now.getTime() - EARLIER_MS),
    notAfterDate: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  return keep(folder, 'authority', { key, cert });
}

/** Whether a certificate is still good: not near its end, signed by this authority, and for every name. */
function holds({ cert }: KeyPair, authority: KeyPair, names: readonly string[], now: Date): boolean {
  const one = new X509Certificate(cert);
  if (Date.parse(one.validTo) < now.getTime() + RENEW_DAYS * DAY_MS || !one.verify(new X509Certificate(authority.cert).publicKey)) return false;
  return names.every((name) => (isIP(name) ? one.checkIP(name) : one.checkHost(name)) !== undefined);
}

/** The certificate of a shop's server in its data folder: made when there is none, and made anew before it ends or when the machine has got other names and addresses. The authority stays, so that no device has to trust anew. */
export async function shopCertificate(dataDir: string, names: readonly string[], now = new Date()): Promise<TlsFiles> {
  const folder = path.join(dataDir, 'tls');
  const authority = await authorityIn(folder, now);
  const known = read(folder, 'server');
  if (known && holds(known, authority, names, now)) return { ...known, authority: authority.cert };
  const { private: key, cert } = await generate([{ name: 'commonName', value: names.find((name) => !isIP(name) && name !== 'localhost') ?? 'localhost' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(now.getTime() - EARLIER_MS),
    notAfterDate: new Date(now.getTime() + SERVER_DAYS * DAY_MS),
    ca: authority,
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: names.map((name) => (isIP(name) ? { type: 7 as const, ip: name } : { type: 2 as const, value: name })) },
    ],
  });
  return { ...keep(folder, 'server', { key, cert }), authority: authority.cert };
}

/** A certificate that was given. Throws an Error with a plain sentence where it cannot be read. */
export function givenCertificate({ certFile, keyFile }: { readonly certFile: string; readonly keyFile: string }): TlsFiles {
  try {
    const [cert, key] = [fs.readFileSync(certFile, 'utf8'), fs.readFileSync(keyFile, 'utf8')];
    new X509Certificate(cert);
    return { cert, key, authority: null };
  } catch (error) {
    throw new Error(`The certificate of YARDLAND_TLS_CERT and YARDLAND_TLS_KEY cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
}
