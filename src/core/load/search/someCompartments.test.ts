import fc from 'fast-check';
import { seededRandom } from '@/core/random';
import { someCompartments } from './someCompartments';

test('the floor, what is asked for, and a share of the compartments, two at least, each as often', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 40 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.integer({ min: 1, max: 1_000_000 }),
      (m, share, seed) => {
        const open = someCompartments(m, share, [], seededRandom(seed));
        expect(open).toHaveLength(m + 1);
        expect(open[0]).toBe(1);
        expect(open.reduce((sum, one) => sum + one, 0) - 1).toBe(
          Math.min(m, Math.max(2, Math.round(m * share))),
        );
        if (m > 0) expect(someCompartments(m, share, [m - 1], seededRandom(seed))[m]).toBe(1);
      },
    ),
  );
  const random = seededRandom(1);
  const often = new Float64Array(11);
  for (let draw = 0; draw < 10_000; draw += 1)
    someCompartments(10, 0.3, [], random).forEach((open, c) => (often[c]! += open / 10_000));
  for (const share of often.slice(1)) expect(share).toBeCloseTo(0.3, 1);
});
