import fs from 'node:fs';
import path from 'node:path';
import { openShop, plan, readJob, shopSchema, solve, solveLay, type LayItem, type LayMaterial, type LayRequest, type Solved } from '@yardland/core';
import { layFor } from '../../cli/src/lay-worker';
import { seededRandom } from '../../core/src/kernel/random';
import { perfectCut } from '../../core/src/testing/perfect-cut';
import { rowOf, type Row } from './measure';

/** A piece of a perfect cut is so large on average, mm². */
const PIECE_MM2 = 90_000;

const asked = (items: readonly LayItem[], material: LayMaterial, gapMm: number): LayRequest => ({
  format: 'yardland/lay-request@2',
  material,
  gapMm,
  items,
  pins: [],
  seed: 1,
  moves: Number.MAX_SAFE_INTEGER,
});

/** Crooked pieces cut from a rectangle 1370 wide: the least length is known, it is all used. */
function puzzle(pieces: number, seed: number): LayRequest {
  const polygons = perfectCut(pieces, 1370, (pieces * PIECE_MM2) / 1370, seededRandom(seed));
  return asked(
    polygons.map((polygon, i) => ({ id: `p${i}`, polygon, count: 1, turns: [0, 180] })),
    { kind: 'roll', widthMm: 1370 },
    0,
  );
}

/** The lay of a demo job's main cloth, as the plan asks for it, with as many moves as the time gives. */
function demoCloth(root: string, file: string): LayRequest {
  const read = (name: string): unknown => JSON.parse(fs.readFileSync(path.join(root, 'demo', name), 'utf8'));
  const shop = openShop(shopSchema.parse(read('shop.json')));
  const job = readJob(read(`jobs/${file}`));
  if (!job.ok) throw new Error(file);
  let known: Solved = {};
  let made = plan(job.value, shop);
  for (;;) {
    const lay = made.wanted.find((one) => 'key' in one && one.key === 'cloth')?.request;
    if (lay?.format === 'yardland/lay-request@2') return { ...lay, moves: Number.MAX_SAFE_INTEGER };
    known = { ...known, ...Object.fromEntries(made.wanted.map(({ hash, request }) => [hash, solve(request)])) };
    made = plan(job.value, shop, known, made);
  }
}

/** A hide of about four square metres with three flaws, and more seats, backs and bands than it gives. */
function hide(): LayRequest {
  const ring = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => ({ x, y }));
  const box = (id: string, along: number, across: number, count: number): LayItem => ({
    id,
    polygon: ring([
      [0, 0],
      [along, 0],
      [along, across],
      [0, across],
    ]),
    count,
    turns: [0, 90, 180, 270],
  });
  const outline = ring([
    [150, 300],
    [420, 90],
    [900, 160],
    [1500, 110],
    [1980, 0],
    [2210, 190],
    [2080, 560],
    [2150, 1000],
    [2080, 1440],
    [2210, 1810],
    [1980, 2000],
    [1500, 1890],
    [900, 1840],
    [420, 1910],
    [150, 1700],
    [40, 1250],
    [40, 750],
  ]);
  const flaws = [
    [600, 700],
    [1350, 1300],
    [1700, 500],
  ].map(([x = 0, y = 0]) =>
    ring([
      [x, y],
      [x + 70, y + 10],
      [x + 60, y + 80],
      [x + 5, y + 60],
    ]),
  );
  return asked(
    [box('seat', 560, 520, 4), box('back', 520, 430, 4), box('band', 620, 130, 8), box('arm', 380, 240, 8), box('welt', 300, 60, 14), box('tab', 150, 90, 20)],
    { kind: 'hide', outline, flaws },
    0,
  );
}

const unused = (request: LayRequest, seconds: number): number => 100 * (1 - layFor({ request, seconds }).use);
const unusedByBoxes = (request: LayRequest): number => 100 * (1 - solveLay({ ...request, moves: 0 }).use);

/** How much of the material lays leave over in a given time, one thread; beside each what laying the pieces' boxes leaves over. */
export function layRows(root: string): Row[] {
  const puzzles: readonly (readonly [pieces: number, seconds: number, goal: string])[] = [
    [12, 1, '0 %'],
    [30, 10, '8 %'],
    [60, 10, '12 %'],
    [120, 10, '15 %'],
  ];
  const sets: readonly (readonly [file: string, words: string, goal: string])[] = [
    ['conductors-chair.json', 'a chair’s set with its cushions', '15 %'],
    ['prompt-side-boxes.json', 'six box cushions with welt', '14 %'],
    ['gallery-and-boxes.json', 'a suite of 120 pieces', '16 %'],
  ];
  const in1st = (request: LayRequest): number => {
    const begun = performance.now();
    layFor({ request, seconds: 0 });
    return performance.now() - begun;
  };
  return [
    ...puzzles.flatMap(([pieces, seconds, goal]) => {
      const requests = [1, 2, 3].map((seed) => puzzle(pieces, seed));
      return [
        rowOf(
          `left over of ${pieces} pieces that fill a rectangle, after ${seconds} s`,
          goal,
          requests.map((one) => unused(one, seconds)),
          { unit: '%' },
        ),
        rowOf(`the same by boxes`, '—', requests.map(unusedByBoxes), { unit: '%' }),
      ];
    }),
    ...sets.flatMap(([file, words, goal]) => {
      const request = demoCloth(root, file);
      return [
        rowOf(`left over of ${words} (\`demo/jobs/${file}\`), after 10 s`, goal, [unused(request, 10)], { unit: '%' }),
        rowOf('the same by boxes', '—', [unusedByBoxes(request)], { unit: '%' }),
        rowOf(
          `the first valid lay of ${words}`,
          'under 100 ms',
          [1, 2, 3, 4, 5].map(() => in1st(request)),
        ),
      ];
    }),
    rowOf('left over of a hide with three flaws, after 20 s', '16 %', [unused(hide(), 20)], { unit: '%' }),
  ];
}
