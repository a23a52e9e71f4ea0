import type { SchoolRow } from '../../shop/schools';
import { openShop, type ShopDocument, type TakenLearnt } from '../../shop/shop';
import { MM_PER_INCH } from '../../units/length';
import type { LearntConstant, LearntSchool } from './learn';

/** When something is taken, and under which identifier it is noted. */
export interface Taking {
  readonly id: string;
  /** YYYY-MM-DD. */
  readonly day: string;
}

/** Finer than this no check tells a constant. */
const FINEST = 1000;

/** The shop with a constant as its checks have it, and a note of when and by how many; what it was before is kept with the note. */
export function withConstant(shop: ShopDocument, { key, fitted, checks }: LearntConstant, name: string, { id, day }: Taking): ShopDocument {
  const to = Math.round(fitted * FINEST) / FINEST;
  const note: TakenLearnt = { id, day, what: 'constant', key, name, from: shop.calibration[key] ?? null, to, checks };
  return { ...shop, calibration: { ...shop.calibration, [key]: to }, learnt: [...(shop.learnt ?? []), note] };
}

/** A copy of a school whose boxing is sewn higher, or lower, by what is left between its checks and its predictions. */
export function easedSchool(school: SchoolRow, meanMm: number, id: string): SchoolRow {
  const { edition: _shipped, ...row } = school;
  const mm = Math.round(meanMm * 2) / 2;
  const { ease } = row.boxing;
  return {
    ...row,
    id,
    name: `${row.name.slice(0, 52)}, eased`,
    boxing: { ...row.boxing, ease: { mm: ease.mm + mm, inch: Math.round((ease.inch + mm / MM_PER_INCH) * 64) / 64 } },
  };
}

/** The shop with a copy of a school eased by what its checks say, and a note of it. The school itself stays. Unchanged where there is no such school. */
export function withEasedSchool(shop: ShopDocument, { school: of, meanMm, checks }: LearntSchool, newId: string, { id, day }: Taking): ShopDocument {
  const school = openShop(shop).school(of);
  if (!school) return shop;
  const eased = easedSchool(school, meanMm, newId);
  const note: TakenLearnt = { id, day, what: 'school', key: newId, name: eased.name, from: null, to: null, checks };
  return { ...shop, schools: [...shop.schools, eased], learnt: [...(shop.learnt ?? []), note] };
}

/** The shop with something taken given up again: the constant as it was before, the school gone. Jobs that were made by that school keep naming it. */
export function withTakenBack(shop: ShopDocument, id: string, day: string): ShopDocument {
  const note = shop.learnt?.find((one) => one.id === id && !one.takenBack);
  if (!note) return shop;
  const learnt = (shop.learnt ?? []).map((one) => (one === note ? { ...one, takenBack: day } : one));
  if (note.what === 'school') return { ...shop, learnt, schools: shop.schools.filter((one) => one.id !== note.key) };
  const { [note.key]: _taken, ...others } = shop.calibration;
  return { ...shop, learnt, calibration: note.from === null ? others : { ...others, [note.key]: note.from } };
}

/** What is in force of what was taken: of a constant the newest, and only while nobody has set another value since. */
export function inForce(shop: ShopDocument): TakenLearnt[] {
  const standing = (shop.learnt ?? []).filter(({ takenBack }) => !takenBack);
  const newest = new Map(standing.map((one) => [`${one.what} ${one.key}`, one]));
  return [...newest.values()].filter(({ what, key, to }) => (what === 'school' ? shop.schools.some(({ id }) => id === key) : shop.calibration[key] === to));
}
