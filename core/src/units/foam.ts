/** N in a pound of force. */
export const N_PER_LBF = 4.44822;
/** kg/m³ in a pound a cubic foot. */
export const KG_M3_PER_LB_FT3 = 16.0185;
