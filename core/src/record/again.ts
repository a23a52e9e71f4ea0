import type { Cushion, Job, MaterialThen } from '../job/document';
import { lotsBefore, lotThatCame } from '../plan/lays/lots';
import { plan } from '../plan/plan';
import { allConstants } from '../cover/own-constants';
import { constantsOf } from '../shop/assumptions';
import { openShop, type Shop, type ShopDocument } from '../shop/shop';

/** Plans that differ by less than this give the same cushion, mm. */
export const SAME_SEWN_MM = 2;
/** A hardness that differs by more than this share is another foam to sit on; by less than the smaller, the same. */
const OTHER_FOAM = 0.1;
const SAME_FOAM = 0.03;

export interface ThreeSizes {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
}

/** What is otherwise than when a cushion was made. `worst`: what it does to matching it. */
export type Since = { readonly worst: 'none' | 'near' | 'other' } & (
  | { readonly code: 'not-recorded' }
  | { readonly code: 'material-gone' | 'material-put-away'; readonly material: string }
  | { readonly code: 'hardness'; readonly material: string; readonly from: number; readonly to: number }
  | { readonly code: 'price'; readonly material: string; readonly from: number; readonly to: number }
  | { readonly code: 'lot-there' | 'lot-gone'; readonly material: string; readonly lot: string }
  | { readonly code: 'lot-unknown'; readonly material: string }
  | { readonly code: 'school-gone'; readonly school: string }
  | { readonly code: 'constant'; readonly key: string; readonly from: number; readonly to: number }
  | { readonly code: 'sewn-otherwise'; readonly from: ThreeSizes; readonly to: ThreeSizes }
  | { readonly code: 'measured-otherwise'; readonly sewn: ThreeSizes; readonly measured: Partial<ThreeSizes> }
);

/** The materials that a cushion of a job names, by id: foams, other fillings, cloths. */
export function materialsOf({ cloth, waddings = [] }: Pick<Job, 'cloth' | 'waddings'>, { core, cloth: own, slots = {} }: Cushion): string[] {
  const cloths = [own ?? cloth, ...Object.values(slots)].flatMap((use) => use?.material ?? []);
  return [...new Set([...core.layers.map(({ grade }) => grade), ...cloths, ...waddings])];
}

interface Priced {
  readonly id: string;
  readonly name: string;
  readonly putAway?: boolean | undefined;
  readonly hardness25N?: number;
  readonly price: number;
}

function materialIn({ grades, fillings, cloths, waddings }: ShopDocument, id: string): Priced | undefined {
  const by = <T extends { readonly id: string }>(list: readonly T[], price: (one: T) => number): (T & { readonly price: number }) | undefined => {
    const found = list.find((one) => one.id === id);
    return found && { ...found, price: price(found) };
  };
  return by([...grades, ...fillings], (one) => one.pricePerM3) ?? by(cloths, (one) => one.pricePerM) ?? by(waddings, (one) => one.pricePerM);
}

/** The job as delivered on a day: with what held in the shop then, so that one more can be held against it. */
export function delivered(job: Job, { document }: Shop, on: string): Job {
  const materials = [...new Set(job.cushions.flatMap((cushion) => materialsOf(job, cushion)))].flatMap((id): MaterialThen[] => {
    const one = materialIn(document, id);
    return one ? [{ id, name: one.name, price: one.price, ...(one.hardness25N === undefined ? {} : { hardness25N: one.hardness25N }) }] : [];
  });
  const used = new Set(job.cushions.map(({ school }) => school));
  const schools = document.schools.filter(({ id }) => used.has(id));
  return { ...job, state: 'delivered', delivered: { on, calibration: document.calibration, materials, schools } };
}

/** The job in another state: delivered today with what holds today, or not delivered any more. */
export function inState(job: Job, state: NonNullable<Job['state']>, shop: Shop, today: string): Job {
  if (state === 'delivered') return job.delivered ? { ...job, state } : delivered(job, shop, today);
  const { delivered: _before, ...rest } = job;
  return { ...rest, state };
}

/** What a cushion is sewn to by a shop's constants and schools; null where it cannot be made there. */
function sewnIn(job: Job, index: number, shop: Shop): ThreeSizes | null {
  const sizes = plan(job, shop).cushions[index]?.sizes;
  return sizes ? { widthMm: sizes.sewn.width.value, depthMm: sizes.sewn.depth.value, heightMm: sizes.sewn.height.value } : null;
}

/** What a cushion was sewn to, by what held when it was delivered; by what holds now where that was not kept. */
export function sewnThen(job: Job, index: number, shop: Shop): ThreeSizes | null {
  if (!job.delivered) return sewnIn(job, index, shop);
  const { calibration, schools } = job.delivered;
  const others = shop.document.schools.filter(({ id }) => !schools.some((one) => one.id === id));
  return sewnIn(job, index, openShop({ ...shop.document, calibration, schools: [...others, ...schools] }));
}

/** The last check that measured a cushion's plan or edge. */
function measuredOf({ checks = [] }: Cushion): { readonly sizes: Partial<ThreeSizes>; readonly day: string } | null {
  const check = checks.filter(({ widthMm, depthMm, edgeMm }) => [widthMm, depthMm, edgeMm].some((mm) => mm !== undefined)).at(-1);
  if (!check) return null;
  const { widthMm, depthMm, edgeMm: heightMm } = check;
  const sizes = Object.fromEntries(Object.entries({ widthMm, depthMm, heightMm }).filter(([, mm]) => mm !== undefined)) as Partial<ThreeSizes>;
  return { sizes, day: check.date };
}

const KEYS = ['widthMm', 'depthMm', 'heightMm'] as const;
const differ = (a: ThreeSizes, b: Partial<ThreeSizes>): boolean => KEYS.some((key) => b[key] !== undefined && Math.abs(a[key] - b[key]) > SAME_SEWN_MM);

function materialSince(id: string, then: MaterialThen | undefined, shop: Shop): Since[] {
  const now = materialIn(shop.document, id);
  const material = then?.name ?? now?.name ?? id;
  if (!now) return [{ code: 'material-gone', material, worst: 'other' }];
  const since: Since[] = now.putAway ? [{ code: 'material-put-away', material, worst: 'other' }] : [];
  if (then?.hardness25N !== undefined && now.hardness25N !== undefined) {
    const off = Math.abs(now.hardness25N / then.hardness25N - 1);
    if (off > SAME_FOAM) since.push({ code: 'hardness', material, from: then.hardness25N, to: now.hardness25N, worst: off > OTHER_FOAM ? 'other' : 'near' });
  }
  if (then && Math.abs(then.price - now.price) > 0.005) since.push({ code: 'price', material, from: then.price, to: now.price, worst: 'none' });
  return since;
}

/** Where the lot or the batch is that a material came of: foam of another lot feels a little different, cloth of another batch may be another shade. */
function lotSince(job: Job, id: string, shop: Shop): Since[] {
  const now = materialIn(shop.document, id);
  const material = now?.name ?? id;
  const lot = lotThatCame(job, id);
  if (lot === null) return [{ code: 'lot-unknown', material, worst: 'near' }];
  const there = shop.grade(id)?.lots?.some((one) => one.lot === lot && one.sheets > 0) ?? false;
  return [{ code: there ? 'lot-there' : 'lot-gone', material, lot, worst: there ? 'none' : 'near' }];
}

/** What has changed since a cushion of a job was made, and what that does to matching it. */
export function sinceMade(job: Job, index: number, shop: Shop): Since[] {
  const cushion = job.cushions[index];
  if (!cushion) return [];
  const then = job.delivered;
  const since: Since[] = then ? [] : [{ code: 'not-recorded', worst: 'near' }];
  const layers = new Set(cushion.core.layers.map(({ grade }) => grade));
  for (const id of materialsOf(job, cushion)) {
    const found = materialSince(
      id,
      then?.materials.find((one) => one.id === id),
      shop,
    );
    since.push(...found);
    const gone = found.some(({ code }) => code === 'material-gone');
    if (!gone && (layers.has(id) || shop.cloth(id))) since.push(...lotSince(job, id, shop));
  }
  if (!shop.school(cushion.school, cushion.schoolEdition)) since.push({ code: 'school-gone', school: cushion.school, worst: 'other' });
  if (then) {
    const assumedThen = constantsOf(then.calibration, job.units);
    for (const constant of Object.values(allConstants())) {
      const [before, now] = [assumedThen(constant), shop.assume(constant, job.units)];
      if (Math.abs(before - now) > 1e-9) since.push({ code: 'constant', key: constant.key, from: before, to: now, worst: 'none' });
    }
  }
  const [was, is] = [sewnThen(job, index, shop), sewnIn(job, index, shop)];
  if (was && is && differ(was, is)) since.push({ code: 'sewn-otherwise', from: was, to: is, worst: 'near' });
  const measured = measuredOf(cushion);
  if (was && measured && differ(was, measured.sizes)) since.push({ code: 'measured-otherwise', sewn: was, measured: measured.sizes, worst: 'none' });
  return since;
}

export type Match = 'yes' | 'nearly' | 'no';

/** Whether one more can match: as it is, nearly, or not with what there is now. */
export function canMatch(since: readonly Since[]): Match {
  if (since.some(({ worst }) => worst === 'other')) return 'no';
  return since.some(({ worst }) => worst === 'near') ? 'nearly' : 'yes';
}

/** The identifier of the job that is repeated, and the day on which that is decided. */
export interface Repeat {
  readonly id?: string;
  readonly on?: string;
}

/** A job that makes one cushion of another once more: as that one was planned, with what it was sewn to and measured, nothing of what was done to it. */
export function madeAgain(job: Job, index: number, shop: Shop, { id, on }: Repeat = {}): Job | null {
  const cushion = job.cushions[index];
  if (!cushion) return null;
  const { bench: _bench, checks: _checks, madeForZip: _zip, ...fresh } = cushion;
  const { dueDate: _due, remnants: _remnants, zips: _zips, delivered: then, repeats: _repeats, pins: _pins, ...rest } = job;
  const sewn = sewnThen(job, index, shop);
  const measured = measuredOf(cushion);
  const repeats = sewn && {
    ...(id ? { id } : {}),
    ...(on ? { on } : {}),
    job: job.name,
    cushion: cushion.name,
    ...(then ? { delivered: then.on } : {}),
    sewn,
    ...(measured ? { measured: measured.sizes } : {}),
  };
  return { ...rest, ...lotsBefore(job), name: `${job.name.slice(0, 113)}, again`, state: 'new', cushions: [fresh], ...(repeats ? { repeats } : {}) };
}
