import type { Database } from 'better-sqlite3';

export interface JobRow {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly step: number;
  readonly archived: number;
  readonly document: string;
  /** Label of the current step, if there is one before it to go back to. */
  readonly undo: string | null;
  readonly redo: string | null;
}

export interface SummaryRow {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly customer: string;
  readonly state: string;
  readonly due_date: string | null;
  readonly archived: number;
  readonly updated_at: string;
  readonly cushions: number;
  readonly pieces: number;
  readonly outlines: string;
  /** How many were found altogether, where words were looked for; null where that is asked by itself. */
  readonly found: number | null;
}

export interface ListQuery {
  /** What is looked for, as the way of looking wants it; null for all. */
  readonly words: string | null;
  readonly state: string | null;
  /** Only jobs due before this day and not yet done; null for all. */
  readonly lateOn: string | null;
  readonly archived: number;
  readonly limit: number;
  /** How many come before the first of the page. */
  readonly from: number;
}

const WHERE = `
  WHERE j.archived = @archived
    AND (@state IS NULL OR j.state = @state)
    AND (@lateOn IS NULL OR (j.due_date < @lateOn AND j.state NOT IN ('ready', 'delivered')))`;

/** Delivered jobs last, undated ones after the dated; the id settles the rest, so that pages neither repeat a job nor leave one out. */
const ORDER = `ORDER BY j.state = 'delivered', j.due_date IS NULL, j.due_date, j.name, j.id`;

/** How the words are looked for: all three letters and more by the index, less by looking at each. */
const FOUND = {
  any: '',
  match: ' AND j.id IN (SELECT w.job_id FROM job_search s JOIN job_words w ON w.row = s.rowid WHERE job_search MATCH @words)',
  like: " AND j.id IN (SELECT job_id FROM job_words WHERE words LIKE @words ESCAPE '!')",
} as const;
export type Finding = keyof typeof FOUND;

function listing(db: Database, found: string) {
  // Words are looked up once for the page and its count; without any, the count is quicker by itself.
  const counted = found ? 'count(*) OVER ()' : 'NULL';
  // The page is picked first: only its jobs are looked at closely.
  return db.prepare<[ListQuery], SummaryRow>(`
      SELECT j.id, j.revision, j.name, j.customer, j.state, j.due_date, j.archived, j.updated_at,
        (SELECT count(*) FROM cushion c WHERE c.job_id = j.id) AS cushions,
        (SELECT coalesce(sum(quantity), 0) FROM cushion c WHERE c.job_id = j.id) AS pieces,
        (SELECT json_group_array(json_object('widthMm', width_mm, 'depthMm', depth_mm, 'heightMm', height_mm, 'quantity', quantity, 'outline', json(outline), 'lines', json(lines)))
           FROM (SELECT * FROM cushion c WHERE c.job_id = j.id ORDER BY position LIMIT 8)) AS outlines, found
      FROM (SELECT j.id AS page_id, ${counted} AS found FROM job j ${WHERE}${found}
            ${ORDER} LIMIT @limit OFFSET @from)
        JOIN job j ON j.id = page_id
      ${ORDER}`);
}

/** The job at work, the first to be due, that has one of these remnants aside. */
function holding(db: Database, but: string) {
  return db.prepare<[{ readonly remnants: string; readonly id: string }], { name: string; due_date: string | null }>(`
      SELECT j.name, j.due_date FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step, json_each(s.document, '$.remnants') r
      WHERE j.archived = 0 AND j.state <> 'delivered' AND j.id <> @id AND instr(s.document, '"remnants":[') > 0
        AND r.value IN (SELECT value FROM json_each(@remnants)) ${but}
      ORDER BY j.due_date IS NULL, j.due_date LIMIT 1`);
}

/** The statements about jobs, prepared once. */
export function jobStatements(db: Database) {
  return {
    read: db.prepare<[string], JobRow>(`
      SELECT j.id, j.name, j.revision, j.step, j.archived, s.document,
        CASE WHEN EXISTS (SELECT 1 FROM job_step p WHERE p.job_id = j.id AND p.step = j.step - 1) THEN s.label END AS undo,
        (SELECT n.label FROM job_step n WHERE n.job_id = j.id AND n.step = j.step + 1) AS redo
      FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step
      WHERE j.id = ?`),
    find: { any: listing(db, FOUND.any), match: listing(db, FOUND.match), like: listing(db, FOUND.like) } satisfies Record<Finding, unknown>,
    count: db.prepare<[ListQuery], { total: number }>(
      `SELECT count(*) AS total FROM job j ${WHERE} AND @limit IS NOT NULL AND @from IS NOT NULL AND @words IS NULL`,
    ),
    any: db.prepare<[], { found: number }>('SELECT EXISTS (SELECT 1 FROM job) AS found'),
    insert: db.prepare(`
      INSERT INTO job (id, revision, step, name, customer, state, due_date, created_at, updated_at)
      VALUES (@id, 1, 1, @name, @customer, @state, @dueDate, @now, @now)`),
    update: db.prepare(`
      UPDATE job SET revision = revision + 1, step = @step, name = @name, customer = @customer, state = @state, due_date = @dueDate, updated_at = @now
      WHERE id = @id`),
    archive: db.prepare('UPDATE job SET revision = revision + 1, archived = @archived, updated_at = @now WHERE id = @id'),
    insertStep: db.prepare('INSERT INTO job_step (job_id, step, label, document, created_at) VALUES (@id, @step, @label, @document, @now)'),
    stepsBetween: db.prepare<[string, number, number], { step: number; label: string; document: string }>(
      'SELECT step, label, document FROM job_step WHERE job_id = ? AND step BETWEEN ? AND ? ORDER BY step',
    ),
    toDo: db.prepare<[number], { id: string; revision: number; document: string }>(`
      SELECT j.id, j.revision, s.document FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step
      WHERE j.archived = 0 AND j.state NOT IN ('ready', 'delivered') ORDER BY j.due_date IS NULL, j.due_date, j.id LIMIT ?`),
    byFirst: db.prepare<[string, string], { id: string }>('SELECT id FROM job WHERE id >= ? AND id < ? LIMIT 2'),
    clocked: db.prepare<[number], { document: string }>(`
      SELECT s.document FROM (SELECT id, step FROM job ORDER BY updated_at DESC LIMIT ?) j
      JOIN job_step s ON s.job_id = j.id AND s.step = j.step WHERE instr(s.document, '"minutes":{') > 0`),
    heldRemnants: db.prepare<[number], { remnant: string; job: string; name: string }>(`
      SELECT r.value AS remnant, j.id AS job, j.name
      FROM (SELECT id, name, step FROM job WHERE archived = 0 AND state <> 'delivered' ORDER BY updated_at DESC LIMIT ?) j
      JOIN job_step s ON s.job_id = j.id AND s.step = j.step, json_each(s.document, '$.remnants') r
      WHERE instr(s.document, '"remnants":[') > 0 ORDER BY j.name`),
    // What this job has aside as it stands stays with it: only what is new to it is looked for with others.
    heldBy: holding(
      db,
      `AND r.value NOT IN (
         SELECT own.value FROM job o JOIN job_step os ON os.job_id = o.id AND os.step = o.step, json_each(os.document, '$.remnants') own WHERE o.id = @id
       )`,
    ),
    heldByOther: holding(db, ''),
    stepAt: db.prepare<[string, number], { document: string }>('SELECT document FROM job_step WHERE job_id = ? AND step = ?'),
    dropRedo: db.prepare('DELETE FROM job_step WHERE job_id = @id AND step > @step'),
    dropOld: db.prepare('DELETE FROM job_step WHERE job_id = @id AND step < @step'),
    dropCushions: db.prepare('DELETE FROM cushion WHERE job_id = ?'),
    insertCushion: db.prepare(`
      INSERT INTO cushion (job_id, position, name, quantity, shape, width_mm, depth_mm, height_mm, school, outline, lines, construction)
      VALUES (@jobId, @position, @name, @quantity, @shape, @widthMm, @depthMm, @heightMm, @school, @outline, @lines, @construction)`),
    insertMaterial: db.prepare<[string, number, string]>('INSERT INTO cushion_material (job_id, position, material) VALUES (?, ?, ?)'),
    logged: db.prepare<[string]>('UPDATE job SET logged = 1 WHERE id = ? AND logged = 0'),
    notLogged: db.prepare<[number], { id: string; document: string }>(
      'SELECT j.id, s.document FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step WHERE j.logged = 0 LIMIT ?',
    ),
    // The index is touched only where the words have changed.
    putWords: db.prepare(`
      INSERT INTO job_words (job_id, words) VALUES (?, ?)
      ON CONFLICT (job_id) DO UPDATE SET words = excluded.words WHERE words IS NOT excluded.words`),
  };
}
