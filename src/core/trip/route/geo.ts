/** Mean radius of the earth in metres. */
const RADIUS_M = 6_371_008.8;
const RAD = Math.PI / 180;

/**
 * Great-circle distance in metres (haversine, on a sphere: within 0.5 % of the ellipsoid). Our own since it runs for every point of a
 * track on flat arrays; packages take and make objects.
 *
 * @example distanceM(48, 9, 49, 9) // 111 195
 */
export function distanceM(latA: number, lonA: number, latB: number, lonB: number): number {
  const dLat = (latB - latA) * RAD;
  const dLon = (lonB - lonA) * RAD;
  const a = Math.sin(dLat / 2) ** 2 + Math.cos(latA * RAD) * Math.cos(latB * RAD) * Math.sin(dLon / 2) ** 2;
  return 2 * RADIUS_M * Math.asin(Math.min(1, Math.sqrt(a)));
}

/** A difference of longitudes by the shorter way round, across the antimeridian too. */
export const shorterWay = (degrees: number): number => degrees - 360 * Math.round(degrees / 360);

/** The point of a line that is nearest to a place: how far along the line, and how far off it, in metres. */
export function nearestOnLine(
  lat: ArrayLike<number>,
  lon: ArrayLike<number>,
  stepM: number,
  placeLat: number,
  placeLon: number,
): { alongM: number; offM: number } {
  // Flat around the place: what is near it is told exactly, and nothing else can be nearest.
  const kx = Math.cos(placeLat * RAD) * RAD * RADIUS_M;
  const ky = RAD * RADIUS_M;
  let best = Infinity;
  let along = 0;
  let bx = 0;
  let by = 0;
  for (let i = 0; i < lat.length; i += 1) {
    const ax = bx;
    const ay = by;
    bx = shorterWay(lon[i]! - placeLon) * kx;
    by = (lat[i]! - placeLat) * ky;
    if (i === 0) {
      best = bx * bx + by * by;
      continue;
    }
    const dx = bx - ax;
    const dy = by - ay;
    const square = dx * dx + dy * dy;
    const t = square > 0 ? Math.max(0, Math.min(1, -(ax * dx + ay * dy) / square)) : 0;
    const off = (ax + t * dx) ** 2 + (ay + t * dy) ** 2;
    if (off < best) {
      best = off;
      along = (i - 1 + t) * stepM;
    }
  }
  return { alongM: along, offM: Math.sqrt(best) };
}
