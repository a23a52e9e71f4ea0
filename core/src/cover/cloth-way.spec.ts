import type { Job } from '../job/document';
import { natureOf, showsHoles } from '../material/material';
import { clothUse } from '../plan/cloths';
import { plan } from '../plan/plan';
import type { Operation } from '../piece/operation';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { CONSTRUCTIONS, type Construction } from './list';

const shop = demoShop();

/** What is never said of leather and vinyl: every hole stays, an iron spoils them, and a hide has no threads. */
const FORBIDDEN =
  /\bpin(s|ned)?\b|\bbast|\bunpick|\bpress(ed)?( it| the seams?| away)? ?(open|flat|the seam|away)|\bpress(ed)? the|\bsteam|\biron\b|\bnap\b|selvedge|\bgrain\b|threads|twice/i;

const said = ({ text, cautions, stages }: Operation): string[] => [text, ...cautions, ...stages.map(({ words }) => words)];

/** Every construction, in its usual way and with each of its choices taken otherwise, on a seat that has springs where it asks for them. */
function ways(): Construction[] {
  return CONSTRUCTIONS.flatMap((construction) => {
    const usual = construction.defaults() as Construction;
    const others = construction.fields.flatMap((field) =>
      field.kind === 'choice'
        ? field.options.map(({ value }) => ({ ...usual, [field.key]: value }))
        : field.kind === 'count'
          ? [{ ...usual, [field.key]: 2 }]
          : [],
    );
    return [usual, ...others].map((choices) => construction.schema.parse(choices) as Construction);
  });
}

function stepsIn(material: string, construction: Construction, machine: 'home' | 'walking-foot', over: Partial<Job> = {}): readonly Operation[] {
  const marks = [
    { kind: 'tie' as const, edge: 'back' as const, at: 0.25 },
    { kind: 'button' as const, x: 0.5, y: 0.5 },
  ];
  const suits = construction.kind === 'boxed' || construction.kind === 'sprung';
  const cushion = sampleCushion({ construction, machine, ...(suits ? {} : {}), marks: suits ? (marks as never) : [] });
  const cloth = { material, widthMm: shop.cloth(material)?.widthMm ?? 1400 };
  const [one] = plan(sampleJob([cushion], { cloth, ...over }), shop).cushions;
  if (one?.state !== 'planned') return [];
  // What is of ticking or lining only is woven, whatever the cover is of.
  const hidden = (id: string): boolean => {
    const of = one.pieces.find((piece) => piece.id === id)?.material;
    return of?.kind === 'cloth' && (of.slot === 'ticking' || of.slot === 'lining');
  };
  return one.operations.filter(({ pieces }) => pieces.length === 0 || !pieces.every(hidden));
}

/** Steps that have the cover in hand: the core's own are the same whatever it goes into. */
const onCover = (steps: readonly Operation[]): Operation[] => steps.filter(({ id }) => /^(sew|fill|fix)\/|^cut\/(cover|notch|case)/.test(id));

describe('leather and vinyl', () => {
  it('are cut, held, sewn and dressed in words of their own, in every construction', () => {
    let made = 0;
    for (const material of ['saddle-hide', 'foyer-vinyl'])
      for (const machine of ['walking-foot', 'home'] as const)
        for (const construction of ways())
          for (const operation of onCover(stepsIn(material, construction, machine))) {
            made++;
            for (const words of said(operation))
              expect(words)
                .withContext(`${material}, ${JSON.stringify(construction)}, ${operation.id}`)
                .not.toMatch(FORBIDDEN);
          }
    expect(made).toBeGreaterThan(1000);
    // The words are looked for where they stand: woven cloth has them.
    const woven = CONSTRUCTIONS.filter(({ defaults }) =>
      onCover(stepsIn('russet-wool', defaults() as Construction, 'home'))
        .flatMap(said)
        .some((one) => FORBIDDEN.test(one)),
    );
    expect(woven.length).toBe(CONSTRUCTIONS.length);
  });

  it('say how they are held and sewn once, with the longer stitch; on a home machine no seam takes as long again', () => {
    const boxed = sampleCushion().construction;
    const words = (material: string) =>
      onCover(stepsIn(material, boxed, 'home'))
        .flatMap(said)
        .join(' ');
    expect(words('saddle-hide')).toContain('leather point');
    expect(words('saddle-hide')).toContain('stitch 5 mm');
    expect(words('saddle-hide')).toContain('staples in the allowance each 40 mm');
    expect(words('foyer-vinyl')).toContain('round point');
    expect(words('russet-wool')).toContain('stitch 4 mm');
    const minutes = (material: string, machine: 'home' | 'walking-foot') =>
      stepsIn(material, boxed, machine).find(({ id }) => id === 'sew/band-to-bottom')?.minutes ?? NaN;
    expect(minutes('saddle-hide', 'home')).toBeCloseTo(minutes('saddle-hide', 'walking-foot'), 9);
    expect(minutes('russet-wool', 'home')).toBeGreaterThan(1.25 * minutes('russet-wool', 'walking-foot'));
  });

  it('have their welt cut straight and their plaque of two folded strips, and a slit strip without a basted seam', () => {
    const usual = { kind: 'boxed', edge: 'welt', cordMm: 5 } as Construction;
    const planned = (construction: Construction, material = 'saddle-hide') => {
      const [one] = plan(sampleJob([sampleCushion({ construction })], { cloth: { material, widthMm: 1500 } }), shop).cushions;
      if (one?.state !== 'planned') throw new Error('blocked');
      return one;
    };
    const leather = planned(usual);
    expect(leather.pieces.find(({ role }) => role === 'welt')?.grain).toBe('any');
    expect(
      leather.pieces
        .filter(({ role }) => role === 'plaque')
        .map(({ remark }) => remark)
        .join(),
    ).not.toContain('slit');
    expect(planned(usual, 'russet-wool').pieces.find(({ role }) => role === 'welt')?.grain).toBe('bias');
    const slit = (material: string) => planned({ ...usual, plaque: 'slit' } as Construction, material).cover.seams.find(({ id }) => id === 'plaque-slit')?.rows;
    expect([slit('saddle-hide'), slit('russet-wool')]).toEqual([2, 3]);
  });

  it('keep linings and tickings off the hide unless they are asked for', () => {
    const job = sampleJob([sampleCushion()], { cloth: { material: 'saddle-hide', widthMm: 1500 } });
    const [cushion] = job.cushions as [Job['cushions'][number]];
    expect(clothUse('lining', job, cushion, shop).material).toBe('calico');
    expect(clothUse('welt', job, cushion, shop).material).toBe('saddle-hide');
    const asked = { ...cushion, slots: { lining: job.cloth } };
    expect(clothUse('lining', job, asked, shop).material).toBe('saddle-hide');
    expect(clothUse('lining', { cloth: { material: 'russet-wool', widthMm: 1500 } }, cushion, shop).material).toBe('russet-wool');
  });

  it('are known from records kept before kinds were by whether they come as hides', () => {
    expect([natureOf({ hideMm: 1900 }).kind, natureOf({}).kind, natureOf().kind]).toEqual(['leather', 'woven', 'woven']);
    expect(showsHoles(natureOf({ kind: 'vinyl' }))).toBeTrue();
    expect(natureOf({ kind: 'woven', pressable: false }).pressable).toBeFalse();
  });
});
