import { applyEdit } from '@/core/plan/apply';
import { sampleBag, samplePlan, sampleThing } from '../../../../tests/support/samples';
import { runLoader } from './loader';
import { smallestChange, type SmallestChange } from './smallestChange';
import type { Plan } from '@/core/plan/plan';

function found(plan: Plan): SmallestChange {
  const run = smallestChange(plan);
  let step = run.next();
  while (!step.done) {
    expect(step.value).toBeGreaterThanOrEqual(0);
    expect(step.value).toBeLessThan(1);
    step = run.next();
  }
  return step.value;
}

/** 3 l of bag, and soft things of 1000 ml each pressed hard. */
const bag = sampleBag('roll', 'bar roll', { statedMl: 3000 });
const soft = (id: string, change = {}) =>
  sampleThing(id, { volumeMl: 950, form: { kind: 'soft', looseMl: 950 }, ...change });

test('400 ml short: pressing does not do, wearing one does, and a bag that is larger by enough', () => {
  const plan = samplePlan({
    bags: [bag],
    things: [soft('a'), soft('b'), soft('c'), soft('d', { volumeMl: 380, system: 'sleep' })],
  });
  const { changes, leastMl } = found(plan);
  // 3 × 1000 + 400 in 3000.
  expect(leastMl).toBeCloseTo(400, 6);
  // Pressing one of 1000 ml by 15 % makes 150.
  expect(changes.map(({ kind }) => kind)).not.toContain('pressed');
  expect(changes.find(({ kind }) => kind === 'larger bag')!.freesMl).toBeCloseTo(480, 6);
  const worn = changes.find(({ kind }) => kind === 'worn')!;
  expect(worn.freesMl).toBeCloseTo(1000, 6);
  const done = applyEdit(plan, worn.edit!);
  expect(done.ok && runLoader(done.value.plan, { effort: 0.1 }).leave).toEqual([]);
  expect(changes.map(({ freesMl }) => freesMl)).toEqual(
    [...changes.map(({ freesMl }) => freesMl)].sort((a, b) => a - b),
  );
});

test('100 ml short: pressing one harder is the least', () => {
  const plan = samplePlan({ bags: [bag], things: [soft('a'), soft('b'), soft('c', { volumeMl: 1045 })] });
  const { changes, leastMl } = found(plan);
  expect(leastMl).toBeCloseTo(100, 6);
  expect(changes[0]).toMatchObject({ kind: 'pressed' });
});

test('a thing longer than any bag: no change of litres lets it in', () => {
  const poles = sampleThing('poles', {
    form: { kind: 'long', lengthMm: 900, diameterMm: 30 },
    volumeMl: 636,
  });
  expect(found(samplePlan({ bags: [bag], things: [poles] }))).toEqual({ changes: [], leastMl: 0 });
});

test('of what a fellow carries a larger bag of theirs does, a larger one of the rider’s does not', () => {
  const { rider, bike } = samplePlan();
  const bags = [sampleBag('front roll', 'bar roll', { statedMl: 1500 })];
  const plan = samplePlan({
    bags: [bag],
    things: [soft('a'), soft('b'), soft('c'), soft('d', { system: 'sleep', volumeMl: 1600 })],
    fellows: [{ id: 'robin', name: 'Robin', share: 1, rider, bike, bags }],
    wishes: [{ kind: 'theirs', thingId: 'd', fellowId: 'robin' }],
  });
  // 1600 ÷ 0.95 in 1500: 184 short. 16 % more of 1500 are 240, and 15 % of d are 253.
  const { changes } = found(plan);
  expect(changes.map(({ words }) => words)).toEqual([
    'A larger front roll for Robin',
    'Press d into 15 % less',
  ]);
  expect(changes[0]!.freesMl).toBeCloseTo(240, 6);
  expect(changes[0]!.edit).toBeNull();
});
