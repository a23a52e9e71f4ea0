import { doneBy, doneOn } from '../../bench/batch';
import { footFor } from '../../bench/feet';
import { workOf } from '../../bench/learnt';
import type { Operation } from '../../piece/operation';
import type { CushionPlan } from '../../plan/cushion/cushion-plan';
import { clothWords } from '../../plan/cloths';
import type { Plan } from '../../plan/plan';
import type { Trade } from '../../shop/day';
import type { Work } from '../../shop/minutes';

/** Operations of a job that are done in one go: by one person, at one place, with the same cloth and foot. */
export interface DayStep {
  /** Stable while any of it is left: the last of its operations, and the cushion it is of. */
  readonly id: string;
  readonly does: Trade;
  readonly needs: 'table' | 'machine' | null;
  /** Of what is left of it. */
  readonly minutes: number;
  readonly waitMinutes: number;
  readonly after: readonly string[];
  readonly splits: boolean;
  readonly setup: Readonly<Record<string, string>> | null;
  /** What of it has to be in the shop. */
  readonly material: 'foam' | 'cloth' | null;
  readonly work: Work;
  /** The clock at the bench runs on it. */
  readonly inHand: boolean;
  /** Whose clock runs on it, or who ticked some of its cushions already; null where that is not known. */
  readonly begunBy: string | null;
  /** What is cut, or the cushions it is done on, in words. */
  readonly of: string;
  /** Its operations, and the place of their cushion in the job. */
  readonly operations: readonly { readonly cushion: number; readonly id: string }[];
}

const TRADE_OF: Readonly<Record<Work, Trade>> = { cut: 'cut', prepare: 'fill', sew: 'sew', hand: 'sew', fill: 'fill', staple: 'staple' };

/** Longer than this is left at closing time and taken up again, minutes; so is what is done on several cushions, between two of them. */
const LEFT_OVERNIGHT = 120;

/** Work by hand of no more than this goes along with what it follows, minutes over all cushions. */
const BRIEF = 10;

interface Left {
  readonly cushion: number;
  readonly operation: Operation;
  readonly count: number;
  /** The clock runs on it. */
  readonly inHand: boolean;
  readonly begunBy: string | null;
  readonly work: Work;
  readonly setup: DayStep['setup'];
  readonly material: DayStep['material'];
  readonly of: string;
  /** What goes together is done in one go. */
  readonly group: string;
}

const placeOf = ({ needs }: Operation): DayStep['needs'] => (needs === 'table' || needs === 'machine' ? needs : null);

/** What an operation cuts, by the material of its pieces; null for one that cuts nothing. */
function cutsOf({ phase, pieces }: Operation, one: CushionPlan): 'foam' | 'cloth' | 'wadding' | null {
  if (phase !== 'cut') return null;
  const kinds = new Set(one.pieces.filter(({ id }) => pieces.includes(id)).map(({ material }) => material.kind));
  if (kinds.has('cloth')) return 'cloth';
  return kinds.has('foam') || kinds.has('filling') ? 'foam' : 'wadding';
}

/** What is left to do on one cushion, in the order of its work order. Cutting goes together over the whole job: it is laid together. */
function leftOf(plan: Plan, one: CushionPlan, cushion: number): Left[] {
  const { quantity, name, bench } = one.source;
  const cloth = clothWords('main', plan.job, one.source, plan.shop);
  return one.operations.flatMap((operation): Left[] => {
    const count = quantity - doneOn(bench?.done[operation.id], quantity).length;
    if (count <= 0 || operation.minutes <= 0) return [];
    const work = workOf(operation);
    const cuts = cutsOf(operation, one);
    const material = cuts === 'wadding' ? null : cuts;
    const foot = footFor(operation, one.pieces);
    const setup: DayStep['setup'] = foot !== null ? { cloth, foot } : material === 'cloth' ? { cloth } : null;
    const group = cuts === null ? '' : cuts === 'cloth' ? `cloth ${cloth}` : cuts;
    const of = cuts === null ? (count > 1 ? `${name}, ${count} of it` : name) : cuts === 'cloth' ? cloth : cuts;
    const inHand = bench?.clock?.step === operation.id;
    const begunBy = (inHand ? bench?.clock?.by : undefined) ?? doneBy(bench?.done[operation.id], quantity).at(-1)?.person ?? null;
    return [{ cushion, operation, count, inHand, begunBy, work, setup, material, of, group }];
  });
}

/** Whether an operation goes on in the same go as the one before it; `first` is what the go began with. */
function goesOn(first: Left, before: Left, next: Left): boolean {
  if (before.operation.waitMinutes > 0 || before.group !== next.group) return false;
  const brief = placeOf(next.operation) === null && next.operation.minutes * next.count <= BRIEF;
  // A look is taken where the work lies, and a moment's work by hand is done without getting up.
  if (next.operation.asks || (brief && TRADE_OF[first.work] === TRADE_OF[next.work])) return true;
  return first.work === next.work && placeOf(first.operation) === placeOf(next.operation) && JSON.stringify(first.setup) === JSON.stringify(next.setup);
}

/** The goes of one cushion. */
function goesOf(left: readonly Left[]): Left[][] {
  const goes: Left[][] = [];
  for (const one of left) {
    const last = goes.at(-1);
    const [first, before] = [last?.[0], last?.at(-1)];
    if (last && first && before && goesOn(first, before, one)) last.push(one);
    else goes.push([one]);
  }
  return goes;
}

const keyOf = (cushion: number, operation: string): string => `${cushion}/${operation}`;

/** The steps that are made of goes, each after those that its operations come after. */
function stepsFrom(goes: readonly (readonly Left[])[]): DayStep[] {
  const idOf = (go: readonly Left[]): string => {
    const last = go.at(-1) as Left;
    return last.group && go.every(({ group }) => group === last.group) ? `cut ${last.group}` : keyOf(last.cushion, last.operation.id);
  };
  const stepOf = new Map(goes.flatMap((go) => go.map(({ cushion, operation }) => [keyOf(cushion, operation.id), idOf(go)] as const)));
  return goes.map((go): DayStep => {
    const [first, last] = [go[0] as Left, go.at(-1) as Left];
    const minutes = go.reduce((sum, { operation, count }) => sum + operation.minutes * count, 0);
    const id = idOf(go);
    const after = new Set(go.flatMap(({ cushion, operation }) => operation.after.flatMap((before) => stepOf.get(keyOf(cushion, before)) ?? [])));
    after.delete(id);
    const several = go.some(({ count }) => count > 1) || new Set(go.map(({ cushion }) => cushion)).size > 1;
    return {
      id,
      does: TRADE_OF[first.work],
      needs: placeOf(first.operation),
      minutes: Math.max(1, Math.round(minutes)),
      waitMinutes: Math.round(last.operation.waitMinutes),
      after: [...after],
      splits: several || minutes > LEFT_OVERNIGHT,
      setup: first.setup,
      material: first.material,
      work: first.work,
      inHand: go.some((one) => one.inHand),
      begunBy: (go.find((one) => one.inHand && one.begunBy !== null) ?? go.findLast((one) => one.begunBy !== null))?.begunBy ?? null,
      of: [...new Set(go.map(({ of }) => of))].join(', '),
      operations: go.map(({ cushion, operation }) => ({ cushion, id: operation.id })),
    };
  });
}

/** Goes of the same material over all cushions of a job put together, where nothing then comes after itself. */
function together(goes: readonly (readonly Left[])[]): readonly (readonly Left[])[] {
  const cutting = new Map<string, Left[]>();
  const others: (readonly Left[])[] = [];
  for (const go of goes) {
    const [first] = go;
    if (!first || first.group === '' || !go.every(({ group }) => group === first.group)) others.push(go);
    else cutting.set(first.group, [...(cutting.get(first.group) ?? []), ...go]);
  }
  return [...cutting.values(), ...others];
}

/** Whether any step comes after itself, by way of others. */
function inACircle(steps: readonly DayStep[]): boolean {
  const left = new Map(steps.map((step) => [step.id, step]));
  for (let gone = true; gone && left.size;) {
    gone = false;
    for (const step of left.values())
      if (!step.after.some((id) => left.has(id))) {
        left.delete(step.id);
        gone = true;
      }
  }
  return left.size > 0;
}

/** What is left to do on a planned job, in goes: batched over its cushions where it is laid together, by cushion where it is sewn and filled. */
export function stepsOf(plan: Plan): DayStep[] {
  const goes = plan.cushions.flatMap((one, cushion) => goesOf(leftOf(plan, one, cushion)));
  const batched = stepsFrom(together(goes));
  return inACircle(batched) ? stepsFrom(goes.map((go) => go.map((one) => ({ ...one, group: '' })))) : batched;
}
