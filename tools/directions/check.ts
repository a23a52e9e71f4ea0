import { fileURLToPath } from 'node:url';
import { circlesOf, folderOf } from './circles';
import { importsOf } from './imports';
import { offence } from './rules';

const root = fileURLToPath(new URL('../..', import.meta.url));
const imports = importsOf(root, ['core/src', 'paper/src', 'server/src', 'web/src', 'cli/src', 'e2e']);
const offences = imports.flatMap((one) => {
  const why = offence(one);
  return why ? [`${one.from} → ${one.to}: ${why}`] : [];
});
for (const circle of [...circlesOf(imports, (file) => file), ...circlesOf(imports, folderOf)]) offences.push(`a circle: ${circle.join(' → ')}`);
for (const line of offences) console.error(line);
console.log(`${imports.length} imports looked at, ${offences.length} against the directions`);
process.exitCode = offences.length ? 1 : 0;
