/** Types of the constrained triangulation, which ships none. */
declare module 'cdt2d' {
  interface Options {
    readonly delaunay?: boolean;
    readonly interior?: boolean;
    readonly exterior?: boolean;
  }
  /** Triangles over points, with edges between them kept. */
  function cdt2d(points: readonly (readonly [number, number])[], edges: readonly (readonly [number, number])[], options?: Options): [number, number, number][];
  export = cdt2d;
}
