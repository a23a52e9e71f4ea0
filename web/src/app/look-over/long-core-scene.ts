import { formatLength, formatLengthUnit, joinZones, usedName, type CushionPlan, type LongCoreAnswer, type SayIn } from '@yardland/core';
import { boxArea } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';

export function longCoreWords(answer: LongCoreAnswer, { units, step }: SayIn): string {
  if (answer.kind === 'too-short') return `What can be used is ${formatLengthUnit(answer.missingMm, units, step)} too short: fill the gap with an offcut.`;
  if (answer.kind === 'none') return 'No way was found to make the length of these.';
  const { cuts, joins, joinsClear } = answer.plan;
  const many = (n: number, word: string): string => (n === 0 ? `no ${word}` : n === 1 ? `one ${word}` : `${n} ${word}s`);
  const where = joinsClear ? 'none where somebody sits' : 'but some where somebody sits: no other way was found with these';
  return `${many(cuts, 'cut')} and ${many(joins.length, 'join')}, ${where}.${joins.length ? ' Lay a crown pad over the whole length, so that no join is felt.' : ''}`;
}

/** The long core from above: the pieces butted, their joins, what is cut off, and where people sit. */
export function longCoreScene(one: CushionPlan, fit: string, inWords: SayIn): Scene {
  const { sizes, source, longCore } = one;
  if (!sizes) return { title: 'One long core', fit, items: [] };
  const [long, deep] = [sizes.core.width.value, sizes.core.depth.value];
  const places = source.seat?.places ?? 1;
  const answer = longCore?.answer;
  const items: SceneItem[] = [boxArea('wanted', 0, 0, long, deep, 'core')];
  const mm = (value: number): string => formatLength(value, inWords.units, inWords.step);
  if (answer?.kind === 'plan') {
    answer.plan.used.forEach((used, i) => {
      const width = used.toMm - used.fromMm;
      items.push(boxArea(`piece-${i}`, used.fromMm, 0, width, deep, i % 2 ? 'foam-alt' : 'foam'));
      items.push({
        kind: 'note',
        key: `name-${i}`,
        at: { x: used.fromMm + width / 2, y: deep * 0.62 },
        anchor: 'middle',
        look: 'onpiece',
        text: longCore ? usedName(used, longCore.request) : '',
        within: width,
      });
      const done = [used.turned ? 'turned' : '', used.ripped ? 'ripped to depth' : '', used.cutShorter ? `cut to ${mm(width)}` : 'as it is']
        .filter(Boolean)
        .join(', ');
      items.push({
        kind: 'note',
        key: `done-${i}`,
        at: { x: used.fromMm + width / 2, y: deep * 0.62 },
        dy: 20,
        anchor: 'middle',
        look: 'small',
        text: done,
        within: width,
      });
    });
    answer.plan.joins.forEach((x, i) =>
      items.push({
        kind: 'area',
        key: `join-${i}`,
        shape: [
          { x, y: -deep * 0.06 },
          { x, y: deep * 1.06 },
        ],
        open: true,
        look: 'cut',
      }),
    );
    const ends = [0, ...answer.plan.joins, long];
    ends.slice(1).forEach((to, i) =>
      items.push({
        kind: 'dim',
        key: `run-${i}`,
        name: `piece ${i + 1}`,
        side: 'below',
        away: 34,
        from: { x: ends[i] ?? 0, y: 0 },
        to: { x: to, y: 0 },
        mm: to - (ends[i] ?? 0),
      }),
    );
  }
  // Each sitting place, with the part in which no join may lie.
  const zones = joinZones({ lengthMm: long, places });
  for (let i = 0; i < places; i++) {
    const [from, to] = [zones[i]?.[1] ?? 0, zones[i + 1]?.[0] ?? long];
    items.push({ kind: 'area', key: `place-${i}`, shape: seatShape((from + to) / 2, deep * 0.26, (to - from) / 2, deep * 0.17), look: 'bound' });
    items.push({
      kind: 'note',
      key: `place-words-${i}`,
      at: { x: (from + to) / 2, y: deep * 0.26 },
      dy: 5,
      anchor: 'middle',
      look: 'small',
      text: 'sits here',
      within: to - from,
    });
  }
  items.push(
    { kind: 'dim', key: 'long', name: 'core, long', side: 'above', away: 34, from: { x: 0, y: deep }, to: { x: long, y: deep }, mm: long },
    { kind: 'dim', key: 'deep', name: 'core, deep', side: 'left', away: 30, from: { x: 0, y: deep }, to: { x: 0, y: 0 }, mm: deep },
    { kind: 'note', key: 'front', at: { x: long / 2, y: 0 }, dy: 62, anchor: 'middle', look: 'small', text: 'front' },
  );
  return { title: `One long core for ${source.name} from above, made of old ones`, fit, room: { left: 90, right: 40, top: 84, bottom: 84 }, items };
}

/** An upright oval: the part of a place that bears. */
function seatShape(x: number, y: number, halfWidth: number, halfDepth: number) {
  return Array.from({ length: 40 }, (_, i) => ({
    x: x + halfWidth * Math.cos((i / 40) * 2 * Math.PI),
    y: y + halfDepth * Math.sin((i / 40) * 2 * Math.PI),
  }));
}
