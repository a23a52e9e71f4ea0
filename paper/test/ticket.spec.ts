import fs from 'node:fs';
import { fileURLToPath } from 'node:url';
import { inflateSync } from 'node:zlib';
import { CONSTRUCTIONS, formatLength, plan, planSolved, SHAPES, whyLine, type Cushion, type Job, type Plan, type Wanted } from '@yardland/core';
import fc from 'fast-check';
import { extractText, getDocumentProxy } from 'unpdf';
import { cuttingListPdf, labelsPdf, pieceLabels, templatePdf, ticketMark, ticketPdf } from '../src';
import { localTime } from '../src/local-time';
import { demoJob, demoPlan, shop } from './demo-plan';

const names = fs.readdirSync(fileURLToPath(new URL('../../demo/jobs', import.meta.url))).map((file) => file.replace('.json', ''));
/** What shapes the pieces is all that a ticket needs worked out: their lays are not on it. */
const shapes = ({ request }: Wanted): boolean => request.format !== 'yardland/lay-request@2';
const stamp = { revision: 3, printedAt: new Date('2026-11-23T10:00:00Z') };

/** The text of every page, as a reader of the file would see it; spaces folded, since lines are broken where they must be. */
async function pagesOf(pdf: Uint8Array): Promise<string[]> {
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf)));
  return text.map((page) => page.replace(/\s+/g, ' '));
}

/** The boxes of the paths of a file's first page, points from its upper left: read off what is drawn. */
function pathsOf(pdf: Uint8Array): { left: number; right: number; top: number; bottom: number }[] {
  const file = Buffer.from(pdf);
  const first = [...file.toString('latin1').matchAll(/stream\r?\n/g)]
    .map(({ index, 0: { length } }) => file.subarray(index + length))
    .map((rest) => rest.subarray(0, rest.indexOf('endstream')))
    .flatMap((content) => {
      try {
        return [inflateSync(content).toString('latin1')];
      } catch {
        return [];
      }
    })
    .find((content) => content.includes('BT'));
  // A path begins where a point is moved to, and goes on by lines.
  return (first ?? '').split(/(?=^\S+ \S+ m$)/m).map((path) => {
    const points = [...path.matchAll(/(-?[\d.]+) (-?[\d.]+) [ml]\b/g)].map(([, x, y]) => [Number(x), Number(y)] as const);
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
    return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
  });
}

/** Page size in points, as the file says. */
const sizeOf = (pdf: Uint8Array): string => /\/MediaBox \[0 0 ([\d.]+ [\d.]+)\]/.exec(Buffer.from(pdf).toString('latin1'))?.[1] ?? '';

/** The pieces of a cushion whose name, size, or derivation of the height is not on the pages of its ticket. */
function missingFrom(pages: readonly string[], whole: Plan, index: number): string[] {
  const { units } = whole.job;
  const { step } = whole.shop.document;
  const length = (mm: number): string => formatLength(mm, units, step).replace(/\s+/g, ' ');
  // A derivation may be broken into lines anywhere: compared without its spaces.
  const tight = pages.join('').replace(/\s/g, '');
  const lastResult = (line: string): string => {
    // What was measured has no equals sign: its words stand there whole.
    const step = line.split('; ').at(-1) ?? '';
    return step.slice(Math.max(0, step.lastIndexOf(' = '))).replace(/\s/g, '');
  };
  return (whole.cushions[index]?.pieces ?? []).flatMap((piece) => {
    const row = `${length(piece.width.value)} × ${length(piece.height.value)}`;
    const wants = [row.replace(/\s/g, ''), piece.label.replace(/\s/g, ''), lastResult(whyLine(piece.height, units))];
    return wants.some((want) => !tight.includes(want)) ? [`${piece.label} ${row}`] : [];
  });
}

/** What would tell how heavy somebody is; a density is no weight of a person. */
const TELLS = /\b(sturdy|slight|middling|heavy|heaviest|very light|child(?!’s reach)|sitter)\b|\d ?(kg|lb)\b(?! ?\/)/i;

describe('no paper', () => {
  it('tells a sitter’s build or weight, whatever was said of who sits', async () => {
    const base = demoJob('conductors-chair');
    const [first] = base.cushions;
    const sitters = (['child', 'light', 'slight', 'middling', 'sturdy', 'heavy'] as const).map((build) => ({
      build,
      posture: 'upright' as const,
      frail: true,
    }));
    const seat = { ...first!.seat, support: 'board' as const, deckHeightMm: 300, sitters };
    // Under these it bottoms out, is hard to get up from, and feather alone does not carry them: each is said on the ticket.
    const told: Job = {
      ...base,
      cushions: [
        { ...first!, name: 'Foam', seat, note: '', core: { layers: [{ grade: 'wren-18', thicknessMm: 75 }] }, heightMm: 75 },
        { ...first!, name: 'Feather', seat, note: '', core: { layers: [{ grade: 'eider-feather', thicknessMm: 100 }] }, heightMm: 100 },
      ],
      note: '',
    };
    const whole = planSolved(told, shop);
    expect(whole.problems.map(({ code }) => code)).toEqual(jasmine.arrayContaining(['sitter-bottoms-out', 'feather-under-heavy']));
    const papers: Uint8Array[] = [];
    for (const index of [0, 1]) papers.push(await ticketPdf(whole, index, stamp));
    papers.push(await cuttingListPdf(whole, stamp));
    papers.push(await labelsPdf(whole, null, 'a4'));
    for (const pdf of papers) {
      const text = (await pagesOf(pdf)).join(' ');
      expect(text.length).toBeGreaterThan(50);
      expect(TELLS.exec(text)?.[0]).toBeUndefined();
    }
    expect(TELLS.test('A sturdy sitter')).toBeTrue();
  }, 90_000);
});

describe('the printed ticket', () => {
  it('has every piece of every demo cushion on it with its size, on A4 or Letter by the job’s units, each page numbered', async () => {
    let moments = 0;
    for (const name of names) {
      const one = demoJob(name);
      const whole = planSolved(one, shop, shapes);
      for (let i = 0; i < one.cushions.length; i++) {
        const pdf = await ticketPdf(whole, i, stamp);
        const pages = await pagesOf(pdf);
        expect(missingFrom(pages, whole, i))
          .withContext(`${name} ${i}`)
          .toEqual([]);
        // So does every moment of a step that folds, slits or turns something.
        const text = pages.join('').replace(/\s/g, '');
        const stages = whole.cushions[i]?.operations.flatMap((step) => step.stages.map(({ words }) => words.replace(/\s/g, ''))) ?? [];
        moments += stages.length;
        expect(stages.filter((words) => !text.includes(words))).toEqual([]);
        pages.forEach((page, p) => expect(page).toContain(`page ${p + 1} of ${pages.length}`));
        expect(sizeOf(pdf))
          .withContext(name)
          .toBe(one.units === 'inch' ? '612 792' : '595.28 841.89');
      }
    }
    expect(moments).toBeGreaterThan(50);
  }, 240_000);

  it('leaves none out of a long bench in layers, glued up and wrapped, and repeats the heading where a list goes on', async () => {
    const like = demoJob('stalls-benches').cushions[0] as Cushion;
    const { crown: _crown, ...plain } = like;
    const bench: Cushion = {
      ...plain,
      template: { shape: 'rectangle', widthMm: 4600, depthMm: 620 },
      heightMm: 150,
      wrapLoftMm: 25,
      wrapWay: 'faces-and-border',
      core: { layers: ['heron-55-firm', 'heron-45-firm', 'heron-40'].map((grade) => ({ grade, thicknessMm: 50 })).reverse() },
      marks: Array.from({ length: 9 }, (_, i) => ({ kind: 'tie', edge: 'back', share: (i + 0.5) / 9 })),
    };
    const whole = planSolved({ ...demoJob('stalls-benches'), cushions: [bench] }, shop, shapes);
    const foam = whole.cushions[0]!.pieces.filter(({ material }) => material.kind === 'foam');
    expect(foam.length).toBeGreaterThan(6);
    const pages = await pagesOf(await ticketPdf(whole, 0, stamp));
    expect(missingFrom(pages, whole, 0)).toEqual([]);
    expect(pages.length).toBeGreaterThan(1);
    expect(pages.slice(1).join(' ')).toContain('continued');
    for (const page of pages) expect(page).toContain(bench.name);
  }, 120_000);

  it('has the cushion made up under its sizes, its lines inside their room, and welts as two lines', async () => {
    const whole = planSolved(demoJob('prompt-side-boxes'), shop, shapes);
    const boxes = pathsOf(await ticketPdf(whole, 0, stamp));
    // Right of the section, under the last line of the sizes and over the rule that ends the head.
    const picture = boxes.filter(({ left, right, top, bottom }) => left >= 370 && right - left > 1 && top > 195 && bottom < 332);
    // Its outer line, both welts twice each, the plaque's ends.
    expect(picture.length).toBeGreaterThan(6);
    for (const { right } of picture) expect(right).toBeLessThanOrEqual(612 - 36 + 1);
    const [widest] = picture.map(({ left, right }) => right - left).sort((one, other) => other - one);
    expect(widest).toBeGreaterThan(120);
  }, 90_000);

  it('has every piece of random cushions of every construction and shape', async () => {
    const anyCushion = fc.record({
      shape: fc.constantFrom(...SHAPES.filter(({ shape }) => shape !== 'wedge')),
      kind: fc.constantFrom(...CONSTRUCTIONS),
      wide: fc.integer({ min: 320, max: 2600 }),
      layers: fc.integer({ min: 1, max: 4 }),
      units: fc.constantFrom('metric' as const, 'inch' as const),
      kept: fc.boolean(),
    });
    await fc.assert(
      fc.asyncProperty(anyCushion, async ({ shape, kind, wide, layers, units, kept }) => {
        const cushion: Cushion = {
          name: 'Random',
          quantity: 2,
          given: 'finished',
          template: shape.like(wide, 420),
          heightMm: 50 * layers,
          school: 'padded-to-the-line',
          construction: kind.defaults() as Cushion['construction'],
          core: { kept, layers: Array.from({ length: layers }, () => ({ grade: 'wren-28', thicknessMm: 50 })) },
          ...(kept ? { seat: { old: { edgeMm: 80, middleMm: 66, findings: [] } } } : {}),
        };
        const whole = planSolved({ ...demoJob('storage-chest'), units, cushions: [cushion] }, shop, shapes);
        expect(missingFrom(await pagesOf(await ticketPdf(whole, 0, stamp)), whole, 0))
          .withContext(`${kind.kind} ${shape.shape} ${wide}`)
          .toEqual([]);
      }),
      { seed: 941, numRuns: 24 },
    );
  }, 300_000);

  it('draws a stapled cover’s order, and measures the panel that is drawn: its drop, not the seat', async () => {
    const whole = plan(demoJob('dressing-room'), shop);
    const text = (await pagesOf(await ticketPdf(whole, 2, stamp))).join(' ');
    expect(text).toContain('Stapling, seen from below, the front at the foot');
    expect(text).toContain('line 25 mm from the edge, 90 staples, corners last');
    expect(text).toContain('4 small pleats');
    // 440 of the frame, 70 core, 45 edge, 25 to the staples and 50 to hold.
    expect(text).toMatch(/\b630\b/);
    const feather = (await pagesOf(await ticketPdf(whole, 3, stamp))).join(' ');
    expect(feather).toContain('Feather and down, loose 904 g');
  });

  it('prints names in any Latin script, Greek and Cyrillic as they are, and others as they can be', async () => {
    const one = demoJob('storage-chest');
    const [first] = one.cushions;
    const name = 'Łódź Ďábel ő č · Θρόνος · Подушка √2 · 座布団';
    const pages = await pagesOf(await ticketPdf(plan({ ...one, cushions: [{ ...first!, name }] }, shop), 0, stamp));
    expect(pages[0]).toContain('Łódź Ďábel ő č · Θρόνος · Подушка √2');
    // No sign of the last is in the faces: written in Latin letters, never as boxes.
    expect(pages[0]).toMatch(/· [A-Za-z]{5,}/);
  });

  it('says when it was printed in the shop’s own time', async () => {
    expect(localTime(new Date('2026-11-23T23:30:00Z'), 'Europe/Vienna')).toBe('24 Nov 2026, 00:30');
    const pages = await pagesOf(await ticketPdf(plan(demoJob('storage-chest'), shop), 0, stamp));
    expect(pages[0]).toContain(`printed ${localTime(stamp.printedAt)}`);
  });

  it('carries a mark that changes with what is to be cut, and with nothing else', () => {
    const one = demoJob('prompt-side-boxes');
    const mark = (changed: Job): string => ticketMark(plan(changed, shop), 0);
    expect(mark(one)).toMatch(/^[0-9A-F]{6}$/);
    expect(mark({ ...one, name: 'Another name', note: 'a remark' })).toBe(mark(one));
    const [first, ...rest] = one.cushions;
    expect(mark({ ...one, cushions: [{ ...first!, heightMm: first!.heightMm + 1 }, ...rest] })).not.toBe(mark(one));
  });

  it('says what must not pass in silence and what is missing, with what to do', async () => {
    const one = demoJob('storage-chest');
    const [first] = one.cushions;
    const grave: Cushion = { ...first!, core: { kept: true, layers: first!.core.layers }, seat: { old: { findings: ['mould'] } } };
    const text = (await pagesOf(await ticketPdf(planSolved({ ...one, cloth: { widthMm: 200 }, cushions: [grave] }, shop), 0, stamp))).join(' ');
    expect(text).toContain('The old core goes back in, and it is mouldy. Replace it.');
    expect(text).toContain('fits on none of its material: it is missing from what is bought');
  });

  it('of a cushion that cannot be cut still prints, with what is wrong on it; of none it refuses', async () => {
    const one = demoJob('storage-chest');
    const [first] = one.cushions;
    const broken = plan({ ...one, cushions: [{ ...first!, school: 'none' }] }, shop);
    expect((await pagesOf(await ticketPdf(broken, 0, stamp))).join(' ')).toContain('No allowance school is called “none”');
    await expectAsync(ticketPdf(broken, 4, stamp)).toBeRejectedWithError(RangeError);
  });
});

describe('a full-size print', () => {
  it('on a roll is as large as the piece, its hole and notches on it', async () => {
    const perch: Cushion = {
      name: 'Perch',
      quantity: 1,
      given: 'seat',
      template: { shape: 'round', diameterMm: 380 },
      heightMm: 60,
      school: 'padded-to-the-line',
      construction: { kind: 'drum', boardMm: 22 },
      core: { layers: [{ grade: 'wren-28', thicknessMm: 60 }] },
    };
    const [one] = planSolved({ ...demoJob('storage-chest'), cushions: [perch] }, shop).cushions;
    const flange = one!.pieces.find(({ role }) => role === 'flange')!;
    const pdf = await templatePdf(
      { outline: flange.outline, sewn: flange.sewn, holes: flange.holes ?? [], marks: flange.marks },
      { name: 'flange', units: 'metric', paper: { rollWidthMm: 914 } },
    );
    // In an inch job: 380 + 2 × 1/4 in deep; 12 of margin on both sides, 120 for the proof square.
    expect(Number(sizeOf(pdf).split(' ')[1])).toBeCloseTo(((380 + 2 * 6.35 + 24 + 120) * 72) / 25.4, 0);
  });
});

describe('labels of pieces', () => {
  it('are one for every piece that is cut, all of its words on it, on sheets and off a roll', async () => {
    const whole = await demoPlan('prompt-side-boxes');
    const [box] = whole.cushions;
    const copies = (box?.pieces ?? [])
      .filter(({ material }) => ['cloth', 'foam', 'wadding'].includes(material.kind))
      .reduce((sum, { countPerCushion }) => sum + countPerCushion * 6, 0);
    const roll = await pagesOf(await labelsPdf(whole, 0, 'roll'));
    expect(roll.length).toBe(copies);
    expect(sizeOf(await labelsPdf(whole, 0, 'roll'))).toBe('175.748031 82.204724');
    // Six cushions of two plates: each is named once.
    const plates = roll.filter((page) => page.startsWith('plate, '));
    expect(plates.length).toBe(12);
    expect(plates.filter((page) => page.includes('plate, 2 of 2') && page.includes('Box seat, 6 of 6') && page.includes('20 3/4 × 18')).length).toBe(1);
    const sheets = await pagesOf(await labelsPdf(whole, 0, 'letter'));
    expect(sheets.length).toBe(Math.ceil(copies / 30));
    expect(sheets.join(' ').match(/Box seat, \d of 6/g)?.length).toBe(copies);
    expect(pieceLabels(whole, null).length).toBeGreaterThan(copies);
  });
});

describe('the cutting list of a job', () => {
  it('has every piece of every cushion by material, as often as it is cut, with what to buy', async () => {
    const whole = await demoPlan('prompt-side-boxes');
    const text = (await pagesOf(await cuttingListPdf(whole, stamp))).join(' ');
    // Eight cushions: six box seats and two others; of each box seat two plates, so twelve of them.
    expect(text).toContain('Cutting list');
    expect(text).toMatch(/12 Box seat: plate 20 3\/4 × 18/);
    expect(text).toMatch(/Moss velvet · [\d /]+ yd/);
    const rows = whole.cushions.flatMap(({ source, pieces }) =>
      pieces
        .filter(({ material, grain }) => material.kind === 'cloth' && grain !== 'bias')
        .map(({ label, countPerCushion }) => `${source.quantity * countPerCushion} ${source.name}: ${label}`),
    );
    expect(rows.length).toBeGreaterThan(8);
    expect(rows.filter((row) => !text.includes(row))).toEqual([]);
    expect(text).toContain('To buy besides');
    // What is cut for stands above all lists, each cushion with its picture: lines between the words and what is over them.
    expect(text).toMatch(/Cut for Box seat × 6 .* Moss velvet ·/);
    const [seat] = whole.cushions;
    const pictures = pathsOf(await cuttingListPdf({ ...whole, lays: [], buy: [] }, stamp)).filter(
      ({ bottom, left, right }) => bottom < 200 && right - left < 90,
    );
    const none = pathsOf(await cuttingListPdf({ ...whole, lays: [], buy: [], cushions: [] }, stamp)).filter(
      ({ bottom, left, right }) => bottom < 200 && right - left < 90,
    );
    expect(seat?.state).toBe('planned');
    expect(pictures.length - none.length).toBeGreaterThan(3 * 6);
    // The lay stands above its list: every copy has the number of its row. Of the velvet the first row is the longest strip.
    const lay = whole.lays.find(({ key }) => key === 'cloth');
    const numbered = /Moss velvet · [\d /]+ yd((?: \d+)+?) (\d+) (\d+) [A-Z][^:]*: /.exec(text);
    expect(numbered?.[2]).toBe('1');
    expect(new Set(numbered?.[1]?.trim().split(' ')).size).toBeLessThanOrEqual(new Set(lay?.answer?.placements.map(({ item }) => item)).size);
    expect((numbered?.[1]?.trim().split(' ').length ?? 0) / (lay?.answer?.placements.length ?? NaN)).toBeGreaterThan(0.6);
    expect(text).toMatch(/page 1 of \d/);
  });
});
