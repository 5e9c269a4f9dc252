import { conditionsOf } from '@/core/facts/conditions';
import type { Check, Judgement } from './finding';

/** From this wind on it is felt in the steering and by a tent. */
const STRONG_WIND_KMH = 40;
const HOT_C = 32;

/** What the weather itself asks of the rider, night by night and day by day. */
export const weather: Check = {
  id: 'weather',
  stage: 'trip',
  judges: 'trip',
  readsWeather: true,
  run(facts, format) {
    const { nights, days } = conditionsOf(facts);
    const freezing = nights.filter(({ coldestC, sleeping }) => coldestC < 0 && sleeping !== 'hotel');
    const windy = days.filter(({ windKmh }) => windKmh !== null && windKmh >= STRONG_WIND_KMH);
    const hot = days.filter(({ warmestC }) => warmestC >= HOT_C);
    const said: Judgement[] = [];
    if (freezing.length > 0)
      said.push({
        about: 'frost',
        severity: 'note',
        message: `It may freeze at night, down to ${format.temperature(Math.round(Math.min(...freezing.map(({ coldestC }) => coldestC))))}.`,
        reason:
          'Take the water filter, the gas canister and the batteries into the sleeping bag: a filter that froze no longer filters, and gas and batteries give little in the cold. Wet roads can be icy in the morning.',
      });
    if (windy.length > 0)
      said.push({
        about: 'wind',
        severity: 'note',
        message: `Day ${windy[0]!.day} is windy, up to ${format.speed(Math.max(...windy.map(({ windKmh }) => windKmh!)))}.`,
        reason:
          'A loaded bike catches the wind, most of all its fork and bar bags, and gusts throw it sideways on open roads. Camp in shelter, away from trees that could fall.',
      });
    if (hot.length > 0)
      said.push({
        about: 'heat',
        severity: 'note',
        message: `Day ${hot[0]!.day} is hot, up to ${format.temperature(Math.round(Math.max(...hot.map(({ warmestC }) => warmestC))))}.`,
        reason:
          'Ride early and late, rest in the shade at noon, and carry more water. Dizziness, a headache or no more sweat mean: stop, cool down, and get help.',
      });
    return said;
  },
};
