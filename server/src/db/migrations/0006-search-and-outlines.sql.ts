/** Words to find jobs by, three letters at a time, kept with each job; the order of the list as an index; and a small outline of each cushion for it. */
export const searchAndOutlines = `
CREATE VIRTUAL TABLE job_search USING fts5 (job_id UNINDEXED, words, tokenize = 'trigram');
INSERT INTO job_search (job_id, words)
  SELECT j.id, j.name || char(10) || j.customer || char(10) || coalesce((SELECT group_concat(c.name, char(10)) FROM cushion c WHERE c.job_id = j.id), '')
  FROM job j;
CREATE TRIGGER job_search_drop AFTER DELETE ON job BEGIN
  DELETE FROM job_search WHERE job_id = old.id;
END;
CREATE INDEX job_in_order ON job (archived, (state = 'delivered'), (due_date IS NULL), due_date, name);
ALTER TABLE cushion ADD COLUMN outline TEXT CHECK (outline IS NULL OR json_valid(outline));
`;
