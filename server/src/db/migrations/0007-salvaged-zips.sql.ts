/** Zips taken off old covers and kept. */
export const salvagedZips = `
CREATE TABLE salvaged_zip (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  length_mm REAL NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document))
) STRICT;
CREATE INDEX salvaged_zip_by_length ON salvaged_zip (length_mm);
`;
