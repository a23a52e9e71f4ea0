import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { PER_MM } from './hpgl';
import { escaped, figure, oneLine } from './outline-file';

/** A whole lay at full size: the material's edge and the pieces as they lie, millimetres, x along. Sheets stand one after another along x. */
export interface LayDrawing {
  readonly title: string;
  readonly material: readonly (readonly Point[])[];
  readonly pieces: readonly { readonly words: string; readonly polygon: readonly Point[] }[];
}

/** A file format of whole lays. */
export interface LayFormat {
  readonly ending: string;
  readonly write: (lay: LayDrawing) => string;
}

const middleOf = (polygon: readonly Point[]): Point => {
  const box = bounds(polygon);
  return { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
};

/** DXF: the material's edge on the layer MATERIAL, pieces on CUT as closed polylines, their names on TEXT; in millimetres. */
const dxf: LayFormat = {
  ending: 'dxf',
  write: ({ material, pieces }) => {
    const closed = (points: readonly Point[], layer: string): string =>
      `0\nLWPOLYLINE\n100\nAcDbEntity\n8\n${layer}\n100\nAcDbPolyline\n90\n${points.length}\n70\n1\n${points.map((p) => `10\n${figure(p.x)}\n20\n${figure(p.y)}\n`).join('')}`;
    return [
      '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n',
      ...material.map((ring) => closed(ring, 'MATERIAL')),
      ...pieces.map(({ polygon, words }) => {
        const at = middleOf(polygon);
        return `${closed(polygon, 'CUT')}0\nTEXT\n8\nTEXT\n10\n${figure(at.x)}\n20\n${figure(at.y)}\n40\n12\n1\n${oneLine(words)}\n`;
      }),
      '0\nENDSEC\n0\nEOF\n',
    ].join('');
  },
};

/** SVG in millimetres: the material's edge, each piece a path with its name as title and as words on it. */
const svg: LayFormat = {
  ending: 'svg',
  write: ({ title, material, pieces }) => {
    const box = bounds([...material.flat(), ...pieces.flatMap(({ polygon }) => polygon)]);
    const room = 10;
    const view = [box.minX - room, -box.maxY - room, box.maxX - box.minX + 2 * room, box.maxY - box.minY + 2 * room].map(figure);
    const path = (ring: readonly Point[]): string => `M${ring.map((p) => `${figure(p.x)} ${figure(-p.y)}`).join('L')}Z`;
    const lines = pieces.map(({ polygon, words }) => {
      const at = middleOf(polygon);
      return `  <path class="cut" d="${path(polygon)}" fill="none" stroke="#a92f26" stroke-width="0.5"><title>${escaped(words)}</title></path>
  <text x="${figure(at.x)}" y="${figure(-at.y)}" font-size="14" text-anchor="middle" fill="#26303a">${escaped(words)}</text>`;
    });
    return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${view[2]}mm" height="${view[3]}mm" viewBox="${view.join(' ')}">
  <title>${escaped(title)}</title>
${material.map((ring) => `  <path class="material" d="${path(ring)}" fill="none" stroke="#26303a" stroke-width="0.5" stroke-dasharray="8 4"/>`).join('\n')}
${lines.join('\n')}
</svg>
`;
  },
};

/** HP-GL: the material's edge with pen 2, the pieces with pen 1 in the order they are given, full size. */
const hpgl: LayFormat = {
  ending: 'plt',
  write: ({ material, pieces }) => {
    const at = ({ x, y }: Point): string => `${Math.round(x * PER_MM)},${Math.round(y * PER_MM)}`;
    const round = (ring: readonly Point[]): string =>
      `PU${at(ring[0] ?? { x: 0, y: 0 })};PD${[...ring.slice(1), ring[0] ?? { x: 0, y: 0 }].map(at).join(',')};PU;`;
    return `IN;SP2;${material.map(round).join('')}SP1;${pieces.map(({ polygon }) => round(polygon)).join('')}SP0;\n`;
  },
};

/** The formats a whole lay is saved in. */
export const LAY_FORMATS: readonly LayFormat[] = [dxf, svg, hpgl];
