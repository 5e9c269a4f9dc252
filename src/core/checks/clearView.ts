import { extentOf } from '@/core/geometry/polygon';
import type { Facts } from '@/core/facts/facts';
import { moveFix, roomFor } from '@/core/advice/fixes';
import type { Check, Finding } from './finding';

const WORDS = { ahead: 'ahead', behind: 'behind', sky: 'of the sky' } as const;
/** A lamp stands about this far above the bar it is clamped to, and shines from a patch this high. */
const LAMP_ABOVE_BAR_MM = 30;
const LAMP_HALF_MM = 20;

/** Lamps hidden by bags, and a beacon packed where it cannot see the sky. */
export const clearView: Check = {
  id: 'clear view',
  run(facts) {
    const { view, plan, surroundings } = facts;
    const findings: Finding[] = [];
    const hidden = (id: string, lamp: string, bagName: string, bagId: string, move: string) =>
      findings.push({
        id,
        check: 'clear view',
        severity: 'look',
        stage: 'bike',
        subject: { kind: 'bag', id: bagId },
        message: `${bagName} hides the ${lamp}.`,
        reason: `A lamp behind a bag lights the bag. ${move} Lights must meet local law, even where daylight is planned.`,
        figures: [],
        fixes: [],
      });
    const lampZ = view.bar.z + LAMP_ABOVE_BAR_MM;
    for (const { bag, place } of surroundings.bags) {
      if (!place.outline) continue;
      const { left, low, high } = extentOf(place.outline);
      const covers = (z: number) => low < z + LAMP_HALF_MM && high > z - LAMP_HALF_MM;
      if (
        plan.bike?.build.frontLight === 'on the bar' &&
        place.rides === 'bar' &&
        left > view.bar.x &&
        covers(lampZ)
      )
        hidden(
          `front-light:${bag.id}`,
          'front light on the bar',
          bag.name,
          bag.id,
          'Hang the bag lower, or move the lamp to the fork crown.',
        );
      if (
        plan.bike?.build.rearLight === 'on the seatpost' &&
        place.rides === 'saddle' &&
        covers((view.seatTubeTop.z + view.seatpostClamp.z) / 2)
      )
        hidden(
          `rear-light:${bag.id}`,
          'rear light on the seatpost',
          bag.name,
          bag.id,
          'Move the lamp to a seatstay or to the pack.',
        );
    }
    for (const { spot, things } of facts.compartments) {
      for (const thing of things) {
        if (thing.view === 'none' || seesOut(spot)) continue;
        const better = roomFor(facts, thing, seesOut)[0];
        findings.push({
          id: `no-view:${thing.id}`,
          check: 'clear view',
          severity: 'look',
          stage: 'load',
          subject: { kind: 'thing', id: thing.id },
          message: `${thing.name} needs a clear view ${WORDS[thing.view]}, but lies in ${spot.name}.`,
          reason:
            thing.view === 'sky'
              ? 'A beacon in a bag cannot be heard. Mount it on top, where nothing covers it, and try it before the trip.'
              : 'Mount it on the bike before dusk and before tunnels. Lights must meet local law.',
          figures: [],
          fixes: better ? [moveFix(thing, better)] : [],
        });
      }
    }
    return findings;
  },
};

/** Strapped outside, or standing in an open bag with its head out. */
const seesOut = ({ compartment, bag }: Facts['spots'][number]): boolean =>
  compartment.outside !== 'no' ||
  (compartment.weather === 'open' && (bag.place === 'stem bag' || bag.place === 'body'));
