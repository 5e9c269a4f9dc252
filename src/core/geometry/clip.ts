import type { Point } from './polygon';

/**
 * The part of a polygon on the near side of a line: where the distance along `direction` is at most `reach`.
 * Sutherland and Hodgman (1974) with one edge; for a polygon that is not convex the part may be joined by edges
 * along the line, which enclose no area.
 *
 * @example clipAlong(rectangle(10, 10), { x: 1, z: 0 }, 0) // the left half
 */
export function clipAlong(corners: readonly Point[], direction: Point, reach: number): Point[] {
  const along = (p: Point) => p.x * direction.x + p.z * direction.z - reach;
  const kept: Point[] = [];
  for (let i = 0; i < corners.length; i += 1) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const [da, db] = [along(a), along(b)];
    if (da <= 0) kept.push(a);
    if (da < 0 !== db < 0 && da !== db) {
      const t = da / (da - db);
      kept.push({ x: a.x + t * (b.x - a.x), z: a.z + t * (b.z - a.z) });
    }
  }
  return kept;
}
