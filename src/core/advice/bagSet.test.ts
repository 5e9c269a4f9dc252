import { BIKE_TYPES, FRAME_SIZES } from '@/core/bike/bike';
import { bikeOfType } from '@/core/bike/types';
import { verdictOf } from '@/core/clearance/clearance';
import { factsOf } from '@/core/facts/facts';
import { emptyPlan } from '@/core/plan/plan';
import { BAG_SETS, bagSet } from './bagSet';

const ids = () => {
  let n = 0;
  return () => `id-${(n += 1)}`;
};

describe.each(BIKE_TYPES)('on a %s', (type) => {
  test.each(BAG_SETS)('%s: all hang free, whatever the size, and hold enough for a night', (set) => {
    for (const size of FRAME_SIZES) {
      const plan = { ...emptyPlan('Trip'), bike: bikeOfType('b', type, size) };
      const bags = bagSet(plan, set, ids());
      const { clearances, totals } = factsOf({ ...plan, bags });
      const tight = clearances.filter((clearance) => verdictOf(clearance) !== 'free');
      expect([size, tight.map(({ id, gapMm }) => [id, Math.round(gapMm)])]).toEqual([size, []]);
      expect([size, totals.capacityMl > 9_000]).toEqual([size, true]);
    }
  });
});

test('what hangs there already stays, and no second one comes beside it', () => {
  const start = { ...emptyPlan('Trip'), bike: bikeOfType('b', 'hardtail', 'M') };
  const makeId = ids();
  const first = bagSet(start, 'bar, frame and seat', makeId);
  const again = bagSet({ ...start, bags: first }, 'bar, frame and seat', makeId);
  for (const place of ['bar roll', 'seat pack', 'top tube bag', 'frame bag'])
    expect([place, again.filter((bag) => bag.place === place).length]).toEqual([place, 0]);
});
