/** Secrets that the shop hands out in an address, such as the one of its calendar. */
export const secrets = `
CREATE TABLE secret (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL,
  created_at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
`;
