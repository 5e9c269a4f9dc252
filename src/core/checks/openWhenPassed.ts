import { isOpenWhenPassed } from '@/core/facts/open';
import { rideOf } from '@/core/facts/ride';
import { weekday } from '@/core/trip/route/hours';
import type { Place } from '@/core/trip/route/route';
import { clock } from '@/core/units/format';
import type { Check, Judgement } from './finding';

/** What may stand in for a place that is closed. */
const INSTEAD: Partial<Record<Place['kind'], readonly Place['kind'][]>> = {
  shop: ['shop'],
  café: ['café', 'shop'],
};

/** A shop that is closed when it is passed, where nothing else on that day's way is open; a place to sleep that is closed on arrival. */
export const closedWhenPassed: Check = {
  id: 'closed when passed',
  stage: 'trip',
  judges: 'trip',
  run(facts) {
    const ride = rideOf(facts);
    if (!ride) return [];
    const buys = facts.plan.trip.cooking === 'buy on the way';
    return ride.places.flatMap((each): Judgement[] => {
      const { place, day, passMin } = each;
      if (isOpenWhenPassed(ride, each) !== false) return [];
      const sleepsHere = ride.days.some(({ sleepsAt }) => sleepsAt === place);
      const others = INSTEAD[place.kind];
      const matters =
        sleepsHere ||
        (others !== undefined &&
          (place.kind === 'shop' || buys) &&
          !ride.places.some(
            (other) =>
              other.day === day &&
              others.includes(other.place.kind) &&
              isOpenWhenPassed(ride, other) !== false &&
              other !== each,
          ));
      if (!matters) return [];
      const when = `${weekday(ride.days[day - 1]!.date!)} at ${clock(passMin)}`;
      return [
        {
          about: place.id,
          severity: 'check',
          message: `${place.name} is closed when you ${sleepsHere ? 'arrive' : 'pass'}: day ${day}, ${when}.`,
          reason: `It is open ${place.hours!.text}${place.hours!.varies ? ', which changes with the season or on holidays' : ''}. ${
            sleepsHere
              ? 'Call ahead, or arrive earlier.'
              : 'Nothing else is sold on that day’s way: bring the food, buy it the day before, or move the days.'
          } Hours change: ask before you rely on them.`,
        },
      ];
    });
  },
};

/** A last day that ends after its train has left. */
export const missesTrain: Check = {
  id: 'misses the train',
  stage: 'trip',
  judges: 'trip',
  run(facts) {
    const ride = rideOf(facts);
    const endBy = ride?.route.endByMin ?? null;
    const last = ride?.days.at(-1);
    if (endBy === null || !last || last.arrivalMin <= endBy) return [];
    const late = Math.ceil(last.arrivalMin - endBy);
    return [
      {
        severity: 'check',
        message: `The last day ends at ${clock(last.arrivalMin)}, ${late} minutes too late for ${clock(endBy)}.`,
        reason: 'Start that day earlier, move the last night further along the route, or take a later train.',
        fixes: () =>
          last.startMin - late >= 0 && last.startMin === ride!.route.startMin
            ? [
                {
                  label: `Begin the days at ${clock(5 * Math.floor((last.startMin - late) / 5))}`,
                  edit: {
                    kind: 'change route',
                    patch: { startMin: 5 * Math.floor((last.startMin - late) / 5) },
                  },
                },
              ]
            : [],
      },
    ];
  },
};
