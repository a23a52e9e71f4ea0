import type { LayMaterial, LayPattern } from '../../lay/contract';
import { nominalThickness, type Remnant } from '../../material/material';
import type { Shop } from '../../shop/shop';
import { formatSize } from '../../units/format';
import type { LaySubject } from './planned-lay';
import type { SayIn } from '../../say/say';

/** The lay of a remnant, before the lay of what is bought. */
export const remnantKey = (key: string, remnant: string): string => `${key}/on ${remnant}`;

/** Whether a remnant is of the material of a lay. */
function isOf(remnant: Remnant, subject: LaySubject, shop: Shop): boolean {
  if ('cloth' in remnant) return subject.kind === 'cloth' && subject.use.material === remnant.cloth;
  if (subject.kind !== 'foam' || subject.grade !== remnant.grade) return false;
  const grade = shop.grade(remnant.grade);
  return grade !== undefined && nominalThickness(grade, remnant.thicknessMm) === subject.thicknessMm;
}

/** The remnants of the stockroom that are of the material of a lay, whether set aside or not: the smallest first, so that large ones stay whole. */
export function remnantsFor(subject: LaySubject, shop: Shop): readonly Remnant[] {
  return shop.document.remnants.filter((one) => isOf(one, subject, shop)).sort((a, b) => a.widthMm * a.lengthMm - b.widthMm * b.lengthMm);
}

/** A remnant as it lies on the table: its outline or its box, x along, its lower left corner at 0. `pattern`: of its cloth, which lies on it as a motif was found on it; without one nothing can be matched there. */
export function remnantMaterial(
  { widthMm, lengthMm, outline, flaws = [], soft = [], motif }: Remnant,
  pattern?: LayPattern,
): Extract<LayMaterial, { readonly kind: 'hide' }> {
  const box: readonly (readonly [number, number])[] = [
    [0, 0],
    [lengthMm, 0],
    [lengthMm, widthMm],
    [0, widthMm],
  ];
  const [left, low] = [0, 1].map((axis) => Math.min(...(outline ?? box).map((point) => point[axis] ?? 0)));
  const points = (ring: readonly (readonly [number, number])[]) => ring.map(([x, y]) => ({ x: x - (left ?? 0), y: y - (low ?? 0) }));
  const shape = { kind: 'hide', outline: points(outline ?? box), flaws: flaws.map(points), soft: soft.map(points) } as const;
  // The row that the motif lies in counts as the first.
  return motif && pattern ? { ...shape, pattern: { ...pattern, motifAcrossMm: motif.acrossMm, motifAlongMm: motif.alongMm } } : shape;
}

/** A remnant in words: `remnant 600 × 400 mm, Stalls`; one of leather is a hide. */
export function remnantWords(remnant: Omit<Remnant, 'id'> & { readonly cloth?: string }, shop: Shop, { units, step }: SayIn): string {
  const size = formatSize([remnant.lengthMm, remnant.widthMm], units, step);
  const hide = remnant.outline && shop.cloth(remnant.cloth ?? '')?.hideMm !== undefined;
  return `${hide ? 'hide' : 'remnant'} ${size}${remnant.note ? `, ${remnant.note}` : ''}`;
}
