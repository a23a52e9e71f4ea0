import { chordsOf, flatten, formatLength, knotsOn, wrapLies, type CushionPlan, type Point, type SayIn, type Shop } from '@yardland/core';
import { circle, layerLook } from './cushion-scene';
import type { SceneItem } from './scene';

export interface SectionPlace {
  readonly x: number;
  /** Level of the lower seam. */
  readonly y: number;
}

const ARC_POINTS = 48;

/** How high a face stands along the section, as a share of its crown: 0 at both edges, by share of the width. */
type Dome = (share: number) => number;
const parabola: Dome = (share) => 4 * share * (1 - share);

/** The crown's own surface along the line through its highest point, once it has been worked out; until then a parabola. */
function domeOf(one: CushionPlan, axis: 'x' | 'y'): Dome {
  const answer = one.crown?.answer;
  if (!answer) return parabola;
  const { surface, top } = answer;
  const [at, along] = axis === 'y' ? [top.y, top.x] : [top.x, top.y];
  const chord = chordsOf(flatten(one.crown.request.outline), axis, at).find(({ from, to }) => along >= from && along <= to);
  if (!chord) return parabola;
  const knots = knotsOn(surface, axis, at, chord);
  return (share) => {
    const x = chord.from + (chord.to - chord.from) * share;
    const i = knots.findIndex((knot) => knot.along >= x);
    const [before, after] = [knots[Math.max(0, i - 1)], knots[Math.max(0, i)]];
    if (!before || !after || after.along === before.along) return 0;
    return before.height + ((after.height - before.height) * (x - before.along)) / (after.along - before.along);
  };
}

/** A wedge is shown from front to back, everything else from left to right. */
export function sectionWay(one: CushionPlan): 'left to right' | 'front to back' {
  return one.sizes?.slope ? 'front to back' : 'left to right';
}

/** How wide the section is and how far it reaches over the upper seam and under the lower one, mm. */
export function sectionReach(one: CushionPlan): { readonly widthMm: number; readonly crownMm: number; readonly underMm: number } {
  const width = sectionWay(one) === 'front to back' ? one.sizes?.sewn.depth.value : one.sizes?.sewn.width.value;
  const crownMm = one.fit?.crownMm ?? one.source.crown?.mm ?? 0;
  const faces = one.fitRequest?.crownedFaces ?? 2;
  return { widthMm: width ?? 0, crownMm, underMm: faces === 2 ? crownMm : 0 };
}

/**
 * A cut through the middle: cover, wrap and layers to scale, the faces crowned as predicted, no load. Wrap is drawn as thick as it lies; foam that is
 * thicker than the cover fills it to the face.
 */
export function sectionItems(one: CushionPlan, place: SectionPlace, inWords: SayIn, shop: Shop): SceneItem[] {
  const { sizes, source } = one;
  if (!sizes) return [];
  const { widthMm: width, crownMm: crown, underMm: under } = sectionReach(one);
  const { slope } = sizes;
  // Clear of a second height written beside the thin edge.
  const wordsX = place.x + width * (slope ? 1.3 : 1);
  const thick = sizes.sewn.height.value;
  const [first, last] = slope ? (slope.end === 'back' ? [thick, slope.sewn.value] : [slope.sewn.value, thick]) : [thick, thick];
  const edge = (share: number): number => first + (last - first) * share;
  const dome = domeOf(one, slope ? 'x' : 'y');
  const wrapMm = one.wrap?.value ?? 0;
  const lies = wrapLies(one.wrapWay);
  const shares = Array.from({ length: ARC_POINTS + 1 }, (_, i) => i / ARC_POINTS);
  const row = (inset: number, height: (share: number) => number): Point[] =>
    shares.map((share) => {
      const at = inset + (width - 2 * inset) * share;
      return { x: at + place.x, y: height(at / width) + place.y };
    });
  const top = row(0, (share) => edge(share) + crown * dome(share));
  const bottom = row(0, (share) => -under * dome(share)).reverse();
  const side = wrapMm > 0 && lies.sides ? wrapMm / 3 : 0;
  const onFaces = wrapMm > 0 && lies.faces;
  // With a wrap the foam lies flat inside it; without one it is squeezed into the whole cover. Pads lie between the two.
  const bulge = onFaces ? 0 : 1;
  const padMm = source.crown?.pads ? Math.min(crown, source.crown.pads.count * source.crown.pads.loftMm) : 0;
  const total = source.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0) || thick;
  const words = (mm: number): string => formatLength(mm, inWords.units, inWords.step);
  const items: SceneItem[] = [{ kind: 'area', key: 'section-wrap', shape: [...top, ...bottom], look: wrapMm > 0 ? 'wrap' : 'foam' }];

  // The slope cuts through the stack from above: a layer ends where the core does.
  const level = (height: number): Point[] =>
    row(side, (share) => {
      const share0 = Math.min(height / thick, edge(share) / thick);
      return share0 * thick + bulge * dome(share) * (crown * share0 - under * (1 - share0));
    });
  let above = 1;
  source.core.layers.forEach((layer, i) => {
    const below = above - layer.thicknessMm / total;
    items.push({
      kind: 'area',
      key: `section-layer-${i}`,
      shape: [...level(above * thick), ...level(below * thick).reverse()],
      look: layerLook(shop.stock(layer.grade), i),
    });
    const at = slope?.end === 'back' ? 0.04 : 0.96;
    items.push({
      kind: 'leader',
      key: `section-words-${i}`,
      at: { x: place.x + width * at, y: place.y + edge(at) * ((above + below) / 2) },
      toX: wordsX,
      text: `${shop.stock(layer.grade)?.name ?? layer.grade}, ${words(layer.thicknessMm)}`,
    });
    above = below;
  });
  if (padMm > 0 && one.crown?.answer) {
    const pad = row(side, (share) => edge(share) + padMm * 0.55 * Math.max(0, dome(share) * 1.15 - 0.15));
    items.push({ kind: 'area', key: 'section-pads', shape: [...pad, ...level(thick).reverse()], look: 'felt' });
  }
  items.push({ kind: 'area', key: 'section-cover', shape: [...top, ...bottom], look: 'cover' });
  const leader = (key: string, share: number, y: number, text: string): SceneItem => ({
    kind: 'leader',
    key,
    at: { x: place.x + width * share, y: place.y + y },
    toX: wordsX,
    text,
  });
  if (crown > 0) items.push(leader('section-crown', 0.7, edge(0.7) + crown * dome(0.7), `crown ${words(crown)} ${under > 0 ? 'a face' : 'on top'}`));
  if (onFaces) items.push(leader('section-wrap-words', 0.8, under > 0 ? -under * 0.3 : wrapMm / 8, `wrap ${words(wrapMm)}`));
  else if (side > 0) items.push(leader('section-wrap-words', 0.995, thick * 0.3, `wrap round the edges ${words(wrapMm)}`));
  if (source.construction.edge === 'welt') {
    const radius = Math.max(4, (source.construction.cordMm ?? 5) * 0.8);
    for (const [i, at] of [0, 1, 2, 3].entries()) {
      const right = at % 2 === 1;
      const centre = { x: place.x + (right ? width + radius * 0.6 : -radius * 0.6), y: place.y + (at > 1 ? edge(right ? 1 : 0) : 0) };
      items.push({ kind: 'area', key: `section-welt-${i}`, shape: circle(centre, radius), look: 'cover' });
    }
  }
  return items;
}
