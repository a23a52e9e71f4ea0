import { formatLengthUnit, type SalvagedZip, type SayIn } from '@yardland/core';

/** A salvaged zip as it is offered: `545 mm black, closed ends, foyer bench`. */
export function zipWords({ lengthMm, colour, kind, from }: SalvagedZip, { units, step }: SayIn): string {
  return `${formatLengthUnit(lengthMm, units, step)} ${colour}${kind === 'closed-end' ? ', closed ends' : ''}${from ? `, ${from}` : ''}`;
}
