/**
 * The seeds of the searches that look for one load, each by itself, in threads side by side where there are threads. Two
 * seeds differ by more than one search gains in twice its time (decision 0018).
 *
 * @example seedsOf(1) // [1, 2]
 */
export const seedsOf = (seed: number): readonly [number, number] => [2 * seed - 1, 2 * seed];

/** The better of what was found from several seeds, the first where they are as good. */
export const bestOf = <Found extends { objective: number }>(proposals: readonly Found[]): Found =>
  proposals.reduce((best, other) => (other.objective < best.objective - 1e-9 ? other : best));
