import type { Cushion } from '../job/document';
import { plan } from '../plan/plan';
import { openShop, type ShopDocument } from '../shop/shop';
import { planned } from '../testing/planned';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';

const operation = (over: Partial<Cushion>, id: string) => planned(sampleCushion(over)).operations.find((one) => one.id === id);

describe('the work on a core', () => {
  it('holds the wrap as it was chosen, each way with its own cautions and no other', () => {
    const wrap = (wrapFix?: Cushion['wrapFix']) => operation(wrapFix ? { wrapFix } : {}, 'prepare/wrap')!;
    expect(wrap().text).toContain('tacky');
    expect(wrap().cautions.join(' ')).toContain('open the window');
    expect(wrap('staples').text).toContain('Staple it round the edge seam');
    expect(wrap('staples').cautions.join(' ')).not.toContain('window');
    expect(wrap('stitch').cautions).toEqual([]);
    expect(wrap('loose').cautions.join(' ')).toContain('rolls up');
    expect(wrap('loose').waitMinutes ?? 0).toBe(0);
  });

  it('cuts slab with scissors or a knife, a layer at a time, and foam with the saw', () => {
    const slab = operation({ core: { layers: [{ grade: 'dunnock-40', thicknessMm: 75 }] } }, 'cut/foam-1')!;
    expect(slab.text).toContain('scissors');
    expect(slab.cautions.join(' ')).not.toContain('Foam saw');
    expect(operation({}, 'cut/foam-1')!.cautions.join(' ')).toContain('Foam saw');
  });

  it('wraps springs in felt before anything is glued to them, and slides them in neither bagged nor compressed', () => {
    const core = {
      layers: [
        { grade: 'wren-28', thicknessMm: 30 },
        { grade: 'plover-springs', thicknessMm: 120 },
      ],
    };
    const ids = planned(sampleCushion({ core, heightMm: 150 })).operations.map(({ id }) => id);
    expect(ids.indexOf('prepare/felt')).toBeGreaterThan(ids.indexOf('cut/felt-2-second'));
    expect(ids.indexOf('prepare/felt')).toBeLessThan(ids.indexOf('prepare/glue-layers'));
    expect(operation({ core, heightMm: 150 }, 'fill/insert')!.text).toContain('neither bagged nor compressed');
    // Springs want the whole back and both corners open.
    const closed = planned(sampleCushion({ core, heightMm: 150, construction: { kind: 'boxed', edge: 'plain', zipReturnMm: 0 } }));
    expect(closed.problems.map(({ code }) => code)).toContain('zip-too-short-for-core');
    const open = planned(sampleCushion({ core, heightMm: 150 }));
    expect(open.problems.map(({ code }) => code)).not.toContain('zip-too-short-for-core');
  });
});

describe('what the shop does its own way', () => {
  const made = (shop: Partial<ShopDocument>, over: Partial<Cushion> = {}) => {
    const whole = plan(sampleJob([sampleCushion({ quantity: 3, ...over })]), openShop({ ...demoShop().document, ...shop }));
    const [one] = whole.cushions;
    const step = (id: string) => one?.operations.find((each) => each.id === id);
    return { whole, step, codes: one?.problems.map(({ code }) => code) ?? [] };
  };
  const bags = ({ whole }: ReturnType<typeof made>) => whole.buy.filter(({ ware }) => ware === 'bag').map(({ amount }) => amount?.value);

  it('fills by its own way, a cushion by another: with or without a bag, which is bought only where it stays inside', () => {
    expect(made({}).step('fill/insert')?.text).toContain('draw the bag out');
    expect(made({ fill: 'bag-left' }).step('fill/insert')?.text).toContain('the bag stays inside');
    const hand = made({ fill: 'bag-left' }, { fill: 'by-hand' });
    expect(hand.step('fill/insert')?.text).toContain('Fold the core in half');
    expect(hand.step('fill/insert')?.cautions.join(' ')).not.toContain('child');
    expect([{}, { fill: 'bag-left' as const }].map((shop) => bags(made(shop)))).toEqual([[], [3]]);
    expect(bags(hand)).toEqual([]);
    // Springs are never bagged, whatever the shop does.
    const springs = made(
      { fill: 'bag-left' },
      {
        heightMm: 150,
        core: {
          layers: [
            { grade: 'wren-28', thicknessMm: 30 },
            { grade: 'plover-springs', thicknessMm: 120 },
          ],
        },
      },
    );
    expect([bags(springs), springs.step('fill/insert')?.text.includes('neither bagged')]).toEqual([[], true]);
  });

  it('wants a wider opening for a core that is folded by hand', () => {
    // 600 × 800: an opening of 600 + 2 × 50, of which pockets of 100 leave 500. A bag passes 0.6 × 600, a folded core wants 600.
    const over: Partial<Cushion> = {
      template: { shape: 'rectangle', widthMm: 600, depthMm: 800 },
      construction: { kind: 'boxed', edge: 'plain', zipPocketMm: 100 },
    };
    expect(made({}, over).codes).not.toContain('zip-too-short-for-core');
    expect(made({ fill: 'by-hand' }, over).codes).toContain('zip-too-short-for-core');
  });

  it('holds wraps its own way, a cushion another, and warns where that holds nothing', () => {
    expect(made({ wrapFix: 'staples' }).step('prepare/wrap')?.text).toContain('Staple it');
    expect(made({ wrapFix: 'staples' }, { wrapFix: 'stitch' }).step('prepare/wrap')?.text).not.toContain('Staple it');
    expect(made({ wrapFix: 'loose' }).codes).toContain('wrap-not-fixed');
    expect(made({ wrapFix: 'loose' }, { wrapFix: 'adhesive' }).codes).not.toContain('wrap-not-fixed');
  });
});
