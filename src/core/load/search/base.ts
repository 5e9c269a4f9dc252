import type { Annealer } from '../anneal/anneal';
import type { FittedState } from './fitted';

/**
 * The load that rounds begin from: the one of least price met since `begin`. Its price is its objective with leaving things
 * costing as many times their points as was set; the annealing is told the same.
 */
export class Base {
  where: Int32Array;
  price = Infinity;
  /** By thing, how many points leaving it costs beyond its own. */
  private readonly extra: Float64Array;

  constructor(
    private readonly fitted: FittedState,
    private readonly annealer: Annealer,
    private readonly free: readonly number[],
  ) {
    this.where = fitted.state.where.slice();
    this.extra = new Float64Array(fitted.instance.n);
  }

  /** Makes leaving each thing cost so many times its points, from the next load considered on. */
  priceLeaving(factorOf: (i: number) => number): void {
    const { leave } = this.fitted.instance;
    for (const i of this.free) {
      const points = factorOf(i) * leave[i]!;
      this.extra[i] = points - leave[i]!;
      this.annealer.priceLeaving(i, points);
    }
  }

  /** Begins anew from a load, whatever was met before; where that does not close, from the next one that does. */
  begin(where: ArrayLike<number>): void {
    this.fitted.restore(this.free, where);
    this.price = Infinity;
    this.consider();
  }

  /** Takes the load as it is, where it closes and costs less. */
  consider(): void {
    const { state, total } = this.fitted;
    if (!this.fitted.closes()) return;
    let price = total;
    for (const i of this.free) if (state.where[i]! < 0) price += this.extra[i]!;
    if (price >= this.price - 1e-9) return;
    [this.where, this.price] = [state.where.slice(), price];
    this.annealer.allow(this.where);
  }
}
