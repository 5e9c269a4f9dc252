import fc from 'fast-check';
import { seededRandom } from '@/core/random';
import { instanceOf } from '../../../../tests/support/instanceOf';
import { Annealer, type Mark } from './anneal';
import { annealTables } from '../model/annealTables';
import { brokenRules, objectiveOf } from '../model/objective';

const seeds = fc.integer({ min: 1, max: 1_000_000 });
describe('the annealing', () => {
  test('its steepest change of balance and fairness is never less than what any shift of mass changes', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const random = seededRandom(seed);
        const instance = instanceOf(seed, 30);
        const { steep } = annealTables(instance, []);
        const M = instance.m + 1;
        const where = Int32Array.from({ length: 30 }, () => Math.floor(random() * M) - 1);
        const before = objectiveOf(instance, where);
        for (let k = 0; k < 20; k += 1) {
          const i = Math.floor(random() * 30);
          const to = Math.floor(random() * M) - 1;
          const after = objectiveOf(
            instance,
            where.map((j, x) => (x === i ? to : j)),
          );
          const change = Math.abs(after.balance + after.fair - before.balance - before.fair);
          const most = steep[(where[i]! + 1) * M + to + 1]! * instance.massG[i]!;
          expect(change).toBeLessThanOrEqual(most + 1e-9);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('its running sums are those of the assignment, started anywhere, pinned or not; what it calls best keeps every rule', () => {
    fc.assert(
      fc.property(
        seeds,
        fc.integer({ min: 3, max: 60 }),
        fc.integer({ min: 1, max: 11 }),
        (seed, n, bags) => {
          const instance = instanceOf(seed, n, bags);
          const free = Array.from({ length: n }, (_, i) => i);
          const annealer = new Annealer(instance, free, 0, seededRandom(seed));
          annealer.start(new Int32Array(n).fill(-1));
          for (const hot of [60, 10]) {
            annealer.run({ hot, cold: 0.5 }, 3_000);
            const best = annealer.best()!;
            expect(brokenRules(instance, best)).toEqual([]);
            // Started again from its own best, its first best is that assignment, by its own sums.
            annealer.start(best);
            expect(annealer.best()).toEqual(best);
            expect(annealer.bestTotal()).toBeCloseTo(objectiveOf(instance, best).total, 6);
            expect(annealer.current()).toEqual(best);
          }
          annealer.run({ hot: 5, cold: 0.1 }, 5_000);
          expect(annealer.bestTotal()).toBeCloseTo(objectiveOf(instance, annealer.best()!).total, 5);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('a run with a mark is given up when it is worse half-way, unless it met a better load; where it goes on it makes the same moves', () => {
    let [givenUp, better] = [0, 0];
    fc.assert(
      fc.property(seeds, fc.integer({ min: 20, max: 60 }), (seed, n) => {
        const instance = instanceOf(seed, n);
        const free = Array.from({ length: n }, (_, i) => i);
        const warm = new Annealer(instance, free, 0, seededRandom(seed));
        warm.start(new Int32Array(n).fill(-1));
        warm.run({ hot: 60, cold: 0.1 }, 20_000);
        const from = warm.best()!;
        const atStart = objectiveOf(instance, from).total;
        const schedule = { hot: 15, cold: 0.1 };
        const runWith = (moves: number, mark: Mark | null) => {
          const annealer = new Annealer(instance, free, 0, seededRandom(seed + 1));
          annealer.start(from);
          return { ended: annealer.run(schedule, moves, null, mark), annealer };
        };
        const whole = runWith(40_000, null);
        expect(whole.ended).toBe(true);
        // Whatever it costs is near enough.
        const gladly = runWith(40_000, { points: Infinity, aHeat: 0 });
        expect(gladly.ended).toBe(true);
        expect(gladly.annealer.current()).toEqual(whole.annealer.current());
        // Nothing is near enough: it goes on only where it has met a better load by then.
        const none = runWith(40_000, { points: -Infinity, aHeat: 0 });
        if (none.ended) {
          better += 1;
          expect(none.annealer.bestTotal()).toBeLessThan(atStart - 1e-6);
          expect(none.annealer.current()).toEqual(whole.annealer.current());
        } else {
          givenUp += 1;
          expect(none.annealer.bestTotal()).toBeCloseTo(atStart, 6);
        }
      }),
      { numRuns: 30 },
    );
    expect(givenUp).toBeGreaterThan(0);
    expect(better).toBeGreaterThan(0);
  });

  test('what it calls best holds no more, and no more that is stiff, than told, which may change between starts', () => {
    let bound = 0;
    fc.assert(
      fc.property(seeds, fc.integer({ min: 30, max: 60 }), (seed, n) => {
        const instance = instanceOf(seed, n);
        const free = Array.from({ length: n }, (_, i) => i);
        const stiffCapacityMl = new Float64Array(instance.m);
        const roomMl = new Float64Array(instance.m);
        const annealer = new Annealer(instance, free, 0, seededRandom(seed), { stiffCapacityMl, roomMl });
        const heldBy = (share: number, roomShare: number) => {
          instance.capacityMl.forEach((ml, j) => {
            stiffCapacityMl[j] = share * ml;
            roomMl[j] = roomShare * ml;
          });
          annealer.start(new Int32Array(n).fill(-1));
          // A price of room must be found before anything closes.
          for (let run = 0; run < 4; run += 1) annealer.run({ hot: 15, cold: 0.1 }, 15_000);
          const best = annealer.best()!;
          expect(brokenRules(instance, best)).toEqual([]);
          const stiff = new Float64Array(instance.m);
          const all = new Float64Array(instance.m);
          best.forEach((j, i) => {
            if (j < 0) return;
            stiff[j]! += instance.stiffMl[i]!;
            all[j]! += instance.needMl[i]!;
          });
          stiff.forEach((ml, j) => expect(ml).toBeLessThanOrEqual(stiffCapacityMl[j]! + 1e-5));
          all.forEach((ml, j) => expect(ml).toBeLessThanOrEqual(roomMl[j]! + 1e-5));
          const sum = (values: Float64Array) => values.reduce((ml, own) => ml + own, 0);
          return { stiff: sum(stiff), all: sum(all) };
        };
        expect(heldBy(0, 1).stiff).toBe(0);
        const whole = heldBy(0.3, 1);
        expect(whole.stiff).toBeGreaterThan(0);
        expect(heldBy(0.3, 0).all).toBe(0);
        const half = heldBy(0.3, 0.5).all;
        expect(half).toBeGreaterThan(0);
        if (half < whole.all) bound += 1;
      }),
      { numRuns: 15 },
    );
    expect(bound).toBeGreaterThan(5);
  });

  test('what it calls best holds no set that is forbidden, which it else would, until one is allowed', () => {
    let without = 0;
    fc.assert(
      fc.property(seeds, fc.integer({ min: 6, max: 80 }), (seed, n) => {
        const random = seededRandom(seed);
        const instance = instanceOf(seed, n, 4);
        const free = Array.from({ length: n }, (_, i) => i);
        const stiff = free.filter((i) => instance.stiffMl[i]! > 0);
        if (stiff.length < 4) return;
        const annealer = new Annealer(instance, free, 0, random);
        const forbidden: { j: number; set: number[] }[] = [];
        const pick = (below: number) => Math.floor(random() * below);
        const forbid = (size: number) => {
          const j = pick(instance.m);
          const set = [...new Set(Array.from({ length: size }, () => stiff[pick(stiff.length)]!))];
          if (set.length < size) return;
          annealer.forbid(j, set);
          forbidden.push({ j, set });
        };
        for (let pair = 0; pair < 2 * n; pair += 1) forbid(2);
        // Of larger sets a compartment remembers 64.
        for (let times = 0; times < 16; times += 1) forbid(3 + (times % 2));
        const held = (where: Int32Array) =>
          forbidden.filter(({ j, set }) => set.every((i) => where[i] === j)).length;
        const from = new Int32Array(n).fill(-1);
        const found = (own: Annealer) => {
          own.start(from);
          for (let run = 0; run < 3; run += 1) own.run({ hot: 15, cold: 0.1 }, 15_000);
          return own.best()!;
        };
        const best = found(annealer);
        expect(brokenRules(instance, best)).toEqual([]);
        expect(annealer.bestTotal()).toBeCloseTo(objectiveOf(instance, best).total, 5);
        expect(held(best)).toBe(0);
        annealer.start(best);
        expect(annealer.best()).toEqual(best);

        const plain = found(new Annealer(instance, free, 0, random));
        if (held(plain) === 0) return;
        without += 1;
        annealer.start(plain);
        expect(annealer.best()).toBeNull();
        annealer.allow(plain);
        annealer.start(plain);
        expect(annealer.best()).toEqual(plain);
      }),
      { numRuns: 40 },
    );
    expect(without).toBeGreaterThan(10);
  });

  test('what is dear to leave goes in, what is free to leave stays, from the next start on', () => {
    const instance = instanceOf(4, 140);
    const free = Array.from({ length: instance.n }, (_, i) => i);
    const annealer = new Annealer(instance, free, 0, seededRandom(3));
    const found = () => {
      annealer.start(new Int32Array(instance.n).fill(-1));
      for (let run = 0; run < 4; run += 1) annealer.run({ hot: 15, cold: 0.1 }, 20_000);
      return annealer.best()!;
    };
    const first = found();
    const left = free.filter((i) => first[i]! < 0);
    const dear = left.filter((i) =>
      instance.allowed.subarray(i * instance.m, (i + 1) * instance.m).includes(1),
    );
    expect(dear.length).toBeGreaterThan(0);
    annealer.priceLeaving(dear[0]!, 5_000);
    expect(found()[dear[0]!]).toBeGreaterThanOrEqual(0);
    annealer.priceLeaving(dear[0]!, -5_000);
    expect(found()[dear[0]!]).toBe(-1);
  });

  test('leaves closed places as they are, searches the rest, and keeps the best of all runs since its start', () => {
    let moved = 0;
    fc.assert(
      fc.property(seeds, fc.integer({ min: 10, max: 60 }), (seed, n) => {
        const random = seededRandom(seed);
        const instance = instanceOf(seed, n);
        const free = Array.from({ length: n }, (_, i) => i);
        const annealer = new Annealer(instance, free, 0, random);
        annealer.start(new Int32Array(n).fill(-1));
        annealer.run({ hot: 60, cold: 10 }, 3_000);
        const from = annealer.best()!;
        annealer.start(from);
        const open = Uint8Array.from({ length: instance.m + 1 }, () => Math.round(random()));
        annealer.run({ hot: 60, cold: 1 }, 5_000, open);
        const once = annealer.bestTotal();
        const after = annealer.current();
        for (let i = 0; i < n; i += 1) {
          if (!open[from[i]! + 1]) expect(after[i]).toBe(from[i]);
          else expect(open[after[i]! + 1]).toBe(1);
          if (after[i] !== from[i]) moved += 1;
        }
        annealer.run({ hot: 60, cold: 60 }, 500);
        expect(annealer.bestTotal()).toBeLessThanOrEqual(once);
        expect(annealer.bestTotal()).toBeCloseTo(objectiveOf(instance, annealer.best()!).total, 5);
        expect(brokenRules(instance, annealer.best()!)).toEqual([]);
      }),
      { numRuns: 40 },
    );
    expect(moved).toBeGreaterThan(100);
  });
});
