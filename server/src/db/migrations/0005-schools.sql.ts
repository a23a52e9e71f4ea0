/** The shop's own allowance schools. */
export const schools = `
CREATE TABLE school (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document))
) STRICT;
`;
