import { drawRough, type ClosedLines, type JobSummary, type RoughDrawing, type StrokeKind } from '@yardland/core';
import { dayWords, daysUntil } from '../shared/words/days';
import { jobStateWords } from '../job/state-words';

/** One stroke of a drawing as a path. */
interface Line {
  readonly kind: StrokeKind;
  readonly path: string;
}

/** One cushion of a job as it is drawn in the list. */
export interface Shape {
  readonly lines: readonly Line[];
  readonly width: number;
  readonly height: number;
  readonly quantity: number;
}

/** A job as the list shows it. */
export interface JobRow extends JobSummary {
  readonly stateWords: string;
  readonly dueWords: string;
  /** How far off its day is; empty when that does not matter any more. */
  readonly away: string;
  readonly late: boolean;
  readonly shapes: readonly Shape[];
  /** Cushions that are not drawn. */
  readonly more: number;
}

/** Cushions of a job that are drawn in the list; how many more there are is said. */
const MOST_SHAPES = 5;
/** Pixels a millimetre, and all shapes of a row together: the column has no more on a tablet. */
const MOST_SCALE = 0.06;
const MOST_ACROSS_PX = 190;
/** One of them. */
const MOST_WIDE_PX = 76;
const MOST_HIGH_PX = 42;
/** Room for the thickness of its lines. */
const EDGE_PX = 1.5;

/** A job in the list's words. */
export function jobRow(job: JobSummary): JobRow {
  const days = job.dueDate === null ? null : daysUntil(job.dueDate);
  const done = job.state === 'ready' || job.state === 'delivered';
  return {
    ...job,
    stateWords: jobStateWords[job.state],
    dueWords: job.dueDate === null ? 'no date' : dayWords(job.dueDate),
    away: days === null || done ? '' : awayWords(days),
    late: days !== null && days < 0 && !done,
    shapes: shapesOf(job),
    more: Math.max(0, job.cushions - MOST_SHAPES),
  };
}

function awayWords(days: number): string {
  if (days === 0) return 'today';
  const many = `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`;
  return days < 0 ? `${many} late` : `in ${many}`;
}

/** A flat face, for a cushion whose construction is not known yet. */
const PLAIN: ClosedLines = { top: 'seam', bottom: 'seam', corners: false, softFront: false };

/** The first cushions of a job, closed, to one scale; a cushion that has no outline yet is drawn as its box. */
function shapesOf(job: JobSummary): Shape[] {
  const drawn = job.outlines
    .filter(({ widthMm, depthMm }) => widthMm > 0 && depthMm > 0)
    .slice(0, MOST_SHAPES)
    .map(({ widthMm, depthMm, heightMm, quantity, outline, lines }) => {
      const box: [number, number][] = [
        [0, 0],
        [widthMm, 0],
        [widthMm, depthMm],
        [0, depthMm],
      ];
      const rim = (outline ?? box).map(([x, y]) => ({ x, y }));
      return { quantity, drawing: drawRough({ rim, heightMm: lines ? heightMm : 0, lines: lines ?? PLAIN }) };
    });
  const wide = ({ minX, maxX }: RoughDrawing): number => maxX - minX;
  const high = ({ minY, maxY }: RoughDrawing): number => maxY - minY;
  const across = drawn.reduce((sum, { drawing }) => sum + wide(drawing), 0);
  const scale = Math.min(
    MOST_SCALE,
    MOST_ACROSS_PX / across,
    ...drawn.map(({ drawing }) => Math.min(MOST_WIDE_PX / wide(drawing), MOST_HIGH_PX / high(drawing))),
  );
  return drawn.map(({ quantity, drawing }) => ({
    quantity,
    width: wide(drawing) * scale + 2 * EDGE_PX,
    height: high(drawing) * scale + 2 * EDGE_PX,
    lines: linesOf(drawing, scale, EDGE_PX - drawing.minX * scale, EDGE_PX + drawing.maxY * scale),
  }));
}

/** The strokes of a drawing as paths, moved by dx and dy and scaled, y downwards, to a decimal of a pixel. */
function linesOf({ strokes }: RoughDrawing, scale: number, dx: number, dy: number): Line[] {
  return strokes.map(({ kind, points, closed }) => ({
    kind,
    path: `M${points.map(({ x, y }) => `${(dx + x * scale).toFixed(1)} ${(dy - y * scale).toFixed(1)}`).join('L')}${closed ? 'z' : ''}`,
  }));
}
