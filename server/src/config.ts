import path from 'node:path';

export interface Config {
  readonly host: string;
  readonly port: number;
  /** Folder of the database; made when it is not there. */
  readonly dataDir: string;
  /** Built web files, or null when another server gives them (development). */
  readonly webDir: string | null;
  readonly demoDir: string;
  /** What an empty database begins with: the demo shop and its jobs, or a shop of one's own without any. */
  readonly begins: 'demo' | 'own';
  /** How much faster than the clock the simulated devices run. */
  readonly simulationSpeed: number;
  /** Needed to listen anywhere but on this machine. */
  readonly passPhrase: string | null;
  /** Names under which others reach it, besides its address and this machine's own name. */
  readonly names: readonly string[];
  /** The database takes no more pictures beyond this, bytes. */
  readonly limitBytes: number;
  /** Proxies before it whose word is taken on who asks and whether TLS is spoken: addresses, networks, or `loopback`. */
  readonly proxies: readonly string[];
  /** Whether the server speaks TLS by itself, and with which certificate: the shop's own, made in the data folder, or one that was given. */
  readonly tls: 'none' | 'own' | { readonly certFile: string; readonly keyFile: string };
}

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1']);

export const isLoopback = (host: string): boolean => LOOPBACK.has(host);

/** Whether and how TLS is spoken. On this machine alone it is not needed, and before a proxy it is the proxy that speaks it. */
function tlsOf(env: NodeJS.ProcessEnv, needless: boolean): Config['tls'] {
  const [certFile, keyFile, said] = [env['YARDLAND_TLS_CERT'], env['YARDLAND_TLS_KEY'], env['YARDLAND_TLS'] ?? ''];
  if ((certFile === undefined) !== (keyFile === undefined)) throw new Error('Set YARDLAND_TLS_CERT and YARDLAND_TLS_KEY together, or neither.');
  if (!['', 'own', 'none'].includes(said)) throw new Error(`YARDLAND_TLS must be own or none, not “${said}”.`);
  if (certFile !== undefined && keyFile !== undefined) return { certFile: path.resolve(certFile), keyFile: path.resolve(keyFile) };
  return said === 'own' ? 'own' : said === 'none' || needless ? 'none' : 'own';
}

/** Reads the environment; throws an Error with a plain sentence when it cannot be followed. */
export function readConfig(env: NodeJS.ProcessEnv, root: string): Config {
  const port = Number(env['PORT'] ?? 4820);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) throw new Error(`PORT must be a number from 0 to 65535, not “${env['PORT'] ?? ''}”.`);
  const host = env['HOST'] ?? '127.0.0.1';
  const passPhrase = env['YARDLAND_PASSPHRASE'] ?? null;
  if (!isLoopback(host) && (passPhrase === null || passPhrase.trim().length < 8))
    throw new Error(`To listen on ${host}, where others reach it, set YARDLAND_PASSPHRASE to at least 8 characters.`);
  if (passPhrase !== null && passPhrase.trim().length < 8)
    throw new Error(`YARDLAND_PASSPHRASE is ${passPhrase.trim() === '' ? 'blank' : 'too short'}. Leave it out, or set it to at least 8 characters.`);
  const begins = env['YARDLAND_BEGIN'] ?? 'demo';
  if (begins !== 'demo' && begins !== 'own') throw new Error(`YARDLAND_BEGIN must be demo or own, not “${begins}”.`);
  const proxies = (env['YARDLAND_PROXIES'] ?? '').split(/[\s,]+/).filter(Boolean);
  const limitGb = Number(env['YARDLAND_LIMIT_GB'] ?? 8);
  if (!(limitGb >= 0.01 && limitGb <= 10_000))
    throw new Error(`YARDLAND_LIMIT_GB must be a number from 0.01 to 10000, not “${env['YARDLAND_LIMIT_GB'] ?? ''}”.`);
  return {
    host,
    port,
    dataDir: path.resolve(env['YARDLAND_DATA'] ?? path.join(root, 'data')),
    webDir: env['YARDLAND_WEB'] === 'none' ? null : path.resolve(env['YARDLAND_WEB'] ?? path.join(root, 'dist/web/browser')),
    demoDir: path.join(root, 'demo'),
    begins,
    simulationSpeed: Math.min(1000, Math.max(0.1, Number(env['YARDLAND_SIM_SPEED'] ?? 1) || 1)),
    passPhrase,
    limitBytes: limitGb * 1e9,
    proxies,
    tls: tlsOf(env, isLoopback(host) || proxies.length > 0),
    names: (env['YARDLAND_NAMES'] ?? '')
      .toLowerCase()
      .split(/[\s,]+/)
      .filter(Boolean),
  };
}
