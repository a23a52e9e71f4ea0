import type { Import } from './rules';

/** The folder a file belongs to, as far as circles count: a feature of the interface, a capability of the server, a folder of the core. */
export function folderOf(file: string): string | null {
  return /^(web\/src\/app\/[^/.]+|(?:core|server)\/src\/[^/.]+)\//.exec(file)?.[1] ?? null;
}

/**
 * Circles among imports, each as the names that import each other in turn: strongly connected components of more than one name (Tarjan 1972).
 * `nameOf` gives what counts as one thing, null for what does not count. Imports of specs and of what only specs use are left out.
 */
export function circlesOf(imports: readonly Import[], nameOf: (file: string) => string | null): string[][] {
  const next = new Map<string, Set<string>>();
  for (const { from, to } of imports) {
    const [a, b] = [nameOf(from), nameOf(to)];
    if (a === null || b === null || a === b || /\.spec\.ts$|\/testing\//.test(from)) continue;
    next.set(a, (next.get(a) ?? new Set()).add(b));
  }
  const index = new Map<string, number>();
  const stack: string[] = [];
  const circles: string[][] = [];
  const visit = (name: string): number => {
    let least = index.size;
    index.set(name, least);
    const own = least;
    stack.push(name);
    for (const other of next.get(name) ?? []) {
      if (!index.has(other)) least = Math.min(least, visit(other));
      else if (stack.includes(other)) least = Math.min(least, index.get(other) ?? least);
    }
    if (least === own) {
      const circle = stack.splice(stack.indexOf(name));
      if (circle.length > 1) circles.push(circle);
    }
    return least;
  };
  for (const name of next.keys()) if (!index.has(name)) visit(name);
  return circles;
}
