import { SYSTEMS, thingMassG, type Thing } from '@/core/kit/thing';
import { bareBike } from '@/core/bike/balance';
import { factsOf, type Facts } from '@/core/plan/facts';
import type { Plan } from '@/core/plan/plan';
import { LEAVE_POINTS, linearPoints, TERMS, weightOf, type Term } from './costs';
import { APART, BODY_LIMIT_G, obstacleFor, staysDry } from './rules';
import { isUnwanted, partnersOf } from './wishes';
import type { Spot } from './spots';
import { comfortableMl, neededMl } from './volume';

/**
 * A load problem as flat arrays. The search runs some hundred thousand moves a second over it; typed arrays
 * keep each move to a few reads without allocation (measured: about four times the rate of objects and maps).
 *
 * `n` things, `m` compartments, `b` bags. A thing's compartment is an index, or −1 for the floor.
 */
export interface Instance {
  things: readonly Thing[];
  spots: readonly Spot[];
  n: number;
  m: number;
  b: number;
  needMl: Float64Array;
  comfortMl: Float64Array;
  massG: Float64Array;
  system: Int32Array;
  leave: Float64Array;
  capacityMl: Float64Array;
  limitG: Float64Array;
  bagOf: Int32Array;
  bagLimitG: Float64Array;
  onBody: Uint8Array;
  bodyLimitG: number;
  /** +1 left of the centre line, −1 right, 0 on it. */
  side: Float64Array;
  /** Share of a gram here that the front wheel carries. */
  frontShare: Float64Array;
  /** Metres behind the seatpost clamp, and the moment of the empty bags, kg·m. */
  tailM: Float64Array;
  baseTailKgM: number;
  /** Bike with empty bags: grams, and how many of them on the front wheel. */
  baseG: number;
  baseFrontG: number;
  bareFrontShare: number;
  /** Bike, empty bags and everything that might be loaded: what shifted mass is a share of. */
  wholeG: number;
  /** n·m: points of putting thing i in compartment j, all linear terms weighted. */
  points: Float64Array;
  /** n·m: 1 where nothing forbids it for good. */
  allowed: Uint8Array;
  /** Per thing: itself, what must share its compartment, and what is packed inside any of them. */
  members: readonly (readonly Thing[])[];
  /** Of those, what is placed by itself. */
  outer: readonly (readonly Thing[])[];
  /** Per thing the other of its pair, or −1; per compartment the one in the same place on the other side, or −1. */
  pair: Int32Array;
  mirror: Int32Array;
  /** Where each thing is now, and whether it must stay there. */
  start: Int32Array;
  fixed: Uint8Array;
  /** For each system a mask of the systems it should not share a compartment with. */
  apart: Int32Array;
  weights: Record<Term, number>;
}

/**
 * Things the loader decides about, in lots that go together: carried, not left at home on purpose, and not packed
 * inside another thing. The first of a lot in the kit stands for it.
 */
function lotsOf(facts: Facts): Thing[][] {
  const { plan, holders } = facts;
  const home = new Set(facts.home.map((thing) => thing.id));
  const loadable = plan.things.filter(
    (thing) => thing.carry === 'bike' && !home.has(thing.id) && !holders.has(thing.id),
  );
  const byId = new Map(loadable.map((thing) => [thing.id, thing]));
  const taken = new Set<string>();
  return loadable.flatMap((first) => {
    if (taken.has(first.id)) return [];
    const lot = [first];
    taken.add(first.id);
    // Those bound to one of the lot join it, and bring those bound to them.
    for (const thing of lot)
      for (const id of partnersOf(plan, thing.id, 'together')) {
        const other = byId.get(id);
        if (!other || taken.has(id)) continue;
        taken.add(id);
        lot.push(other);
      }
    return [lot];
  });
}

/** The other of each thing's pair, or −1. A thing that is in several pairs keeps to the first. */
function pairsOf(plan: Plan, indexOf: ReadonlyMap<string, number>, n: number): Int32Array {
  const pair = new Int32Array(n).fill(-1);
  for (const wish of plan.wishes) {
    if (wish.kind !== 'a side each') continue;
    const [a, b] = wish.thingIds.map((id) => indexOf.get(id));
    if (a === undefined || b === undefined || a === b || pair[a] !== -1 || pair[b] !== -1) continue;
    pair[a] = b;
    pair[b] = a;
  }
  return pair;
}

/** The compartment in the same place on the other side, for each; −1 where there is none. */
function mirrorsOf(spots: readonly Spot[]): Int32Array {
  const nth = (spot: Spot) => spot.bag.compartments.indexOf(spot.compartment);
  return Int32Array.from(spots, (spot) =>
    spot.bag.side === 'middle'
      ? -1
      : spots.findIndex(
          (other) =>
            other.bag.place === spot.bag.place &&
            other.bag.side !== 'middle' &&
            other.bag.side !== spot.bag.side &&
            nth(other) === nth(spot),
        ),
  );
}

/** Compiles a plan into a load problem. */
export function compileInstance(plan: Plan): Instance {
  const facts = factsOf(plan);
  const outer = lotsOf(facts);
  const things = outer.map(([first]) => first!);
  const members = outer.map((lot) => [
    ...lot,
    ...plan.things.filter(({ id }) => lot.some((thing) => facts.holders.get(id) === thing.id)),
  ]);
  const { spots, view } = facts;
  const n = things.length;
  const m = spots.length;
  const bagIds = plan.bags.map((bag) => bag.id);
  const pinned = new Set(plan.load.filter((entry) => entry.pinned).map((entry) => entry.thingId));
  const spotIndex = new Map(spots.map((spot, j) => [spot.id, j]));

  const points = new Float64Array(n * m);
  const allowed = new Uint8Array(n * m);
  members.forEach((lot, i) => {
    spots.forEach((spot, j) => {
      for (const thing of lot) {
        const cost = linearPoints(plan, view, thing, spot);
        points[i * m + j]! += cost.handling + cost.reach + cost.dry;
      }
      const forbidden =
        outer[i]!.some((thing) => obstacleFor(thing, spot)) ||
        lot.some((thing) => !staysDry(thing, spot) || isUnwanted(plan, thing.id, spot.id));
      allowed[i * m + j] = forbidden ? 0 : 1;
    });
  });
  const indexOf = new Map(outer.flatMap((lot, i) => lot.map((thing) => [thing.id, i] as const)));
  const sum = (lots: readonly (readonly Thing[])[], value: (thing: Thing) => number) =>
    Float64Array.from(lots, (lot) => lot.reduce((total, thing) => total + value(thing), 0));
  // Where a lot is split, it counts as being where its pinned one is, else where the first lies.
  const start = Int32Array.from(outer, (lot) => {
    const at = (thing: Thing) => spotIndex.get(facts.compartmentOf.get(thing.id) ?? '') ?? -1;
    return at(lot.find((thing) => pinned.has(thing.id)) ?? lot[0]!);
  });
  const share = (spot: Spot) =>
    spot.onBody ? 0 : (spot.place.centre.x - view.rearAxle.x) / view.wheelbaseMm;
  const bare = bareBike(plan.bike, view).mass;
  let baseG = bare.massG;
  let baseFrontG = bare.massG * facts.handling.bareFrontShare;
  const tail = (spot: Spot) =>
    spot.onBody ? 0 : Math.max(0, view.seatpostClamp.x - spot.place.centre.x) / 1000;
  let baseTailKgM = 0;
  for (const bag of plan.bags) {
    const spot = spots.find((candidate) => candidate.bag.id === bag.id)!;
    if (spot.onBody) continue;
    baseG += bag.massG;
    baseFrontG += bag.massG * share(spot);
    baseTailKgM += (bag.massG / 1000) * tail(spot);
  }

  return {
    things,
    spots,
    n,
    m,
    b: bagIds.length,
    needMl: sum(outer, neededMl),
    comfortMl: sum(outer, comfortableMl),
    massG: sum(members, thingMassG),
    system: Int32Array.from(things, (thing) => SYSTEMS.indexOf(thing.system)),
    leave: sum(members, (thing) => LEAVE_POINTS[thing.need] * weightOf(plan, 'left behind')),
    capacityMl: Float64Array.from(spots, (spot) => spot.capacityMl),
    limitG: Float64Array.from(spots, (spot) => spot.compartment.limitG ?? Infinity),
    bagOf: Int32Array.from(spots, (spot) => bagIds.indexOf(spot.bag.id)),
    bagLimitG: Float64Array.from(facts.bags, (bag) => bag.limitG),
    onBody: Uint8Array.from(spots, (spot) => (spot.onBody ? 1 : 0)),
    bodyLimitG: BODY_LIMIT_G,
    side: Float64Array.from(spots, (spot) => (spot.onBody ? 0 : Math.sign(spot.place.centre.y))),
    frontShare: Float64Array.from(spots, share),
    tailM: Float64Array.from(spots, tail),
    baseTailKgM,
    baseG,
    baseFrontG,
    bareFrontShare: facts.handling.bareFrontShare,
    wholeG: baseG + members.flat().reduce((whole, thing) => whole + thingMassG(thing), 0),
    points,
    allowed,
    members,
    outer,
    pair: pairsOf(plan, indexOf, n),
    mirror: mirrorsOf(spots),
    start,
    fixed: Uint8Array.from(outer, (lot, i) =>
      start[i]! >= 0 && lot.some((thing) => pinned.has(thing.id)) ? 1 : 0,
    ),
    apart: Int32Array.from(SYSTEMS, (system) =>
      APART.reduce((mask, [a, b]) => {
        const other = a === system ? b : b === system ? a : null;
        return other ? mask | (1 << SYSTEMS.indexOf(other)) : mask;
      }, 0),
    ),
    weights: Object.fromEntries(TERMS.map((term) => [term, weightOf(plan, term)])) as Record<Term, number>,
  };
}
