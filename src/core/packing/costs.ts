import { canSway } from '@/core/bag/bag';
import { thingMassG, thingVolumeMl, type Thing } from '@/core/kit/thing';
import type { Plan } from '@/core/plan/plan';
import { tripConditions } from '@/core/trip/conditions';
import type { Filling, Rain } from '@/core/trip/trip';
import { TAIL_CHECK_KGM } from '@/core/ride/massProperties';
import type { Spot } from './spots';
import { usualPoints } from './usualPlaces';

/** The terms of the objective, in the order they are reported (methods, section 4). Lower is better. */
export const TERMS = [
  'handling',
  'reach',
  'dry',
  'usual place',
  'together',
  'food bags',
  'apart',
  'tight',
  'balance',
  'order',
  'fair',
  'wishes',
  'left behind',
] as const;
export type Term = (typeof TERMS)[number];

/** What each school of filling makes of the terms; a term not named weighs 1. */
export const FILLING_WEIGHTS: Record<Filling, Partial<Record<Term, number>>> = {
  'by when it is wanted': { together: 0.7 },
  'by system': { together: 2.5, reach: 0.5 },
  'by weight alone': { handling: 2.5, balance: 2, reach: 0.3, together: 0.2, 'usual place': 0.3 },
};

export const weightOf = (plan: Plan, term: Term): number => FILLING_WEIGHTS[plan.trip.filling][term] ?? 1;

/** Points for a kilogram at a place: a metre of height, of overhang behind the clamp in what can sway, ahead of the steering axis. */
const HEIGHT_POINTS = 3;
const TAIL_POINTS = 8;
const AHEAD_POINTS = 8;
const STEERING_POINTS = 4;
const BODY_POINTS = 6;

/**
 * Handling cost of a mass in a compartment, in points before weighting: kilograms times metres from where they
 * ride best. On the body a flat price a kilogram.
 */
export function handlingPoints(massG: number, spot: Spot): number {
  const kg = massG / 1000;
  if (spot.onBody) return BODY_POINTS * kg;
  const { view } = spot;
  const { x, y, z } = spot.place.centre;
  const tail = canSway(spot.bag) ? Math.max(0, view.seatpostClamp.x - x) : 0;
  const across = (x - view.headTop.x) * -view.steeringDown.z + (z - view.headTop.z) * view.steeringDown.x;
  const ahead = Math.max(0, across);
  const turning = spot.place.steers ? Math.hypot(across, y) : 0;
  const height = Math.max(0, z);
  return (
    (kg * (HEIGHT_POINTS * height + TAIL_POINTS * tail + AHEAD_POINTS * ahead + STEERING_POINTS * turning)) /
    1000
  );
}

/** Points whatever its size, and points a litre. */
interface ReachPrice {
  flat: number;
  perLitre: number;
}
const price = (flat: number, perLitre = 0): ReachPrice => ({ flat, perLitre });

/**
 * Points by when a thing is needed and where its compartment is reached. What is needed before it can be reached costs most; but
 * the little room within reach of the saddle costs too, for what does not need it there.
 */
const REACH_PRICES: Record<Thing['call'], Record<Spot['compartment']['reach'], ReachPrice>> = {
  riding: { 'in the saddle': price(0), 'at a stop': price(9), 'at camp': price(18) },
  urgent: { 'in the saddle': price(0, 5), 'at a stop': price(0), 'at camp': price(12) },
  stop: { 'in the saddle': price(0, 3), 'at a stop': price(0), 'at camp': price(6) },
  repair: { 'in the saddle': price(3, 6), 'at a stop': price(0), 'at camp': price(1.5) },
  camp: { 'in the saddle': price(3, 8), 'at a stop': price(0, 2), 'at camp': price(0) },
};

/** Reach cost in points before weighting: worse when a thing is needed before it can be reached than the other way. */
export function reachPoints(thing: Thing, spot: Spot): number {
  const { flat, perLitre } = REACH_PRICES[thing.call][spot.compartment.reach];
  return flat + (perLitre * thingVolumeMl(thing)) / 1000;
}

/** Points for a fragile thing that is shaken on the fork, or that is wanted at a stop and buried in a bag opened at camp. */
const SHAKEN_POINTS = 8;
const BURIED_POINTS = 8;

/** Points for how a thing that is fragile is carried (domain, rule 14), before weighting. */
export function fragilePoints(thing: Pick<Thing, 'traits' | 'call'>, { bag, compartment }: Spot): number {
  if (!thing.traits.includes('fragile')) return 0;
  const buried = thing.call !== 'camp' && compartment.reach === 'at camp';
  return (bag.place === 'fork bag' ? SHAKEN_POINTS : 0) + (buried ? BURIED_POINTS : 0);
}

/** Dampness risk in points before weighting. What the hard rules forbid has no price here. */
export function dryPoints(thing: Thing, spot: Spot, rain: Rain): number {
  const { weather } = spot.compartment;
  if (weather === 'sealed' || thing.dry === 'does not care') return 0;
  const wetter = rain === 'likely' ? 2.5 : 1;
  if (thing.dry === 'rather') return weather === 'open' && !thing.inDrySack ? 3 * wetter : 0;
  if (thing.inDrySack) return weather === 'open' ? 1 * wetter : 0;
  return 4 * wetter;
}

/** Points for leaving a thing off the bike, by how much the trip needs it. */
export const LEAVE_POINTS: Record<Thing['need'], number> = { must: 600, should: 180, nice: 60 };

/** Each thing that lies under one wanted later, so that it must be dug out. */
export const ORDER_POINTS = 1.5;
/** Each pair that is not one on each side: more than anything but leaving a needed thing. */
export const PAIR_POINTS = 100;
/** Each kilogram that a rider carries beyond the agreed share. */
export const FAIR_POINTS = 8;
/** Each further compartment a system is spread over. */
export const SPREAD_POINTS = 2;
/** Each further bag that holds food other than the day's snacks, where it is in more than two: it is hung or carried away at night. */
export const FOOD_BAGS = 2;
export const FOOD_BAG_POINTS = 6;
/** Each pair of systems that should be apart and share a compartment. */
export const APART_POINTS = 4;
/** Each litre that soft things must be pressed below their loose size. */
export const PRESS_POINTS = 0.4;
/** Side difference: a little for every 100 g, much more beyond the 200 g that riders agree on. */
export const SIDE_FREE_G = 200;
export const SIDE_POINTS = 0.003;
export const SIDE_OVER_POINTS = 0.04;
export const sidePoints = (differenceG: number): number => {
  // Written without Math calls: the search asks for this at every move it tries.
  const size = differenceG < 0 ? -differenceG : differenceG;
  return size * SIDE_POINTS + (size > SIDE_FREE_G ? (size - SIDE_FREE_G) * SIDE_OVER_POINTS : 0);
};
/** Points that a gram more on one side changes at most. */
export const STEEPEST_SIDE = SIDE_POINTS + SIDE_OVER_POINTS;
/** Points for each kg·m of tail moment beyond what most packs take; a little less than that, so that the loader does not stop right at its edge. */
export const TAIL_OVER_POINTS = 160;
export const TAIL_FREE_KGM = 0.95 * TAIL_CHECK_KGM;
export const tailPoints = (momentKgM: number): number =>
  momentKgM > TAIL_FREE_KGM ? TAIL_OVER_POINTS * (momentKgM - TAIL_FREE_KGM) : 0;
/** What riders agree a body carries without harm (domain: none above 2 kg), and points for each kilogram beyond. */
export const BODY_FREE_G = 2000;
export const BODY_OVER_POINTS = 10;
export const bodyPoints = (bodyG: number): number =>
  bodyG > BODY_FREE_G ? (BODY_OVER_POINTS * (bodyG - BODY_FREE_G)) / 1000 : 0;
/**
 * Each per cent of bike and kit that lies on another wheel than in the bare bike's share. Measured against all that
 * might be loaded, not what is: so every term is linear in the assignment, and an integer programme can judge it.
 */
export const SHARE_POINTS = 0.8;

/** The terms that depend on one thing and one compartment only. */
export const LINEAR_TERMS = ['handling', 'reach', 'dry', 'usual place'] as const satisfies readonly Term[];
export type LinearPoints = Record<(typeof LINEAR_TERMS)[number], number>;

/** Those terms, weighted, in points. */
export function linearPoints(plan: Plan, thing: Thing, spot: Spot): LinearPoints {
  // A bladder with a hose is reached while riding, and welcome on the back.
  const drunkFromBack = spot.onBody && thing.traits.includes('hose');
  return {
    handling: weightOf(plan, 'handling') * (drunkFromBack ? 0 : handlingPoints(thingMassG(thing), spot)),
    reach:
      weightOf(plan, 'reach') * (drunkFromBack ? 0 : reachPoints(thing, spot) + fragilePoints(thing, spot)),
    dry: weightOf(plan, 'dry') * dryPoints(thing, spot, tripConditions(plan.trip).rain),
    'usual place': weightOf(plan, 'usual place') * usualPoints(thing, spot),
  };
}

/** Their sum, in points. */
export function placingPoints(plan: Plan, thing: Thing, spot: Spot): number {
  const points = linearPoints(plan, thing, spot);
  return LINEAR_TERMS.reduce((sum, term) => sum + points[term], 0);
}
