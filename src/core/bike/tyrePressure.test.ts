import fc from 'fast-check';
import { DEFAULT_BUILD } from './bike';
import { noPressure, startingPressure } from './tyrePressure';

const LB = 453.59237;

test('by hand: 100 lb on 45 mm → 30.6 psi, 2.1 bar', () => {
  const { kpa } = startingPressure(100 * LB, 45, 'paved', DEFAULT_BUILD);
  expect(kpa / 6.894757).toBeCloseTo(30.6, 1);
  expect(kpa / 100).toBeCloseTo(2.1, 1);
});

test('rough ground takes a tenth off, tubes add a twentieth', () => {
  const at = (surface: 'paved' | 'rough', tubes: boolean) =>
    startingPressure(45_000, 50, surface, { ...DEFAULT_BUILD, tubes }).kpa;
  expect(at('rough', false) / at('paved', false)).toBeCloseTo(0.9, 9);
  expect(at('paved', true) / at('paved', false)).toBeCloseTo(1.05, 9);
});

test('a tyre that needs more than its rim, or itself, allows is told with both figures', () => {
  const limits = { tyreLeastKpa: 350, tyreMostKpa: 500, rimMostKpa: 300 };
  expect(noPressure(limits)).toEqual({ leastKpa: 350, mostKpa: 300, part: 'rim' });
  expect(noPressure({ ...limits, rimMostKpa: null })).toBeNull();
  expect(noPressure({ ...limits, rimMostKpa: 400, tyreMostKpa: 340 })).toEqual({
    leastKpa: 350,
    mostKpa: 340,
    part: 'tyre',
  });
  expect(noPressure({ ...limits, tyreLeastKpa: null })).toBeNull();
});

test('printed limits always hold, the lower of two upper ones first, and what bounded it is named', () => {
  const limits = { tubes: false, tyreLeastKpa: 180, tyreMostKpa: 400, rimMostKpa: 300 };
  expect(startingPressure(10_000, 57, 'paved', limits)).toMatchObject({ kpa: 180, boundedBy: 'tyre least' });
  expect(startingPressure(90_000, 40, 'paved', limits)).toMatchObject({ kpa: 300, boundedBy: 'rim most' });
  const load = fc.integer({ min: 0, max: 150_000 });
  fc.assert(
    fc.property(load, load, fc.integer({ min: 20, max: 75 }), (a, b, width) => {
      const [less, more] = [Math.min(a, b), Math.max(a, b)];
      const low = startingPressure(less, width, 'gravel', limits);
      const high = startingPressure(more, width, 'gravel', limits);
      expect(low.kpa).toBeLessThanOrEqual(high.kpa);
      expect(high.kpa).toBeLessThanOrEqual(300);
      expect(low.kpa).toBeGreaterThanOrEqual(180);
      // A wider tyre never needs more.
      expect(startingPressure(more, width + 5, 'gravel', limits).curveKpa).toBeLessThanOrEqual(high.curveKpa);
    }),
  );
});
