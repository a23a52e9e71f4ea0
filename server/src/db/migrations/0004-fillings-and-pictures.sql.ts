/** Fillings besides foam join the materials; pictures of old cores are kept with their job. */
export const fillingsAndPictures = `
CREATE TABLE material_next (
  kind TEXT NOT NULL CHECK (kind IN ('grade', 'filling', 'cloth', 'wadding')),
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document)),
  PRIMARY KEY (kind, id)
) STRICT;
INSERT INTO material_next SELECT kind, id, position, name, document FROM material;
DROP TABLE material;
ALTER TABLE material_next RENAME TO material;

CREATE TABLE picture (
  id TEXT PRIMARY KEY,
  job_id TEXT NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  jpeg BLOB NOT NULL,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX picture_by_job ON picture (job_id);
`;
