import type { Annealer } from '../anneal/anneal';
import type { FittedState } from './fitted';

/**
 * The load that a round of the search begins from: the one of least price met since it was begun anew, or the last one hardly
 * dearer than that. Its price is its objective, with each thing so many times as dear to leave; the annealing is told the same.
 */
export class Lead {
  from: Int32Array;
  price = Infinity;
  /** The least price met since it was begun anew. */
  private least = Infinity;
  /** By thing, how many points leaving it costs beyond its own. */
  private readonly beyond: Float64Array;

  constructor(
    private readonly fitted: FittedState,
    private readonly annealer: Annealer,
    private readonly free: readonly number[],
  ) {
    this.from = fitted.state.where.slice();
    this.beyond = new Float64Array(fitted.instance.n);
  }

  /** Has each thing cost so many times its points to leave, from the next load looked at on. */
  priceLeaving(timesOf: (i: number) => number): void {
    const { leave } = this.fitted.instance;
    for (const i of this.free) {
      const points = timesOf(i) * leave[i]!;
      this.beyond[i] = points - leave[i]!;
      this.annealer.priceLeaving(i, points);
    }
  }

  /** Begins anew from a load, whatever was met before; where that does not close, from the next one that does. */
  begin(where: ArrayLike<number>): void {
    this.fitted.restore(this.free, where);
    this.price = this.least = Infinity;
    this.look();
  }

  /**
   * Takes the load as it is, where it closes and costs less.
   *
   * @param dearer or where it costs more than the least met, by less than such a share of it, so that not every round begins
   * from the same load (record-to-record travel, Dueck 1993)
   */
  look(dearer = 0): void {
    const { state, total } = this.fitted;
    let price = total;
    for (const i of this.free) if (state.where[i]! < 0) price += this.beyond[i]!;
    if (!this.fitted.closes()) return;
    if (price >= this.price - 1e-9 && price >= this.least * (1 + dearer)) return;
    [this.from, this.price] = [state.where.slice(), price];
    this.least = Math.min(this.least, price);
    this.annealer.allow(this.from);
  }
}
