import type { Random } from '@/core/random';
import type { Instance } from './instance';
import { LoadState } from './state';

/** Moves tried in one search. A number of moves, not of seconds, so that a seed gives the same load anywhere. */
export const DEFAULT_MOVES = 400_000;
/** Searches from different starts; the best is taken. */
const ROUNDS = 3;
/** Temperatures of the annealing, in points: from about half of leaving a nice thing to far below any difference shown. */
const HOT = 30;
const COLD = 0.02;
/** Moves between two reports of progress. */
const CHUNK = 8192;

export interface SearchProgress {
  /** 0 to 1. */
  done: number;
  /** Best objective so far, in points. */
  best: number;
}

/**
 * Looks for the assignment of least objective that keeps every hard rule: a greedy start, simulated annealing
 * over moves, swaps and ejections (Kirkpatrick et al. 1983), then descent until no single move or swap helps.
 * Only allowed assignments are ever visited, so whatever is best so far may be ridden.
 *
 * A generator, so that a caller can show progress, stop, or give the thread to others between chunks.
 *
 * @param random seeded source; the same seed and number of moves give the same load
 * @returns where each thing goes: compartment index, or −1 for the floor
 */
export function* searchLoad(
  instance: Instance,
  random: Random,
  moves: number = DEFAULT_MOVES,
): Generator<SearchProgress, Int32Array> {
  let best: Int32Array | null = null;
  let bestTotal = Infinity;
  const free = Array.from({ length: instance.n }, (_, i) => i).filter((i) => !instance.fixed[i]);
  const options = free.map((i) =>
    Int32Array.from(
      Array.from({ length: instance.m }, (_, j) => j).filter((j) => instance.allowed[i * instance.m + j]),
    ),
  );
  const keep = (state: LoadState) => {
    if (state.total < bestTotal - 1e-9) {
      bestTotal = state.total;
      best = state.where.slice();
    }
  };

  // The starts are drawn first, so that they are the same however long the search goes on from them.
  const starts = Array.from({ length: ROUNDS }, (_, round) => greedyOrder(instance, free, round, random));
  for (const [round, order] of starts.entries()) {
    const state = new LoadState(instance);
    greedy(instance, state, order);
    descend(state, free, options);
    keep(state);
    const budget = free.length === 0 || instance.m === 0 ? 0 : Math.floor(moves / ROUNDS);
    const cooling = Math.pow(COLD / HOT, 1 / Math.max(1, budget));
    let heat = HOT;
    for (let move = 0; move < budget; move += 1) {
      anneal(state, free, options, heat, random);
      heat *= cooling;
      keep(state);
      if (move % CHUNK === CHUNK - 1) yield { done: (round + move / budget) / ROUNDS, best: bestTotal };
    }
    if (best) restore(state, best, free);
    descend(state, free, options);
    keep(state);
    yield { done: (round + 1) / ROUNDS, best: bestTotal };
  }
  return best ?? new LoadState(instance).where;
}

/** Things by need and size, the largest first; rounds after the first shuffle the sizes a little. */
function greedyOrder(instance: Instance, free: readonly number[], round: number, random: Random): number[] {
  const size = new Map(free.map((i) => [i, instance.needMl[i]! * (round === 0 ? 1 : 0.6 + 0.8 * random())]));
  return [...free].sort((a, b) => instance.leave[b]! - instance.leave[a]! || size.get(b)! - size.get(a)!);
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

/** One random move: to another compartment, a swap, or in by ejecting another; kept by the Metropolis rule. */
function anneal(
  state: LoadState,
  free: readonly number[],
  options: readonly Int32Array[],
  heat: number,
  random: Random,
): void {
  const a = Math.floor(random() * free.length);
  const i = free[a]!;
  const choices = options[a]!;
  if (choices.length === 0) return;
  const from = state.where[i]!;
  const to = choices[Math.floor(random() * choices.length)]!;
  if (to === from) return;
  const before = state.total;
  const accept = () => state.total <= before || random() < Math.exp((before - state.total) / heat);

  if (random() < 0.5 && state.canPut(i, to)) {
    state.put(i, to);
    if (!accept()) state.put(i, from);
    return;
  }
  // Make room: another thing leaves `to`, for where i came from if it fits there, else for anywhere it fits.
  const c = Math.floor(random() * free.length);
  const k = free[c]!;
  const other = state.where[k]!;
  if (k === i || other < 0 || other === from) return;
  state.put(k, -1);
  state.put(i, -1);
  if (!state.canPut(i, other)) {
    state.put(i, from);
    state.put(k, other);
    return;
  }
  state.put(i, other);
  let refuge = from;
  if (from < 0 || !state.canPut(k, from)) {
    const elsewhere = options[c]!;
    refuge = elsewhere[Math.floor(random() * elsewhere.length)]!;
    if (!state.canPut(k, refuge)) refuge = -1;
  }
  state.put(k, refuge);
  if (!accept()) {
    state.put(k, -1);
    state.put(i, -1);
    state.put(k, other);
    state.put(i, from);
  }
}

function restore(state: LoadState, where: Int32Array, free: readonly number[]): void {
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
