import type { MenuEntry } from '@/core/food/menuSchema';
import type { Thing } from '@/core/kit/thing';
import { dayNeeds, type DayNeed } from '@/core/menu/dayNeeds';
import { portionOf, type Portion } from '@/core/menu/portion';
import type { Facts } from './facts';
import { rideOf } from './ride';

/** A line of the menu with the food it names. */
export interface Planned {
  entry: MenuEntry;
  /** Where it stands in the trip's menu. */
  index: number;
  thing: Thing;
  portion: Portion;
}

export interface DayMenu {
  need: DayNeed;
  planned: Planned[];
  energyKJ: number;
  /** Eaten on the bike. */
  rideCarbG: number;
  proteinG: number;
  massG: number;
  boilMl: number;
}

export interface Menu {
  days: DayMenu[];
  /** Without a route, riding is taken as four hours of steady work a day. */
  isRideKnown: boolean;
  /** Portions of each food that no line of the menu uses; of food alone that is planned with. */
  spare: { thing: Thing; portions: number }[];
  /** Foods of which the menu uses more than comes along. */
  short: { thing: Thing; portions: number }[];
}

const ASSUMED = { energyKJ: 8100, ridingHours: 4 };

type Given = Pick<Facts, 'plan' | 'totals' | 'view'>;

/** Every line of the menu whose food is in the kit. */
export function plannedOf(plan: Facts['plan']): Planned[] {
  if (plan.trip.menu.length === 0) return [];
  const byId = new Map(plan.things.map((thing) => [thing.id, thing]));
  return plan.trip.menu.flatMap((entry, index): Planned[] => {
    const thing = byId.get(entry.thingId);
    const portion = thing && portionOf(thing);
    return portion ? [{ entry, index, thing, portion }] : [];
  });
}

/** What each day of the trip asks for; the same in kJ whatever is eaten. */
export function needsOf(facts: Given): { days: DayNeed[]; isRideKnown: boolean } {
  const { trip, rider } = facts.plan;
  const ride = rideOf(facts);
  const days = ride
    ? ride.days.map(({ energyKJ, movingS }) => ({ energyKJ, ridingHours: movingS / 3600 }))
    : Array.from({ length: trip.nights + 1 }, () => ASSUMED);
  return {
    days: dayNeeds(days, rider.massG / 1000, trip.eating.deficitPercent / 100, rider.eatShare ?? 1),
    isRideKnown: ride !== null,
  };
}

/** The menu day by day against what each day asks for. */
export function menuOf(facts: Given): Menu {
  const { plan } = facts;
  const planned = plannedOf(plan);
  const { days, isRideKnown } = needsOf(facts);
  const used = new Map<Thing, number>();
  for (const { thing, entry } of planned) used.set(thing, (used.get(thing) ?? 0) + entry.portions);
  const left = plan.things.flatMap((thing) => {
    const portion = portionOf(thing);
    return portion ? [{ thing, portions: thing.quantity * portion.perPiece - (used.get(thing) ?? 0) }] : [];
  });
  return {
    isRideKnown,
    spare: left.filter(({ portions }) => portions > 0),
    short: left.flatMap(({ thing, portions }) => (portions < 0 ? [{ thing, portions: -portions }] : [])),
    days: days.map((need): DayMenu => {
      const own = planned.filter(({ entry }) => entry.day === need.day);
      const eaten = own.filter(({ entry }) => entry.slot !== 'spare');
      const sum = (of: (each: Planned) => number, list = eaten) =>
        list.reduce((total, each) => total + each.entry.portions * of(each), 0);
      return {
        need,
        planned: own,
        energyKJ: sum(({ portion }) => portion.energyKJ),
        rideCarbG: sum(
          ({ portion }) => portion.carbG,
          own.filter(({ entry }) => entry.slot === 'riding'),
        ),
        proteinG: sum(({ portion }) => portion.proteinG),
        massG: sum(({ portion }) => portion.massG, own),
        boilMl: sum(({ portion }) => portion.boilMl),
      };
    }),
  };
}

/** Boiled at a camp that no menu says more of: dinner, breakfast and two hot drinks. */
const UNPLANNED_L = 1.4;
/** Hot drinks of a night, where the menu has none. */
const HOT_DRINKS_L = 0.5;

/**
 * Litres boiled at the camp of a night: dinner and hot drinks of the day before it, breakfast of the day after.
 *
 * @param night 1 for the first
 * @example boiledL([], 1) // 1.4: what a rider who cooks usually boils
 */
export function boiledL(planned: readonly Planned[], night: number): number {
  if (planned.length === 0) return UNPLANNED_L;
  const of = (day: number, slot: MenuEntry['slot']) =>
    planned.reduce(
      (sum, { entry, portion }) =>
        entry.day === day && entry.slot === slot ? sum + (entry.portions * portion.boilMl) / 1000 : sum,
      0,
    );
  return of(night, 'dinner') + of(night + 1, 'breakfast') + (of(night, 'drinks') || HOT_DRINKS_L);
}
