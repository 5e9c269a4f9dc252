/** Heat that people give off, in multiples of rest (58.2 W/m²). */
export const MET = { sitting: 1.4, moving: 1.8 } as const;
const W_PER_M2 = 58.2;
/** Air layer around the clothes, in clo. */
export const AIR_CLO = { shelter: 0.7, breeze: 0.4 } as const;

/**
 * Insulation of clothes worn together, in clo (ISO 9920): 0.161 + 0.835 times the sum of the garments.
 *
 * @example clothesClo([0.2, 0.15, 0.7, 0.15, 0.25, 0.05, 0.1, 0.05]) // 1.54
 */
export const clothesClo = (garments: readonly number[]): number =>
  0.161 + 0.835 * garments.reduce((sum, clo) => sum + clo, 0);

/**
 * Down to which temperature one stays comfortable: a steady balance with a quarter of the heat lost by breath and sweat
 * (methods, section 14). People differ by 4 °C either way; wet clothes insulate half as well.
 *
 * @param clo of clothes and air together
 * @example comfortableDownTo(2.24, MET.sitting) // 11.8
 */
export const comfortableDownTo = (clo: number, met: number): number =>
  33 - clo * 0.155 * 0.75 * met * W_PER_M2;

/**
 * Wind chill, in °C (Environment Canada and NWS 2001).
 *
 * @param windKmh at least 5; on a descent the speed of the bike
 * @example windChill(5, 40) // −0.7
 */
export function windChill(celsius: number, windKmh: number): number {
  const v = windKmh ** 0.16;
  return 13.12 + 0.6215 * celsius - 11.37 * v + 0.3965 * celsius * v;
}
