// The page of what other programs can ask for, made from the contracts: npm run api
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { format, resolveConfig } from 'prettier';
import { apiPage } from '../server/src/api/openapi';

const file = path.join(fileURLToPath(new URL('..', import.meta.url)), 'docs/api.md');
fs.writeFileSync(file, await format(apiPage(), { ...(await resolveConfig(file)), filepath: file }));
