import { madeAlone } from '../testing/covers';
import { sampleCushion } from '../testing/samples';
import { motifsOf } from './motifs';

const motifs = (
  over: Parameters<typeof sampleCushion>[0],
): { readonly of: (id: string) => readonly [number, number] | null; readonly ids: readonly string[] } => {
  const one = madeAlone(sampleCushion(over));
  const found = motifsOf(one.pieces, one.cover.seams);
  return {
    ids: [...found.keys()],
    of: (id) => {
      const at = found.get(id);
      return at ? [Math.round(at.x * 1000) / 1000, Math.round(at.y * 1000) / 1000] : null;
    },
  };
};

describe('where a motif falls', () => {
  it('is the middle of a plate, and on the front of the boxing so that the pattern runs on over the edge', () => {
    const one = madeAlone(sampleCushion({ template: { shape: 'rectangle', widthMm: 600, depthMm: 480 } }));
    const boxing = one.pieces.find(({ role, marks }) => role === 'boxing' && marks.some(({ kind }) => kind === 'centre-front'));
    const [front] = boxing?.marks.filter(({ kind, outward }) => kind === 'centre-front' && outward.y > 0) ?? [];
    const plate = one.pieces.find(({ role }) => role === 'plate');
    const box = plate?.sewn?.segments.flatMap(({ from }) => [from.y]) ?? [];
    const found = motifsOf(one.pieces, one.cover.seams);
    const [low, high] = [Math.min(...box), Math.max(...box)];
    expect(found.get('plate')).toEqual({ x: plate?.marks.find(({ kind }) => kind === 'centre-front')?.at.x ?? NaN, y: (low + high) / 2 });
    // Folded flat at its upper seam line the boxing lies before the plate: the motif is half the plate's depth behind that line.
    expect(found.get(boxing?.id ?? '')?.y).toBeCloseTo((front?.at.y ?? NaN) + (high - low) / 2, 6);
    expect(found.get(boxing?.id ?? '')?.x).toBeCloseTo(front?.at.x ?? NaN, 6);
  });

  it('is in the middle of a seat made of several cushions, so that the pattern runs on from one to the next', () => {
    const { of } = motifs({ template: { shape: 'rectangle', widthMm: 600, depthMm: 480 } });
    const [x = NaN, y = NaN] = of('plate') ?? [];
    const one = madeAlone(sampleCushion({ template: { shape: 'rectangle', widthMm: 600, depthMm: 480 } }));
    const left = motifsOf(one.pieces, one.cover.seams, { x: 301, y: -12 });
    expect(left.get('plate')).toEqual({ x: x + 301, y: y - 12 });
    const front = [...left.keys()].find((id) => id.startsWith('boxing')) ?? '';
    expect(left.get(front)?.x).toBeCloseTo((of(front)?.[0] ?? NaN) + 301, 3);
  });

  it('runs on across the seams of a plate in three parts, and asks nothing of welts and hidden strips', () => {
    const { of, ids } = motifs({
      template: { shape: 'rectangle', widthMm: 2000, depthMm: 500 },
      construction: { ...sampleCushion().construction, wide: 'pieced' } as ReturnType<typeof sampleCushion>['construction'],
    });
    // All three are drawn in the whole plate's place, so one motif stands for them.
    expect(of('plate-left')).toEqual(of('plate-middle'));
    expect(of('plate-right')).toEqual(of('plate-middle'));
    expect(of('plate-middle')?.[0]).toBe(1000);
    expect(ids.filter((id) => id.startsWith('welt') || id.startsWith('plaque'))).toEqual([]);
  });
});
