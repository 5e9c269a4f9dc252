import fc from 'fast-check';
import { layAll } from '@/core/fit/fit';
import { piecesOf } from '@/core/fit/pieces';
import { samplePlan } from '../../../../tests/support/samples';
import { block, pole, roll, small } from '../../../../tests/support/barring';
import { instanceOf } from '../../../../tests/support/instanceOf';
import { clashesOf } from './clashes';
import { compileInstance } from '../model/instance';

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

  test('of pairs that take 0.15 of a compartment or more it is those that laying them down finds', () => {
    let found = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const instance = instanceOf(seed, 40);
        const { n, m, stiffMl, allowed, capacityMl, spots, outer } = instance;
        const clashes = clashesOf(instance);
        const told = new Set(clashes.map(({ i, k, j }) => `${Math.min(i, k)} ${Math.max(i, k)} ${j}`));
        expect(told.size).toBe(clashes.length);
        for (let j = 0; j < m; j += 1) {
          const lie: [number, number][] = [];
          const untold: [number, number][] = [];
          for (let i = 0; i < n; i += 1)
            for (let k = i + 1; k < n; k += 1) {
              if (stiffMl[i] === 0 || stiffMl[k] === 0) continue;
              if (!allowed[i * m + j] || !allowed[k * m + j]) continue;
              if (stiffMl[i]! + stiffMl[k]! < 0.15 * capacityMl[j]!) continue;
              const lies = layAll(spots[j]!.chamber, [...outer[i]!, ...outer[k]!]) !== null;
              const isTold = told.has(`${i} ${k} ${j}`);
              if (isTold) expect([i, k, j, lies]).toEqual([i, k, j, false]);
              if (lies) lie.push([i, k]);
              else if (!isTold) untold.push([i, k]);
              found += isTold ? 1 : 0;
            }
          // What laying down misses although it could lie: just where two larger ones do.
          const within = (i: number, k: number) => {
            const [own, other] = [i, k].map((one) =>
              [...outer[one]!.flatMap(piecesOf)[0]!.sides].sort((a, b) => a - b),
            );
            return own!.every((side, at) => side <= other![at]!);
          };
          for (const [i, k] of untold)
            expect(
              lie.some(([a, b]) => (within(i, a) && within(k, b)) || (within(i, b) && within(k, a))),
            ).toBe(true);
        }
      }),
      // In 43 two of the same call lie in one order and not in the other.
      { numRuns: 8, examples: [[43]] },
    );
    expect(found).toBeGreaterThan(20);
  });
});
