// What the server is measured against: one bare route over bare better-sqlite3, answering a stored text. Usage: bare-server.ts DATABASE
import type { AddressInfo } from 'node:net';
import Sqlite from 'better-sqlite3';
import express from 'express';

const db = new Sqlite(process.argv[2] ?? '', { readonly: true });
const read = db.prepare<[string], { document: string }>('SELECT s.document FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step WHERE j.id = ?');
const app = express();
app.get('/api/jobs/:id', (request, response) => {
  response.type('json').send(read.get(request.params.id)?.document);
});
const server = app.listen(0, '127.0.0.1', () => process.stdout.write(`open at http://127.0.0.1:${(server.address() as AddressInfo).port}\n`));
