import { AIR_CLO, clothesClo, comfortableDownTo, MET } from '@/core/clothes/warmth';
import { fuelBudget, gasOnTrip, type FuelBudget } from '@/core/cook/fuel';
import { conditionsOf } from '@/core/facts/conditions';
import type { Facts } from '@/core/facts/facts';
import { boiledL, plannedOf } from '@/core/facts/food';
import { farFromHelp } from '@/core/facts/help';
import { rideOf } from '@/core/facts/ride';
import { specOf } from '@/core/kit/specs';
import type { Thing } from '@/core/kit/thing';
import { needsMet, type NeedMet } from '@/core/needs/met';
import { isPurposeKnown, purposesOf } from '@/core/needs/purposes';
import { powerByDay, type PowerDay } from '@/core/power/byDay';
import { chargeBudget, type ChargeBudget, type PowerSystem } from '@/core/power/charge';
import { sleepMargin, type SleepMargin, type SleepSystem } from '@/core/sleep/sleep';
import type { Sleeping } from '@/core/trip/trip';

/** What is judged of a kit as a whole; null where it cannot be, or the trip does not ask for it. */
export interface Enough {
  /** Everything that comes along: worn, in a bag, or still on the floor. */
  taken: readonly Thing[];
  needs: readonly NeedMet[];
  /** So few things are known for what they are for that nothing is said to be missing. */
  isJudged: boolean;
  sleep: { system: SleepSystem; nights: SleepMargin[]; worst: SleepMargin } | null;
  camp: { clo: number; sittingC: number; movingC: number; eveningC: number } | null;
  fuel: FuelBudget | null;
  charge: ChargeBudget | null;
  /** What the charge is judged by, day by day, with the devices, the thirstiest first. */
  power: { devices: readonly Thing[]; days: readonly PowerDay[] } | null;
}

/** By how much a shelter keeps the air around a sleeper warmer (methods, section 9). */
const SHELTER_C: Record<Sleeping, number> = { tent: 2, bivvy: 1, tarp: 1, hammock: 0, hut: 3, hotel: 10 };
/** Of the clothes worn in bed: a dry set, and an insulated jacket over it. */
const CLOTHES_C = { 'sleep clothes': 2, 'warm at camp': 2 } as const;
const MOST_CLOTHES_C = 5;
/** Shirt, shorts and socks. */
const RIDE_CLOTHES_CLO = 0.2;
/** In the saddle on a day without a route. */
const ASSUMED_HOURS = 4;
/** A dull spring day under trees and a bright one make about this. */
const SUN_HOURS = 4;

const known = new WeakMap<Facts['plan'], { totals: Facts['totals']; enough: Enough }>();

/** What is judged of a kit as a whole; the same object for the same plan. */
export function enoughOf(facts: Facts): Enough {
  const last = known.get(facts.plan);
  if (last?.totals === facts.totals) return last.enough;
  const enough = judge(facts);
  known.set(facts.plan, { totals: facts.totals, enough });
  return enough;
}

function judge(facts: Facts): Enough {
  const { plan } = facts;
  const { trip, rider } = plan;
  const home = new Set(facts.home);
  const taken = plan.things.filter((thing) => !home.has(thing) && !thing.toGet);
  const conditions = conditionsOf(facts);
  const ride = rideOf(facts);
  const far = (ride?.days ?? []).flatMap((day) => farFromHelp(ride!, day)?.distanceM ?? []);
  const needs = needsMet(
    {
      conditions,
      trip,
      people: 1,
      build: plan.bike?.build ?? null,
      helpM: far.length > 0 ? Math.max(...far) : null,
    },
    taken,
  );
  const withPurpose = (purpose: string) => taken.filter((thing) => purposesOf(thing).includes(purpose));
  const most = (things: readonly Thing[], of: (thing: Thing) => number | null) =>
    Math.max(0, ...things.flatMap((thing) => of(thing) ?? []));

  const [bag] = withPurpose('sleep warm');
  const sleepSystem: SleepSystem = {
    comfortC: bag ? specOf(bag, 'comfortC') : null,
    limitC: bag ? specOf(bag, 'limitC') : null,
    linerC: most(withPurpose('sleep warmer'), (thing) => specOf(thing, 'warmerC') ?? 2),
    clothesC: Math.min(
      MOST_CLOTHES_C,
      Object.entries(CLOTHES_C).reduce(
        (sum, [purpose, celsius]) => sum + (withPurpose(purpose).length > 0 ? celsius : 0),
        0,
      ),
    ),
    shelterC: SHELTER_C[trip.sleeping],
    agedC: ageOf(bag, trip.startDate),
    rValue: sumOrNull(withPurpose('insulate from the ground').map((thing) => specOf(thing, 'rValue'))),
    isColdSleeper: rider.coldSleeper,
  };
  const nights =
    bag && trip.sleeping !== 'hotel'
      ? conditions.nights.flatMap(({ coldestC }) => sleepMargin(sleepSystem, coldestC) ?? [])
      : [];

  const garments = taken.flatMap((thing) => specOf(thing, 'clo') ?? []);
  // Nobody rides without clothes, whether they are on the list or not.
  if (garments.length > 0 && withPurpose('ride clothes').length === 0) garments.push(RIDE_CLOTHES_CLO);
  const clo = clothesClo(garments) + AIR_CLO.breeze;
  // In the evening it is a third of the way from the night's coldest to the day's warmest.
  const eveningC = Math.min(
    ...conditions.nights.map(({ coldestC }, i) => coldestC + (conditions.days[i]!.warmestC - coldestC) / 3),
  );

  const planned = plannedOf(plan);
  const canisters = withPurpose('fuel').map((thing) => {
    const fuelG = specOf(thing, 'fuelG');
    return fuelG === null ? null : thing.quantity * fuelG;
  });
  const drawOf = (thing: Thing) => thing.quantity * (specOf(thing, 'drawWhPerDay') ?? 0);
  const devices = taken.filter((thing) => drawOf(thing) > 0).sort((a, b) => drawOf(b) - drawOf(a));
  const drawWhPerDay = (rider.chargeShare ?? 1) * devices.reduce((total, thing) => total + drawOf(thing), 0);
  const moving = ride ? ride.days.reduce((sum, { movingS }) => sum + movingS, 0) / 3600 : 0;
  const dayCount = conditions.days.length;
  const sum = (spec: 'batteryMah' | 'panelW' | 'dynamoW') =>
    taken.reduce((total, thing) => total + thing.quantity * (specOf(thing, spec) ?? 0), 0);
  const sockets = conditions.nights.map(({ sleeping }, k) => {
    if (sleeping === 'hut' || sleeping === 'hotel') return true;
    const toM = ride?.days[k]?.toM;
    return (
      toM !== undefined &&
      ride!.places.some(
        ({ place, alongM, offM }) => place.kind === 'socket' && Math.abs(alongM - toM) + offM < 1000,
      )
    );
  });
  const system: PowerSystem = {
    drawWhPerDay,
    days: dayCount,
    banksMah: sum('batteryMah'),
    panelW: sum('panelW'),
    dynamoW: sum('dynamoW'),
    sunHours: SUN_HOURS,
    movingHours: dayCount > 0 ? moving / dayCount : 0,
    speedKmh: ride && moving > 0 ? ride.line.lengthM / 1000 / moving : 0,
    coldestC: conditions.coldestC,
    socketNights: sockets.filter(Boolean).length,
  };
  const hasPower = drawWhPerDay > 0 && conditions.nights.length > 0;

  return {
    taken,
    needs,
    isJudged: taken.length > 0 && taken.filter(isPurposeKnown).length * 2 >= taken.length,
    sleep:
      nights.length > 0
        ? { system: sleepSystem, nights, worst: nights.reduce((a, b) => (b.marginC < a.marginC ? b : a)) }
        : null,
    camp:
      conditions.sleepsOutside && garments.length > 0
        ? {
            clo,
            sittingC: comfortableDownTo(clo, MET.sitting),
            movingC: comfortableDownTo(clo, MET.moving),
            eveningC,
          }
        : null,
    fuel:
      trip.cooking === 'stove' && canisters.length > 0 && canisters.every((grams) => grams !== null)
        ? fuelBudget(
            conditions.nights.reduce((litres, { night }) => litres + boiledL(planned, night), 0),
            canisters.reduce((total: number, grams) => total + (grams ?? 0), 0),
            gasOnTrip(
              conditions.days.map(({ windKmh }) => windKmh),
              rider.fuelShare ?? 1,
            ),
          )
        : null,
    charge: hasPower ? chargeBudget(system) : null,
    power: hasPower
      ? {
          devices,
          days: powerByDay(
            conditions.days.map((_, k) => ({
              ridingHours: ride ? (ride.days[k]?.movingS ?? 0) / 3600 : ASSUMED_HOURS,
              hasSocket: sockets[k] ?? false,
            })),
            system,
          ),
        }
      : null,
  };
}

/** Down loses half a degree a year of use beyond three; whether it is down is not known, so it is counted as down. */
function ageOf(bag: Thing | undefined, startDate: string | null): number {
  const bought = bag?.specs.boughtIn;
  if (bought === undefined || startDate === null) return 0;
  return 0.5 * Math.max(0, Number(startDate.slice(0, 4)) - bought - 3);
}

const sumOrNull = (values: readonly (number | null)[]): number | null =>
  values.length > 0 && values.every((value) => value !== null)
    ? values.reduce((sum: number, value) => sum + (value ?? 0), 0)
    : null;
