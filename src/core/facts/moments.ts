import type { MenuEntry } from '@/core/food/menuSchema';
import { gasOnTrip } from '@/core/cook/fuel';
import type { Conditions } from '@/core/trip/conditions';
import { CAMP_L, drinkingRate } from '@/core/water/drinking';
import { conditionsOf } from './conditions';
import type { Facts } from './facts';
import { boiledL, plannedOf, type Planned } from './food';
import { SETTING_OUT, type Moment } from './moment';
import { rideOf, type Ride } from './ride';
import { waterPlan } from './water';

/** A tap so near to a camp is filled at when leaving it. */
const AT_CAMP_M = 1000;

const known = new WeakMap<Facts['plan'], { totals: Facts['totals']; moments: readonly Moment[] }>();

/**
 * The moments at which the load is different: setting out, leaving each place where water is filled or food is bought, arriving at and
 * leaving each camp, and the end.
 *
 * @param facts of setting out
 * @returns in order; the first is setting out
 */
export function momentsOf(facts: Facts): readonly Moment[] {
  const last = known.get(facts.plan);
  if (last?.totals === facts.totals) return last.moments;
  const moments = find(facts);
  known.set(facts.plan, { totals: facts.totals, moments });
  return moments;
}

/** Where the rider is at a moment, and what happens there. */
interface At {
  kind: Moment['kind'];
  label: string;
  day: number;
  alongM: number;
  clockMin: number | null;
  /** Share of the day's way that is done. */
  share: number;
  /** Left with, where water is filled; in litres. */
  fillL: number | null;
  placeId: string | null;
}

function find(facts: Facts): Moment[] {
  const { plan } = facts;
  const ride = rideOf(facts);
  const conditions = conditionsOf(facts);
  const home = new Set(facts.home);
  const taken = plan.things.filter((thing) => !home.has(thing) && !thing.toGet);
  const water = ride && waterPlan(ride, conditions, taken);
  const fills = new Map<string, number>();
  if (water?.outcome.ok)
    for (const { at, leavesWithL } of water.outcome.plan.fills) {
      const { source } = water.legs[at]!;
      if (source) fills.set(source.place.id, leavesWithL);
    }
  const planned = plannedOf(plan);
  const winds = conditions.days.map(({ windKmh }) => windKmh);
  const perLitreG = plan.trip.cooking === 'stove' ? gasOnTrip(winds, plan.rider.fuelShare ?? 1) : 0;

  const passed = new Set<string>();
  let onBoardMl = taken.reduce((sum, thing) => sum + thing.quantity * thing.waterMl, 0);
  let burntG = 0;
  let share = 0;
  const moments: Moment[] = [
    {
      ...SETTING_OUT,
      clockMin: ride?.days[0]?.startMin ?? null,
      unbought: unbought(planned, passed),
    },
  ];
  for (const at of stopsOf(ride, conditions, planned, fills)) {
    const { day, kind } = at;
    if (kind === 'morning') {
      share = 0;
      burntG += perLitreG * boiledL(planned, day - 1);
      // Where there is water at the camp, what the night takes is fetched there.
      if (!ride?.days[day - 2]?.waterAtEnd) onBoardMl -= 1000 * CAMP_L;
    } else {
      const hours = ((at.share - share) * (ride?.days[day - 1]?.movingS ?? 0)) / 3600;
      onBoardMl -= 1000 * hours * drinkingRate(conditions.days[day - 1]!.warmestC, 1, ride?.drinkLPerH);
      share = at.share;
    }
    onBoardMl = Math.max(0, onBoardMl, 1000 * (at.fillL ?? 0));
    if (at.placeId !== null) passed.add(at.placeId);
    moments.push({
      id: `${day}-${kind}${at.placeId === null ? '' : `-${at.placeId}`}`,
      kind,
      label: at.label,
      day,
      alongM: ride ? at.alongM : null,
      clockMin: at.clockMin,
      eaten: eatenUntil(planned, at),
      unbought: unbought(planned, passed),
      waterMl: water?.outcome.ok ? Math.round(onBoardMl) : null,
      burntG,
      isShelterWet: isWet(conditions, at),
    });
  }
  return moments;
}

/** Every stop that changes the load, every evening and morning, and the end. */
function stopsOf(
  ride: Ride | null,
  conditions: Conditions,
  planned: readonly Planned[],
  fills: ReadonlyMap<string, number>,
): At[] {
  const shops = new Set(planned.flatMap(({ entry }) => entry.boughtAt ?? []));
  const days = conditions.days.length;
  const list: At[] = [];
  /** What is filled near the end of a day is taken along the next morning. */
  let nextMorningL: number | null = null;
  for (let day = 1; day <= days; day += 1) {
    const { fromM = 0, toM = 0, startMin = null, arrivalMin = null, sleepsAt } = ride?.days[day - 1] ?? {};
    const camp = { day, fillL: null, placeId: null };
    const morning: At = {
      ...camp,
      kind: 'morning',
      label: `Day ${day}, leaving ${ride?.days[day - 2]?.sleepsAt?.name ?? 'camp'}`,
      alongM: fromM,
      clockMin: startMin,
      share: 0,
      fillL: nextMorningL,
    };
    nextMorningL = null;
    if (day > 1) list.push(morning);
    for (const { place, alongM, passMin, day: passed } of ride?.places ?? []) {
      const fillL = passed === day ? (fills.get(place.id) ?? null) : null;
      const isShop = passed === day && shops.has(place.id);
      if (fillL === null && !isShop) continue;
      if (!isShop && day > 1 && alongM - fromM < AT_CAMP_M) morning.fillL = fillL;
      else if (!isShop && day < days && toM - alongM < AT_CAMP_M) nextMorningL = fillL;
      else
        list.push({
          kind: 'stop',
          label: `Day ${day}, leaving ${place.name}`,
          day,
          alongM,
          clockMin: passMin,
          share: (alongM - fromM) / Math.max(1, toM - fromM),
          fillL,
          placeId: place.id,
        });
    }
    list.push({
      ...camp,
      kind: day === days ? 'end' : 'evening',
      label: day === days ? `Day ${day}, the end` : `Day ${day}, arriving at ${sleepsAt?.name ?? 'camp'}`,
      alongM: toM,
      clockMin: arrivalMin,
      share: 1,
    });
  }
  return list;
}

/** A shelter is packed wet after or on a day of likely rain, and is dried out or pitched in the evening. */
const isWet = ({ days }: Conditions, { day, kind }: At): boolean =>
  day > 1 && kind !== 'evening' && [day - 1, day].some((each) => days[each - 1]!.rain === 'likely');

const LUNCH_AT = 0.5;

function eatenUntil(planned: readonly Planned[], { day, kind, share }: At): Map<string, number> {
  const eaten = new Map<string, number>();
  const partOf = ({ day: of, slot }: MenuEntry): number => {
    if (slot === 'spare' || of > day) return 0;
    if (of < day || kind === 'end' || slot === 'breakfast') return 1;
    if (slot === 'riding') return share;
    return slot === 'lunch' && share > LUNCH_AT ? 1 : 0;
  };
  for (const { entry } of planned) {
    const portions = partOf(entry) * entry.portions;
    if (portions > 0) eaten.set(entry.thingId, (eaten.get(entry.thingId) ?? 0) + portions);
  }
  return eaten;
}

/** What is bought at places not reached yet. A thing that is partly brought from home is there from the start. */
function unbought(planned: readonly Planned[], passed: ReadonlySet<string>): ReadonlySet<string> {
  const missing = new Set<string>();
  const had = new Set<string>();
  for (const { entry } of planned)
    (entry.boughtAt === null || passed.has(entry.boughtAt) ? had : missing).add(entry.thingId);
  for (const id of had) missing.delete(id);
  return missing;
}
