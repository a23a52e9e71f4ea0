import { firstFilling, JOB_FORMAT, offered, type Job, type Shop } from '@yardland/core';

/** A new job with one ordinary cushion, ready to be measured. */
export function newJob(shop: Pick<Shop, 'document' | 'schools' | 'assume'>): Job {
  const inch = shop.document.units === 'inch';
  const [width, depth, height] = inch ? [508, 457.2, 76.2] : [500, 450, 75];
  const [cloth] = offered(shop.document.cloths);
  return {
    format: JOB_FORMAT,
    name: 'New job',
    units: shop.document.units,
    state: 'new',
    cushions: [
      {
        name: 'Cushion 1',
        quantity: 1,
        given: 'seat',
        template: { shape: 'rectangle', widthMm: width ?? 500, depthMm: depth ?? 450 },
        heightMm: height ?? 75,
        school: shop.schools[0]?.id ?? '',
        construction: { kind: 'boxed', edge: 'welt' },
        core: { layers: firstFilling(height ?? 75, shop, shop.document.units) },
      },
    ],
    cloth: cloth ? { widthMm: cloth.widthMm, material: cloth.id } : { widthMm: 1400 },
  };
}

/** Whether a job still holds nothing but the cushion that it began with. */
export function isUntouched(job: Job, shop: Shop): boolean {
  return JSON.stringify(job.cushions) === JSON.stringify(newJob({ ...shop, document: { ...shop.document, units: job.units } }).cushions);
}
