import type { Annealer } from './anneal';
import type { FittedState } from './fitted';

/**
 * The load that a round of the search begins from: the one of least price met since it was begun anew. Its price is its
 * objective, with what is needed most so many times as dear to leave; the annealing is told the same.
 */
export class Lead {
  from: Int32Array;
  price = Infinity;
  private times = 1;

  constructor(
    private readonly fitted: FittedState,
    private readonly annealer: Annealer,
    private readonly needed: readonly number[],
  ) {
    this.from = fitted.state.where.slice();
  }

  /** Has what is needed most cost so many times its points to leave, from the next load looked at on. */
  makeNeededDearer(times: number): void {
    this.times = times;
    for (const i of this.needed) this.annealer.priceLeaving(i, times * this.fitted.instance.leave[i]!);
  }

  /** Begins anew from a load, whatever was met before; where that does not close, from the next one that does. */
  begin(free: readonly number[], where: ArrayLike<number>): void {
    this.fitted.restore(free, where);
    this.price = Infinity;
    this.look();
  }

  /** Takes the load as it is, where it closes and costs less. */
  look(): void {
    const { state, instance, total } = this.fitted;
    let price = total;
    for (const i of this.needed) if (state.where[i]! < 0) price += (this.times - 1) * instance.leave[i]!;
    if (!this.fitted.closes() || price >= this.price - 1e-9) return;
    [this.from, this.price] = [state.where.slice(), price];
    this.annealer.allow(this.from);
  }
}
