import { moveFix, roomFor } from '@/core/advice/fixes';
import type { Facts } from '@/core/facts/facts';
import { extentOf } from '@/core/geometry/polygon';
import type { Check, Judgement } from './finding';

const WORDS = { ahead: 'ahead', behind: 'behind', sky: 'of the sky' } as const;

/** A thing that needs to be seen, or to see the sky, and is packed where it cannot. */
export const clearView: Check = {
  id: 'clear view',
  stage: 'load',
  judges: 'thing',
  run: (facts) =>
    facts.compartments.flatMap(({ spot, things }) =>
      things.flatMap((thing): Judgement[] => {
        if (thing.view === 'none' || seesOut(spot)) return [];
        return [
          {
            subject: thing.id,
            severity: 'check',
            message: `${thing.name} needs a clear view ${WORDS[thing.view]}, but lies in ${spot.name}.`,
            reason:
              thing.view === 'sky'
                ? 'A beacon in a bag cannot be heard. Mount it on top, where nothing covers it, and try it before the trip.'
                : 'Mount it on the bike before dusk and before tunnels. Lights must meet local law.',
            fixes: () => roomFor(facts, thing, seesOut).map((place) => moveFix(thing, place)),
          },
        ];
      }),
    ),
};

/** Strapped outside, or standing in an open bag with its head out. */
const seesOut = ({ compartment, bag }: Facts['spots'][number]): boolean =>
  compartment.outside !== 'no' ||
  (compartment.weather === 'open' && (bag.place === 'stem bag' || bag.place === 'body'));

/** A lamp stands about this far above the bar it is clamped to, and shines from a patch this high. */
const LAMP_ABOVE_BAR_MM = 30;
const LAMP_HALF_MM = 20;

/** A bag that hides a lamp fixed to the bike. */
export const hiddenLamp: Check = {
  id: 'hidden lamp',
  stage: 'bike',
  judges: 'bag',
  run({ view, plan, surroundings }) {
    const build = plan.bike?.build;
    const frontZ = view.bar.z + LAMP_ABOVE_BAR_MM;
    const rearZ = (view.seatTubeTop.z + view.seatpostClamp.z) / 2;
    return surroundings.bags.flatMap(({ bag, place }): Judgement[] => {
      if (!place.outline) return [];
      const { left, low, high } = extentOf(place.outline);
      const covers = (z: number) => low < z + LAMP_HALF_MM && high > z - LAMP_HALF_MM;
      const hides = (lamp: string, move: string): Judgement => ({
        subject: bag.id,
        about: lamp,
        severity: 'check',
        message: `${bag.name} hides the ${lamp}.`,
        reason: `A lamp behind a bag lights the bag. ${move} Lights must meet local law, even where daylight is planned.`,
      });
      if (build?.frontLight === 'on the bar' && place.rides === 'bar' && left > view.bar.x && covers(frontZ))
        return [hides('front light on the bar', 'Hang the bag lower, or move the lamp to the fork crown.')];
      if (build?.rearLight === 'on the seatpost' && place.rides === 'saddle' && covers(rearZ))
        return [hides('rear light on the seatpost', 'Move the lamp to a seatstay or to the pack.')];
      return [];
    });
  },
};
