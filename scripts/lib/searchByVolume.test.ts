import { DEMO_BAGS } from '@/core/demo/bags';
import { compileInstance } from '@/core/load/model/instance';
import { brokenRules, objectiveOf } from '@/core/load/model/objective';
import { seededRandom } from '@/core/random';
import { leastOfEveryLoad } from '../../tests/support/everyLoad';
import { finish } from '../../tests/support/finish';
import { randomThings, samplePlan } from '../../tests/support/samples';
import { searchByVolume } from './searchByVolume';

const randomPlan = (seed: number, n: number, bags = 11) =>
  samplePlan({ bags: DEMO_BAGS.slice(0, bags), things: randomThings(seededRandom(seed), n) });

describe('the search by volume', () => {
  test('finds the optimum of small instances that can be tried out whole', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const random = seededRandom(seed);
      const things = randomThings(random, 6).map((thing) => ({ ...thing, volumeMl: thing.volumeMl * 2 }));
      const bags = [0, 6, 9].map((k) => {
        const bag = DEMO_BAGS[k]!;
        return {
          ...bag,
          compartments: [{ ...bag.compartments[0]!, statedMl: 600 + Math.floor(random() * 2500) }],
        };
      });
      const instance = compileInstance(samplePlan({ bags, things }));
      const found = finish(searchByVolume(instance, seededRandom(seed), 60_000));
      expect(brokenRules(instance, found)).toEqual([]);
      expect(objectiveOf(instance, found).total).toBeCloseTo(leastOfEveryLoad(instance), 6);
    }
  });

  test('keeps every hard rule on random kits, overfull ones too', () => {
    for (let seed = 1; seed <= 25; seed += 1) {
      const instance = compileInstance(randomPlan(seed, 20 + seed * 4, 3 + (seed % 9)));
      const found = finish(searchByVolume(instance, seededRandom(seed), 6_000));
      expect(brokenRules(instance, found)).toEqual([]);
    }
  });

  test('the same seed gives the same load, and more moves never a worse one than the greedy start', () => {
    const plan = randomPlan(5, 60);
    const instance = compileInstance(plan);
    const run = (seed: number, moves: number) => finish(searchByVolume(instance, seededRandom(seed), moves));
    expect(run(3, 30_000)).toEqual(run(3, 30_000));
    expect(objectiveOf(instance, run(3, 30_000)).total).toBeLessThanOrEqual(
      objectiveOf(instance, run(3, 0)).total,
    );
  });

  test('reports progress from 0 to 1 with a best that only falls', () => {
    const run = searchByVolume(compileInstance(randomPlan(9, 50)), seededRandom(1), 120_000);
    let [done, best, reports] = [0, Infinity, 0];
    for (let step = run.next(); !step.done; step = run.next()) {
      expect(step.value.done).toBeGreaterThanOrEqual(done);
      expect(step.value.best).toBeLessThanOrEqual(best);
      ({ done, best } = step.value);
      reports += 1;
    }
    expect(done).toBe(1);
    expect(reports).toBeGreaterThan(10);
  });
});
