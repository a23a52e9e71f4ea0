import { lookedOver, outlineBounds, type CushionPlan, type Point } from '@yardland/core';
import { boxArea } from '../shared/table/cushion-scene';
import { shifted, type Scene, type SceneItem } from '../shared/table/scene';
import { SEAT_WORDS } from './look-over-words';
import type { Seat } from './seat-editor';

/** A seat drawn without a deck height stands this high, mm. */
const USUAL_DECK_MM = 350;
const BOARD_MM = 24;

/** The seat from the side: what is underneath, the old core on it, the new cushion in outline. */
export function seatScene(one: CushionPlan, fit: string): Scene {
  if (!one.sizes) return { title: 'Look over', fit, items: [] };
  const seat = one.source.seat ?? {};
  const depth = one.sizes.seat.depth.value;
  const deck = seat.deckHeightMm ?? USUAL_DECK_MM;
  const height = one.sizes.finished.height.value;
  const items: SceneItem[] = [
    boxArea('floor', { x: -depth * 0.12, y: -18, width: depth * 1.24, height: 18 }, 'board'),
    boxArea('leg-front', { x: depth * 0.06, y: 0, width: 34, height: deck - BOARD_MM }, 'material'),
    boxArea('leg-back', { x: depth * 0.94 - 34, y: 0, width: 34, height: deck - BOARD_MM }, 'material'),
    ...supportItems(seat.support, depth, deck),
    boxArea('new', { x: 0, y: deck, width: depth, height }, 'finished'),
    {
      kind: 'dim',
      key: 'deck',
      name: 'deck height',
      side: 'left',
      away: 40,
      from: { x: 0, y: deck },
      to: { x: 0, y: 0 },
      mm: deck,
      edit: { minMm: 0, maxMm: 3000 },
    },
    {
      kind: 'dim',
      key: 'seat-height',
      name: 'seat height, nobody on it',
      side: 'right',
      away: 56,
      from: { x: depth, y: deck + height },
      to: { x: depth, y: 0 },
      mm: deck + height,
    },
    {
      kind: 'dim',
      key: 'depth',
      name: 'seat depth',
      side: 'above',
      away: 26,
      from: { x: 0, y: deck + height },
      to: { x: depth, y: deck + height },
      mm: depth,
    },
    { kind: 'note', key: 'front', at: { x: 0, y: deck + height / 2 }, dx: -12, dy: 4, anchor: 'end', text: 'front', look: 'small' },
  ];
  const { edgeMm, middleMm } = seat.old ?? {};
  if (edgeMm !== undefined && middleMm !== undefined) items.push({ kind: 'area', key: 'old', shape: sag(depth, deck, edgeMm, middleMm), look: 'core' });
  return {
    title: `The seat of ${one.source.name} from the side, the new cushion in outline over the old core`,
    fit,
    room: { left: 120, right: 120, top: 84, bottom: 24 },
    items,
  };
}

/** Between the plan and the section below it, as a share of the width: room for its words at any scale. */
const SECTION_GAP = 0.13;

/** The old core: from above with the crown pads that fill its hollow, and cut through the middle below. */
export function oldCoreScene(one: CushionPlan, fit: string): Scene {
  const { sizes, outlines, source } = one;
  const { edgeMm, middleMm } = source.seat?.old ?? {};
  if (!sizes || !outlines || edgeMm === undefined || middleMm === undefined) return seatScene(one, fit);
  const [width, depth] = [sizes.core.width.value, sizes.core.depth.value];
  const { minX, minY } = outlineBounds(outlines.core);
  const pads = lookedOver(one)?.refresh.flatMap((item) => (item.kind === 'pad' ? item.pads : [])) ?? [];
  const under = -Math.max(70, width * SECTION_GAP) - edgeMm;
  const items: SceneItem[] = [
    { kind: 'area', key: 'plan', shape: shifted(outlines.core, -minX, -minY), look: 'foam' },
    ...pads.map((pad, i): SceneItem => ({ kind: 'area', key: `pad-${i}`, shape: shifted(pad.outline, width / 2, depth / 2), look: i % 2 ? 'crown' : 'wrap' })),
    { kind: 'area', key: 'section', shape: sag(width, under, edgeMm, middleMm), look: 'foam' },
    ...padSections(pads, width, under, edgeMm, middleMm),
    { kind: 'dim', key: 'wide', name: 'core, wide', side: 'above', away: 30, from: { x: 0, y: depth }, to: { x: width, y: depth }, mm: width },
    { kind: 'dim', key: 'deep', name: 'core, deep', side: 'right', away: 40, from: { x: width, y: depth }, to: { x: width, y: 0 }, mm: depth },
    {
      kind: 'dim',
      key: 'edge',
      name: 'edge',
      side: 'left',
      away: 34,
      from: { x: 0, y: under + edgeMm },
      to: { x: 0, y: under },
      mm: edgeMm,
      edit: { minMm: 5, maxMm: 1000 },
    },
    {
      kind: 'dim',
      key: 'middle',
      name: 'middle',
      side: 'right',
      away: 12,
      from: { x: width / 2, y: under + middleMm },
      to: { x: width / 2, y: under },
      mm: middleMm,
      edit: { minMm: 0, maxMm: 1000 },
    },
    { kind: 'note', key: 'section-words', at: { x: 0, y: under + edgeMm }, dy: -10, text: 'cut through the middle, left to right', look: 'small' },
    ...(pads.length
      ? [
          {
            kind: 'note' as const,
            key: 'pad-words',
            at: { x: width / 2, y: depth / 2 },
            dy: 5,
            anchor: 'middle' as const,
            text: 'crown pad',
            look: 'onpiece' as const,
          },
        ]
      : []),
  ];
  return { title: `The old core of ${source.name}, from above and in section`, fit, room: { left: 96, right: 130, top: 76, bottom: 30 }, items };
}

/** The pads lying in the hollow, each as wide as it is cut, on the one below. */
function padSections(pads: readonly { readonly widthMm: number }[], width: number, under: number, edge: number, middle: number): SceneItem[] {
  const each = (edge - middle) / Math.max(1, pads.length);
  return pads.map((pad, i): SceneItem => {
    // The i-th layer lies between two heights of the hollow; the largest is cut to the upper one.
    const level = pads.length - 1 - i;
    const y = under + middle + level * each;
    return boxArea(`pad-section-${i}`, { x: (width - pad.widthMm) / 2, y, width: pad.widthMm, height: each }, i % 2 ? 'crown' : 'wrap');
  });
}

function supportItems(support: Seat['support'], depth: number, deck: number): SceneItem[] {
  const words: SceneItem = {
    kind: 'note',
    key: 'support',
    at: { x: depth / 2, y: deck - BOARD_MM },
    dy: 20,
    anchor: 'middle',
    text: support ? (SEAT_WORDS[support] ?? support) : 'what is underneath?',
    look: 'small',
  };
  if (support === 'webbing' || support === 'springs') {
    const waves = Array.from({ length: 61 }, (_, i) => ({
      x: (depth * i) / 60,
      y: deck - BOARD_MM / 2 + (support === 'springs' ? 0.42 : 0.18) * BOARD_MM * Math.sin(i * 1.05),
    }));
    return [{ kind: 'area', key: 'support-line', shape: waves, open: true, look: 'cover' }, words];
  }
  return [boxArea('board', { x: 0, y: deck - BOARD_MM, width: depth, height: BOARD_MM }, 'board'), words];
}

/** The old core in section: its edges as thick as they are, its top sagging to the middle. */
function sag(span: number, floor: number, edge: number, middle: number): Point[] {
  const top = Array.from({ length: 31 }, (_, i) => {
    const share = (2 * i) / 30 - 1;
    return { x: (span * i) / 30, y: floor + middle + (edge - middle) * share * share };
  });
  return [{ x: 0, y: floor }, ...top, { x: span, y: floor }];
}
