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
export const exposureOf = (windKmh: number | null): Exposure =>
  windKmh === null ? 'breeze' : windKmh < 12 ? 'sheltered' : windKmh < 35 ? 'breeze' : 'wind';

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
 * @example fuelBudget(2.8, 100, 10, 'breeze').neededG // 65.5
 */
export function fuelBudget(litres: number, hasG: number, waterC: number, exposure: Exposure): FuelBudget {
  const perLitreG = gasPerLitreG(waterC, exposure);
  const neededG = litres * perLitreG;
  return {
    neededG,
    hasG,
    perLitreG,
    litres,
    verdict: hasG < neededG ? 'not enough' : hasG < 1.25 * neededG ? 'doubtful' : 'enough',
  };
}
