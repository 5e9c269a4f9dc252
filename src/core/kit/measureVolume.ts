/** Ways to find a volume with a tape, or with something whose volume is known. All lengths in mm, all volumes in ml. */

/** A roll or a stuffed round bag, by its length and the tape round it. @example rollMl(300, 471) // 5296 */
export const rollMl = (lengthMm: number, girthMm: number): number =>
  (lengthMm * girthMm ** 2) / (4 * Math.PI) / 1000;

/** @example boxMl(200, 100, 50) // 1000 */
export const boxMl = (lengthMm: number, widthMm: number, heightMm: number): number =>
  (lengthMm * widthMm * heightMm) / 1000;

/** A cone with its tip cut off, by its length and the tape round both ends. @example coneMl(300, 471, 471) // 5296: a roll */
export function coneMl(lengthMm: number, girthMm: number, otherGirthMm: number): number {
  const [a, b] = [girthMm / (2 * Math.PI), otherGirthMm / (2 * Math.PI)];
  return (Math.PI * lengthMm * (a * a + a * b + b * b)) / 3 / 1000;
}

/** What fills a share of a sack or bag of known volume. @example shareMl(8000, 40) // 3200 */
export const shareMl = (knownMl: number, percent: number): number => (knownMl * percent) / 100;
