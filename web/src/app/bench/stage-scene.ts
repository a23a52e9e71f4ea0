import type { Stage, StageLook, StepLying } from '@yardland/core';
import { folded } from '../shared/table/draw';
import type { Look, SceneItem } from '../shared/table/scene';

const LOOKS: Record<StageLook, Look> = {
  cloth: 'cover',
  cord: 'cord',
  wadding: 'crown',
  fold: 'fold',
  cut: 'saw',
  thread: 'twine',
  stitch: 'sewing',
  staple: 'core',
  zip: 'cut',
  board: 'board',
  foam: 'foam',
};
/** Letters of a line of the words under a stage, and from line to line, pixels. */
const LETTERS = 30;
const LINE = 19;

/** From one stage to the next beside it, and room for its words below, as shares of its width. */
const APART = 1.25;
const WORDS_ROOM = 0.42;

/** How many stages lie beside each other where there is room for words under each: all of up to three, otherwise in rows as even as can be. */
export const stageColumns = (count: number): number => (count <= 3 ? Math.max(1, count) : Math.ceil(count / Math.ceil(count / 3)));

/**
 * The stages of a step beside each other or under each other, each larger than the pieces: numbered, drawn across, with its words beneath. `left` and `top`: where they begin;
 * `width`: of one.
 */
export function stageItems(
  stages: readonly Stage[],
  { left, top, width, lying }: { readonly left: number; readonly top: number; readonly width: number; readonly lying: StepLying },
): SceneItem[] {
  const all = stages.flatMap(({ lines: drawn }) => drawn.filter(({ look }) => look !== 'stitch').flatMap(({ points }) => points));
  const [minX, maxX] = [Math.min(...all.map(({ x }) => x)), Math.max(...all.map(({ x }) => x))];
  const points = stages.flatMap(({ lines: drawn }) => drawn.flatMap((one) => one.points));
  const [minY, maxY] = [Math.min(...points.map(({ y }) => y)), Math.max(...points.map(({ y }) => y))];
  // One scale for all: what a fold takes is seen.
  const scale = width / (maxX - minX);
  const height = (maxY - minY) * scale;
  return stages.flatMap(({ words, lines: drawn }, i): SceneItem[] => {
    const columns = lying !== 'under-each-other' ? stageColumns(stages.length) : 1;
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const [x0, y0] = [left + column * width * APART, top - height - row * (height + width * WORDS_ROOM)];
    return [
      ...drawn.map(({ look, points: line }, k): SceneItem => ({
        kind: 'area',
        key: `stage-${i}-${k}`,
        shape: line.map(({ x, y }) => ({ x: x0 + (x - minX) * scale, y: y0 + (y - minY) * scale })),
        look: LOOKS[look],
        open: look !== 'board' && look !== 'foam',
      })),
      ...folded(`${i + 1} ${words}`, LETTERS).map((text, k): SceneItem => ({
        kind: 'note',
        key: `stage-${i}-words-${k}`,
        at: { x: x0, y: y0 },
        dy: 24 + k * LINE,
        look: 'plain',
        text,
      })),
    ];
  });
}
