/** A source of numbers in [0, 1). The core never makes its own: callers hand it one, so results repeat. */
export type Random = () => number;

/**
 * Seeded 32-bit generator (mulberry32, public domain): small, fast, and the same on every machine.
 *
 * @example
 * const a = seededRandom(7); const b = seededRandom(7); a() === b() // true
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}
