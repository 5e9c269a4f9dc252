import fc from 'fast-check';
import { asTaken, ownedOf, type Thing } from '@/core/kit/thing';
import { demoPlan } from '@/core/demo/plan';
import { coverNeeds } from './cover';
import type { NeedMet } from './met';
import { NEEDS_TABLE } from './table';

const [first] = demoPlan().things;
const things: Thing[] = Array.from({ length: 9 }, (_, i) => ({
  ...asTaken(ownedOf(first!)),
  id: `t${i}`,
  name: `t${i}`,
}));
const need = (by: readonly number[]): NeedMet => ({
  rule: NEEDS_TABLE[0]!,
  id: by.join(' '),
  things: by.map((i) => things[i]!),
  wanted: 1,
  isMissing: false,
  isSingle: false,
  isDismissed: false,
});

test('one thing that does two jobs is enough where two would do one each', () =>
  expect(coverNeeds([need([0, 2]), need([1, 2])]).map(({ id }) => id)).toEqual(['t2']));

test('nothing is needed where nothing is asked for', () => expect(coverNeeds([])).toEqual([]));

test('as few as the best of all subsets, and all needs are met', () => {
  fc.assert(
    fc.property(
      fc.array(fc.uniqueArray(fc.integer({ min: 0, max: 8 }), { minLength: 1, maxLength: 4 }), {
        minLength: 1,
        maxLength: 9,
      }),
      (lists) => {
        const needs = lists.map(need);
        const found = new Set(coverNeeds(needs).map(({ id }) => id));
        expect(lists.every((list) => list.some((i) => found.has(`t${i}`)))).toBe(true);
        let fewest = 9;
        for (let mask = 1; mask < 512; mask += 1)
          if (lists.every((list) => list.some((i) => (mask >> i) & 1)))
            fewest = Math.min(fewest, [...mask.toString(2)].filter((bit) => bit === '1').length);
        expect(found.size).toBe(fewest);
      },
    ),
    { seed: 35, numRuns: 150 },
  );
});
