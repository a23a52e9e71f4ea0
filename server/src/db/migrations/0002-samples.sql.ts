export const samples = `
CREATE TABLE sample (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  lot TEXT NOT NULL,
  date TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document))
) STRICT;
CREATE INDEX sample_by_date ON sample (date);
`;
