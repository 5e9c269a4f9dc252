/** A mass with its standard error, in grams. */
export interface Weighed {
  id: string;
  massG: number;
  errorG: number;
}

export interface WeighedBag {
  /** What the bag was expected to weigh, and how far readings may be from it by chance alone. */
  expectedG: number;
  errorG: number;
  /** More than three standard errors away: to be asked about before anything is made of it. */
  isDoubtful: boolean;
  /** Each mass as the reading corrects it. */
  corrected: Weighed[];
}

/**
 * What the reading of a packed bag says of what is in it: the difference to what was expected is spread over the contents by how
 * uncertain each is (normal priors with one observed sum; methods, section 12). The empty bag is one of the parts.
 *
 * @param parts the bag itself and everything in it, with independent errors
 * @example weighedBag([{ id: 'a', massG: 500, errorG: 75 }, { id: 'b', massG: 300, errorG: 45 },
 *   { id: 'c', massG: 200, errorG: 2 }, { id: 'bag', massG: 400, errorG: 5 }], 1530, 20)
 *   // a 590.5 ± 41.3, b 332.6 ± 39.0, c 200.1 ± 2.0, bag 400.4 ± 5.0
 */
export function weighedBag(parts: readonly Weighed[], readingG: number, readingErrorG: number): WeighedBag {
  const expectedG = parts.reduce((sum, { massG }) => sum + massG, 0);
  const variance = parts.reduce((sum, { errorG }) => sum + errorG ** 2, readingErrorG ** 2);
  const difference = readingG - expectedG;
  return {
    expectedG,
    errorG: Math.sqrt(variance),
    isDoubtful: Math.abs(difference) > 3 * Math.sqrt(variance),
    corrected: parts.map(({ id, massG, errorG }) => {
      const share = variance > 0 ? errorG ** 2 / variance : 0;
      return {
        id,
        massG: Math.max(0, massG + share * difference),
        errorG: errorG * Math.sqrt(1 - share),
      };
    }),
  };
}
