/** Length units that are mistaken for millimetres, by their size. */
const SLIPS = [
  { unit: 'cm', size: 10 },
  { unit: 'in', size: 25.4 },
  { unit: 'm', size: 1000 },
] as const;

/**
 * When a length out of bounds would be in bounds had another unit been meant: that unit's reading, for a sentence
 * at the field. Null when no unit explains it.
 *
 * @param lengthMm as it was understood
 * @example unitSlip(44, 350, 550) // 'Did you mean 44 cm, 440 mm?'
 */
export function unitSlip(lengthMm: number, leastMm: number, mostMm: number): string | null {
  for (const { unit, size } of SLIPS) {
    const meant = lengthMm * size;
    if (meant >= leastMm && meant <= mostMm)
      return `Did you mean ${Number(lengthMm.toFixed(2))} ${unit}, ${Math.round(meant)} mm?`;
  }
  return null;
}
