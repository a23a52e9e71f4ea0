import { constantWords, formatLengthUnit, formatMoney, formatNumber, type Match, type Since, type ThreeSizes, type UnitSystem } from '@yardland/core';

const STEP = { mm: 1, inch: 1 / 16 };

function sizes({ widthMm, depthMm, heightMm }: Partial<ThreeSizes>, units: UnitSystem): string {
  return [widthMm, depthMm, heightMm].flatMap((mm) => (mm === undefined ? [] : [formatLengthUnit(mm, units, STEP)])).join(' × ');
}

/** What has changed since a cushion was made, in a sentence. */
export function sinceWords(since: Since, units: UnitSystem): string {
  switch (since.code) {
    case 'not-recorded':
      return 'What held in the shop on the day was not kept with this job: only what is named in it can be compared.';
    case 'material-gone':
      return `${since.material} is not in the stockroom any more: another has to take its place.`;
    case 'material-put-away':
      return `${since.material} is put away: ask whether it can still be had.`;
    case 'hardness':
      return `${since.material} is ${formatNumber(since.to)} N now and was ${formatNumber(since.from)} N: it will feel different.`;
    case 'price':
      return `${since.material} costs ${formatMoney(since.to)} now and cost ${formatMoney(since.from)}.`;
    case 'lot-there':
      return `${since.material}: sheets of lot ${since.lot} are still on the shelf.`;
    case 'lot-gone':
      return `${since.material}: lot ${since.lot} is not on the shelf. Another lot may differ in feel or shade: hold a sample beside the first cushion.`;
    case 'lot-unknown':
      return `${since.material}: which lot or batch it came of was not noted. Hold a sample beside the first cushion.`;
    case 'school-gone':
      return `The school ${since.school} is not there any more: choose one that gives the same cut sizes.`;
    case 'constant':
      return `The shop’s own value has changed since: ${constantWords(since.key).meaning.replace(/\.$/, '')}, ${formatNumber(since.from, 3)} then, ${formatNumber(since.to, 3)} now.`;
    case 'sewn-otherwise':
      return `By today’s schools and constants it would be sewn to ${sizes(since.to, units)}; it was sewn to ${sizes(since.from, units)}.`;
    case 'measured-otherwise':
      return `It was sewn to ${sizes(since.sewn, units)} and measured ${sizes(since.measured, units)}: a second one made the same way comes out the same only if it is sewn the same.`;
  }
}

export const MATCH_WORDS: Readonly<Record<Match, string>> = {
  yes: 'One more can match: nothing that shows or is felt has changed.',
  nearly: 'One more can nearly match: look at what is said below before you promise it.',
  no: 'One more cannot match with what there is now.',
};
