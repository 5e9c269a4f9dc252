import fc from 'fast-check';
import { DEMO_BAGS } from '@/core/demo/bags';
import { demoPlan } from '@/core/demo/plan';
import { loaded, partyOf, randomThings, sampleBag, samplePlan, sampleThing } from '@/core/plan/samples';
import { seededRandom } from '@/core/random';
import { leastOfEveryLoad } from '../../../tests/support/everyLoad';
import { annealerFor } from './anneal';
import { lowerBound } from './bound';
import { compileInstance } from './instance';
import { runLoader } from './loader';
import { brokenRules, objectiveOf } from './objective';

const seeds = fc.integer({ min: 1, max: 1_000_000 });
/** Every other one has a fellow rider. */
const instanceOf = (seed: number, n: number, bags = 11) => {
  const alone = samplePlan({
    bags: DEMO_BAGS.slice(0, bags),
    things: randomThings(seededRandom(seed), n),
    wishes: [{ kind: 'a side each', thingIds: ['thing-0', 'thing-1'] }],
  });
  return compileInstance(seed % 2 ? partyOf(alone, seed) : alone);
};

describe('the lower bound', () => {
  test('is never above any load that keeps the rules, found by annealing', () => {
    fc.assert(
      fc.property(
        seeds,
        fc.integer({ min: 5, max: 70 }),
        fc.integer({ min: 1, max: 11 }),
        (seed, n, bags) => {
          const instance = instanceOf(seed, n, bags);
          const free = Array.from({ length: n }, (_, i) => i);
          const annealer = annealerFor(instance, free, 0, seededRandom(seed));
          annealer.start(new Int32Array(n).fill(-1));
          annealer.run({ hot: 15, cold: 0.1 }, 20_000);
          expect(lowerBound(instance)).toBeLessThanOrEqual(
            objectiveOf(instance, annealer.best()!).total + 1e-6,
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  test('is never above the optimum of instances that can be tried out whole', () => {
    for (let seed = 1; seed <= 15; seed += 1) {
      const instance = instanceOf(seed, 5, 3);
      expect(lowerBound(instance)).toBeLessThanOrEqual(leastOfEveryLoad(instance) + 1e-9);
    }
  });

  test('says something: an overfull kit cannot cost less than what must stay behind', () => {
    // Two things of 1000 ml, both should come, into one bag of 1500: at least one has to stay. A relaxation may
    // split it: of 2000 ml needed 500 stay, a quarter of both.
    const plan = samplePlan({
      bags: [sampleBag('roll', 'bar roll', { statedMl: 1500 })],
      things: [sampleThing('a'), sampleThing('b')],
    });
    expect(lowerBound(compileInstance(plan))).toBeGreaterThan(85);
    const pinned = loaded(plan, { a: 'roll-main' });
    pinned.load[0]!.pinned = true;
    expect(lowerBound(compileInstance(pinned))).toBeGreaterThan(85);
  });

  test('stands beside the proposal, never above it', () => {
    const { bound, objective, moves, moved } = runLoader(demoPlan(), { effort: 0.05 });
    expect(bound).toBeGreaterThan(0);
    expect(bound).toBeLessThanOrEqual(objective);
    expect(moves).toHaveLength(moved);
    for (const { from, to } of moves) expect(from).not.toBe(to);
  });
});

describe('the annealing', () => {
  test('its running sums are those of the assignment, started anywhere, pinned or not; what it calls best keeps every rule', () => {
    fc.assert(
      fc.property(
        seeds,
        fc.integer({ min: 3, max: 60 }),
        fc.integer({ min: 1, max: 11 }),
        (seed, n, bags) => {
          const instance = instanceOf(seed, n, bags);
          const free = Array.from({ length: n }, (_, i) => i);
          const annealer = annealerFor(instance, free, 0, seededRandom(seed));
          annealer.start(new Int32Array(n).fill(-1));
          for (const hot of [60, 10]) {
            annealer.run({ hot, cold: 0.5 }, 3_000);
            const best = annealer.best()!;
            expect(brokenRules(instance, best)).toEqual([]);
            // Started again from its own best, its first best is that assignment, by its own sums.
            annealer.start(best);
            expect(annealer.best()).toEqual(best);
            expect(annealer.bestTotal()).toBeCloseTo(objectiveOf(instance, best).total, 6);
            expect(annealer.where()).toEqual(best);
          }
          annealer.run({ hot: 5, cold: 0.1 }, 5_000);
          expect(annealer.bestTotal()).toBeCloseTo(objectiveOf(instance, annealer.best()!).total, 5);
        },
      ),
      { numRuns: 40 },
    );
  });
});
