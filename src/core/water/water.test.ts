import fc from 'fast-check';
import { costWithAndWithout } from './alternatives';
import { leastTimeCarry, type WaterSource } from './carry';
import { drinkingRate } from './drinking';

const source = (stopMin: number, demandL: number, carryMinPerL: number): WaterSource => ({
  stopMin,
  perLitreMin: 0,
  demandL,
  carryMinPerL,
});
const EXAMPLE = [source(0, 1.0, 1.2), source(12, 1.4, 1.6), source(6, 0.6, 0.8), source(15, 0.9, 1.0)];

/** What filling at exactly these sources costs, leg by leg; Infinity where the vessels are too small. */
function costOf(
  sources: readonly WaterSource[],
  fillAt: readonly number[],
  reserveL: number,
  capacityL: number,
): number {
  let cost = 0;
  let onBoard = 0;
  for (let k = 0; k < sources.length; k += 1) {
    if (k === 0 || fillAt.includes(k)) {
      const next = fillAt.find((at) => at > k) ?? sources.length;
      const needed = sources.slice(k, next).reduce((sum, { demandL }) => sum + demandL, 0);
      onBoard = needed + reserveL;
      if (onBoard > capacityL + 1e-9) return Infinity;
      cost += (k === 0 ? 0 : sources[k]!.stopMin) + sources[k]!.perLitreMin * needed;
    }
    const after = onBoard - sources[k]!.demandL;
    cost += (sources[k]!.carryMinPerL * (onBoard + after)) / 2;
    onBoard = after;
  }
  return cost;
}

test('the worked example of methods, section 7', () => {
  const found = leastTimeCarry(EXAMPLE, 0.5, 3.5);
  if (!found.ok) throw new Error('There is a plan.');
  expect(found.plan.fills.map(({ at }) => at)).toEqual([0, 2]);
  expect(found.plan.costMin).toBeCloseTo(13.1, 1);
  expect(found.plan.mostL).toBeCloseTo(2.9, 6);
  expect(costOf(EXAMPLE, [1], 0.5, 3.5)).toBeCloseTo(19.8, 1);
  expect(costOf(EXAMPLE, [1, 2], 0.5, 3.5)).toBeCloseTo(23.4, 1);
  // Without a fill on the way there are 4.4 l to carry.
  expect(costOf(EXAMPLE, [], 0.5, 3.5)).toBe(Infinity);
});

const sources = fc.array(
  fc.record({
    stopMin: fc.integer({ min: 0, max: 20 }),
    perLitreMin: fc.integer({ min: 0, max: 3 }),
    demandL: fc.integer({ min: 1, max: 20 }).map((tenths) => tenths / 10),
    carryMinPerL: fc.integer({ min: 1, max: 30 }).map((tenths) => tenths / 10),
  }),
  { minLength: 1, maxLength: 7 },
);

test('as good as the best of all subsets of fills; too little room is told where and by how much', () => {
  fc.assert(
    fc.property(sources, fc.integer({ min: 10, max: 60 }), (list, tenths) => {
      const capacityL = tenths / 10;
      let best = Infinity;
      for (let mask = 0; mask < 2 ** (list.length - 1); mask += 1)
        best = Math.min(
          best,
          costOf(
            list,
            list.map((_, i) => i).filter((i) => i > 0 && (mask >> (i - 1)) & 1),
            0.5,
            capacityL,
          ),
        );
      const found = leastTimeCarry(list, 0.5, capacityL);
      expect(found.ok).toBe(best < Infinity);
      if (found.ok) expect(found.plan.costMin).toBeCloseTo(best, 6);
      else {
        const { at, missingL } = found.problem;
        expect(list[at]!.demandL + 0.5 - capacityL).toBeCloseTo(missingL, 6);
        expect(missingL).toBeGreaterThan(0);
      }
    }),
    { seed: 36 },
  );
});

test('larger vessels are never worse, and neither is another source on the way', () => {
  fc.assert(
    fc.property(sources, fc.nat(), (list, where) => {
      const costs = [3, 4, 8].map((capacityL) => {
        const found = leastTimeCarry(list, 0.5, capacityL);
        return found.ok ? found.plan.costMin : Infinity;
      });
      expect(costs[1]!).toBeLessThanOrEqual(costs[0]! + 1e-9);
      expect(costs[2]!).toBeLessThanOrEqual(costs[1]! + 1e-9);
      // A leg with a source in its middle: each half asks for half, and carrying over both costs as much as over the whole.
      const at = where % list.length;
      const leg = list[at]!;
      const half = { ...leg, demandL: leg.demandL / 2, carryMinPerL: leg.carryMinPerL / 2 };
      const more = leastTimeCarry(
        [...list.slice(0, at), half, { ...half, stopMin: 5 }, ...list.slice(at + 1)],
        0.5,
        8,
      );
      expect(more.ok ? more.plan.costMin : Infinity).toBeLessThanOrEqual(costs[2]! + 1e-6);
    }),
    { seed: 36 },
  );
});

test('a hotter day never needs less water', () => {
  expect(drinkingRate(17, 1)).toBeCloseTo(0.56, 6);
  expect(drinkingRate(-10, 1)).toBe(0.3);
  expect(drinkingRate(45, 1)).toBe(1.2);
  for (let celsius = -20; celsius < 45; celsius += 1)
    expect(drinkingRate(celsius + 1, 1)).toBeGreaterThanOrEqual(drinkingRate(celsius, 1));
});

test('filling at one more source, or passing one, costs what the least plan under that condition does', () => {
  const rounded = [1, 2, 3].map((at) => {
    const { filling, passing } = costWithAndWithout(EXAMPLE, at, 0.5, 3.5);
    return [filling, passing].map((cost) => Math.round(10 * cost) / 10);
  });
  expect(rounded).toEqual([
    [19.8, 13.1],
    [13.1, 19.8],
    [23.1, 13.1],
  ]);
  fc.assert(
    fc.property(sources, fc.nat(), fc.integer({ min: 10, max: 60 }), (list, where, tenths) => {
      if (list.length < 2) return;
      const at = 1 + (where % (list.length - 1));
      const capacityL = tenths / 10;
      const best = leastTimeCarry(list, 0.5, capacityL);
      const { filling, passing } = costWithAndWithout(list, at, 0.5, capacityL);
      if (best.ok) expect(Math.min(filling, passing)).toBeCloseTo(best.plan.costMin, 6);
      else expect(Math.min(filling, passing)).toBe(Infinity);
    }),
    { seed: 36 },
  );
});
