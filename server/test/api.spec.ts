import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Validator } from '@seriousme/openapi-schema-validator';
import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { format, resolveConfig } from 'prettier';
import { apiPage, openApi } from '../src/api/openapi';
import { running, type Running } from './support';

const root = fileURLToPath(new URL('../..', import.meta.url));
const source = (file: string): string => fs.readFileSync(path.join(root, 'server/src', file), 'utf8');

interface Described {
  readonly paths: Readonly<
    Record<
      string,
      Readonly<Record<string, { readonly responses: Readonly<Record<string, { readonly content?: Readonly<Record<string, { schema?: object }>> }>> }>>
    >
  >;
}
const described = openApi('1') as unknown as Described;

/** Routes as they stand in the sources: where each router is mounted, and what it answers. Papers and undo and redo are routes of lists. */
function routesInSources(): string[] {
  const mounted: readonly (readonly [string, string])[] = [
    ['day/day.routes.ts', '/api/day'],
    ['log/log.routes.ts', '/api/log'],
    ['jobs/times.routes.ts', '/api/times'],
    ['jobs/jobs.routes.ts', '/api/jobs'],
    ['jobs/practice.routes.ts', '/api/practice'],
    ['lays/kept-lays.routes.ts', '/api/jobs'],
    ['pictures/pictures.routes.ts', '/api'],
    ['shop/shop.routes.ts', '/api/shop'],
    ['samples/samples.routes.ts', '/api/samples'],
    ['papers/papers.routes.ts', '/api/jobs'],
    ['devices/devices.routes.ts', '/api/devices'],
    ['devices/label-printer.routes.ts', '/api/devices/label-printer'],
    ['devices/camera.routes.ts', '/api/devices/camera'],
    ['db/backups.routes.ts', '/api/backups'],
    ['sign-in/sign-in.routes.ts', ''],
    ['app.ts', ''],
  ];
  const files = fs
    .readdirSync(path.join(root, 'server/src'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.routes.ts') && !file.startsWith('tls'));
  // A router that is not in this list would not be looked at.
  expect(files.map((file) => file.replaceAll(path.sep, '/')).filter((file) => !mounted.some(([known]) => known === file))).toEqual([]);
  return mounted.flatMap(([file, at]) =>
    [...source(file).matchAll(/(?:router|app)\.(get|post|put|delete)\('([^']*)'/g)]
      .map(([, method = '', route = '']) => `${method} ${at}${route === '/' ? '' : route}`.replace(/:(\w+)/g, '{$1}'))
      .filter((route) => route.includes(' /api')),
  );
}

describe('the description for other programs', () => {
  it('is an OpenAPI document', async () => {
    const { valid, errors } = await new Validator().validate(structuredClone(described) as unknown as Record<string, unknown>);
    expect(errors ?? '').toEqual('');
    expect(valid).toBeTrue();
  });

  it('has every route of the server, and none that is not there', () => {
    const known = new Set(Object.entries(described.paths).flatMap(([route, methods]) => Object.keys(methods).map((method) => `${method} ${route}`)));
    const routes = routesInSources();
    expect(routes.length).toBeGreaterThan(40);
    expect(routes.filter((route) => !known.has(route) && route !== 'post /api/jobs/{id}')).toEqual([]);
    const lists = /\/(undo|redo)$|^get \/api\/jobs\/\{id\}\/.*\.(pdf|csv)$/;
    expect([...known].filter((route) => !routes.includes(route) && !lists.test(route))).toEqual([]);
  });

  it('stands in the docs as it is made', async () => {
    const file = path.join(root, 'docs/api.md');
    expect(fs.readFileSync(file, 'utf8')).toBe(await format(apiPage(), { ...(await resolveConfig(file)), filepath: file }));
  });

  it('says of real answers what they are', async () => {
    const app = await running();
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    const { jobs } = (await app.get('/api/jobs')).body as { jobs: { id: string }[] };
    const asked = {
      '/api/jobs': '',
      '/api/jobs/{id}': '',
      '/api/shop': '',
      '/api/log': '',
      '/api/log/facets': '',
      '/api/day': '',
      '/api/samples': '',
      '/api/devices': '',
      '/api/health': '',
      '/api/times': '',
    };
    for (const route of Object.keys(asked)) {
      const { status, body } = await app.get(route.replace('{id}', jobs[0]!.id));
      const schema = described.paths[route]!['get']!.responses['200']!.content!['application/json']!.schema!;
      const valid = ajv.validate(schema, body);
      expect([status, valid, ajv.errorsText().slice(0, 200)])
        .withContext(route)
        .toEqual([200, true, 'No errors']);
    }
    const served = (await app.get('/api/openapi.json')).body as Described;
    expect(Object.keys(served.paths)).toEqual(Object.keys(described.paths));
    await app.stop();
  }, 30_000);
});

describe('a program of the shop', () => {
  let app: Running;
  let cookie: string;
  const as = (token: string) => ({ authorization: `Bearer ${token}` });
  const statusOf = async (method: string, route: string, headers: Record<string, string>, body?: unknown): Promise<number> =>
    (await app.send(method, route, body, headers)).status;
  beforeAll(async () => {
    app = await running({ passPhrase: 'straw and chalk' });
    const answer = await fetch(`${app.url}/sign-in`, { method: 'POST', body: new URLSearchParams({ phrase: 'straw and chalk', to: '/' }), redirect: 'manual' });
    cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
  });
  afterAll(() => app.stop());

  it('comes in by its token for what it may do, is listed, and is out once that is ended', async () => {
    const make = (may: string) => app.send('POST', '/api/tokens', { name: `Bookkeeping, ${may}`, may }, { cookie });
    const reads = (await make('read')).body as { id: string; token: string };
    const writes = (await make('write')).body as { id: string; token: string };
    expect(await statusOf('GET', '/api/jobs', as(reads.token))).toBe(200);
    const { revision, shop } = (await app.send('GET', '/api/shop', undefined, as(writes.token))).body as { revision: number; shop: object };
    expect(await statusOf('PUT', '/api/shop', as(reads.token), { revision, shop })).toBe(403);
    expect(await statusOf('PUT', '/api/shop', as(writes.token), { revision, shop })).toBe(200);
    // Who else comes in is for people to say.
    for (const route of ['/api/sessions', '/api/tokens', '/api/backups']) expect(await statusOf('GET', route, as(writes.token))).toBe(403);
    expect(await statusOf('POST', '/api/tokens', as(writes.token), { name: 'Another', may: 'write' })).toBe(403);
    const { tokens } = (await app.send('GET', '/api/tokens', undefined, { cookie })).body as { tokens: { id: string; seenAt: string | null }[] };
    expect(tokens.map(({ id }) => id).sort()).toEqual([reads.id, writes.id].sort());
    expect(JSON.stringify(tokens)).not.toContain(reads.token);
    expect(tokens.every(({ seenAt }) => seenAt !== null)).toBeTrue();
    expect(await statusOf('DELETE', `/api/tokens/${reads.id}`, { cookie })).toBe(204);
    expect(await statusOf('GET', '/api/jobs', as(reads.token))).toBe(401);
    expect(await statusOf('GET', '/api/jobs', as('yl_guessed'))).toBe(401);
    expect(await statusOf('POST', '/api/tokens', { cookie }, { name: ' ', may: 'all' })).toBe(400);
  });
});
