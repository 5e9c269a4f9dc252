import { EATING_DEFAULTS } from '@/core/food/menuSchema';
import { PLAN_VERSION, type Plan } from '@/core/plan/plan';
import { DEMO_BAGS } from './bags';
import { HARDTAIL } from './bikes';
import { DEMO_THINGS } from './kit';
import { DEMO_MENU } from './menu';
import { DEMO_ROUTE } from './route';

/**
 * The demo: a made-up three-day, two-night spring loop over a limestone plateau and along a river valley, with
 * everything laid out on the floor and nothing loaded yet. There is one thing too many for these bags.
 */
export const demoPlan = (): Plan => ({
  format: 'gorvin-plan',
  version: PLAN_VERSION,
  trip: {
    name: 'Plateau and river loop',
    startDate: '2027-04-16',
    nights: 2,
    sleeping: 'tent',
    nightMinimumC: 3,
    dayMaximumC: 17,
    rain: 'likely',
    weather: [
      { minC: 5, maxC: 16, rainChance: 20, rainMm: 0.5, windKmh: 15, heightM: null },
      { minC: 3, maxC: 13, rainChance: 60, rainMm: 5, windKmh: 28, heightM: null },
      { minC: 4, maxC: 17, rainChance: 30, rainMm: 1, windKmh: 18, heightM: null },
    ],
    scenario: 'expected',
    circumstances: ['train'],
    dismissed: [],
    menu: DEMO_MENU,
    eating: EATING_DEFAULTS,
    cooking: 'stove',
    filling: 'by when it is wanted',
    surface: 'gravel',
  },
  rider: {
    massG: 74_000,
    kneeGapMm: null,
    inseamMm: 815,
    shoeMm: null,
    powerW: null,
    drinkLPerH: null,
    paceShare: null,
    eatShare: null,
    fuelShare: null,
    chargeShare: null,
    coldSleeper: false,
  },
  bike: HARDTAIL,
  bags: [...DEMO_BAGS],
  things: [...DEMO_THINGS],
  load: [],
  wishes: [],
  fellows: [],
  route: DEMO_ROUTE,
});
