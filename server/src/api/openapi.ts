import { problemSchema } from '@yardland/core';
import * as z from 'zod';
import { OPERATIONS, type ApiOperation } from './operations';

type Json = Readonly<Record<string, unknown>>;

/** A contract as JSON Schema (draft 2020-12, the dialect of OpenAPI 3.1). What a schema cannot say, such as a check over several fields, is left out of it; the server still checks it. */
const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Json => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any', reused: 'inline', cycles: 'ref' });
  return rest;
};

function parameters({ path, query }: ApiOperation): Json[] {
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => ({
    name,
    in: 'path',
    required: true,
    schema: name === 'cushion' ? { type: 'integer', minimum: 1 } : { type: 'string' },
  }));
  const { properties = {}, required = [] } = query ? (schemaOf(query, 'input') as { properties?: Record<string, Json>; required?: string[] }) : {};
  return [...inPath, ...Object.entries(properties).map(([name, schema]) => ({ name, in: 'query', required: required.includes(name), schema }))];
}

function answers({ status = 200, answers: answered }: ApiOperation): Json {
  const content =
    answered === null
      ? {}
      : 'json' in answered
        ? { content: { 'application/json': { schema: schemaOf(answered.json, 'output') } } }
        : { content: { [answered.file]: {} } };
  return {
    [String(status)]: { description: status === 204 ? 'Done.' : status === 201 ? 'Made.' : 'As asked.', ...content },
    default: { description: 'Why not: a coded problem.', content: { 'application/json': { schema: { $ref: '#/components/schemas/Problem' } } } },
  };
}

function operationOf(one: ApiOperation, room: string): Json {
  const { method, path, does, body, bodyFile } = one;
  const name = `${method} ${path}`
    .replace(/^(\w+) \/api\//, '$1 ')
    .replace(/[^a-z0-9]+(\w)?/gi, (_, letter: string | undefined) => letter?.toUpperCase() ?? '');
  return {
    operationId: name,
    tags: [room],
    summary: does,
    parameters: parameters(one),
    ...(body ? { requestBody: { required: true, content: { 'application/json': { schema: schemaOf(body, 'input') } } } } : {}),
    ...(bodyFile ? { requestBody: { required: true, content: { [bodyFile]: {} } } } : {}),
    responses: answers(one),
  };
}

/** The description of everything that can be asked of the server (OpenAPI 3.1), made from the contracts that requests and answers are checked with. */
export function openApi(version: string): Json {
  const paths: Record<string, Record<string, Json>> = {};
  for (const { room, operations } of OPERATIONS) for (const one of operations) paths[one.path] = { ...paths[one.path], [one.method]: operationOf(one, room) };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Yardland',
      version,
      description: 'Jobs, plans and papers of a shop that makes cushions. Lengths are millimetres. Every refusal is a coded problem.',
    },
    security: [{ session: [] }, { token: [] }],
    tags: OPERATIONS.map(({ room }) => ({ name: room })),
    paths,
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'yardland_session', description: 'A person who is signed in.' },
        token: { type: 'http', scheme: 'bearer', description: 'A program of the shop.' },
      },
      schemas: { Problem: schemaOf(problemSchema, 'output') },
    },
  };
}

/** The same to be read by people: a line an operation. */
export function apiPage(): string {
  const fields = (query: z.ZodObject | undefined): string => (query ? `?${Object.keys(query.shape).join('&')}` : '');
  const given = ({ answers: answered, status = 200 }: ApiOperation): string =>
    answered === null ? String(status) : 'json' in answered ? 'JSON' : answered.file;
  return `# For other programs

Made by \`npm run api\` from the contracts that requests and answers are checked with (\`server/src/api/operations.ts\`); a spec holds it to them and to the routes.

\`GET /api/openapi.json\` describes every request and answer in full (OpenAPI 3.1): feed it to a generator of clients. Lengths are millimetres, times ISO 8601. A refusal is \`{"code","path","message"}\`, with \`problems\` where there are several. A write names the revision it has seen; where that is
no longer the newest it is refused with 409 and what stands now.

A shop that asks for its pass-phrase lets a program in by a token: _Who is signed in_ on the Jobs page makes one, for reading or for writing too, tells its text once, and ends it. It is sent as \`Authorization: Bearer yl_…\`. Sessions, tokens and backups are for people only.

    curl -H "Authorization: Bearer yl_…" https://the-shop.local:4820/api/jobs?state=cutting

${OPERATIONS.map(
  ({ room, operations }) => `## ${room}

| | | answers |
|---|---|---|
${operations.map((one) => `| \`${one.method.toUpperCase()} ${one.path}${fields(one.query)}\` | ${one.does} | ${given(one)} |`).join('\n')}
`,
).join('\n')}`;
}
