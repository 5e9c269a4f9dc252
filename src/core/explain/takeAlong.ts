import type { Facts } from '@/core/facts/facts';
import { menuOf, plannedOf } from '@/core/facts/food';
import { momentsOf } from '@/core/facts/moments';
import { rideOf } from '@/core/facts/ride';
import { pantryFood, SLOTS } from '@/core/food/pantry';
import { addDays } from '@/core/trip/trip';
import { clock, type Formatter } from '@/core/units/format';

/** What to buy at one place. */
export interface ShoppingList {
  where: string;
  /** Day of the trip on which it is passed; null for what is bought before leaving. */
  day: number | null;
  items: string[];
}

/** Shopping before leaving (pantry foods, and things still to get), then at each shop of the way. */
export function shoppingLists(facts: Facts, format: Formatter): ShoppingList[] {
  const { plan } = facts;
  const planned = plannedOf(plan);
  const home = new Set(facts.home);
  const bought = new Map<string, Map<string, number>>();
  for (const { entry, thing } of planned)
    if (entry.boughtAt !== null) {
      const at = bought.get(entry.boughtAt) ?? new Map<string, number>();
      at.set(thing.id, (at.get(thing.id) ?? 0) + entry.portions);
      bought.set(entry.boughtAt, at);
    }
  const onTheWay = new Set([...bought.values()].flatMap((at) => [...at.keys()]));
  const before = plan.things.filter(
    (thing) =>
      !home.has(thing) && !onTheWay.has(thing.id) && (thing.toGet || pantryFood(thing.kind) !== undefined),
  );
  const lists: ShoppingList[] = [];
  if (before.length > 0)
    lists.push({
      where: 'Before leaving',
      day: null,
      items: before.map(
        ({ name, quantity, massG }) =>
          `${quantity > 1 ? `${quantity} × ` : ''}${name}, ${format.mass(quantity * massG)}`,
      ),
    });
  const ride = rideOf(facts);
  for (const { place, day } of ride?.places ?? []) {
    const at = bought.get(place.id);
    if (!at) continue;
    lists.push({
      where: place.name,
      day,
      items: [...at].map(([id, portions]) => {
        const { name, massG } = facts.thingById.get(id)!;
        return `${portions > 1 ? `${portions} × ` : ''}${name.replace(/ \(.*\)$/, '')}, ${format.mass(portions * massG)}`;
      }),
    });
  }
  return lists;
}

/** Something that happens at an hour of the trip. */
export interface HourEntry {
  id: string;
  /** As 2027-04-16. */
  date: string;
  /** Minutes after midnight; can pass it. */
  fromMin: number;
  minutes: number;
  title: string;
  detail: string;
}

/** Usual hours, where the riding leaves them free. */
const LUNCH_MIN = 12 * 60 + 30;
const DINNER_MIN = 18 * 60 + 30;

/**
 * The whole plan by hour: setting out, places where water is filled or food bought, arrivals, sunset and meals.
 *
 * @returns null where the trip has no date or no route, and so no hours
 */
export function planByHour(facts: Facts, format: Formatter): HourEntry[] | null {
  const ride = rideOf(facts);
  const { startDate } = facts.plan.trip;
  if (!ride || startDate === null) return null;
  const entries: HourEntry[] = [];
  const dateOf = (day: number) => addDays(startDate, day - 1);
  for (const { day, startMin, arrivalMin, fromM, toM, climbM, sunsetMin, sleepsAt } of ride.days) {
    entries.push({
      id: `ride-${day}`,
      date: dateOf(day),
      fromMin: startMin,
      minutes: arrivalMin - startMin,
      title: `Day ${day}: ${format.distance(toM - fromM)}, ${format.height(climbM)} up`,
      detail: `Arrive about ${clock(arrivalMin)}${sleepsAt ? ` at ${sleepsAt.name}` : ''}${sunsetMin === null ? '' : `; sunset ${clock(sunsetMin)}`}.`,
    });
  }
  for (const moment of momentsOf(facts)) {
    if (moment.kind !== 'stop' || moment.clockMin === null) continue;
    entries.push({
      id: moment.id,
      date: dateOf(moment.day),
      fromMin: moment.clockMin,
      minutes: 15,
      title: moment.label.replace(/^Day \d+, leaving /, 'Stop at '),
      detail: moment.waterMl === null ? '' : `Leave with ${format.volume(moment.waterMl)} of water.`,
    });
  }
  for (const { need, planned } of menuOf(facts).days)
    for (const slot of SLOTS) {
      const own = planned.filter(({ entry }) => entry.slot === slot);
      const of = ride.days[need.day - 1]!;
      if (own.length === 0 || slot === 'riding' || slot === 'spare' || slot === 'drinks') continue;
      const at =
        slot === 'breakfast'
          ? of.startMin - 60
          : slot === 'dinner'
            ? Math.max(DINNER_MIN, of.arrivalMin + 60)
            : Math.min(of.arrivalMin + 30, Math.max(LUNCH_MIN, of.startMin + 60));
      entries.push({
        id: `${slot}-${need.day}`,
        date: dateOf(need.day),
        fromMin: at,
        minutes: 30,
        title: `${slot[0]!.toUpperCase()}${slot.slice(1)}: ${own.map(({ thing }) => thing.name).join(', ')}`,
        detail: '',
      });
    }
  return entries.sort((a, b) => a.date.localeCompare(b.date) || a.fromMin - b.fromMin);
}

/** Message to be expected so long after the planned arrival, and a call for help so much later. */
const MESSAGE_AFTER_MIN = 90;
const ALARM_AFTER_H = 12;

/**
 * A page for someone at home: days, camps, when to expect a message, and what to do when none comes. One line each; a line that begins with
 * "# " is a heading.
 */
export function pageForHome(facts: Facts, format: Formatter): string[] {
  const { trip, bike } = facts.plan;
  const ride = rideOf(facts);
  const lines = [`# ${trip.name}`];
  if (trip.startDate !== null)
    lines.push(`Away from ${trip.startDate} to ${addDays(trip.startDate, trip.nights)}.`);
  if (bike) lines.push(`Bike: ${bike.name}.`);
  const days = ride?.days ?? [];
  for (const { day, date, fromM, toM, startMin, arrivalMin, sleepsAt } of days) {
    const isLast = day === days.length;
    const seen = [...ride!.places]
      .filter((each) => each.day === day && each.offM < 1000 && each.place.kind !== 'water')
      .map(({ place, passMin }) => `${place.name} about ${clock(passMin)}`);
    lines.push(
      `# Day ${day}${date === null ? '' : `, ${date}`}`,
      `${format.distance(toM - fromM)}, setting out about ${clock(startMin)}, ${isLast ? 'back' : `at ${sleepsAt?.name ?? 'camp'}`} about ${clock(arrivalMin)}.`,
      ...(seen.length > 0 ? [`On the way: ${seen.join(', ')}.`] : []),
      `Expect a message by ${clock(arrivalMin + MESSAGE_AFTER_MIN)}, where there is coverage.`,
    );
  }
  if (days.length === 0)
    lines.push('The route is not planned yet: write down where we go and when we are back.');
  lines.push(
    '# If you hear nothing',
    `No message is most often no coverage. If none has come ${ALARM_AFTER_H} hours after the time above, call us; if we do not answer, call the emergency number of the country we are in, as local custom has it, and read them this page.`,
  );
  return lines;
}
