export const shopAndJobs = `
CREATE TABLE shop (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  name TEXT NOT NULL,
  units TEXT NOT NULL CHECK (units IN ('inch', 'metric')),
  step TEXT NOT NULL CHECK (json_valid(step)),
  calibration TEXT NOT NULL CHECK (json_valid(calibration))
) STRICT;

CREATE TABLE material (
  kind TEXT NOT NULL CHECK (kind IN ('grade', 'cloth', 'wadding')),
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document)),
  PRIMARY KEY (kind, id)
) STRICT;

CREATE TABLE job (
  id TEXT PRIMARY KEY,
  revision INTEGER NOT NULL,
  step INTEGER NOT NULL,
  name TEXT NOT NULL,
  customer TEXT NOT NULL,
  state TEXT NOT NULL,
  due_date TEXT,
  archived INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX job_by_due ON job (archived, due_date);

CREATE TABLE job_step (
  job_id TEXT NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  step INTEGER NOT NULL,
  label TEXT NOT NULL,
  document TEXT NOT NULL CHECK (json_valid(document)),
  created_at TEXT NOT NULL,
  PRIMARY KEY (job_id, step)
) STRICT;

CREATE TABLE cushion (
  job_id TEXT NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  quantity INTEGER NOT NULL,
  shape TEXT NOT NULL,
  width_mm REAL NOT NULL,
  depth_mm REAL NOT NULL,
  height_mm REAL NOT NULL,
  school TEXT NOT NULL,
  PRIMARY KEY (job_id, position)
) STRICT, WITHOUT ROWID;
`;
