/** A point in a plane, millimetres. In side views x is forward and z is up. */
export interface Point {
  x: number;
  z: number;
}

/**
 * Area of a simple polygon in mm² by the shoelace formula; positive when the corners run anticlockwise.
 *
 * @example signedAreaMm2([{ x: 0, z: 0 }, { x: 10, z: 0 }, { x: 0, z: 10 }]) // 50
 */
export function signedAreaMm2(corners: readonly Point[]): number {
  let twice = 0;
  for (let i = 0; i < corners.length; i += 1) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    twice += a.x * b.z - b.x * a.z;
  }
  return twice / 2;
}

/** Centroid of the area; for a polygon of no area, the mean of its corners. */
export function centroid(corners: readonly Point[]): Point {
  const area = signedAreaMm2(corners);
  if (Math.abs(area) < 1e-9) {
    const n = Math.max(1, corners.length);
    return { x: sum(corners.map((p) => p.x)) / n, z: sum(corners.map((p) => p.z)) / n };
  }
  let x = 0;
  let z = 0;
  for (let i = 0; i < corners.length; i += 1) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const cross = a.x * b.z - b.x * a.z;
    x += (a.x + b.x) * cross;
    z += (a.z + b.z) * cross;
  }
  return { x: x / (6 * area), z: z / (6 * area) };
}

/** True when no two sides that do not share a corner touch: the outline does not cross itself. */
export function isSimple(corners: readonly Point[]): boolean {
  const n = corners.length;
  for (let i = 0; i < n; i += 1) {
    for (let j = i + 2; j < n; j += 1) {
      if (i === 0 && j === n - 1) continue;
      if (segmentsTouch(corners[i]!, corners[(i + 1) % n]!, corners[j]!, corners[(j + 1) % n]!)) return false;
    }
  }
  return true;
}

function segmentsTouch(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) =>
    Math.sign((q.x - p.x) * (r.z - p.z) - (q.z - p.z) * (r.x - p.x));
  const [s1, s2, s3, s4] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (s1 !== s2 && s3 !== s4) return true;
  const within = (p: Point, q: Point, r: Point) =>
    Math.min(p.x, q.x) <= r.x &&
    r.x <= Math.max(p.x, q.x) &&
    Math.min(p.z, q.z) <= r.z &&
    r.z <= Math.max(p.z, q.z);
  return (
    (s1 === 0 && within(a, b, c)) ||
    (s2 === 0 && within(a, b, d)) ||
    (s3 === 0 && within(c, d, a)) ||
    (s4 === 0 && within(c, d, b))
  );
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** Moves, turns (anticlockwise seen from the left of the bike, radians) and mirrors nothing. */
export function placed(corners: readonly Point[], at: Point, turnRad = 0): Point[] {
  const cos = Math.cos(turnRad);
  const sin = Math.sin(turnRad);
  return corners.map(({ x, z }) => ({ x: at.x + x * cos - z * sin, z: at.z + x * sin + z * cos }));
}

/** A closed polygon that stands for a circle or an ellipse in a drawing; 32 corners keep it within 0.5 %. */
export function ellipse(widthMm: number, heightMm: number, corners = 32): Point[] {
  return Array.from({ length: corners }, (_, i) => {
    const angle = (2 * Math.PI * i) / corners;
    return { x: (Math.cos(angle) * widthMm) / 2, z: (Math.sin(angle) * heightMm) / 2 };
  });
}

/** A rectangle round the origin, corners anticlockwise. */
export const rectangle = (widthMm: number, heightMm: number): Point[] => [
  { x: -widthMm / 2, z: -heightMm / 2 },
  { x: widthMm / 2, z: -heightMm / 2 },
  { x: widthMm / 2, z: heightMm / 2 },
  { x: -widthMm / 2, z: heightMm / 2 },
];

/** Whether a point lies inside a simple polygon, by counting crossings of a ray (even–odd rule). */
export function isInside(p: Point, corners: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i, i += 1) {
    const [a, b] = [corners[i]!, corners[j]!];
    if (a.z > p.z !== b.z > p.z && p.x < ((b.x - a.x) * (p.z - a.z)) / (b.z - a.z) + a.x) inside = !inside;
  }
  return inside;
}

/** Moves every corner by the same step. */
export const shifted = (corners: readonly Point[], step: Point): Point[] =>
  corners.map(({ x, z }) => ({ x: x + step.x, z: z + step.z }));

/** Least and greatest x and z of some points. */
export function extentOf(points: readonly Point[]): {
  left: number;
  right: number;
  low: number;
  high: number;
} {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, z } of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, z);
    high = Math.max(high, z);
  }
  return { left, right, low, high };
}
