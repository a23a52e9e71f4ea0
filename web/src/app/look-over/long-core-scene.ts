import { joinZones, usedName, type CushionPlan, type LongCoreAnswer, type SayIn, formatLengthUnit } from '@yardland/core';
import { boxArea } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';

export function longCoreWords(answer: LongCoreAnswer, { units, step }: SayIn): string {
  if (answer.kind === 'too-short') return `What is usable is ${formatLengthUnit(answer.missingMm, units, step)} too short: fill the gap with an offcut.`;
  if (answer.kind === 'none') return 'No way was found to make the length from these.';
  const { cuts, joins, joinsClear } = answer.plan;
  const many = (n: number, word: string): string => (n === 0 ? `no ${word}` : n === 1 ? `one ${word}` : `${n} ${word}s`);
  const where = joinsClear ? 'none where somebody sits' : 'but some where somebody sits: no other way was found with these';
  return `${many(cuts, 'cut')} and ${many(joins.length, 'join')}, ${where}.${joins.length ? ' Lay a crown pad over the whole length, so that no join is felt.' : ''}`;
}

type LongCorePlan = Extract<LongCoreAnswer, { readonly kind: 'plan' }>['plan'];

/** Words in the middle of what lies from one place along the core to another. */
const wordsBetween = (key: string, fromMm: number, toMm: number, y: number): Omit<Extract<SceneItem, { readonly kind: 'note' }>, 'text'> => ({
  kind: 'note',
  key,
  at: { x: (fromMm + toMm) / 2, y },
  anchor: 'middle',
  within: toMm - fromMm,
});

/** The old cores butted, what is done to each, their joins, and how long each comes out. */
function usedItems(
  { used: all, joins }: LongCorePlan,
  deep: number,
  long: number,
  nameOf: (used: LongCorePlan['used'][number]) => string,
  inWords: SayIn,
): SceneItem[] {
  const pieces = all.flatMap((used, i): SceneItem[] => {
    const { fromMm, toMm } = used;
    const width = toMm - fromMm;
    const shortened = used.cutShorter ? `cut to ${formatLengthUnit(width, inWords.units, inWords.step)}` : 'as it is';
    const done = [used.turned ? 'turned' : '', used.ripped ? 'ripped to depth' : '', shortened].filter(Boolean).join(', ');
    return [
      boxArea(`piece-${i}`, { x: fromMm, y: 0, width, height: deep }, i % 2 ? 'foam-alt' : 'foam'),
      { ...wordsBetween(`name-${i}`, fromMm, toMm, deep * 0.62), look: 'onpiece', text: nameOf(used) },
      { ...wordsBetween(`done-${i}`, fromMm, toMm, deep * 0.62), dy: 20, look: 'small', text: done },
    ];
  });
  const lines = joins.map((x, i): SceneItem => {
    const shape = [
      { x, y: -deep * 0.06 },
      { x, y: deep * 1.06 },
    ];
    return { kind: 'area', key: `join-${i}`, shape, open: true, look: 'cut' };
  });
  const ends = [0, ...joins, long];
  const runs = ends.slice(1).map((to, i): SceneItem => {
    const from = ends[i] ?? 0;
    return { kind: 'dim', key: `run-${i}`, name: `piece ${i + 1}`, side: 'below', away: 34, from: { x: from, y: 0 }, to: { x: to, y: 0 }, mm: to - from };
  });
  return [...pieces, ...lines, ...runs];
}

/** Each sitting place, with the part in which no join may lie. */
function placeItems(places: number, long: number, deep: number): SceneItem[] {
  const zones = joinZones({ lengthMm: long, places });
  return Array.from({ length: places }, (_, i): SceneItem[] => {
    const [from, to] = [zones[i]?.[1] ?? 0, zones[i + 1]?.[0] ?? long];
    return [
      { kind: 'area', key: `place-${i}`, shape: seatShape((from + to) / 2, deep * 0.26, (to - from) / 2, deep * 0.17), look: 'bound' },
      { ...wordsBetween(`place-words-${i}`, from, to, deep * 0.26), dy: 5, look: 'small', text: 'sits here' },
    ];
  }).flat();
}

/** The long core from above: the pieces butted, their joins, what is cut off, and where people sit. */
export function longCoreScene(one: CushionPlan, fit: string, inWords: SayIn): Scene {
  const { sizes, source, longCore } = one;
  if (!sizes) return { title: 'One long core', fit, items: [] };
  const [long, deep] = [sizes.core.width.value, sizes.core.depth.value];
  const answer = longCore?.answer;
  const items: SceneItem[] = [
    boxArea('wanted', { x: 0, y: 0, width: long, height: deep }, 'core'),
    ...(longCore && answer?.kind === 'plan' ? usedItems(answer.plan, deep, long, (used) => usedName(used, longCore.request), inWords) : []),
    ...placeItems(source.seat?.places ?? 1, long, deep),
    { kind: 'dim', key: 'long', name: 'core, long', side: 'above', away: 34, from: { x: 0, y: deep }, to: { x: long, y: deep }, mm: long },
    { kind: 'dim', key: 'deep', name: 'core, deep', side: 'left', away: 30, from: { x: 0, y: deep }, to: { x: 0, y: 0 }, mm: deep },
    { kind: 'note', key: 'front', at: { x: long / 2, y: 0 }, dy: 62, anchor: 'middle', look: 'small', text: 'front' },
  ];
  return { title: `One long core for ${source.name} from above, made of old ones`, fit, room: { left: 90, right: 40, top: 84, bottom: 84 }, items };
}

/** An upright oval: the part of a place that bears. */
function seatShape(x: number, y: number, halfWidth: number, halfDepth: number) {
  return Array.from({ length: 40 }, (_, i) => ({
    x: x + halfWidth * Math.cos((i / 40) * 2 * Math.PI),
    y: y + halfDepth * Math.sin((i / 40) * 2 * Math.PI),
  }));
}
