import { DEFAULT_GEOMETRY } from '@/core/bike/bike';
import { PLAN_VERSION, type Plan } from '@/core/plan/plan';
import { DEMO_BAGS } from './bags';
import { DEMO_THINGS } from './kit';

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
    filling: 'by when it is wanted',
  },
  rider: { massG: 74_000 },
  bike: {
    id: 'hardtail',
    name: 'Steel hardtail',
    massG: 13_400,
    massSource: 'luggage scale',
    greatestTotalG: 125_000,
    geometry: { ...DEFAULT_GEOMETRY },
  },
  bags: [...DEMO_BAGS],
  things: [...DEMO_THINGS],
  load: [],
});
