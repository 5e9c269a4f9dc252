import { demoPlan } from '@/core/demo/plan';
import { factsOf } from '@/core/facts/facts';
import { runLoader } from '@/core/load/proposal/loader';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { seededRandom } from '@/core/random';
import { wrongInOrder } from '../../../tests/support/packChecker';
import { loaded } from '../../../tests/support/samples';
import { formatterFor } from '@/core/units/format';
import { lastMinuteTasks } from './lastMinute';
import { packingOrder } from './order';
import { packingCard } from './packingCard';
import { packSteps } from './steps';
import { testRide } from './testRide';

function byLoader(): Plan {
  const plan = demoPlan();
  const applied = applyEdit(plan, runLoader(plan, { seed: 1 }).edit);
  if (!applied.ok) throw new Error(applied.error);
  return applied.value.plan;
}

/** The demo's things in its bags at random, many of them badly. */
function atRandom(seed: number): Plan {
  const random = seededRandom(seed);
  const plan = demoPlan();
  const compartments = plan.bags.flatMap((bag) => bag.compartments.map(({ id }) => id));
  const carried = plan.things.filter(({ carry, inside }) => carry === 'bike' && inside === null);
  return loaded(
    plan,
    Object.fromEntries(
      carried.map(({ id }) => [id, compartments[Math.floor(random() * compartments.length)]!]),
    ),
  );
}

const demo = byLoader();
const plans: [string, Plan][] = [
  ['the demo, loaded', demo],
  ...Array.from({ length: 20 }, (_, seed): [string, Plan] => [`kit ${seed}, at random`, atRandom(seed)]),
];

test.each(plans)('%s: nothing goes in under what is in already', (_name, plan) => {
  const facts = factsOf(plan);
  let judged = 0;
  for (const compartment of facts.compartments) {
    const order = packingOrder(compartment, facts.holders);
    expect(wrongInOrder(compartment, order)).toEqual([]);
    judged += order.filter(({ hasPlace }) => hasPlace).length;
    // Everything, in the bag or in what is in the bag.
    const named = new Set(order.flatMap(({ thing, contents }) => [thing, ...contents].map(({ id }) => id)));
    expect([...named].sort()).toEqual(compartment.things.map(({ id }) => id).sort());
  }
  expect(judged).toBeGreaterThan(20);
});

test('the check can fail: the other way round is wrong', () => {
  const facts = factsOf(demo);
  const wrong = facts.compartments.flatMap((compartment) =>
    wrongInOrder(compartment, packingOrder(compartment, facts.holders).reverse()),
  );
  expect(wrong.length).toBeGreaterThan(10);
});

describe('the steps of the demo', () => {
  const bags = packSteps(factsOf(demo));

  test('every bag is filled and closed; the roll comes before the pouch that is strapped to it', () => {
    const names = bags.map(({ name }) => name);
    expect(names.indexOf('Bar roll')).toBeLessThan(names.indexOf('Front pouch'));
    for (const { steps, name } of bags) {
      expect([name, steps.at(-1)!.kind]).toEqual([name, 'close']);
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    }
  });

  test('each step is one sentence', () => {
    for (const { words } of bags.flatMap(({ steps }) => steps)) {
      expect(words).toMatch(/^[A-Z0-9].*[.]$/);
      expect(words).not.toMatch(/undefined|NaN|\s{2}|\.\./);
    }
  });

  test('what is soft is stuffed, what is in a sack says so, what is inside another is named with it', () => {
    const words = bags.flatMap(({ steps }) => steps.map((step) => step.words)).join('\n');
    expect(words).toMatch(/^Stuff Down quilt/m);
    expect(words).toMatch(/roll each end down at least three times/);
    expect(words).toMatch(/ with .* inside/);
  });
});

const metric = formatterFor('metric');

test('the last minute: what the demo charges, fills, keeps cold, uses until then and puts on', () => {
  const tasks = lastMinuteTasks(factsOf(demo), metric);
  const of = (kind: string) => tasks.filter((task) => task.kind === kind).map(({ words }) => words);
  expect(of('charge')).toEqual(['Head torch', 'Front light', 'Rear light', 'Power bank', 'Phone']);
  expect(of('fill')).toContain('Bottle, frame: 0.75 l');
  expect(of('from the fridge')).toEqual(['Hard cheese']);
  expect(of('take')).toEqual(['Phone', 'Cards, cash and train ticket']);
  expect(of('put on')).toContain('Helmet');
  // What stays at home is not charged.
  const phone = demo.things.find(({ name }) => name === 'Phone')!;
  const without = { ...demo, load: [{ thingId: phone.id, to: 'home' as const, pinned: false }] };
  expect(lastMinuteTasks(factsOf(without), metric).map(({ words }) => words)).not.toContain('Phone');
});

test('the test ride asks of the bags that are filled and could be the cause', () => {
  const steps = testRide(factsOf(demo));
  const bagsOf = (check: string) => steps.find((step) => step.check === check)?.bags.map(({ name }) => name);
  expect(bagsOf('sway')).toEqual(['Bar roll', 'Seat pack']);
  expect(bagsOf('braking')).toEqual([]);
  expect(bagsOf('rattle')).toHaveLength(
    new Set(factsOf(demo).compartments.flatMap(({ spot, things }) => (things.length > 0 ? spot.bag.id : [])))
      .size,
  );
  // On a bike without a single bag filled there is nothing that could sway.
  expect(testRide(factsOf(demoPlan())).map(({ check }) => check)).toEqual(['braking', 'steering']);
});

test('the packing card has everything once, with where first aid is and the pressures', () => {
  const facts = factsOf(demo);
  const card = packingCard(facts, metric);
  const first = facts.compartments.find(({ things }) => things.some(({ system }) => system === 'first aid'))!;
  expect(card.facts[0]).toEqual({ label: 'First aid', value: expect.stringContaining(first.spot.name) });
  expect(card.facts.map(({ label }) => label)).toEqual(expect.arrayContaining(['Tyre, front', 'Tyre, rear']));
  const listed = card.bags.flatMap(({ things }) => things);
  for (const { things } of facts.compartments)
    for (const { id, name } of things)
      if (!facts.holders.has(id))
        expect(listed.filter((line) => line.includes(name)).length).toBeGreaterThan(0);
  expect(new Set(listed).size).toBe(listed.length);
  expect(packingCard(factsOf(demoPlan()), metric).facts[0]!.value).toBe('not packed');
});
