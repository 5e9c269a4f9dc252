import { knownAllIn } from '@/core/fit/known';
import type { Random } from '@/core/random';
import type { Annealer } from '../anneal/anneal';
import type { FittedState } from './fitted';
import type { Instance } from '../model/instance';
import { someCompartments } from './someCompartments';

/** Times it is told why a load does not lie before that is left to mending. */
const TIMES = 8;
/** Beside the compartments that do not close a share of the others is open, at a low heat: the load is to stay as it is. */
const OPEN = 0.3;
const HEAT = { hot: 1.5, cold: 0.1 } as const;
const MOVES = 12_000;
/** Of a compartment so much may be filled at least, whatever voids were found in it. */
const LEAST_ROOM = 0.8;

/**
 * Leads a load that an annealing by litres found, and which does not quite lie, to one near by that does: tells the
 * annealing why, has it go on from there, and lays down what comes of it, over and over. Why is a set of stiff things, as
 * few as do not lie in their compartment together (`leastNotLying`), which is forbidden from then on; or voids that nothing
 * soft fills, for which the compartment holds so much less meanwhile. These are combinatorial Benders cuts (Codato and
 * Fischetti 2006) with an annealing for the master problem.
 *
 * @param roomMl what the annealing reads as the room of each compartment; changed
 * @param most points beyond which a load is not worth it
 */
export function repair(
  fitted: FittedState,
  annealer: Annealer,
  free: readonly number[],
  roomMl: Float64Array,
  random: Random,
  most: number,
): void {
  const { instance, state, fits } = fitted;
  for (let time = 0; time < TIMES && !fitted.closes() && state.total <= most; time += 1) {
    const failing: number[] = [];
    for (let j = 0; j < instance.m; j += 1) {
      if (fits.closes(j)) continue;
      failing.push(j);
      if (fits.stiffLies(j)) {
        const least = LEAST_ROOM * instance.capacityMl[j]!;
        roomMl[j] = Math.max(least, Math.min(roomMl[j]!, fits.leastMlIn(j)) - fits.overMl(j));
        continue;
      }
      const set = leastNotLying(instance, state.where, j);
      if (set.length > 0) annealer.forbid(j, set);
    }
    annealer.start(state.where);
    annealer.run(HEAT, MOVES, someCompartments(instance.m, OPEN, failing, random));
    fitted.restore(free, annealer.best() ?? annealer.current());
  }
}

/**
 * Of the stiff things in compartment j, which do not all lie there, as few as still do not beside what is pinned: one
 * after the other is taken out for good where the rest does not lie without it either (a deletion filter, Chinneck 1997).
 * None where what is pinned does not lie by itself.
 */
export function leastNotLying(instance: Instance, where: ArrayLike<number>, j: number): number[] {
  const { n, stiffMl, fixed, outer, spots } = instance;
  const stiff = Array.from({ length: n }, (_, i) => i).filter((i) => where[i] === j && stiffMl[i]! > 0);
  const { chamber } = spots[j]!;
  const lie = (lots: readonly number[]) =>
    knownAllIn(
      chamber,
      lots.flatMap((i) => outer[i]!),
    ) !== null;
  let set = stiff;
  // The smallest first: what does not lie is seldom due to them.
  for (const i of stiff.filter((k) => !fixed[k]).sort((a, b) => stiffMl[a]! - stiffMl[b]!)) {
    const rest = set.filter((k) => k !== i);
    if (!lie(rest)) set = rest;
  }
  return set.filter((i) => !fixed[i]);
}
