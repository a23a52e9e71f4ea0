import type { Section, SectionMatter } from '@yardland/core';
import type { Look, SceneItem } from './scene';

export interface SectionPlace {
  readonly x: number;
  /** Level of the lower seam. */
  readonly y: number;
}

const LOOKS: Record<SectionMatter, Look> = {
  wrap: 'wrap',
  foam: 'foam',
  'foam-alt': 'foam-alt',
  spring: 'spring',
  feather: 'feather',
  felt: 'felt',
  pads: 'felt',
  cover: 'cover',
  welt: 'cover',
  board: 'board',
};

/** A cushion's section as items of a scene, its lower seam's left end at a place. */
export function sectionItems(section: Section, { x, y }: SectionPlace): SceneItem[] {
  return [
    ...section.areas.map((area): SceneItem => ({
      kind: 'area',
      key: `section-${area.key}`,
      shape: area.points.map((p) => ({ x: p.x + x, y: p.y + y })),
      look: LOOKS[area.matter],
    })),
    ...section.words.map((word): SceneItem => ({
      kind: 'leader',
      key: `section-words-${word.key}`,
      at: { x: word.at.x + x, y: word.at.y + y },
      toX: x + section.wordsX,
      text: word.text,
    })),
  ];
}
