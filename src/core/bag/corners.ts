import { isSimple, type Point } from '@/core/geometry/polygon';
import { fail, ok, type Result } from '@/core/result';
import { readNumber } from '@/core/units/parse';

/** Corners as a rider writes them: pairs of millimetres, "0 0; 34 -112; 452 42". */
export const writeCorners = (corners: readonly Point[]): string =>
  corners.map(({ x, z }) => `${Number(x.toFixed(1))} ${Number(z.toFixed(1))}`).join('; ');

/**
 * Reads corners back. The first is the one by the seat tube's top; x forward, z up.
 *
 * @example readCorners('0 0; 100 0; 0 100') // three corners
 */
export function readCorners(text: string): Result<Point[]> {
  const corners: Point[] = [];
  for (const [i, pair] of text
    .split(/[;\n]/)
    .map((part) => part.trim())
    .filter(Boolean)
    .entries()) {
    const numbers = pair.split(/[\s,]+/).map(readNumber);
    if (numbers.length !== 2 || numbers.some((number) => number === null || Math.abs(number) > 2500)) {
      return fail(`Corner ${i + 1}, "${pair.slice(0, 20)}", is not two figures in mm like "34 -112".`);
    }
    corners.push({ x: numbers[0]!, z: numbers[1]! });
  }
  if (corners.length < 3) return fail('At least three corners are needed, set apart by semicolons.');
  if (corners.length > 24) return fail('At most 24 corners.');
  if (!isSimple(corners))
    return fail('The outline crosses itself: give the corners in order, going round once.');
  return ok(corners);
}
