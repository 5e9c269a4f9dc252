import type { Thing } from './thing';

/**
 * What is packed inside what: the outermost holder of each thing that is in one. A thing whose holder is not in this
 * kit is in none; things that would hold each other in a ring are in none either.
 *
 * @example holdersOf([pot, canister inside the pot]).get(canister.id) // pot's id
 */
export function holdersOf(things: readonly Thing[]): Map<string, string> {
  const inside = new Map<string, string>();
  const known = new Set(things.map(({ id }) => id));
  for (const { id, inside: holder } of things)
    if (holder !== null && known.has(holder)) inside.set(id, holder);
  const outermost = new Map<string, string>();
  for (const start of inside.keys()) {
    const met = new Set([start]);
    let at = inside.get(start)!;
    while (inside.has(at) && !met.has(at)) {
      met.add(at);
      at = inside.get(at)!;
    }
    if (!met.has(at)) outermost.set(start, at);
  }
  return outermost;
}

/** Things directly inside a holder, of those that are in one at all. */
export const contentsOf = (
  things: readonly Thing[],
  holders: ReadonlyMap<string, string>,
  holderId: string,
): Thing[] => things.filter(({ id, inside }) => inside === holderId && holders.has(id));
