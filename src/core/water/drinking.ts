/** What is drunk, cooked and washed with at a camp, in litres: drinks and meals of an evening and a morning, and half a litre overnight. */
export const CAMP_L = 2.5;

/** At 10 °C, where nothing is learned of the rider. */
export const BASE_L_PER_H = 0.35;
export const MORE_L_PER_C = 0.03;
const LEAST = 0.3;
const MOST = 1.2;

/**
 * Litres an hour while riding: 0.35 + 0.03 for each degree above 10 °C, within 0.3 and 1.2, times the effort (methods, section 7; range as in
 * the ACSM 2007 position stand). Drink to thirst; the rider's own log replaces it.
 *
 * @param effort 1 for riding all day
 * @param baseLPerH what this rider drinks at 10 °C
 * @example drinkingRate(17, 1) // 0.56
 */
export const drinkingRate = (celsius: number, effort: number, baseLPerH = BASE_L_PER_H): number =>
  Math.min(MOST, Math.max(LEAST, baseLPerH + MORE_L_PER_C * (celsius - 10))) * effort;
