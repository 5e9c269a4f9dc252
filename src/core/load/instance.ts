import { SYSTEMS, thingMassG, type Thing } from '@/core/kit/thing';
import { bareBike } from '@/core/bike/balance';
import { factsOf, type Facts } from '@/core/plan/facts';
import type { Plan } from '@/core/plan/plan';
import { LEAVE_POINTS, linearPoints, TERMS, weightOf, type Term } from './costs';
import { APART, BODY_LIMIT_G, obstacleFor } from './rules';
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
  /** Where each thing is now, and whether it must stay there. */
  start: Int32Array;
  fixed: Uint8Array;
  /** For each system a mask of the systems it should not share a compartment with. */
  apart: Int32Array;
  weights: Record<Term, number>;
}

/** Things the loader decides about: carried, and not left at home on purpose. */
const loadable = (facts: Facts): Thing[] => {
  const home = new Set(facts.home.map((thing) => thing.id));
  return facts.plan.things.filter((thing) => thing.carry === 'bike' && !home.has(thing.id));
};

/** Compiles a plan into a load problem. */
export function compileInstance(plan: Plan): Instance {
  const facts = factsOf(plan);
  const things = loadable(facts);
  const { spots, view } = facts;
  const n = things.length;
  const m = spots.length;
  const bagIds = plan.bags.map((bag) => bag.id);
  const pinned = new Set(plan.load.filter((entry) => entry.pinned).map((entry) => entry.thingId));
  const spotIndex = new Map(spots.map((spot, j) => [spot.id, j]));

  const points = new Float64Array(n * m);
  const allowed = new Uint8Array(n * m);
  things.forEach((thing, i) => {
    spots.forEach((spot, j) => {
      const cost = linearPoints(plan, view, thing, spot);
      points[i * m + j] = cost.handling + cost.reach + cost.dry;
      allowed[i * m + j] = obstacleFor(thing, spot) ? 0 : 1;
    });
  });
  const start = Int32Array.from(
    things,
    (thing) => spotIndex.get(facts.compartmentOf.get(thing.id) ?? '') ?? -1,
  );
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
    needMl: Float64Array.from(things, neededMl),
    comfortMl: Float64Array.from(things, comfortableMl),
    massG: Float64Array.from(things, thingMassG),
    system: Int32Array.from(things, (thing) => SYSTEMS.indexOf(thing.system)),
    leave: Float64Array.from(things, (thing) => LEAVE_POINTS[thing.need] * weightOf(plan, 'left behind')),
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
    wholeG: baseG + things.reduce((sum, thing) => sum + thingMassG(thing), 0),
    points,
    allowed,
    start,
    fixed: Uint8Array.from(things, (thing, i) => (pinned.has(thing.id) && start[i]! >= 0 ? 1 : 0)),
    apart: Int32Array.from(SYSTEMS, (system) =>
      APART.reduce((mask, [a, b]) => {
        const other = a === system ? b : b === system ? a : null;
        return other ? mask | (1 << SYSTEMS.indexOf(other)) : mask;
      }, 0),
    ),
    weights: Object.fromEntries(TERMS.map((term) => [term, weightOf(plan, term)])) as Record<Term, number>,
  };
}
