import { formatLengthUnit, type Advice, type SayIn } from '@yardland/core';

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
