/** Prints one of a problem's figures, named by its key. */
export type Print = (key: string) => string;

/** A problem in two sentences: what is wrong, and what to do about it, which may be empty. `n` prints a number or word, `mm` a length in the job's units, `of` what a cover presses and pulls with. */
export type Speak = (n: Print, mm: Print, of: { readonly pressure: Print; readonly tension: Print }) => readonly [what: string, mend: string];

/** The sentences of a capability, by the code of the problem. */
export type Sentences = Readonly<Record<string, Speak>>;
