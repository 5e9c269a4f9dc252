import { canSway } from '@/core/bag/bag';
import { leastRoomMl } from '@/core/fit/split';
import { SYSTEMS, thingMassG, type Thing } from '@/core/kit/thing';
import { holdersOf } from '@/core/kit/nests';
import { bikeFactsOf } from '@/core/facts/bikeFacts';
import type { Plan } from '@/core/plan/plan';
import { compartmentsOf } from '@/core/plan/where';
import { carriersOf, planOf, ridersOf, sharesOf } from '@/core/plan/riders';
import { placingPoints, TERMS, weightOf, type Term } from '@/core/packing/costs';
import { obstacleFor, staysDry } from '@/core/packing/rules';
import { goesInSingles, singlesOf } from '@/core/packing/singles';
import { naturesTogether } from '@/core/packing/natures';
import { isUnwanted, partnersOf } from '@/core/packing/wishes';
import type { Spot } from '@/core/packing/spots';
import { leavePoints } from './leavePoints';
import { comfortableMl, neededMl } from '@/core/packing/volume';

/**
 * A load problem as flat arrays. The search runs some hundred thousand moves a second over it; typed arrays
 * keep each move to a few reads without allocation (measured: about four times the rate of objects and maps).
 *
 * `n` things, `m` compartments, `b` bags, `r` riders with a bike each, whose compartments stand one rider's after the
 * other's. A thing's compartment is an index, or −1 for the floor.
 */
export interface Instance {
  things: readonly Thing[];
  spots: readonly Spot[];
  n: number;
  m: number;
  b: number;
  r: number;
  needMl: Float64Array;
  comfortMl: Float64Array;
  /** Room each takes whatever lies beside it, and the part of that which is stiff. */
  leastMl: Float64Array;
  stiffMl: Float64Array;
  massG: Float64Array;
  system: Int32Array;
  /** 1 for food that is not the day's snacks. */
  stores: Uint8Array;
  /** What each is to those beside it, as a set (natures.ts). */
  natures: Int32Array;
  leave: Float64Array;
  capacityMl: Float64Array;
  limitG: Float64Array;
  bagOf: Int32Array;
  bagLimitG: Float64Array;
  /** Whose bike, or body, each compartment is on. */
  riderOf: Int32Array;
  onBody: Uint8Array;
  /** +1 left of the centre line, −1 right, 0 on it. */
  side: Float64Array;
  /** Share of a gram here that the front wheel carries. */
  frontShare: Float64Array;
  /** By rider, empty bags on the left less those on the right, grams. */
  baseLeftG: Float64Array;
  /** Metres behind the seatpost clamp where the bag can sway, and by rider the moment of the empty bags, kg·m. */
  tailM: Float64Array;
  baseTailKgM: Float64Array;
  /** By rider, bike with empty bags: grams, and how many of them on the front wheel. */
  baseG: Float64Array;
  baseFrontG: Float64Array;
  bareFrontShare: Float64Array;
  /** By rider, bike, empty bags and everything that might be loaded on it: what shifted mass is a share of. */
  wholeG: Float64Array;
  /** By rider, what would be a fair load of all that might be loaded; infinite for one who rides alone. */
  fairG: Float64Array;
  /** n·m: points of putting thing i in compartment j, all linear terms weighted. */
  points: Float64Array;
  /** n·m: 1 where nothing forbids it for good. */
  allowed: Uint8Array;
  /** Per thing: itself, what must share its compartment, and what is packed inside any of them. */
  members: readonly (readonly Thing[])[];
  /** Of those, what is placed by itself. Several pieces that may go to different bags are each a thing of one, with one id. */
  outer: readonly (readonly Thing[])[];
  /** Per thing the other of its pair, or −1; per compartment the one in the same place on the other side, or −1. */
  pair: Int32Array;
  mirror: Int32Array;
  /** Where each thing is now, and whether it must stay there. */
  start: Int32Array;
  fixed: Uint8Array;
  weights: Record<Term, number>;
}

/**
 * Things the loader decides about, in lots that go together: carried, not left at home on purpose, and not packed
 * inside another thing. The first of a lot in the kit stands for it.
 */
function lotsOf(plan: Plan, holders: ReadonlyMap<string, string>): Thing[][] {
  const home = new Set(plan.load.filter(({ to }) => to === 'home').map(({ thingId }) => thingId));
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

/** The compartment in the same place on the other side of the same bike, for each; −1 where there is none. */
function mirrorsOf(spots: readonly Spot[], riderOf: Int32Array): Int32Array {
  const nth = (spot: Spot) => spot.bag.compartments.indexOf(spot.compartment);
  return Int32Array.from(spots, (spot, j) =>
    spot.bag.side === 'middle'
      ? -1
      : spots.findIndex(
          (other, k) =>
            riderOf[k] === riderOf[j] &&
            other.bag.place === spot.bag.place &&
            other.bag.side !== 'middle' &&
            other.bag.side !== spot.bag.side &&
            nth(other) === nth(spot),
        ),
  );
}

/** Food for camp and for lunch, as against what is eaten while riding. */
const isStore = ({ system, call }: Thing): boolean => system === 'food' && call !== 'riding';

/** Compiles a plan into a load problem. */
export function compileInstance(plan: Plan): Instance {
  const riders = ridersOf(plan);
  const carriers = carriersOf(plan);
  const bikes = riders.map((rider) => bikeFactsOf(planOf(plan, rider)));
  const holders = holdersOf(plan.things);
  const spots = bikes.flatMap((facts) => facts.spots);
  const pinned = new Set(plan.load.filter((entry) => entry.pinned).map((entry) => entry.thingId));
  const filled = new Set(holders.values());
  const outer = lotsOf(plan, holders).flatMap((lot) => {
    const [thing] = lot;
    const isAlone = lot.length === 1 && !pinned.has(thing!.id) && !filled.has(thing!.id);
    return isAlone && goesInSingles(thing!, spots) ? singlesOf(thing!).map((single) => [single]) : [lot];
  });
  const things = outer.map(([first]) => first!);
  const members = outer.map((lot) => [
    ...lot,
    ...plan.things.filter(({ id }) => lot.some((thing) => holders.get(id) === thing.id)),
  ]);
  const riderOf = Int32Array.from(bikes.flatMap((facts, rider) => facts.spots.map(() => rider)));
  const n = things.length;
  const m = spots.length;
  const bags = bikes.flatMap((facts) => facts.bags);
  const bagIndex = new Map(bags.map((bag, k) => [bag.bagId, k]));
  const spotIndex = new Map(spots.map((spot, j) => [spot.id, j]));

  const points = new Float64Array(n * m);
  const allowed = new Uint8Array(n * m);
  members.forEach((lot, i) => {
    spots.forEach((spot, j) => {
      for (const thing of lot) points[i * m + j]! += placingPoints(plan, thing, spot);
      const forbidden =
        outer[i]!.some((thing) => {
          const carrier = carriers.get(thing.id)!;
          return (carrier !== 'any' && carrier !== riders[riderOf[j]!]) || obstacleFor(thing, spot);
        }) || lot.some((thing) => !staysDry(thing, spot) || isUnwanted(plan, thing.id, spot.id));
      allowed[i * m + j] = forbidden ? 0 : 1;
    });
  });
  const indexOf = new Map(outer.flatMap((lot, i) => lot.map((thing) => [thing.id, i] as const)));
  const sum = (lots: readonly (readonly Thing[])[], value: (thing: Thing) => number) =>
    Float64Array.from(lots, (lot) => lot.reduce((total, thing) => total + value(thing), 0));
  const inCompartment = compartmentsOf(plan);
  // Where a lot is split, it counts as being where its pinned one is, else where the first lies.
  const start = Int32Array.from(outer, (lot) => {
    const at = (thing: Thing) => spotIndex.get(inCompartment.get(thing.id) ?? '') ?? -1;
    return at(lot.find((thing) => pinned.has(thing.id)) ?? lot[0]!);
  });
  const share = (spot: Spot) =>
    spot.onBody ? 0 : (spot.place.centre.x - spot.view.rearAxle.x) / spot.view.wheelbaseMm;
  const tail = (spot: Spot) =>
    spot.onBody || !canSway(spot.bag)
      ? 0
      : Math.max(0, spot.view.seatpostClamp.x - spot.place.centre.x) / 1000;
  const side = (spot: Spot) => (spot.onBody ? 0 : Math.sign(spot.place.centre.y));
  const bareFrontShare = Float64Array.from(bikes, (facts) => facts.bareFrontShare);
  const baseG = Float64Array.from(bikes, (facts) => facts.bare.mass.massG);
  const baseFrontG = baseG.map((massG, rider) => massG * bareFrontShare[rider]!);
  const baseLeftG = new Float64Array(riders.length);
  const baseTailKgM = new Float64Array(riders.length);
  const seen = new Set<string>();
  spots.forEach((spot, j) => {
    if (spot.onBody || seen.has(spot.bag.id)) return;
    seen.add(spot.bag.id);
    const rider = riderOf[j]!;
    baseG[rider]! += spot.bag.massG;
    baseFrontG[rider]! += spot.bag.massG * share(spot);
    baseLeftG[rider]! += spot.bag.massG * side(spot);
    baseTailKgM[rider]! += (spot.bag.massG / 1000) * tail(spot);
  });
  const massG = sum(members, thingMassG);
  const pointsLeaving = leavePoints(plan);
  const everythingG = massG.reduce((whole, mass) => whole + mass, 0);
  const mayRide = (i: number, rider: number) =>
    riderOf.some((own, j) => own === rider && allowed[i * m + j] === 1);

  return {
    things,
    spots,
    n,
    m,
    b: bags.length,
    r: riders.length,
    needMl: sum(outer, neededMl),
    comfortMl: sum(outer, comfortableMl),
    leastMl: sum(outer, leastRoomMl),
    stiffMl: sum(outer, (thing) => (thing.form.kind === 'soft' ? 0 : leastRoomMl(thing))),
    massG,
    system: Int32Array.from(things, (thing) => SYSTEMS.indexOf(thing.system)),
    stores: Uint8Array.from(members, (lot) => (lot.some(isStore) ? 1 : 0)),
    natures: Int32Array.from(members, (lot) => naturesTogether(lot, holders)),
    leave: sum(members, (thing) => pointsLeaving(thing) * weightOf(plan, 'left behind')),
    capacityMl: Float64Array.from(spots, (spot) => spot.capacityMl),
    limitG: Float64Array.from(spots, (spot) => spot.compartment.limitG ?? Infinity),
    bagOf: Int32Array.from(spots, (spot) => bagIndex.get(spot.bag.id)!),
    bagLimitG: Float64Array.from(bags, (bag) => bag.limitG),
    riderOf,
    onBody: Uint8Array.from(spots, (spot) => (spot.onBody ? 1 : 0)),
    side: Float64Array.from(spots, side),
    baseLeftG,
    frontShare: Float64Array.from(spots, share),
    tailM: Float64Array.from(spots, tail),
    baseTailKgM,
    baseG,
    baseFrontG,
    bareFrontShare,
    wholeG: baseG.map((whole, rider) =>
      riders.length === 1
        ? whole + everythingG
        : massG.reduce((total, mass, i) => total + (mayRide(i, rider) ? mass : 0), whole),
    ),
    fairG: Float64Array.from(sharesOf(plan), (part) => (riders.length === 1 ? Infinity : part * everythingG)),
    points,
    allowed,
    members,
    outer,
    pair: pairsOf(plan, indexOf, n),
    mirror: mirrorsOf(spots, riderOf),
    start,
    fixed: Uint8Array.from(outer, (lot, i) =>
      start[i]! >= 0 && lot.some((thing) => pinned.has(thing.id)) ? 1 : 0,
    ),
    weights: Object.fromEntries(TERMS.map((term) => [term, weightOf(plan, term)])) as Record<Term, number>,
  };
}

/** Points of moving a thing that lies in a bag to another: between loads as good, most things stay where they are. */
export const MOVE_POINTS = 0.5;

/** The same problem for a search that begins with a load: what lies in a bag costs something to move. */
export function withMovesPriced(instance: Instance): Instance {
  const { n, m, start } = instance;
  const points = instance.points.slice();
  for (let i = 0; i < n; i += 1)
    if (start[i]! >= 0) for (let j = 0; j < m; j += 1) if (j !== start[i]) points[i * m + j]! += MOVE_POINTS;
  return { ...instance, points };
}

/**
 * The same problem where a compartment closes whenever no shape could keep it from closing: stiff things take their own
 * volume and no gaps. Whatever closes by how things lie closes by this too, so that a bound on this one holds for both.
 */
export const withLeastRoom = (instance: Instance): Instance => ({ ...instance, needMl: instance.leastMl });
