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
 * Width at a place along x, in millimetres.
 *
 * @example widthAt({ kind: 'polygon', corners: from x 0 to 400, widthMm: 40, frontWidthMm: 60 }, 200) // 50
 */
export function widthAt({ corners, widthMm, frontWidthMm }: FlatPolygon, x: number): number {
  if (frontWidthMm === undefined) return widthMm;
  let [rear, front] = [Infinity, -Infinity];
  for (const corner of corners) {
    rear = Math.min(rear, corner.x);
    front = Math.max(front, corner.x);
  }
  if (front - rear < 1e-9) return widthMm;
  const share = Math.min(1, Math.max(0, (x - rear) / (front - rear)));
  return widthMm + (frontWidthMm - widthMm) * share;
}

/**
 * Volume in millilitres: the area times the width at its centroid, which is exact since the width is linear in x
 * (the integral of a linear function over an area is its value at the centroid times the area).
 */
export const flatPolygonVolumeMl = (flat: FlatPolygon): number =>
  (Math.abs(signedAreaMm2(flat.corners)) * widthAt(flat, centroid(flat.corners).x)) / 1000;
