/** What a verb answers: text for standard output or standard error, and the exit code: 0 done; 1 done, and the answer holds an error; 2 the input is not as it should be. */
export interface Outcome {
  readonly code: 0 | 1 | 2;
  readonly out?: string;
  readonly error?: string;
}

/** One verb of the command line. Adding one to the list in `main.ts` is all it takes. */
export interface Verb {
  readonly name: string;
  readonly usage: string;
  readonly does: string;
  /** Names of options that take a value. */
  readonly options: readonly string[];
  readonly run: (files: readonly string[], options: Readonly<Record<string, string>>) => Outcome | Promise<Outcome>;
}

export const refusal = (problems: readonly { code: string; path: string; message: string }[]): Outcome => ({
  code: 2,
  error: `${JSON.stringify({ problems }, null, 2)}\n`,
});
