import { placed } from '../lay/contract';
import { SHAPES, type Template } from '../template/shapes/shapes';
import { planSolved } from '../plan/solve';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { clothPlaces } from './solid-cloth';

describe('where a piece lies on its cloth', () => {
  it('is where the lay has put it, each copy in its turn, those turned over last', () => {
    // The plate of an L has a left and a right: one of two is cut turned over.
    const template = SHAPES.map((shape) => shape.like(600, 500) as Template).find(({ shape }) => shape === 'l')!;
    const made = planSolved(sampleJob([sampleCushion({ template })]), demoShop());
    const [one] = made.cushions;
    expect(one!.cuts.some(({ turned }) => turned)).toBeTrue();
    const lay = made.lays.find(({ subject }) => subject.kind === 'cloth')!;
    let looked = 0;
    for (const { piece } of one!.cuts.filter((cut) => cut.piece.material.kind === 'cloth' && cut.piece.grain === 'with-the-roll')) {
      const places = clothPlaces(made, 0, piece.id);
      const mine = lay.answer!.placements.filter(({ item }) => item === `0/${piece.id}` || item === `0/${piece.id}/turned`);
      expect(places.length).withContext(piece.id).toBe(mine.length);
      places.forEach(({ across, along }, i) => {
        const placement = [...mine].sort((a, b) => Number(a.item.endsWith('/turned')) - Number(b.item.endsWith('/turned')) || a.copy - b.copy)[i]!;
        const item = lay.request.items.find(({ id }) => id === placement.item)!;
        const lain = placed(item.polygon, placement);
        const cut = one!.cuts.find((each) => each.piece.id === piece.id && each.turned === placement.item.endsWith('/turned'))!;
        // The cut's polygon of a copy turned over is drawn as the mirror image: its points are those of the piece the other way round.
        const middle = Math.max(...cut.polygon.map(({ x }) => x)) + Math.min(...cut.polygon.map(({ x }) => x));
        for (const p of cut.polygon) {
          const drawn = cut.turned ? { x: middle - p.x, y: p.y } : p;
          const at = { x: along[0] * drawn.x + along[1] * drawn.y + along[2], y: across[0] * drawn.x + across[1] * drawn.y + across[2] };
          expect(Math.min(...lain.map((q) => Math.hypot(q.x - at.x, q.y - at.y)))).toBeLessThan(1e-6);
          looked++;
        }
      });
    }
    expect(looked).toBeGreaterThan(20);
  });
});
