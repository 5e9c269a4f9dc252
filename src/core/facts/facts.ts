import { DEFAULT_BUILD } from '@/core/bike/bike';
import { bottleRoom, type BottleRoom } from '@/core/bag/bottleRoom';
import type { Figures } from '@/core/bike/figures';
import { clearancesOf } from '@/core/clearance';
import type { Clearance, HungBag, Surroundings } from '@/core/clearance/clearance';
import type { SideView } from '@/core/bike/sideView';
import { thingMassG, type Thing } from '@/core/kit/thing';
import type { Spot } from '@/core/packing/spots';
import type { Fit } from '@/core/fit/fit';
import { knownFit } from '@/core/fit/known';
import { DEPTH } from '@/core/kit/depth';
import { fillMl, leastRoomMl, split } from '@/core/fit/split';
import { canSway } from '@/core/bag/bag';
import {
  centreOfMass,
  steeringInertia,
  tailMoment,
  wheelBalance,
  type PointMass,
  type WheelBalance,
} from '@/core/ride/massProperties';
import { thingMassErrorG, thingVolumeErrorMl } from '@/core/kit/kinds/errors';
import { addErrors, massErrorG } from '@/core/units/uncertainty';
import { bikeFactsOf, type BikeFacts } from './bikeFacts';
import type { Moment } from './moment';
import { stateAt } from './state';
import { RIDER_DEFAULTS, type Plan } from '@/core/plan/plan';

/** What one compartment holds and how it closes. */
export interface CompartmentFacts {
  spot: Spot;
  /** As they lie: the first at the mouth, the last at the bottom. What is packed inside another follows it. */
  things: Thing[];
  /** How they lie. */
  fit: Fit;
  /** Room needed with the soft pressed hard, and its standard error. */
  neededMl: number;
  neededErrorMl: number;
  closes: boolean;
  /** Volume needed at loose size over the volume left by the stiff; 1 is comfortable, above is pressed. */
  tightness: number;
  massG: number;
}

/** What one bag weighs against what it may carry. */
export interface BagFacts {
  bagId: string;
  contentsG: number;
  limitG: number;
  /** True when no maker's figure is known and a cautious one stands in. */
  limitAssumed: boolean;
}

export interface Totals {
  bikeG: number;
  bagsG: number;
  /** Things packed on the bike, without the water in them. */
  thingsG: number;
  waterG: number;
  /** Worn, and carried on the body. */
  onRiderG: number;
  riderG: number;
  /** Bike, bags, things and water: what the bike itself weighs at the start. */
  bikeLoadedG: number;
  /** Everything that rolls. */
  rollingG: number;
  /** Standard error of `rollingG`, from how each mass became known. */
  errorG: number;
  /** On the floor, with what is packed inside things there. */
  floorG: number;
  /** Litres of all compartments, and of what is in them. */
  capacityMl: number;
  usedMl: number;
}

export interface Handling {
  /** With the rider; the cross on the drawing. */
  centre: PointMass;
  withRider: WheelBalance;
  /** Bike and load alone, as two scales under the wheels would show. */
  bikeAlone: WheelBalance;
  /** The bare bike's share on the front wheel, without load or rider. */
  bareFrontShare: number;
  /** Bike and load's share on the front wheel, without rider. */
  frontShare: number;
  /** Of the bags that can sway. */
  tailMomentKgM: number;
  steeringInertiaKgM2: number;
  /** Ratio to the bike without bags. */
  steeringRatio: number;
  /** Bags and their contents off the centre line to the left, less those to the right. */
  leftLessRightG: number;
  /** Standard error of the centre along x, from where the bike and the rider's body, with what it carries, are taken to weigh. */
  centreErrorMm: number;
  /** Bike and rider without bags or load, for comparison and for tyre pressures. */
  emptyWithRider: WheelBalance;
  /** Whether the bike's, and the rider's, centre was weighed. */
  weighed: { bike: boolean; rider: boolean };
}

/** Everything computed from a plan before judgement. */
export interface Facts {
  plan: Plan;
  /** The bike's figures with where each comes from. */
  figures: Figures;
  view: SideView;
  /** What clearances are found from; kept so that a change of one bag can be tried. */
  surroundings: Surroundings;
  clearances: Clearance[];
  bottles: BottleRoom[];
  /** True when the bike's own figures are missing and an average bike stands in. */
  assumedBike: boolean;
  spots: Spot[];
  compartments: CompartmentFacts[];
  byCompartment: Map<string, CompartmentFacts>;
  bags: BagFacts[];
  byBag: Map<string, BagFacts>;
  thingById: Map<string, Thing>;
  /** Compartment of each thing that is in one. */
  compartmentOf: Map<string, string>;
  /** What is packed inside another thing, and in which. */
  holders: Map<string, string>;
  /** What another rider carries. */
  elsewhere: Thing[];
  /** What lies on the floor; what is packed inside it lies there with it. */
  floor: Thing[];
  home: Thing[];
  worn: Thing[];
  totals: Totals;
  /** Null without a bike: a bike of which nothing is known says nothing of how it handles. */
  handling: Handling | null;
}

/** Steering inertia of a bare front assembly, kg·m² (methods, section 5). */
export const BARE_STEERING_KGM2 = 0.15;

/**
 * All masses, fits and handling figures of a plan at a moment: what is the same all the way (bike, bags, their compartments
 * and limits, conditions), and what follows from the state of things at that moment. Pure, and linear in the number of
 * things, so that it runs again at every edit.
 */
export function factsOf(plan: Plan, moment?: Moment): Facts {
  const bike = bikeFactsOf(plan);
  const { figures, view, spots } = bike;
  const { things, holders } = stateAt(plan, moment);
  const thingById = new Map(things.map(({ thing }) => [thing.id, thing]));
  const contents = new Map<string, Thing[]>(spots.map((spot) => [spot.id, []]));
  const compartmentOf = new Map<string, string>();
  const lists = { home: [] as Thing[], worn: [] as Thing[], floor: [] as Thing[] };
  const elsewhere: Thing[] = [];
  let floorG = 0;
  for (const { thing, place } of things) {
    if (place.kind === 'compartment') {
      const inside = contents.get(place.id);
      if (!inside) {
        elsewhere.push(thing);
        continue;
      }
      inside.push(thing);
      compartmentOf.set(thing.id, place.id);
    } else if (place.kind === 'not yet') continue;
    else if (place.kind !== 'floor') lists[place.kind].push(thing);
    else {
      // What is packed inside a thing on the floor weighs there and is not listed by itself.
      floorG += thingMassG(thing);
      if (!holders.has(thing.id)) lists.floor.push(thing);
    }
  }
  const { home, worn, floor } = lists;

  const compartments = spots.map((spot) => compartmentFacts(spot, contents.get(spot.id)!, holders));
  const byCompartment = new Map(compartments.map((facts) => [facts.spot.id, facts]));
  const bags = bike.bags.map((bag): BagFacts => ({
    ...bag,
    contentsG: compartments.reduce(
      (sum, { spot, massG }) => sum + (spot.bag.id === bag.bagId ? massG : 0),
      0,
    ),
  }));

  const byBag = new Map(bags.map((bag) => [bag.bagId, bag]));
  const build = plan.bike?.build ?? DEFAULT_BUILD;
  const surroundings: Surroundings = {
    view,
    build,
    barWidthMm: figures.geometry.barWidthMm,
    rider: {
      kneeGapMm: plan.rider.kneeGapMm ?? RIDER_DEFAULTS.kneeGapMm,
      inseamMm: plan.rider.inseamMm ?? RIDER_DEFAULTS.inseamMm,
      shoeMm: plan.rider.shoeMm ?? RIDER_DEFAULTS.shoeMm,
    },
    bags: plan.bags.map((bag): HungBag => {
      const own = compartments.filter((facts) => facts.spot.bag.id === bag.id);
      return {
        bag,
        place: own[0]!.spot.place,
        massG: bag.massG + byBag.get(bag.id)!.contentsG,
        tightness: Math.max(...own.map((facts) => facts.tightness)),
      };
    }),
  };
  return {
    plan,
    figures,
    view,
    surroundings,
    clearances: clearancesOf(surroundings),
    bottles: bottleRoom(
      view,
      build.mounts,
      surroundings.bags.flatMap(({ bag, place }) =>
        bag.place === 'frame bag' && place.outline ? [place.outline] : [],
      ),
    ),
    assumedBike: plan.bike === null,
    spots,
    compartments,
    byCompartment,
    bags,
    byBag,
    thingById,
    compartmentOf,
    holders,
    elsewhere,
    floor,
    home,
    worn,
    totals: totalsOf(plan, compartments, worn, floorG),
    handling: plan.bike && handlingOf(plan, bike, compartments, worn),
  };
}

/** What was last found for a fit: what shows a compartment need not be drawn anew while nothing in it changes. */
const knownFacts = new WeakMap<Fit, { unordered: readonly Thing[]; facts: CompartmentFacts }>();

function compartmentFacts(
  spot: Spot,
  unordered: readonly Thing[],
  holders: ReadonlyMap<string, string>,
): CompartmentFacts {
  const outer = unordered.filter(({ id }) => !holders.has(id));
  const fit = knownFit(spot.chamber, outer);
  const last = knownFacts.get(fit);
  // Things that are the same lie inside the same others too.
  const isSame =
    last?.facts.spot === spot &&
    last.unordered.length === unordered.length &&
    last.unordered.every((thing, i) => thing === unordered[i]);
  if (isSame) return last.facts;
  // From the mouth down by where each lies; the kit's order settles ties, so that a load has one section.
  const height = new Map<string, number>();
  for (const { piece, u1 } of fit.lying)
    height.set(piece.thingId, Math.max(u1, height.get(piece.thingId) ?? 0));
  for (const { thingId, toMm } of fit.layers) height.set(thingId, toMm);
  const rank = (thing: Thing) => height.get(thing.id) ?? Infinity;
  outer.sort((a, b) => rank(b) - rank(a) || DEPTH[a.call] - DEPTH[b.call]);
  const nested = unordered.filter(({ id }) => holders.has(id));
  const things = outer.flatMap((thing) => [
    thing,
    ...nested.filter(({ id }) => holders.get(id) === thing.id),
  ]);
  const facts: CompartmentFacts = {
    spot,
    things,
    fit,
    neededMl: fit.neededMl,
    neededErrorMl: neededErrorMl(outer),
    closes: fit.closes,
    tightness: fit.tightness,
    massG: things.reduce((sum, thing) => sum + thingMassG(thing), 0),
  };
  knownFacts.set(fit, { unordered, facts });
  return facts;
}

/**
 * Standard error of the room that things need, in millilitres. Pieces of one kind share one estimate, so their errors add
 * up; those of different things are independent (methods, section 12).
 */
function neededErrorMl(things: readonly Thing[]): number {
  const { placed, poured } = split(things);
  return addErrors([
    ...placed.map((thing) => thingVolumeErrorMl(thing, leastRoomMl(thing))),
    ...poured.map((thing) => thingVolumeErrorMl(thing, fillMl(thing))),
  ]);
}

function totalsOf(
  plan: Plan,
  compartments: readonly CompartmentFacts[],
  worn: readonly Thing[],
  floorG: number,
): Totals {
  let thingsG = 0;
  let waterG = 0;
  let onRiderG = worn.reduce((sum, thing) => sum + thingMassG(thing), 0);
  let bagsG = 0;
  const errors: number[] = [];
  const noteError = (thing: Thing) => errors.push(thing.quantity * thingMassErrorG(thing));
  worn.forEach(noteError);
  for (const { spot, things } of compartments) {
    for (const thing of things) {
      noteError(thing);
      if (spot.onBody) onRiderG += thingMassG(thing);
      else {
        thingsG += thing.quantity * thing.massG;
        waterG += thing.quantity * thing.waterMl;
      }
    }
  }
  for (const bag of plan.bags) {
    errors.push(massErrorG(bag.massG, bag.massSource));
    if (bag.place === 'body') onRiderG += bag.massG;
    else bagsG += bag.massG;
  }
  const bikeG = plan.bike?.massG ?? 0;
  if (plan.bike) errors.push(massErrorG(bikeG, plan.bike.massSource));
  const bikeLoadedG = bikeG + bagsG + thingsG + waterG;
  return {
    bikeG,
    bagsG,
    thingsG,
    waterG,
    onRiderG,
    riderG: plan.rider.massG,
    bikeLoadedG,
    rollingG: bikeLoadedG + onRiderG + plan.rider.massG,
    errorG: addErrors(errors),
    floorG,
    capacityMl: compartments.reduce((sum, facts) => sum + facts.spot.capacityMl, 0),
    usedMl: compartments.reduce((sum, facts) => sum + facts.neededMl, 0),
  };
}

function handlingOf(
  plan: Plan,
  { view, bare: bike, rider, bareFrontShare }: BikeFacts,
  compartments: readonly CompartmentFacts[],
  worn: readonly Thing[],
): Handling {
  const bare = bike.mass;
  const onBike: PointMass[] = [];
  const steered: PointMass[] = [];
  const swaying: PointMass[] = [];
  const onRider: PointMass[] = [{ massG: plan.rider.massG, ...rider.centre, y: 0 }];
  for (const thing of worn) onRider.push({ massG: thingMassG(thing), ...rider.centre, y: 0 });
  const weighed = new Set<string>();
  for (const { spot, massG } of compartments) {
    const own = weighed.has(spot.bag.id) ? 0 : spot.bag.massG;
    weighed.add(spot.bag.id);
    const mass: PointMass = { massG: massG + own, ...spot.place.centre };
    (spot.onBody ? onRider : onBike).push(mass);
    if (spot.place.steers) steered.push(mass);
    if (!spot.onBody && canSway(spot.bag)) swaying.push(mass);
  }
  const alone = centreOfMass([bare, ...onBike]);
  const centre = centreOfMass([bare, ...onBike, ...onRider]);
  const balance = (mass: PointMass) => wheelBalance(mass, view.rearAxle.x, view.frontAxle.x, view.groundZ);
  const bikeAlone = balance(alone);
  const inertia = steeringInertia(steered, { at: view.headTop, direction: view.steeringDown });
  return {
    centre,
    withRider: balance(centre),
    bikeAlone,
    bareFrontShare,
    frontShare: bikeAlone.frontG / alone.massG,
    tailMomentKgM: tailMoment(swaying, view.seatpostClamp.x),
    steeringInertiaKgM2: inertia,
    steeringRatio: (BARE_STEERING_KGM2 + inertia) / BARE_STEERING_KGM2,
    leftLessRightG: onBike.reduce((sum, { massG, y }) => sum + Math.sign(y) * massG, 0),
    // Bike and rider are off independently, and what is worn or on the body is off by as much as the rider; bags hang
    // where the geometry puts them.
    centreErrorMm: addErrors([
      (bike.errorMm * bare.massG) / centre.massG,
      (rider.errorMm * onRider.reduce((sum, { massG }) => sum + massG, 0)) / centre.massG,
    ]),
    emptyWithRider: balance(centreOfMass([bare, ...onRider.slice(0, 1)])),
    weighed: { bike: bike.weighed, rider: rider.weighed },
  };
}
