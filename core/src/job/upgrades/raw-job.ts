/** A document as it was stored: not yet checked. */
export type RawJob = Readonly<Record<string, unknown>>;
