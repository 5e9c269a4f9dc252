import { FitCosts } from './fitCosts';
import type { Instance } from './instance';
import { greedyOrder } from './search';
import { LoadState } from './state';

/** Of the largest in a compartment so many are asked whether it closes without them. */
const MENDERS = 8;
/** Beyond so many things swaps are left to the annealings: there are half a million pairs of a thousand. */
const MOST_SWAPPED = 160;

/**
 * A load with its running sums, of which every compartment closes by how things lie. Moves are judged by the sums first;
 * only one that could help asks for the fit.
 */
export class FittedState {
  readonly state: LoadState;
  readonly fits: FitCosts;
  /** What pinned things alone leave over: no load mends it. */
  readonly pinnedOverMl: number;

  constructor(readonly instance: Instance) {
    this.state = new LoadState(instance);
    this.fits = new FitCosts(instance);
    this.fits.start(this.state.where);
    this.pinnedOverMl = this.fits.total().overMl + 1e-6;
  }

  get total(): number {
    return this.state.total + this.fits.total().order;
  }

  closes(): boolean {
    return this.fits.total().overMl <= this.pinnedOverMl;
  }

  restore(free: readonly number[], where: ArrayLike<number>): void {
    for (const i of free) this.state.put(i, -1);
    for (const i of free) this.state.put(i, where[i]!);
    this.fits.start(this.state.where);
  }

  /** Points that moving thing i to j would change; infinite where it may not lie there. Makes nothing. */
  changeOf(i: number, j: number, below: number): number {
    const { state, fits } = this;
    const from = state.where[i]!;
    const sums = this.sumsOf(i, j);
    if (sums === Infinity) return Infinity;
    const least = sums - (from >= 0 ? fits.order[from]! : 0) - (j >= 0 ? fits.order[j]! : 0);
    if (least >= below) return Infinity;
    fits.ask(i, from, j, -1);
    const worse = fits.changeOverMl > 1e-6;
    return worse ? Infinity : sums + fits.changeOrder;
  }

  /** The same without what must be dug out, and without asking whether it closes beyond litres. */
  private sumsOf(i: number, j: number): number {
    const { state, fits } = this;
    const from = state.where[i]!;
    if (from === j || !state.mayPut(i, j) || !fits.mayHold(i, j, -1)) return Infinity;
    const before = state.total;
    state.put(i, j);
    const sums = state.total - before;
    state.put(i, from);
    return sums;
  }

  move(i: number, j: number): void {
    this.fits.ask(i, this.state.where[i]!, j, -1);
    this.fits.commit();
    this.state.put(i, j);
  }

  /** Swaps two things where that helps. */
  swapIfBetter(i: number, k: number): boolean {
    const { state, fits } = this;
    const [p, q] = [state.where[i]!, state.where[k]!];
    if (p === q || !fits.mayHold(i, q, k) || !fits.mayHold(k, p, i)) return false;
    const before = state.total;
    state.put(i, -1);
    state.put(k, -1);
    let better = false;
    if (state.mayPut(i, q)) {
      state.put(i, q);
      if (state.mayPut(k, p)) {
        state.put(k, p);
        const sums = state.total - before;
        const least = sums - (p >= 0 ? fits.order[p]! : 0) - (q >= 0 ? fits.order[q]! : 0);
        if (least < -1e-9) {
          fits.ask(i, p, q, k);
          better = fits.changeOverMl <= 1e-6 && sums + fits.changeOrder < -1e-9;
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
  mend(free: readonly number[], options: readonly Int32Array[]): [number, number][] {
    const out: [number, number][] = [];
    const { state, fits, instance } = this;
    for (let j = 0; j < instance.m; j += 1) {
      const own = free.filter((i) => state.where[i] === j);
      while (fits.overMl[j]! > 0 && own.length > 0) {
        // What mends most for what it costs to leave out, of the largest: small things mend nothing.
        own.sort((p, q) => instance.needMl[q]! - instance.needMl[p]!);
        let [best, bestScore] = [0, -Infinity];
        own.slice(0, MENDERS).forEach((i, k) => {
          fits.ask(i, j, -1, -1);
          const score = -fits.changeOverMl / instance.leave[i]!;
          if (score > bestScore) [best, bestScore] = [k, score];
        });
        out.push([own[best]!, j]);
        this.move(own[best]!, -1);
        own.splice(best, 1);
      }
    }
    this.fill(free, options);
    return out;
  }

  /** Puts what is on the floor where it costs least, the most needed first. */
  fill(free: readonly number[], options: readonly Int32Array[]): void {
    const at = new Map(free.map((i, a) => [i, a]));
    for (const i of greedyOrder(this.instance, free)) {
      if (this.state.where[i]! >= 0) continue;
      // The cheapest by the sums first: most often it is the one, and no other asks how things would lie.
      const ranked = Array.from(options[at.get(i)!]!, (j) => ({ j, sums: this.sumsOf(i, j) }));
      ranked.sort((a, b) => a.sums - b.sums);
      let [to, least] = [-1, -1e-9];
      for (const { j, sums } of ranked) {
        if (sums - this.fits.order[j]! >= least) continue;
        const change = this.changeOf(i, j, least);
        if (change < least) [to, least] = [j, change];
      }
      if (to >= 0) this.move(i, to);
    }
  }

  /** Takes every single move and swap that helps until none does. */
  descend(free: readonly number[], options: readonly Int32Array[]): void {
    for (let improved = true; improved;) {
      improved = false;
      free.forEach((i, a) => {
        for (const j of options[a]!) {
          if (this.changeOf(i, j, -1e-9) >= -1e-9) continue;
          this.move(i, j);
          improved = true;
        }
        if (free.length > MOST_SWAPPED) return;
        for (let b = a + 1; b < free.length; b += 1) if (this.swapIfBetter(i, free[b]!)) improved = true;
      });
    }
  }
}
