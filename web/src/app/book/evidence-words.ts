import { formatLengthUnit, sayLine, type SayIn } from '@yardland/core';
import type { Evidence, LookBackSide } from '@yardland/core/book';
import { LOOK_WORDS, meaningWords, PLACES } from '../shared/words/check-words';
import { dayWords } from '../shared/words/days';

export const SIDE_WORDS: Readonly<Record<LookBackSide, string>> = {
  promised: 'What was promised',
  measured: 'What was measured',
  changed: 'What was changed on the way',
  'not-done': 'What was not done',
};

/** What stands where nothing was found. */
export const NOTHING_FOUND: Readonly<Record<LookBackSide, string>> = {
  promised: 'Nothing: the cushion cannot be made as it stands.',
  measured: 'Nothing was measured.',
  changed: 'Nothing: it was cut and sewn as planned.',
  'not-done': 'Nothing that is known of.',
};

/** One thing that was found while looking back, in a sentence. */
export function evidenceWords(found: Evidence, inWords: SayIn): string {
  const length = (mm: number): string => formatLengthUnit(mm, inWords.units, inWords.step);
  switch (found.code) {
    case 'warned':
      return `${found.issue.severity === 'note' ? 'It was noted' : 'It was warned'}: ${sayLine(found.issue, inWords)}`;
    case 'size-promised':
      return `${length(found.widthMm)} × ${length(found.depthMm)}, ${length(found.edgeMm)} at the edge and ${length(found.middleMm)} in the middle.`;
    case 'check': {
      const rows = found.rows.flatMap(({ place, measuredMm, offMm }) => {
        if (measuredMm === null || offMm === null) return [];
        const off = Math.abs(offMm) < 0.5 ? 'as promised' : `${length(Math.abs(offMm))} ${offMm > 0 ? 'over' : 'under'}`;
        return [`${PLACES[place].words.toLowerCase()} ${length(measuredMm)} (${off})`];
      });
      return `${dayWords(found.day)}: ${rows.join(', ') || 'looked at, not measured'}.`;
    }
    case 'meaning':
      return meaningWords(found.meaning, length).means;
    case 'crown-off':
      return `${found.checks === 1 ? 'By its check' : `Over its ${found.checks} checks`} the crown stands ${length(Math.abs(found.mm))} ${found.mm < 0 ? 'lower' : 'higher'} than promised.`;
    case 'recut':
      return `${dayWords(found.day)}: ${found.piece} was cut again${found.count > 1 ? `, ${found.count} of it` : ''}. ${found.why ?? 'Why was not said.'}`;
    case 'look-failed':
      return `${dayWords(found.day)}: a look found ${LOOK_WORDS[found.kind]} on ${found.count === 1 ? 'one cushion' : `${found.count} cushions`}; ${found.did === 'piece' ? 'a piece was cut anew' : 'it was sewn again'}.`;
    case 'cut-then-changed':
      return found.now
        ? `${found.piece} was cut ${length(found.then[0])} × ${length(found.then[1])}; the plan says ${length(found.now[0])} × ${length(found.now[1])} since.`
        : `${found.piece} was cut and is not in the plan any more.`;
    case 'kept-as-cut':
      return `${found.piece} was kept as it had been cut although the plan had changed.`;
    case 'core-cut-otherwise':
      return 'The core was not cut as planned.';
    case 'never-measured':
      return 'It was never measured when it was dressed.';
    case 'not-tried':
      return 'The wrapped core was to be tried before the cloth was cut; no measure of it was put in.';
    case 'step-open':
      return `Not ticked on ${found.of - found.done} of ${found.of}: ${found.text}`;
  }
}
