/** The log of the shop, found by words and by what its jobs are made of; pictures that belong to no job; what cushions are made of, in columns. */
export const log = `
CREATE TABLE log (
  row INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  day TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('made', 'measured', 'changed', 'bought', 'remark', 'complaint')),
  about TEXT NOT NULL CHECK (about IN ('shop', 'job', 'cushion', 'material', 'supplier')),
  job_id TEXT REFERENCES job (id) ON DELETE CASCADE,
  cushion INTEGER,
  cushion_name TEXT,
  subject TEXT,
  who TEXT NOT NULL,
  text TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document)),
  written_by TEXT,
  created_at TEXT NOT NULL
) STRICT;
CREATE UNIQUE INDEX log_written ON log (coalesce(job_id, ''), written_by) WHERE written_by IS NOT NULL;
CREATE INDEX log_in_order ON log (day DESC, row DESC);
CREATE INDEX log_by_job ON log (job_id, day);
CREATE INDEX log_by_kind ON log (kind, day DESC, row DESC);
CREATE VIRTUAL TABLE log_search USING fts5 (text, content = 'log', content_rowid = 'row', tokenize = 'trigram');
CREATE TRIGGER log_inserted AFTER INSERT ON log BEGIN
  INSERT INTO log_search (rowid, text) VALUES (new.row, new.text);
END;
CREATE TRIGGER log_deleted AFTER DELETE ON log BEGIN
  INSERT INTO log_search (log_search, rowid, text) VALUES ('delete', old.row, old.text);
END;
CREATE TRIGGER log_updated AFTER UPDATE OF text ON log BEGIN
  INSERT INTO log_search (log_search, rowid, text) VALUES ('delete', old.row, old.text);
  INSERT INTO log_search (rowid, text) VALUES (new.row, new.text);
END;

ALTER TABLE job ADD COLUMN logged INTEGER NOT NULL DEFAULT 0;
CREATE INDEX job_by_customer ON job (customer);
ALTER TABLE cushion ADD COLUMN construction TEXT;
CREATE INDEX cushion_by_school ON cushion (school);
CREATE INDEX cushion_by_construction ON cushion (construction);
CREATE INDEX cushion_by_size ON cushion (width_mm, depth_mm);
CREATE TABLE cushion_material (
  job_id TEXT NOT NULL,
  position INTEGER NOT NULL,
  material TEXT NOT NULL,
  PRIMARY KEY (material, job_id, position),
  FOREIGN KEY (job_id, position) REFERENCES cushion (job_id, position) ON DELETE CASCADE
) STRICT, WITHOUT ROWID;
CREATE INDEX cushion_material_by_cushion ON cushion_material (job_id, position);

CREATE TABLE picture_next (
  id TEXT PRIMARY KEY,
  job_id TEXT REFERENCES job (id) ON DELETE CASCADE,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  jpeg BLOB NOT NULL,
  created_at TEXT NOT NULL
) STRICT;
INSERT INTO picture_next SELECT id, job_id, width, height, jpeg, created_at FROM picture;
DROP TABLE picture;
ALTER TABLE picture_next RENAME TO picture;
CREATE INDEX picture_by_job ON picture (job_id);
`;
