/** What a part of a solid stands for. */
export type SolidKind = 'cover' | 'board' | 'cord' | 'stitch' | 'core';

/**
 * A part of a cushion in the round: one piece of cloth, or what lies in or on it. Millimetres, z up, the cushion's front at the least y. Triangles run counter-clockwise
 * seen from outside; `uvs` are places on the piece as it is cut.
 */
export interface SolidPart {
  /** Its own in the solid: a plate that is cut twice is two parts of one piece. */
  readonly id: string;
  readonly piece: string;
  readonly kind: SolidKind;
  readonly material: string;
  /** x, y, z of each vertex. */
  readonly positions: Float64Array;
  /** Three vertices a triangle. */
  readonly triangles: Uint32Array;
  /** u, v of each vertex. */
  readonly uvs: Float64Array;
}

/** A closed cushion as a mesh. The parts of its cover, and its board where it has one, enclose it together. */
export interface Solid {
  readonly parts: readonly SolidPart[];
}

/** A vertex that several parts may share. */
export interface Vertex {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Gathers the triangles of one part; vertices that are asked for twice under one key are one. */
export class PartBuilder {
  private readonly positions: number[] = [];
  private readonly uvs: number[] = [];
  private readonly triangles: number[] = [];
  private readonly known = new Map<string, number>();

  constructor(private readonly head: Pick<SolidPart, 'id' | 'piece' | 'kind' | 'material'>) {}

  vertex(key: string, { x, y, z }: Vertex, u: number, v: number): number {
    const found = this.known.get(key);
    if (found !== undefined) return found;
    const index = this.positions.length / 3;
    this.positions.push(x, y, z);
    this.uvs.push(u, v);
    this.known.set(key, index);
    return index;
  }

  /** Adds a triangle unless two of its corners are in one place: then it has no area, and its other sides are one. */
  triangle(a: number, b: number, c: number): void {
    if (this.together(a, b) || this.together(b, c) || this.together(c, a)) return;
    this.triangles.push(a, b, c);
  }

  private together(a: number, b: number): boolean {
    return [0, 1, 2].every((axis) => this.positions[3 * a + axis] === this.positions[3 * b + axis]);
  }

  get empty(): boolean {
    return this.triangles.length === 0;
  }

  part(): SolidPart {
    return {
      ...this.head,
      positions: Float64Array.from(this.positions),
      triangles: Uint32Array.from(this.triangles),
      uvs: Float64Array.from(this.uvs),
    };
  }
}

/** The parts of a solid moved and turned: each vertex by `place`. */
export function placed(parts: readonly SolidPart[], place: (p: Vertex) => Vertex): SolidPart[] {
  return parts.map((part) => {
    const positions = new Float64Array(part.positions.length);
    for (let i = 0; i < positions.length; i += 3) {
      const p = place({ x: part.positions[i] as number, y: part.positions[i + 1] as number, z: part.positions[i + 2] as number });
      positions.set([p.x, p.y, p.z], i);
    }
    return { ...part, positions };
  });
}

/** The box round some parts, mm. */
export function boundsOf(parts: readonly SolidPart[]): { readonly low: Vertex; readonly high: Vertex } {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (const { positions } of parts)
    for (let i = 0; i < positions.length; i++) {
      const value = positions[i] as number;
      low[i % 3] = Math.min(low[i % 3] as number, value);
      high[i % 3] = Math.max(high[i % 3] as number, value);
    }
  const point = ([x = 0, y = 0, z = 0]: readonly number[]): Vertex => ({ x, y, z });
  return { low: point(low), high: point(high) };
}
