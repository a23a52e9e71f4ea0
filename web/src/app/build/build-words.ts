import {
  formatNumber,
  MM_PER_INCH,
  N_M_PER_LBF_FT,
  PA_PER_LBF_FT2,
  PRESSURE_UNITS,
  TENSION_UNITS,
  type Sensitivity,
  type UnitSystem,
  type WrapWay,
} from '@yardland/core';

/** What is measured of a core, cut or wrapped, and the most of it, mm. */
export const MEASURED_SIDES = [
  { key: 'widthMm', name: 'wide', most: 20_000 },
  { key: 'depthMm', name: 'deep', most: 20_000 },
  { key: 'heightMm', name: 'high', most: 1000 },
] as const;

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

/** What a little more of an allowance does: `+12 Pa`, and to the crown where that is worth saying. */
export function sensitivityWords(one: Sensitivity, units: UnitSystem): { readonly what: string; readonly does: string } {
  const { mm } = MORE[units];
  const signed = (value: number, digits: number): string => `${value < 0 ? '−' : '+'}${formatNumber(Math.abs(value), digits)}`;
  const pressing = one.of === 'pressure';
  const per = units === 'metric' ? 1 : pressing ? PA_PER_LBF_FT2 : N_M_PER_LBF_FT;
  const [more, crownMm] = [(one.amount * mm) / per, one.crownMm * mm];
  const crown = units === 'inch' ? `${signed(crownMm / MM_PER_INCH, 3)} in` : `${signed(crownMm, 1)} mm`;
  return {
    what: WHAT[one.what],
    does: `${signed(more, Math.abs(more) < 10 ? 1 : 0)} ${(pressing ? PRESSURE_UNITS : TENSION_UNITS)[units]}${Math.abs(crownMm) >= 0.05 ? `, crown ${crown}` : ''}`,
  };
}
