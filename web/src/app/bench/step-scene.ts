import {
  bounds,
  flatten,
  isNotch,
  sectionOf,
  stepPicture,
  stepShown,
  turnedWords,
  type DrawnPiece,
  type DrawnRun,
  type Hand,
  type Operation,
  type Piece,
  type Planned,
  type SayIn,
  type Shop,
  type StepLying,
} from '@yardland/core';
import { stapleScene } from '../cover/staple-scene';
import { boxArea, notchItems } from '../shared/table/cushion-scene';
import { sectionItems } from '../shared/table/section';
import { shifted, type Look, type Scene, type SceneItem } from '../shared/table/scene';
import { rollScene } from './roll-scene';
import { stageColumns, stageItems } from './stage-scene';

/** What a piece is drawn as: foam, wadding, cloth on the bias, cloth. */
function pieceLook({ material, grain }: Piece): Look {
  if (material.kind === 'wadding') return 'wrap';
  if (material.kind !== 'cloth') return 'foam';
  return grain === 'bias' ? 'bias' : 'piece';
}

/** What is sewn on a piece: the edge lit, the stitch line, its letter, and where it starts and stops. */
function runItems({ points, hand, ends, letter }: DrawnRun, key: string): SceneItem[] {
  return [
    { kind: 'area', key: `${key}-lit`, shape: points, open: true, look: 'sewing-edge' },
    { kind: 'area', key: `${key}-stitch`, shape: points, open: true, look: hand ? 'sewing-hand' : 'sewing' },
    ...ends.map(([from, to], i): SceneItem => ({ kind: 'tick', key: `${key}-end-${i}`, from, to })),
    ...(letter ? [{ kind: 'note', key: `${key}-letter`, at: letter.at, dy: 5, anchor: 'middle', look: 'head', text: letter.text } as const] : []),
  ];
}

/** One piece where it lies on the drawing, with everything on it. */
function pieceItems({ piece, parts, width, height, at: { x, y }, dy, runs }: DrawnPiece, seamMm: number, cutting: boolean): SceneItem[] {
  const { id } = piece;
  const look = pieceLook(piece);
  const [whole] = parts.length === 1 ? parts : [];
  const outline: SceneItem[] = whole
    ? [
        { kind: 'area', key: id, shape: shifted(piece.outline, x + whole.dx, dy), look },
        ...(piece.holes ?? []).map((hole, i): SceneItem => ({ kind: 'area', key: `${id}-hole-${i}`, shape: shifted(hole, x + whole.dx, dy), look: 'cut' })),
        ...(piece.sewn ? [{ kind: 'area', key: `${id}-sewn`, shape: shifted(piece.sewn, x + whole.dx, dy), look: 'sew' } as const] : []),
        ...notchItems(piece, seamMm, id, x + whole.dx, dy),
      ]
    : parts.flatMap((part, i) => [
        boxArea(`${id}-${i}`, { x: x + part.fromX + part.dx, y, width: part.toX - part.fromX, height }, look),
        ...notchItems(
          { ...piece, marks: piece.marks.filter((mark) => isNotch(mark) && mark.at.x >= part.fromX && mark.at.x <= part.toX) },
          seamMm,
          `${id}-${i}`,
          x + part.dx,
          dy,
        ),
      ]);
  const [across, up] = [x + width / 2, y + height / 2];
  const grain: SceneItem[] =
    cutting && piece.material.kind === 'cloth' && piece.grain === 'with-the-roll' && Math.min(width, height) > seamMm * 16
      ? [
          {
            kind: 'arrow',
            key: `${id}-grain`,
            text: 'roll',
            ...(piece.alongRoll
              ? { from: { x: x + width * 0.35, y: up }, to: { x: x + width * 0.65, y: up } }
              : { from: { x: across, y: y + height * 0.3 }, to: { x: across, y: y + height * 0.7 } }),
          },
        ]
      : [];
  return [
    ...outline,
    ...runs.flatMap((run, i) => runItems(run, `${id}-run-${i}`)),
    ...grain,
    {
      kind: 'note',
      key: `${id}-words`,
      at: { x, y: y + height },
      dy: -7,
      text: [`${piece.countPerCushion} × ${piece.label}`, turnedWords(piece)].filter(Boolean).join(', '),
    },
  ];
}

/** A step of more stages than this is drawn by them alone: beside its pieces they would be too small. */
const MOST_BESIDE_PIECES = 3;
/** The width that stages by themselves take, mm. */
const ALONE = { minX: 0, maxX: 1000, minY: 0 };

/** How a step is drawn: for what change of the view it is fitted anew, how its pieces lie, in what words, and for which shop, where there is one yet. */
export interface StepLook {
  readonly fit: string;
  readonly lying: StepLying;
  readonly inWords: SayIn;
  readonly shop: Shop | null;
  /** The hand that the person at this screen sews with. */
  readonly hand: Hand;
}

/** How a step looks at the bench: where it staples, from below with the order; its pieces; of one that has none in hand, the cushion's section. Under the first two what it folds, slits or turns, moment by moment. */
export function stepScene(one: Planned, step: Operation, { fit, lying, inWords, shop, hand }: StepLook): Scene {
  const shown = stepShown(one, step);
  if (shown === 'section' && shop) return sectionScene(one, fit, lying, inWords, shop);
  const room = lying === 'in-rows' ? 'large' : 'small';
  const scene =
    shown === 'roll' || shown === 'tufts'
      ? rollScene(one, shown, hand, fit, room)
      : shown === 'staples'
        ? stapleScene(one, fit, inWords, room)
        : step.stages.length > MOST_BESIDE_PIECES
          ? { title: 'How it goes', fit, items: [] }
          : piecesScene(one, step, fit, lying);
  if (step.stages.length === 0) return scene;
  const places = scene.items.flatMap((item) => (item.kind === 'area' ? ('segments' in item.shape ? flatten(item.shape) : item.shape) : []));
  const box = places.length ? bounds(places) : ALONE;
  const wide = box.maxX - box.minX;
  const left = box.minX;
  const width = lying !== 'under-each-other' ? (wide / stageColumns(step.stages.length)) * 0.78 : wide * 0.8;
  const top = box.minY - wide * (lying !== 'under-each-other' ? 0.1 : 0.16);
  return {
    ...scene,
    title: `${scene.title}. ${step.stages.map(({ words }, i) => `${i + 1}: ${words}`).join('; ')}`,
    room: { left: 30, right: 30, top: 70, bottom: 70 },
    items: [...scene.items, ...stageItems(step.stages, { left, top, width, lying })],
  };
}

/** The cushion as it is filled: what is filled, dressed and closed is seen across. Beside the list there is no room for its words. */
function sectionScene(one: Planned, fit: string, lying: StepLying, inWords: SayIn, shop: Shop): Scene {
  const section = sectionOf(one, shop, inWords);
  const large = lying === 'in-rows';
  const items = sectionItems(section, { x: 0, y: 0 }).filter(({ kind }) => large || kind === 'area');
  const words: SceneItem = {
    kind: 'note',
    key: 'section-words',
    at: { x: 0, y: -section.underMm },
    dy: 36,
    text: `Section, ${section.way}`,
    look: large ? 'head' : 'plain',
  };
  return {
    title: `Section of ${one.source.name}, ${section.way}`,
    fit,
    room: { left: 40, right: large ? 170 : 40, top: 60, bottom: 70 },
    items: [...items, words],
  };
}

/** The pieces of a step to one scale, the edges that meet lit and lettered, notches, and the way of the roll where it is cut. */
function piecesScene(one: Planned, step: Operation, fit: string, lying: StepLying): Scene {
  const { pieces, letters } = stepPicture(one, step, lying);
  const seams = letters.map(({ letter, words }) => `${letter}: ${words}`);
  return {
    title: `Pieces of this step: ${pieces.map(({ piece }) => piece.label).join(', ')}${seams.length ? `; ${seams.join(', ')}` : ''}`,
    fit,
    room: { left: 30, right: 30, top: 70, bottom: 30 },
    items: pieces.flatMap((each) => pieceItems(each, one.sizes.seam.value, step.phase === 'cut')),
  };
}
