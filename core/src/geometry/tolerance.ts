/** Largest distance between a curve and the straight pieces that stand for it in computing (not in files). */
export const FLATTEN_MM = 0.2;

/** Two points nearer than this are one point: well under what a knife can do, well over double-precision noise at 10 m. */
export const SAME_POINT_MM = 1e-6;

/** Cubics stand as arcs within this for offsets: a tenth of what any saw or pen does. */
export const OFFSET_ARCS_MM = 0.01;
