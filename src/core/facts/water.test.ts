import { demoPlan } from '@/core/demo/plan';
import { enoughOf } from '@/core/enough/enough';
import { evaluate } from '@/core/evaluation/evaluate';
import type { Plan } from '@/core/plan/plan';
import { conditionsOf } from './conditions';
import { rideOf } from './ride';
import { capacityL, RESERVE_L, waterPlan } from './water';

const demo = demoPlan();
const planOf = (plan: Plan) => {
  const facts = evaluate(plan);
  return waterPlan(rideOf(facts)!, conditionsOf(facts), enoughOf(facts).taken)!;
};
const said = (plan: Plan) =>
  evaluate(plan)
    .findings.filter(({ check }) => check === 'dry stretch')
    .map(({ message }) => message);

test('legs run from one reliable source to the next and cover the route; the trough that may be dry is none', () => {
  const { legs, doubtful } = planOf(demo);
  expect(legs[0]!.fromM).toBe(0);
  expect(legs.at(-1)!.toM).toBe(demo.route!.lengthM);
  legs.slice(1).forEach((leg, i) => expect(leg.fromM).toBe(legs[i]!.toM));
  expect(legs.map(({ source }) => source?.place.name)).not.toContain('Cattle trough');
  expect(doubtful.map(({ place }) => place.name)).toEqual(['Cattle trough']);
});

test('the demo’s vessels bridge every stretch, and each fill reaches the next with the reserve', () => {
  expect(said(demo)).toEqual([]);
  const { legs, outcome, capacityL: room } = planOf(demo);
  if (!outcome.ok) throw new Error('The demo has water.');
  const { fills } = outcome.plan;
  fills.forEach(({ at, leavesWithL }, i) => {
    const until = fills[i + 1]?.at ?? legs.length;
    const drunk = legs.slice(at, until).reduce((sum, { demandL }) => sum + demandL, 0);
    expect(leavesWithL).toBeCloseTo(drunk + RESERVE_L, 9);
    expect(leavesWithL).toBeLessThanOrEqual(room + 1e-9);
  });
});

test('a spring declared dry makes a longer stretch; with one bottle alone it cannot be bridged, and the flask is offered', () => {
  const dry: Plan = {
    ...demo,
    route: {
      ...demo.route!,
      places: demo.route!.places.map((place) =>
        place.kind === 'water' && place.name !== 'Village fountain'
          ? { ...place, water: 'doubtful' as const }
          : place,
      ),
    },
  };
  const longest = (plan: Plan) => Math.max(...planOf(plan).legs.map(({ demandL }) => demandL));
  expect(longest(dry)).toBeGreaterThan(longest(demo) + 2);
  const [message] = said(dry);
  expect(message).toMatch(/^From Village fountain you need .* l of water, and your vessels hold .* l\.$/);
  const few: Plan = {
    ...dry,
    load: demo.things
      .filter(({ name }) => /flask/.test(name))
      .map(({ id }) => ({ thingId: id, to: 'home' as const, pinned: false })),
  };
  const finding = evaluate(few).findings.find(({ check }) => check === 'dry stretch')!;
  expect(finding.severity).toBe('stop');
  expect(finding.fixes.map(({ label }) => label)).toEqual(['Take Soft flask for the dry stretch']);
});

test('hotter weather never asks for less', () => {
  const hot = planOf({ ...demo, trip: { ...demo.trip, scenario: 'hotter' } });
  planOf(demo).legs.forEach(({ demandL }, i) => expect(hot.legs[i]!.demandL).toBeGreaterThanOrEqual(demandL));
});

test('vessels hold what is entered, what their size says, or what is in them', () => {
  const { taken } = enoughOf(evaluate(demo));
  expect(capacityL(taken)).toBeGreaterThan(2);
  expect(capacityL(taken.filter(({ name }) => /flask/.test(name)))).toBe(1);
});
