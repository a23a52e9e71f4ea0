import type { Construction } from '../cover/list';
import type { Cushion } from '../job/document';
import { toolsOf } from '../piece/operation';
import { openShop, type ShopDocument } from '../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { plan } from './plan';

const demo = demoShop();

function tools(construction: Partial<Construction>, material: string, over: Partial<Cushion> = {}, ways: Partial<ShopDocument> = {}): string[] {
  const cushion = sampleCushion({ construction: construction as Construction, ...over });
  const shop = openShop({ ...demo.document, ...ways });
  const [one] = plan(sampleJob([cushion], { cloth: { material, widthMm: 1500 } }), shop).cushions;
  return toolsOf(one?.operations ?? []);
}

describe('what is laid out beyond the everyday tools', () => {
  it('is what the steps take, each once', () => {
    expect(tools({ kind: 'boxed', edge: 'plain' }, 'russet-wool')).toEqual(['foam saw', 'vacuum and thin bags']);
    expect(
      tools({ kind: 'boxed', edge: 'plain', closing: 'hand' }, 'russet-wool', { core: { layers: [{ grade: 'wren-28', thicknessMm: 75 }], tool: 'knife' } }),
    ).toEqual(['foam knife', 'vacuum and thin bags', 'curved needle']);
    expect(tools({ kind: 'boxed', edge: 'plain', vents: 2 }, 'saddle-hide', { fill: 'by-hand', wrapFix: 'staples' })).toEqual([
      'foam saw',
      'leather needle',
      'eyelet tool',
      'staple gun',
    ]);
    // A slit strip of leather is stuck down: no seam of it is laid open.
    const slit = { kind: 'boxed', edge: 'plain', plaque: 'slit' } as const;
    expect([tools(slit, 'saddle-hide'), tools(slit, 'moss-velvet')].map((all) => all.includes('seam roller'))).toEqual([false, true]);
    expect(tools({ kind: 'knife-edge' }, 'moss-velvet', { fill: 'by-hand' }, { rawEdges: 'overlocked' })).toEqual(
      jasmine.arrayContaining(['overlock machine', 'seam roller', 'curved needle']),
    );
  });
});
