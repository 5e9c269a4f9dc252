import type { Point } from './polygon';

/** A straight line through a point, with a unit direction. The side to its left is the positive one. Millimetres. */
export interface Line {
  at: Point;
  direction: Point;
}

/** The line from one point to another; two points in one place give a level line. */
export function lineThrough(from: Point, to: Point): Line {
  const length = Math.hypot(to.x - from.x, to.z - from.z);
  if (length < 1e-9) return { at: from, direction: { x: 1, z: 0 } };
  return { at: from, direction: { x: (to.x - from.x) / length, z: (to.z - from.z) / length } };
}

/** A unit vector square to the line, towards its left. */
export const leftOf = ({ direction }: Line): Point => ({ x: -direction.z, z: direction.x });

/** The line moved to its left by a distance. @example moved(level line, 10) // 10 mm higher */
export function moved(line: Line, leftMm: number): Line {
  const left = leftOf(line);
  return {
    at: { x: line.at.x + left.x * leftMm, z: line.at.z + left.z * leftMm },
    direction: line.direction,
  };
}

/** A point so far along the line. */
export const pointOn = ({ at, direction }: Line, distanceMm: number): Point => ({
  x: at.x + direction.x * distanceMm,
  z: at.z + direction.z * distanceMm,
});

/** How far a point lies to the left of the line, negative to its right. */
export function offsetFrom(line: Line, p: Point): number {
  const left = leftOf(line);
  return (p.x - line.at.x) * left.x + (p.z - line.at.z) * left.z;
}

/**
 * Where two lines cross; null when they are parallel.
 *
 * @example crossing(lineThrough({ x: 0, z: 0 }, { x: 1, z: 0 }), lineThrough({ x: 5, z: -1 }, { x: 5, z: 1 })) // 5, 0
 */
export function crossing(a: Line, b: Line): Point | null {
  const cross = a.direction.x * b.direction.z - a.direction.z * b.direction.x;
  if (Math.abs(cross) < 1e-12) return null;
  const t = ((b.at.x - a.at.x) * b.direction.z - (b.at.z - a.at.z) * b.direction.x) / cross;
  return pointOn(a, t);
}
