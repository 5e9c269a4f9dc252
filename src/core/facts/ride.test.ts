import fc from 'fast-check';
import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import type { Plan } from '@/core/plan/plan';
import type { Route } from '@/core/trip/route/route';
import { factsOf } from './facts';
import { rideOf, type Ride } from './ride';

const withRoute = (patch: Partial<Route>, plan: Plan = demoPlan()): Plan => ({
  ...plan,
  route: { ...plan.route!, ...patch },
});
const rideFor = (plan: Plan): Ride => rideOf(factsOf(plan))!;
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const found = (plan: Plan, check: string) =>
  evaluate(plan)
    .findings.filter((finding) => finding.check === check)
    .map(({ message }) => message);

test('the demo: three days that end where one can sleep, with water, before sunset', () => {
  const { days, isSuggested, problem, places } = rideFor(demoPlan());
  expect([isSuggested, problem]).toEqual([true, null]);
  expect(days.map(({ sleepsAt }) => sleepsAt?.name ?? null)).toEqual(['Plateau meadow', 'River bend', null]);
  for (const { arrivalMin, sunsetMin } of days) expect(arrivalMin).toBeLessThan(sunsetMin!);
  expect(days.slice(0, -1).every(({ waterAtEnd }) => waterAtEnd)).toBe(true);
  // Passed in the order in which they lie, on the day on which they lie.
  for (const { alongM, day } of places) {
    expect(alongM).toBeGreaterThanOrEqual(days[day - 1]!.fromM - 1);
    expect(alongM).toBeLessThanOrEqual(days[day - 1]!.toM + 1);
  }
});

test('wherever the days end, their sums are those of the route', () => {
  const whole = rideFor({ ...withRoute({ stops: [] }), trip: { ...demoPlan().trip, nights: 0 } });
  const { lengthM } = demoPlan().route!;
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 1000, max: lengthM - 1000, noNaN: true }), { maxLength: 4 }),
      (stops) => {
        const { days, walkedM } = rideFor(withRoute({ stops }));
        expect(sum(days.map(({ fromM, toM }) => toM - fromM))).toBeCloseTo(lengthM, 3);
        expect(sum(days.map(({ movingS }) => movingS))).toBeCloseTo(whole.days[0]!.movingS, 3);
        expect(sum(days.map((day) => day.walkedM))).toBeCloseTo(walkedM, 3);
        expect(sum(days.map(({ energyKJ }) => energyKJ))).toBeCloseTo(whole.days[0]!.energyKJ, 3);
        // To the step: a day's end falls between two points.
        for (const { grounds, fromM, toM } of days)
          expect(Math.abs(sum(Object.values(grounds)) - (toM - fromM))).toBeLessThan(45);
      },
    ),
    { seed: 11, numRuns: 40 },
  );
});

test('what is on the bike counts: heavier is slower and walks more, a lower gear walks less', () => {
  const plan = demoPlan();
  const light = rideFor(plan);
  const heavy = rideFor({ ...plan, rider: { ...plan.rider, massG: plan.rider.massG + 15_000 } });
  heavy.days.forEach(({ movingS }, i) => expect(movingS).toBeGreaterThan(0.99 * light.days[i]!.movingS));
  expect(sum(heavy.days.map(({ movingS }) => movingS))).toBeGreaterThan(
    sum(light.days.map(({ movingS }) => movingS)) + 10 * light.secondsPerKg,
  );
  expect(heavy.walkedM).toBeGreaterThan(light.walkedM);
  const build = { ...plan.bike!.build, smallestRingTeeth: 22, largestCogTeeth: 51 };
  const geared = rideFor({ ...plan, bike: { ...plan.bike!, build } });
  expect(geared.walkedM).toBeLessThan(light.walkedM);
  expect(geared.steepestRideable).toBeGreaterThan(light.steepestRideable);
});

test('what is said of days: late, dry, nowhere to sleep, another number of nights', () => {
  const plan = demoPlan();
  expect(['arrives late', 'dry camp', 'days and nights'].flatMap((check) => found(plan, check))).toEqual([]);
  expect(found(withRoute({ firstStartMin: 1080 }), 'arrives late')).toEqual([
    expect.stringMatching(/^Day 1 arrives at 2\d:\d\d, .* after sunset and in the dark\.$/),
  ]);
  expect(found(withRoute({ stops: [28_700, 45_000] }), 'dry camp')).toEqual([
    'There is no reliable water where day 2 ends.',
  ]);
  expect(found(withRoute({ stops: [28_700] }), 'days and nights')).toEqual([
    'The trip has 2 nights, but the route is divided into 2 days.',
  ]);
  const hotels = { ...plan, trip: { ...plan.trip, sleeping: 'hotel' as const } };
  expect(found(hotels, 'days and nights')).toEqual([
    expect.stringMatching(/too few places to sleep \(hotel\)/),
  ]);
  expect(rideFor(hotels).days).toHaveLength(3);
  // Without a route nothing of this is asked.
  expect(rideOf(factsOf({ ...plan, route: null }))).toBeNull();
});
