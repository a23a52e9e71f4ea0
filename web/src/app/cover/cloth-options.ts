import { clothName, clothWords, offered, type ClothUse, type Job, type Shop } from '@yardland/core';

/** The choice of the job's own cloth. */
export const JOB_CLOTH = 'job';

/** What the main cloth of a cushion is chosen from: the job's, and those of the shop. */
export function mainClothOptions(job: Job | null, shop: Shop | null): { readonly value: string; readonly name: string }[] {
  if (!job || !shop) return [];
  const used = job.cushions.map(({ cloth }) => cloth?.material);
  const cloths = offered(shop.document.cloths, ...used)
    .filter(({ id }) => id !== job.cloth.material)
    .map(({ id, name }) => ({ value: id, name }));
  return [{ value: JOB_CLOTH, name: `${clothWords('main', job, {}, shop)}, the job’s` }, ...cloths];
}

/** How a cushion uses the cloth that was chosen: as another cushion of the job does already, or as it comes; null for the job's. */
export function useOf(id: string, job: Job, shop: Shop | null): ClothUse | null {
  const known = job.cushions.find(({ cloth }) => cloth?.material === id)?.cloth;
  const cloth = shop?.cloth(id);
  const use = known ?? (cloth ? { material: cloth.id, widthMm: cloth.widthMm } : null);
  return use && clothName(use) !== clothName(job.cloth) ? use : null;
}
