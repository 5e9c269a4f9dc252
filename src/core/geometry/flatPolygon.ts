import { centroid, signedAreaMm2, type Point } from './polygon';

/**
 * A flat pouch: a side outline of three or more corners, `widthMm` wide at its rear end. Where `frontWidthMm` is
 * given the width grows or shrinks evenly from rear to front, as of a frame bag made slim at the knees.
 */
export interface FlatPolygon {
  kind: 'polygon';
  corners: Point[];
  widthMm: number;
  frontWidthMm?: number;
}

/**
 * What gives the width at a place along x, in millimetres: made once for a pouch that is asked often.
 *
 * @example widthsOf({ kind: 'polygon', corners: from x 0 to 400, widthMm: 40, frontWidthMm: 60 })(200) // 50
 */
export function widthsOf({ corners, widthMm, frontWidthMm }: FlatPolygon): (x: number) => number {
  const rear = Math.min(...corners.map(({ x }) => x));
  const long = Math.max(...corners.map(({ x }) => x)) - rear;
  if (frontWidthMm === undefined || !(long >= 1e-9)) return () => widthMm;
  return (x) => widthMm + (frontWidthMm - widthMm) * Math.min(1, Math.max(0, (x - rear) / long));
}

/** Width at one place along x, in millimetres. */
export const widthAt = (flat: FlatPolygon, x: number): number => widthsOf(flat)(x);

/**
 * Volume in millilitres: the area times the width at its centroid, which is exact since the width is linear in x
 * (the integral of a linear function over an area is its value at the centroid times the area).
 */
export const flatPolygonVolumeMl = (flat: FlatPolygon): number =>
  (Math.abs(signedAreaMm2(flat.corners)) * widthAt(flat, centroid(flat.corners).x)) / 1000;
