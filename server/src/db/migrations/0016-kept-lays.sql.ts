/** Lays of jobs that were worked out already, by the hash of their request. Whatever is deleted here can be searched for again. */
export const keptLays = `
CREATE TABLE kept_lay (
  job_id TEXT NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  hash TEXT NOT NULL,
  engine INTEGER NOT NULL,
  stopped INTEGER NOT NULL CHECK (stopped IN (0, 1)),
  answer TEXT NOT NULL CHECK (json_valid(answer)),
  kept_at INTEGER NOT NULL,
  PRIMARY KEY (job_id, hash)
) STRICT, WITHOUT ROWID;
`;
