import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import type { Plan } from '@/core/plan/plan';
import { SCENARIOS, type Scenario } from '@/core/trip/weather';
import { conditionsOf } from './conditions';
import { farFromHelp } from './help';
import { rideOf } from './ride';

const demo = demoPlan();
const withTrip = (patch: Partial<Plan['trip']>): Plan => ({ ...demo, trip: { ...demo.trip, ...patch } });
const conditions = (plan: Plan) => conditionsOf(evaluate(plan));
const said = (plan: Plan, check: string) =>
  evaluate(plan)
    .findings.filter((finding) => finding.check === check)
    .map(({ message }) => message);

test('temperatures at a height of their own are carried to the camp and to the lowest place, 6.5 °C per kilometre', () => {
  const facts = evaluate(demo);
  const ride = rideOf(facts)!;
  const { height, stepM } = ride.line;
  const day = ride.days[0]!;
  const campM = height[Math.round(day.toM / stepM)]!;
  const weather = demo.trip.weather!.map((each) => ({ ...each, heightM: campM + 1000 }));
  const found = conditions(withTrip({ weather }));
  expect(found.nights[0]!.coldestC).toBeCloseTo(5 + 6.5, 6);
  const lowestM = Math.min(...height.subarray(0, Math.round(day.toM / stepM) + 1));
  expect(found.days[0]!.warmestC).toBeCloseTo(16 + 0.0065 * (campM + 1000 - lowestM), 6);
  // Typed as that of the camp, the night is as typed.
  expect(conditions(demo).nights[0]!.coldestC).toBe(5);
  expect(conditions(demo).coldestC).toBe(3);
});

test('one figure for the whole trip holds wherever the route goes', () => {
  expect(conditions(withTrip({ weather: null }))).toMatchObject({
    coldestC: 3,
    warmestC: 17,
    rain: 'likely',
  });
});

test('each scenario is at least as bad as what is expected, in its own way', () => {
  const by = Object.fromEntries(
    SCENARIOS.map((scenario) => [scenario, conditions(withTrip({ scenario }))]),
  ) as Record<Scenario, ReturnType<typeof conditions>>;
  expect(by.colder.coldestC).toBe(by.expected.coldestC - 5);
  expect(by.hotter.warmestC).toBe(by.expected.warmestC + 6);
  by.wetter.days.forEach((day, i) => {
    expect(day.rainMm!).toBeGreaterThanOrEqual(by.expected.days[i]!.rainMm!);
    expect(day.rain).toBe('likely');
  });
});

test('a finding says when it applies only in the chosen weather', () => {
  expect(said(demo, 'weather')).toEqual([]);
  expect(said(withTrip({ scenario: 'colder' }), 'weather')).toEqual([
    'In colder weather: It may freeze at night, down to −2 °C.',
  ]);
  // Frost that is expected anyway is told plainly.
  const frosty = { weather: null, nightMinimumC: -3 };
  expect(said(withTrip({ ...frosty, scenario: 'colder' }), 'weather')).toEqual([
    'It may freeze at night, down to −8 °C.',
  ]);
});

test('a shop that is closed when it is passed is told, and not when another one is open or the day moves', () => {
  expect(said(demo, 'closed when passed')).toEqual([
    'Farm shop is closed when you pass: day 2, Saturday at 8:59.',
  ]);
  // A week day, but before nine.
  expect(said(withTrip({ startDate: '2027-04-19' }), 'closed when passed')).toEqual([
    'Farm shop is closed when you pass: day 2, Tuesday at 8:59.',
  ]);
  const later: Plan = { ...withTrip({ startDate: '2027-04-19' }), route: { ...demo.route!, startMin: 540 } };
  expect(said(later, 'closed when passed')).toEqual([]);
  // Without a date no weekday is known.
  expect(said(withTrip({ startDate: null }), 'closed when passed')).toEqual([]);
});

test('a train that leaves before the last day ends, and the start that would reach it', () => {
  const early: Plan = { ...demo, route: { ...demo.route!, endByMin: 600 } };
  const finding = evaluate(early).findings.find(({ check }) => check === 'misses the train')!;
  expect(finding.message).toMatch(/too late for 10:00/);
  const [fix] = finding.fixes;
  const startMin = fix && 'edit' in fix && fix.edit.kind === 'change route' && fix.edit.patch.startMin;
  const again: Plan = { ...early, route: { ...early.route!, startMin: Number(startMin) } };
  expect(said(again, 'misses the train')).toEqual([]);
});

test('a rest day is a day without way, and the night after it is at the same place', () => {
  const facts = evaluate(demo);
  const [first, second] = rideOf(facts)!.days.map(({ toM }) => toM);
  const rested: Plan = {
    ...withTrip({ nights: 3 }),
    route: { ...demo.route!, stops: [first!, first!, second!] },
  };
  const days = rideOf(evaluate(rested))!.days;
  expect(days.map(({ fromM, toM }) => Math.round(toM - fromM))).toEqual([
    Math.round(first!),
    0,
    Math.round(second! - first!),
    Math.round(demo.route!.lengthM - second!),
  ]);
  expect(days[1]!.sleepsAt?.name).toBe(days[0]!.sleepsAt?.name);
  expect(conditions(rested).nights).toHaveLength(3);
  expect(evaluate(rested).findings.some(({ check }) => check === 'days and nights')).toBe(false);
});

test('a loop finds help at its end in the place where it began', () => {
  const ride = rideOf(evaluate(demo))!;
  const far = farFromHelp(ride, ride.days[2]!)!;
  // Midway between the mill village and the halt at the end.
  expect(far.alongM).toBeGreaterThan(80_000);
  expect(far.alongM).toBeLessThan(92_000);
});

test('fuel does not go on a plane; each circumstance brings its caution once', () => {
  const flying = evaluate(withTrip({ circumstances: ['plane', 'border'] })).findings.filter(
    ({ check }) => check === 'circumstances',
  );
  expect(flying.map(({ severity }) => severity)).toEqual(['check', 'note', 'note']);
  expect(flying[0]!.message).toMatch(/cannot go on the plane/);
});
