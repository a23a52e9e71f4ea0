/** Who has signed in with the shop's pass-phrase: only a hash of the token that the browser holds. Times in milliseconds since 1970. */
export const sessions = `
CREATE TABLE session (
  id TEXT PRIMARY KEY,
  token_hash TEXT NOT NULL UNIQUE,
  agent TEXT NOT NULL,
  created_at INTEGER NOT NULL,
  seen_at INTEGER NOT NULL
) STRICT;
`;
