import os from 'node:os';
import { pino, type Logger } from 'pino';
import { createApp, createPlainApp } from './app';
import { isLoopback, readConfig, type Config } from './config';
import { commandKey, forgetAddress, noteAddress } from './db/address';
import { clearParts, dailyBackup } from './db/backup';
import { lockFolder } from './db/lock';
import { spaceOf } from './db/space';
import { openDatabase, troubleWords } from './db/open';
import { JobStore } from './jobs/jobs.store';
import { clearPictures } from './pictures/clear';
import { beginOwn } from './seed/own-shop';
import { seedDemo } from './seed/seed';
import { ShopStore } from './shop/shop.store';
import { givenCertificate, namesOf, shopCertificate, type TlsFiles } from './tls/certificate';
import { plainListener, tlsListener } from './tls/listen';
import type { Reached } from './tls/trust.routes';
import { KeptLayStore } from './lays/kept-lays.store';
import { Workers } from './workers/workers';

/** How long open requests may take after a stop was asked for. */
const STOP_WITHIN_MS = 4000;
/** How often it is seen whether the day has its backup. */
const BACKUP_LOOK_MS = 3_600_000;
/** How often pictures that nothing names are looked for. */
const CLEAR_MS = 6 * 3_600_000;
/** How often it is seen whether the certificate holds. */
const CERTIFICATE_MS = 12 * 3_600_000;

/** Jobs that are written into the log at once, where they are from before there was one. */
const LOGGED_AT_ONCE = 20;

/** Writes what earlier jobs say of themselves into the log, a few at a time, so that requests are answered in between. */
function logEarlier(jobs: JobStore, log: Logger): void {
  try {
    if (jobs.logEarlier(LOGGED_AT_ONCE) === LOGGED_AT_ONCE) setImmediate(() => logEarlier(jobs, log));
  } catch (error) {
    log.error({ err: error }, 'earlier jobs could not be written into the log; it is tried again at the next start');
  }
}

/** What TLS is spoken with; null where it is not. */
async function certificateFor({ tls, dataDir, host, names }: Config): Promise<TlsFiles | null> {
  if (tls === 'none') return null;
  return tls === 'own' ? shopCertificate(dataDir, namesOf({ host, names })) : givenCertificate(tls);
}

/** How other devices reach the server: by the first name that was told, else by its address or this machine's own name. */
function addressAt({ host, names, proxies }: Config, port: number, certificate: TlsFiles | null): string | null {
  if (isLoopback(host)) return null;
  const name = names[0] ?? (host === '0.0.0.0' || host === '::' ? os.hostname().toLowerCase() : host);
  const scheme = certificate || proxies.length ? 'https' : 'http';
  const at = name.includes(':') ? `[${name}]` : name;
  return `${scheme}://${at}${proxies.length ? '' : `:${port}`}`;
}

async function start(): Promise<void> {
  const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
  const config = readConfig(process.env, process.env['YARDLAND_ROOT'] ?? process.cwd());
  const lock = lockFolder(config.dataDir);
  clearParts(config.dataDir);
  const db = openDatabase(config.dataDir);
  const begun = config.begins === 'own' && beginOwn(config.demoDir, new ShopStore(db));
  const seeded = seedDemo(config.demoDir, db, new JobStore(db), new ShopStore(db));
  logEarlier(new JobStore(db), log);
  new KeptLayStore(db).clear();
  if (begun) log.info('an empty database begins as a shop of its own');
  if (seeded) log.info({ jobs: seeded }, 'an empty database was filled with the demo shop');
  const workers = new Workers();
  const key = commandKey();
  const certificate = await certificateFor(config);
  const reached: { -readonly [K in keyof Reached]: Reached[K] } = {
    address: addressAt(config, config.port, certificate),
    authority: certificate?.authority ?? null,
  };
  const app = createApp({ config, db, workers, log, key, reached });
  const server = certificate ? tlsListener(app, createPlainApp(config, reached), certificate) : plainListener(app);
  server.listen(config.port, config.host, (error) => {
    if (error) fail(error.code === 'EADDRINUSE' ? `Port ${config.port} is taken. Set PORT to another.` : error.message);
    const port = server.port();
    reached.address = addressAt(config, port, certificate);
    // Commands of the same folder find it by this machine's own address.
    const own = config.host === '0.0.0.0' || config.host === '::' ? '127.0.0.1' : config.host;
    noteAddress(config.dataDir, { url: `http://${own.includes(':') ? `[${own}]` : own}:${port}`, key });
    process.stdout.write(`Yardland is open at ${certificate ? 'https' : 'http'}://${config.host}:${port}\n`);
    if (reached.address) process.stdout.write(`Tablets and phones begin at ${reached.address}/trust\n`);
  });
  if (certificate && config.tls === 'own')
    setInterval(() => {
      certificateFor(config).then(
        (now) => {
          if (!now || now.cert === certificate.cert) return;
          server.renew(now);
          log.info('the certificate was made anew');
        },
        (error: unknown) => log.error({ err: error }, 'the certificate could not be made anew'),
      );
    }, CERTIFICATE_MS).unref();

  const backUpToday = (): void => {
    dailyBackup(db, config.dataDir, new Date()).then(
      (made) => made && log.info({ backup: made.name, bytes: made.bytes }, 'the day’s backup was made'),
      (error: unknown) => log.error({ err: error }, 'the day’s backup could not be made'),
    );
  };
  const clearSpace = (): void => {
    clearPictures(db, new Date()).then(
      (cleared) => cleared && log.info({ cleared }, 'pictures that nothing names any more were cleared'),
      (error: unknown) => log.error({ err: error }, 'pictures could not be cleared'),
    );
    const { bytes, limitBytes, nearlyFull } = spaceOf(db, config.limitBytes);
    if (nearlyFull) log.warn({ bytes, limitBytes }, 'the database is nearly as large as it may become');
  };
  if (!seeded) backUpToday();
  setInterval(backUpToday, BACKUP_LOOK_MS).unref();
  setInterval(clearSpace, CLEAR_MS).unref();

  const stop = (): void => {
    server.close(() => {
      void workers.close().finally(() => {
        db.close();
        forgetAddress(config.dataDir);
        lock.release();
        process.exit(0);
      });
    });
    setTimeout(() => server.closeAllConnections(), STOP_WITHIN_MS).unref();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

function fail(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

start().catch((error: unknown) => {
  const dataDir = process.env['YARDLAND_DATA'] ?? 'data';
  if (error instanceof Error) fail(troubleWords(error, dataDir) ?? error.message);
  throw error;
});
