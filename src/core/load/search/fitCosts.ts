import { fitIn, layWhatGoes } from '@/core/fit/fit';
import { knownClosing, knownFit, knownToClose, type Closing } from '@/core/fit/known';
import { split } from '@/core/fit/split';
import type { Thing } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import { seededRandom } from '@/core/random';
import { ORDER_POINTS } from '@/core/packing/costs';
import type { Instance } from '../model/instance';

/** What the fit of a compartment costs: millilitres that are not in, and points for what must be dug out. */
interface Cost {
  /** Infinite while it is to be laid down. */
  overMl: number;
  order: number;
  /** Things of the pairs of which the first lies under the second, one after the other. */
  under: readonly number[];
  /** Whether all that is stiff lies; taken to where litres alone say no and nothing was laid down. */
  stiffLies: boolean;
  /**
   * What is to be laid down as far as it goes, to know by how much it does not close. A search seldom asks that, only
   * whether: of all sets a third does not lie.
   */
  toLay: readonly Thing[] | null;
  /** Whether that is the last word: it closes, or litres or patience say it does not. */
  stands: boolean;
}
/** What does not close is over by so many millilitres at least. */
const LEAST_OVER_ML = 1;

/** Two numbers of 26 bits make a key of 52, which a double holds exactly. */
const HIGH = 2 ** 26;

/**
 * How things lie in each compartment of an assignment, asked by the search: for the assignment as it is, and for one
 * move or swap before it is made. A set of things is known by the exclusive or of random numbers of its members
 * (Zobrist 1970), so that a move makes the new sets' keys in two steps. Two sets with one key would be one in ten
 * million searches; what is taken for the best is asked again in full.
 */
export class FitCosts {
  /** By thing, in how many pairs of what must be dug out it takes part where it lies; stale on the floor. */
  readonly involved: Int32Array;
  /** What the move last asked about would change, over both compartments; infinite where one then closes no more. */
  changeOverMl = 0;
  changeOrder = 0;
  private readonly low: Int32Array;
  private readonly high: Int32Array;
  private readonly keyLow: Int32Array;
  private readonly keyHigh: Int32Array;
  private readonly known: Map<number, Cost>[];
  private readonly where: Int32Array;
  private readonly members: Int32Array[];
  /** Of the assignment as it is, by compartment. */
  private readonly at: Cost[];
  private readonly counts: Int32Array;
  /** Compartments that hold something else than they did; all before the first assignment. */
  private readonly changed: Uint8Array;
  /** Room each takes whatever lies beside it. */
  private readonly leastMl: Float64Array;
  private readonly usedMl: Float64Array;
  // The move last asked about.
  private readonly pending = { i: -1, a: -1, b: -1, k: -1 };
  /** Room for the things of a set, in the order of the kit. */
  private readonly lots: Int32Array;
  private readonly lotOf = new Map<string, number>();
  private readonly costs: [Cost, Cost] = [NOTHING, NOTHING];
  private isPatient = false;

  constructor(private readonly instance: Instance) {
    const { n, m } = instance;
    const random: Random = seededRandom(n * 31 + m);
    const bits = () => Int32Array.from({ length: n }, () => Math.floor(random() * HIGH));
    [this.low, this.high] = [bits(), bits()];
    this.keyLow = new Int32Array(m);
    this.keyHigh = new Int32Array(m);
    this.at = Array.from({ length: m }, () => NOTHING);
    this.known = Array.from({ length: m }, () => new Map<number, Cost>());
    this.where = new Int32Array(n).fill(-1);
    this.usedMl = new Float64Array(m);
    this.leastMl = instance.leastMl;
    this.members = Array.from({ length: m }, () => new Int32Array(n));
    this.counts = new Int32Array(m);
    this.changed = new Uint8Array(m).fill(1);
    this.involved = new Int32Array(n);
    this.lots = new Int32Array(n + 1);
    instance.outer.forEach((lot, i) => {
      for (const { id } of lot) this.lotOf.set(id, i);
    });
  }

  /**
   * Does some work for which what does not close is asked again as the board asks it (`knownFit`): a quarter of that does
   * close then. It takes several times as long, so a search does so only where it matters; what is found then stays known.
   */
  patiently<Result>(work: () => Result): Result {
    const was = this.isPatient;
    this.isPatient = true;
    const result = work();
    this.isPatient = was;
    return result;
  }

  /** Takes up an assignment: compartment index of each thing, −1 for the floor. What holds the same as before stays. */
  start(where: ArrayLike<number>): void {
    const { n, m } = this.instance;
    const { changed } = this;
    for (let i = 0; i < n; i += 1) {
      const [from, to] = [this.where[i]!, where[i]!];
      if (from === to) continue;
      this.shift(i, to);
      if (from >= 0) changed[from] = 1;
      if (to >= 0) changed[to] = 1;
    }
    for (let j = 0; j < m; j += 1) {
      if (!changed[j]) continue;
      changed[j] = 0;
      // The sums of what came and went differ by their rounding from those of what is there.
      this.usedMl[j] = 0;
      for (let p = 0; p < this.counts[j]!; p += 1) this.usedMl[j]! += this.leastMl[this.members[j]![p]!]!;
      this.become(j, this.costOf(j, -1, -1, this.keyLow[j]!, this.keyHigh[j]!));
    }
  }

  /** Takes what compartment j costs now, and counts anew who takes part in what must be dug out of it. */
  private become(j: number, cost: Cost): void {
    this.at[j] = cost;
    const own = this.members[j]!;
    for (let p = 0; p < this.counts[j]!; p += 1) this.involved[own[p]!] = 0;
    for (const i of cost.under) this.involved[i]! += 1;
  }

  /**
   * What it would change to move thing i from a to b and, where k is not −1, k from b to a; a and b may be −1 for the
   * floor. Leaves the answer in `changeOverMl` and `changeOrder`.
   */
  ask(i: number, a: number, b: number, k: number): void {
    const { pending, costs } = this;
    pending.i = i;
    pending.a = a;
    pending.b = b;
    pending.k = k;
    this.changeOverMl = 0;
    this.changeOrder = 0;
    let low = this.low[i]!;
    let high = this.high[i]!;
    if (k >= 0) {
      low ^= this.low[k]!;
      high ^= this.high[k]!;
    }
    costs[0] = a < 0 ? NOTHING : this.costOf(a, i, k, this.keyLow[a]! ^ low, this.keyHigh[a]! ^ high);
    costs[1] = b < 0 ? NOTHING : this.costOf(b, k, i, this.keyLow[b]! ^ low, this.keyHigh[b]! ^ high);
    if (a >= 0) this.addChange(a, this.at[a]!, costs[0]);
    if (b >= 0) this.addChange(b, this.at[b]!, costs[1]);
  }

  private addChange(j: number, from: Cost, to: Cost): void {
    if (to.toLay && from.overMl === 0) {
      this.changeOverMl = Infinity;
      return;
    }
    if (from.toLay) this.complete(j, from);
    if (to.toLay) this.complete(j, to);
    this.changeOverMl += to.overMl - from.overMl;
    this.changeOrder += to.order - from.order;
  }

  /** Whether litres alone let i into compartment b, with k out of it where that is not −1. */
  mayHold(i: number, b: number, k: number): boolean {
    if (b < 0) return true;
    const without = k < 0 ? 0 : this.leastMl[k]!;
    return this.usedMl[b]! - without + this.leastMl[i]! <= this.instance.capacityMl[b]! + 1e-6;
  }

  /** Litres of compartment j that nothing takes for sure, in millilitres. */
  roomMl(j: number): number {
    return this.instance.capacityMl[j]! - this.leastMlIn(j);
  }

  /** Makes the move last asked about. */
  commit(): void {
    const { i, a, b, k } = this.pending;
    this.shift(i, b);
    if (k >= 0) this.shift(k, a);
    if (a >= 0) this.become(a, this.costs[0]);
    if (b >= 0) this.become(b, this.costs[1]);
  }

  closes(j: number): boolean {
    return this.at[j]!.overMl === 0;
  }

  /** Millilitres that are not in compartment j. */
  overMl(j: number): number {
    return this.complete(j, this.at[j]!).overMl;
  }

  /** Whether all that is stiff in compartment j lies, whatever the soft need. */
  stiffLies(j: number): boolean {
    return this.at[j]!.stiffLies;
  }

  /** Millilitres of compartment j that are taken for sure. */
  leastMlIn(j: number): number {
    return this.usedMl[j]!;
  }

  /** Points of all compartments for what must be dug out. */
  totalOrder(): number {
    let order = 0;
    for (let j = 0; j < this.at.length; j += 1) order += this.complete(j, this.at[j]!).order;
    return order;
  }

  /** Millilitres that are not in, over all compartments; infinite where they are known to be more than `most`. */
  totalOverMl(most = Infinity): number {
    let sum = 0;
    for (let j = 0; j < this.at.length; j += 1) {
      if (this.at[j]!.toLay && sum + LEAST_OVER_ML > most) return Infinity;
      sum += this.overMl(j);
    }
    return sum;
  }

  /** Moves a thing in the sets and their keys. */
  private shift(i: number, to: number): void {
    const from = this.where[i]!;
    for (const j of [from, to]) {
      if (j < 0) continue;
      this.keyLow[j]! ^= this.low[i]!;
      this.keyHigh[j]! ^= this.high[i]!;
    }
    if (from >= 0) {
      this.usedMl[from]! -= this.leastMl[i]!;
      const own = this.members[from]!;
      const count = (this.counts[from]! -= 1);
      for (let p = 0; p < count; p += 1) if (own[p] === i) own[p] = own[count]!;
    }
    if (to >= 0) {
      this.usedMl[to]! += this.leastMl[i]!;
      this.members[to]![this.counts[to]!++] = i;
    }
    this.where[i] = to;
  }

  /** The cost of compartment j without `out` and with `into`, each −1 for none, under the key of that set. */
  private costOf(j: number, out: number, into: number, low: number, high: number): Cost {
    const key = high * HIGH + low;
    const own = this.known[j]!;
    const known = own.get(key);
    if (known && (known.stands || !this.isPatient)) return known;
    const { instance, lots } = this;
    let count = 0;
    // What does not go in by litres need not be laid down to know it.
    let leastMl = 0;
    const take = (i: number) => {
      leastMl += this.leastMl[i]!;
      // In the order of the kit, so that a set always lies the same.
      let at = count++;
      for (; at > 0 && lots[at - 1]! > i; at -= 1) lots[at] = lots[at - 1]!;
      lots[at] = i;
    };
    const here = this.members[j]!;
    for (let p = 0; p < this.counts[j]!; p += 1) if (here[p] !== out) take(here[p]!);
    if (into >= 0) take(into);
    const capacity = instance.capacityMl[j]!;
    if (leastMl > capacity + 1e-6) {
      const cost: Cost = { ...NOTHING, overMl: leastMl - capacity };
      own.set(key, cost);
      return cost;
    }
    const { chamber } = instance.spots[j]!;
    const things: Thing[] = [];
    for (let p = 0; p < count; p += 1) for (const thing of instance.outer[lots[p]!]!) things.push(thing);
    let closing = knownClosing(chamber, things);
    if (this.isPatient && !closing?.closes && knownToClose(chamber, things))
      closing = knownFit(chamber, things);
    const cost: Cost = closing
      ? this.laidDown(j, closing, [])
      : { ...NOTHING, overMl: Infinity, stiffLies: false, toLay: things };
    cost.stands = this.isPatient || cost.overMl === 0;
    own.set(key, cost);
    return cost;
  }

  /** @param noPlace stiff things that found no place */
  private laidDown(j: number, { closes, neededMl, under }: Closing, noPlace: readonly string[]): Cost {
    const { instance } = this;
    const overMl = Math.max(LEAST_OVER_ML, neededMl - instance.capacityMl[j]!, noPlaceMl(instance, noPlace));
    return {
      overMl: closes ? 0 : overMl,
      order: instance.weights.order * ORDER_POINTS * under.length,
      under: under.flatMap(([a, b]) => [this.lotOf.get(a)!, this.lotOf.get(b)!]),
      stiffLies: noPlace.length === 0,
      toLay: null,
      stands: closes,
    };
  }

  /** Lays down what is still to be, as far as it goes. */
  private complete(j: number, cost: Cost): Cost {
    if (!cost.toLay) return cost;
    const { chamber } = this.instance.spots[j]!;
    const fit = fitIn(chamber, cost.toLay, layWhatGoes(chamber, split(cost.toLay).placed));
    const { stands } = cost;
    return Object.assign(cost, this.laidDown(j, fit, fit.noPlace), { stands });
  }
}

const NOTHING: Readonly<Cost> = {
  overMl: 0,
  order: 0,
  under: [],
  stiffLies: true,
  toLay: null,
  stands: true,
};

/** Room that what found no place would need: the way back to what closes leads over less of it. */
function noPlaceMl(instance: Instance, noPlace: readonly string[]): number {
  let ml = 0;
  for (const id of noPlace) {
    const i = instance.outer.findIndex((lot) => lot.some((thing) => thing.id === id));
    if (i >= 0) ml += instance.needMl[i]!;
  }
  return ml;
}
