import { massWithContentsG, moveFix, roomFor } from '@/core/advice/fixes';
import { SIDE_FREE_G } from '@/core/packing/costs';
import type { Fix } from '@/core/advice/fix';
import type { Check } from './finding';

/** One side heavier than the other by more than the 200 g riders agree on. */
export const sideImbalance: Check = {
  id: 'side imbalance',
  changesOnTheWay: true,
  stage: 'load',
  judges: 'bike',
  run(facts, format) {
    if (!facts.handling) return [];
    const difference = facts.handling.leftLessRightG;
    if (Math.abs(difference) <= SIDE_FREE_G) return [];
    const heavy = Math.sign(difference);
    const heavyWord = heavy > 0 ? 'left' : 'right';
    const sideOf = (y: number) => Math.sign(y);
    const ways = (): Fix[] => {
      const candidates = facts.compartments
        .filter(({ spot }) => !spot.onBody && sideOf(spot.place.centre.y) === heavy)
        .flatMap(({ things }) => things)
        .map((thing) => ({ thing, massG: massWithContentsG(facts, thing) }))
        // Moving m across changes the difference by 2 m; the best comes nearest to level.
        .sort(
          (a, b) =>
            Math.abs(Math.abs(difference) - 2 * a.massG) - Math.abs(Math.abs(difference) - 2 * b.massG),
        );
      const fixes: Fix[] = [];
      for (const { thing, massG } of candidates) {
        if (fixes.length === 2 || massG > Math.abs(difference)) break;
        const across = roomFor(facts, thing, (spot) => sideOf(spot.place.centre.y) === -heavy)[0];
        if (across) fixes.push(moveFix(thing, across));
      }
      return fixes;
    };
    return [
      {
        severity: Math.abs(difference) > 3 * SIDE_FREE_G ? 'stop' : 'check',
        message: `The ${heavyWord} is ${format.mass(Math.abs(difference))} heavier than the ${heavy > 0 ? 'right' : 'left'}.`,
        reason: `Beyond about ${format.mass(SIDE_FREE_G)} the bike pulls to one side, most at the fork. Try it slowly first.`,
        figures: [{ label: 'left less right', value: difference, unit: 'g' }],
        fixes: ways,
      },
    ];
  },
};
