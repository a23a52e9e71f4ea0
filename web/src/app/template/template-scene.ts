import {
  asymmetry,
  buttonAt,
  flatten,
  inArcs,
  outlineBounds,
  outlineOf,
  pointOn,
  segmentLength,
  shapeOf,
  stationAt,
  tieAlong,
  tieDistance,
  type CushionPlan,
  type Outline,
  type Point,
  type Segment,
} from '@yardland/core';
import { outlineItems, templateOrigin } from '../shared/table/cushion-scene';
import { shapeDimensions } from '../shared/table/shape-dimensions';
import { shifted, type Scene, type SceneItem } from '../shared/table/scene';

/** A fold line, and the words front and centre, for an outline. */
function guides(outline: Outline): SceneItem[] {
  const { minX, minY, maxX, maxY } = outlineBounds(outline);
  const x = (minX + maxX) / 2;
  return [
    {
      kind: 'area',
      key: 'centre',
      shape: [
        { x, y: minY - 12 },
        { x, y: maxY + 12 },
      ],
      open: true,
      look: 'fold',
    },
    { kind: 'note', key: 'front', at: { x: minX + (maxX - minX) * 0.25, y: minY }, dy: 22, text: 'front', anchor: 'middle', look: 'small' },
    { kind: 'note', key: 'centre-words', at: { x, y: minY + (maxY - minY) * 0.25 }, dx: 8, text: 'centre', look: 'small' },
  ];
}

/** Grips for the width and depth of shapes that are measured so. */
function grips(one: CushionPlan, outline: Outline): SceneItem[] {
  const { template } = one.source;
  const { minX, minY, maxX, maxY } = outlineBounds(outline);
  // On the outline itself: where it reaches furthest, in the middle of that stretch.
  const points = flatten(outline, 0.5);
  const middle = (values: readonly number[]): number => (Math.min(...values) + Math.max(...values)) / 2;
  const right = { x: maxX, y: middle(points.filter((p) => p.x > maxX - 0.6).map((p) => p.y)) };
  const back = { x: middle(points.filter((p) => p.y > maxY - 0.6).map((p) => p.x)), y: maxY };
  const has = (key: string): boolean => shapeOf(template).measures.some((measure) => measure.key === key);
  const grip = (key: string, axis: 'x' | 'y', at: Point, mm: number, name: string): SceneItem => ({
    kind: 'handle',
    key,
    axis,
    at,
    mm,
    perMm: 2,
    minMm: 20,
    maxMm: 20_000,
    name,
  });
  return [
    ...(has('widthMm') ? [grip('widthMm', 'x', right, maxX - minX, 'Drag the width')] : []),
    ...(has('diameterMm') ? [grip('diameterMm', 'x', right, maxX - minX, 'Drag the width')] : []),
    ...(has('depthMm') && template.shape !== 'half-round' && template.shape !== 'ring-sector'
      ? [grip('depthMm', 'y', back, maxY - minY, 'Drag the depth')]
      : []),
  ];
}

const ROOM = { top: 84, bottom: 92, right: 150, left: 110 };

/** The template with the other sizes over it, its measures to type over and its grips. */
export function measuresScene(one: CushionPlan, fit: string): Scene {
  const given = one.outlines?.[one.source.given];
  if (!given) return { title: 'Template', fit, items: [] };
  const plate = one.pieces.find((piece) => piece.role === 'plate');
  return {
    title: `Template of ${one.source.name}, seen from above`,
    fit,
    room: ROOM,
    items: [
      ...(plate ? [{ kind: 'area' as const, key: 'outline-cut', shape: plate.outline, look: 'cut' as const }] : []),
      ...outlineItems(one, ['core', 'finished', 'seat']),
      ...guides(given),
      ...shapeDimensions(one),
      ...grips(one, given),
    ],
  };
}

/** A length in the job's units. */
type Words = (mm: number) => string;

const placeWords = (acrossMm: number, deepMm: number, words: Words): string => `${words(acrossMm)} from the left, ${words(deepMm)} from the front`;

/** The template's own outline with every point, handle and bulge to take hold of. Keys: `point-3`, `c1-3`, `c2-3`, `middle-3`, by segment. */
export function pointsScene(one: CushionPlan, fit: string, picked: number, words: Words): Scene {
  const given = one.outlines?.[one.source.given];
  if (!given) return { title: 'Template', fit, items: [] };
  const { outline } = outlineOf(one.source.template);
  const origin = templateOrigin(one);
  const at = (p: Point): Point => ({ x: p.x + origin.x, y: p.y + origin.y });
  const { segments } = outline;
  const { minX, minY } = outlineBounds(outline);
  const place = (p: Point): string => placeWords(p.x - minX, p.y - minY, words);
  const long = (segment: Segment): string => words(segmentLength(segment));
  const knobs = segments.flatMap((segment, i): SceneItem[] => {
    const middle = pointOn(segment, segmentLength(segment) / 2);
    const handles: SceneItem[] =
      segment.kind === 'cubic'
        ? (['c1', 'c2'] as const).flatMap((key, k): SceneItem[] => [
            { kind: 'area', key: `${key}-line-${i}`, shape: [at(k ? segment.to : segment.from), at(segment[key])], open: true, look: 'bound' },
            {
              kind: 'knob',
              key: `${key}-${i}`,
              at: at(segment[key]),
              name: `Handle ${k + 1} of side ${i + 1}`,
              place: `${place(segment[key])}, side ${long(segment)} long`,
              look: 'control',
            },
          ])
        : [
            {
              kind: 'knob',
              key: `middle-${i}`,
              at: at(middle),
              name: `Bulge of side ${i + 1}, ${sideWords(segment)}`,
              place: `${place(middle)}, side ${long(segment)} long`,
              look: 'smooth',
              picked: i === picked,
            },
          ];
    const before = segments.at(i - 1) ?? segment;
    const sides = `sides ${long(before)} and ${long(segment)} long`;
    const corner = { kind: 'knob' as const, at: at(segment.from), name: `Point ${i + 1}`, place: `${place(segment.from)}, ${sides}` };
    return [...handles, { ...corner, key: `point-${i}`, look: 'corner', picked: i === picked }];
  });
  const chosen = segments[picked];
  return {
    title: `The outline of ${one.source.name} by its points`,
    fit,
    room: ROOM,
    items: [
      ...outlineItems(one, ['core', 'finished', 'seat']),
      ...guides(given),
      ...(chosen
        ? [
            {
              kind: 'area' as const,
              key: 'picked',
              shape: [...shifted({ segments: inArcs({ segments: [chosen] }).segments }, origin.x, origin.y), at(chosen.to)],
              open: true,
              // A thick line: a lit area would be filled across to its chord.
              look: 'cord' as const,
            },
          ]
        : []),
      ...knobs,
    ],
  };
}

export function sideWords(segment: Segment): string {
  return { line: 'straight', arc: 'an arc', cubic: 'a curve' }[segment.kind];
}

/** The seam line with its ties and buttons to drag. Keys: `mark-0`. */
export function marksScene(one: CushionPlan, fit: string, picked: number, words: Words): Scene {
  const sewn = one.outlines?.sewn;
  if (!sewn) return { title: 'Template', fit, items: [] };
  const { minX, minY } = outlineBounds(sewn);
  const knobs = (one.source.marks ?? []).flatMap((mark, i): SceneItem[] => {
    const along = mark.kind === 'tie' ? tieAlong(sewn, mark) : null;
    const at = mark.kind === 'button' ? buttonAt(sewn, mark) : along === null ? null : stationAt(sewn, along).at;
    const name = mark.kind === 'tie' ? `Tie ${i + 1}, ${mark.edge}` : `Button ${i + 1}`;
    const from = mark.kind === 'tie' ? tieDistance(sewn, mark) : null;
    const place = from ? `${words(from.mm)} of ${words(from.ofMm)} along it` : at ? placeWords(at.x - minX, at.y - minY, words) : '';
    return at ? [{ kind: 'knob', key: `mark-${i}`, at, name, place, look: mark.kind === 'tie' ? 'mark' : 'smooth', picked: i === picked }] : [];
  });
  return {
    title: `Ties and buttons of ${one.source.name}`,
    fit,
    room: ROOM,
    items: [{ kind: 'area', key: 'sewn', shape: sewn, look: 'sew' }, ...guides(sewn), ...knobs],
  };
}

/** Both halves over each other, and the place where they differ most. */
export function evenScene(one: CushionPlan, fit: string, folded: Outline | null, words: Words): Scene {
  const given = one.outlines?.[one.source.given];
  if (!given) return { title: 'Template', fit, items: [] };
  const { worstMm, at } = asymmetry(given);
  return {
    title: `The two halves of ${one.source.name} over each other`,
    fit,
    room: ROOM,
    items: [
      { kind: 'area', key: 'outline', shape: given, look: one.source.given === 'sewn' ? 'sew' : one.source.given },
      ...(folded ? [{ kind: 'area' as const, key: 'folded', shape: folded, look: 'sew' as const }] : []),
      ...guides(given),
      ...(worstMm > 0.05
        ? [
            { kind: 'area' as const, key: 'worst', shape: ring(at, 14), look: 'cut' as const },
            { kind: 'note' as const, key: 'worst-words', at, dx: 18, dy: -16, text: `${words(worstMm)} apart here`, look: 'head' as const },
          ]
        : []),
    ],
  };
}

const ring = (at: Point, radius: number): Point[] =>
  Array.from({ length: 32 }, (_, i) => ({ x: at.x + radius * Math.cos((i * Math.PI) / 16), y: at.y + radius * Math.sin((i * Math.PI) / 16) }));
