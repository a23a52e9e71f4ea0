import fs from 'node:fs';
import path from 'node:path';
import { hashText, openShop, plan, readJob, shopSchema, solve, type LayItem, type LayMaterial, type LayRequest, type Solved } from '@yardland/core';
import { seededRandom } from '../../core/src/kernel/random';
import { perfectCut } from '../../core/src/testing/perfect-cut';

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
export function puzzle(pieces: number, seed: number): LayRequest {
  const polygons = perfectCut(pieces, 1370, (pieces * PIECE_MM2) / 1370, seededRandom(seed));
  return asked(
    polygons.map((polygon, i) => ({ id: `p${i}`, polygon, count: 1, turns: [0, 180] })),
    { kind: 'roll', widthMm: 1370 },
    0,
  );
}

/** The lay of a demo job's main cloth, as the plan asks for it, with as many moves as the time gives. */
export function demoCloth(root: string, file: string): LayRequest {
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
export function hide(): LayRequest {
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

/** Sets that shops really cut, and a hide: what is laid, in words, and what it is called in the list of the best lays known. */
export function realSets(root: string): readonly { readonly name: string; readonly words: string; readonly goal: string; readonly request: LayRequest }[] {
  const cloth = (file: string, words: string, goal: string) => ({
    name: file.replace('.json', ''),
    words: `${words} (\`demo/jobs/${file}\`)`,
    goal,
    request: demoCloth(root, file),
  });
  return [
    cloth('conductors-chair.json', 'a chair’s set with its cushions', '15 %'),
    cloth('prompt-side-boxes.json', 'six box cushions with welt', '14 %'),
    cloth('gallery-and-boxes.json', 'a suite of 120 pieces', '16 %'),
    { name: 'hide', words: 'a hide with three flaws', goal: '16 %', request: hide() },
  ];
}

/** What a lay depends on besides its search. */
export const setHash = ({ material, gapMm, items }: LayRequest): string => hashText(JSON.stringify([material, gapMm, items]));
