import { crossing, lineThrough, moved } from './line';
import { signedAreaMm2, type Point } from './polygon';

/**
 * A polygon with every side moved outwards by a distance, corners kept sharp: a seam allowance. Sides that come
 * out parallel to the next keep their own moved corner.
 *
 * @param outMm outwards; negative moves inwards, and is only meaningful while no side vanishes
 * @example signedAreaMm2(offsetPolygon(rectangle(100, 50), 10)) // 120 × 70 = 8400
 */
export function offsetPolygon(corners: readonly Point[], outMm: number): Point[] {
  // Going round anticlockwise the outside lies to the right.
  const right = signedAreaMm2(corners) > 0 ? -outMm : outMm;
  const n = corners.length;
  const sides = corners.map((p, i) => moved(lineThrough(p, corners[(i + 1) % n]!), right));
  return sides.map((side, i) => crossing(sides[(i + n - 1) % n]!, side) ?? side.at);
}
