import fc from 'fast-check';
import { demoPlan } from '@/core/demo/plan';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { leastOfEveryLoad } from '../../../../tests/support/everyLoad';
import { finish } from '../../../../tests/support/finish';
import { instanceOf } from '../../../../tests/support/instanceOf';
import { Annealer } from '../anneal/anneal';
import { lowerBound } from './bound';
import { compileInstance } from '../model/instance';
import { runLoader } from '../proposal/loader';
import { objectiveOf } from '../model/objective';
import { searchByVolume } from '../../../../scripts/lib/searchByVolume';
import { SystemBound } from './systemBound';

const seeds = fc.integer({ min: 1, max: 1_000_000 });

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
          const annealer = new Annealer(instance, free, 0, seededRandom(seed));
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
      const least = leastOfEveryLoad(instance);
      expect(lowerBound(instance)).toBeLessThanOrEqual(least + 1e-9);
      // What is known of a load only says how far to step, even where it is too low.
      expect(lowerBound(instance, least)).toBeLessThanOrEqual(least + 1e-9);
      expect(lowerBound(instance, least / 2)).toBeLessThanOrEqual(least + 1e-9);
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

  test('of a load that is pinned whole is what that load costs, but for conflicts, pairs and bags of food', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 3, max: 40 }), (seed, n) => {
        const instance = instanceOf(seed, n);
        const where = finish(searchByVolume(instance, seededRandom(seed), 3000));
        const pinned = {
          ...instance,
          start: where,
          fixed: Uint8Array.from(where, (j) => (j < 0 ? 0 : 1)),
          // What the search left behind may go nowhere.
          allowed: instance.allowed.map((may, at) => (where[Math.floor(at / instance.m)]! < 0 ? 0 : may)),
        };
        const { total, apart, wishes, foodBags } = objectiveOf(instance, where);
        const bound = lowerBound(pinned, total);
        expect(bound).toBeLessThanOrEqual(total + 1e-6);
        expect(bound).toBeGreaterThan(0.99 * (total - apart - wishes - foodBags));
      }),
      { numRuns: 40 },
    );
  });

  test('of one system is the cheapest of every choice of compartments', () => {
    fc.assert(
      fc.property(
        seeds,
        fc.integer({ min: 1, max: 7 }),
        fc.integer({ min: 1, max: 6 }),
        (seed, things, m) => {
          const random = seededRandom(seed);
          const leave = Float64Array.from({ length: things }, () => random() * 12);
          const cost = Float64Array.from({ length: things * m }, () =>
            random() < 0.2 ? Infinity : random() * 10,
          );
          const used = Uint8Array.from({ length: m }, () => (random() < 0.2 ? 1 : 0));
          const spread = random() * 4;
          let least = Infinity;
          for (let set = 0; set < 1 << m; set += 1) {
            const open = Array.from({ length: m }, (_, j) => j).filter((j) => (set >> j) & 1 || used[j]);
            let sum = spread * Math.max(0, open.length - 1);
            for (let i = 0; i < things; i += 1)
              sum += Math.min(leave[i]!, ...open.map((j) => cost[i * m + j]!));
            least = Math.min(least, sum);
          }
          const bySystem = new SystemBound(m, 8);
          // Asked twice: what one question leaves behind must not reach the next.
          bySystem.least(
            things,
            leave.map((value) => value / 2),
            cost,
            used,
            spread / 3,
          );
          expect(bySystem.least(things, leave, cost, used, spread)).toBeCloseTo(least, 9);
          const at = Array.from(bySystem.at.subarray(0, things));
          const open = new Set([
            ...at.filter((j) => j >= 0),
            ...Array.from(used.keys()).filter((j) => used[j]),
          ]);
          const paid = at.reduce((sum, j, i) => sum + (j < 0 ? leave[i]! : cost[i * m + j]!), 0);
          expect(paid + spread * Math.max(0, open.size - 1)).toBeLessThanOrEqual(least + 1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('stands beside the proposal, never above it', () => {
    const { bound, objective, moves, moved } = runLoader(demoPlan(), { effort: 0.05 });
    expect(bound).toBeGreaterThan(0);
    expect(bound).toBeLessThanOrEqual(objective);
    expect(moves).toHaveLength(moved);
    for (const { from, to } of moves) expect(from).not.toBe(to);
  });
});
