import { computed, signal } from '@angular/core';
import { bounds, onSheet, polygonCrossing, type Corners, type Point } from '@yardland/core';

/** What is put round: the outline itself, or something on it. */
export interface HandRing {
  readonly kind: string;
  /** In the picture, pixels. */
  readonly points: readonly Point[];
}

/** Rings that a person puts round what is in a picture, point by point: the outline, and what lies on it. */
export class HandRings {
  readonly rings = signal<readonly HandRing[]>([{ kind: 'outline', points: [] }]);
  /** What the next point belongs to. */
  readonly kind = computed(() => this.rings().at(-1)?.kind ?? 'outline');
  readonly open = computed(() => this.rings().at(-1)?.points.length ?? 0);

  add(point: Point): void {
    this.rings.update((rings) => rings.map((ring, i) => (i === rings.length - 1 ? { ...ring, points: [...ring.points, point] } : ring)));
  }

  /** Takes the last point back; of a ring without points, the ring before is gone on with. */
  back(): void {
    this.rings.update((rings) => {
      const last = rings.at(-1);
      if (!last) return rings;
      if (last.points.length > 0) return [...rings.slice(0, -1), { ...last, points: last.points.slice(0, -1) }];
      return rings.length > 1 ? rings.slice(0, -1) : rings;
    });
  }

  /** Begins the next ring, of another kind; one of fewer than three points goes. */
  next(kind: string): void {
    this.rings.update((rings) => [...rings.filter(({ points }) => points.length >= 3), { kind, points: [] }]);
  }

  clear(): void {
    this.rings.set([{ kind: 'outline', points: [] }]);
  }

  /** The rings of a kind that are whole, on the sheet whose corners are known, millimetres. */
  found(kind: string, corners: Corners, size: { readonly width: number; readonly depth: number }): readonly (readonly Point[])[] {
    return this.rings()
      .filter((ring) => ring.kind === kind && ring.points.length >= 3)
      .map(({ points }) => onSheet(points, corners, size))
      .filter((ring) => ring.length > 0);
  }
}

/** A ring's size; null where its sides cross each other. */
export function sizeOfRing(ring: readonly Point[]): { readonly width: number; readonly depth: number } | null {
  if (polygonCrossing(ring)) return null;
  const { minX, maxX, minY, maxY } = bounds(ring);
  return { width: maxX - minX, depth: maxY - minY };
}
