/** What each folder of the core may import besides itself; and what those may, it may too. The order is the map of `docs/architecture.md`. */
const CORE: Readonly<Record<string, readonly string[]>> = {
  units: [],
  kernel: ['units'],
  geometry: ['kernel'],
  // The finished cushion as a solid, and its line drawing.
  form: ['geometry'],
  material: ['geometry'],
  shop: ['material'],
  piece: ['geometry', 'material'],
  filling: ['shop', 'geometry'],
  template: ['piece'],
  allowance: ['template', 'filling'],
  crown: ['allowance'],
  fit: ['crown'],
  // The construction is given sizes; how they came about is no business of it.
  cover: ['template', 'shop', 'form'],
  lay: ['piece', 'material'],
  bench: ['piece', 'shop'],
  say: ['kernel'],
  // The document only.
  job: ['fit', 'cover', 'lay', 'bench'],
  // The one road from a job to everything derived.
  plan: ['job', 'say'],
  // A cushion is drawn from its plan; ways to make it are compared by their drawings too.
  picture: ['plan', 'format'],
  compare: ['picture'],
  record: ['plan'],
  // Who does what when. The engine is given steps and knows nothing of cushions; the day takes them from the jobs' plans.
  schedule: ['plan'],
  progress: ['record'],
  // Words of the trade, told to a newcomer: they need nothing.
  glossary: [],
  // A job with mistakes in it, for whoever learns.
  practice: ['plan'],
  format: ['template', 'form'],
  contract: ['record', 'schedule'],
  testing: ['compare'],
};

/** What each workspace may import of the others. */
const WORKSPACES: Readonly<Record<string, readonly string[]>> = {
  core: [],
  paper: ['core'],
  server: ['core', 'paper'],
  web: ['core'],
  cli: ['core', 'paper'],
  e2e: ['core', 'web'],
};

/** Packages, or parts of them, that the core may use; everything that touches a screen, a disk or a clock stays outside. */
const CORE_PACKAGES = new Set(['zod', 'clipper2-ts/dist/Offset.js', 'earcut', 'fastest-levenshtein', 'papaparse', 'saxes', 'svgpath', 'cdt2d']);
const CORE_SPEC_PACKAGES = new Set([...CORE_PACKAGES, 'fast-check']);

export interface Import {
  /** The importing file from the root, with slashes. */
  readonly from: string;
  /** The imported file from the root, or a package's name. */
  readonly to: string;
}

function reachable(folder: string): Set<string> {
  const seen = new Set<string>([folder]);
  const visit = (one: string): void => {
    for (const next of CORE[one] ?? []) {
      if (seen.has(next)) continue;
      seen.add(next);
      visit(next);
    }
  };
  visit(folder);
  return seen;
}

const isPackage = (to: string): boolean => !to.includes('/src/') && !to.endsWith('.json') && !to.endsWith('.ts');

/** What gathers the constructions: the list of them, of what is said of their problems, of their constants, and of what these mean. */
const LISTS: ReadonlySet<string> = new Set(['list', 'own-sentences', 'own-constants', 'constant-words'].map((file) => `core/src/cover/${file}.ts`));

/** Why an import is against the directions, or null. */
export function offence({ from, to }: Import): string | null {
  const [workspace = '', , folder = ''] = from.split('/');
  const spec = /\.spec\.ts$|\/testing\//.test(from);
  if (to.startsWith('@yardland/')) {
    const other = to.split('/')[1] ?? '';
    if (!(WORKSPACES[workspace] ?? []).includes(other)) return `${workspace} may not import ${other}`;
    return other === 'web' && to !== '@yardland/web/harnesses' ? 'of web only the harnesses may be imported' : null;
  }
  if (isPackage(to)) {
    if (workspace !== 'core') return null;
    return (spec ? CORE_SPEC_PACKAGES : CORE_PACKAGES).has(to) ? null : `the core may not import the package ${to}`;
  }
  const [toWorkspace = '', , toFolder = ''] = to.split('/');
  if (toWorkspace !== workspace) return to.endsWith('.json') ? null : `${workspace} reaches into ${toWorkspace} by path`;
  // What lies at the top of the core (its index) gathers every folder.
  if (workspace !== 'core' || folder.endsWith('.ts')) return null;
  const owner = /^core\/src\/cover\/constructions\/([^/]+)\//.exec(to)?.[1];
  if (owner && !from.includes(`/constructions/${owner}/`) && !LISTS.has(from)) return `only the lists of covers may import the construction ${owner}`;
  if (toFolder === 'testing' && !spec) return 'only specs may import testing';
  return spec || reachable(folder).has(toFolder) ? null : `core/${folder} may not import core/${toFolder}`;
}
