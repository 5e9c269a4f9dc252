/** Things times combinations looked at before a system's spread is let go, so that the bound is there in time. */
const MOST_LOOKED_AT = 12_000;

/** Written out: asked a hundred million times, and `Math` is looked up anew each time where a page or test is sandboxed. */
const less = (a: number, b: number): number => (a < b ? a : b);

/**
 * Cheapest way to put the things of one system, each by itself, where every compartment used beyond the first costs
 * `spread`: a facility location without capacities, solved exactly by branch and bound (Cornuéjols et al. 1990). With
 * many things and places it may give up, and then counts nothing for the spread, which is never too much.
 *
 * Asked some five thousand times for a bound, so without anything to collect: one object is used again for all systems
 * and steps; `least` leaves where each thing goes in `at`.
 */
export class SystemBound {
  /** Of the things last asked about: place, or −1 for left behind. */
  readonly at: Int32Array;
  private readonly cost: Float64Array;
  private readonly places: Int32Array;
  /** By depth and thing: the least of what may still be opened. */
  private readonly rest: Float64Array;
  private readonly now: Float64Array;
  private readonly opened: Uint8Array;
  private readonly bestOpened: Uint8Array;
  private count = 0;
  private things = 0;
  private spread = 0;
  private best = 0;
  private looked = 0;
  private most = 0;

  constructor(
    readonly m: number,
    most: number,
  ) {
    this.at = new Int32Array(most);
    this.cost = new Float64Array(most * m);
    this.places = new Int32Array(m);
    this.rest = new Float64Array((m + 1) * most);
    this.now = new Float64Array((m + 1) * most);
    this.opened = new Uint8Array(m);
    this.bestOpened = new Uint8Array(m);
  }

  /**
   * @param things how many
   * @param leave points of leaving each behind
   * @param cost things·m points of each in each place; infinite where it may not lie
   * @param used 1 for a place that holds something of the system already
   * @returns points, with those of further places beyond the first
   */
  least(things: number, leave: Float64Array, cost: Float64Array, used: Uint8Array, spread: number): number {
    const { m, now } = this;
    this.things = things;
    this.spread = spread;
    this.cost.set(cost.subarray(0, things * m));
    let free = true;
    let held = 0;
    for (let i = 0; i < things; i += 1) now[i] = leave[i]!;
    for (let j = 0; j < m; j += 1) {
      if (!used[j]) continue;
      free = false;
      held += 1;
      for (let i = 0; i < things; i += 1) now[i] = less(now[i]!, cost[i * m + j]!);
    }
    this.findPlaces(used);
    this.fillRest();
    this.best = Infinity;
    this.looked = 0;
    this.most = MOST_LOOKED_AT / things;
    this.opened.fill(0);
    this.look(0, free ? -1 : 0);
    // Given up: nothing is counted for the spread, and each goes where it is cheapest.
    const gaveUp = this.looked > this.most;
    let sum = Math.max(0, held - 1) * spread;
    for (let i = 0; i < things; i += 1) {
      let least = leave[i]!;
      let to = -1;
      for (let j = 0; j < m; j += 1) {
        if (!gaveUp && !used[j] && !this.bestOpened[j]) continue;
        const here = cost[i * m + j]!;
        if (here < least) {
          least = here;
          to = j;
        }
      }
      this.at[i] = to;
      if (gaveUp) sum += least;
    }
    return gaveUp ? sum : Math.max(0, held - 1) * spread + this.best;
  }

  /** Places worth opening: not one that another is at least as cheap as for every thing. The most saving first. */
  private findPlaces(used: Uint8Array): void {
    const { m, things, cost, now, places } = this;
    this.count = 0;
    const saves = (j: number): number => {
      let sum = 0;
      for (let i = 0; i < things; i += 1) sum += now[i]! - less(now[i]!, cost[i * m + j]!);
      return sum;
    };
    for (let j = 0; j < m; j += 1) {
      if (used[j] || saves(j) <= 0) continue;
      let needed = true;
      for (let k = 0; k < m && needed; k += 1) {
        if (k === j || used[k]) continue;
        let never = true;
        let same = true;
        for (let i = 0; i < things && never; i += 1) {
          const here = less(cost[i * m + j]!, now[i]!);
          const there = less(cost[i * m + k]!, now[i]!);
          if (here < there) never = false;
          if (here !== there) same = false;
        }
        // Of two alike the first is kept.
        if (never && (!same || k < j)) needed = false;
      }
      if (needed) places[this.count++] = j;
    }
    places.subarray(0, this.count).sort((p, q) => saves(q) - saves(p));
  }

  /** For each depth, the least that any place not decided yet would cost each thing. */
  private fillRest(): void {
    const { m, things, count, cost, places, rest } = this;
    rest.fill(Infinity, count * things, (count + 1) * things);
    for (let d = count - 1; d >= 0; d -= 1)
      for (let i = 0; i < things; i += 1)
        rest[d * things + i] = less(rest[(d + 1) * things + i]!, cost[i * m + places[d]!]!);
  }

  /** @param extra places opened that cost; −1 while none is, since the first is free */
  private look(depth: number, extra: number): void {
    const { m, things, now, rest, cost } = this;
    if ((this.looked += 1) > this.most) return;
    const base = extra > 0 ? extra * this.spread : 0;
    const from = depth * things;
    let sofar = base;
    let hope = base;
    for (let i = 0; i < things; i += 1) {
      const own = now[from + i]!;
      sofar += own;
      hope += less(own, rest[from + i]!);
    }
    if (sofar < this.best) {
      this.best = sofar;
      this.bestOpened.set(this.opened);
    }
    if (depth === this.count || hope >= this.best - 1e-9) return;
    const j = this.places[depth]!;
    const next = from + things;
    for (let i = 0; i < things; i += 1) now[next + i] = less(now[from + i]!, cost[i * m + j]!);
    this.opened[j] = 1;
    this.look(depth + 1, extra + 1);
    this.opened[j] = 0;
    for (let i = 0; i < things; i += 1) now[next + i] = now[from + i]!;
    this.look(depth + 1, extra);
  }
}
