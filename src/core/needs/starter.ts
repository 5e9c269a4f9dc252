import { kindOf, type Kind } from '@/core/kit/kinds/kinds';
import { thingOfKind } from '@/core/kit/kinds/newThing';
import type { Need, Thing } from '@/core/kit/thing';
import { tripConditions, type Conditions } from '@/core/trip/conditions';
import type { Trip } from '@/core/trip/trip';

/** What decides which things a trip asks for. */
export interface Situation {
  conditions: Conditions;
  trip: Trip;
  people: number;
}

/** A purpose the trip asks for, why, and the kinds that serve it, the first one by default. */
interface StarterRule {
  purpose: string;
  need: Need;
  why: string | ((situation: Situation) => string);
  when?: (situation: Situation) => boolean;
  /** Ids of kinds; the default first. */
  kinds: (situation: Situation) => readonly string[];
  /** Of the default one. */
  quantity?: (situation: Situation) => number;
  /** Not on the list until it is ticked. */
  isOptional?: true;
}

const camps = ({ conditions }: Situation) => conditions.sleepsOutside;
const nights = ({ conditions }: Situation) => conditions.nights.length;
const days = ({ conditions }: Situation) => conditions.days.length;
const hasNight = (situation: Situation) => nights(situation) > 0;
const coldest = ({ conditions }: Situation) => conditions.coldestC;
const isWet = ({ conditions }: Situation) => conditions.rain === 'likely';
const cooks = ({ trip }: Situation) => trip.cooking === 'stove';
const carriesFood = ({ trip }: Situation) => trip.cooking !== 'buy on the way';
const sleepsIn =
  (...where: Trip['sleeping'][]) =>
  ({ trip }: Situation) =>
    where.includes(trip.sleeping);
const sureOf =
  (...ids: string[]) =>
  () =>
    ids;

/** The kind of a family whose size in °C is the warmest that is still enough, with a margin below the coldest night. */
const warmEnough = (ids: Readonly<Record<number, string>>) => (situation: Situation) => {
  const wanted = coldest(situation) - MARGIN_C;
  const sizes = Object.keys(ids)
    .map(Number)
    .sort((a, b) => b - a);
  return ids[sizes.find((size) => size <= wanted) ?? sizes.at(-1)!]!;
};
/** Ratings are measured on rested, fed people, and forecasts are off by as much. */
const MARGIN_C = 3;
const bagFor = warmEnough({
  10: 'sleeping-bag-10-c',
  5: 'sleeping-bag-5-c',
  0: 'sleeping-bag-0-c',
  [-5]: 'sleeping-bag-minus-5-c',
  [-10]: 'sleeping-bag-minus-10-c',
  [-15]: 'sleeping-bag-minus-15-c',
});
const quiltFor = warmEnough({
  10: 'quilt-10-c',
  5: 'quilt-5-c',
  0: 'quilt-0-c',
  [-5]: 'quilt-minus-5-c',
  [-10]: 'quilt-minus-10-c',
});

/**
 * What a trip of some kind usually takes along: one rule for each purpose. A starter list, not a judgement of what is enough;
 * that reads the same purposes.
 */
const RULES: readonly StarterRule[] = [
  {
    purpose: 'shelter',
    need: 'must',
    why: 'You sleep in a tent.',
    when: sleepsIn('tent'),
    kinds: ({ people }) =>
      people > 2
        ? ['tent-3-people']
        : people === 2
          ? ['tent-2-people', 'tent-2-people-light']
          : ['tent-1-person', 'tent-1-person-light', 'tent-2-people'],
  },
  {
    purpose: 'shelter',
    need: 'must',
    why: 'You sleep in a bivvy bag.',
    when: sleepsIn('bivvy'),
    kinds: sureOf('bivvy-bag', 'bivvy-bag-light'),
  },
  {
    purpose: 'shelter',
    need: 'must',
    why: 'You sleep under a tarp.',
    when: sleepsIn('tarp'),
    kinds: sureOf('tarp', 'tarp-light'),
  },
  {
    purpose: 'pitch it',
    need: 'must',
    why: 'A tarp needs pegs.',
    when: sleepsIn('tarp'),
    kinds: sureOf('tent-pegs'),
  },
  {
    purpose: 'pitch it',
    need: 'must',
    why: 'A tarp needs lines.',
    when: sleepsIn('tarp'),
    kinds: sureOf('guy-lines'),
  },
  {
    purpose: 'shelter',
    need: 'must',
    why: 'You sleep in a hammock.',
    when: sleepsIn('hammock'),
    kinds: sureOf('hammock'),
  },
  {
    purpose: 'keep rain off',
    need: 'should',
    why: 'A hammock has no roof.',
    when: sleepsIn('hammock'),
    kinds: sureOf('tarp', 'tarp-light'),
  },
  {
    purpose: 'sleep warm',
    need: 'must',
    why: (s) => `The coldest night is ${coldest(s)} °C.`,
    when: camps,
    kinds: (s) => [bagFor(s), quiltFor(s)],
  },
  {
    purpose: 'sleep warm',
    need: 'should',
    why: 'Huts have blankets, not sheets.',
    when: (s) => sleepsIn('hut')(s) && hasNight(s),
    kinds: (s) => ['sleeping-bag-liner', bagFor(s)],
  },
  {
    purpose: 'insulate from the ground',
    need: 'must',
    why: 'The ground takes more warmth than the air.',
    when: sleepsIn('tent', 'bivvy', 'tarp'),
    kinds: (s) =>
      coldest(s) < 0
        ? ['inflatable-mat-winter', 'inflatable-mat']
        : ['inflatable-mat', 'inflatable-mat-light', 'foam-mat'],
  },
  {
    purpose: 'rest the head',
    need: 'nice',
    why: 'You sleep better with one; clothes in a sack do too.',
    when: camps,
    kinds: sureOf('pillow'),
  },
  {
    purpose: 'keep rain off',
    need: 'must',
    why: (s) => (isWet(s) ? 'Rain is likely.' : 'Weather turns, and wind chills.'),
    kinds: (s) =>
      isWet(s) ? ['rain-jacket', 'rain-jacket-light'] : ['rain-jacket-light', 'rain-jacket', 'wind-jacket'],
  },
  {
    purpose: 'keep rain off',
    need: 'should',
    why: 'Rain is likely.',
    when: isWet,
    kinds: sureOf('rain-trousers'),
  },
  {
    purpose: 'warm at camp',
    need: 'must',
    why: (s) => `You sit still at ${coldest(s)} °C.`,
    when: (s) => camps(s) && coldest(s) < 12,
    kinds: sureOf('insulated-jacket', 'insulated-jacket-light', 'fleece'),
  },
  {
    purpose: 'warm at camp',
    need: 'should',
    why: 'Evenings are cool.',
    when: (s) => hasNight(s) && !(camps(s) && coldest(s) < 12),
    kinds: sureOf('fleece', 'insulated-jacket-light'),
  },
  {
    purpose: 'sleep clothes',
    need: 'should',
    why: 'A dry set that is never ridden in.',
    when: hasNight,
    kinds: sureOf('base-layer-top', 't-shirt'),
  },
  {
    purpose: 'sleep clothes',
    need: 'should',
    why: 'A dry set that is never ridden in.',
    when: hasNight,
    kinds: sureOf('base-layer-bottoms', 'shorts', 'trousers'),
  },
  {
    purpose: 'dry feet',
    need: 'should',
    why: 'One spare of what is worn next to the skin.',
    when: hasNight,
    kinds: sureOf('socks', 'sleep-socks'),
    quantity: (s) => Math.min(2, nights(s)),
  },
  {
    purpose: 'clean clothes',
    need: 'should',
    why: 'One spare of what is worn next to the skin.',
    when: hasNight,
    kinds: sureOf('underwear'),
  },
  {
    purpose: 'clean clothes',
    need: 'should',
    why: 'Two days in one pair of shorts chafe.',
    when: (s) => nights(s) > 1,
    kinds: sureOf('cycling-shorts', 'chamois-cream'),
  },
  {
    purpose: 'warm head',
    need: 'should',
    why: (s) => `Nights of ${coldest(s)} °C.`,
    when: (s) => camps(s) && coldest(s) < 10,
    kinds: sureOf('warm-hat', 'neck-tube'),
  },
  {
    purpose: 'warm hands',
    need: 'should',
    why: 'Mornings are cold on the bike.',
    when: (s) => coldest(s) < 8,
    kinds: sureOf('gloves-warm'),
  },
  {
    purpose: 'walk at camp',
    need: 'nice',
    why: 'Wet shoes dry while you wear others.',
    when: hasNight,
    kinds: sureOf('camp-shoes'),
    isOptional: true,
  },
  {
    purpose: 'boil water',
    need: 'must',
    why: 'You cook.',
    when: cooks,
    kinds: sureOf('gas-stove', 'stove-system', 'alcohol-stove'),
  },
  {
    purpose: 'fuel',
    need: 'must',
    why: 'About ten boils.',
    when: cooks,
    kinds: (s) => (nights(s) > 4 ? ['gas-canister-230-g'] : ['gas-canister-100-g', 'gas-canister-230-g']),
  },
  {
    purpose: 'boil water',
    need: 'must',
    why: 'You cook.',
    when: cooks,
    kinds: ({ people }) => (people > 1 ? ['pot-1.3-l', 'pot-0.9-l'] : ['pot-0.9-l', 'pot-0.75-l']),
  },
  {
    purpose: 'eat with',
    need: 'must',
    why: 'For every meal that is not a sandwich.',
    when: (s) => hasNight(s) && carriesFood(s),
    kinds: sureOf('spork'),
  },
  { purpose: 'drink from', need: 'nice', why: 'Coffee, tea, soup.', when: cooks, kinds: sureOf('cup') },
  {
    purpose: 'make fire',
    need: 'must',
    why: 'The stove’s igniter fails sooner or later.',
    when: cooks,
    kinds: sureOf('lighter'),
  },
  {
    purpose: 'dinner',
    need: 'must',
    why: 'One for each night.',
    when: (s) => cooks(s) && hasNight(s),
    kinds: sureOf('dinner', 'pasta'),
    quantity: nights,
  },
  {
    purpose: 'breakfast',
    need: 'must',
    why: 'One for each morning out.',
    when: (s) => carriesFood(s) && hasNight(s),
    kinds: sureOf('breakfast'),
    quantity: nights,
  },
  {
    purpose: 'dinner',
    need: 'must',
    why: 'Cold meals for each night.',
    when: (s) => s.trip.cooking === 'no stove' && hasNight(s),
    kinds: sureOf('bread', 'instant-mash'),
    quantity: nights,
  },
  {
    purpose: 'lunch',
    need: 'should',
    why: 'One for each day; shops may be closed.',
    when: carriesFood,
    kinds: sureOf('lunch', 'bread', 'cheese'),
    quantity: days,
  },
  {
    purpose: 'snack',
    need: 'must',
    why: 'Two or three for each day, within reach.',
    kinds: sureOf('energy-bar', 'trail-mix'),
    quantity: (s) => Math.min(12, 3 * days(s)),
  },
  {
    purpose: 'hold water',
    need: 'must',
    why: 'A litre and a half between places to fill it.',
    kinds: sureOf('bottle-0.75-l', 'bottle-1-l'),
    quantity: () => 2,
  },
  {
    purpose: 'treat water',
    need: 'should',
    why: 'Then streams and taps of doubt do too.',
    when: camps,
    kinds: sureOf('water-filter', 'water-tablets'),
  },
  {
    purpose: 'air in a tyre',
    need: 'must',
    why: 'One spare tube, whatever else you have.',
    kinds: sureOf('spare-tube-29-in', 'light-tube', 'spare-tube-28-in'),
  },
  {
    purpose: 'mend a tube',
    need: 'must',
    why: 'For the second puncture.',
    kinds: sureOf('patch-kit', 'tubeless-plugs'),
  },
  {
    purpose: 'take a tyre off',
    need: 'must',
    why: 'A tube goes in no other way.',
    kinds: sureOf('tyre-levers'),
  },
  {
    purpose: 'pump a tyre',
    need: 'must',
    why: 'A tube without air is no help.',
    kinds: sureOf('mini-pump', 'electric-pump'),
  },
  {
    purpose: 'turn bolts',
    need: 'must',
    why: 'Bolts come loose; check that it fits this bike’s.',
    kinds: sureOf('multi-tool'),
  },
  { purpose: 'join a chain', need: 'must', why: 'A broken chain ends a ride.', kinds: sureOf('quick-links') },
  {
    purpose: 'mend',
    need: 'should',
    why: 'Holds together what breaks.',
    kinds: sureOf('tape', 'cable-ties'),
  },
  {
    purpose: 'hold things on',
    need: 'should',
    why: 'A strap fails, or shopping needs a place.',
    when: hasNight,
    kinds: sureOf('spare-straps'),
  },
  {
    purpose: 'oil a chain',
    need: 'nice',
    why: 'Rain washes a chain dry in a day.',
    when: (s) => isWet(s) || nights(s) > 1,
    kinds: sureOf('chain-lube'),
  },
  {
    purpose: 'light ahead',
    need: 'must',
    why: 'A ride that takes longer ends in the dark. Local law says which.',
    kinds: sureOf('front-light'),
  },
  {
    purpose: 'light behind',
    need: 'must',
    why: 'A ride that takes longer ends in the dark. Local law says which.',
    kinds: sureOf('rear-light'),
  },
  {
    purpose: 'light at camp',
    need: 'must',
    why: 'Nights are dark.',
    when: hasNight,
    kinds: sureOf('head-torch'),
  },
  { purpose: 'call', need: 'must', why: 'Maps, and help.', kinds: sureOf('phone') },
  {
    purpose: 'charge',
    need: 'should',
    why: (s) => `For ${days(s)} days.`,
    when: hasNight,
    kinds: (s) =>
      nights(s) > 2
        ? ['power-bank-20000-mah', 'power-bank-10000-mah']
        : ['power-bank-10000-mah', 'power-bank-5000-mah'],
  },
  {
    purpose: 'charge',
    need: 'should',
    why: 'For each plug you have.',
    when: hasNight,
    kinds: sureOf('usb-cable'),
  },
  {
    purpose: 'first aid',
    need: 'must',
    why: 'Within reach, for you and others.',
    kinds: sureOf('first-aid-kit'),
  },
  {
    purpose: 'medicine',
    need: 'should',
    why: 'What you take every day, by your own doctor’s advice.',
    kinds: sureOf('medicines'),
    isOptional: true,
  },
  {
    purpose: 'warm in an emergency',
    need: 'should',
    why: 'Weighs little; a night out unplanned is cold.',
    kinds: sureOf('emergency-blanket'),
  },
  {
    purpose: 'toilet',
    need: 'must',
    why: 'Where there is none.',
    when: hasNight,
    kinds: sureOf('toilet-paper'),
  },
  {
    purpose: 'toilet',
    need: 'should',
    why: 'Where burying is allowed; the local rule comes first.',
    when: camps,
    kinds: sureOf('trowel'),
  },
  { purpose: 'wash', need: 'should', why: 'For the evening.', when: hasNight, kinds: sureOf('toothbrush') },
  { purpose: 'wash', need: 'should', why: 'For the evening.', when: hasNight, kinds: sureOf('toothpaste') },
  {
    purpose: 'clean hands',
    need: 'should',
    why: 'Before eating.',
    when: hasNight,
    kinds: sureOf('hand-sanitiser', 'soap'),
  },
  {
    purpose: 'sun',
    need: 'should',
    why: 'All day outside.',
    when: ({ conditions }) => conditions.warmestC >= 15,
    kinds: sureOf('sun-cream'),
  },
  {
    purpose: 'insects',
    need: 'nice',
    why: 'Warm evenings.',
    when: (s) => camps(s) && s.conditions.warmestC >= 18,
    kinds: sureOf('insect-repellent', 'mosquito-head-net'),
    isOptional: true,
  },
  { purpose: 'pay', need: 'must', why: 'Shops and trains.', kinds: sureOf('wallet') },
  { purpose: 'identify', need: 'must', why: 'Who you are.', kinds: sureOf('passport') },
  { purpose: 'home', need: 'must', why: 'To get in again.', kinds: sureOf('keys') },
];

export interface StarterEntry {
  /** Stable for the same rule. */
  id: string;
  purpose: string;
  need: Need;
  why: string;
  kind: Kind;
  /** What could replace it. */
  others: Kind[];
  quantity: number;
  /** On the list unless it is unticked. */
  isTaken: boolean;
}

/**
 * A packing list for a kind of trip, each entry with its reason and what could replace it.
 *
 * @example starterList(trip, 1).map(({ kind }) => kind.name) // ['Tent, 1 person', 'Sleeping bag, 0 °C', …]
 */
export function starterList(trip: Trip, people: number): StarterEntry[] {
  const situation: Situation = { conditions: tripConditions(trip), trip, people };
  return RULES.flatMap((rule, index) => {
    if (rule.when && !rule.when(situation)) return [];
    const [kind, ...others] = rule.kinds(situation).map((id) => kindOf(id)!);
    const { purpose, need, why, quantity, isOptional } = rule;
    return [
      {
        id: `${purpose} ${index}`,
        purpose,
        need,
        why: typeof why === 'string' ? why : why(situation),
        kind: kind!,
        others,
        quantity: quantity?.(situation) ?? 1,
        isTaken: !isOptional,
      },
    ];
  });
}

/**
 * The things of accepted entries. A small canister goes into the pot, where both come along.
 *
 * @param makeId hands out ids
 */
export function thingsOf(entries: readonly StarterEntry[], makeId: () => string): Thing[] {
  const things = entries.map(({ kind, quantity, need, purpose }) => {
    const thing = thingOfKind(makeId(), kind, { quantity });
    return { thing: { ...thing, need, provides: provided(thing, purpose) }, kind };
  });
  const pot = things.find(({ kind }) => kind.family === 'Pot');
  return things.map(({ thing, kind }) =>
    pot && kind.family === 'Gas canister' && goesInto(thing, pot.thing)
      ? { ...thing, inside: pot.thing.id }
      : thing,
  );
}

/** What was chosen to keep warm in a hut does, whatever its kind says of camping. */
const provided = (thing: Thing, purpose: string): Thing['provides'] =>
  purpose === 'sleep warm' && !thing.provides.includes('warmth')
    ? [...thing.provides, 'warmth']
    : thing.provides;

function goesInto({ form }: Thing, { hollow }: Thing): boolean {
  return (
    form.kind === 'cylinder' &&
    hollow?.kind === 'cylinder' &&
    form.diameterMm <= hollow.diameterMm &&
    form.lengthMm <= hollow.lengthMm
  );
}
