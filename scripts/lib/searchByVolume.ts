import type { Random } from '@/core/random';
import { Annealer } from '@/core/load/anneal/anneal';
import type { Instance } from '@/core/load/model/instance';
import { LoadState } from '@/core/load/model/state';
import { greedyOrder, optionsOf } from '@/core/load/search/options';

/**
 * Moves tried in one search: a number of moves, not of seconds, so that a seed gives the same load anywhere. Less than a
 * second of one thread for 40 to 120 things (measured; `npm run bench:load`).
 */
export const defaultMoves = (things: number): number => 4_000_000 + 4_000 * things;
/**
 * Annealings from the greedy load, each its own way: what is left behind, and which of the large bags takes what, is
 * seldom chosen anew later. Their share of all moves, and their heat in points.
 */
const STARTS = 10;
const STARTS_SHARE = 0.35;
const START_HOT = 20;
/**
 * The best of those are led on side by side for a part of the moves left, the best of all alone after that: the start
 * that ends best is not always the one that leads furthest, and with one line alone a kit in fifty ended a per cent worse.
 */
const LINES = 3;
const LINES_SHARE = 0.75;
/**
 * Heats of the annealings after the starts, in points, each from the best of its line: cool ones put right what lies
 * nearly well, hot ones choose anew what is left behind. All end far below any difference shown.
 */
const HOTS = [15, 3] as const;
const COLD = 0.1;
const MOVES_PER_ANNEALING = 120_000;
/** A short search has as many of them all the same, each shorter. */
const LEAST_ANNEALINGS = 8;

export interface VolumeProgress {
  /** 0 to 1. */
  done: number;
  /** Best objective so far, in points. */
  best: number;
}

/** A load that is led on, with its objective. */
interface Line {
  where: Int32Array;
  total: number;
}

/**
 * Looks for the assignment of least objective that keeps every hard rule: a greedy start, several annealings from there,
 * then annealings that each begin from the best of a few lines (Kirkpatrick et al. 1983; cycled as by Möbius et al. 1997),
 * then descent until no single move or swap helps. Only assignments that keep every
 * hard rule are ever taken for the best, so whatever is best so far may be ridden; the first one is there before the first
 * report.
 *
 * A generator, so that a caller can show progress, stop, or give the thread to others between annealings.
 *
 * @param random seeded source; the same seed and number of moves give the same load
 * @returns where each thing goes: compartment index, or −1 for the floor
 */
export function* searchByVolume(
  instance: Instance,
  random: Random,
  moves: number = defaultMoves(instance.n),
): Generator<VolumeProgress, Int32Array> {
  const free = Array.from({ length: instance.n }, (_, i) => i).filter((i) => !instance.fixed[i]);
  const options = optionsOf(instance, free);
  const state = new LoadState(instance);
  // What the rider pinned may itself not close; then no load does, and that much over is nobody's fault.
  const pinnedOverMl = state.overMl + 1e-6;
  let best = state.where.slice();
  let bestTotal = Infinity;
  const keep = () => {
    if (state.overMl > pinnedOverMl || state.total >= bestTotal - 1e-9) return;
    bestTotal = state.total;
    best = state.where.slice();
  };

  greedy(instance, state, greedyOrder(instance, free));
  descend(state, free, options);
  keep();
  yield { done: 0, best: bestTotal };
  if (free.length === 0 || instance.m === 0) return best;

  const annealer = new Annealer(instance, free, pinnedOverMl, random);
  /** Best load that closes of one annealing from a given load; null where it met none. */
  const anneal = (from: Int32Array, hot: number, count: number): Line | null => {
    annealer.start(from);
    annealer.run({ hot, cold: COLD }, count);
    const found = annealer.best();
    if (!found) return null;
    restore(state, free, found);
    keep();
    return { where: found, total: annealer.bestTotal() };
  };
  const perStart = Math.floor((moves * STARTS_SHARE) / STARTS);
  const left = moves - STARTS * perStart;
  const perRound = Math.min(MOVES_PER_ANNEALING, Math.ceil(left / LEAST_ANNEALINGS));
  const rounds = moves > 0 ? Math.floor(left / perRound) : 0;
  const start = best;
  const lines: Line[] = [];
  const byTotal = (p: Line, q: Line) => p.total - q.total;
  for (let k = 0; k < STARTS && moves > 0; k += 1) {
    const line = anneal(start, START_HOT, perStart);
    if (line) lines.push(line);
    yield { done: (STARTS_SHARE * (k + 1)) / STARTS, best: bestTotal };
  }
  if (lines.length === 0) lines.push({ where: best, total: bestTotal });
  lines.sort(byTotal).length = Math.min(lines.length, LINES);
  for (let round = 0; round < rounds; round += 1) {
    if (round >= rounds * LINES_SHARE) lines.sort(byTotal).length = 1;
    const line = lines[round % lines.length]!;
    const hot = HOTS[Math.floor(round / lines.length) % HOTS.length]!;
    const found = anneal(line.where, hot, perRound);
    if (found && found.total < line.total) Object.assign(line, found);
    yield { done: STARTS_SHARE + ((1 - STARTS_SHARE) * (round + 1)) / rounds, best: bestTotal };
  }
  restore(state, free, best);
  descend(state, free, options);
  keep();
  yield { done: 1, best: bestTotal };
  return best;
}

/** Puts things, in the given order, where they cost least. */
function greedy(instance: Instance, state: LoadState, order: readonly number[]): void {
  for (const i of order) {
    let bestSpot = -1;
    let bestTotal = state.total;
    for (let j = 0; j < instance.m; j += 1) {
      if (!state.canPut(i, j)) continue;
      state.put(i, j);
      if (state.total < bestTotal) {
        bestTotal = state.total;
        bestSpot = j;
      }
      state.put(i, -1);
    }
    state.put(i, bestSpot);
  }
}

/** Sets a state to an assignment. */
function restore(state: LoadState, free: readonly number[], where: Int32Array): void {
  for (const i of free) state.put(i, -1);
  for (const i of free) state.put(i, where[i]!);
}

/** Takes every single move and swap that helps until none does. */
function descend(state: LoadState, free: readonly number[], options: readonly Int32Array[]): void {
  for (let improved = true; improved;) {
    improved = false;
    free.forEach((i, a) => {
      for (const j of options[a]!) {
        const from = state.where[i]!;
        if (j === from || !state.canPut(i, j)) continue;
        const before = state.total;
        state.put(i, j);
        if (state.total < before - 1e-9) improved = true;
        else state.put(i, from);
      }
      for (const k of free) {
        const [p, q] = [state.where[i]!, state.where[k]!];
        if (k <= i || p === q) continue;
        const before = state.total;
        state.put(i, -1);
        state.put(k, -1);
        if (state.canPut(i, q)) {
          state.put(i, q);
          if (state.canPut(k, p)) {
            state.put(k, p);
            if (state.total < before - 1e-9) {
              improved = true;
              continue;
            }
            state.put(k, -1);
          }
          state.put(i, -1);
        }
        state.put(i, p);
        state.put(k, q);
      }
    });
  }
}
