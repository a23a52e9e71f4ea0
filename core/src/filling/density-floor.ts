import type { Constants } from '../shop/assumptions';
import type { ChooseRequest } from './choose-request';

/** The least density for the bearing layers, kg/m³, by what is sat on and how often. */
export function densityFloor({ part, use }: Pick<ChooseRequest, 'part' | 'use'>, assume: Constants): number {
  if (part === 'back' || (part === 'mattress' && use === 'occasional')) return assume('backDensity');
  if (part === 'mattress') return use === 'daily' ? assume('regularDensity') : assume('occasionalDensity');
  return { daily: assume('dailyDensity'), regular: assume('regularDensity'), occasional: assume('occasionalDensity') }[use];
}
