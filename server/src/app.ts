import { MIGRATIONS } from './db/migrate';
import type { Database } from 'better-sqlite3';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { openApi } from './api/openapi';
import type { Config } from './config';
import { cameraRoutes } from './devices/camera.routes';
import { backupRoutes, byCommand } from './db/backups.routes';
import { spaceOf } from './db/space';
import { calendarRoute, dayRoutes } from './day/day.routes';
import { StandingStore } from './day/standing.store';
import { deviceRoutes } from './devices/devices.routes';
import { simulatedLabelPrinter } from './devices/label-printer';
import { labelPrinterRoutes } from './devices/label-printer.routes';
import { simulatedDevices } from './devices/simulated';
import { pages } from './http/page';
import { sendRefusals, unknownRoute } from './http/refusal';
import { sameOrigin, securityHeaders, styleNonce } from './http/security';
import { toTls, trustRoutes, type Reached } from './tls/trust.routes';
import { BODY_LIMIT, jobBodies, jobRoutes } from './jobs/jobs.routes';
import { JobReading } from './jobs/reading';
import { JobStore } from './jobs/jobs.store';
import { practiceRoutes } from './jobs/practice.routes';
import { timesRoutes } from './jobs/times.routes';
import { logRoutes } from './log/log.routes';
import { keptLayRoutes } from './lays/kept-lays.routes';
import { KeptLayStore } from './lays/kept-lays.store';
import { LogStore } from './log/log.store';
import { pictureRoutes } from './pictures/pictures.routes';
import { sampleRoutes } from './samples/samples.routes';
import { shopRoutes } from './shop/shop.routes';
import { ShopStore } from './shop/shop.store';
import { Sessions } from './sign-in/sessions';
import { Tokens } from './sign-in/tokens';
import { nobodySignsIn, signIn } from './sign-in/sign-in.routes';
import { codeRoutes } from './papers/code-links';
import { paperRoutes } from './papers/papers.routes';
import type { Workers } from './workers/workers';

export const VERSION = '0.1.0';

/** What the application is made over: an open database, its workers, the key by which commands of the same folder are known, and how it is reached from other devices. */
export interface AppParts {
  readonly config: Config;
  readonly db: Database;
  readonly workers: Workers;
  readonly log: Logger;
  readonly key?: string;
  readonly reached?: Reached;
}

const HERE_ONLY: Reached = { address: null, authority: null };

/** The whole HTTP application. */
export function createApp({ config, db, workers, log, key, reached = HERE_ONLY }: AppParts): Express {
  const reading = new JobReading();
  const jobs = new JobStore(db, reading);
  const shops = new ShopStore(db);
  const kept = new KeptLayStore(db);
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.set('trust proxy', [...config.proxies]);
  app.use(styleNonce, securityHeaders(), sameOrigin(config));
  const backups = backupRoutes(db, config.dataDir);
  app.use('/api/backups', byCommand(key ?? null, backups));
  app.use(trustRoutes(reached));
  const day = { db, jobs, shops, workers, standing: new StandingStore(db) };
  app.get('/calendar/:key.ics', calendarRoute(day));
  app.use(config.passPhrase === null ? nobodySignsIn : signIn(config.passPhrase, { sessions: new Sessions(db), tokens: new Tokens(db), log }), compression());
  app.use('/api', (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  const logWrite = pinoHttp({ logger: log, serializers: { req: ({ method, url }: { method: string; url: string }) => ({ method, url }) } });
  app.use('/api', (request, response, next) => {
    if (request.method === 'GET') next();
    else logWrite(request, response, next);
  });
  app.use('/api/jobs', jobBodies());
  app.use('/api', express.json({ limit: BODY_LIMIT }));
  app.get('/api/health', (_request, response) => {
    db.prepare('SELECT 1').get();
    response.json({ ok: true, version: VERSION, migrations: MIGRATIONS.length, space: spaceOf(db, config.limitBytes) });
  });
  let described: string | null = null;
  app.get('/api/openapi.json', (_request, response) => {
    response.type('json').send((described ??= JSON.stringify(openApi(VERSION))));
  });
  app.use('/api/backups', backups);
  app.use('/api/shop', shopRoutes(shops));
  app.use('/api/jobs', jobRoutes(jobs, reading), keptLayRoutes(jobs, kept), paperRoutes({ jobs, shops, workers, reached, kept }));
  app.use('/api/practice', practiceRoutes({ jobs, shops, workers, reading }));
  app.use('/api/times', timesRoutes(jobs, shops, workers));
  app.use('/api', pictureRoutes(db, jobs, config.limitBytes));
  app.use('/api/samples', sampleRoutes(db));
  app.use('/api/day', dayRoutes(day));
  app.use(
    '/api/log',
    logRoutes(new LogStore(db), () => shops.materialNames()),
  );
  app.use('/api/devices/camera', cameraRoutes(workers));
  app.use('/api/devices/label-printer', labelPrinterRoutes(simulatedLabelPrinter(config.simulationSpeed), { jobs, shops, workers, reached, log }));
  app.use('/api/devices', deviceRoutes(simulatedDevices(config.simulationSpeed), log));
  app.use('/api', unknownRoute);
  app.use('/q', codeRoutes(jobs));
  if (config.webDir !== null) app.use(pages(config.webDir));
  app.use(unknownRoute);
  app.use(sendRefusals(log));
  return app;
}

/** What whoever comes without TLS gets: how to trust the server, and otherwise the way to it. */
export function createPlainApp(config: Config, reached: Reached): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(styleNonce, securityHeaders(), sameOrigin(config), trustRoutes(reached), toTls);
  return app;
}
