import type { Tape } from '@/core/bike/bike';
import type { Point } from '@/core/geometry/polygon';

/**
 * What a tape would read inside a triangle of four corners: anticlockwise from the seat tube's top, as
 * `triangleInside` gives them.
 */
export function tapeOf(inside: readonly Point[]): Tape {
  const [seatTop, bottom, front, headTop] = inside as [Point, Point, Point, Point];
  const between = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.z - b.z);
  return {
    topMm: between(headTop, seatTop),
    headMm: between(front, headTop),
    downMm: between(bottom, front),
    seatMm: between(seatTop, bottom),
    diagonalMm: between(seatTop, front),
    railToTyreMm: null,
    barToTyreMm: null,
  };
}
