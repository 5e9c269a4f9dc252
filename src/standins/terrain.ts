/**
 * An invented region in the open ocean: a limestone plateau above a winding river. Every height follows from the place alone, so
 * that elevation, map and demo agree.
 */
export const REGION = { lat: 45, lon: -30, timeZone: 'Etc/GMT+2' } as const;

const KM_PER_DEGREE = 111.195;
const EAST = KM_PER_DEGREE * Math.cos((REGION.lat * Math.PI) / 180);

/** A number from 0 to 1 that belongs to a corner of the grid. */
function hash(x: number, y: number): number {
  let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

/** Smooth noise from −1 to 1 with features about one unit across. */
function noise(x: number, y: number): number {
  const [i, j] = [Math.floor(x), Math.floor(y)];
  const ease = (t: number) => t * t * t * (t * (6 * t - 15) + 10);
  const [u, v] = [ease(x - i), ease(y - j)];
  const row = (k: number) => hash(i, k) + u * (hash(i + 1, k) - hash(i, k));
  return 2 * (row(j) + v * (row(j + 1) - row(j))) - 1;
}

const rise = (from: number, to: number, value: number): number => {
  const t = Math.max(0, Math.min(1, (value - from) / (to - from)));
  return t * t * (3 - 2 * t);
};

/** How far north of the region's middle the river runs, in km, so far east of it. */
export const riverNorthKm = (eastKm: number): number =>
  -6 + 3.2 * Math.sin(eastKm / 6) + 1.4 * Math.sin(eastKm / 2.1 + 1);

/** Kilometres east and north of the region's middle. */
export const toKm = (lat: number, lon: number): [east: number, north: number] => [
  (lon - REGION.lon) * EAST,
  (lat - REGION.lat) * KM_PER_DEGREE,
];
export const fromKm = (east: number, north: number): [lat: number, lon: number] => [
  REGION.lat + north / KM_PER_DEGREE,
  REGION.lon + east / EAST,
];

/** Metres from the middle of the river, about: straight north or south of it, less where it turns. */
export function riverDistanceM(east: number, north: number): number {
  const slope = (riverNorthKm(east + 0.05) - riverNorthKm(east - 0.05)) / 0.1;
  return (1000 * Math.abs(north - riverNorthKm(east))) / Math.hypot(1, slope);
}

/** Height in metres. */
export function heightAt(lat: number, lon: number): number {
  const [x, y] = toKm(lat, lon);
  const river = riverDistanceM(x, y) / 1000;
  const plateau = rise(0.8, 6.5, river + 0.7 * noise(x / 3, y / 3));
  const hills =
    70 * noise(x / 4, y / 4) + 28 * noise(x / 1.3 + 9, y / 1.3) + 7 * noise(x / 0.35, y / 0.35 + 5);
  const fall = 238 - 1.6 * x;
  return fall + 26 * rise(0, 1.2, river) + plateau * (360 + hills);
}

/** Above 0 where there is wood. */
export function woodAt(lat: number, lon: number): number {
  const [x, y] = toKm(lat, lon);
  return noise(x / 1.8 + 40, y / 1.8) + 0.5 * noise(x / 0.6, y / 0.6 + 40) - 0.15;
}
