import { SYSTEMS } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import { openLoop, type AnnealLoop } from './annealLoop';
import { annealTables, pricesOf } from '../model/annealTables';
import {
  BODY_FREE_G,
  BODY_OVER_POINTS,
  FOOD_BAGS,
  SIDE_FREE_G,
  SIDE_OVER_POINTS,
  SIDE_POINTS,
  TAIL_FREE_KGM,
  TAIL_OVER_POINTS,
} from '@/core/packing/costs';
import type { Instance } from '../model/instance';

/** −ln of evenly spread chances: looked up instead of computed, once a move. */
const LOGARITHMS = Float64Array.from({ length: 4096 }, (_, i) => -Math.log((i + 0.5) / 4096));
const S = SYSTEMS.length;
/** Steps of one call of the loop: the engine puts faster code in its place only between calls. */
const STEPS_A_CALL = 64;

/** A set of things is a bit each, in words of 64, which stand here as two numbers of 32; two words are read at once. */
const wordsOf = (n: number) => 2 * Math.ceil(n / 128);
const INTS_A_WORD = 2;
/** Of a compartment so many larger sets that do not lie there are remembered: the loop has a bit of a word for each. */
const MOST_CUTS = 64;

/** Heat in points, from first to last. */
export interface Schedule {
  hot: number;
  cold: number;
}

/** What a run is to come near to, or it is given up: so many points, and so many for each point of heat it still has. */
export interface Mark {
  points: number;
  aHeat: number;
}

export interface AnnealOptions {
  /**
   * Share of the moves that are exchanges, 0 to 1; the rest move one thing alone. Measured: with 0.82 a search by fit ends
   * 0.002 nearer to the best known, but one by litres then misses the optimum of some small kits, which with 0.64 it finds.
   */
  swaps?: number;
  /**
   * Points beyond what a move may cost up to which two things that change places are given a third and fourth to make up for
   * it. Of those that cost 4 more hardly any is made, but some kit by litres in eighty ends 2 % worse without them.
   */
  hope?: number;
  /**
   * Millilitres of stiff things each compartment may hold, beside its litres; read anew at each start. What is beyond is
   * over as other litres are.
   */
  stiffCapacityMl?: Float64Array | null;
  /** Millilitres of each compartment that may be filled, instead of all; read anew at each start. */
  roomMl?: Float64Array | null;
}

/**
 * Simulated annealing (Kirkpatrick et al. 1983) over exchanges between two places, from a given assignment: one thing
 * that moves, or one for one, two for one, two for two. In bags that are nearly full hardly any exchange of single
 * things keeps the litres even, which is why the third and the fourth are those that cost least to move along, by their
 * points and by what is over then (decision 0015). Compartments may be overfull on the way, at a price that rises while
 * something does not fit. Masses, sizes and dryness always hold.
 *
 * Draws how much a move may cost before it is looked at, and gives it up as soon as what is known of it costs more
 * than that whatever the rest may save: most moves of a cold annealing end after a few additions.
 *
 * The loop computes what a move would change before making it, on flat arrays (`AnnealTables`), without allocation and
 * with the random bits made in place. It stands in annealLoop.as.ts, compiled ahead (decision 0016).
 */
export class Annealer {
  private readonly loop: AnnealLoop<ReturnType<typeof arraysOf>>;
  private readonly stiffCapacityMl: Float64Array | null;
  private readonly roomMl: Float64Array | null;
  /** By compartment, where the next larger set goes. */
  private readonly nextCut: Int32Array;

  /**
   * @param free things that may be moved
   * @param overMl millilitres that pinned things alone do not fit, which no load can mend
   */
  constructor(
    private readonly instance: Instance,
    free: readonly number[],
    overMl: number,
    private readonly random: Random,
    { swaps = 0.64, hope = 20, stiffCapacityMl = null, roomMl = null }: AnnealOptions = {},
  ) {
    const { points, ...tables } = tablesOf(instance, free);
    const { press, spread, foodBag, apart, pair, fair } = pricesOf(instance.weights);
    this.nextCut = new Int32Array(instance.m);
    this.stiffCapacityMl = stiffCapacityMl;
    this.roomMl = roomMl;
    this.loop = openLoop(
      {
        n: instance.n,
        M: instance.m + 1,
        bags: instance.b,
        riders: instance.r,
        systems: S,
        byStiff: stiffCapacityMl ? 1 : 0,
        closes: overMl + 1e-6,
        swaps: Math.round(swaps * 65_536),
        hope,
        balanceWeight: instance.weights.balance,
        press,
        spreadPoints: spread,
        foodBagPoints: foodBag,
        foodBags: FOOD_BAGS,
        apartPoints: apart,
        pairPoints: pair,
        fairPoints: fair,
        sidePrice: SIDE_POINTS,
        sideOverPrice: SIDE_OVER_POINTS,
        sideFreeG: SIDE_FREE_G,
        tailOverPrice: TAIL_OVER_POINTS,
        tailFreeKgM: TAIL_FREE_KGM,
        bodyOverPrice: BODY_OVER_POINTS / 1000,
        bodyFreeG: BODY_FREE_G,
        freeCount: free.length,
        words: wordsOf(instance.n),
        mostCuts: MOST_CUTS,
      },
      tables,
      arraysOf(instance, points),
    );
  }

  /** Takes up an assignment: compartment index of each thing, −1 for the floor. */
  start(from: ArrayLike<number>): void {
    const { where, stiffCapacity, roomMl } = this.loop.arrays;
    for (let i = 0; i < where.length; i += 1) where[i] = from[i]! + 1;
    if (this.roomMl) roomMl.set(this.roomMl, 1);
    if (this.stiffCapacityMl) stiffCapacity.set(this.stiffCapacityMl, 1);
    this.loop.start();
  }

  /**
   * Tries so many moves while heat and price go from first to last.
   *
   * @param open by place, index 0 the floor: where it is 0, nothing comes or goes, so that the same moves search a part of
   * the load more closely; null for everywhere
   * @param mark from half of the moves on it is given up while it met none better than the assignment it began from, and
   * the one it has costs more than that, what is over counted at its price; null to go on whatever it costs
   * @returns whether all moves were tried
   */
  run(
    { hot, cold }: Schedule,
    moves: number,
    open: Uint8Array | null = null,
    mark: Mark | null = null,
  ): boolean {
    const { loop } = this;
    const { isOpen } = loop.arrays;
    isOpen.set(open ?? isOpen.fill(1));
    if (loop.open() === 0 || this.instance.m === 0) return true;
    loop.set('heat', hot);
    const step = loop.get('STEP');
    loop.set('cooling', Math.pow(cold / hot, 1 / Math.max(1, Math.ceil(moves / step))));
    loop.set('bits', Math.floor(this.random() * 0x7fff_ffff) | 1);
    const most = STEPS_A_CALL * step;
    const atStart = this.bestTotal();
    for (let left = moves; left > 0; left -= most) {
      loop.run(Math.min(left, most));
      if (!mark || left - most > moves / 2 || this.bestTotal() < atStart - 1e-6) continue;
      const dear = loop.get('total') + loop.get('price') * loop.get('over');
      if (dear > mark.points + mark.aHeat * loop.get('heat')) return false;
    }
    return true;
  }

  /** The assignment as it is, which may not close. */
  current(): Int32Array {
    return unpadded(this.loop.arrays.where);
  }

  /** Best assignment met that closes, or null. */
  best(): Int32Array | null {
    return this.bestTotal() < Infinity ? unpadded(this.loop.arrays.bestWhere) : null;
  }

  /** Its objective in points, as the running sums have it; infinite without one. */
  bestTotal(): number {
    return this.loop.get('leastTotal');
  }

  /** Has leaving thing i behind cost so many points, from the next start on. */
  priceLeaving(i: number, points: number): void {
    this.loop.arrays.points[i * (this.instance.m + 1)] = points;
  }

  /**
   * These stiff things do not lie in compartment j together, from the next start on: the smallest one's millilitres are
   * over there while all are in. Pairs are remembered all, larger sets only so many, the oldest forgotten first.
   */
  forbid(j: number, things: readonly number[]): void {
    const { clashing, mayClash, cuts, cutsMl, cutCounts } = this.loop.arrays;
    const [one, other] = things;
    mayClash[j + 1] = 1;
    if (things.length === 2) {
      include(this.among(clashing, j, one!), other!);
      include(this.among(clashing, j, other!), one!);
      return;
    }
    const { stiffMl } = this.instance;
    const k = this.nextCut[j]!;
    this.nextCut[j] = (k + 1) % MOST_CUTS;
    cutCounts[j + 1] = Math.max(cutCounts[j + 1]!, k + 1);
    const cut = this.cutAt(cuts, j, k);
    cut.fill(0);
    for (const i of things) include(cut, i);
    cutsMl[(j + 1) * MOST_CUTS + k] = Math.min(...things.map((i) => stiffMl[i]!));
  }

  /** Forgets of what was forbidden all that an assignment, in which things do lie, holds after all. */
  allow(where: ArrayLike<number>): void {
    const { clashing, cuts, cutsMl, cutCounts } = this.loop.arrays;
    const { n, m } = this.instance;
    for (let j = 0; j < m; j += 1) {
      const held = new Int32Array(INTS_A_WORD * wordsOf(n));
      for (let i = 0; i < n; i += 1) if (where[i] === j) include(held, i);
      for (let i = 0; i < n; i += 1) if (where[i] === j) exclude(this.among(clashing, j, i), held);
      for (let k = 0; k < cutCounts[j + 1]!; k += 1) {
        // A set that was forgotten so costs nothing until its place is used again.
        if (this.cutAt(cuts, j, k).every((bits, w) => (bits & ~held[w]!) === 0))
          cutsMl[(j + 1) * MOST_CUTS + k] = 0;
      }
    }
  }

  /** The set of those that thing i does not lie with in compartment j. */
  private among(clashing: Int32Array, j: number, i: number): Int32Array {
    const ints = INTS_A_WORD * wordsOf(this.instance.n);
    const at = ((j + 1) * (this.instance.n + 1) + i) * ints;
    return clashing.subarray(at, at + ints);
  }

  /** Larger set k of those that do not lie in compartment j. */
  private cutAt(cuts: Int32Array, j: number, k: number): Int32Array {
    const ints = INTS_A_WORD * wordsOf(this.instance.n);
    const at = ((j + 1) * MOST_CUTS + k) * ints;
    return cuts.subarray(at, at + ints);
  }
}

/** What the loop reads and never writes, by the names it has for it. */
function tablesOf(instance: Instance, free: readonly number[]) {
  const { choices, ...tables } = annealTables(instance, free);
  const { fairG, baseG, baseFrontG, baseLeftG, baseTailKgM, bareFrontShare } = instance;
  const choicesFrom = [0];
  for (const { length } of choices) choicesFrom.push(choicesFrom.at(-1)! + length);
  return {
    ...tables,
    choices: Int32Array.from(choices.flatMap((own) => [...own])),
    choicesFrom: Int32Array.from(choicesFrom),
    free: Int32Array.from(free),
    ...{ fairG, baseG, baseFrontG, baseLeftG, baseTailKgM, bareFrontShare },
    logarithms: LOGARITHMS,
  };
}
/** What both the loop and its caller write. */
const arraysOf = ({ n, m, capacityMl }: Instance, points: Float64Array) => ({
  points,
  where: new Int32Array(n),
  bestWhere: new Int32Array(n),
  roomMl: Float64Array.from([Infinity, ...capacityMl]),
  stiffCapacity: new Float64Array(m + 1),
  clashing: new Int32Array((m + 1) * (n + 1) * INTS_A_WORD * wordsOf(n)),
  mayClash: new Uint8Array(m + 1),
  cuts: new Int32Array((m + 1) * MOST_CUTS * INTS_A_WORD * wordsOf(n)),
  cutsMl: new Float64Array((m + 1) * MOST_CUTS),
  cutCounts: new Int32Array(m + 1),
  isOpen: new Uint8Array(m + 1),
});

/** Puts thing i into a set. */
const include = (set: Int32Array, i: number): void => void (set[i >> 5]! |= 1 << (i & 31));

/** Takes things out of a set. */
const exclude = (set: Int32Array, things: Int32Array): void =>
  set.forEach((bits, w) => (set[w] = bits & ~things[w]!));

const unpadded = (assignment: Int32Array) => Int32Array.from(assignment, (c) => c - 1);
