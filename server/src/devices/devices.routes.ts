import { Router } from 'express';
import type { Logger } from 'pino';
import { beginEvents } from '../http/events';
import { notFound } from '../http/refusal';
import { Unplugged, type Device } from './device';

/** The shop's devices, and their readings as server-sent events: `reading`, at the end `done`, or `unplugged`. */
export function deviceRoutes(devices: readonly Device[], log: Logger): Router {
  const router = Router();

  router.get('/', (_request, response) => {
    response.json({ devices: devices.map(({ id, name, simulated }) => ({ id, name, simulated })) });
  });

  router.get('/:id/stream', async (request, response) => {
    const device = devices.find(({ id }) => id === request.params.id);
    if (!device) throw notFound('device');
    const gone = new AbortController();
    const stream = device.stream(request.query, gone.signal);
    response.on('close', () => gone.abort());
    const tell = beginEvents(response);
    try {
      for await (const reading of stream) tell(reading.done ? 'done' : 'reading', reading);
    } catch (error) {
      if (error instanceof Unplugged) tell('unplugged', { code: 'device-unplugged', path: '', message: `The ${device.name.toLowerCase()} was unplugged.` });
      else log.error({ err: error, device: device.id }, 'device failed');
    }
    response.end();
  });
  return router;
}
