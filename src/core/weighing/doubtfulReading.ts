import type { Weighed } from './weighedBag';

/** Something that would explain a reading that is far from what was expected, the likeliest first. */
export interface Explanation {
  kind: 'forgotten' | 'bag not counted' | 'bag counted twice' | 'other unit';
  /** The thing that may have been forgotten. */
  id?: string;
  words: string;
}

/** Units that a scale may have been set to, in grams. */
const UNITS: readonly [name: string, grams: number][] = [
  ['ounces', 28.349_523],
  ['pounds', 453.592_37],
];

/**
 * What is probably wrong where a packed bag does not weigh what it should: the scale set to another unit, the empty bag left out or
 * counted twice, or one thing forgotten. Nothing where none of these comes close.
 *
 * @param parts the bag itself, by `bagId`, and everything in it, with `name`s
 * @param toleranceG how far a reading may be from what was expected by chance alone
 * @example doubtfulReading(parts, 'bag', 1100, 60)[0].words // 'Is Stove in it? Without it the bag would weigh this.'
 */
export function doubtfulReading(
  parts: readonly (Weighed & { name: string })[],
  bagId: string,
  readingG: number,
  toleranceG: number,
): Explanation[] {
  const expectedG = parts.reduce((sum, { massG }) => sum + massG, 0);
  const missing = expectedG - readingG;
  const near = (a: number, b: number) => Math.abs(a - b) <= toleranceG;
  const found: (Explanation & { off: number })[] = [];
  for (const [name, grams] of UNITS)
    // Taken down as if it were grams, or kilograms.
    for (const factor of [grams, grams / 1000])
      if (near(readingG * factor, expectedG))
        found.push({
          kind: 'other unit',
          words: `Is the scale set to ${name}? In ${name} the reading would be right.`,
          off: Math.abs(readingG * factor - expectedG),
        });
  const bag = parts.find(({ id }) => id === bagId);
  if (bag && near(missing, bag.massG))
    found.push({
      kind: 'bag not counted',
      words: 'Was the bag itself on the scale? Its contents alone would weigh this.',
      off: Math.abs(missing - bag.massG),
    });
  if (bag && near(-missing, bag.massG))
    found.push({
      kind: 'bag counted twice',
      words: 'Is the bag counted twice, or another bag on the scale as well?',
      off: Math.abs(missing + bag.massG),
    });
  for (const { id, name, massG } of parts)
    if (id !== bagId && near(missing, massG))
      found.push({
        kind: 'forgotten',
        id,
        words: `Is ${name} in it? Without it the bag would weigh this.`,
        off: Math.abs(missing - massG),
      });
  return found.sort((a, b) => a.off - b.off).map(({ off: _off, ...explanation }) => explanation);
}
