import { ORDER_POINTS } from '@/core/packing/costs';
import { FitCosts } from './fitCosts';
import type { Instance } from '../model/instance';
import { greedyOrder } from './options';
import { LoadState } from '../model/state';

/** Of the largest in a compartment so many are asked whether it closes without them. */
const MENDERS = 8;
/** Beyond so many things swaps are left to the annealings: there are half a million pairs of a thousand. */
const MOST_SWAPPED = 160;
/** Less than that is rounding. */
const LEAST_GAIN = 1e-9;
/** What is displaced may be worth so much of what comes: some of it finds another place. */
const DISPLACED = 1.3;

/**
 * A load with its running sums, of which every compartment closes by how things lie. Moves are judged by the sums first;
 * only one that could help asks for the fit.
 */
export class FittedState {
  readonly state: LoadState;
  readonly fits: FitCosts;
  /** What pinned things alone leave over: no load mends it. */
  readonly pinnedOverMl: number;
  private readonly pointsAPair: number;

  constructor(readonly instance: Instance) {
    this.state = new LoadState(instance);
    this.pointsAPair = instance.weights.order * ORDER_POINTS;
    this.fits = new FitCosts(instance);
    this.fits.patiently(() => this.fits.start(this.state.where));
    this.pinnedOverMl = this.fits.totalOverMl() + 1e-6;
  }

  get total(): number {
    return this.state.total + this.fits.totalOrder();
  }

  closes(): boolean {
    return this.fits.totalOverMl(this.pinnedOverMl) <= this.pinnedOverMl;
  }

  restore(free: readonly number[], where: ArrayLike<number>): void {
    for (const i of free) this.state.put(i, where[i]!);
    this.fits.start(this.state.where);
  }

  /**
   * Points that moving thing i to j would change; infinite where it may not lie there, or would hardly come below
   * `below`. Makes nothing.
   */
  changeOf(i: number, j: number, below: number): number {
    const { state, fits } = this;
    const from = state.where[i]!;
    const saved = this.saved(i, from);
    if (state.leastChange(i, j, -1) - saved >= below) return Infinity;
    const sums = this.sumsOf(i, j);
    if (sums === Infinity) return Infinity;
    const least = sums - saved;
    if (least >= below) return Infinity;
    fits.ask(i, from, j, -1);
    const worse = fits.changeOverMl > 1e-6;
    return worse ? Infinity : sums + fits.changeOrder;
  }

  /**
   * Of some compartments the one that thing i goes to for the least points as things lie, and what that changes; null where
   * none changes less than `below`.
   */
  cheapest(i: number, compartments: Int32Array, below: number): { j: number; change: number } | null {
    const { state, fits } = this;
    const from = state.where[i]!;
    const saved = this.saved(i, from);
    // By the sums first: most often the first is the one, and no other asks how things would lie.
    const ranked = Array.from(compartments, (j) => ({ j, sums: this.sumsOf(i, j) }));
    ranked.sort((a, b) => a.sums - b.sums);
    let best: { j: number; change: number } | null = null;
    for (const { j, sums } of ranked) {
      if (sums - saved >= (best?.change ?? below)) break;
      fits.ask(i, from, j, -1);
      const change = sums + fits.changeOrder;
      if (fits.changeOverMl <= 1e-6 && change < (best?.change ?? below)) best = { j, change };
    }
    return best;
  }

  /** What that changes without what must be dug out, and without asking whether it closes beyond litres. */
  private sumsOf(i: number, j: number): number {
    const { state, fits } = this;
    const from = state.where[i]!;
    if (from === j || !state.mayPut(i, j) || !fits.mayHold(i, j, -1)) return Infinity;
    return this.sumsIfAt(i, j);
  }

  /** What thing i in compartment j would change in the sums, whatever forbids it. */
  sumsIfAt(i: number, j: number): number {
    const { state } = this;
    const from = state.where[i]!;
    const before = state.total;
    state.put(i, j);
    const sums = state.total - before;
    state.put(i, from);
    return sums;
  }

  /**
   * What thing i takes along of what must be dug out when it goes. That the rest then lies otherwise is left out of
   * account: it seldom saves more, and asking each time took three quarters of a descent (measured).
   */
  private saved(i: number, from: number): number {
    return from < 0 ? 0 : this.pointsAPair * this.fits.involved[i]!;
  }

  move(i: number, j: number): void {
    this.fits.ask(i, this.state.where[i]!, j, -1);
    this.fits.commit();
    this.state.put(i, j);
  }

  /** Swaps two things where that helps enough. */
  swapIfBetter(i: number, k: number, enough = LEAST_GAIN): boolean {
    const { state, fits } = this;
    const [p, q] = [state.where[i]!, state.where[k]!];
    if (p === q || !fits.mayHold(i, q, k) || !fits.mayHold(k, p, i)) return false;
    const saved = this.saved(i, p) + this.saved(k, q);
    if (state.leastChange(i, q, k) - saved >= -enough) return false;
    const before = state.total;
    state.put(i, -1);
    state.put(k, -1);
    let better = false;
    if (state.mayPut(i, q)) {
      state.put(i, q);
      if (state.mayPut(k, p)) {
        state.put(k, p);
        const sums = state.total - before;
        if (sums - saved < -enough) {
          fits.ask(i, p, q, k);
          better = fits.changeOverMl <= 1e-6 && sums + fits.changeOrder < -enough;
          if (better) fits.commit();
        }
      }
    }
    if (better) return true;
    state.put(i, -1);
    state.put(k, -1);
    state.put(i, p);
    state.put(k, q);
    return false;
  }

  /**
   * Takes out of each compartment that does not close what costs least to leave, until it does, then puts back where it
   * costs least whatever finds a place.
   */
  mend(free: readonly number[], options: readonly Int32Array[]): void {
    const { state, fits, instance } = this;
    for (let j = 0; j < instance.m; j += 1) {
      const own = free.filter((i) => state.where[i] === j);
      while (!fits.closes(j) && own.length > 0) {
        // What mends most for what it costs to leave out, of the largest: small things mend nothing.
        own.sort((p, q) => instance.needMl[q]! - instance.needMl[p]!);
        let [best, bestScore] = [0, -Infinity];
        own.slice(0, MENDERS).forEach((i, k) => {
          fits.ask(i, j, -1, -1);
          const score = -fits.changeOverMl / instance.leave[i]!;
          if (score > bestScore) [best, bestScore] = [k, score];
        });
        this.move(own[best]!, -1);
        own.splice(best, 1);
      }
    }
    this.fill(free, options);
  }

  /** Puts what is on the floor where it costs least, the most needed first. */
  fill(free: readonly number[], options: readonly Int32Array[]): void {
    const at = new Map(free.map((i, a) => [i, a]));
    for (const i of greedyOrder(this.instance, free)) {
      if (this.state.where[i]! >= 0) continue;
      const to = this.cheapest(i, options[at.get(i)!]!, -LEAST_GAIN);
      if (to) this.move(i, to.j);
    }
  }

  /**
   * Takes every move, swap and displacement that helps until none does.
   *
   * @param enough points a move or swap must help by at least: asking how things would lie for a tenth of a point is most
   * of what a whole descent takes
   */
  descend(free: readonly number[], options: readonly Int32Array[], enough = 0): void {
    const least = Math.max(enough, LEAST_GAIN);
    do {
      // Once all in a row were of no help, each was tried on this very load: no need to go on to the end.
      for (let a = 0, idle = 0; idle < free.length; a = (a + 1) % free.length)
        idle = this.improveBy(a, free, options[a]!, least) ? 0 : idle + 1;
    } while (this.displace(free, options));
  }

  /** Moves one of the free things wherever that helps enough, and swaps it with those after it. */
  private improveBy(a: number, free: readonly number[], own: Int32Array, least: number): boolean {
    const i = free[a]!;
    let improved = false;
    for (const j of own) {
      if (this.changeOf(i, j, -least) >= -least) continue;
      this.move(i, j);
      improved = true;
    }
    if (free.length > MOST_SWAPPED) return improved;
    for (let b = a + 1; b < free.length; b += 1) if (this.swapIfBetter(i, free[b]!, least)) improved = true;
    return improved;
  }

  /**
   * Puts something left behind where things of less worth must come out for it, where that helps: single moves and swaps
   * do not get there, since none of what comes out makes room enough by itself.
   *
   * @returns whether one was found; then other moves may help again
   */
  private displace(free: readonly number[], options: readonly Int32Array[]): boolean {
    const { state, instance } = this;
    const { leave, leastMl } = instance;
    const before = state.where.slice();
    const total = this.total;
    const left = free.map((i, a) => ({ i, own: options[a]! })).filter(({ i }) => before[i]! < 0);
    left.sort((p, q) => leave[q.i]! - leave[p.i]!);
    const worth = (i: number) => leave[i]! / Math.max(1, leastMl[i]!);
    // Small things of little worth make room for litres, a large one for what is large itself.
    const orders = [
      (p: number, q: number) => worth(p) - worth(q),
      (p: number, q: number) => leastMl[q]! - leastMl[p]!,
    ];
    for (const { i, own } of left)
      for (const j of own)
        for (const order of orders) {
          const lesser = free.filter((k) => before[k] === j && leave[k]! < leave[i]!).sort(order);
          const out = this.mayMakeRoom(i, j, lesser);
          if (out === 0) continue;
          if (this.makeRoom(i, j, lesser, out)) {
            this.move(i, j);
            this.fill(free, options);
            if (this.total < total - 1e-9) return true;
          }
          this.restore(free, before);
        }
    return false;
  }

  /** How many of some things must come out of j, by litres alone, before i goes in; 0 where that would cost too much. */
  private mayMakeRoom(i: number, j: number, lesser: readonly number[]): number {
    const { leave, leastMl } = this.instance;
    let most = DISPLACED * leave[i]!;
    let shortMl = leastMl[i]! - this.fits.roomMl(j);
    for (let out = 0; out < lesser.length; out += 1) {
      most -= leave[lesser[out]!]!;
      shortMl -= leastMl[lesser[out]!]!;
      if (most < 0) return 0;
      if (shortMl <= 1e-6) return out + 1;
    }
    return 0;
  }

  /** Takes things out of j, so many at once and then one after the other, until i lies there; false where it costs too much. */
  private makeRoom(i: number, j: number, lesser: readonly number[], atOnce: number): boolean {
    const { state, fits, instance } = this;
    let most = DISPLACED * instance.leave[i]!;
    for (let out = 0; out < lesser.length; out += 1) {
      most -= instance.leave[lesser[out]!]!;
      if (most < 0) return false;
      this.move(lesser[out]!, -1);
      if (out + 1 < atOnce || !state.mayPut(i, j)) continue;
      fits.ask(i, -1, j, -1);
      if (fits.changeOverMl <= 1e-6) return true;
    }
    return false;
  }
}
