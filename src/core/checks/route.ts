import { isReliableWater, rideOf } from '@/core/facts/ride';
import { clock, duration } from '@/core/units/format';
import type { Check, Judgement } from './finding';

/** A day that ends after sunset, or after the end of twilight. */
export const arrivesLate: Check = {
  id: 'arrives late',
  stage: 'trip',
  judges: 'trip',
  run: (facts) =>
    (rideOf(facts)?.days ?? []).flatMap(({ day, arrivalMin, sunsetMin, duskMin, totalS }): Judgement[] => {
      if (sunsetMin === null || arrivalMin <= sunsetMin) return [];
      const isDark = duskMin !== null && arrivalMin > duskMin;
      return [
        {
          about: `day ${day}`,
          severity: 'check',
          message: `Day ${day} arrives at ${clock(arrivalMin)}, ${duration(60 * (arrivalMin - sunsetMin))} after sunset${isDark ? ' and in the dark' : ''}.`,
          reason: `With stops it takes ${duration(totalS)} at the power you are taken to keep up. Start earlier, end the day sooner, or carry lights and know the way to the camp. Where riding at night is allowed is for local law to say.`,
        },
      ];
    }),
};

/** Too few places to sleep for the nights, or another number of days. */
export const daysWithoutPlace: Check = {
  id: 'days and nights',
  stage: 'trip',
  judges: 'trip',
  run(facts) {
    const problem = rideOf(facts)?.problem ?? null;
    return problem === null
      ? []
      : [
          {
            severity: 'check',
            message: problem,
            reason:
              'Add places to sleep to the route, have the days suggested anew, or set where each ends. Camping is legal only where it is: ask the landowner or the authority.',
          },
        ];
  },
};

/** A night without water nearby, on a route that knows of water. */
export const dryCamp: Check = {
  id: 'dry camp',
  stage: 'trip',
  judges: 'trip',
  run(facts, format) {
    const ride = rideOf(facts);
    if (!ride?.places.some(({ place }) => place.kind === 'water')) return [];
    return ride.days.slice(0, -1).flatMap(({ day, toM, waterAtEnd }): Judgement[] => {
      if (waterAtEnd) return [];
      const last = ride.places.filter((each) => isReliableWater(each) && each.alongM <= toM).at(-1);
      return [
        {
          about: `night ${day}`,
          severity: 'check',
          message: `There is no reliable water where day ${day} ends.`,
          reason: last
            ? `The last before it is ${last.place.name}, ${format.distance(toM - last.alongM)} earlier: carry water for the evening and the morning from there.`
            : 'Carry water for the evening and the morning from the start.',
        },
      ];
    });
  },
};

/** What is walked since the lowest gear is too high; told from here on. */
const LEAST_WALKED_M = 300;

/** Stretches too steep to ride with this load. */
export const walkedUp: Check = {
  id: 'walked',
  stage: 'trip',
  judges: 'trip',
  run(facts, format) {
    const ride = rideOf(facts);
    if (!ride || ride.walkedM < LEAST_WALKED_M) return [];
    const { slope, alongM, ground } = ride.steepest;
    const percent = (ratio: number) => `${Math.round(100 * ratio)} %`;
    return [
      {
        severity: 'note',
        message: `${format.distance(ride.walkedM)} of the way is walked.`,
        reason: `The steepest stretch rises ${percent(slope)} on ${ground} at ${format.distance(alongM)}; with this load and lowest gear ${percent(ride.steepestRideable)} can be ridden there. Less load or a lower gear shortens the walk.`,
      },
    ];
  },
};
