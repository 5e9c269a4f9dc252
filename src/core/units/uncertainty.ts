/** How a mass became known. */
export const MASS_SOURCES = ['estimate', 'kitchen scale', 'luggage scale', 'label'] as const;
export type MassSource = (typeof MASS_SOURCES)[number];

/** How a volume became known. */
export const VOLUME_SOURCES = ['estimate', 'tape', 'rated'] as const;
export type VolumeSource = (typeof VOLUME_SOURCES)[number];

/**
 * Standard error of one mass, in grams (methods, section 12): estimate 15 %, kitchen scale the greater of 1 %
 * and 1 g, luggage scale 50 g, a maker's label 5 % (makers round, and samples differ).
 *
 * @example massErrorG(800, 'estimate') // 120
 */
export function massErrorG(massG: number, source: MassSource): number {
  switch (source) {
    case 'estimate':
      return 0.15 * massG;
    case 'kitchen scale':
      return Math.max(1, 0.01 * massG);
    case 'luggage scale':
      return 50;
    case 'label':
      return 0.05 * massG;
  }
}

/**
 * Standard error of one volume, in millilitres: estimate 25 %, by tape or displacement 7 %, rated sack 10 %.
 *
 * @example volumeErrorMl(1000, 'tape') // 70
 */
export function volumeErrorMl(volumeMl: number, source: VolumeSource): number {
  return { estimate: 0.25, tape: 0.07, rated: 0.1 }[source] * volumeMl;
}

/** Independent errors add in quadrature. @example addErrors([3, 4]) // 5 */
export const addErrors = (errors: Iterable<number>): number => {
  let square = 0;
  for (const error of errors) square += error * error;
  return Math.sqrt(square);
};
