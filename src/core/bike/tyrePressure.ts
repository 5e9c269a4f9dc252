import type { Build } from './bike';

export const SURFACES = ['paved', 'gravel', 'rough'] as const;
export type Surface = (typeof SURFACES)[number];

const G_PER_LB = 453.59237;
const KPA_PER_PSI = 6.894757;
/** Rough ground asks for less, inner tubes for more (methods, section 11). */
const SURFACE_FACTOR: Record<Surface, number> = { paved: 1, gravel: 0.95, rough: 0.9 };
const TUBES_FACTOR = 1.05;

/** A pressure to start from, and what bounded it. */
export interface TyrePressure {
  kpa: number;
  /** By the curve alone, before the limits printed on tyre and rim. */
  curveKpa: number;
  boundedBy: 'tyre least' | 'tyre most' | 'rim most' | null;
}

/** Printed limits that leave no pressure: the tyre's least is above its own greatest, or above the rim's. */
export interface NoPressure {
  leastKpa: number;
  mostKpa: number;
  /** Which greatest pressure is below the tyre's least. */
  part: 'tyre' | 'rim';
}

/**
 * Whether the limits printed on tyre and rim leave any pressure at all; null where they do, or are not known.
 *
 * @example noPressure({ tyreLeastKpa: 350, tyreMostKpa: null, rimMostKpa: 300 }) // { leastKpa: 350, mostKpa: 300, part: 'rim' }
 */
export function noPressure({
  tyreLeastKpa: leastKpa,
  tyreMostKpa,
  rimMostKpa,
}: Pick<Build, 'tyreLeastKpa' | 'tyreMostKpa' | 'rimMostKpa'>): NoPressure | null {
  if (leastKpa === null) return null;
  if (rimMostKpa !== null && leastKpa > rimMostKpa) return { leastKpa, mostKpa: rimMostKpa, part: 'rim' };
  if (tyreMostKpa !== null && leastKpa > tyreMostKpa) return { leastKpa, mostKpa: tyreMostKpa, part: 'tyre' };
  return null;
}

/**
 * Starting pressure of one tyre from its load: psi = 153.6 · load_lb / width_mm^1.5785 − 7.17, a curve fitted to
 * published measurements at 15 % tyre drop; then by surface and tubes, and always inside the limits printed on
 * tyre and rim (methods, section 11). Valid for widths of 20 to 75 mm; a start for the rider's own tests.
 *
 * @param loadG what the wheel carries, in grams
 * @param widthMm measured tyre width
 * @example // by hand: 100 lb on 45 mm, paved, tubeless → 30.6 psi, 211 kPa
 * startingPressure(45359.237, 45, 'paved', DEFAULT_BUILD).kpa
 */
export function startingPressure(
  loadG: number,
  widthMm: number,
  surface: Surface,
  build: Pick<Build, 'tubes' | 'tyreLeastKpa' | 'tyreMostKpa' | 'rimMostKpa'>,
): TyrePressure {
  const psi = (153.6 * (loadG / G_PER_LB)) / widthMm ** 1.5785 - 7.17;
  const curveKpa = Math.max(
    0,
    psi * KPA_PER_PSI * SURFACE_FACTOR[surface] * (build.tubes ? TUBES_FACTOR : 1),
  );
  let kpa = curveKpa;
  let boundedBy: TyrePressure['boundedBy'] = null;
  if (build.tyreLeastKpa !== null && kpa < build.tyreLeastKpa)
    [kpa, boundedBy] = [build.tyreLeastKpa, 'tyre least'];
  // Upper limits come last: where printed limits contradict (`noPressure`), the lower upper one holds.
  if (build.tyreMostKpa !== null && kpa > build.tyreMostKpa)
    [kpa, boundedBy] = [build.tyreMostKpa, 'tyre most'];
  if (build.rimMostKpa !== null && kpa > build.rimMostKpa) [kpa, boundedBy] = [build.rimMostKpa, 'rim most'];
  return { kpa, curveKpa, boundedBy };
}
