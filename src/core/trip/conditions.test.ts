import { emptyPlan } from '@/core/plan/plan';
import { tripConditions } from './conditions';

const { trip } = emptyPlan('Valley');

test('a trip typed in one figure each: every day and night as the worst', () => {
  const found = tripConditions({ ...trip, nights: 2, nightMinimumC: 3, dayMaximumC: 18, rain: 'likely' });
  expect(found.days.map(({ day, warmestC, rain }) => [day, warmestC, rain])).toEqual([
    [1, 18, 'likely'],
    [2, 18, 'likely'],
    [3, 18, 'likely'],
  ]);
  expect(found.nights.map(({ night, coldestC }) => [night, coldestC])).toEqual([
    [1, 3],
    [2, 3],
  ]);
  expect(found).toMatchObject({ coldestC: 3, warmestC: 18, rain: 'likely', sleepsOutside: true });
});

test.each([
  ['a day ride', { nights: 0, sleeping: 'tent' }, false],
  ['a hut', { nights: 2, sleeping: 'hut' }, false],
  ['a tarp', { nights: 1, sleeping: 'tarp' }, true],
] as const)('%s: whether a night is slept outside', (_, change, outside) => {
  expect(tripConditions({ ...trip, ...change }).sleepsOutside).toBe(outside);
});

test('the same trip gives the same object, another trip another', () => {
  expect(tripConditions(trip)).toBe(tripConditions(trip));
  expect(tripConditions({ ...trip })).not.toBe(tripConditions(trip));
});
