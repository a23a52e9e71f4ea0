/** Counts the places that may still be looked for. Not a clock, so that the same question gets the same answer on every machine. */
export class Budget {
  constructor(public left: number) {}
}
