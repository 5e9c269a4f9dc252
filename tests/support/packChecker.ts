import type { PackedThing } from '@/core/instructions/order';
import type { CompartmentFacts } from '@/core/facts/facts';

interface Part {
  low: number;
  high: number;
  /** Across the axis; a soft layer fills all of it. */
  across: [number, number, number, number] | null;
}

const EPSILON = 1e-6;

const meets = (a: Part, b: Part): boolean =>
  a.across === null ||
  b.across === null ||
  (a.across[0] < b.across[1] - EPSILON &&
    b.across[0] < a.across[1] - EPSILON &&
    a.across[2] < b.across[3] - EPSILON &&
    b.across[2] < a.across[3] - EPSILON);

/**
 * Judges an order of packing from where things lie alone, part by part: what goes in must not have to pass what is already between
 * its place and the mouth; of a double-ended roll either mouth will do. Every part goes in, and once. Gives what is wrong, in words.
 */
export function wrongInOrder(compartment: CompartmentFacts, order: readonly PackedThing[]): string[] {
  const open = new Map<string, Part[]>();
  const add = (id: string, one: Part) => open.set(id, [...(open.get(id) ?? []), one]);
  for (const { thingId, fromMm, toMm } of compartment.fit.layers)
    if (toMm - fromMm >= 0.5) add(thingId, { low: fromMm, high: toMm, across: null });
  for (const { piece, u0, u1, v0, v1, w0, w1 } of compartment.fit.lying)
    add(piece.thingId, { low: u0, high: u1, across: [v0, v1, w0, w1] });
  const wrong: string[] = [];
  const isIn: (Part & { name: string })[] = [];
  for (const { thing, spansMm } of order) {
    const left = [...(open.get(thing.id) ?? [])];
    const parts = spansMm.flatMap(([low, high]) => {
      const at = left.findIndex((part) => part.low === low && part.high === high);
      if (at < 0) wrong.push(`${thing.name} does not lie at ${low} to ${high} mm`);
      return at < 0 ? [] : left.splice(at, 1);
    });
    for (const part of parts) {
      const before = isIn.filter((other) => meets(part, other));
      const above = before.find(({ low }) => low >= part.high - EPSILON);
      const below = before.find(({ high }) => high <= part.low + EPSILON);
      const isBlocked = compartment.spot.bag.opening === 'both ends' ? above && below : above;
      if (isBlocked) wrong.push(`${thing.name} goes under ${isBlocked.name}`);
    }
    isIn.push(...parts.map((part) => ({ ...part, name: thing.name })));
    open.set(thing.id, left);
  }
  for (const [id, parts] of open) if (parts.length > 0) wrong.push(`${parts.length} of ${id} never go in`);
  return wrong;
}
