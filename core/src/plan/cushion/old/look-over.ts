import { judge, judgeCover, type Asked, type Judged } from '../../../filling/old-core';
import { refreshList, type RefreshItem } from '../../../filling/refresh';
import type { Sizes } from '../../../piece/sizes';
import type { Cushion } from '../../../job/document';

/** What looking over one cushion's old core comes to. */
export interface LookedOver {
  readonly judged: Judged;
  readonly refresh: readonly RefreshItem[];
}

/** What the verdict rests on: the cushion, its sizes where they are known, and what its seat asks of a core. */
interface Looked {
  readonly source: Cushion;
  readonly sizes: Sizes | null;
  readonly asked: Asked;
  readonly padLoftMm: number;
}

/** The verdict on a cushion's old core and what it takes to bring it back, hollows filled with wadding of `padLoftMm`; null while nothing was found of it. */
export function lookedOver({ source, sizes, asked, padLoftMm }: Looked): LookedOver | null {
  const old = source.seat?.old;
  if (!old || !sizes) return null;
  const looked = old.findings.length > 0 || old.middleMm !== undefined || old.hardness25N !== undefined || old.densityKgM3 !== undefined;
  if (!looked && !asked.certified && !asked.wet) return null;
  const judged = judge(old, asked);
  const core = { widthMm: sizes.core.width.value, depthMm: sizes.core.depth.value };
  return { judged, refresh: refreshList(old, judged, core, padLoftMm) };
}

/** The old cover's verdict; null where nothing was said of it. */
export function lookedOverCover({ seat }: Cushion): ReturnType<typeof judgeCover> | null {
  return seat?.oldCover ? judgeCover(seat.oldCover.findings) : null;
}

/** How the old cover is made ready to go back on; null where a new one is made: none was looked over, it is past use, or a new one is wanted anyway. */
export function keptCover(cushion: Cushion): 'wash' | 'restitch' | null {
  const judged = lookedOverCover(cushion);
  if (!judged || judged.verdict === 'renew' || cushion.seat?.oldCover?.renew) return null;
  return judged.verdict;
}
