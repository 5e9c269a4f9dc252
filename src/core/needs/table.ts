import type { Build } from '@/core/bike/bike';
import type { Need, System } from '@/core/kit/thing';
import type { Conditions } from '@/core/trip/conditions';
import type { Trip } from '@/core/trip/trip';

/** What rules read. */
export interface NeedSituation {
  conditions: Conditions;
  trip: Trip;
  people: number;
  /** Null where the bike is not known: its spares are not asked for. */
  build: Build | null;
  /** How far help may be at worst, in metres; null where the route does not tell. */
  helpM: number | null;
}

/** What being without it costs, when it is called for (methods, section 15). */
export const HARM = {
  nuisance: 1,
  'a bad night or a slow day': 3,
  'the end of the trip': 10,
  danger: 30,
} as const;
export type Harm = keyof typeof HARM;

/** A purpose that a trip asks for. Adding one is an entry here. */
export interface NeedRule {
  /** Any one of these purposes meets it. The first names the need. */
  purposes: readonly [string, ...string[]];
  /** "a way to boil water", for sentences. */
  what: string;
  system: System;
  importance: Need;
  /** One sentence. */
  why: string;
  /** How likely it is that the trip calls for it, before anything is learned. */
  chance: number;
  harm: Harm;
  /** Why a second one is wise, where it is. */
  spare?: string;
  /** Each rider needs their own. */
  each?: true;
  when?: (situation: NeedSituation) => boolean;
}

const outside = ({ conditions }: NeedSituation) => conditions.sleepsOutside;
const hasNight = ({ conditions }: NeedSituation) => conditions.nights.length > 0;
const notInHotel = (situation: NeedSituation) => hasNight(situation) && situation.trip.sleeping !== 'hotel';
const cooks = ({ trip, conditions }: NeedSituation) =>
  trip.cooking === 'stove' && conditions.nights.length > 0;
const wet = ({ conditions }: NeedSituation) => conditions.rain === 'likely';
const cold =
  (below: number) =>
  ({ conditions }: NeedSituation) =>
    conditions.coldestC < below;
const FAR_M = 15_000;
const far = ({ helpM }: NeedSituation) => helpM !== null && helpM > FAR_M;
const circumstance =
  (name: Trip['circumstances'][number]) =>
  ({ trip }: NeedSituation) =>
    trip.circumstances.includes(name);

/** Every need, system by system. */
export const NEEDS_TABLE: readonly NeedRule[] = [
  // Sleep and shelter
  {
    purposes: ['sleep warm'],
    what: 'something to sleep warm in',
    system: 'sleep',
    importance: 'must',
    why: 'A night outside without it is dangerous.',
    chance: 1,
    harm: 'danger',
    each: true,
    when: notInHotel,
  },
  {
    purposes: ['insulate from the ground'],
    what: 'a mat',
    system: 'sleep',
    importance: 'must',
    why: 'The ground takes more warmth than the air.',
    chance: 1,
    harm: 'a bad night or a slow day',
    each: true,
    when: (s) => outside(s) && s.trip.sleeping !== 'hammock',
  },
  {
    purposes: ['shelter'],
    what: 'a shelter',
    system: 'shelter',
    importance: 'must',
    why: 'Rain and dew wet what keeps you warm.',
    chance: 1,
    harm: 'the end of the trip',
    when: outside,
  },
  {
    purposes: ['insects'],
    what: 'something against insects',
    system: 'shelter',
    importance: 'nice',
    why: 'Warm, still evenings bring midges and ticks.',
    chance: 0.4,
    harm: 'nuisance',
    when: (s) => outside(s) && s.conditions.warmestC >= 15,
  },
  // Clothes
  {
    purposes: ['keep rain off'],
    what: 'a rain layer',
    system: 'clothes',
    importance: 'must',
    why: 'Wet and wind together cool a rider faster than cold.',
    chance: 0.6,
    harm: 'the end of the trip',
    each: true,
    when: wet,
  },
  {
    purposes: ['keep rain off', 'keep wind off'],
    what: 'a layer against wind and showers',
    system: 'clothes',
    importance: 'should',
    why: 'Descents and breaks are cold even on a dry day.',
    chance: 0.5,
    harm: 'a bad night or a slow day',
    each: true,
    when: (s) => !wet(s),
  },
  {
    purposes: ['warm at camp'],
    what: 'a warm layer for camp',
    system: 'clothes',
    importance: 'must',
    why: 'You stop moving in the evening, and the evening is cold.',
    chance: 0.9,
    harm: 'a bad night or a slow day',
    each: true,
    when: (s) => hasNight(s) && cold(12)(s),
  },
  {
    purposes: ['sleep clothes'],
    what: 'dry clothes to sleep in',
    system: 'clothes',
    importance: 'should',
    why: 'A dry set that is never ridden in.',
    chance: 0.7,
    harm: 'a bad night or a slow day',
    each: true,
    when: notInHotel,
  },
  {
    purposes: ['warm hands', 'keep hands dry'],
    what: 'warm gloves',
    system: 'clothes',
    importance: 'should',
    why: 'Cold hands cannot brake.',
    chance: 0.6,
    harm: 'danger',
    each: true,
    when: cold(6),
  },
  {
    purposes: ['warm head'],
    what: 'a warm hat',
    system: 'clothes',
    importance: 'should',
    why: 'For camp and bed.',
    chance: 0.7,
    harm: 'nuisance',
    each: true,
    when: (s) => hasNight(s) && cold(8)(s),
  },
  // Cook
  {
    purposes: ['boil water'],
    what: 'a stove',
    system: 'cook',
    importance: 'must',
    why: 'Your meals need hot water.',
    chance: 1,
    harm: 'a bad night or a slow day',
    when: cooks,
  },
  {
    purposes: ['cook in'],
    what: 'a pot',
    system: 'cook',
    importance: 'must',
    why: 'Water is boiled in it.',
    chance: 1,
    harm: 'a bad night or a slow day',
    when: cooks,
  },
  {
    purposes: ['fuel'],
    what: 'fuel',
    system: 'cook',
    importance: 'must',
    why: 'The stove burns it.',
    chance: 1,
    harm: 'a bad night or a slow day',
    when: cooks,
  },
  {
    purposes: ['make fire'],
    what: 'a lighter',
    system: 'cook',
    importance: 'must',
    why: 'Nothing cooks without a flame.',
    chance: 1,
    harm: 'a bad night or a slow day',
    spare: 'One lighter gets wet or empty.',
    when: cooks,
  },
  {
    purposes: ['eat with'],
    what: 'a spoon',
    system: 'cook',
    importance: 'should',
    why: 'Hot meals are eaten with something.',
    chance: 0.9,
    harm: 'nuisance',
    when: cooks,
  },
  {
    purposes: ['drink from', 'eat from'],
    what: 'a cup',
    system: 'cook',
    importance: 'nice',
    why: 'Tea while the pot is full.',
    chance: 0.6,
    harm: 'nuisance',
    when: cooks,
  },
  // Water
  {
    purposes: ['hold water'],
    what: 'a bottle',
    system: 'water',
    importance: 'must',
    why: 'Riding makes thirsty.',
    chance: 1,
    harm: 'the end of the trip',
    each: true,
  },
  {
    purposes: ['treat water'],
    what: 'a way to treat water',
    system: 'water',
    importance: 'should',
    why: 'Streams and troughs are not safe as they are.',
    chance: 0.6,
    harm: 'a bad night or a slow day',
    spare: 'A filter freezes or clogs; tablets weigh nothing.',
    when: outside,
  },
  // Tools
  {
    purposes: ['turn bolts'],
    what: 'tools for the bolts',
    system: 'tools',
    importance: 'must',
    why: 'Bolts work loose under a load.',
    chance: 0.5,
    harm: 'the end of the trip',
  },
  {
    purposes: ['pump a tyre'],
    what: 'a pump',
    system: 'tools',
    importance: 'must',
    why: 'Every puncture ends with it.',
    chance: 0.3,
    harm: 'the end of the trip',
    when: () => true,
  },
  {
    purposes: ['air in a tyre'],
    what: 'a spare tube',
    system: 'tools',
    importance: 'must',
    why: 'It mends what nothing else mends, tubeless or not.',
    chance: 0.2,
    harm: 'the end of the trip',
  },
  {
    purposes: ['plug a tyre'],
    what: 'plugs',
    system: 'tools',
    importance: 'must',
    why: 'Your tyres are tubeless: most holes are plugged.',
    chance: 0.3,
    harm: 'a bad night or a slow day',
    when: ({ build }) => build?.tubes === false,
  },
  {
    purposes: ['mend a tube'],
    what: 'patches',
    system: 'tools',
    importance: 'should',
    why: 'Your tyres have tubes: a second puncture needs a patch.',
    chance: 0.2,
    harm: 'the end of the trip',
    when: ({ build }) => build?.tubes === true,
  },
  {
    purposes: ['take a tyre off'],
    what: 'tyre levers',
    system: 'tools',
    importance: 'should',
    why: 'Tight tyres do not come off by hand.',
    chance: 0.2,
    harm: 'a bad night or a slow day',
  },
  {
    purposes: ['join a chain', 'open a chain'],
    what: 'a chain link and a way to open the chain',
    system: 'tools',
    importance: 'should',
    why: 'A torn chain ends the ride.',
    chance: 0.1,
    harm: 'the end of the trip',
    when: (s) => hasNight(s) || far(s),
  },
  {
    purposes: ['mend gears'],
    what: 'a hanger for your gears',
    system: 'tools',
    importance: 'should',
    why: 'A fall bends it, and no other fits.',
    chance: 0.08,
    harm: 'the end of the trip',
    when: (s) => far(s) && s.build !== null && s.build.gears.startsWith('derailleur'),
  },
  {
    purposes: ['mend a tyre'],
    what: 'a tyre boot',
    system: 'tools',
    importance: 'nice',
    why: 'A cut in the side wall holds no tube.',
    chance: 0.05,
    harm: 'the end of the trip',
    when: far,
  },
  {
    purposes: ['mend', 'hold things on'],
    what: 'tape, ties or straps',
    system: 'tools',
    importance: 'should',
    why: 'They mend bags, shoes and poles.',
    chance: 0.5,
    harm: 'nuisance',
  },
  {
    purposes: ['oil a chain'],
    what: 'chain oil',
    system: 'tools',
    importance: 'should',
    why: 'Rain washes it out in hours.',
    chance: 0.6,
    harm: 'nuisance',
    when: (s) => wet(s) && hasNight(s),
  },
  {
    purposes: ['stop'],
    what: 'brake pads',
    system: 'tools',
    importance: 'nice',
    why: 'A wet, hilly day with a load wears them down.',
    chance: 0.05,
    harm: 'danger',
    when: (s) => hasNight(s) && far(s),
  },
  {
    purposes: ['lock the bike'],
    what: 'a lock',
    system: 'tools',
    importance: 'nice',
    why: 'For the shop and the train.',
    chance: 0.3,
    harm: 'nuisance',
  },
  // First aid and hygiene
  {
    purposes: ['first aid'],
    what: 'a first aid kit',
    system: 'first aid',
    importance: 'must',
    why: 'Falls, blisters and stings happen far from a pharmacy.',
    chance: 0.3,
    harm: 'danger',
  },
  {
    purposes: ['warm in an emergency'],
    what: 'a foil blanket',
    system: 'first aid',
    importance: 'should',
    why: 'Someone who lies still cools quickly.',
    chance: 0.03,
    harm: 'danger',
    when: far,
  },
  {
    purposes: ['toilet'],
    what: 'toilet paper and a trowel',
    system: 'hygiene',
    importance: 'must',
    why: 'Bury or carry out, as the land manager says.',
    chance: 0.9,
    harm: 'nuisance',
    when: hasNight,
  },
  {
    purposes: ['wash'],
    what: 'a wash kit',
    system: 'hygiene',
    importance: 'should',
    why: 'Teeth and hands, and skin that rubs.',
    chance: 0.9,
    harm: 'nuisance',
    when: hasNight,
    each: true,
  },
  {
    purposes: ['sun'],
    what: 'sun cream',
    system: 'hygiene',
    importance: 'should',
    why: 'A day on a plateau burns even when it is cool.',
    chance: 0.6,
    harm: 'a bad night or a slow day',
    when: ({ conditions }) => conditions.warmestC >= 12,
  },
  // Light, power, finding the way, calling for help
  {
    purposes: ['light ahead'],
    what: 'a front light',
    system: 'electronics',
    importance: 'must',
    why: 'For dusk, tunnels and a late arrival.',
    chance: 0.5,
    harm: 'danger',
    spare: 'A head torch can stand in for it.',
    each: true,
  },
  {
    purposes: ['light behind'],
    what: 'a rear light',
    system: 'electronics',
    importance: 'must',
    why: 'To be seen; local law says which.',
    chance: 0.5,
    harm: 'danger',
    each: true,
  },
  {
    purposes: ['light at camp'],
    what: 'a torch for camp',
    system: 'electronics',
    importance: 'must',
    why: 'Pitching in the dark.',
    chance: 0.9,
    harm: 'a bad night or a slow day',
    each: true,
    when: notInHotel,
  },
  {
    purposes: ['charge'],
    what: 'a way to charge',
    system: 'electronics',
    importance: 'should',
    why: 'Phone, head unit and lights are empty on the second day.',
    chance: 0.8,
    harm: 'a bad night or a slow day',
    when: hasNight,
  },
  {
    purposes: ['navigate'],
    what: 'something to find the way with',
    system: 'electronics',
    importance: 'must',
    why: 'Signs are missing where it matters.',
    chance: 0.9,
    harm: 'the end of the trip',
    spare: 'A second one that needs no charge, or its own.',
  },
  {
    purposes: ['call'],
    what: 'a phone',
    system: 'electronics',
    importance: 'must',
    why: 'To call for help.',
    chance: 0.1,
    harm: 'danger',
  },
  {
    purposes: ['call without a phone'],
    what: 'a way to call for help without coverage',
    system: 'electronics',
    importance: 'should',
    why: 'Far from help, valleys have no signal.',
    chance: 0.03,
    harm: 'danger',
    when: far,
  },
  // Papers
  {
    purposes: ['pay'],
    what: 'money',
    system: 'papers',
    importance: 'must',
    why: 'Shops, trains and campsites.',
    chance: 1,
    harm: 'the end of the trip',
  },
  {
    purposes: ['identify'],
    what: 'identity papers',
    system: 'papers',
    importance: 'must',
    why: 'The border asks for them.',
    chance: 1,
    harm: 'the end of the trip',
    each: true,
    when: circumstance('border'),
  },
];
