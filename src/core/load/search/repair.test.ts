import fc from 'fast-check';
import { layAll } from '@/core/fit/fit';
import { sampleBag, samplePlan } from '../../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { block, pole, roll, small } from '../../../../tests/support/barring';
import { instanceOf } from '../../../../tests/support/instanceOf';
import { Annealer } from '../anneal/anneal';
import { FittedState } from './fitted';
import { compileInstance, withLeastRoom } from '../model/instance';
import { brokenRules } from '../model/objective';
import { leastNotLying, repair } from './repair';

const box = sampleBag('box', 'bar bag', {
  solid: { kind: 'box', lengthMm: 160, widthMm: 250, heightMm: 90 },
});
const pinned = (thingId: string) => ({ thingId, to: { compartmentId: 'roll-main' }, pinned: true });

describe('why things do not lie', () => {
  test('of three of which two bar each other, those two; of what is pinned, only what is not', () => {
    const plan = samplePlan({ bags: [roll], things: [pole, block, small] });
    const where = Int32Array.of(0, 0, 0);
    expect(leastNotLying(compileInstance(plan), where, 0).sort()).toEqual([0, 1]);
    expect(leastNotLying(compileInstance({ ...plan, load: [pinned('pole')] }), where, 0)).toEqual([1]);
    const both = compileInstance({ ...plan, load: [pinned('pole'), pinned('block')] });
    expect(leastNotLying(both, where, 0)).toEqual([]);
  });

  test('does not lie, and would without any one of it', () => {
    let sets = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const instance = instanceOf(seed, 60);
        const random = seededRandom(seed);
        const where = Int32Array.from({ length: instance.n }, () => Math.floor(random() * instance.m));
        for (let j = 0; j < instance.m; j += 1) {
          const lie = (lots: readonly number[]) =>
            layAll(
              instance.spots[j]!.chamber,
              [...lots].sort((a, b) => a - b).flatMap((i) => instance.outer[i]!),
            ) !== null;
          const all = [...where.keys()].filter((i) => where[i] === j && instance.stiffMl[i]! > 0);
          if (lie(all)) continue;
          const set = leastNotLying(instance, where, j);
          sets += 1;
          expect(lie(set)).toBe(false);
          for (const i of set) expect(lie(set.filter((k) => k !== i))).toBe(true);
        }
      }),
      { numRuns: 20 },
    );
    expect(sets).toBeGreaterThan(50);
  });
});

describe('a load that does not lie', () => {
  const settled = (instance: ReturnType<typeof compileInstance>, from: Int32Array, seed: number) => {
    const free = [...from.keys()];
    const random = seededRandom(seed);
    const roomMl = instance.capacityMl.slice();
    const annealer = new Annealer(withLeastRoom(instance), free, 0, random, { roomMl });
    const fitted = new FittedState(instance);
    fitted.restore(free, from);
    repair(fitted, annealer, free, roomMl, random, Infinity);
    return fitted;
  };

  test('is led to one near by that does, with nothing left behind', () => {
    const instance = compileInstance(samplePlan({ bags: [roll, box], things: [pole, block, small] }));
    const { state } = settled(instance, Int32Array.of(0, 0, 0), 1);
    expect([...state.where]).toEqual([0, 1, expect.any(Number)]);
    expect(state.where[2]).toBeGreaterThanOrEqual(0);
  });

  test('lies far more often afterwards, with all that binds it kept', () => {
    const [runs, lay] = [40, { before: 0, after: 0 }];
    for (let seed = 1; seed <= runs; seed += 1) {
      const instance = instanceOf(2 * seed, 50);
      const free = Array.from({ length: instance.n }, (_, i) => i);
      const byLitres = new Annealer(withLeastRoom(instance), free, 0, seededRandom(seed));
      byLitres.start(new Int32Array(instance.n).fill(-1));
      byLitres.run({ hot: 15, cold: 0.1 }, 40_000);
      const from = byLitres.best() ?? byLitres.current();
      const before = new FittedState(instance);
      before.restore(free, from);
      const fitted = settled(instance, from, seed);
      if (before.closes()) expect(fitted.state.where).toEqual(from);
      lay.before += Number(before.closes());
      lay.after += Number(fitted.closes());
      if (fitted.closes()) expect(brokenRules(instance, fitted.state.where, () => true)).toEqual([]);
    }
    // Of those that did not lie, more than half do.
    expect(runs - lay.before).toBeGreaterThan(20);
    expect(lay.after - lay.before).toBeGreaterThan(0.5 * (runs - lay.before));
  });
});
