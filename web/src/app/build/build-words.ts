import { formatLengthUnit, formatNumber, MM_PER_INCH, type Advice, type SayIn, type Sensitivity, type UnitSystem, type WrapWay } from '@yardland/core';

export const WRAP_WORDS: Record<WrapWay, string> = {
  blanket: 'blanket round front and back',
  faces: 'faces only',
  'faces-and-border': 'faces and border, lapped',
  'butted-border': 'faces and border, butted',
  border: 'border only',
  parcel: 'parcel fold, mitred',
  whipped: 'faces whipped together',
};

const WHAT: Record<Sensitivity['what'], string> = {
  'core-plan': 'core wider and deeper',
  'core-thickness': 'core thicker',
  wrap: 'wrap thicker, each layer',
  'cover-plan': 'cover wider and deeper',
  boxing: 'boxing higher',
  pad: 'pads thicker',
};

/** So much more of an allowance is looked at: a millimetre, or a sixteenth. */
const MORE: Record<UnitSystem, { readonly mm: number; readonly words: string }> = {
  metric: { mm: 1, words: 'a millimetre' },
  inch: { mm: MM_PER_INCH / 16, words: '1/16 in' },
};

export const moreWords = (units: UnitSystem): string => MORE[units].words;

/** What a little more of an allowance does: `+12 N/m`, and to the crown where that is worth saying. */
export function sensitivityWords(one: Sensitivity, units: UnitSystem): { readonly what: string; readonly does: string } {
  const { mm } = MORE[units];
  const signed = (value: number, digits: number): string => `${value < 0 ? '−' : '+'}${formatNumber(Math.abs(value), digits)}`;
  const [tension, crownMm] = [one.tensionNPerM * mm, one.crownMm * mm];
  const crown = units === 'inch' ? `${signed(crownMm / MM_PER_INCH, 3)} in` : `${signed(crownMm, 1)} mm`;
  return { what: WHAT[one.what], does: `${signed(tension, Math.abs(tension) < 10 ? 1 : 0)} N/m${Math.abs(crownMm) >= 0.05 ? `, crown ${crown}` : ''}` };
}

/** One change in words: what, from where, to where. */
export function adviceWords({ kind, from, to }: Advice, { units, step }: SayIn): string {
  const size = (value: number | string): string => (typeof value === 'number' ? formatLengthUnit(value, units, step) : value);
  switch (kind) {
    case 'wrap':
      return to === 0 ? 'Leave the wrap out' : from === 0 ? `Wrap it in ${size(to)}` : `Wrap ${size(to)} instead of ${size(from)}`;
    case 'plate':
      return `Plate ${size(to)} a side over the line, not ${size(from)}`;
    case 'boxing':
      return `Boxing ${size(to)} over the height, not ${size(from)}`;
    case 'foam':
      return `${to} on top instead of ${from}`;
    case 'school':
      return `School “${to}” instead of “${from}”`;
    case 'crown-pads':
      return from === 0 ? `${to === 1 ? 'A crown pad' : `${to} crown pads`}` : `${to} crown ${to === 1 ? 'pad' : 'pads'}, not ${from}`;
  }
}
