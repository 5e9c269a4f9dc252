import type { Thing } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import { LEAVE_POINTS } from '@/core/packing/costs';
import { Annealer } from '../anneal/anneal';
import { withLeastRoom, type Instance } from '../model/instance';
import { brokenRules } from '../model/objective';
import { LoadState } from '../model/state';
import { Base } from './base';
import { clashesOf } from './clashes';
import { FittedState } from './fitted';
import { optionsOf } from './options';
import { repair } from './repair';
import { someCompartments } from './someCompartments';
import {
  ABANDON_PER_HEAT,
  COLD,
  HOPE,
  LEAST_OPEN,
  MOST_OPEN,
  NEAR,
  NEARLY_USED_UP,
  ROUNDS,
  ROUNDS_PER_START,
  ROUND_HEATS,
  ROUND_MOVES,
  START_HEATS,
  START_LEAVE_FACTOR,
  START_MOVES,
  STARTS,
  STIFF_AT_FIRST,
  STIFF_AT_LEAST,
  STIFF_LESS,
  STIFF_MORE,
  SWAPS,
  WORTH_ASKING,
  WORTH_REPAIR,
} from './tuning';

export interface SearchProgress {
  /** 0 to 1. */
  done: number;
  /** The incumbent's objective, in points. */
  best: number;
  /** The incumbent, where it is better than at the last report: compartment index of each thing, −1 for the floor. */
  where: Int32Array | null;
}

export interface SearchOptions {
  rounds?: number;
  /** Loads known before, from which it begins too: compartment index of each thing, −1 for the floor. */
  known?: readonly Int32Array[];
  /**
   * A lower bound, at which the search may end; asked once, with the incumbent's objective after the starts, where that leaves
   * nothing behind: else no bound is that close.
   */
  boundOf?: (incumbent: number) => number;
  /** Asked before each round beyond those: whether there is to be one more. */
  goesOn?: () => boolean;
}

/**
 * Looks for the assignment of least objective in which every compartment closes by how things lie, and every other hard
 * rule holds (methods, section 4). Any-time: the first load that may be ridden is there at the first report.
 *
 * 1. **Initial loads**: the load as it is, those known, or else a greedy one; then one in which what is needed most has the
 *    bags to itself before the rest comes.
 * 2. **Starts**: rounds that move anything, begun several times over.
 * 3. **Rounds** that each open some compartments, drawn anew, and leave the rest as it lies (large neighbourhood search,
 *    Shaw 1998).
 * 4. **Finish**: descent, and nothing left behind that would go in.
 *
 * A round is an annealing by volume, which tries millions of moves a second and knows of how things lie only what it was told:
 * how much that is stiff a compartment takes, and which stiff things do not fit together. Its load is laid down; where
 * stiff things do not fit it is repaired, then improved by descent with how things lie counted in.
 *
 * @param random seeded source; the same seed, rounds and known loads give the same load
 * @returns where each thing goes: compartment index, or −1 for the floor
 */
export function* searchLoad(
  instance: Instance,
  random: Random,
  { rounds = ROUNDS, known = [], boundOf = () => -Infinity, goesOn = () => false }: SearchOptions = {},
): Generator<SearchProgress, Int32Array> {
  const search = new Search(instance, random);
  yield* search.initialLoads(known);
  if (search.isTrivial) return search.incumbent;
  const ofStarts = Math.min(rounds, STARTS * ROUNDS_PER_START);
  yield* search.starts(ofStarts, rounds);
  const bound = search.leavesNothing ? boundOf(search.objective) : -Infinity;
  for (let round = ofStarts; search.objective > bound + 1e-6 && (round < rounds || goesOn()); round += 1)
    yield search.improve(round, Math.min(1, (round + 1) / rounds));
  yield search.finish();
  return search.incumbent;
}

/** One search: the incumbent, and what was learned on the way. */
class Search {
  incumbent: Int32Array;
  objective = Infinity;
  /** Nothing to decide. */
  readonly isTrivial: boolean;

  private readonly free: readonly number[];
  private readonly options: Int32Array[];
  private readonly fitted: FittedState;
  private readonly annealer: Annealer;
  private readonly base: Base;
  private readonly needs: Thing['need'][];
  /** Millilitres that are stiff which each compartment was found to take; and that or, where more, what the base holds. */
  private readonly learnedMl: Float64Array;
  private readonly stiffCapacityMl: Float64Array;
  /** Millilitres of each compartment that the annealing may fill in this round. */
  private readonly roomMl: Float64Array;

  constructor(
    private readonly instance: Instance,
    private readonly random: Random,
  ) {
    this.free = Array.from({ length: instance.n }, (_, i) => i).filter((i) => !instance.fixed[i]);
    this.isTrivial = this.free.length === 0 || instance.m === 0;
    this.options = optionsOf(instance, this.free);
    this.fitted = new FittedState(instance);
    this.incumbent = this.fitted.state.where.slice();
    this.needs = needsOf(instance);
    this.learnedMl = instance.capacityMl.map((ml) => STIFF_AT_FIRST * ml);
    this.stiffCapacityMl = this.learnedMl.slice();
    this.roomMl = instance.capacityMl.slice();
    const loose = withLeastRoom(instance);
    const { stiffCapacityMl, roomMl } = this;
    const pinnedOverMl = new LoadState(loose).overMl + 1e-6;
    this.annealer = new Annealer(loose, this.free, pinnedOverMl, random, {
      swaps: SWAPS,
      hope: HOPE,
      stiffCapacityMl,
      roomMl,
    });
    this.base = new Base(this.fitted, this.annealer, this.free);
  }

  get leavesNothing(): boolean {
    return this.free.every((i) => this.incumbent[i]! >= 0);
  }

  private get isBetter(): boolean {
    return this.fitted.closes() && this.fitted.total < this.objective - 1e-9;
  }

  /** Takes the load as it is for the incumbent, where it is better. */
  private report(done: number): SearchProgress {
    const { isBetter, fitted } = this;
    if (isBetter) {
      this.objective = fitted.total;
      this.incumbent = fitted.state.where.slice();
    }
    return { done, best: this.objective, where: isBetter ? this.incumbent : null };
  }

  *initialLoads(known: readonly Int32Array[]): Generator<SearchProgress, void> {
    const { fitted, free, options, instance } = this;
    for (const load of [...known, instance.start]) {
      const isLoaded = free.some((i) => load[i]! >= 0);
      if (!isLoaded || brokenRules(instance, load, () => true).length > 0) continue;
      fitted.fits.patiently(() => fitted.restore(free, load));
      fitted.mend(free, options);
      yield this.report(0);
    }
    if (this.objective === Infinity) {
      fitted.fill(free, options);
      yield this.report(0);
    }
    if (this.isTrivial) return;
    this.loadNeededFirst();
    yield this.report(0.02);
  }

  /**
   * What is needed most alone, moved and swapped until nothing helps; then the rest beside it. Of large things that only a
   * bag or two can hold, which go in is so settled while nothing else is in their way.
   */
  private loadNeededFirst(): void {
    const { fitted, free, instance } = this;
    const needed = free.filter((i) => this.needs[i] === 'must');
    const options = optionsOf(instance, needed);
    fitted.restore(free, new Int32Array(instance.n).fill(-1));
    fitted.fill(needed, options);
    fitted.descend(needed, options);
    fitted.fill(free, this.options);
  }

  /** @param count rounds of all starts together, of so many of the search */
  *starts(count: number, rounds: number): Generator<SearchProgress, void> {
    const { base, fitted, free, options, annealer, random } = this;
    const neededFirst = fitted.state.where.slice();
    for (const { i, k, j } of clashesOf(this.instance)) annealer.forbid(j, [i, k]);
    base.priceLeaving((i) => START_LEAVE_FACTOR[this.needs[i]!]);
    base.begin(neededFirst);
    fitted.restore(free, this.incumbent);
    base.consider();
    const first = base.where;
    for (let round = 0; round < count; round += 1) {
      if (round % ROUNDS_PER_START === 0) base.begin(first);
      this.prepare();
      annealer.start(withPairMoved(fitted, free, base.where, random).where);
      const atStart = annealer.bestTotal();
      annealer.run({ hot: START_HEATS[round % START_HEATS.length]!, cold: COLD }, START_MOVES);
      this.layDown(atStart);
      fitted.mend(free, options);
      // Within a start the next round shuffles anew what a descent would gain.
      if (round % ROUNDS_PER_START === ROUNDS_PER_START - 1) this.descend();
      const told = this.report((round + 1) / rounds);
      base.consider();
      yield told;
    }
    base.priceLeaving(() => 1);
    base.begin(this.incumbent);
  }

  /** One round that opens some compartments, from the incumbent. */
  improve(round: number, done: number): SearchProgress {
    const { base, fitted, free, options, annealer, random, instance } = this;
    const { where, to } = withPairMoved(fitted, free, base.where, random);
    this.prepare();
    annealer.start(where);
    const atStart = annealer.bestTotal();
    const share = LEAST_OPEN + random() * (MOST_OPEN - LEAST_OPEN);
    const isFinished = annealer.run(
      { hot: ROUND_HEATS[round % ROUND_HEATS.length]!, cold: COLD },
      ROUND_MOVES,
      someCompartments(instance.m, share, to, random),
      { points: base.price, aHeat: ABANDON_PER_HEAT * instance.n },
    );
    if (!isFinished) return { done, best: this.objective, where: null };
    this.layDown(atStart);
    if (fitted.closes()) {
      fitted.mend(free, options);
      this.descend();
    }
    // Nothing is to be left behind that by itself would go in, as the board says.
    if (this.isBetter) fitted.fits.patiently(() => fitted.fill(free, options));
    const told = this.report(done);
    if (told.where) base.begin(this.incumbent);
    return told;
  }

  finish(): SearchProgress {
    const { fitted, free, options } = this;
    fitted.restore(free, this.incumbent);
    fitted.descend(free, options);
    fitted.fits.patiently(() => fitted.fill(free, options));
    return this.report(1);
  }

  /** What the annealing is told of the compartments before a round. */
  private prepare(): void {
    const { instance, base } = this;
    this.roomMl.set(instance.capacityMl);
    const held = stiffMlOf(instance, base.where);
    for (let j = 0; j < instance.m; j += 1) this.stiffCapacityMl[j] = Math.max(this.learnedMl[j]!, held[j]!);
  }

  /** Lays down what the annealing found, repairs it where stiff things do not fit, and learns from it. */
  private layDown(atStart: number): void {
    const { annealer, fitted, free, base, roomMl, random } = this;
    // Its last load, where it met none better than its first, is at least another one.
    const other = annealer.bestTotal() >= atStart - 1e-6;
    fitted.restore(free, (other ? annealer.current() : annealer.best()) ?? base.where);
    repair(fitted, annealer, free, roomMl, random, base.price * WORTH_REPAIR);
    this.learnStiff();
  }

  private descend(): void {
    const { fitted, free, options, base } = this;
    if (fitted.total < base.price * NEAR) fitted.descend(free, options, WORTH_ASKING * fitted.total);
  }

  /** Learns from a load that was laid down how much that is stiff each compartment takes. */
  private learnStiff(): void {
    const { instance, fitted, learnedMl } = this;
    const held = stiffMlOf(instance, fitted.state.where);
    for (let j = 0; j < instance.m; j += 1) {
      const ml = learnedMl[j]!;
      if (!fitted.fits.closes(j))
        learnedMl[j] = Math.max(STIFF_AT_LEAST * instance.capacityMl[j]!, ml * STIFF_LESS);
      else if (held[j]! > NEARLY_USED_UP * ml) learnedMl[j] = ml * STIFF_MORE;
    }
  }
}

/** By thing how much the trip needs it, by what leaving it and all that goes with it costs. */
function needsOf({ leave, weights }: Instance): Thing['need'][] {
  const from = (need: Thing['need']) => LEAVE_POINTS[need] * weights['left behind'];
  return Array.from(leave, (points) =>
    points >= from('must') ? 'must' : points >= from('should') ? 'should' : 'nice',
  );
}

/** Millilitres of stiff things in each compartment. */
function stiffMlOf(instance: Instance, where: ArrayLike<number>): Float64Array {
  const ml = new Float64Array(instance.m);
  for (let i = 0; i < instance.n; i += 1) {
    const j = where[i]!;
    if (j >= 0) ml[j]! += instance.stiffMl[i]!;
  }
  return ml;
}

/**
 * An assignment with one pair put somewhere, one on each side, where masses let it, and where that is: neither of a pair leaves
 * its place alone, and both at once no annealing moves. The same where there is no pair.
 */
function withPairMoved(
  fitted: FittedState,
  free: readonly number[],
  where: Int32Array,
  random: Random,
): { where: Int32Array; to: readonly number[] } {
  const asItIs = { where, to: [] };
  const { instance, state } = fitted;
  const pairs = free.filter((i) => instance.pair[i]! >= 0 && !instance.fixed[instance.pair[i]!]);
  if (pairs.length === 0) return asItIs;
  const i = pairs[Math.floor(random() * pairs.length)]!;
  const k = instance.pair[i]!;
  const places = Array.from(instance.mirror, (_, j) => j).filter((j) => instance.mirror[j]! >= 0);
  if (places.length === 0) return asItIs;
  const j = places[Math.floor(random() * places.length)]!;
  fitted.restore(free, where);
  state.put(i, -1);
  state.put(k, -1);
  if (!state.mayPut(i, j)) return asItIs;
  state.put(i, j);
  if (!state.mayPut(k, instance.mirror[j]!)) return asItIs;
  state.put(k, instance.mirror[j]!);
  return { where: state.where.slice(), to: [j, instance.mirror[j]!] };
}
