/** Words to find jobs by, three letters at a time, kept with each job; the order of the list as an index; and a small outline of each cushion for it. */
export const searchAndOutlines = `
CREATE TABLE job_words (
  row INTEGER PRIMARY KEY,
  job_id TEXT NOT NULL UNIQUE REFERENCES job (id) ON DELETE CASCADE,
  words TEXT NOT NULL
) STRICT;
CREATE VIRTUAL TABLE job_search USING fts5 (words, content = 'job_words', content_rowid = 'row', tokenize = 'trigram');
CREATE TRIGGER job_words_inserted AFTER INSERT ON job_words BEGIN
  INSERT INTO job_search (rowid, words) VALUES (new.row, new.words);
END;
CREATE TRIGGER job_words_deleted AFTER DELETE ON job_words BEGIN
  INSERT INTO job_search (job_search, rowid, words) VALUES ('delete', old.row, old.words);
END;
CREATE TRIGGER job_words_updated AFTER UPDATE OF words ON job_words BEGIN
  INSERT INTO job_search (job_search, rowid, words) VALUES ('delete', old.row, old.words);
  INSERT INTO job_search (rowid, words) VALUES (new.row, new.words);
END;
INSERT INTO job_words (job_id, words)
  SELECT j.id, j.name || char(10) || j.customer || char(10) || coalesce((SELECT group_concat(c.name, char(10)) FROM cushion c WHERE c.job_id = j.id), '')
  FROM job j;
CREATE INDEX job_in_order ON job (archived, (state = 'delivered'), (due_date IS NULL), due_date, name);
ALTER TABLE cushion ADD COLUMN outline TEXT CHECK (outline IS NULL OR json_valid(outline));
`;
