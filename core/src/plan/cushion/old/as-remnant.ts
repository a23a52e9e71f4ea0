import { isFoam, offered, type Grade, type Remnant } from '../../../material/material';
import type { Shop } from '../../../shop/shop';
import type { CushionPlan } from '../cushion-plan';

/** Findings that make old foam no good for anything. */
const PAST_USE: readonly string[] = ['mould', 'crumbling', 'no-return'];

/** The foam of the catalogue that feels most like a hardness, N at 25 %; of equals the one whose density is nearest. */
function nearestGrade(hardness25N: number, densityKgM3: number | undefined, shop: Shop): Grade | undefined {
  const apart = (a: number, b: number): number => Math.abs(Math.log(a / b));
  const far = (grade: Grade): number => apart(grade.hardness25N, hardness25N) + (densityKgM3 === undefined ? 0 : 0.2 * apart(grade.densityKgM3, densityKgM3));
  return offered(shop.document.grades)
    .filter(isFoam)
    .sort((a, b) => far(a) - far(b))[0];
}

/** Why an old core is not kept as foam to cut from: it is past use, or it was not measured. */
export type NoRemnant = 'past-use' | 'not-measured';

/**
 * An old core as foam to cut from, for the stockroom, without an id: as the grade that feels most like what was measured of it, as thick as it is where it is thinnest, as
 * large as the core of its cushion. It has settled already.
 */
export function oldCoreAsRemnant({ source, sizes }: CushionPlan, jobName: string, shop: Shop): Omit<Extract<Remnant, { grade: string }>, 'id'> | NoRemnant {
  const old = source.seat?.old;
  if (!old) return 'not-measured';
  if (old.findings.some((one) => PAST_USE.includes(one))) return 'past-use';
  const thicknessMm = Math.min(old.edgeMm ?? Infinity, old.middleMm ?? Infinity);
  const grade = old.hardness25N === undefined ? undefined : nearestGrade(old.hardness25N, old.densityKgM3, shop);
  if (!grade || !sizes || !Number.isFinite(thicknessMm) || thicknessMm <= 0) return 'not-measured';
  const note = `old core${old.mark ? ` ${old.mark}` : ''}, ${jobName}`.slice(0, 200);
  return { grade: grade.id, thicknessMm, widthMm: sizes.core.width.value, lengthMm: sizes.core.depth.value, note };
}
