import shopJson from '../../../demo/shop.json';
import type { Cushion, Job } from '../job/document';
import { JOB_FORMAT } from '../job/terms';
import { openShop, shopSchema, type Shop } from '../shop/shop';

/** The demo shop, read as the application reads it. */
export function demoShop(): Shop {
  return openShop(shopSchema.parse(shopJson));
}

/** A seat 590 × 490 × 75, padded to the line, welted: the hand-worked metric case. */
export function sampleCushion(over: Partial<Cushion> = {}): Cushion {
  return {
    name: 'Box seat',
    quantity: 1,
    given: 'seat',
    template: { shape: 'rectangle', widthMm: 590, depthMm: 490 },
    heightMm: 75,
    school: 'padded-to-the-line',
    construction: { kind: 'boxed', edge: 'welt', cordMm: 5, seamMm: 13, plaque: 'slit', zipWidthMm: 30, zipReturnMm: 50, zipPocketMm: 25 },
    core: { layers: [{ grade: 'wren-28', thicknessMm: 75 }] },
    wrapLoftMm: 25,
    ...over,
  };
}

export function sampleJob(cushions: readonly Cushion[] = [sampleCushion()], over: Partial<Job> = {}): Job {
  return { format: JOB_FORMAT, name: 'Sample', units: 'metric', cushions: [...cushions], cloth: { widthMm: 1400 }, ...over };
}
