/** Bounds on what one plan or file may hold: far above any real trip, low enough that nothing freezes. */
export const LIMITS = {
  things: 1000,
  bags: 40,
  setups: 60,
  /** Of one account. */
  trips: 500,
  ownedThings: 20_000,
  wishes: 1500,
  fellows: 3,
  planFileBytes: 5 * 1024 * 1024,
  kitFileBytes: 20 * 1024 * 1024,
  nesting: 40,
} as const;
