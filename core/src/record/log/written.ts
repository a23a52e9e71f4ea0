import type { Check, Cushion, Job } from '../../job/document';
import { minutesInWords } from '../../units/time';
import { formatLengthUnit, formatSize } from '../../units/format';
import type { ShopDocument } from '../../shop/shop';
import type { UnitSystem } from '../../units/length';
import type { LogKind } from './entry';

/** An entry that a document writes itself: read off it, so that undo takes it back and a correction corrects it. */
export interface WrittenEntry {
  /** Which of the document's entries it is: the same key is the same entry. */
  readonly key: string;
  /** Null where the document does not say: the day on which it is first written then. */
  readonly day: string | null;
  readonly kind: LogKind;
  /** The cushion's place in the job; null: the job, or the shop. */
  readonly cushion: number | null;
  /** A material's id, where it is about one. */
  readonly material: string | null;
  readonly who: string;
  readonly text: string;
  readonly pictures: readonly string[];
}

const NOTHING_ELSE = { cushion: null, material: null, who: '', pictures: [] } as const;
/** Finest step in which lengths are told, metric | inch. */
const STEP = { metric: { mm: 1, inch: 1 / 8 }, inch: { mm: 1, inch: 1 / 8 } } as const;
const length = (mm: number, units: UnitSystem): string => formatLengthUnit(mm, units, STEP[units]);

const JUDGED: Readonly<Record<string, string>> = {
  soft: 'corners soft',
  empty: 'corners empty',
  'rolls-over': 'the welt rolls over',
  wavy: 'the welt is wavy',
  slack: 'slack under the thumb',
  hard: 'hard under the thumb',
  tight: 'tight in its seat',
  gap: 'leaves a gap in its seat',
};

/** A check in words: what was measured, what was found. */
function checkText(check: Check, units: UnitSystem): string {
  const measured = [
    check.widthMm !== undefined && check.depthMm !== undefined
      ? formatSize([check.widthMm, check.depthMm], units, STEP[units])
      : check.widthMm !== undefined
        ? `${length(check.widthMm, units)} wide`
        : check.depthMm !== undefined && `${length(check.depthMm, units)} deep`,
    check.edgeMm !== undefined && `${length(check.edgeMm, units)} at the edge`,
    check.middleMm !== undefined && `${length(check.middleMm, units)} in the middle`,
    check.twistMm !== undefined && check.twistMm > 0 && `twisted by ${length(check.twistMm, units)}`,
    ...[check.corners, check.welt, check.thumb, check.seat].map((one) => one !== undefined && JUDGED[one]),
  ].filter((one) => typeof one === 'string');
  return [`${measured.join(', ') || 'Looked at'}.`, check.remark ?? ''].join(' ').trim();
}

function ofCushion({ checks = [], bench }: Cushion, cushion: number, units: UnitSystem): WrittenEntry[] {
  return [
    ...checks.map((check, i): WrittenEntry => {
      const { date: day, pictures = [] } = check;
      return { ...NOTHING_ELSE, key: `check:${cushion}:${i}`, day, kind: 'measured', cushion, text: checkText(check, units), pictures };
    }),
    ...(bench?.recuts ?? []).map(({ date: day, piece, cushions, each, why }, i): WrittenEntry => {
      const count = cushions.length * each;
      const text = `Cut again: ${piece}${count === 1 ? '' : `, ${count} of it`}. ${why ?? 'Why was not said'}.`.replace(/\.\.$/, '.');
      return { ...NOTHING_ELSE, key: `recut:${cushion}:${i}`, day, kind: 'changed', cushion, text };
    }),
  ];
}

/** What a job's document says of itself for the log: deliveries, checks, pieces cut again, lots that came, time clocked. */
export function writtenBy(job: Job): WrittenEntry[] {
  const count = job.cushions.reduce((sum, { quantity }) => sum + quantity, 0);
  const minutes = job.cushions.reduce((sum, { bench }) => sum + Object.values(bench?.minutes ?? {}).reduce((all, one) => all + one, 0), 0);
  const delivered = job.state === 'delivered' ? (job.delivered?.on ?? null) : undefined;
  const about = { ...NOTHING_ELSE, kind: 'made' } as const;
  return [
    ...(job.repeats
      ? [{ ...about, key: 'again', day: job.repeats.on ?? null, text: `To be made again, after ${job.repeats.cushion} of ${job.repeats.job}.` }]
      : []),
    ...(job.lots ?? [])
      .filter(({ before }) => !before)
      .map(({ material, lot, day = null }): WrittenEntry => {
        return { ...NOTHING_ELSE, key: `lot:${material}:${lot}`, day, kind: 'bought', material, text: `Lot ${lot} came for it.` };
      }),
    ...job.cushions.flatMap((cushion, i) => ofCushion(cushion, i, job.units)),
    ...(minutes > 0 ? [{ ...about, key: 'clocked', day: delivered ?? null, text: `Clocked at the bench: ${minutesInWords(minutes)}.` }] : []),
    ...(delivered !== undefined
      ? [{ ...about, key: 'delivered', day: delivered, text: `Delivered: ${count === 1 ? 'one cushion' : `${count} cushions`}.` }]
      : []),
  ];
}

/** What the shop's document says of itself: constants and schools that were taken from checks, and taken back. */
export function writtenByShop({ learnt = [] }: Pick<ShopDocument, 'learnt'>): WrittenEntry[] {
  const number = (value: number | null): string => (value === null ? 'the shipped value' : String(Math.round(value * 1000) / 1000));
  return learnt.flatMap(({ id, day, what, name, from, to, checks, takenBack }): WrittenEntry[] => {
    const taken = what === 'school' ? `School ${name} made from ${checks} checks` : `${name}: ${number(to)} in place of ${number(from)}, by ${checks} checks`;
    const entry = { ...NOTHING_ELSE, kind: 'changed' } as const;
    return [
      { ...entry, key: `learnt:${id}`, day, text: `${taken}.` },
      ...(takenBack ? [{ ...entry, key: `taken-back:${id}`, day: takenBack, text: `Taken back: ${taken}.` }] : []),
    ];
  });
}
