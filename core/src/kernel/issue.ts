/**
 * The codes there are: each table of sentences, and each construction with its own, adds its keys to this interface, so that no problem is
 * without a sentence.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by declaration merging
export interface IssueCodes {}

/** A code that a sentence was written for; a document's own problems are named by what its schema found. */
export type IssueCode = keyof IssueCodes | `document-${string}`;

/**
 * A problem as data: a code, where it is, how heavy, and the figures the sentence will need (millimetres unless the name says otherwise).
 * The sentence is made in `say/`.
 *
 * - `error`: this cannot be cut as it stands;
 * - `warning`: it can be cut and will probably be regretted;
 * - `note`: worth knowing.
 */
export interface Issue {
  readonly code: IssueCode;
  /** Dotted path into the job document, e.g. `cushions.0.template.widthMm`. */
  readonly path: string;
  readonly severity: 'error' | 'warning' | 'note';
  readonly data: Readonly<Record<string, number | string>>;
}

export function issue(severity: Issue['severity'], code: IssueCode, path: string, data: Issue['data'] = {}): Issue {
  return { code, path, severity, data };
}

/** The issues with their paths put under `prefix`. */
export function under(prefix: string, issues: readonly Issue[]): Issue[] {
  return issues.map((one) => ({ ...one, path: one.path ? `${prefix}.${one.path}` : prefix }));
}
