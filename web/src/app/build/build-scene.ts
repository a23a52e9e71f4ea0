import {
  contour,
  distance,
  flatten,
  HEIGHT_WORDS,
  heightAt,
  sectionOf,
  type CushionPlan,
  type Outline,
  type Point,
  type SayIn,
  type Shop,
  formatLengthUnit,
} from '@yardland/core';
import { outlineItems, planDimensions, plateItems } from '../shared/table/cushion-scene';
import { shapeDimensions } from '../shared/table/shape-dimensions';
import type { Scene, SceneItem } from '../shared/table/scene';
import { sectionItems } from '../shared/table/section';

/** Plan and section of a cushion as it is built: cut plate and core over each other, and the stack in its cover below. */
export function buildScene(one: CushionPlan, shop: Shop, inWords: SayIn, fit: string): Scene {
  if (one.state !== 'planned') return { title: 'Build', fit, items: [] };
  const { sizes } = one;
  // A domed top plate tells more than the flat one under it.
  const plate = one.cover.pieces.filter((piece) => piece.role === 'plate').at(sizes.slope ? 0 : -1);
  const { width, depth } = sizes.finished;
  const { slope, seam } = sizes;
  const section = sectionOf(one, shop, inWords);
  const { widthMm } = section;
  // The section lies below the plan, clear of the plan's own dimension line.
  const sectionY = -(Math.max(width.value, depth.value, widthMm) * 0.46 + section.heightMm + section.overMm);
  // The height on the drawing is the one that is entered: of the size that was given.
  const given = one.source.given === 'seat' ? 'finished' : one.source.given;
  const [thick, thin] = [sizes[given].height.value, slope?.[given].value ?? sizes[given].height.value];
  const ends = slope?.end === 'front' ? [thin, thick] : [thick, thin];
  const heightName = HEIGHT_WORDS[one.source.given];
  const items: SceneItem[] = [
    ...(plate ? plateItems(plate, seam.value) : []),
    ...outlineItems(one, ['core']),
    { kind: 'area', key: 'sewn-over', shape: one.outlines.sewn, look: 'sew' },
    ...(one.source.given === 'finished' ? shapeDimensions(one) : planDimensions(one, 'finished')),
    ...sectionItems(section, { x: 0, y: sectionY }),
    one.profile.kind === 'body'
      ? {
          kind: 'dim',
          key: 'heightMm',
          name: heightName,
          side: 'below',
          away: 30,
          from: { x: 0, y: sectionY },
          to: { x: widthMm, y: sectionY },
          mm: thick,
          edit: { minMm: 5, maxMm: 1000 },
        }
      : {
          kind: 'dim',
          key: slope?.end === 'front' ? 'thinMm' : 'heightMm',
          name: slope ? `${heightName}, front` : heightName,
          side: 'left',
          away: 28,
          from: { x: 0, y: sectionY },
          to: { x: 0, y: sectionY + (ends[0] ?? 0) },
          mm: ends[0] ?? 0,
          edit: { minMm: 5, maxMm: 1000 },
        },
    ...(slope
      ? [
          {
            kind: 'dim' as const,
            key: slope.end === 'front' ? 'heightMm' : 'thinMm',
            name: `${heightName}, back`,
            side: 'right' as const,
            away: 34,
            from: { x: widthMm, y: sectionY + (ends[1] ?? 0) },
            to: { x: widthMm, y: sectionY },
            mm: ends[1] ?? 0,
            edit: { minMm: 5, maxMm: 1000 },
          },
        ]
      : []),
    { kind: 'note', key: 'plan-words', at: { x: -seam.value, y: depth.value + seam.value }, dy: -12, text: 'Plan', look: 'head' },
    {
      kind: 'note',
      key: 'section-words',
      at: { x: 0, y: sectionY - section.underMm },
      dy: one.profile.kind === 'body' ? 72 : 56,
      text: `Section, ${section.way}`,
      look: 'head',
    },
  ];
  return { title: `Build of ${one.source.name}, plan and section`, fit, room: { left: 84, right: slope ? 180 : 158, top: 84, bottom: 66 }, items };
}

/** Heights, as shares of the crown, at which the surface is cut level on the drawing. */
const LEVELS = [0.15, 0.3, 0.45, 0.6, 0.75, 0.9];
const PROFILE_POINTS = 120;

/** The line whose profile is drawn: anywhere across the plate. */
export interface ProfileLine {
  readonly from: Point;
  readonly to: Point;
}

/** From side to side through the highest point: what the profile starts as. */
export function firstProfile(one: CushionPlan): ProfileLine {
  const { width, depth } = one.sizes?.sewn ?? { width: { value: 500 }, depth: { value: 400 } };
  const y = one.crown?.answer?.top.y ?? depth.value / 2;
  return { from: { x: 0, y }, to: { x: width.value, y } };
}

/** The place of an outline nearest to a point. */
function nearestOn(outline: Outline, p: Point): Point {
  return flatten(outline, 1).reduce((best, q) => (distance(q, p) < distance(best, p) ? q : best));
}

/** The crown from above: level lines, pads, the flat plate and the domed one over each other; below it the profile along a line that can be dragged. */
export function crownScene(one: CushionPlan, line: ProfileLine, inWords: SayIn, fit: string): Scene {
  const { sizes, crown, source } = one;
  const flat = crown?.request.outline;
  if (!sizes || !crown || !flat || !source.crown) return { title: 'Crown', fit, items: [] };
  const words = (mm: number): string => formatLengthUnit(mm, inWords.units, inWords.step);
  const title = `Crown of ${source.name} from above, and its profile`;
  const room = { left: 60, right: 158, top: 58, bottom: 30 };
  const { answer } = crown;
  if (!answer) return { title, fit, room, items: [{ kind: 'area', key: 'flat', shape: flat, look: 'sew' }] };
  const { surface } = answer;
  const depth = sizes.slope?.slant.value ?? sizes.sewn.depth.value;
  const wide = sizes.sewn.width.value;
  const length = Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y) || 1;
  // The profile is drawn as high as it is, and three times as high beside it, so that a low crown can still be read.
  const heights = Array.from({ length: PROFILE_POINTS + 1 }, (_, i) => {
    const t = i / PROFILE_POINTS;
    const at = { x: line.from.x + (line.to.x - line.from.x) * t, y: line.from.y + (line.to.y - line.from.y) * t };
    return { along: length * t, mm: heightAt(surface, at) * crown.request.crownMm };
  });
  const highest = Math.max(...heights.map(({ mm }) => mm));
  const baseY = -(depth * 0.28 + crown.request.crownMm * 3);
  const profile = (times: number): Point[] => heights.map(({ along, mm }) => ({ x: along, y: baseY + mm * times }));
  const domed = source.crown.way === 'bow';
  const items: SceneItem[] = [
    ...(domed ? [{ kind: 'area' as const, key: 'bowed', shape: answer.bowed, look: 'cut' as const }] : []),
    { kind: 'area', key: 'flat', shape: flat, look: 'sew' },
    ...LEVELS.map((share): SceneItem => ({
      kind: 'area',
      key: `level-${share}`,
      shape: contour(surface.values, surface.columns, surface.rows, share).map(({ x, y }) => ({
        x: surface.x0 + x * surface.step,
        y: surface.y0 + y * surface.step,
      })),
      look: 'crown',
    })),
    ...answer.pads.map((pad, i): SceneItem => ({ kind: 'area', key: `pad-${i}`, shape: pad.outline, look: 'bound' })),
    ...answer.pads.map((pad, i): SceneItem => {
      // Named at its right, each a little higher than the one inside it.
      const right = pad.outline.segments.reduce((best, { from }) => (from.x > best.x ? from : best), { x: -Infinity, y: 0 });
      const at = { x: right.x, y: right.y + (answer.pads.length - i) * depth * 0.09 };
      return { kind: 'leader', key: `pad-words-${i}`, at: nearestOn(pad.outline, at), toX: wide, text: `pad ${i + 1}, at ${words(pad.heightMm)}` };
    }),
    { kind: 'area', key: 'line', shape: [line.from, line.to], open: true, look: 'fold' },
    { kind: 'knob', key: 'profile-from', at: line.from, name: 'One end of the profile line', look: 'mark', stepMm: 10 },
    { kind: 'knob', key: 'profile-to', at: line.to, name: 'Other end of the profile line', look: 'mark', stepMm: 10 },
    { kind: 'area', key: 'ground', shape: [profile(0)[0] as Point, profile(0).at(-1) as Point], open: true, look: 'sew' },
    { kind: 'area', key: 'profile-high', shape: profile(3), open: true, look: 'crown' },
    { kind: 'area', key: 'profile', shape: profile(1), open: true, look: 'cut' },
    { kind: 'leader', key: 'profile-words', at: { x: length * 0.5, y: baseY + highest }, toX: length, text: `${words(highest)} high here` },
    { kind: 'leader', key: 'profile-high-words', at: { x: length * 0.62, y: baseY + highest * 2.7 }, toX: length, text: 'three times as high' },
    {
      kind: 'note',
      key: 'plan-words',
      at: { x: 0, y: depth },
      dy: -14,
      text: 'From above',
      look: 'head',
    },
    { kind: 'note', key: 'profile-head', at: { x: 0, y: baseY + highest * 3 }, dy: -12, text: 'Profile along the dragged line', look: 'head' },
  ];
  return { title, fit, room, items };
}
