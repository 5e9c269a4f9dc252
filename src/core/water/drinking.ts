/** What is drunk, cooked and washed with at a camp, in litres: drinks and meals of an evening and a morning, and half a litre overnight. */
export const CAMP_L = 2.5;

const LEAST = 0.3;
const MOST = 1.2;

/**
 * Litres an hour while riding: 0.35 + 0.03 for each degree above 10 °C, within 0.3 and 1.2, times the effort (methods, section 7; range as in
 * the ACSM 2007 position stand). Drink to thirst; the rider's own log replaces it.
 *
 * @param effort 1 for riding all day
 * @example drinkingRate(17, 1) // 0.56
 */
export const drinkingRate = (celsius: number, effort: number): number =>
  Math.min(MOST, Math.max(LEAST, 0.35 + 0.03 * (celsius - 10))) * effort;
