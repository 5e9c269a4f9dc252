import { distanceM, shorterWay } from './geo';

/** A track as it was recorded: degrees, and metres of height or NaN. */
export interface Track {
  lat: ArrayLike<number>;
  lon: ArrayLike<number>;
  heightM: ArrayLike<number>;
}

export interface Resampled {
  lat: Float64Array;
  lon: Float64Array;
  /** NaN where the track has no height nearby. */
  heightM: Float64Array;
  stepM: number;
  lengthM: number;
}

/** A longer gap between two heights is not filled. */
const LONGEST_GAP_M = 500;

/**
 * A track at even spacing (methods, section 6): from its start to its end in equal steps of about `wantedM`, each between the two
 * recorded points around it.
 */
export function resample({ lat, lon, heightM }: Track, wantedM = 20): Resampled {
  const n = lat.length;
  const along = new Float64Array(n);
  for (let i = 1; i < n; i += 1)
    along[i] = along[i - 1]! + distanceM(lat[i - 1]!, lon[i - 1]!, lat[i]!, lon[i]!);
  const lengthM = along[n - 1]!;
  const heights = filled(along, heightM);
  const steps = Math.max(1, Math.round(lengthM / wantedM));
  const stepM = lengthM / steps;
  const result: Resampled = {
    lat: new Float64Array(steps + 1),
    lon: new Float64Array(steps + 1),
    heightM: new Float64Array(steps + 1),
    stepM,
    lengthM,
  };
  let i = 0;
  for (let k = 0; k <= steps; k += 1) {
    const at = k * stepM;
    while (i < n - 2 && along[i + 1]! < at) i += 1;
    const span = along[i + 1]! - along[i]!;
    const t = span > 0 ? Math.max(0, Math.min(1, (at - along[i]!) / span)) : 0;
    result.lat[k] = lat[i]! + t * (lat[i + 1]! - lat[i]!);
    result.lon[k] = shorterWay(lon[i]! + t * shorterWay(lon[i + 1]! - lon[i]!));
    result.heightM[k] = heights[i]! + t * (heights[i + 1]! - heights[i]!);
  }
  return result;
}

/** Heights with short gaps filled evenly between the heights around them. */
function filled(along: Float64Array, heights: ArrayLike<number>): Float64Array {
  const result = Float64Array.from(heights);
  let last = -1;
  for (let i = 0; i < result.length; i += 1) {
    if (Number.isNaN(result[i]!)) continue;
    if (last >= 0 && i > last + 1 && along[i]! - along[last]! <= LONGEST_GAP_M)
      for (let k = last + 1; k < i; k += 1) {
        const t = (along[k]! - along[last]!) / Math.max(1e-9, along[i]! - along[last]!);
        result[k] = result[last]! + t * (result[i]! - result[last]!);
      }
    last = i;
  }
  return result;
}
