import { X509Certificate } from 'node:crypto';
import { Router, type RequestHandler } from 'express';
import QRCode from 'qrcode';
import { notFound } from '../http/refusal';
import { AUTHORITY_PATH, trustPage } from './trust-page';

/** What devices need to know of a server that is reached from them. */
export interface Reached {
  /** Its address from other devices, without a slash at its end; null where it is open on this machine only. */
  readonly address: string | null;
  /** The certificate of the shop's authority, PEM; null where there is none to trust. */
  readonly authority: string | null;
}

/** The page that shows how a device comes to trust the server, and the certificate of its authority: for everybody, before signing in. */
export function trustRoutes(reached: Reached): Router {
  const router = Router();
  router.get('/trust', async (_request, response) => {
    const address = reached.address === null ? null : `${reached.address}/trust`;
    const code = address === null ? null : await QRCode.toString(address, { type: 'svg', margin: 1 });
    const fingerprint = reached.authority === null ? null : new X509Certificate(reached.authority).fingerprint256;
    response.setHeader('Cache-Control', 'no-store');
    response.type('html').send(trustPage({ nonce: String(response.locals['nonce']), address, code, fingerprint }));
  });
  router.get(AUTHORITY_PATH, (_request, response) => {
    if (reached.authority === null) throw notFound('certificate');
    response.type('application/x-x509-ca-cert').send(reached.authority);
  });
  return router;
}

/** Sends whoever came without TLS to the same place with it. */
export const toTls: RequestHandler = (request, response) => {
  response.setHeader('Cache-Control', 'no-store');
  response.redirect(308, `https://${request.headers.host ?? ''}${request.originalUrl}`);
};
