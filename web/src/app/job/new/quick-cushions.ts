import { firstFilling, pairMm, type Cushion, type Job, type QuickReading, type Shop } from '@yardland/core';

interface Beside {
  readonly shop: Shop;
  /** The cushion in hand: what the line does not say of school and foam is as it has them. */
  readonly like: Cushion | null;
  /** In place of the one that the job began with. */
  readonly replaces: boolean;
}

/** A cushion made of what was read. A cloth that it names is its own unless it is the job's. */
function cushionOf(reading: Extract<QuickReading, { ok: true }>, name: string, job: Job, { shop, like, replaces }: Beside): Cushion {
  const school = reading.school ?? like?.school ?? shop.schools[0]?.id ?? '';
  const row = shop.school(school);
  const thicknessMm = reading.heightMm + (row ? pairMm(row.coreThickness, job.units) : 0);
  // As the cushion in hand is filled; what takes the place of the one a job began with is filled as it suits its own height.
  const grade = reading.grade ?? (replaces ? undefined : like?.core.layers[0]?.grade);
  const cloth = reading.cloth === null || reading.cloth === job.cloth.material ? undefined : shop.document.cloths.find(({ id }) => id === reading.cloth);
  return {
    name,
    quantity: reading.quantity,
    given: reading.given,
    template: reading.template,
    heightMm: reading.heightMm,
    school,
    construction: reading.construction,
    core: { layers: grade ? [{ grade, thicknessMm }] : firstFilling(thicknessMm, shop, job.units) },
    ...(cloth ? { cloth: { widthMm: cloth.widthMm, material: cloth.id } } : {}),
  };
}

/** The job with cushions made of what was read, where the first of them stands, and what the step of undo is called. */
export function withQuick(
  job: Job,
  readings: readonly Extract<QuickReading, { ok: true }>[],
  beside: Beside,
): { readonly next: Job; readonly first: number; readonly label: string } {
  const first = beside.replaces ? 0 : job.cushions.length;
  const made = readings.map((reading, i) => cushionOf(reading, `Cushion ${first + i + 1}`, job, beside));
  const label = made.length === 1 ? `Added ${made[0]?.name ?? ''}` : `Added ${made.length} cushions`;
  return { next: { ...job, cushions: beside.replaces ? made : [...job.cushions, ...made] }, first, label };
}
