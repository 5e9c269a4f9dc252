import { TAIL_CAUTION_KGM } from '@/core/load/costs';
import { massWithContentsG, moveFix, roomFor } from '@/core/load/fixes';
import type { Check, Fix } from './finding';

/** Too much hangs too far behind the seatpost. */
export const tailHeavy: Check = {
  id: 'tail-heavy',
  run(facts) {
    const moment = facts.handling.tailMomentKgM;
    if (moment <= TAIL_CAUTION_KGM) return [];
    const clampX = facts.view.seatpostClamp.x;
    const heaviest = facts.compartments
      .filter(({ spot }) => !spot.onBody && spot.place.centre.x < clampX)
      .flatMap(({ things }) => things)
      .sort((a, b) => massWithContentsG(facts, b) - massWithContentsG(facts, a));
    const fixes: Fix[] = [];
    for (const thing of heaviest) {
      if (fixes.length === 2) break;
      const forward = roomFor(facts, thing, (spot) => !spot.onBody && spot.place.centre.x > clampX)[0];
      if (forward) fixes.push(moveFix(thing, forward));
    }
    return [
      {
        id: 'tail-heavy',
        check: 'tail-heavy',
        severity: moment > 2 * TAIL_CAUTION_KGM ? 'stop' : 'look',
        stage: 'load',
        subject: null,
        message: `The tail pulls with ${moment.toFixed(2)} kg·m; it is likely to swing above ${TAIL_CAUTION_KGM}.`,
        reason:
          'Mass times its distance behind the seatpost clamp. Heavy things go in the frame bag, or in the narrow ' +
          'nose by the seatpost. How stiffly the pack is strapped is not known here: ride round the block and see.',
        figures: [{ label: 'tail moment', value: moment, unit: 'kg·m' }],
        fixes,
      },
    ];
  },
};
