import { parseNumber } from '../units/number';
import type { Quoted } from '../material/material';
import { KG_M3_PER_LB_FT3, N_PER_LBF } from '../units/foam';
import type { UnitSystem } from '../units/length';
import { hardnessRatio, thicknessFactor } from './load-curve';

/** The 25 % hardness on 100 mm of a foam that a supplier quotes at another per cent or thickness, by the load curve. N. */
export function hardness25From({ hardnessN, percent, thicknessMm }: Quoted, supportFactor: number): number {
  return hardnessN / (hardnessRatio(percent / 100, supportFactor) * thicknessFactor(thicknessMm));
}

/**
 * Density and hardness out of a grade code that packs both into one number, as the shop's units have it: metric `35140` or `35-140` is 35 kg/m³ and
 * 140 N; inch `1835` or `1.8-35` is 1.8 lb/ft³ and 35 lbf. Null where it cannot be such a code.
 */
export function parseGradeCode(code: string, units: UnitSystem): { readonly densityKgM3: number; readonly hardnessN: number } | null {
  const plain = code.trim();
  const apart = /^(\d+(?:[.,]\d+)?)\s*[-/ ]\s*(\d+)$/.exec(plain);
  const packed = /^(\d{2})(\d{2,3})$/.exec(plain);
  const [, density, hardness] = apart ?? packed ?? [];
  if (density === undefined || hardness === undefined) return null;
  const inch = units === 'inch';
  const scale = inch && !apart ? 0.1 : 1;
  const densityKgM3 = (parseNumber(density) ?? 0) * scale * (inch ? KG_M3_PER_LB_FT3 : 1);
  const hardnessN = Number(hardness) * (inch ? N_PER_LBF : 1);
  return densityKgM3 >= 8 && densityKgM3 <= 300 && hardnessN >= 20 && hardnessN <= 1500 ? { densityKgM3, hardnessN } : null;
}
