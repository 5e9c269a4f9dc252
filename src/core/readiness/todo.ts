import type { Build } from '@/core/bike/bike';
import { enoughOf } from '@/core/enough/enough';
import type { Facts } from '@/core/facts/facts';
import { rideOf } from '@/core/facts/ride';
import { tyrePressures } from '@/core/facts/tyrePlan';
import type { Condition, OwnedThing } from '@/core/kit/thing';
import { addDays, lastDay } from '@/core/trip/trip';
import type { Formatter } from '@/core/units/format';

/** Something to do before leaving. */
export interface Todo {
  /** The same as long as it is to be done; what is ticked off is kept under it. */
  id: string;
  words: string;
  /** How it is done, or why. */
  how: string;
  /** The latest day on which it still helps, as 2027-04-14; null where the trip has no first day. */
  latest: string | null;
  /** Days before the first one. */
  daysBefore: number;
  /** Beyond a rider's own tools. */
  isForMechanic: boolean;
}

interface BikeCheck {
  id: string;
  words: string;
  how: string;
  daysBefore: number;
  isForMechanic?: true;
  when?: (build: Build) => boolean;
}

/** What is looked at on the bike itself; makers' figures come first. */
const BIKE_CHECKS: readonly BikeCheck[] = [
  {
    id: 'brakes',
    words: 'Look at the brakes and their pads',
    how: 'The load makes them work harder. Pads under 1.5 mm of lining are changed; a lever that reaches the bar is for a mechanic.',
    daysBefore: 7,
  },
  {
    id: 'bolts',
    words: 'Check the bolts of stem, bar, seatpost, racks and cages',
    how: 'With a torque wrench, to the figures printed beside them. Carbon parts forgive nothing.',
    daysBefore: 7,
  },
  {
    id: 'chain',
    words: 'Measure, clean and oil the chain',
    how: 'A chain gauge that drops in at 0.75 % means a new chain.',
    daysBefore: 7,
    when: ({ gears }) => gears !== 'single speed',
  },
  {
    id: 'gears',
    words: 'Shift through all gears under load',
    how: 'If it jumps or grinds, have it adjusted. Charge the battery of electronic gears, and take its coin cells.',
    daysBefore: 7,
    when: ({ gears }) => gears !== 'single speed',
  },
  {
    id: 'wheels',
    words: 'Check wheels and headset for play',
    how: 'Shake each wheel sideways, and the fork with the brake held: nothing may knock. Play or a loose spoke is for a mechanic.',
    daysBefore: 10,
    isForMechanic: true,
  },
  {
    id: 'sealant',
    words: 'Top up the sealant',
    how: 'It dries out in three to six months. Shake the wheel: you should hear it.',
    daysBefore: 7,
    when: ({ tubes }) => !tubes,
  },
  {
    id: 'suspension',
    words: 'Set the suspension for the load',
    how: 'With bags on and you seated, within the maker’s pressures. More load wants more air.',
    daysBefore: 3,
    when: ({ forkTravelMm, rearTravelMm }) => forkTravelMm + rearTravelMm > 0,
  },
  {
    id: 'hoses',
    words: 'Turn the bar to both ends with the bags on',
    how: 'No hose may be pulled or pinched, and nothing may touch the tyre.',
    daysBefore: 3,
  },
  {
    id: 'tape',
    words: 'Put tape where straps rub',
    how: 'Under every strap that lies on paint or carbon.',
    daysBefore: 3,
  },
];

const OF_CONDITION: Record<Exclude<Condition, 'fine'>, { verb: string; daysBefore: number; how: string }> = {
  charge: { verb: 'Charge', daysBefore: 1, how: 'The evening before, so that it leaves full.' },
  repair: { verb: 'Repair', daysBefore: 7, how: 'What fails on the way is far from a shop.' },
  wash: { verb: 'Wash', daysBefore: 3, how: 'It has to be dry again before it is packed.' },
  replace: { verb: 'Replace', daysBefore: 7, how: 'Time to order, and to try the new one.' },
  refill: { verb: 'Refill', daysBefore: 3, how: 'Weigh it afterwards.' },
};

/**
 * Everything to do before leaving, each with its latest day, the soonest first: what to buy, mend, wash and fill, the bike itself, and
 * what to book, load and tell.
 *
 * @example todoList(facts, format).map(({ words }) => words) // ['Reserve a place for the bike on the train', …]
 */
export function todoList(facts: Facts, format: Formatter): Todo[] {
  const { plan } = facts;
  const { trip, bike } = plan;
  const found: Omit<Todo, 'latest'>[] = [];
  const add = (id: string, words: string, how: string, daysBefore: number, isForMechanic = false) =>
    found.push({ id, words, how, daysBefore, isForMechanic });

  const home = new Set(facts.home);
  const until = lastDay(trip);
  for (const thing of plan.things) {
    if (home.has(thing)) continue;
    addThing(thing, until, add);
  }
  for (const { id, rule, isMissing, isDismissed } of enoughOf(facts).isJudged ? enoughOf(facts).needs : [])
    if (isMissing && !isDismissed && rule.importance === 'must')
      add(`need ${id}`, `Get ${rule.what}`, rule.why, 5);

  if (bike) {
    for (const { id, words, how, daysBefore, isForMechanic, when } of BIKE_CHECKS)
      if (when?.(bike.build) ?? true) add(`bike ${id}`, words, how, daysBefore, isForMechanic);
    const pressures = tyrePressures(facts).map(
      ({ wheel, loaded }) => `${wheel} ${format.pressure(loaded.kpa)}`,
    );
    if (pressures.length > 0)
      add(
        'bike tyres',
        'Look the tyres over and pump them for the load',
        `To begin with: ${pressures.join(', ')}; within what is printed on tyre and rim. Cuts and bulges mean a new tyre.`,
        1,
      );
  }

  const { circumstances } = trip;
  if (circumstances.includes('train'))
    add(
      'book train',
      'Reserve a place for the bike on the train',
      'Where the carrier asks for it; know the train after yours.',
      14,
    );
  if (circumstances.includes('bus'))
    add('book bus', 'Ask whether the bus takes the bike', 'Many take few or none.', 14);
  if (circumstances.includes('plane'))
    add('book plane', 'Tell the airline about the bike', 'And ask what must not be in the bags.', 14);
  for (const place of new Set((rideOf(facts)?.days ?? []).flatMap(({ sleepsAt }) => sleepsAt ?? [])))
    if (place.kind !== 'wild camp')
      add(
        `book ${place.id}`,
        `Ask for a place at ${place.name}`,
        'And when it closes, and whether there is water.',
        7,
      );
  if (plan.route) {
    add('load route', 'Put the route and offline maps on the device', 'Open them once without a network.', 2);
  }
  add(
    'ride round the block',
    'Pack everything and ride round the block',
    'What sways, rubs or rattles shows in ten minutes.',
    3,
  );
  add(
    'print',
    'Print the packing card',
    'Or keep the trip open on the phone: it works without a network.',
    2,
  );
  add(
    'tell',
    'Tell someone at home where you go and when you will call',
    'And whom they should call when you do not.',
    1,
  );
  return found
    .map((todo) => ({
      ...todo,
      latest: trip.startDate === null ? null : addDays(trip.startDate, -todo.daysBefore),
    }))
    .sort((a, b) => b.daysBefore - a.daysBefore);
}

function addThing(
  thing: OwnedThing,
  until: string | null,
  add: (id: string, words: string, how: string, daysBefore: number) => void,
): void {
  const { id, name, condition, dueOn, note, toGet } = thing;
  if (toGet)
    add(`get ${id}`, `Buy or borrow ${name}`, note || 'It is planned with, but you do not own it yet.', 7);
  if (condition !== 'fine') {
    const { verb, daysBefore, how } = OF_CONDITION[condition];
    add(`${condition} ${id}`, `${verb} ${name}`, note || how, daysBefore);
  }
  if (dueOn !== null && until !== null && dueOn <= until)
    add(`due ${id}`, `Replace or service ${name}`, `It expires or is due on ${dueOn}.`, 5);
}
