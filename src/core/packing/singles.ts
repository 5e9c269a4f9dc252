import { leastRoomMl } from '@/core/fit/split';
import { thingMassG, type Thing } from '@/core/kit/thing';
import { obstacleFor } from './rules';
import type { Spot } from './spots';

/** More pieces of one kind than this always go together. */
const MOST_SINGLES = 12;

const known = new WeakMap<Thing, readonly Thing[]>();

/** Each piece of a thing by itself, under the thing's own id; the same objects for the same thing. */
export function singlesOf(thing: Thing): readonly Thing[] {
  let singles = known.get(thing);
  if (!singles) {
    singles = Array.from({ length: thing.quantity }, () => ({ ...thing, quantity: 1 }));
    known.set(thing, singles);
  }
  return singles;
}

/**
 * Whether the pieces of a thing are placed one by one: bottles, each of which has a cage of its own, and what all together no
 * bag can take, but one by one some can.
 *
 * @example goesInSingles(two bottles, spots) // true
 */
export function goesInSingles(thing: Thing, spots: readonly Spot[]): boolean {
  if (thing.quantity < 2 || thing.quantity > MOST_SINGLES) return false;
  const [single] = singlesOf(thing);
  const takes = (spot: Spot, one: Thing) =>
    !obstacleFor(one, spot) &&
    leastRoomMl(one) <= spot.capacityMl &&
    thingMassG(one) <= Math.min(spot.compartment.limitG ?? Infinity, spot.bag.limitG ?? Infinity);
  const isBottle = thing.waterMl > 0 && thing.form.kind === 'cylinder';
  return (
    (isBottle || !spots.some((spot) => takes(spot, thing))) && spots.some((spot) => takes(spot, single!))
  );
}

/** A part of a thing, and the compartment it goes to; null for the floor. */
export interface Part {
  thing: Thing;
  to: string | null;
}

/**
 * A thing by where its pieces go. Where that is more than one place the thing becomes several: the first keeps its id and name,
 * the others are called after it.
 *
 * @param to compartment of each piece, or of all together; null for the floor
 * @param taken ids that are not free
 * @example partsOf(bottles, ['cage-1', 'cage-2'], taken).map(({ thing }) => thing.name) // ['Bottle', 'Bottle (2)']
 */
export function partsOf(
  thing: Thing,
  to: readonly (string | null)[],
  taken: { has(id: string): boolean },
): Part[] {
  const quantities = new Map<string | null, number>();
  for (const place of to) quantities.set(place, (quantities.get(place) ?? 0) + 1);
  if (quantities.size === 1) return [{ thing, to: to[0]! }];
  let number = 1;
  return [...quantities].map(([place, quantity], k) => {
    if (k === 0) return { thing: { ...thing, quantity }, to: place };
    do number += 1;
    while (taken.has(`${thing.id}-${number}`));
    const part = { ...thing, quantity, id: `${thing.id}-${number}`, name: `${thing.name} (${k + 1})` };
    return { thing: part, to: place };
  });
}
