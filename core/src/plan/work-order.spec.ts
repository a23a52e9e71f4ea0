import { CONSTRUCTIONS } from '../cover/list';
import type { Choices, Construction } from '../cover/contract';
import type { Cushion } from '../job/document';
import { isLaid } from '../piece/piece';
import { plannedAlone } from '../testing/covers';
import { sampleCushion } from '../testing/samples';
import type { Planned } from './cushion/cushion-plan';

const SPRINGS = [
  { grade: 'eider-feather', thicknessMm: 40 },
  { grade: 'wren-28', thicknessMm: 50 },
  { grade: 'plover-springs', thicknessMm: 100 },
];
const ties = [{ kind: 'tie', edge: 'back', share: 0.05 } as const, { kind: 'tie', edge: 'back', share: 0.95 } as const];

/** Choices that change the order of work. */
const ORDER: ReadonlySet<string> = new Set(['boxing', 'closing', 'order', 'edge', 'wide', 'as', 'cover']);

/** Every choice of a construction by itself, and each pair of the ones that change the order of work. */
function choicesOf({ kind, fields, defaults }: Construction): Choices[] {
  const options = fields.flatMap((field) => (field.kind === 'choice' ? field.options.map(({ value }) => ({ key: field.key, value })) : []));
  const single = options.map(({ key, value }) => ({ ...defaults(), kind, [key]: value }));
  const pairs = options.flatMap((a, i) =>
    options
      .slice(i + 1)
      .flatMap((b) => (a.key === b.key || !ORDER.has(a.key) || !ORDER.has(b.key) ? [] : [{ ...defaults(), kind, [a.key]: a.value, [b.key]: b.value }])),
  );
  return [{ ...defaults(), kind }, ...single, ...pairs];
}

/** What each construction is tried on. */
const templateFor = ({ kind, wide }: Choices): Partial<Cushion> =>
  kind === 'bolster'
    ? { given: 'finished', template: { shape: 'round', diameterMm: 180 }, heightMm: 600 }
    : kind === 'drum'
      ? { template: { shape: 'round', diameterMm: 380 }, heightMm: 60 }
      : { template: { shape: 'rectangle', widthMm: wide === 'pieced' ? 1900 : 600, depthMm: 560 }, heightMm: 190 };

interface Case {
  readonly name: string;
  readonly one: Planned;
}

function cases(): Case[] {
  return CONSTRUCTIONS.flatMap((module) =>
    choicesOf(module).flatMap((choices, i): Case[] => {
      const construction = choices as Cushion['construction'];
      const suited = module.kind !== 'bolster' && module.kind !== 'drum';
      // Springs, ties, ways to hold the wrap and machines in turn, so that each meets many choices.
      const over: Partial<Cushion> = {
        ...templateFor(choices),
        construction,
        core: { layers: i % 2 && suited ? SPRINGS : [{ grade: 'wren-28', thicknessMm: 100 }] },
        wrapFix: (['adhesive', 'staples', 'stitch', 'loose'] as const)[i % 4]!,
        machine: i % 3 ? 'walking-foot' : 'home',
        ...(i % 5 === 0 && suited ? { marks: ties } : {}),
      };
      const one = plannedAlone(sampleCushion(over));
      return one.state === 'planned' ? [{ name: `${JSON.stringify(construction)} ${i}`, one }] : [];
    }),
  );
}

describe('the work order', () => {
  const all = cases();

  it('is looked at for every construction and choice', () => {
    expect(new Set(all.map(({ one }) => one.construction.kind)).size).toBe(CONSTRUCTIONS.length);
    expect(all.length).toBeGreaterThan(250);
    expect(all.flatMap(({ one }) => one.problems.filter(({ code }) => code === 'seam-pair-unequal' || code === 'operations-in-a-circle'))).toEqual([]);
  });

  it('sews every seam in one step, no more and no less', () => {
    for (const { name, one } of all) {
      const sewn = one.operations.flatMap(({ seams }) => seams);
      const known = one.cover.seams.map(({ id }) => id);
      expect(known.filter((id) => !sewn.includes(id)))
        .withContext(`never sewn: ${name}`)
        .toEqual([]);
      expect(sewn.filter((id, i) => sewn.indexOf(id) !== i))
        .withContext(`sewn twice: ${name}`)
        .toEqual([]);
      expect(sewn.filter((id) => !known.includes(id)))
        .withContext(`no such seam: ${name}`)
        .toEqual([]);
    }
  });

  it('needs nothing that a later step makes: pieces are cut once and before they are in hand, and what a step waits for comes first', () => {
    for (const { name, one } of all) {
      const { operations, pieces } = one;
      const ids = operations.map(({ id }) => id);
      operations.forEach(({ id, after }, i) => {
        expect(after.filter((before) => ids.indexOf(before) > i))
          .withContext(`${id} of ${name}`)
          .toEqual([]);
      });
      const cutters = operations.filter(({ id }) => id.startsWith('cut/') && !/notch|chalk/.test(id));
      for (const piece of pieces.filter(isLaid)) {
        if (piece.material.kind === 'thin-foam') continue;
        expect(cutters.filter((step) => step.pieces.includes(piece.id)).length)
          .withContext(`${piece.id} is cut, ${name}`)
          .toBe(1);
      }
      const made = new Set<string>();
      for (const { id, phase, pieces: inHand, seams } of operations) {
        const cut = phase === 'cut' && !/notch|chalk/.test(id);
        if (!cut) {
          const early = inHand.filter((piece) => pieces.some((each) => each.id === piece && each.material.kind === 'cloth') && !made.has(piece));
          expect(early).withContext(`in hand before they are cut at ${id}: ${name}`).toEqual([]);
          // A seam joins nothing that is not there yet.
          const missing = seams.flatMap((seam) =>
            (one.cover.seams.find((each) => each.id === seam)?.edges ?? []).flatMap(({ stretches }) => stretches.map(({ piece }) => piece)),
          );
          expect(missing.filter((piece) => !made.has(piece)))
            .withContext(`sewn before they are cut at ${id}: ${name}`)
            .toEqual([]);
        }
        if (cut) for (const piece of inHand) made.add(piece);
      }
    }
  });

  it('opens a zip after it is set and before the seam that closes the cover', () => {
    let zipped = 0;
    for (const { name, one } of all) {
      if (!one.cover.closings.some(({ kind }) => kind === 'zip')) continue;
      zipped++;
      const at = (found: (step: Planned['operations'][number]) => boolean): number => one.operations.findIndex(found);
      const open = at(({ id }) => id === 'sew/open-zip');
      const set = at(({ text }) => /zip of \{0\}/.test(text));
      const plates = new Set(
        one.pieces.filter(({ role, material }) => ['plate', 'base', 'end'].includes(role) && material.kind === 'cloth').map(({ id }) => id),
      );
      const last = one.operations.reduce(
        (found, step, i) =>
          step.phase === 'sew' &&
          step.seams.some((id) =>
            one.cover.seams.some(
              (seam) => seam.id === id && seam.method === 'machine' && seam.edges.some(({ stretches }) => stretches.some(({ piece }) => plates.has(piece))),
            ),
          )
            ? i
            : found,
        -1,
      );
      expect(set >= 0 && open > set && last > open)
        .withContext(`${name}: set ${set}, open ${open}, last seam ${last}`)
        .toBeTrue();
    }
    expect(zipped).toBeGreaterThan(120);
  });

  it('lays the muslin before the foam is glued on it, and says nothing of bags, springs or soft sides where there are none', () => {
    for (const { name, one } of all) {
      const ids = one.operations.map(({ id }) => id);
      const sprung = one.source.core.layers.some(({ grade }) => grade === 'plover-springs');
      const ownFeather = one.construction.kind === 'channelled' && !name.includes('envelope');
      const layered = sprung && !ownFeather;
      expect(ids.includes('prepare/muslin')).withContext(name).toBe(layered);
      if (layered) expect(ids.indexOf('prepare/muslin')).withContext(name).toBeLessThan(ids.indexOf('prepare/glue-layers'));
      for (const { text, cautions } of one.operations) {
        const words = cautions.join(' ');
        if (/plastic bag/.test(words))
          expect(text)
            .withContext(name)
            .toMatch(/bag|film|[Vv]acuum/);
        if (/Soft side/.test(words)) expect(one.source.core.layers.length).withContext(name).toBeGreaterThan(1);
      }
    }
  });

  it('staples a wrap and then trims it, whipping nothing; what is glued is whipped or mitred', () => {
    const words = (wrapFix: Cushion['wrapFix'], wrapWay: Cushion['wrapWay']): string => {
      const one = plannedAlone(sampleCushion({ ...(wrapFix ? { wrapFix } : {}), ...(wrapWay ? { wrapWay } : {}) }));
      return one.operations.find(({ id }) => id === 'prepare/wrap')?.text ?? '';
    };
    for (const way of ['blanket', 'faces', 'faces-and-border', 'butted-border', 'parcel', 'whipped'] as const) {
      const stapled = words('staples', way);
      expect(stapled)
        .withContext(way)
        .not.toMatch(/[Ww]hip/);
      expect(stapled.indexOf('Staple')).withContext(way).toBeLessThan(stapled.indexOf('trim what stands over at 45°'));
      const glued = words('adhesive', way);
      if (/[Ww]hip/.test(glued))
        expect(glued.indexOf('press it on'))
          .withContext(way)
          .toBeLessThan(glued.search(/[Ww]hip/));
    }
  });
});

describe('the order of a refresh', () => {
  const kept = (over: Partial<Cushion['seat'] & object>): Planned => {
    const one = plannedAlone(
      sampleCushion({
        given: 'core',
        core: { kept: true, layers: [{ grade: 'wren-28', thicknessMm: 75 }] },
        seat: { old: { edgeMm: 100, middleMm: 85, findings: ['smell', 'joints-open', 'strip-missing'], mark: 'B' }, ...over },
      }),
    );
    if (one.state !== 'planned') throw new Error('not planned');
    return one;
  };

  it('takes the old wrap off first, cleans, glues, fills the hollow, steams, and wraps anew, each with its wait', () => {
    const one = kept({ oldCover: { findings: [], offCore: 'B' } });
    const steps = one.operations.filter(({ phase }) => phase === 'strip' || phase === 'prepare');
    expect(steps.map(({ id }) => id)).toEqual([
      'prepare/cover-wash',
      'prepare/old-wrap',
      'prepare/old-frame',
      'prepare/old-air',
      'prepare/old-glue',
      'prepare/old-splice',
      'prepare/old-pad',
      'prepare/old-steam',
      'prepare/wrap',
    ]);
    expect(steps.map(({ waitMinutes }) => waitMinutes)).toEqual([1440, 0, 0, 30, 30, 30, 0, 10, 5]);
  });

  it('calls the old cover a pattern only where a new one is made', () => {
    const insert = (one: Planned) => one.operations.find(({ id }) => id === 'fill/insert')!.text;
    expect(insert(kept({ oldCover: { findings: ['worn'], offCore: 'B' } }))).toContain('Core B goes in: its old cover is the pattern.');
    expect(insert(kept({ oldCover: { findings: [], offCore: 'B' } }))).toMatch(/Core B goes in\.$/);
  });
});
