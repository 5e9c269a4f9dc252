import { demoPlan } from '@/core/demo/plan';
import { factsOf } from '@/core/facts/facts';
import { normal } from '@/core/units/normal';
import type { Plan } from '@/core/plan/plan';
import { measureNext, measurementWords, worthOfKnowing } from './measureNext';

test('the worked example of methods, section 12', () => {
  expect(worthOfKnowing(40, 75)).toBeCloseTo(14.1, 1);
  expect(worthOfKnowing(40, 45)).toBeCloseTo(4.6, 1);
  expect(worthOfKnowing(40, 2)).toBeCloseTo(0, 6);
  // Both at once: the chance that the limit is missed.
  expect(normal(-40 / Math.hypot(75, 45))).toBeCloseTo(0.324, 3);
});

/** The demo with one thing in a bag whose limit it nearly reaches. */
function nearLimit(massG: number, limitG: number, massSource: 'estimate' | 'kitchen scale'): Plan {
  const plan = demoPlan();
  const bag = plan.bags[0]!;
  const [thing] = plan.things;
  return {
    ...plan,
    bags: [{ ...bag, limitG }, ...plan.bags.slice(1)],
    things: [
      { ...thing!, quantity: 1, waterMl: 0, massG, massSource, volumeSource: 'tape' },
      ...plan.things.slice(1),
    ],
    load: [{ thingId: thing!.id, to: { compartmentId: bag.compartments[0]!.id }, pinned: false }],
  };
}

test('the estimate that could break a limit is asked for, and once it is weighed nothing is', () => {
  const [first, ...rest] = measureNext(factsOf(nearLimit(960, 1000, 'estimate')));
  expect(rest).toEqual([]);
  expect(measurementWords(first!)).toMatch(/^Weighing .+ decides whether .+ is over its limit\.$/);
  expect(measureNext(factsOf(nearLimit(960, 1000, 'kitchen scale')))).toEqual([]);
});

test('an estimate that no limit is near to is not asked for', () =>
  expect(measureNext(factsOf(nearLimit(300, 3000, 'estimate')))).toEqual([]));
