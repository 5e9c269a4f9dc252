import { canSway } from '@/core/bag/bag';
import { TAIL_CHECK_KGM, TAIL_NOTE_KGM } from '@/core/ride/massProperties';
import { isUsual } from '@/core/packing/usualPlaces';
import { massWithContentsG, moveFix, roomFor } from '@/core/advice/fixes';
import type { Fix } from '@/core/advice/fix';
import type { Check } from './finding';

/** Strapped packs that are heavy far behind the seatpost: many sway. */
export const tailHeavy: Check = {
  id: 'tail-heavy',
  changesOnTheWay: true,
  stage: 'load',
  judges: 'bike',
  run(facts, format) {
    const moment = facts.handling?.tailMomentKgM ?? 0;
    const clampX = facts.view.seatpostClamp.x;
    // What was found on this rider's own rides replaces what is usual for strapped packs.
    const own = facts.compartments
      .filter(({ spot, massG }) => massG > 0 && canSway(spot.bag) && spot.place.centre.x < clampX)
      .flatMap(({ spot }) => spot.bag.swaysFromKgM ?? []);
    const learned = own.length > 0 ? Math.min(...own) : null;
    const [noteAt, checkAt] = learned === null ? [TAIL_NOTE_KGM, TAIL_CHECK_KGM] : [learned, learned];
    if (moment <= noteAt) return [];
    const ways = (): Fix[] => {
      const heaviest = facts.compartments
        .filter(({ spot }) => !spot.onBody && canSway(spot.bag) && spot.place.centre.x < clampX)
        .flatMap(({ things }) => things)
        .sort((a, b) => massWithContentsG(facts, b) - massWithContentsG(facts, a));
      const fixes: Fix[] = [];
      for (const thing of heaviest) {
        if (fixes.length === 2) break;
        const forward = roomFor(
          facts,
          thing,
          (spot) =>
            !spot.onBody && (!canSway(spot.bag) || spot.place.centre.x > clampX) && isUsual(thing, spot),
        )[0];
        if (forward) fixes.push(moveFix(thing, forward));
      }
      return fixes;
    };
    return [
      {
        severity: moment > checkAt ? 'check' : 'note',
        message: `The seat pack is heavy at the back (${format.moment(moment)}; ${learned === null ? 'many packs sway' : 'on your rides it swayed'} above ${format.moment(noteAt)}).`,
        reason:
          'Mass times its distance behind the seatpost clamp. Heavy things go in the frame bag, or in the narrow ' +
          'nose by the seatpost. How stiffly the pack is strapped is not known here: ride round the block and see.',
        figures: [{ label: 'tail moment', value: moment, unit: 'kg·m' }],
        fixes: ways,
      },
    ];
  },
};
