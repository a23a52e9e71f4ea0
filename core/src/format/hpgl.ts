import { flatten, type Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import type { Segment } from '../geometry/segment';
import type { OutlineFormat } from './outline-file';

/** Plotter units of HP-GL in a millimetre. */
export const PER_MM = 40;
/** Curves go as chords within half a plotter unit. */
const CHORD_MM = 0.0125;

const at = ({ x, y }: Point): string => `${Math.round(x * PER_MM)},${Math.round(y * PER_MM)}`;

function plotted(segment: Segment): string {
  if (segment.kind === 'line') return `PD${at(segment.to)};`;
  if (segment.kind === 'arc') return `PD;AA${at(segment.centre)},${((segment.sweep * 180) / Math.PI).toFixed(4)},1;PD${at(segment.to)};`;
  const chords = [...flatten({ segments: [segment] }, CHORD_MM).slice(1), segment.to];
  return `PD${chords.map(at).join(',')};`;
}

function write(outline: Outline): string {
  const [first] = outline.segments;
  return `IN;SP1;PU${at(first?.from ?? { x: 0, y: 0 })};${outline.segments.map(plotted).join('')}PU;SP0;\n`;
}

/** HP-GL for a plotter: pen 1 round the outline, full size, 40 units a millimetre. */
export const hpgl: OutlineFormat = { ending: 'plt', name: 'HP-GL for a plotter', write };
