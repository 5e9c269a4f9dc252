import { clipAlong } from '@/core/geometry/clip';
import { leftOf, lineThrough, moved, type Line } from '@/core/geometry/line';
import type { Point } from '@/core/geometry/polygon';
import type { SideView } from './sideView';

/** Tube diameters taken where none are measured, in millimetres; the drawing uses the same. */
export const TUBE_MM = { top: 34, head: 44, down: 42, seat: 32 } as const;
export const TRIANGLE_SIDES = ['top', 'head', 'down', 'seat'] as const;
export type TriangleSide = (typeof TRIANGLE_SIDES)[number];

/**
 * Centre lines of the four tubes, each directed so that the triangle's inside is on its left: round once
 * anticlockwise as drawn, x forward and z up.
 */
export function tubeLines(view: SideView): Record<TriangleSide, Line> {
  return {
    top: lineThrough(view.topTubeFront, view.topTubeRear),
    seat: lineThrough(view.seatTubeTop, { x: 0, z: 0 }),
    down: lineThrough({ x: 0, z: 0 }, view.downTubeFront),
    head: lineThrough(view.headBottom, view.headTop),
  };
}

/**
 * The inside of the main triangle: centre lines moved in by the tubes' radii, and further by set-backs for what
 * must stay free along a tube (methods, section 1). Corners anticlockwise from the seat tube's top; three where
 * the top and down tubes meet before the head tube. Empty when nothing is left.
 *
 * @param setBackMm free space along each tube, in millimetres
 * @example triangleInside(sideView(DEFAULT_GEOMETRY)).length // 4
 */
export function triangleInside(
  view: SideView,
  setBackMm: Partial<Record<TriangleSide, number>> = {},
): Point[] {
  const lines = tubeLines(view);
  let corners: Point[] = [
    { x: -3000, z: 3000 },
    { x: -3000, z: -3000 },
    { x: 3000, z: -3000 },
    { x: 3000, z: 3000 },
  ];
  for (const side of TRIANGLE_SIDES) {
    const line = moved(lines[side], TUBE_MM[side] / 2 + (setBackMm[side] ?? 0));
    const left = leftOf(line);
    // Keep what lies to the left: distance along the opposite direction at most that of the line.
    const away = { x: -left.x, z: -left.z };
    corners = clipAlong(corners, away, away.x * line.at.x + away.z * line.at.z);
  }
  return fromSeatTop(withoutDoubles(corners), view);
}

function withoutDoubles(corners: readonly Point[]): Point[] {
  return corners.filter((p, i) => {
    const q = corners[(i + 1) % corners.length]!;
    return Math.hypot(p.x - q.x, p.z - q.z) > 1e-6;
  });
}

/** The same corners, beginning with the one by the seat tube's top. */
function fromSeatTop(corners: readonly Point[], view: SideView): Point[] {
  let first = 0;
  let least = Infinity;
  corners.forEach((p, i) => {
    const distance = Math.hypot(p.x - view.topTubeRear.x, p.z - view.topTubeRear.z);
    if (distance < least) [least, first] = [distance, i];
  });
  return [...corners.slice(first), ...corners.slice(0, first)];
}
