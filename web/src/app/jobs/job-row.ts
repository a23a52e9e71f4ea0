import type { JobSummary } from '@yardland/core';
import { dayWords, daysUntil } from '../shared/days';
import { jobStateWords } from './state-words';

/** One cushion of a job as it is drawn in the list. */
export interface Shape {
  readonly path: string;
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
const MOST_SCALE = 0.05;
const MOST_ACROSS_PX = 180;

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

/** The outlines of a job's first cushions, to one scale; a cushion that has none yet is drawn as its box. */
function shapesOf(job: JobSummary): Shape[] {
  const drawn = job.outlines.filter(({ widthMm, depthMm }) => widthMm > 0 && depthMm > 0);
  const shown = drawn.slice(0, MOST_SHAPES);
  const across = shown.reduce((sum, { widthMm }) => sum + widthMm, 0);
  const scale = Math.min(MOST_SCALE, MOST_ACROSS_PX / across, ...shown.map(({ widthMm, depthMm }) => Math.min(72 / widthMm, 34 / depthMm)));
  return shown.map(({ widthMm, depthMm, quantity, outline }) => {
    const box: [number, number][] = [
      [0, 0],
      [widthMm, 0],
      [widthMm, depthMm],
      [0, depthMm],
    ];
    // The back is up: y grows towards it.
    const points = (outline ?? box).map(([x, y]) => `${(1.5 + x * scale).toFixed(1)} ${(1.5 + (depthMm - y) * scale).toFixed(1)}`);
    return { width: widthMm * scale + 3, height: depthMm * scale + 3, quantity, path: `M${points.join('L')}z` };
  });
}
