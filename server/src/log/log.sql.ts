import { MOST_COUNTED } from '@yardland/core';
import type { Database } from 'better-sqlite3';

export interface EntryRow {
  readonly id: string;
  readonly revision: number;
  readonly day: string;
  readonly kind: string;
  readonly about: string;
  readonly job_id: string | null;
  /** Where the cushion stands in its job now; null where it is not there any more. */
  readonly position: number | null;
  readonly cushion_name: string | null;
  readonly subject: string | null;
  readonly who: string;
  readonly text: string;
  readonly document: string;
  readonly written_by: string | null;
  readonly job_name: string | null;
  readonly customer: string | null;
  readonly archived: number | null;
}

/** What is looked for, ready for the statements: null is not asked for. */
export interface LogSearch {
  readonly match: string | null;
  readonly like: string | null;
  readonly kind: string | null;
  readonly job: string | null;
  readonly customer: string | null;
  readonly cloth: string | null;
  readonly filling: string | null;
  readonly school: string | null;
  readonly construction: string | null;
  readonly widthMm: number | null;
  readonly depthMm: number | null;
  readonly heightMm: number | null;
  readonly fromDay: string | null;
  readonly toDay: string | null;
  readonly limit: number;
  readonly from: number;
}

/** Sizes are found within this share. */
const NEAR = 0.1;
const near = (column: string, value: string): string => `(@${value} IS NULL OR ${column} BETWEEN @${value} * ${1 - NEAR} AND @${value} * ${1 + NEAR})`;

/** Parts of the condition, each put in only where it is asked for, so that the planner sees a statement as plain as the question. */
const PARTS: { readonly [Key in keyof LogSearch]?: string } = {
  // Words stand in the entry, or in the names of its job, its customer and its cushions.
  match: `(l.row IN (SELECT rowid FROM log_search WHERE log_search MATCH @match)
    OR l.job_id IN (SELECT w.job_id FROM job_search s JOIN job_words w ON w.row = s.rowid WHERE job_search MATCH @match))`,
  like: `(l.text LIKE @like ESCAPE '!' OR l.job_id IN (SELECT job_id FROM job_words WHERE words LIKE @like ESCAPE '!'))`,
  kind: 'l.kind = @kind',
  job: 'l.job_id = @job',
  customer: 'l.job_id IN (SELECT id FROM job WHERE customer = @customer)',
  fromDay: 'l.day BETWEEN @fromDay AND @toDay',
};

const CUSHION_PARTS: { readonly [Key in keyof LogSearch]?: string } = {
  cloth: '(c.job_id, c.position) IN (SELECT m.job_id, m.position FROM cushion_material m WHERE m.material = @cloth)',
  filling: '(c.job_id, c.position) IN (SELECT m.job_id, m.position FROM cushion_material m WHERE m.material = @filling)',
  school: 'c.school = @school',
  construction: 'c.construction = @construction',
  // A cushion is as wide one way as it is deep the other: both are looked at.
  widthMm: `((${near('c.width_mm', 'widthMm')} AND ${near('c.depth_mm', 'depthMm')}) OR (${near('c.depth_mm', 'widthMm')} AND ${near('c.width_mm', 'depthMm')}))`,
  heightMm: near('c.height_mm', 'heightMm'),
};

const asked = (parts: typeof PARTS, search: LogSearch): string[] =>
  Object.entries(parts).flatMap(([key, part]) => (search[key as keyof LogSearch] === null ? [] : [part]));

/** The condition of a search. An entry about a cushion is found by that one, an entry about a job by any of its cushions. */
function where(search: LogSearch): string {
  const ofCushion = asked(CUSHION_PARTS, search);
  const cushions = ofCushion.join(' AND ');
  const parts = [
    ...asked(PARTS, search),
    ...(ofCushion.length
      ? [
          `l.job_id IN (SELECT c.job_id FROM cushion c WHERE ${cushions})`,
          `(l.cushion IS NULL OR EXISTS (SELECT 1 FROM cushion c WHERE c.job_id = l.job_id AND c.position = l.cushion AND ${cushions}))`,
        ]
      : []),
  ];
  return parts.length ? `WHERE ${parts.join(' AND ')}` : '';
}

const COLUMNS = `l.id, l.revision, l.day, l.kind, l.about, l.job_id, l.cushion_name, l.subject, l.who, l.text, l.document, l.written_by,
  j.name AS job_name, j.customer, j.archived,
  coalesce(
    (SELECT c.position FROM cushion c WHERE c.job_id = l.job_id AND c.position = l.cushion AND c.name = l.cushion_name),
    (SELECT min(c.position) FROM cushion c WHERE c.job_id = l.job_id AND c.name = l.cushion_name)
  ) AS position`;

/** So many statements of searches are kept prepared: one for each set of things asked for. */
const KEPT = 200;

/** The statements about the log. Those of searches are made as they are asked for, and kept. */
export function logStatements(db: Database) {
  const searches = new Map<string, ReturnType<typeof prepareSearch>>();
  const prepareSearch = (condition: string) => {
    // Few are picked out by what they are asked for and then put in order; many are come by soonest in their order.
    const page = (order: '' | 'INDEXED BY log_in_order') =>
      db.prepare<[LogSearch], EntryRow>(`
      SELECT ${COLUMNS} FROM (SELECT l.row AS page_row FROM log l ${order} ${condition} ORDER BY l.day DESC, l.row DESC LIMIT @limit OFFSET @from)
      JOIN log l ON l.row = page_row LEFT JOIN job j ON j.id = l.job_id ORDER BY l.day DESC, l.row DESC`);
    const counted = condition ? `(SELECT 1 FROM log l ${condition} LIMIT ${MOST_COUNTED + 1})` : 'log';
    return {
      few: page(''),
      many: page('INDEXED BY log_in_order'),
      count: db.prepare<[LogSearch], { total: number }>(`SELECT count(*) AS total FROM ${counted}`),
      onlyWords: condition === `WHERE ${PARTS.match}`,
    };
  };
  return {
    search(search: LogSearch) {
      const condition = where(search);
      const known = searches.get(condition) ?? prepareSearch(condition);
      if (searches.size >= KEPT) searches.clear();
      searches.set(condition, known);
      return known;
    },
    // Stops at so many: a word that stands everywhere is not looked up to its end only to be counted.
    worded: db.prepare<[string], { total: number }>(
      `SELECT count(*) AS total FROM (SELECT 1 FROM log_search WHERE log_search MATCH ? LIMIT ${MOST_COUNTED + 1})`,
    ),
    read: db.prepare<[string], EntryRow>(`SELECT ${COLUMNS} FROM log l LEFT JOIN job j ON j.id = l.job_id WHERE l.id = ?`),
    customers: db.prepare<[], { customer: string }>("SELECT DISTINCT customer FROM job WHERE customer <> '' ORDER BY customer LIMIT 5000"),
    days: db.prepare<[], { first: string | null; last: string | null }>('SELECT min(day) AS first, max(day) AS last FROM log'),
    put: db.prepare(`
      INSERT INTO log (id, revision, day, kind, about, job_id, cushion, cushion_name, subject, who, text, document, written_by, created_at)
      VALUES (@id, @revision, @day, @kind, @about, @jobId, @cushion, @cushionName, @subject, @who, @text, @document, @writtenBy, @now)
      ON CONFLICT (id) DO UPDATE SET revision = excluded.revision, day = excluded.day, kind = excluded.kind, about = excluded.about, job_id = excluded.job_id,
        cushion = excluded.cushion, cushion_name = excluded.cushion_name, subject = excluded.subject, who = excluded.who, text = excluded.text,
        document = excluded.document`),
    drop: db.prepare<[string]>('DELETE FROM log WHERE id = ?'),
    writtenOf: db.prepare<[string], { id: string; written_by: string; day: string; cushion_name: string | null; text: string; document: string }>(
      "SELECT id, written_by, day, cushion_name, text, document FROM log WHERE coalesce(job_id, '') = ? AND written_by IS NOT NULL",
    ),
    checked: db.prepare<[number], { id: string; document: string }>(`
      SELECT j.id, s.document FROM (SELECT DISTINCT job_id FROM log WHERE written_by LIKE 'check:%') l
      JOIN job j ON j.id = l.job_id JOIN job_step s ON s.job_id = j.id AND s.step = j.step ORDER BY j.updated_at DESC LIMIT ?`),
    jobExists: db.prepare<[string], { found: number }>('SELECT 1 AS found FROM job WHERE id = ?'),
  };
}
