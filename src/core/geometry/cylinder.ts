/** A cylinder by its inside measures, in millimetres. */
export interface Cylinder {
  kind: 'cylinder';
  lengthMm: number;
  diameterMm: number;
}

/**
 * Volume in millilitres: π/4 · d² · l.
 *
 * @example cylinderVolumeMl({ kind: 'cylinder', lengthMm: 500, diameterMm: 160 }) // 10053
 */
export const cylinderVolumeMl = ({ lengthMm, diameterMm }: Cylinder): number =>
  ((Math.PI / 4) * diameterMm * diameterMm * lengthMm) / 1000;
