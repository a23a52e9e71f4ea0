import type { Job } from '../job/document';
import type { ClothPattern, ClothPictureRef } from '../material/material';
import { CLOTH_SLOTS, type ClothSlot } from '../piece/material-ref';
import type { Planned } from '../plan/cushion/cushion-plan';
import { materialOf } from '../plan/cloths';
import type { Shop } from '../shop/shop';

/** How a material of a solid looks. */
export interface SolidLook {
  /** What it is called: the cloth's name, the grade's, or what it is. */
  readonly name: string;
  /** `#rrggbb`. */
  readonly tint: string;
  readonly pattern: ClothPattern | null;
  /** A picture taken of it. */
  readonly picture?: ClothPictureRef | undefined;
}

const CLOTH = '#8f8a7c';
const KNOWN: Readonly<Record<string, SolidLook>> = {
  board: { name: 'Board', tint: '#a88a5f', pattern: null },
  thread: { name: 'Thread', tint: '#ece5d3', pattern: null },
  zip: { name: 'Zip', tint: '#3c3a36', pattern: null },
  wadding: { name: 'Wadding', tint: '#f3efe4', pattern: null },
};
const FILLING: SolidLook = { name: 'Filling', tint: '#e3d6ae', pattern: null };

/** How each material of a cushion's solid looks, by the name that the solid has for it. */
export function looksOf({ source }: Pick<Planned, 'source'>, job: Pick<Job, 'cloth'>, shop: Shop): (material: string) => SolidLook {
  return (material) => {
    const [kind, what = ''] = material.split('/');
    if (kind === 'cloth' && (CLOTH_SLOTS as readonly string[]).includes(what)) {
      const cloth = materialOf(what as ClothSlot, job, source, shop);
      return { name: cloth?.name ?? 'Cover cloth', tint: cloth?.tint ?? CLOTH, pattern: cloth?.pattern ?? null, picture: cloth?.picture };
    }
    if (kind === 'filling' || kind === 'foam') {
      const stock = shop.stock(what);
      return stock ? { ...FILLING, name: stock.name } : FILLING;
    }
    return KNOWN[material] ?? FILLING;
  };
}

/** Red, green and blue of `#rrggbb`, each 0 to 1. */
export function rgbOf(tint: string): [number, number, number] {
  const value = parseInt(tint.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255].map((one) => one / 255) as [number, number, number];
}
