import type { Random } from '@/core/random';
import { annealerFor } from './anneal';
import type { Instance } from './instance';
import { FittedState } from './fitted';
import { optionsOf } from './search';
import { LoadState } from './state';
import { brokenRules } from './objective';

/**
 * Moves of a search: a number, not seconds, so that a seed gives the same load anywhere. Of those by volume about three
 * million are tried a second; of those that ask how things lie, some fifty thousand (measured, `npm run bench:load`).
 */
export interface Effort {
  byVolume: number;
  byFit: number;
}
/** About 0.9 s of one thread for 60 to 120 things. */
export const defaultEffort = (things: number): Effort => ({
  byVolume: 500_000 + 3_000 * things,
  byFit: 200_000,
});

/** Heats of the annealings that ask how things lie, from the best so far. */
const HOTS = [15, 3, 60] as const;
/** Points that a place costs more, where a thing had to come out of it again. */
const PENALTY = 4;
/** A load further from the best than this is not improved any more. */
const NEAR = 1.06;
const COLD = 0.1;
const MOVES_PER_ANNEALING = 40_000;

export interface SearchProgress {
  /** 0 to 1. */
  done: number;
  /** Best objective so far, in points. */
  best: number;
  /** The load it belongs to, where it is better than the last told: compartment index of each thing, −1 for the floor. */
  where: Int32Array | null;
}

/**
 * Looks for the assignment of least objective in which every compartment closes by how things lie, and every other hard
 * rule holds. Any-time: the first load that may be ridden is there at the first report, and each report's is.
 *
 * A greedy load first; then the search by volumes alone, whose best is mended where shapes get in each other's way;
 * then annealings that ask for the fit of what they would take; descent between them. The load as it is counts as found,
 * so that searching on from it never ends worse.
 *
 * @param random seeded source; the same seed and effort give the same load
 */
export function* searchLoad(
  instance: Instance,
  random: Random,
  effort: Effort = defaultEffort(instance.n),
): Generator<SearchProgress, Int32Array> {
  const free = Array.from({ length: instance.n }, (_, i) => i).filter((i) => !instance.fixed[i]);
  const options = optionsOf(instance, free);
  const fitted = new FittedState(instance);
  let best = fitted.state.where.slice();
  let bestTotal = Infinity;
  const report = (done: number): SearchProgress => {
    const better = fitted.closes() && fitted.total < bestTotal - 1e-9;
    if (better) {
      bestTotal = fitted.total;
      best = fitted.state.where.slice();
    }
    return { done, best: bestTotal, where: better ? best : null };
  };

  fitted.fill(free, options);
  yield report(0);
  if (free.length === 0 || instance.m === 0) return best;
  fitted.restore(free, instance.start);
  if (brokenRules(instance, instance.start, () => true).length === 0) {
    fitted.mend(free, options);
    yield report(0.01);
  }
  fitted.restore(free, best);
  fitted.descend(free, options);
  yield report(0.03);
  if (effort.byVolume <= 0 && effort.byFit <= 0) return best;

  const annealer = annealerFor(instance, free, pinnedOverMl(instance), random);
  const rounds = Math.max(1, Math.round(effort.byVolume / MOVES_PER_ANNEALING));
  for (let round = 0; round < rounds; round += 1) {
    annealer.start(best);
    annealer.run({ hot: HOTS[round % HOTS.length]!, cold: COLD }, MOVES_PER_ANNEALING);
    fitted.restore(free, annealer.best() ?? best);
    // What had to come out did not lie there whatever the litres say: the next annealing pays for trying it again.
    for (const [i, j] of fitted.mend(free, options)) annealer.penalise(i, j, PENALTY);
    if (fitted.total < bestTotal * NEAR) fitted.descend(free, options);
    yield report(0.03 + (0.97 * (round + 1)) / rounds);
  }
  return best;
}

/** What pinned things alone take over the litres of their compartments. */
const pinnedOverMl = (instance: Instance): number => new LoadState(instance).overMl + 1e-6;
