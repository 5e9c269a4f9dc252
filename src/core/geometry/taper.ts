/** A long taper, as of a seat pack: an elliptical nose growing linearly to an elliptical mouth. Millimetres. */
export interface Taper {
  kind: 'taper';
  lengthMm: number;
  noseWidthMm: number;
  noseHeightMm: number;
  mouthWidthMm: number;
  mouthHeightMm: number;
}

/**
 * Volume in millilitres by the prismatoid rule l/6 · (A₀ + 4 Aₘ + A₁), exact here since the section's axes
 * grow linearly and so its area is quadratic along the axis.
 *
 * @example // a taper that does not taper is a cylinder: π/4 · 100² · 300 = 2356 ml
 * taperVolumeMl({ kind: 'taper', lengthMm: 300, noseWidthMm: 100, noseHeightMm: 100, mouthWidthMm: 100, mouthHeightMm: 100 })
 */
export function taperVolumeMl(taper: Taper): number {
  const nose = taper.noseWidthMm * taper.noseHeightMm;
  const mouth = taper.mouthWidthMm * taper.mouthHeightMm;
  const middle = ((taper.noseWidthMm + taper.mouthWidthMm) * (taper.noseHeightMm + taper.mouthHeightMm)) / 4;
  return ((Math.PI / 4) * taper.lengthMm * (nose + 4 * middle + mouth)) / 6000;
}
