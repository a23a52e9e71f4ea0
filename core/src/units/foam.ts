/** N in a pound of force. */
export const N_PER_LBF = 4.44822;
/** kg/m³ in a pound a cubic foot. */
export const KG_M3_PER_LB_FT3 = 16.0185;

/** Board feet of a volume, mm³: 144 cubic inches each, the measure foam is sold by in inches. */
export const boardFeet = (mm3: number): number => mm3 / 25.4 ** 3 / 144;
