import { plan } from '../plan/plan';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { needleFor } from './sewing';

describe('how a cover is sewn', () => {
  const cautions = (over: Parameters<typeof sampleCushion>[0], cloth: object): string[] =>
    plan(sampleJob([sampleCushion(over)], { cloth: { widthMm: 1400, ...cloth } }), demoShop()).cushions[0]?.operations.flatMap(({ phase, cautions: said }) =>
      phase === 'sew' ? said : [],
    ) ?? [];

  it('takes the needle by the cloth’s thickness, and leather its own point', () => {
    const cloth = { name: '', kind: 'woven' as const, outdoors: false };
    expect([0.4, 0.5, 0.7, 1.2, 1.4, 2].map((thicknessMm) => needleFor({ ...cloth, thicknessMm }).size)).toEqual([80, 80, 90, 100, 110, 120]);
    expect(needleFor({ ...cloth, thicknessMm: 1.2, kind: 'leather' }).point).toBe('leather');
  });

  it('is said once, on the first step at the machine, with the cloth by name, and thread for the sun out of doors', () => {
    const [said, ...more] = cautions({}, { material: 'moss-velvet' }).filter((words) => words.startsWith('Needle '));
    expect(more).toEqual([]);
    expect(said).toBe('Needle 110, round point; polyester thread; stitch 4 mm, top stitch 6 mm. Sew a scrap of Moss velvet first.');
    const outside = cautions({ seat: { place: 'outdoor' } }, { material: 'rain-canvas' }).find((words) => words.startsWith('Needle '));
    expect(outside).toContain('Needle 90');
    expect(outside).toContain('stands the sun');
  });

  it('is said in stitches to the inch in an inch job, never in eighths', () => {
    const said = plan(sampleJob([sampleCushion()], { units: 'inch' }), demoShop())
      .cushions[0]!.operations.flatMap((step) => step.cautions)
      .find((words) => words.startsWith('Needle '));
    // 25.4 ÷ 4 = 6.35 and 25.4 ÷ 6 = 4.23.
    expect(said).toContain('stitch 6 to the inch, top stitch 4 to the inch');
  });

  it('is on the cushion’s own machine where it has one', () => {
    const pinned = (over: Parameters<typeof sampleCushion>[0]): boolean => cautions(over, {}).some((words) => words.includes('go round twice'));
    expect([pinned({}), pinned({ machine: 'home' })]).toEqual([false, true]);
  });
});
