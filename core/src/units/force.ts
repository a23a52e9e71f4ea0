import { formatNumber } from './format';
import type { UnitSystem } from './length';

/** Pascals in a pound-force on a square foot (4.44822 N on 0.3048 m × 0.3048 m). */
export const PA_PER_LBF_FT2 = 47.8803;
/** Newtons a metre in a pound-force a foot (4.44822 N on 0.3048 m). */
export const N_M_PER_LBF_FT = 14.5939;

/** What pressures are printed in: those of a cover on its filling are hundreds of pascals, or tens of pounds on a square foot. */
export const PRESSURE_UNITS: Readonly<Record<UnitSystem, string>> = { metric: 'Pa', inch: 'lbf/ft²' };
/** What the pull of a cloth is printed in. */
export const TENSION_UNITS: Readonly<Record<UnitSystem, string>> = { metric: 'N/m', inch: 'lbf/ft' };

/** A pressure (Pa) as a number of its unit: whole pascals, or a tenth of a pound. */
export const formatPressure = (pa: number, system: UnitSystem): string => (system === 'metric' ? formatNumber(pa) : formatNumber(pa / PA_PER_LBF_FT2, 1));

/** A pressure (Pa) with its unit: `894 Pa`, `18.7 lbf/ft²`. */
export const formatPressureUnit = (pa: number, system: UnitSystem): string => `${formatPressure(pa, system)} ${PRESSURE_UNITS[system]}`;

/** A cloth's pull (N/m) as a number of its unit. */
export const formatTension = (nPerM: number, system: UnitSystem): string =>
  system === 'metric' ? formatNumber(nPerM) : formatNumber(nPerM / N_M_PER_LBF_FT, 1);

/** A cloth's pull (N/m) with its unit: `164 N/m`, `11.2 lbf/ft`. */
export const formatTensionUnit = (nPerM: number, system: UnitSystem): string => `${formatTension(nPerM, system)} ${TENSION_UNITS[system]}`;
