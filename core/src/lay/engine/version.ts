/** Raised whenever the engine finds other lays for the same requests: lays that were kept from before are then searched for anew. */
export const LAY_ENGINE = 2;
