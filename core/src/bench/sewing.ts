import type { Operation, Tool } from '../piece/operation';
import type { Constants } from '../shop/assumptions';
import { showsHoles, type ClothKind } from '../material/material';
import { formatLengthUnit, formatStitch } from '../units/format';
import type { UnitSystem } from '../units/length';

/** What decides how a cover is sewn. */
export interface SewnCloth {
  readonly name: string;
  readonly thicknessMm: number;
  readonly kind: ClothKind;
  readonly outdoors: boolean;
}

/**
 * Needle sizes, hundredths of a millimetre across the blade, each up to so thick a cloth (mm): bench practice. A seam goes through two to four layers and the welt,
 * so it is the cloth's own thickness that is looked at and the size allows for the layers.
 */
const NEEDLES = [
  { upToMm: 0.5, size: 80 },
  { upToMm: 0.8, size: 90 },
  { upToMm: 1.2, size: 100 },
  { upToMm: 1.6, size: 110 },
  { upToMm: Infinity, size: 120 },
] as const;

/** The needle for a cloth: its size, and its point. */
export function needleFor({ thicknessMm, kind }: SewnCloth): { readonly size: number; readonly point: 'round' | 'leather' } {
  const found = NEEDLES.find(({ upToMm }) => thicknessMm <= upToMm + 1e-9);
  return { size: found?.size ?? 120, point: kind === 'leather' ? 'leather' : 'round' };
}

const STAPLE_STEP = { mm: 1, inch: 1 / 4 };

/** What to set the machine to, for the first step that sews: needle, stitch lengths, thread, and that it is tried first. */
export function sewingWords(cloth: SewnCloth, assume: Constants, units: UnitSystem): string {
  const { size, point } = needleFor(cloth);
  const thread = cloth.outdoors ? 'polyester thread that stands the sun' : 'polyester thread';
  const holes = showsHoles(cloth);
  const stitch = formatStitch(assume(holes ? 'holesStitchMm' : 'joinStitchMm'), units);
  const held = `Every hole stays, so there is no second try: hold the edges with clips, or with staples in the allowance each ${formatLengthUnit(assume('holdStapleMm'), units, STAPLE_STEP)}, pulled before the top stitch; sew each seam once.`;
  return `Needle ${size}, ${point} point; ${thread}; stitch ${stitch}, top stitch ${formatStitch(assume('topStitchMm'), units)}. Sew a scrap of ${cloth.name} first.${holes ? ` ${held}` : ''}`;
}

/** The work order with what to set the machine to, on the first step that sews on it; leather takes a needle of its own. */
export function withSewing(operations: readonly Operation[], words: string, { kind }: Pick<SewnCloth, 'kind'>): Operation[] {
  const tools: readonly Tool[] = kind === 'leather' ? ['leather needle'] : [];
  const first = operations.findIndex(({ phase, needs, seams }) => phase === 'sew' && needs === 'machine' && seams.length > 0);
  return operations.map((operation, i) =>
    i === first ? { ...operation, cautions: [...operation.cautions, words], tools: [...operation.tools, ...tools] } : operation,
  );
}
