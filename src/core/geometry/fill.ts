import { signedAreaMm2, type Point } from './polygon';

/**
 * The part of a polygon on the near side of a line: where the distance along `direction` is at most `reach`.
 * Sutherland and Hodgman (1974) with one edge; for a polygon that is not convex the part may be joined by edges
 * along the line, which enclose no area.
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

/**
 * The polygon filled from its bottom towards its mouth until a share of its area is covered.
 *
 * @param share 0 to 1; outside it is clamped
 * @example filledPart(square of side 10 from z 0, up, 0.25) // the square's lowest quarter
 */
export function filledPart(corners: readonly Point[], bottom: Point, mouth: Point, share: number): Point[] {
  if (share <= 0) return [];
  if (share >= 1) return [...corners];
  const length = Math.hypot(mouth.x - bottom.x, mouth.z - bottom.z);
  const direction = { x: (mouth.x - bottom.x) / length, z: (mouth.z - bottom.z) / length };
  const reaches = corners.map((p) => p.x * direction.x + p.z * direction.z);
  const wanted = share * Math.abs(signedAreaMm2(corners));
  let [low, high] = [Math.min(...reaches), Math.max(...reaches)];
  // The area grows with the reach; forty halvings bring a metre below a nanometre.
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (Math.abs(signedAreaMm2(clipAlong(corners, direction, middle))) < wanted) low = middle;
    else high = middle;
  }
  return clipAlong(corners, direction, high);
}
