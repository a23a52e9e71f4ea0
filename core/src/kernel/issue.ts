/**
 * A problem as data: a code, where it is, how heavy, and the figures the sentence will need (millimetres unless the name says otherwise).
 * The sentence is made in `say/say.ts`.
 *
 * - `error`: this cannot be cut as it stands;
 * - `warning`: it can be cut and will probably be regretted;
 * - `note`: worth knowing.
 */
export interface Issue {
  readonly code: string;
  /** Dotted path into the job document, e.g. `cushions.0.template.widthMm`. */
  readonly path: string;
  readonly severity: 'error' | 'warning' | 'note';
  readonly data: Readonly<Record<string, number | string>>;
}

export function issue(severity: Issue['severity'], code: string, path: string, data: Issue['data'] = {}): Issue {
  return { code, path, severity, data };
}

/** The issues with their paths put under `prefix`. */
export function under(prefix: string, issues: readonly Issue[]): Issue[] {
  return issues.map((one) => ({ ...one, path: one.path ? `${prefix}.${one.path}` : prefix }));
}
