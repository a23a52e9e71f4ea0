import type { CoverFinding, CoverVerdict, Finding, Rating, RefreshItem, Verdict } from '@yardland/core';

export const SEAT_WORDS: Record<string, string> = {
  board: 'bare board',
  'folding-bed': 'folding-bed platform',
  webbing: 'webbing',
  springs: 'springs',
  daily: 'daily',
  regular: 'regularly',
  occasional: 'now and then',
  indoor: 'indoors',
  outdoor: 'outdoors',
  covered: 'out of doors, under a roof',
  damp: 'damp',
  home: 'a private house',
  public: 'open to the public',
  marine: 'a boat or ship',
  rail: 'a train or tram',
  care: 'care or hospital',
};
export const FINDING_WORDS: Record<Finding, string> = {
  mould: 'mould',
  crumbling: 'crumbles',
  'no-return': 'does not come back',
  'joints-open': 'joints open',
  'strip-missing': 'a strip is missing',
  discoloured: 'discoloured',
  smell: 'smells',
};
export const VERDICT_WORDS: Record<Verdict, string> = {
  keep: 'Keep the old core',
  refresh: 'Refresh the old core',
  patch: 'Patch the old core',
  replace: 'Replace the old core',
};
export const RATING_WORDS: Record<Rating, string> = { known: 'known, label kept', none: 'none', unknown: 'not known' };
export const COVER_FINDING_WORDS: Record<CoverFinding, string> = {
  'seams-pull': 'seams pull',
  worn: 'worn through',
  torn: 'torn',
  shrunk: 'shrunk',
  faded: 'faded',
  'mould-stained': 'stained by mould',
  'no-zip': 'has no zip',
  'sewn-shut': 'zip sewn shut',
  'zip-good': 'zip still good',
};
export const COVER_VERDICT_WORDS: Record<CoverVerdict, string> = {
  wash: 'Wash the old cover and use it again',
  restitch: 'Re-stitch the old cover',
  renew: 'Renew the cover',
};
export const REFRESH_WORDS: Record<RefreshItem['kind'], string> = {
  pad: 'crown pad',
  wrap: 'wrap it anew',
  frame: 'clean the frame while it is bare',
  glue: 're-glue the joints',
  splice: 'splice in a strip',
  air: 'powder, vacuum, air it',
  steam: 'steam the corners',
};

export const optionsOf = (values: readonly string[], words: Readonly<Record<string, string>> = SEAT_WORDS) =>
  values.map((value) => ({ value, name: words[value] ?? value }));
