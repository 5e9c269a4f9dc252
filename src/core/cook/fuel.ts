/** Of the water at a camp. */
export const WATER_C = 10;
/** A day of which nothing is known. */
const USUAL_WIND_KMH = 20;

/** Shares of the flame's heat that reach the water (methods, section 8). */
export const EFFICIENCY = { sheltered: 0.5, breeze: 0.35, wind: 0.25 } as const;
export type Exposure = keyof typeof EFFICIENCY;

const WATER_KJ = 4.186;
const GAS_KJ_PER_G = 46;

/**
 * Grams of gas that bring a litre of water to the boil (methods, section 8).
 *
 * @example gasPerLitreG(10, 'breeze') // 23.4
 */
export const gasPerLitreG = (waterC: number, exposure: Exposure): number =>
  (WATER_KJ * (100 - waterC)) / (GAS_KJ_PER_G * EFFICIENCY[exposure]);

/** How a wind is felt by a stove. @example exposureOf(28) // 'breeze' */
export const exposureOf = (windKmh: number): Exposure =>
  windKmh < 12 ? 'sheltered' : windKmh < 35 ? 'breeze' : 'wind';

/**
 * Grams of gas a litre takes on a trip, by its windiest day.
 *
 * @param winds of each day in km/h; null where it is not known
 * @param share what this rider burns of what is calculated, as learned on trips
 * @example gasOnTrip([12, null], 1) // 23.4
 */
export const gasOnTrip = (winds: readonly (number | null)[], share: number): number =>
  share * gasPerLitreG(WATER_C, exposureOf(Math.max(0, ...winds.map((kmh) => kmh ?? USUAL_WIND_KMH))));

export interface FuelBudget {
  neededG: number;
  /** In the canisters that come along. */
  hasG: number;
  perLitreG: number;
  litres: number;
  verdict: 'enough' | 'doubtful' | 'not enough';
}

/**
 * Gas against boils.
 *
 * @param litres to boil over the whole trip
 * @param hasG gas in the canisters: what one weighs less what it weighs empty
 * @example fuelBudget(2.8, 100, 23.4).neededG // 65.5
 */
export function fuelBudget(litres: number, hasG: number, perLitreG: number): FuelBudget {
  const neededG = litres * perLitreG;
  return {
    neededG,
    hasG,
    perLitreG,
    litres,
    verdict: hasG < neededG ? 'not enough' : hasG < 1.25 * neededG ? 'doubtful' : 'enough',
  };
}
