import type { Thing } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import { Annealer } from '../anneal/anneal';
import { clashesOf } from './clashes';
import { LEAVE_POINTS } from '@/core/packing/costs';
import { FittedState } from './fitted';
import { withLeastRoom, type Instance } from '../model/instance';
import { alikeIn } from './alikeIn';
import { brokenRules } from '../model/objective';
import { optionsOf } from './options';
import { Lead } from './lead';
import { settle } from './settle';
import { somePlaces } from './somePlaces';
import { LoadState } from '../model/state';

/**
 * Rounds of one search: a number, not seconds, so that a seed gives the same load anywhere. About a second of one
 * thread for 60 to 120 things; what is best so far is told on the way (`npm run bench:load -- --fit`).
 */
export const ROUNDS = 100;

/**
 * The first rounds move anything, and find the rough shape, which later ones seldom change: so the search starts several
 * times, so many rounds each, and goes on from the best of all. Their heats in points, one after the other.
 */
const ROUNDS_A_START = 4;
const HOTS = [15, 3, 60] as const;
const MOVES_OF_ALL = 96_000;
/**
 * In them it costs so many times as much to leave a thing, by how much the trip needs it: what is out once seldom comes in
 * again. In each another share, since which things stay behind is what a start decides (decision 0034).
 */
const DEARER_AT_FIRST: readonly Record<Thing['need'], number>[] = [
  { must: 2, should: 1, nice: 1 },
  { must: 2, should: 2, nice: 1 },
  { must: 2, should: 1.4, nice: 1 },
  { must: 2, should: 2, nice: 2 },
];
const STARTS = DEARER_AT_FIRST.length;
/**
 * Each later round moves only what lies in most of the compartments and on the floor, which fewer moves search as closely:
 * a share of the compartments, from the least to the most.
 */
const LEAST_OPEN = 0.6;
const MOST_OPEN = 1;
/**
 * What it begins from may be dearer than the best by less than such a share. It is the best again each time so many rounds
 * that were carried to their end found none better (decision 0035).
 */
const DEARER_THAN_BEST = 0.002;
const ROUNDS_APART = 8;
const HOTS_OF_PART = [15, 5, 5] as const;
const MOVES_OF_PART = 50_000;
/**
 * Or it moves only what another start had elsewhere at its end: so many rounds right after the starts, and of the others such
 * a share (decision 0032).
 */
const FIRST_MERGES = 12;
const MERGES = 0.5;
const COLD = 0.1;
/** Share of the moves that are exchanges. */
const SWAPS = 0.82;
/** So many points too dear two things may be that change places, for a third and fourth to make up for. */
const HOPE = 4;
/** A load that does not lie and is further from the best than this is not led to one that does. */
const WORTH_SETTLING = 1.03;
/**
 * A later round is given up where its annealing, half-way or later, met none better than the load it began from, and is
 * dearer than that by more than so many points for each thing and point of heat (decision 0026).
 */
const MARK_A_HEAT = 0.1;
/** A load further from the best than this is not improved any more. */
const NEAR = 1.06;
/** Of its objective a move must save so much to be worth asking how things would lie; at the end any is. */
const ENOUGH = 0.0002;

/**
 * Of a compartment's litres so many may be stiff, at first: all that litres let in, which is 0.85; then what it is found to
 * take. Sets that lie take 0.25 to 0.75 of it, by its shape. Less at first keeps some bags from ever being asked (decision 0029).
 */
const STIFF_AT_FIRST = 0.9;
const STIFF_AT_LEAST = 0.15;
/** How that changes where things did not lie, and where they did with hardly any of it left. */
const LESS = 0.9;
const MORE = 1.05;
const HARDLY_ANY_LEFT = 0.9;

export interface SearchProgress {
  /** 0 to 1. */
  done: number;
  /** Best objective so far, in points. */
  best: number;
  /** The load it belongs to, where it is better than the last told: compartment index of each thing, −1 for the floor. */
  where: Int32Array | null;
}

export interface SearchOptions {
  rounds?: number;
  /** Loads known before, from which it begins too: compartment index of each thing, −1 for the floor. */
  known?: readonly Int32Array[];
  /**
   * Finds what no load is better than, where the search may end; asked once, with the best objective after the starts, where
   * that leaves nothing behind: else no bound is that close.
   */
  boundOf?: (known: number) => number;
  /** Asked before each round beyond those: whether there is to be one more. */
  goesOn?: () => boolean;
}

/**
 * Looks for the assignment of least objective in which every compartment closes by how things lie, and every other hard
 * rule holds. Any-time: the first load that may be ridden is there at the first report, and so is each one after.
 *
 * A load that is known first, or else a greedy one; then one in which what is needed most has the bags to itself before the
 * rest comes. Then rounds of an annealing by litres, which tries millions of moves a second, each from the best so far or one hardly dearer. It
 * gives stiff things their own volume, but no compartment more of them than it was found to take (`STIFF_AT_FIRST`), and no
 * two that do not lie there together (`clashesOf`): what it calls a load then nearly is one. It is laid down, and where it
 * does not lie led to one near by that does (`settle`); in a start, what still finds no place is taken out and put where it
 * does; then descent with order counted in. The first rounds start several times over, move anything, and have it cost
 * more to leave things, in each start other ones; each later one opens a part of the compartments, drawn anew, and leaves
 * the rest as it lies (large neighbourhood search, Shaw 1998), or moves only what another start ended up with elsewhere, and
 * is given up half-way where nothing is to be hoped of it. The load as it is counts as found, and so do those known, as far as things may
 * still be there: searching on from them never ends worse.
 *
 * @param random seeded source; the same seed, rounds and known loads give the same load
 * @returns where each thing goes: compartment index, or −1 for the floor
 */
export function* searchLoad(
  instance: Instance,
  random: Random,
  { rounds = ROUNDS, known = [], boundOf = () => -Infinity, goesOn = () => false }: SearchOptions = {},
): Generator<SearchProgress, Int32Array> {
  const free = Array.from({ length: instance.n }, (_, i) => i).filter((i) => !instance.fixed[i]);
  const options = optionsOf(instance, free);
  const fitted = new FittedState(instance);
  const { fits } = fitted;
  let best = fitted.state.where.slice();
  let bestTotal = Infinity;
  const isBetter = () => fitted.closes() && fitted.total < bestTotal - 1e-9;
  const report = (done: number): SearchProgress => {
    const better = isBetter();
    if (better) {
      bestTotal = fitted.total;
      best = fitted.state.where.slice();
    }
    return { done, best: bestTotal, where: better ? best : null };
  };

  for (const load of [...known, instance.start]) {
    const isLoaded = free.some((i) => load[i]! >= 0);
    if (!isLoaded || brokenRules(instance, load, () => true).length > 0) continue;
    fits.patiently(() => fitted.restore(free, load));
    fitted.mend(free, options);
    yield report(0);
  }
  if (bestTotal === Infinity) {
    fitted.fill(free, options);
    yield report(0);
  }
  if (free.length === 0 || instance.m === 0) return best;
  const needs = needsOf(instance);
  const needed = free.filter((i) => needs[i] === 'must');
  loadNeededFirst(fitted, needed, free, options);
  yield report(0.02);
  const loose = withLeastRoom(instance);
  // What compartments were found to take of stiff things, and that or what the best holds.
  const learnedMl = instance.capacityMl.map((ml) => STIFF_AT_FIRST * ml);
  const stiffCapacityMl = learnedMl.slice();
  const roomMl = instance.capacityMl.slice();
  const annealer = new Annealer(loose, free, pinnedOverMl(loose), random, {
    swaps: SWAPS,
    hope: HOPE,
    stiffCapacityMl,
    roomMl,
  });
  for (const { i, k, j } of clashesOf(instance)) annealer.forbid(j, [i, k]);
  const lead = new Lead(fitted, annealer, free);
  const startFrom = (where: Int32Array, start: number) => {
    lead.priceLeaving((i) => DEARER_AT_FIRST[start]![needs[i]!]);
    lead.begin(where);
  };
  startFrom(fitted.state.where.slice(), 0);
  fitted.restore(free, best);
  lead.look();
  const first = lead.from;
  const ends: Int32Array[] = [];
  let sinceBest = 0;
  let bound = -Infinity;
  for (let round = 0; bestTotal > bound + 1e-6 && (round < rounds || goesOn()); round += 1) {
    const isStart = round < STARTS * ROUNDS_A_START;
    if (isStart && round % ROUNDS_A_START === 0) startFrom(first, round / ROUNDS_A_START);
    if (round === STARTS * ROUNDS_A_START) {
      lead.priceLeaving(() => 1);
      lead.begin(best);
    }
    const { where, to } = withPairMoved(fitted, free, lead.from, random);
    roomMl.set(instance.capacityMl);
    const held = stiffMlOf(instance, lead.from);
    for (let j = 0; j < instance.m; j += 1) stiffCapacityMl[j] = Math.max(learnedMl[j]!, held[j]!);
    const isMerge = !isStart && (round < STARTS * ROUNDS_A_START + FIRST_MERGES || random() < MERGES);
    const staying = isMerge ? alikeIn(lead.from, ends, where, random) : null;
    annealer.start(where, staying);
    const atStart = annealer.bestTotal();
    const done = Math.min(1, (round + 1) / rounds);
    if (isStart) annealer.run({ hot: HOTS[round % HOTS.length]!, cold: COLD }, MOVES_OF_ALL);
    else {
      const hot = HOTS_OF_PART[round % HOTS_OF_PART.length]!;
      const share = LEAST_OPEN + random() * (MOST_OPEN - LEAST_OPEN);
      const open = staying ? null : somePlaces(instance.m, share, to, random);
      const mark = { points: lead.price, aHeat: MARK_A_HEAT * instance.n };
      if (!annealer.run({ hot, cold: COLD }, MOVES_OF_PART, open, mark)) {
        yield { done, best: bestTotal, where: null };
        continue;
      }
    }
    // Its last load, where it met none better than its first, is at least another one.
    const other = annealer.bestTotal() >= atStart - 1e-6;
    fitted.restore(free, (other ? annealer.current() : annealer.best()) ?? lead.from);
    settle(fitted, annealer, free, roomMl, random, lead.price * WORTH_SETTLING);
    learnStiff(fitted, learnedMl);
    // Of those that do not lie then, one of three hundred that are mended is better.
    if (isStart || fitted.closes()) fitted.mend(free, options);
    // Within a start the next round shuffles anew what a descent would gain.
    const isLed = isStart ? round % ROUNDS_A_START === ROUNDS_A_START - 1 : fitted.closes();
    if (isLed && fitted.total < lead.price * NEAR) fitted.descend(free, options, ENOUGH * fitted.total);
    // Nothing is to be left behind that by itself would go in, as the board says.
    if (!isStart && isBetter()) fits.patiently(() => fitted.fill(free, options));
    const told = report(done);
    if (isStart) lead.look();
    else {
      sinceBest = told.where ? 0 : sinceBest + 1;
      // Begun anew from a new best too, which is the load as it is.
      if (sinceBest % ROUNDS_APART > 0) lead.look(DEARER_THAN_BEST);
      else lead.begin(best);
    }
    if (isStart && round % ROUNDS_A_START === ROUNDS_A_START - 1) ends.push(lead.from);
    if (round === STARTS * ROUNDS_A_START - 1 && free.every((i) => best[i]! >= 0)) bound = boundOf(bestTotal);
    yield told;
  }
  fitted.restore(free, best);
  fitted.descend(free, options);
  fits.patiently(() => fitted.fill(free, options));
  yield report(1);
  return best;
}

/** By thing how much the trip needs it, by what leaving it and all that goes with it costs. */
function needsOf({ leave, weights }: Instance): Thing['need'][] {
  const from = (need: Thing['need']) => LEAVE_POINTS[need] * weights['left behind'];
  return Array.from(leave, (points) =>
    points >= from('must') ? 'must' : points >= from('should') ? 'should' : 'nice',
  );
}

/**
 * What is needed most alone, moved and swapped until nothing helps; then the rest beside it. Of large things that only a
 * bag or two can hold, which go in is so settled while nothing else is in their way.
 */
function loadNeededFirst(
  fitted: FittedState,
  needed: readonly number[],
  free: readonly number[],
  options: readonly Int32Array[],
): void {
  const neededOptions = optionsOf(fitted.instance, needed);
  fitted.restore(free, new Int32Array(fitted.instance.n).fill(-1));
  fitted.fill(needed, neededOptions);
  fitted.descend(needed, neededOptions);
  fitted.fill(free, options);
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

/** Takes from a load that was laid down how much that is stiff each compartment holds. */
function learnStiff({ instance, state, fits }: FittedState, learnedMl: Float64Array): void {
  const held = stiffMlOf(instance, state.where);
  for (let j = 0; j < instance.m; j += 1) {
    const ml = learnedMl[j]!;
    if (!fits.closes(j)) learnedMl[j] = Math.max(STIFF_AT_LEAST * instance.capacityMl[j]!, ml * LESS);
    else if (held[j]! > HARDLY_ANY_LEFT * ml) learnedMl[j] = ml * MORE;
  }
}

/** What pinned things alone take over the litres of their compartments. */
const pinnedOverMl = (instance: Instance): number => new LoadState(instance).overMl + 1e-6;

/**
 * An assignment with one pair put a side each somewhere, where masses let it, and where that is: neither of a pair leaves
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
