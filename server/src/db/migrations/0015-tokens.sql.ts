/** Tokens by which programs of the shop come in; only their hashes are kept. */
export const tokens = `
CREATE TABLE token (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  may TEXT NOT NULL CHECK (may IN ('read', 'write')),
  token_hash TEXT NOT NULL UNIQUE,
  created_at INTEGER NOT NULL,
  seen_at INTEGER
) STRICT, WITHOUT ROWID;
`;
