/** A reading as it would be if its figure had been meant in another unit. */
export interface UnitSlip {
  massG: number;
  /** "ounces" */
  unit: string;
}

/** By how much a figure is off when its unit is mistaken: what it has to be multiplied by, and what it was meant in. */
const SLIPS: readonly [factor: number, unit: string][] = [
  [28.349_523_125, 'ounces'],
  [453.592_37, 'pounds'],
  [1000, 'kilograms'],
  [1 / 1000, 'grams, not kilograms'],
  [1 / 28.349_523_125, 'grams, not ounces'],
  [1 / 2.204_622_62, 'pounds, not kilograms'],
  [2.204_622_62, 'kilograms, not pounds'],
];
/** So far off, it is no longer an estimate that was wrong. */
const DOUBTED = 1.8;
/** As it would be, it has to be as near to what was expected as an estimate is. */
const NEAR = 1.35;

/**
 * Whether a reading is far from what was expected, and would be near it in another unit: that reading, to be offered. Null where it is
 * near enough as it is, or in no unit.
 *
 * @example unitSlip(30.7, 870) // { massG: 870.3, unit: 'ounces' }
 * @example unitSlip(1000, 870) // null
 */
export function unitSlip(readingG: number, expectedG: number): UnitSlip | null {
  if (readingG <= 0 || expectedG <= 0) return null;
  const off = (massG: number) => Math.max(massG / expectedG, expectedG / massG);
  if (off(readingG) < DOUBTED) return null;
  const [best] = SLIPS.map(([factor, unit]) => ({ massG: readingG * factor, unit })).sort(
    (a, b) => off(a.massG) - off(b.massG),
  );
  return off(best!.massG) <= NEAR ? best! : null;
}
