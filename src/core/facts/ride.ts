import {
  countClasses,
  movingSeconds,
  paceAlong,
  SHORT_CLIMB,
  stepClasses,
  sumAt,
  type Cyclist,
} from '@/core/ride/pace';
import { DEFAULT_POWER_W, ROLLING, steepestGradient } from '@/core/ride/power';
import { splitDays } from '@/core/trip/days/splitDays';
import { sunTimes, type SunTimes } from '@/core/trip/days/sun';
import { climbOf, type Climb } from '@/core/trip/route/elevation';
import { nearestOnLine } from '@/core/trip/route/geo';
import { GROUNDS, lineOf, type Ground, type Line, type Place, type Route } from '@/core/trip/route/route';
import type { Surface } from '@/core/bike/tyrePressure';
import { addDays, type Trip } from '@/core/trip/trip';
import { BASE_L_PER_H } from '@/core/water/drinking';
import type { Facts } from './facts';

/** A place, and where it lies along the route. */
export interface PlaceOnRoute {
  place: Place;
  alongM: number;
  offM: number;
  /** 1 for the first. */
  day: number;
  /** When it is passed: minutes after that day's midnight, stops until then counted. */
  passMin: number;
}

export interface RideDay extends Climb, SunTimes {
  /** 1 for the first. */
  day: number;
  /** As 2027-04-16; null where the trip has no date. */
  date: string | null;
  fromM: number;
  toM: number;
  movingS: number;
  /** With stops. */
  totalS: number;
  startMin: number;
  arrivalMin: number;
  walkedM: number;
  /** Food energy for the riding alone. */
  energyKJ: number;
  /** Metres on each ground. */
  grounds: Record<Ground, number>;
  /** Where it ends, if that is at a place to sleep. */
  sleepsAt: Place | null;
  /** Water within a short way of the day's end. */
  waterAtEnd: boolean;
}

export interface Ride {
  route: Route;
  line: Line;
  /** Where no stretch says otherwise. */
  ground: Ground;
  places: PlaceOnRoute[];
  days: RideDay[];
  /** The days are suggested, not set by the rider. */
  isSuggested: boolean;
  /** Why there are no suggested days as asked; null where there are. */
  problem: string | null;
  cyclist: Cyclist;
  /** Seconds that one more kilogram costs over the whole route. */
  secondsPerKg: number;
  /** The steepest stretch of 100 m, and the steepest that the lowest gear allows on its ground; as rise over run. */
  steepest: { slope: number; alongM: number; ground: Ground };
  steepestRideable: number;
  walkedM: number;
  /** What the rider drinks while riding at 10 °C, in litres an hour. */
  drinkLPerH: number;
}

/** Of each hour of riding so much is stood: photos, gates, food. */
export const STOPS_SHARE = 0.2;
/** Of the work at the pedals this much of the food energy remains (methods, section 6). */
const MUSCLE = 0.23;
/** Places off the route by more than this are not on the way. */
export const NEAR_M = 2000;
/** One may camp anywhere at such steps. */
const ANYWHERE_M = 1000;
/** Lowest gear where the bike's is not known, in teeth. */
export const DEFAULT_GEAR = { ring: 30, cog: 46 } as const;
/** A day that ends without water counts as so much longer, in seconds. */
const NO_WATER_S = 1800;

export const DEFAULT_GROUND: Record<Surface, Ground> = {
  paved: 'asphalt',
  gravel: 'fine gravel',
  rough: 'trail',
};

const SLEEPS_AT: Record<Trip['sleeping'], readonly Place['kind'][]> = {
  tent: ['campsite', 'wild camp'],
  bivvy: ['campsite', 'wild camp', 'hut'],
  tarp: ['campsite', 'wild camp'],
  hammock: ['campsite', 'wild camp'],
  hut: ['hut'],
  hotel: ['hotel'],
};

/** Water that can be counted on, near enough to be fetched. */
export const isReliableWater = ({ place, offM }: { place: Place; offM: number }): boolean =>
  place.kind === 'water' && place.water !== 'doubtful' && offM < NEAR_M;

type Given = Pick<Facts, 'plan' | 'totals' | 'view'>;
const rides = new WeakMap<Given['totals'], Ride>();

/** How the route is ridden with this load on this bike; null without a route. Found once for the same facts. */
export function rideOf(facts: Given): Ride | null {
  const { route } = facts.plan;
  if (!route) return null;
  let ride = rides.get(facts.totals);
  if (!ride) rides.set(facts.totals, (ride = findRide(facts, route)));
  return ride;
}

/** Classes of a route's steps and its places along it: they stay while route and ground do. */
const onRoutes = new WeakMap<Route, Map<Ground, OnRoute>>();
interface OnRoute {
  classes: Uint16Array;
  counts: Uint32Array;
  grounds: Uint8Array;
  places: { place: Place; alongM: number; offM: number }[];
}

function onRoute(route: Route, line: Line, ground: Ground): OnRoute {
  const byGround = onRoutes.get(route) ?? new Map<Ground, OnRoute>();
  onRoutes.set(route, byGround);
  const known = byGround.get(ground);
  if (known) return known;
  const grounds = new Uint8Array(line.height.length - 1).fill(GROUNDS.indexOf(ground));
  const stretches = [...route.stretches].sort((a, b) => a.fromM - b.fromM);
  stretches.forEach(({ fromM, ground: own }, k) => {
    const to = stretches[k + 1]?.fromM ?? Infinity;
    grounds.fill(
      GROUNDS.indexOf(own),
      Math.round(fromM / line.stepM),
      Math.min(grounds.length, Math.round(to / line.stepM)),
    );
  });
  const classes = stepClasses(line.height, line.stepM, (step) => GROUNDS[grounds[step]!]!);
  const found: OnRoute = {
    grounds,
    classes,
    counts: countClasses(classes),
    places: route.places
      .map((place) => ({ place, ...nearestOnLine(line.lat, line.lon, line.stepM, place.lat, place.lon) }))
      .sort((a, b) => a.alongM - b.alongM),
  };
  byGround.set(ground, found);
  return found;
}

/** Who rides: everything that rolls, the rider's power, and the lowest gear. */
export function cyclistOf({ plan, totals, view }: Given): Cyclist {
  const { build } = plan.bike ?? {};
  const ring = build?.smallestRingTeeth ?? DEFAULT_GEAR.ring;
  const cog = build?.largestCogTeeth ?? DEFAULT_GEAR.cog;
  const circumferenceM = (2 * Math.PI * view.rearWheel.radiusMm) / 1000;
  return {
    massKg: totals.rollingG / 1000,
    powerW: plan.rider.powerW ?? DEFAULT_POWER_W,
    developmentM: (ring / cog) * circumferenceM,
  };
}

function findRide(facts: Given, route: Route): Ride {
  const { trip } = facts.plan;
  const line = lineOf(route);
  const { stepM, lengthM } = line;
  const { classes, counts, grounds, places } = onRoute(route, line, DEFAULT_GROUND[trip.surface]);
  const cyclist = cyclistOf(facts);
  const pace = paceAlong(classes, stepM, cyclist, counts);
  const heavier = movingSeconds(counts, stepM, { ...cyclist, massKg: cyclist.massKg + 1 });
  const waters = places.filter(isReliableWater);
  const hasWater = (alongM: number) =>
    waters.some((water) => Math.abs(water.alongM - alongM) + water.offM < 1000);
  // Of the calculated times, as this rider's own trips show.
  const share = facts.plan.rider.paceShare ?? 1;
  const secondsTo = (alongM: number) => share * sumAt(pace.seconds, stepM, alongM);

  const { stops, problem } = stopsOf(route, trip, places, lengthM, secondsTo, hasWater);
  const ends = [...stops, lengthM];
  const totalOf = (fromM: number, toM: number) => (secondsTo(toM) - secondsTo(fromM)) * (1 + STOPS_SHARE);
  const startOf = (day: number) => (day === 1 ? (route.firstStartMin ?? route.startMin) : route.startMin);
  const days = ends.map((toM, k): RideDay => {
    const fromM = k === 0 ? 0 : ends[k - 1]!;
    const day = k + 1;
    const [a, b] = [Math.round(fromM / stepM), Math.round(toM / stepM)];
    const date = trip.startDate === null ? null : addDays(trip.startDate, k);
    const sun =
      date === null
        ? { sunriseMin: null, sunsetMin: null, duskMin: null }
        : sunTimes(date, line.lat[b]!, line.lon[b]!, route.timeZone);
    const lengths = Object.fromEntries(GROUNDS.map((ground) => [ground, 0])) as Record<Ground, number>;
    for (let i = a; i < b; i += 1) lengths[GROUNDS[grounds[i]!]!] += stepM;
    const totalS = totalOf(fromM, toM);
    return {
      day,
      date,
      fromM,
      toM,
      ...climbOf(line.height, undefined, a, b + 1),
      movingS: secondsTo(toM) - secondsTo(fromM),
      totalS,
      startMin: startOf(day),
      arrivalMin: startOf(day) + totalS / 60,
      walkedM: sumAt(pace.walkedM, stepM, toM) - sumAt(pace.walkedM, stepM, fromM),
      energyKJ: (sumAt(pace.work, stepM, toM) - sumAt(pace.work, stepM, fromM)) / MUSCLE / 1000,
      grounds: lengths,
      sleepsAt:
        k === ends.length - 1
          ? null
          : (places.find(
              ({ place, alongM, offM }) =>
                SLEEPS_AT[trip.sleeping].includes(place.kind) &&
                Math.abs(alongM - toM) < 300 &&
                offM < NEAR_M,
            )?.place ?? null),
      waterAtEnd: hasWater(toM),
      ...sun,
    };
  });
  return {
    route,
    line,
    ground: DEFAULT_GROUND[trip.surface],
    days,
    places: places.map(({ place, alongM, offM }) => {
      const index = Math.max(
        0,
        ends.findIndex((toM) => alongM <= toM + 1e-6),
      );
      const { fromM, startMin } = days[index]!;
      return { place, alongM, offM, day: index + 1, passMin: startMin + totalOf(fromM, alongM) / 60 };
    }),
    isSuggested: route.stops === null,
    problem,
    cyclist,
    secondsPerKg: share * (heavier - pace.seconds.at(-1)!),
    ...steepestOf(line, grounds, cyclist),
    walkedM: pace.walkedM.at(-1)!,
    drinkLPerH: facts.plan.rider.drinkLPerH ?? BASE_L_PER_H,
  };
}

/** Where the days end: as the rider set them, or the division that makes the hardest day as easy as it can be. */
function stopsOf(
  route: Route,
  trip: Trip,
  places: OnRoute['places'],
  lengthM: number,
  secondsTo: (alongM: number) => number,
  hasWater: (alongM: number) => boolean,
): { stops: number[]; problem: string | null } {
  const nights = trip.nights === 1 ? '1 night' : `${trip.nights} nights`;
  if (route.stops !== null) {
    const stops = route.stops.filter((stop) => stop > 0 && stop < lengthM).sort((a, b) => a - b);
    return {
      stops,
      problem:
        stops.length === trip.nights
          ? null
          : `The trip has ${nights}, but the route is divided into ${stops.length === 0 ? '1 day' : `${stops.length + 1} days`}.`,
    };
  }
  const sleepsInBed = trip.sleeping === 'hut' || trip.sleeping === 'hotel';
  const at = (candidates: readonly number[]) => [
    0,
    ...[...new Set(candidates)]
      .filter((alongM) => alongM > 500 && alongM < lengthM - 500)
      .sort((a, b) => a - b),
    lengthM,
  ];
  const known = places
    .filter(({ place, offM }) => SLEEPS_AT[trip.sleeping].includes(place.kind) && offM < NEAR_M)
    .map(({ alongM }) => alongM);
  const anywhere = Array.from({ length: Math.floor(lengthM / ANYWHERE_M) }, (_, k) => k * ANYWHERE_M);
  const split = (candidates: readonly number[]) => {
    const points = at(candidates);
    const found = splitDays(
      points.map(secondsTo),
      points.map((alongM) => (hasWater(alongM) ? 0 : NO_WATER_S)),
      trip.nights + 1,
    );
    return found?.map((index) => points[index]!) ?? null;
  };
  const first = split(known);
  if (first) return { stops: first, problem: null };
  const what = SLEEPS_AT[trip.sleeping].join(' or ');
  return {
    stops: split(anywhere) ?? [],
    problem:
      known.length === 0 && !sleepsInBed
        ? null
        : `The route has too few places to sleep (${what}) for ${nights}; the days end where it suits the riding.`,
  };
}

/** The steepest 100 m, against what can be ridden there. */
function steepestOf(
  { height, stepM }: Line,
  grounds: Uint8Array,
  { massKg, powerW, developmentM }: Cyclist,
): Pick<Ride, 'steepest' | 'steepestRideable'> {
  const reach = Math.max(1, Math.round(100 / stepM));
  let slope = -Infinity;
  let at = 0;
  for (let i = 0; i + reach < height.length; i += 1) {
    const own = (height[i + reach]! - height[i]!) / (reach * stepM);
    if (own > slope) [slope, at] = [own, i];
  }
  if (slope === -Infinity) slope = 0;
  const ground = GROUNDS[grounds[Math.min(at, grounds.length - 1)]!]!;
  return {
    steepest: { slope, alongM: at * stepM, ground },
    steepestRideable: steepestGradient(massKg, ROLLING[ground], SHORT_CLIMB * powerW, developmentM),
  };
}
