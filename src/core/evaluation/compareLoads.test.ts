import { demoPlan } from '@/core/demo/plan';
import { loaded } from '../../../tests/support/samples';
import { formatterFor } from '@/core/units/format';
import { standing } from '@/core/commands/takeLoad';
import { compareLoads } from './compareLoads';

const metric = formatterFor('metric');
const plan = demoPlan();
const near = loaded(plan, { 'spare-tube': 'frame-main', 'paper-map': 'bar-bag-main' }).load;
const far = loaded(plan, { 'spare-tube': 'seat-pack-main', 'paper-map': 'bar-bag-main' }).load;

test('what lies elsewhere, and what that does to the figures', () => {
  const { moved, figures, terms, sums } = compareLoads(plan, near, far, metric);
  expect(moved.map(({ thing, first, second }) => [thing.name, first, second])).toEqual([
    ['Spare tube', 'Half frame bag, main', 'Seat pack, main'],
  ]);
  const tail = figures.find(({ label }) => label === 'Seat-pack sway')!;
  // 205 g some 0.3 m behind the clamp.
  expect(tail.difference).toMatch(/^\+0\.0\d kg·m$/);
  const handling = terms.find(({ term }) => term === 'handling')!;
  expect(handling.second).toBeGreaterThan(handling.first);
  const reach = terms.find(({ term }) => term === 'reach')!;
  // A repair wanted from where one must unroll: 1.5 points.
  expect(reach.second - reach.first).toBeCloseTo(1.5, 6);
  const differ = terms.reduce((sum, { first, second }) => sum + second - first, 0);
  expect(sums.second - sums.first).toBeCloseTo(differ, 6);
});

test('a load beside itself: no difference, no findings of its own', () => {
  const same = compareLoads(plan, near, near, metric);
  expect(same.moved).toEqual([]);
  expect(same.figures.every(({ difference }) => difference === '')).toBe(true);
  expect([...same.onlyFirst, ...same.onlySecond]).toEqual([]);
});

test('findings that only one has are told', () => {
  const wet = loaded(plan, { 'down-quilt': 'seat-pack-cord' }).load;
  const dry = loaded(plan, { 'down-quilt': 'seat-pack-main' }).load;
  const { onlyFirst, onlySecond } = compareLoads(plan, wet, dry, metric);
  expect(onlyFirst.map(({ check }) => check)).toContain('must stay dry');
  expect(onlySecond.map(({ check }) => check)).not.toContain('must stay dry');
});

test('entries of what is gone meanwhile count as floor', () => {
  const fewer = { ...plan, things: plan.things.filter(({ id }) => id !== 'paper-map') };
  expect(standing(fewer, near).map(({ thingId }) => thingId)).toEqual(['spare-tube']);
  const bagless = { ...plan, bags: plan.bags.filter(({ id }) => id !== 'frame') };
  expect(compareLoads(bagless, near, far, metric).moved).toMatchObject([
    { first: 'on the floor', second: 'Seat pack, main' },
  ]);
});
