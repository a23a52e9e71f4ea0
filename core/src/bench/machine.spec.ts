import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { openShop } from '../shop/shop';
import { plan } from '../plan/plan';

describe('the shop’s machine', () => {
  const step = (machine: 'home' | 'walking-foot' | undefined, id: string) => {
    const { document } = demoShop();
    const made = plan(
      sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: 600, depthMm: 400 } })]),
      openShop({ ...document, ...(machine ? { machine } : {}) }),
    );
    const [one] = made.cushions;
    const found = one?.operations.find((each) => each.id === id);
    if (!found) throw new Error(id);
    return found;
  };

  it('asks for pins and a second round at home, which takes its time, and for nothing on a walking foot', () => {
    const [plain, foot, home] = [step(undefined, 'sew/band-to-top'), step('walking-foot', 'sew/band-to-top'), step('home', 'sew/band-to-top')];
    expect(foot).toEqual(plain);
    expect(home.cautions.filter((words) => words.includes('go round twice')).length).toBe(1);
    expect(home.cautions.some((words) => words.includes('zip’s tape'))).toBeFalse();
    // Once more round a plate of 600 × 400 sewn: 2 m at 1.2 minutes.
    expect(home.minutes - plain.minutes).toBeCloseTo(2.4, 2);
  });

  it('warns of the zip only where one is crossed, and of nothing where nothing is sewn', () => {
    const [plain, home] = [step(undefined, 'sew/plaque-ends'), step('home', 'sew/plaque-ends')];
    expect(home.cautions).toEqual([...plain.cautions, jasmine.stringContaining('zip’s tape')]);
    expect(home.minutes).toBe(plain.minutes);
    expect(step('home', 'cut/cover')).toEqual(step(undefined, 'cut/cover'));
  });
});
