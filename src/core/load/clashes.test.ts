import fc from 'fast-check';
import { layStiff } from '@/core/fit/fit';
import { samplePlan } from '@/core/plan/samples';
import { block, pole, roll, small } from '../../../tests/support/barring';
import { instanceOf } from '../../../tests/support/instanceOf';
import { clashesOf } from './clashes';
import { compileInstance } from './instance';

describe('what does not lie together', () => {
  test('a long pole and a wide block bar each other from a roll that has room for both by litres', () => {
    const plan = samplePlan({ bags: [roll], things: [pole, block, small] });
    expect(clashesOf(compileInstance(plan))).toEqual([{ i: 1, k: 0, j: 0 }]);
    // Of two that are pinned there, no search has a choice.
    const load = ['pole', 'block'].map((thingId) => ({
      thingId,
      to: { compartmentId: 'roll-main' },
      pinned: true,
    }));
    expect(clashesOf(compileInstance({ ...plan, load }))).toEqual([]);
  });

  test('of pairs that take 0.15 of a compartment or more it is just those that laying them down finds', () => {
    let found = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const instance = instanceOf(seed, 40);
        const { n, m, stiffMl, allowed, capacityMl, spots, outer } = instance;
        const clashes = clashesOf(instance);
        const told = new Set(clashes.map(({ i, k, j }) => `${Math.min(i, k)} ${Math.max(i, k)} ${j}`));
        expect(told.size).toBe(clashes.length);
        for (let j = 0; j < m; j += 1)
          for (let i = 0; i < n; i += 1)
            for (let k = i + 1; k < n; k += 1) {
              if (stiffMl[i] === 0 || stiffMl[k] === 0) continue;
              if (!allowed[i * m + j] || !allowed[k * m + j]) continue;
              if (stiffMl[i]! + stiffMl[k]! < 0.15 * capacityMl[j]!) continue;
              const { left } = layStiff(spots[j]!.chamber, [...outer[i]!, ...outer[k]!], 0);
              expect([i, k, j, told.has(`${i} ${k} ${j}`)]).toEqual([i, k, j, left.length > 0]);
              if (left.length > 0) found += 1;
            }
      }),
      { numRuns: 8 },
    );
    expect(found).toBeGreaterThan(20);
  });
});
