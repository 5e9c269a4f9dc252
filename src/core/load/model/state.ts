import { SYSTEMS } from '@/core/kit/thing';
import { steepOf } from './annealTables';
import {
  APART_POINTS,
  bodyPoints,
  FAIR_POINTS,
  FOOD_BAG_POINTS,
  FOOD_BAGS,
  PRESS_POINTS,
  SHARE_POINTS,
  sidePoints,
  SPREAD_POINTS,
  tailPoints,
} from '@/core/packing/costs';
import { NATURES, TROUBLES } from '@/core/packing/natures';
import type { Instance } from './instance';
import { pairPoints } from './objective';

/** Slack against rounding when room is compared with need. */
const EPSILON = 1e-7;
const S = SYSTEMS.length;
const N = NATURES.length;

/**
 * An assignment with its running sums, so that moving one thing costs a few additions instead of a pass over
 * all. It keeps the hard rules as long as callers ask `canPut` first; those that ask `mayPut` only may leave
 * compartments that do not close, which `overMl` counts.
 */
export class LoadState {
  readonly where: Int32Array;
  /** The objective of the assignment as it is. */
  total: number;
  /** Millilitres over all compartments that do not close; 0 where every one does. */
  overMl = 0;
  private readonly volume: Float64Array;
  private readonly comfort: Float64Array;
  private readonly mass: Float64Array;
  private readonly bagMass: Float64Array;
  /** Count of things of a system in a compartment, s·m + j. */
  private readonly present: Int32Array;
  /** The same of natures, and which are in the compartment, as a set. */
  private readonly presentNatures: Int32Array;
  private readonly natures: Int32Array;
  /** Compartments each system is spread over. */
  private readonly spread: Int32Array;
  /** By bag, how many stores of food are in it; and how many bags have any. */
  private readonly stores: Int32Array;
  private bagsWithStores = 0;
  // By rider.
  private readonly bodyG: Float64Array;
  private readonly leftG: Float64Array;
  private readonly loadG: Float64Array;
  private readonly frontG: Float64Array;
  private readonly tailKgM: Float64Array;
  /** The terms of balance and fairness inside `total` now. */
  private readonly balanced: Float64Array;
  private readonly pressPoints: number;
  private readonly spreadPoints: number;
  private readonly foodBagPoints: number;
  private readonly apartPoints: number;
  private readonly balanceWeight: number;
  private readonly fairPoints: number;
  private readonly steep: Float64Array;

  constructor(readonly instance: Instance) {
    const { n, m, b } = instance;
    this.where = new Int32Array(n).fill(-1);
    this.volume = new Float64Array(m);
    this.comfort = new Float64Array(m);
    this.mass = new Float64Array(m);
    this.bagMass = new Float64Array(b);
    this.present = new Int32Array(S * m);
    this.spread = new Int32Array(S);
    this.presentNatures = new Int32Array(N * m);
    this.natures = new Int32Array(m);
    const { weights } = instance;
    this.pressPoints = (weights.tight * PRESS_POINTS) / 1000;
    this.spreadPoints = weights.together * SPREAD_POINTS;
    this.stores = new Int32Array(b);
    this.foodBagPoints = weights['food bags'] * FOOD_BAG_POINTS;
    this.apartPoints = weights.apart * APART_POINTS;
    this.balanceWeight = weights.balance;
    this.fairPoints = (weights.fair * FAIR_POINTS) / 1000;
    this.steep = steepOf(instance);
    this.bodyG = new Float64Array(instance.r);
    this.leftG = instance.baseLeftG.slice();
    this.loadG = instance.baseG.slice();
    this.frontG = instance.baseFrontG.slice();
    this.tailKgM = instance.baseTailKgM.slice();
    this.balanced = new Float64Array(instance.r);
    this.total = 0;
    for (let rider = 0; rider < instance.r; rider += 1) this.rebalance(rider);
    for (let i = 0; i < n; i += 1) this.total += instance.leave[i]!;
    // What the rider pinned stays, even where it breaks a rule: the findings say so, the loader does not argue.
    for (let i = 0; i < n; i += 1) if (instance.fixed[i]) this.put(i, instance.start[i]!);
  }

  /** Whether compartment j closes with thing i in it, and nothing else forbids it. */
  canPut(i: number, j: number): boolean {
    if (j < 0 || this.where[i] === j) return true;
    return (
      this.volume[j]! + this.instance.needMl[i]! <= this.instance.capacityMl[j]! + EPSILON &&
      this.mayPut(i, j)
    );
  }

  /** The same without asking whether it closes: masses, sizes and dryness alone, with i counted where it is. */
  mayPut(i: number, j: number): boolean {
    if (j < 0) return true;
    const { instance } = this;
    const from = this.where[i]!;
    if (from === j) return true;
    return instance.allowed[i * instance.m + j] === 1 && this.massLimit(i, j) === null;
  }

  /** Which limit on mass thing i would break in compartment j, another than it is in. */
  massLimit(i: number, j: number): 'mass' | 'bag mass' | null {
    const { instance } = this;
    const from = this.where[i]!;
    const mass = instance.massG[i]!;
    if (this.mass[j]! + mass > instance.limitG[j]! + EPSILON) return 'mass';
    const bag = instance.bagOf[j]!;
    const sameBag = from >= 0 && instance.bagOf[from] === bag;
    return !sameBag && this.bagMass[bag]! + mass > instance.bagLimitG[bag]! + EPSILON ? 'bag mass' : null;
  }

  /**
   * What moving thing i to j, and k from there to where i is, changes `total` by at least; −1 is the floor, or no k. A few
   * reads, where making the change and taking it back is some hundred: most changes are seen to be none by this.
   */
  leastChange(i: number, j: number, k: number): number {
    const { instance, where } = this;
    const { m, allowed, massG, comfortMl, pair } = instance;
    const from = where[i]!;
    if (j >= 0 && !allowed[i * m + j]) return Infinity;
    if (k >= 0 && from >= 0 && !allowed[k * m + from]) return Infinity;
    if (pair[i]! >= 0 || (k >= 0 && pair[k]! >= 0)) return -Infinity;
    let points = this.pointsAt(i, j) - this.pointsAt(i, from);
    let mass = massG[i]!;
    let comfort = comfortMl[i]!;
    // What goes may leave its system less spread, and end the trouble it makes.
    if (from >= 0) points -= this.sparedBy(i, from);
    if (k >= 0) {
      points += this.pointsAt(k, from) - this.pointsAt(k, j);
      mass -= massG[k]!;
      comfort -= comfortMl[k]!;
      if (j >= 0) points -= this.sparedBy(k, j);
    }
    const steep = this.steep[(from + 1) * (m + 1) + j + 1]!;
    return points - steep * (mass < 0 ? -mass : mass) - this.pressPoints * (comfort < 0 ? -comfort : comfort);
  }

  /** Points that at most are spared where thing i goes from compartment j: a place of its system, a bag of food, what it spoils. */
  private sparedBy(i: number, j: number): number {
    const here = this.natures[j]!;
    return (
      this.spreadPoints +
      (this.instance.stores[i] ? this.foodBagPoints : 0) +
      this.apartPoints * (TROUBLES[here]! - TROUBLES[here & ~this.instance.natures[i]!]!)
    );
  }

  private pointsAt(i: number, j: number): number {
    const { points, leave, m } = this.instance;
    return j < 0 ? leave[i]! : points[i * m + j]!;
  }

  /** Moves thing i to compartment j, or to the floor with −1, and keeps `total` true. */
  put(i: number, j: number): void {
    const { instance } = this;
    const from = this.where[i]!;
    if (from === j) return;
    if (from >= 0) this.shift(i, from, -1);
    else this.total -= this.instance.leave[i]!;
    if (j >= 0) this.shift(i, j, 1);
    else this.total += this.instance.leave[i]!;
    const pair = instance.pair[i]!;
    if (pair >= 0) {
      const other = this.where[pair]!;
      this.total +=
        instance.weights.wishes * (pairPoints(instance, j, other) - pairPoints(instance, from, other));
    }
    this.where[i] = j;
    if (from >= 0) this.rebalance(instance.riderOf[from]!);
    if (j >= 0) this.rebalance(instance.riderOf[j]!);
  }

  private shift(i: number, j: number, sign: 1 | -1): void {
    const { instance } = this;
    const { m } = instance;
    const mass = sign * instance.massG[i]!;
    const comfort = this.comfort[j]!;
    const nextComfort = comfort + sign * instance.comfortMl[i]!;
    const capacity = instance.capacityMl[j]!;
    let change = sign * instance.points[i * m + j]!;
    change +=
      this.pressPoints *
      ((nextComfort > capacity ? nextComfort - capacity : 0) - (comfort > capacity ? comfort - capacity : 0));
    this.comfort[j] = nextComfort;
    const volume = this.volume[j]!;
    const nextVolume = volume + sign * instance.needMl[i]!;
    this.overMl +=
      (nextVolume > capacity ? nextVolume - capacity : 0) - (volume > capacity ? volume - capacity : 0);
    this.volume[j] = nextVolume;
    this.mass[j]! += mass;
    this.bagMass[instance.bagOf[j]!]! += mass;

    const system = instance.system[i]!;
    const before = this.present[system * m + j]!;
    this.present[system * m + j] = before + sign;
    if (before === 0 || before + sign === 0) {
      const spread = this.spread[system]!;
      // The first compartment of a system is free.
      if (sign > 0 ? spread > 0 : spread > 1) change += sign * this.spreadPoints;
      this.spread[system] = spread + sign;
    }
    if (instance.stores[i]) {
      const bag = instance.bagOf[j]!;
      const held = (this.stores[bag]! += sign);
      if (held === (sign > 0 ? 1 : 0)) {
        this.bagsWithStores += sign;
        if (this.bagsWithStores >= (sign > 0 ? FOOD_BAGS + 1 : FOOD_BAGS))
          change += sign * this.foodBagPoints;
      }
    }
    const here = this.natures[j]!;
    for (let rest = instance.natures[i]!; rest !== 0; rest &= rest - 1) {
      const nature = 31 - Math.clz32(rest & -rest);
      const count = (this.presentNatures[nature * m + j]! += sign);
      if (count === (sign > 0 ? 1 : 0)) this.natures[j]! ^= 1 << nature;
    }
    change += this.apartPoints * (TROUBLES[this.natures[j]!]! - TROUBLES[here]!);
    this.total += change;

    const rider = instance.riderOf[j]!;
    if (instance.onBody[j]) this.bodyG[rider]! += mass;
    else {
      this.leftG[rider]! += instance.side[j]! * mass;
      this.loadG[rider]! += mass;
      this.frontG[rider]! += instance.frontShare[j]! * mass;
      this.tailKgM[rider]! += (instance.tailM[j]! * mass) / 1000;
    }
  }

  private rebalance(rider: number): void {
    const { instance } = this;
    const load = this.loadG[rider]!;
    const shift = (this.frontG[rider]! - instance.bareFrontShare[rider]! * load) / instance.wholeG[rider]!;
    const unfair = load - instance.baseG[rider]! + this.bodyG[rider]! - instance.fairG[rider]!;
    const now =
      this.balanceWeight *
        (sidePoints(this.leftG[rider]!) +
          tailPoints(this.tailKgM[rider]!) +
          bodyPoints(this.bodyG[rider]!) +
          SHARE_POINTS * 100 * (shift < 0 ? -shift : shift)) +
      (unfair > 0 ? this.fairPoints * unfair : 0);
    this.total += now - this.balanced[rider]!;
    this.balanced[rider] = now;
  }
}
