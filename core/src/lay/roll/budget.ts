/** Counts down the searches for a place that are left. A count and not a clock, so that the same request gets the same answer on every machine. */
export class Budget {
  constructor(public left: number) {}
}
