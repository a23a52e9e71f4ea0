import type { Cushion } from '../../../job/document';
import { remnantSchema } from '../../../material/material';
import { openShop } from '../../../shop/shop';
import { planned } from '../../../testing/planned';
import { demoShop, sampleCushion } from '../../../testing/samples';
import { oldCoreAsRemnant } from './as-remnant';

const shop = demoShop();
const as = (old: NonNullable<NonNullable<Cushion['seat']>['old']>) => oldCoreAsRemnant(planned(sampleCushion({ seat: { old } })), 'Stalls benches', shop);

describe('an old core as foam to cut from', () => {
  it('is of the grade that feels most like it, as thick as where it is thinnest, and as large as its cushion’s core', () => {
    // Measured 165 N: nearest are 156 (28 kg/m³) and 169 (40 kg/m³).
    const found = as({ hardness25N: 165, edgeMm: 80, middleMm: 72, mark: 'A', findings: ['discoloured'] });
    expect(found).toEqual({ grade: 'heron-40', thicknessMm: 72, widthMm: 590, lengthMm: 490, note: 'old core A, Stalls benches' });
    expect(remnantSchema.safeParse({ id: 'old', ...(found as object) }).success).toBeTrue();
    // Between two of about the same hardness the density decides.
    expect(as({ hardness25N: 162, densityKgM3: 28, edgeMm: 80, findings: [] })).toEqual(jasmine.objectContaining({ grade: 'wren-28' }));
    const away = openShop({ ...shop.document, grades: shop.document.grades.map((one) => (one.id === 'heron-40' ? { ...one, putAway: true } : one)) });
    const same = planned(sampleCushion({ seat: { old: { hardness25N: 169, edgeMm: 80, findings: [] } } }));
    expect(oldCoreAsRemnant(same, 'x', away)).toEqual(jasmine.objectContaining({ grade: 'wren-28' }));
  });

  it('is none where it is past use, or was not measured', () => {
    expect(as({ hardness25N: 165, edgeMm: 80, findings: ['mould'] })).toBe('past-use');
    expect(as({ edgeMm: 80, findings: [] })).toBe('not-measured');
    expect(as({ hardness25N: 165, findings: [] })).toBe('not-measured');
    expect(oldCoreAsRemnant(planned(sampleCushion()), 'x', shop)).toBe('not-measured');
  });
});
