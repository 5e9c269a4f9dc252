import type { Entry, Logged } from '@/core/entries/entry';
import type { Ridden } from '@/core/learning/ridden';
import type { Plan } from '@/core/plan/plan';
import { addDays } from '@/core/trip/trip';
import { demoPlan } from './plan';

/** Where the demo's things lay on earlier trips, by compartment. */
const LAY: Readonly<Record<string, string>> = {
  'seat-pack-main': `down-quilt quilt-pad-straps inflatable-mat inflation-sack pillow silk-liner sleep-leggings sleep-socks spare-riding-socks spare-underwear wash-bag`,
  'bar-roll-main': `tent-inner-and-fly tent-poles tent-pegs ground-sheet guy-lines spoon dinners-dried flatbread`,
  'fork-left-main': `insulated-jacket sleep-shirt soft-flask-for-the-dry-stretch paperback`,
  'seat-pack-cord': `rain-jacket squeeze-filter`,
  'bar-bag-main': `rain-trousers warm-hat long-fingered-gloves first-aid-pouch foil-blanket small-towel trowel-and-paper sun-cream cards-cash-and-train-ticket paper-map`,
  'stem-right-main': `wind-vest chews bottle-stem`,
  'fork-right-main': `camp-shoes pot-0-9-l mug lighter-and-matches coffee-kit cables-and-plug`,
  'frame-main': `breakfast-oats hard-cheese oat-bars chocolate electrolyte-tablets multitool spare-tube plug-and-patch-kit tyre-levers chain-links-and-derailleur-hanger chain-oil brake-pads tape-ties-and-wire`,
  'top-tube-main': `nuts-and-dried-fruit head-torch front-light phone`,
  'cage-main': `bottle-frame`,
  'tool-can-main': `mini-pump`,
  'stem-left-main': `light-lock rear-light`,
  'frame-left': `power-bank`,
};

interface Told {
  tripId: string;
  name: string;
  startDate: string;
  nights: number;
  dayMaximumC: number;
  nightMinimumC: number;
  rain: 'likely' | 'unlikely';
  /** Left at home that time. */
  home: readonly string[];
  unused: readonly string[];
  missed: readonly string[];
  /** Checked on the bike a week before. */
  checked: readonly string[];
  log: readonly (Partial<Omit<Logged, 'id' | 'at' | 'kind'>> & Pick<Logged, 'what' | 'day'>)[];
}

const TOLD: readonly Told[] = [
  {
    tripId: 'plateau-loop-in-june',
    name: 'Plateau loop in June',
    startDate: '2026-06-19',
    nights: 2,
    dayMaximumC: 24,
    nightMinimumC: 9,
    rain: 'unlikely',
    home: ['folding-chair'],
    unused: [
      'paperback',
      'guy-lines',
      'rain-trousers',
      'warm-hat',
      'long-fingered-gloves',
      'foil-blanket',
      'first-aid-pouch',
      'spare-tube',
      'brake-pads',
    ],
    missed: ['Insect spray'],
    checked: ['bike brakes', 'bike bolts', 'bike chain'],
    log: [
      { what: 'drank', day: 1, amount: 1500 },
      { what: 'drank', day: 1, amount: 750 },
      { what: 'arrived', day: 1, amount: 13 * 60 + 40 },
      { what: 'slept', day: 1, note: 'well' },
      { what: 'drank', day: 2, amount: 1500 },
      { what: 'drank', day: 2, amount: 1000 },
      { what: 'trouble', day: 2, bagId: 'seat-pack', trouble: 'sways' },
      { what: 'arrived', day: 2, amount: 11 * 60 + 50 },
      { what: 'charged', day: 2, amount: 18 },
      { what: 'drank', day: 3, amount: 1500 },
      { what: 'drank', day: 3, amount: 500 },
      { what: 'trouble', day: 3, bagId: 'bar-roll', trouble: 'rattles' },
      { what: 'gas left', day: 3, thingId: 'gas-canister', amount: 51 },
    ],
  },
  {
    tripId: 'plateau-overnight-in-september',
    name: 'Plateau overnight in September',
    startDate: '2026-09-12',
    nights: 1,
    dayMaximumC: 17,
    nightMinimumC: 4,
    rain: 'likely',
    home: ['folding-chair', 'camp-shoes', 'pillow', 'ground-sheet'],
    unused: [
      'paperback',
      'guy-lines',
      'sun-cream',
      'foil-blanket',
      'first-aid-pouch',
      'spare-tube',
      'brake-pads',
    ],
    missed: ['Warm mittens'],
    checked: ['bike chain'],
    log: [
      { what: 'drank', day: 1, amount: 1500 },
      { what: 'drank', day: 1, amount: 1000 },
      { what: 'ate', day: 1, thingId: 'oat-bars', amount: 3 },
      { what: 'ate', day: 1, thingId: 'nuts-and-dried-fruit', amount: 3 },
      { what: 'ate', day: 1, thingId: 'flatbread', amount: 1 },
      { what: 'ate', day: 1, thingId: 'hard-cheese', amount: 2 },
      { what: 'ate', day: 1, thingId: 'dinners-dried', amount: 1 },
      { what: 'weather', day: 1, note: 'rain' },
      { what: 'slept', day: 1, note: 'cold' },
      { what: 'charged', day: 1, amount: 16 },
      { what: 'trouble', day: 2, bagId: 'bar-roll', trouble: 'tyre' },
      { what: 'drank', day: 2, amount: 1500 },
      { what: 'drank', day: 2, amount: 500 },
      { what: 'gas left', day: 2, thingId: 'gas-canister', amount: 77 },
    ],
  },
];

/** Two trips that the demo's rider has behind them, with their logs and reviews. */
export const demoRidden = (): Ridden[] => TOLD.map(ridden);

function ridden(told: Told): Ridden {
  const { tripId, name, startDate, nights, dayMaximumC, nightMinimumC, rain, home } = told;
  const demo = demoPlan();
  const plan: Plan = {
    ...demo,
    trip: {
      ...demo.trip,
      ...{ name, startDate, nights, dayMaximumC, nightMinimumC, rain },
      weather: null,
      menu: [],
    },
    load: [
      ...home.map((thingId) => ({ thingId, to: 'home' as const, pinned: false })),
      ...Object.entries(LAY).flatMap(([compartmentId, things]) =>
        things
          .split(' ')
          .filter((thingId) => !home.includes(thingId))
          .map((thingId) => ({ thingId, to: { compartmentId }, pinned: false })),
      ),
    ],
  };
  let minute = 0;
  const next = (day: number) => {
    minute += 1;
    return {
      id: `${tripId}-${minute}`,
      at: new Date(Date.parse(`${addDays(startDate, day - 1)}T09:00:00Z`) + 60_000 * minute).toISOString(),
    };
  };
  const entries: Entry[] = [
    ...told.checked.map((taskId): Entry => ({ kind: 'done', taskId, done: true, ...next(-6) })),
    ...told.log.map((line): Entry => ({
      ...{ amount: null, thingId: null, bagId: null, trouble: null, note: '', alongM: null },
      ...line,
      kind: 'logged',
      ...next(line.day),
    })),
    ...plan.things
      .filter(({ id }) => !home.includes(id))
      .map(({ id }): Entry => ({
        kind: 'reviewed',
        thingId: id,
        answer: told.unused.includes(id) ? 'unused' : 'used',
        ...next(nights + 2),
      })),
    ...told.missed.map((what): Entry => ({ kind: 'missed', name: what, ...next(nights + 2) })),
  ];
  return { tripId, name, plan, entries };
}
