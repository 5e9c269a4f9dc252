import { clipAlong } from './clip';
import { signedAreaMm2, type Point } from './polygon';

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
