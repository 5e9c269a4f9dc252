import { demoPlan } from '@/core/demo/plan';
import { loader } from './loader';
import { warming } from './warming';

test('a thread that gets warm looks as the search will, until it is late', () => {
  const plan = demoPlan();
  const search = loader(plan, { seed: 2 });
  const expected = Array.from({ length: 5 }, () => search.next().value);
  let asked = 0;
  const told = [...warming(plan, 2, () => (asked += 1) > 5)];
  expect(told).toEqual(expected);
  expect(asked).toBe(6);
});

test('with a plan that is soon loaded it comes to its end by itself', () => {
  const plan = { ...demoPlan(), things: [], load: [] };
  const run = warming(plan, 1, () => false);
  let steps = 0;
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) {
      expect(step.value).toBe(true);
      break;
    }
    steps += 1;
  }
  expect(steps).toBeGreaterThan(0);
});
