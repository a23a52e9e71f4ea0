/** The shop's own allowance schools, and the remnants it keeps. */
export const schoolsAndRemnants = `
CREATE TABLE school (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document))
) STRICT;
CREATE TABLE remnant (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  grade TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document))
) STRICT;
CREATE INDEX remnant_by_grade ON remnant (grade);
`;
