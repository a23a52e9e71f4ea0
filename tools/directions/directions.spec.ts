import { fileURLToPath } from 'node:url';
import { circlesOf, folderOf } from './circles';
import { importsOf } from './imports';
import { offence } from './rules';

const root = fileURLToPath(new URL('../..', import.meta.url));

describe('the direction check', () => {
  it('finds what goes upward, sideways between workspaces, or out of the core', () => {
    const found = (from: string, to: string) => offence({ from, to });
    expect(found('core/src/units/parse.ts', 'core/src/kernel/figure.ts')).toBe('core/units may not import core/kernel');
    expect(found('core/src/lay/engine.ts', 'core/src/allowance/sizes.ts')).toBe('core/lay may not import core/allowance');
    expect(found('core/src/plan/plan.ts', 'core/src/testing/samples.ts')).toBe('only specs may import testing');
    expect(found('core/src/plan/plan.ts', 'core/src/cover/constructions/drum/drum.ts')).toBe('only the lists of covers may import the construction drum');
    expect(found('core/src/kernel/hash.ts', 'node:crypto')).toContain('may not import the package');
    expect(found('core/src/kernel/hash.ts', '@angular/core')).toContain('may not import the package');
    expect(found('server/src/app.ts', '@yardland/web')).toBe('server may not import web');
    expect(found('e2e/job/cover.journey.ts', '@yardland/web')).toBe('of web only the harnesses may be imported');
    expect(found('web/src/app/app.ts', 'server/src/app.ts')).toContain('by path');
  });

  it('lets through what goes down', () => {
    const free = (from: string, to: string) => expect(offence({ from, to })).withContext(`${from} → ${to}`).toBeNull();
    free('core/src/plan/plan.ts', 'core/src/units/format.ts');
    free('core/src/cover/list.ts', 'core/src/cover/constructions/drum/drum.ts');
    free('core/src/job/job.spec.ts', 'core/src/testing/samples.ts');
    free('core/src/job/document.ts', 'zod');
    free('server/src/app.ts', '@yardland/core');
    free('e2e/support/bench.ts', '@yardland/web/harnesses');
    free('core/src/index.ts', 'core/src/plan/plan.ts');
  });

  it('reads every kind of import from real files, and finds nothing against the directions in them', () => {
    const imports = importsOf(root, ['core/src', 'paper/src', 'server/src', 'web/src', 'cli/src']);
    expect(imports.length).toBeGreaterThan(200);
    expect(imports).toContain({ from: 'web/src/app/routes.ts', to: 'web/src/app/build/build-station.ts' });
    expect(imports.map(offence).filter(Boolean)).toEqual([]);
  });

  it('finds files, and folders of the interface and the server, that import each other in a circle', () => {
    const imports = ['a b', 'b c', 'c a', 'c d', 'd e'].map((one) => {
      const [from = '', to = ''] = one.split(' ').map((name) => `web/src/app/${name}/${name}.ts`);
      return { from, to };
    });
    expect(circlesOf(imports, folderOf).map((circle) => circle.sort())).toEqual([['web/src/app/a', 'web/src/app/b', 'web/src/app/c']]);
    expect(circlesOf(imports.slice(1), (file) => file)).toEqual([]);
    expect(circlesOf([...imports.slice(1), { from: 'web/src/app/a/a.spec.ts', to: 'web/src/app/b/b.ts' }], folderOf)).toEqual([]);
    expect(
      circlesOf(
        [
          { from: 'server/src/http/x.ts', to: 'server/src/app.ts' },
          { from: 'server/src/app.ts', to: 'server/src/http/x.ts' },
        ],
        folderOf,
      ),
    ).toEqual([]);
  });
});
