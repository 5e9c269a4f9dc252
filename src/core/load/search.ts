import type { Random } from '@/core/random';
import type { Instance } from './instance';
import { LoadState } from './state';

/** Moves tried in one search. A number of moves, not of seconds, so that a seed gives the same load anywhere. */
export const DEFAULT_MOVES = 500_000;
/**
 * One annealing each, from different starts; the best result is taken. Heat in points: from about half of leaving
 * a nice thing, or all of it, to far below any difference shown. Price of a millilitre that does not fit, in
 * points: at first cheap enough to squeeze through. The first is made for kits that just fit, the second for
 * kits of which much must stay behind (measured on the demo and on random kits of 60 to 120 things).
 */
const ANNEALINGS = [
  { hot: 15, cold: 0.2, firstPrice: 0.01, lastPrice: 2 },
  { hot: 60, cold: 0.02, firstPrice: 0.03, lastPrice: 30 },
] as const;
/** One repacking of a few bags for so many moves of annealing; it takes about as long as fifty of them. */
const MOVES_PER_REPACKING = 60;
/** Shares of the moves that swap two things, and that take one out; the rest move one. */
const SWAPS = 0.4;
const DROPS = 0.04;
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
 * over moves and swaps (Kirkpatrick et al. 1983), then descent until no single move or swap helps.
 * Only assignments that keep every hard rule are ever taken for the best, so whatever is best so far may be ridden.
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
  const done = (round: number, share: number): number => (round + share) / ANNEALINGS.length;
  // What the rider pinned may itself not close; then no load does, and that much over is nobody's fault.
  const pinnedOverMl = new LoadState(instance).overMl + 1e-6;
  const keep = (state: LoadState) => {
    if (state.overMl <= pinnedOverMl && state.total < bestTotal - 1e-9) {
      bestTotal = state.total;
      best = state.where.slice();
    }
  };

  // The starts are drawn first, so that they are the same however long the search goes on from them.
  const starts = ANNEALINGS.map((_, round) => greedyOrder(instance, free, round, random));
  for (const [round, order] of starts.entries()) {
    const state = new LoadState(instance);
    greedy(instance, state, order);
    descend(state, free, options);
    keep(state);
    const budget = free.length === 0 || instance.m === 0 ? 0 : Math.floor(moves / ANNEALINGS.length);
    const { hot, cold, firstPrice, lastPrice } = ANNEALINGS[round]!;
    const cooling = Math.pow(cold / hot, 1 / Math.max(1, budget));
    const dearer = Math.pow(lastPrice / firstPrice, 1 / Math.max(1, budget));
    let heat = hot;
    let price = firstPrice;
    for (let move = 0; move < budget; move += 1) {
      anneal(state, free, options, heat, price, random);
      heat *= cooling;
      price *= dearer;
      keep(state);
      if (move % CHUNK === CHUNK - 1) yield { done: done(round, (move / budget) * 0.6), best: bestTotal };
    }
    close(instance, state, free);
    const repackings = Math.floor(budget / MOVES_PER_REPACKING);
    for (let repacking = 0; repacking < repackings; repacking += 1) {
      repack(instance, state, free, options, random);
      keep(state);
      if (repacking % 256 === 255)
        yield { done: done(round, 0.6 + 0.4 * (repacking / repackings)), best: bestTotal };
    }
    descend(state, free, options);
    keep(state);
    yield { done: done(round, 1), best: bestTotal };
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

/**
 * One random move, to another compartment, to the floor, or a swap; kept by the Metropolis rule. Compartments may
 * be overfull on the way, at a price a litre: in bags that are nearly full almost every good load can only be
 * reached through one that does not close.
 */
function anneal(
  state: LoadState,
  free: readonly number[],
  options: readonly Int32Array[],
  heat: number,
  price: number,
  random: Random,
): void {
  const a = Math.floor(random() * free.length);
  const i = free[a]!;
  const choices = options[a]!;
  const from = state.where[i]!;
  const before = state.total + price * state.overMl;
  const accept = (): boolean => {
    const rise = state.total + price * state.overMl - before;
    return rise <= 0 || random() < Math.exp(-rise / heat);
  };

  const kind = random();
  if (kind < SWAPS) {
    const k = free[Math.floor(random() * free.length)]!;
    const other = state.where[k]!;
    if (other === from) return;
    state.put(k, -1);
    state.put(i, -1);
    let fits = state.mayPut(i, other);
    if (fits) {
      state.put(i, other);
      fits = state.mayPut(k, from);
      if (fits) {
        state.put(k, from);
        if (accept()) return;
        state.put(k, -1);
      }
      state.put(i, -1);
    }
    state.put(i, from);
    state.put(k, other);
    return;
  }
  const to = kind > 1 - DROPS || choices.length === 0 ? -1 : choices[Math.floor(random() * choices.length)]!;
  if (to === from || !state.mayPut(i, to)) return;
  state.put(i, to);
  if (!accept()) state.put(i, from);
}

/** Takes out what is needed least, and among that what frees most, until every compartment closes. */
function close(instance: Instance, state: LoadState, free: readonly number[]): void {
  const byLoss = [...free].sort(
    (a, b) => instance.leave[a]! - instance.leave[b]! || instance.needMl[b]! - instance.needMl[a]!,
  );
  for (const i of byLoss) {
    if (state.overMl < 1e-6) return;
    const j = state.where[i]!;
    const before = state.overMl;
    state.put(i, -1);
    if (state.overMl >= before) state.put(i, j);
  }
}

/**
 * Empties a few compartments and packs them anew in a shuffled order, each thing where it costs least; kept when
 * it is no worse (large neighbourhood search, Shaw 1998). Finds exchanges of several things at once, which are
 * what is left to gain when every bag is nearly full.
 */
function repack(
  instance: Instance,
  state: LoadState,
  free: readonly number[],
  options: readonly Int32Array[],
  random: Random,
): void {
  const emptied = new Set<number>();
  const count = Math.min(instance.m, 2 + Math.floor(random() * 2));
  while (emptied.size < count) emptied.add(Math.floor(random() * instance.m));
  const out: { a: number; was: number; key: number }[] = [];
  free.forEach((i, a) => {
    const was = state.where[i]!;
    // One thing in twelve stays, so that no two repackings of the same bags are alike.
    if (was >= 0 ? !emptied.has(was) || random() < 1 / 12 : random() < 0.5) return;
    out.push({ a, was, key: instance.leave[i]! * 1e6 + instance.needMl[i]! * (0.4 + 1.2 * random()) });
  });
  const before = state.total;
  for (const { a } of out) state.put(free[a]!, -1);
  out.sort((p, q) => q.key - p.key);
  for (const { a } of out) {
    const i = free[a]!;
    let best = -1;
    let bestTotal = state.total;
    for (const j of options[a]!) {
      if (!state.canPut(i, j)) continue;
      state.put(i, j);
      if (state.total < bestTotal) {
        bestTotal = state.total;
        best = j;
      }
      state.put(i, -1);
    }
    state.put(i, best);
  }
  if (state.total <= before + 1e-9) return;
  for (const { a } of out) state.put(free[a]!, -1);
  for (const { a, was } of out) state.put(free[a]!, was);
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
