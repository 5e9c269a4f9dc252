import { isInside, type Point } from './polygon';

/** A circle in a side or front view, millimetres. */
export interface Circle {
  centre: Point;
  radiusMm: number;
}

/**
 * How far apart two shapes are, and where: the nearest point of each. The gap is negative where they overlap,
 * by how deep for circles and for a circle in a polygon; two overlapping polygons give 0.
 */
export interface Gap {
  gapMm: number;
  from: Point;
  to: Point;
}

/** The point of a segment nearest to a point. @example nearestOnSegment({ x: 5, z: 3 }, { x: 0, z: 0 }, { x: 9, z: 0 }) // 5, 0 */
export function nearestOnSegment(p: Point, a: Point, b: Point): Point {
  const [dx, dz] = [b.x - a.x, b.z - a.z];
  const square = dx * dx + dz * dz;
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.z - a.z) * dz) / square));
  return { x: a.x + t * dx, z: a.z + t * dz };
}

/** The point of a polygon's outline nearest to a point. */
export function nearestOnOutline(p: Point, corners: readonly Point[]): Point {
  let best = corners[0]!;
  let least = Infinity;
  for (let i = 0; i < corners.length; i += 1) {
    const q = nearestOnSegment(p, corners[i]!, corners[(i + 1) % corners.length]!);
    const distance = Math.hypot(q.x - p.x, q.z - p.z);
    if (distance < least) [least, best] = [distance, q];
  }
  return best;
}

const onCircle = ({ centre, radiusMm }: Circle, towards: Point): Point => {
  const distance = Math.hypot(towards.x - centre.x, towards.z - centre.z);
  if (distance < 1e-12) return { x: centre.x, z: centre.z + radiusMm };
  const share = radiusMm / distance;
  return { x: centre.x + (towards.x - centre.x) * share, z: centre.z + (towards.z - centre.z) * share };
};

/**
 * Gap between a polygon and a circle, exact: from the circle's centre to the outline, less the radius.
 *
 * @example polygonCircleGap(rectangle(10, 10), { centre: { x: 20, z: 0 }, radiusMm: 5 }).gapMm // 10
 */
export function polygonCircleGap(corners: readonly Point[], circle: Circle): Gap {
  const from = nearestOnOutline(circle.centre, corners);
  const distance = Math.hypot(from.x - circle.centre.x, from.z - circle.centre.z);
  const gapMm = (isInside(circle.centre, corners) ? -distance : distance) - circle.radiusMm;
  return { gapMm, from, to: onCircle(circle, from) };
}

/** Gap between two circles, exact. @example circleGap({ centre: { x: 0, z: 0 }, radiusMm: 2 }, { centre: { x: 9, z: 0 }, radiusMm: 3 }).gapMm // 4 */
export function circleGap(a: Circle, b: Circle): Gap {
  const distance = Math.hypot(a.centre.x - b.centre.x, a.centre.z - b.centre.z);
  return {
    gapMm: distance - a.radiusMm - b.radiusMm,
    from: onCircle(a, b.centre),
    to: onCircle(b, a.centre),
  };
}

/**
 * Gap between two polygons, exact: for outlines that do not cross, some corner of one is nearest to a side of the
 * other.
 *
 * @example polygonGap(rectangle(10, 10), placed(rectangle(10, 10), { x: 30, z: 0 })).gapMm // 20
 */
export function polygonGap(a: readonly Point[], b: readonly Point[]): Gap {
  const best: Gap = { gapMm: Infinity, from: a[0]!, to: b[0]! };
  const consider = (from: Point, to: Point) => {
    const gapMm = Math.hypot(from.x - to.x, from.z - to.z);
    if (gapMm < best.gapMm) Object.assign(best, { gapMm, from, to });
  };
  for (const p of a) consider(p, nearestOnOutline(p, b));
  for (const p of b) consider(nearestOnOutline(p, a), p);
  if (outlinesCross(a, b) || isInside(a[0]!, b) || isInside(b[0]!, a)) best.gapMm = 0;
  return best;
}

/** Whether some side of one crosses some side of the other (touching in a point counts only if it passes through). */
function outlinesCross(a: readonly Point[], b: readonly Point[]): boolean {
  const side = (p: Point, q: Point, r: Point) => (q.x - p.x) * (r.z - p.z) - (q.z - p.z) * (r.x - p.x);
  for (let i = 0; i < a.length; i += 1) {
    const [p, q] = [a[i]!, a[(i + 1) % a.length]!];
    for (let j = 0; j < b.length; j += 1) {
      const [r, s] = [b[j]!, b[(j + 1) % b.length]!];
      if (side(p, q, r) * side(p, q, s) < 0 && side(r, s, p) * side(r, s, q) < 0) return true;
    }
  }
  return false;
}
