import fs from 'node:fs';
import path from 'node:path';
import {
  crown,
  finished,
  fit,
  shipped,
  jobSchema,
  loadCurve,
  openShop,
  outlineOf,
  plan,
  runTrial,
  SHAPES,
  shopSchema,
  solveLay,
  validateLay,
  type Job,
  type LayRequest,
} from '@yardland/core';
import { arithmeticLoop, referenceOf, rowOf, timed, type Row } from './measure';

/** A lay of so many pieces, as a job of many cushions asks for it. */
function manyPieces({ items, ...rest }: LayRequest, pieces: number): LayRequest {
  const count = items.reduce((sum, item) => sum + item.count, 0);
  return { ...rest, moves: 1, items: items.map((item) => ({ ...item, count: item.count * Math.ceil(pieces / count) })) };
}

type Machine = Parameters<typeof rowOf>[3];

/** What the rows measure on: the demo's boxes, and a job of 20 cushions of two of the demo's jobs. */
function subjects(root: string) {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(root, 'demo', file), 'utf8'));
  const shop = openShop(shopSchema.parse(read('shop.json')));
  const boxes = jobSchema.parse(read('jobs/prompt-side-boxes.json'));
  const benches = jobSchema.parse(read('jobs/stalls-benches.json'));
  const of = [...boxes.cushions, ...benches.cushions];
  const cushions = Array.from({ length: 20 }, (_, i) => {
    const one = of[i % of.length] as Job['cushions'][number];
    return { ...one, name: `${one.name} ${i}`, heightMm: one.heightMm + i };
  });
  const job: Job = { ...benches, cushions };
  return { shop, boxes, job, before: plan(job, shop) };
}

type Subjects = ReturnType<typeof subjects>;

function planRows({ shop, job, before }: Subjects): Row[] {
  const validated = {
    reference: referenceOf(
      'reading the same document with its schema',
      timed(300, () => void jobSchema.parse(job)),
    ),
  };
  const changed = (i: number): Job => ({ ...job, cushions: job.cushions.map((one, n) => (n === 7 ? { ...one, heightMm: 60 + (i % 50) } : one)) });
  return [
    rowOf(
      'plan() of 20 cushions, nothing known before',
      'p95 under 10 ms',
      timed(300, () => void plan(job, shop)),
      validated,
    ),
    rowOf(
      'that plan only copied (structuredClone), for comparison',
      '—',
      timed(300, () => void structuredClone(before.cushions)),
      validated,
    ),
    rowOf(
      'plan() of 20 cushions, one changed',
      'under 1 ms',
      timed(300, (i) => void plan(changed(i), shop, {}, before)),
      validated,
    ),
  ];
}

function fillingRows({ boxes: { cushions } }: Subjects, loop: Machine): Row[] {
  const layers = (cushions[0]?.core.layers ?? []).map(({ thicknessMm }) => ({ kind: 'foam' as const, thicknessMm, hardness25N: 160, supportFactor: 2.4 }));
  const request = {
    widthMm: 500,
    depthMm: 430,
    heightMm: 90,
    core: { widthMm: 500, depthMm: 430, layers: [...layers, ...layers] },
    wrapLoftMm: 50,
    sideLoftAcrossMm: 25,
    sideLoftAlongMm: 25,
    padLoftMm: 20,
    crownedFaces: 2 as const,
    bowAcrossMm: 0,
    bowAlongMm: 0,
    clothStiffnessNPerM: 15_000,
  };
  return [
    rowOf(
      'fit of a cushion with 4 layers',
      'under 2 ms',
      timed(500, () => void fit(request, shipped)),
      loop,
    ),
    rowOf(
      'load curve of 100 points',
      'under 2 ms',
      timed(500, () => {
        const curve = loadCurve({ hardness25N: 150, supportFactor: 2.2 }, 100);
        for (let i = 1; i <= 100; i++) curve.strainAt(i * 200);
      }),
      loop,
    ),
  ];
}

function crownRows({ shop, boxes: { units, cloth, cushions } }: Subjects, loop: Machine): Row[] {
  // Loose, and crowned: everything is tried, each change with its own crown.
  const advised: Job['cushions'][number] = { ...(cushions[0] as Job['cushions'][number]), wrapLoftMm: 0, crown: { mm: 25, way: 'bow', faces: 2 } };
  return [
    ...SHAPES.filter((shape) => ['rectangle', 't', 'ring-sector'].includes(shape.shape)).map((shape) => {
      const { outline } = outlineOf(shape.like(620, 480));
      return rowOf(
        `crown of ${shape.name}: surface, domed plate, 3 pads`,
        'under 60 ms',
        timed(40, () => void crown(outline, 30, 3)),
        loop,
      );
    }),
    rowOf(
      'advice: every change to a cushion tried out, in a worker',
      '—',
      timed(8, () => void finished(runTrial({ format: 'yardland/advice-ask@1', cushion: advised, job: { units, cloth }, shop: shop.document }))),
      loop,
    ),
  ];
}

function layRows({ before }: Subjects, loop: Machine): Row[] {
  const lay = before.lays[0]?.request;
  if (!lay) return [];
  const many = manyPieces(lay, 1664);
  const laid = solveLay(many);
  const piecesOf = ({ items }: LayRequest): number => items.reduce((sum, item) => sum + item.count, 0);
  return [
    rowOf(
      `cloth lay of ${piecesOf(lay)} pieces, ${lay.moves} moves`,
      '—',
      timed(5, () => void solveLay(lay)),
      loop,
    ),
    rowOf(
      `a lay of ${piecesOf(many)} pieces checked, in a worker`,
      '—',
      timed(5, () => void validateLay(many, laid)),
      loop,
    ),
  ];
}

/** The rows of pure computing: planning, fit, load curve, crown, lay. */
export function coreRows(root: string): Row[] {
  const loop = { reference: arithmeticLoop() };
  const of = subjects(root);
  return [...planRows(of), ...fillingRows(of, loop), ...crownRows(of, loop), ...layRows(of, loop)];
}
