import { closedLines, flatten, lotsBefore, materialsOf, outlineOf, shapeOf, writtenBy, type Job, type Point, type WrittenEntry } from '@yardland/core';

/** A cushion as the list of jobs shows it. */
export interface CushionRow {
  readonly name: string;
  readonly quantity: number;
  readonly shape: string;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  readonly school: string;
  /** JSON; null where the template's measures make none. */
  readonly outline: string | null;
  readonly lines: string | null;
  readonly construction: string;
  /** Ids of the foams, cloths and waddings that it names. */
  readonly materials: readonly string[];
}

/** A job as the database takes it: its text, and beside it what the list shows and looks through, so that nobody has to read the text for that. */
export interface PreparedJob {
  readonly document: string;
  readonly name: string;
  readonly customer: string;
  readonly state: string;
  readonly dueDate: string | null;
  readonly words: string;
  /** The shop's remnants that are set aside for it; none once it is delivered. */
  readonly remnants: readonly string[];
  readonly cushions: readonly CushionRow[];
  /** What it writes itself into the shop's log. */
  readonly entries: readonly WrittenEntry[];
}

/** Chords of the small outline run this near to its curves, mm; a drawing of so many points at most. */
const SMALL_MM = 6;
const SMALL_POINTS = 96;

/** The outline for a list's small drawing: whole millimetres, flattened roughly; of one with very many corners every so many. */
function smallOutline({ template }: Job['cushions'][number]): readonly (readonly [number, number])[] {
  const all = flatten(outlineOf(template).outline, SMALL_MM);
  const each = Math.ceil(all.length / SMALL_POINTS);
  const points: readonly Point[] = each > 1 ? all.filter((_, i) => i % each === 0) : all;
  const [minX, minY] = [Math.min(...points.map(({ x }) => x)), Math.min(...points.map(({ y }) => y))];
  return points.map(({ x, y }) => [Math.round(x - minX), Math.round(y - minY)] as const);
}

function rowOf(cushion: Job['cushions'][number], job: Job): CushionRow {
  // A template that cannot be is kept as it was written, and listed without a size.
  const cannotBe = shapeOf(cushion.template).check(cushion.template).length > 0;
  const { acrossMm, deepMm } = cannotBe ? { acrossMm: 0, deepMm: 0 } : outlineOf(cushion.template);
  const { name, quantity, heightMm, school } = cushion;
  return {
    name,
    quantity,
    shape: cushion.template.shape,
    widthMm: acrossMm,
    depthMm: deepMm,
    heightMm,
    school,
    outline: cannotBe ? null : JSON.stringify(smallOutline(cushion)),
    lines: cannotBe ? null : JSON.stringify(closedLines(cushion, acrossMm)),
    construction: cushion.construction.kind,
    materials: materialsOf(job, cushion),
  };
}

/** What the database takes of a job. */
export function prepared(job: Job): PreparedJob {
  return {
    document: JSON.stringify(job),
    name: job.name,
    customer: job.customer ?? '',
    state: job.state ?? 'new',
    dueDate: job.dueDate ?? null,
    remnants: job.state === 'delivered' ? [] : (job.remnants ?? []),
    words: [job.name, job.customer ?? '', ...job.cushions.map(({ name }) => name)].join('\n'),
    cushions: job.cushions.map((cushion) => rowOf(cushion, job)),
    entries: writtenBy(job),
  };
}

/** A job as it is made once more: nothing of what was done to the first, nor what can be cut or sewn in once only. */
export function again(job: Job): Job {
  const cushions = job.cushions.map(({ bench: _bench, checks: _checks, madeForZip: _zip, ...cushion }) => cushion);
  // A remnant can be cut once only, and a salvaged zip sewn in once: they stay with the job that has them.
  const { dueDate: _dueDate, remnants: _remnants, zips: _zips, delivered: _delivered, ...rest } = job;
  return { ...rest, ...lotsBefore(job), name: `${job.name.slice(0, 113)}, again`, state: 'new', cushions };
}
