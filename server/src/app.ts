import { MIGRATIONS } from './db/migrate';
import type { Database } from 'better-sqlite3';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Config } from './config';
import { cameraRoutes } from './devices/camera.routes';
import { backupRoutes, byCommand } from './db/backups.routes';
import { spaceOf } from './db/space';
import { calendarRoute, dayRoutes } from './day/day.routes';
import { deviceRoutes } from './devices/devices.routes';
import { simulatedLabelPrinter } from './devices/label-printer';
import { labelPrinterRoutes } from './devices/label-printer.routes';
import { simulatedDevices } from './devices/simulated';
import { pages } from './http/page';
import { sendRefusals, unknownRoute } from './http/refusal';
import { sameOrigin, securityHeaders, styleNonce } from './http/security';
import { BODY_LIMIT, jobBodies, jobRoutes } from './jobs/jobs.routes';
import { JobReading } from './jobs/reading';
import { JobStore } from './jobs/jobs.store';
import { timesRoutes } from './jobs/times.routes';
import { logRoutes } from './log/log.routes';
import { LogStore } from './log/log.store';
import { pictureRoutes } from './pictures/pictures.routes';
import { sampleRoutes } from './samples/samples.routes';
import { shopRoutes } from './shop/shop.routes';
import { ShopStore } from './shop/shop.store';
import { Sessions } from './sign-in/sessions';
import { nobodySignsIn, signIn } from './sign-in/sign-in.routes';
import { paperRoutes } from './papers/papers.routes';
import type { Workers } from './workers/workers';

export const VERSION = '0.1.0';

/** The whole HTTP application over an open database; `key`: by which commands of the same folder are known. */
export function createApp(config: Config, db: Database, workers: Workers, log: Logger, key: string | null = null): Express {
  const reading = new JobReading();
  const jobs = new JobStore(db, reading);
  const shops = new ShopStore(db);
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.set('trust proxy', [...config.proxies]);
  app.use(styleNonce, securityHeaders(), sameOrigin(config));
  const backups = backupRoutes(db, config.dataDir);
  app.use('/api/backups', byCommand(key, backups));
  const day = { db, jobs, shops, workers };
  app.get('/calendar/:key.ics', calendarRoute(day));
  app.use(config.passPhrase === null ? nobodySignsIn : signIn(config.passPhrase, new Sessions(db), log), compression());
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
  app.use('/api/backups', backups);
  app.use('/api/shop', shopRoutes(shops));
  app.use('/api/jobs', jobRoutes(jobs, reading), paperRoutes(jobs, shops, workers));
  app.use('/api/times', timesRoutes(jobs, shops, workers));
  app.use('/api', pictureRoutes(db, jobs, config.limitBytes));
  app.use('/api/samples', sampleRoutes(db));
  app.use('/api/day', dayRoutes(day));
  app.use(
    '/api/log',
    logRoutes(new LogStore(db), () => shops.materialNames()),
  );
  app.use('/api/devices/camera', cameraRoutes(workers));
  app.use('/api/devices/label-printer', labelPrinterRoutes(simulatedLabelPrinter(config.simulationSpeed), jobs, shops, workers, log));
  app.use('/api/devices', deviceRoutes(simulatedDevices(config.simulationSpeed), log));
  app.use('/api', unknownRoute);
  if (config.webDir !== null) app.use(pages(config.webDir));
  app.use(unknownRoute);
  app.use(sendRefusals(log));
  return app;
}
