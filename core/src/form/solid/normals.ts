import type { SolidPart } from './solid';

/** Sides that meet at more than this are an edge and are not smoothed over: its cosine. */
const EDGE_COSINE = Math.cos(Math.PI / 4);

/** A mesh ready for drawing: where two faces of a part meet in an edge its vertices stand twice. */
export interface ShadedMesh {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly uvs: Float32Array;
  readonly triangles: Uint32Array;
}

/** A part with a normal at each vertex: the mean of the faces that meet there, by their area, and of those only that turn less than 45° from the face itself. */
export function shaded({ positions, triangles, uvs }: SolidPart): ShadedMesh {
  const count = triangles.length / 3;
  const faces = new Float64Array(triangles.length);
  const around: number[][] = Array.from({ length: positions.length / 3 }, () => []);
  for (let t = 0; t < count; t++) {
    const [a, b, c] = [0, 1, 2].map((k) => 3 * (triangles[3 * t + k] as number)) as [number, number, number];
    const [ux, uy, uz] = [0, 1, 2].map((k) => (positions[b + k] as number) - (positions[a + k] as number)) as [number, number, number];
    const [vx, vy, vz] = [0, 1, 2].map((k) => (positions[c + k] as number) - (positions[a + k] as number)) as [number, number, number];
    faces.set([uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx], 3 * t);
    for (const corner of [a, b, c]) around[corner / 3]?.push(t);
  }
  const long = (t: number): number => Math.hypot(faces[3 * t] as number, faces[3 * t + 1] as number, faces[3 * t + 2] as number) || 1;
  const out = { positions: [] as number[], normals: [] as number[], uvs: [] as number[], triangles: new Uint32Array(triangles.length) };
  const known = new Map<string, number>();
  for (let t = 0; t < count; t++)
    for (let k = 0; k < 3; k++) {
      const i = triangles[3 * t + k] as number;
      const sum = [0, 0, 0];
      for (const other of around[i] ?? []) {
        const cosine =
          [0, 1, 2].reduce((dot, axis) => dot + (faces[3 * t + axis] as number) * (faces[3 * other + axis] as number), 0) / (long(t) * long(other));
        if (cosine >= EDGE_COSINE) for (const axis of [0, 1, 2]) sum[axis] = (sum[axis] as number) + (faces[3 * other + axis] as number);
      }
      const size = Math.hypot(...sum) || 1;
      const normal = sum.map((value) => value / size);
      const key = `${i}/${normal.map((value) => Math.round(value * 500)).join()}`;
      let index = known.get(key);
      if (index === undefined) {
        index = out.positions.length / 3;
        known.set(key, index);
        out.positions.push(...positions.subarray(3 * i, 3 * i + 3));
        out.normals.push(...normal);
        out.uvs.push(...uvs.subarray(2 * i, 2 * i + 2));
      }
      out.triangles[3 * t + k] = index;
    }
  return {
    positions: Float32Array.from(out.positions),
    normals: Float32Array.from(out.normals),
    uvs: Float32Array.from(out.uvs),
    triangles: out.triangles,
  };
}
