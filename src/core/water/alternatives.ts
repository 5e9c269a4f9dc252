import { leastTimeCarry, type CarryOutcome, type WaterSource } from './carry';

const costOf = (outcome: CarryOutcome): number => (outcome.ok ? outcome.plan.costMin : Infinity);

/**
 * The least cost of a plan that fills at one source come what may, and of one that does not.
 *
 * @param at index of the source; not the start, where filling is part of setting out
 * @returns minutes; Infinity where there is no such plan
 * @example at the second of the four sources of methods 7: filling there costs 19.8 min, passing it 13.1
 */
export function costWithAndWithout(
  sources: readonly WaterSource[],
  at: number,
  reserveL: number,
  capacityL: number,
): { filling: number; passing: number } {
  const source = sources[at]!;
  // What is left on arriving is the reserve, as at every fill; the two parts share nothing else.
  const before = costOf(leastTimeCarry(sources.slice(0, at), reserveL, capacityL));
  const after = costOf(leastTimeCarry(sources.slice(at), reserveL, capacityL));
  return {
    filling: before + source.stopMin + after,
    passing: passingCost(sources, at, reserveL, capacityL),
  };
}

/** A source that costs more than any plan to stop at is passed in the best plan, unless there is no other. */
const NEVER_MIN = 1e6;

function passingCost(
  sources: readonly WaterSource[],
  at: number,
  reserveL: number,
  capacityL: number,
): number {
  const cost = costOf(
    leastTimeCarry(
      sources.map((source, k) => (k === at ? { ...source, stopMin: NEVER_MIN } : source)),
      reserveL,
      capacityL,
    ),
  );
  return cost >= NEVER_MIN ? Infinity : cost;
}
