import fc from 'fast-check';
import { splitDays } from '@/core/trip/days/splitDays';
import { sunTimes } from '@/core/trip/days/sun';
import { paceAlong, stepClasses } from './pace';
import { powerAt, speedAt, steepestGradient } from './power';

test('worked examples of methods, section 6', () => {
  expect(powerAt(95, 0.05, 0.012, 10 / 3.6)).toBeCloseTo(171, 0);
  expect(1000 / speedAt(95, 0.05, 0.012, 130)).toBeCloseTo(467.4, 1);
  expect(1000 / speedAt(96, 0.05, 0.012, 130)).toBeCloseTo(472.1, 1);
  const steepest = steepestGradient(104, 0.018, 180, 1.29);
  expect(steepest).toBeCloseTo(0.115, 3);
});

test('the speed at a power is the one at which that power is needed, up and down', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 180, noNaN: true }),
      fc.double({ min: -0.25, max: 0.3, noNaN: true }),
      fc.double({ min: 0.005, max: 0.05, noNaN: true }),
      fc.double({ min: 60, max: 300, noNaN: true }),
      (mass, slope, rolling, power) => {
        const v = speedAt(mass, slope, rolling, power);
        expect(v).toBeGreaterThan(0);
        expect(powerAt(mass, slope, rolling, v)).toBeCloseTo(power, 3);
      },
    ),
    { seed: 8 },
  );
});

const hills = Float64Array.from({ length: 3000 }, (_, i) => 60 * Math.sin(i / 90) + 15 * Math.sin(i / 17));
const classes = stepClasses(hills, 20, (step) => (step < 1500 ? 'asphalt' : 'trail'));

test('more load never arrives earlier, a higher gear is never walked less', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 170, noNaN: true }),
      fc.double({ min: 0, max: 30, noNaN: true }),
      fc.double({ min: 0.8, max: 3, noNaN: true }),
      (massKg, more, developmentM) => {
        const light = paceAlong(classes, 20, { massKg, powerW: 130, developmentM });
        const heavy = paceAlong(classes, 20, { massKg: massKg + more, powerW: 130, developmentM });
        for (let i = 0; i < light.seconds.length; i += 50)
          expect(heavy.seconds[i]!).toBeGreaterThanOrEqual(light.seconds[i]! - 1e-6);
        expect(heavy.walkedM.at(-1)!).toBeGreaterThanOrEqual(light.walkedM.at(-1)!);
        const high = paceAlong(classes, 20, { massKg, powerW: 130, developmentM: 1.3 * developmentM });
        expect(high.walkedM.at(-1)!).toBeGreaterThanOrEqual(light.walkedM.at(-1)!);
      },
    ),
    { seed: 9 },
  );
});

/** All divisions, for a few points. */
function bruteHardest(costs: number[], extra: number[], days: number): number {
  const end = costs.length - 1;
  const from = (at: number, left: number): number => {
    if (left === 1) return costs[end]! - costs[at]!;
    let best = Infinity;
    for (let to = at + 1; to <= end - left + 1; to += 1)
      best = Math.min(best, Math.max(costs[to]! - costs[at]! + extra[to]!, from(to, left - 1)));
    return best;
  };
  return from(0, days);
}

const hardest = (costs: number[], extra: number[], stops: number[]) => {
  const ends = [...stops, costs.length - 1];
  return Math.max(
    ...ends.map(
      (to, k) => costs[to]! - costs[k === 0 ? 0 : ends[k - 1]!]! + (k === ends.length - 1 ? 0 : extra[to]!),
    ),
  );
};

test('no division makes the hardest day easier; one more place to sleep never makes it harder', () => {
  expect(splitDays([0, 3, 4, 8, 10], [0, 0, 0, 0, 0], 2)).toEqual([2]);
  expect(splitDays([0, 5], [0, 0], 2)).toBeNull();
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 0, max: 9 })), {
        minLength: 4,
        maxLength: 9,
      }),
      fc.integer({ min: 1, max: 4 }),
      fc.nat(),
      (steps, days, gone) => {
        const costs = [
          0,
          ...steps.map((_, i) => steps.slice(0, i + 1).reduce((sum, [step]) => sum + step, 0)),
        ];
        const extra = [0, ...steps.map(([, more]) => more)];
        const stops = splitDays(costs, extra, days)!;
        const best = hardest(costs, extra, stops);
        expect(stops).toHaveLength(days - 1);
        expect(best).toBe(bruteHardest(costs, extra, days));
        // Without one of the places.
        const index = 1 + (gone % (costs.length - 2));
        const fewer = [costs.toSpliced(index, 1), extra.toSpliced(index, 1)] as const;
        const without = splitDays(...fewer, days);
        if (without) expect(hardest(...fewer, without)).toBeGreaterThanOrEqual(best);
      },
    ),
    { seed: 10 },
  );
});

test('sun: an equinox, a summer evening, and a place where it does not set', () => {
  // At the equator on the equinox the sun rises and sets at about six, by the sun's own time.
  const { sunriseMin, sunsetMin, duskMin } = sunTimes('2027-03-20', 0, 0, 'UTC');
  expect(Math.abs(sunriseMin! - 364)).toBeLessThan(4);
  expect(Math.abs(sunsetMin! - 1091)).toBeLessThan(4);
  expect(duskMin! - sunsetMin!).toBeGreaterThan(18);
  expect(sunTimes('2027-06-21', 78, 15, 'UTC').sunsetMin).toBeNull();
  // The same moment, two hours later by the clock in summer.
  expect(
    sunTimes('2027-06-21', 48, 9, 'Europe/Berlin').sunsetMin! -
      sunTimes('2027-06-21', 48, 9, 'UTC').sunsetMin!,
  ).toBe(120);
});
