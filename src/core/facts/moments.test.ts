import { fillForStart } from '@/core/commands/water';
import { menuEdit, menuProblem, openShops } from '@/core/commands/menu';
import { demoPlan } from '@/core/demo/plan';
import { evaluate, evaluateAt } from '@/core/evaluation/evaluate';
import { onTheWay, worstMoments } from '@/core/checks/onTheWay';
import { ALLERGENS } from '@/core/food/pantry';
import { specsSchema } from '@/core/kit/thing';
import { emptyPlan, type Plan } from '@/core/plan/plan';
import { applyEdit } from '@/core/plan/apply';
import { formatterFor } from '@/core/units/format';
import { factsOf } from './facts';
import { boiledL, menuOf, plannedOf } from './food';
import { momentsOf } from './moments';
import { stateAt } from './state';
import { waterIn } from './vessels';

const format = formatterFor('metric');
const demo = demoPlan();
const apply = (plan: Plan, edit: Parameters<typeof applyEdit>[1]): Plan => {
  const applied = applyEdit(plan, edit);
  if (!applied.ok) throw new Error(applied.error);
  return applied.value.plan;
};
/** Everything in the seat pack: where it is does not matter to what it weighs. */
const onBike = (plan: Plan): Plan => ({
  ...plan,
  load: plan.things
    .filter(({ carry, inside }) => carry === 'bike' && inside === null)
    .map(({ id }) => ({
      thingId: id,
      to: { compartmentId: plan.bags[0]!.compartments[0]!.id },
      pinned: false,
    })),
});
const massOf = (plan: Plan, id: string) => {
  const moment = momentsOf(evaluate(plan)).find((each) => each.id === id)!;
  return stateAt(plan, moment).things.reduce(
    (sum, { thing, place }) =>
      place.kind === 'not yet' ? sum : sum + thing.quantity * (thing.massG + thing.waterMl),
    0,
  );
};

test('the demo has its moments in order: setting out, two camps, the end', () => {
  const moments = momentsOf(evaluate(demo));
  expect(moments.map(({ label }) => label)).toEqual([
    'Setting out',
    'Day 1, arriving at Plateau meadow',
    'Day 2, leaving Plateau meadow',
    'Day 2, arriving at River bend',
    'Day 3, leaving River bend',
    'Day 3, the end',
  ]);
  const along = moments.map(({ alongM }) => alongM!);
  expect([...along].sort((a, b) => a - b)).toEqual(along);
  expect(new Set(moments.map(({ id }) => id)).size).toBe(moments.length);
});

test('what is lost on the way is what was eaten, burnt and drunk, less rubbish; nothing else changes', () => {
  const start = momentsOf(evaluate(demo))[0]!;
  const end = momentsOf(evaluate(demo)).at(-1)!;
  const eatenG = plannedOf(demo).reduce((sum, { entry, portion }) => sum + entry.portions * portion.massG, 0);
  const water = 2350 - end.waterMl!;
  const tent = demo.things.find(({ name }) => name === 'Tent inner and fly')!;
  expect(massOf(demo, start.id) - massOf(demo, end.id)).toBeCloseTo(
    0.96 * eatenG + end.burntG + water - 0.2 * tent.massG,
    -1,
  );
  const changed = stateAt(demo, end).things.filter(({ thing }) => !demo.things.includes(thing));
  expect(new Set(changed.map(({ thing }) => thing.system))).toEqual(
    new Set(['shelter', 'cook', 'food', 'water']),
  );
});

test('gas by what the menu boils: 0.4 l dinner, 0.25 l breakfast, and half a litre of hot drinks a night', () => {
  expect(boiledL(plannedOf(demo), 1)).toBeCloseTo(1.15, 6);
  expect(boiledL([], 1)).toBe(1.4);
  const mornings = momentsOf(evaluate(demo)).filter(({ kind }) => kind === 'morning');
  // 23.4 g a litre in a breeze.
  expect(mornings.map(({ burntG }) => Math.round(burntG))).toEqual([27, 54]);
});

test('with no route there are still evenings and mornings, and water stays as it is', () => {
  const moments = momentsOf(evaluate({ ...demo, route: null }));
  expect(moments.map(({ kind }) => kind)).toEqual([
    'setting out',
    'evening',
    'morning',
    'evening',
    'morning',
    'end',
  ]);
  expect(moments.every(({ waterMl }) => waterMl === null)).toBe(true);
  expect(
    momentsOf(evaluate({ ...emptyPlan('Ride'), trip: { ...emptyPlan('Ride').trip, nights: 0 } })),
  ).toHaveLength(2);
});

test('vessels within reach are refilled from the others, which are empty first', () => {
  const vessels = demo.things.filter(({ name }) => /Bottle|flask/.test(name));
  const [frame, stem, flask] = vessels.map(({ id }) => id) as [string, string, string];
  expect(waterIn(vessels, 1000)).toEqual(
    new Map([
      [frame, 750],
      [stem, 250],
      [flask, 0],
    ]),
  );
  expect(waterIn(vessels, 9999)).toEqual(
    new Map([
      [frame, 750],
      [stem, 600],
      [flask, 1000],
    ]),
  );
  const less = apply(demo, fillForStart(evaluate(demo), 1350)!);
  expect(less.things.reduce((sum, { waterMl }) => sum + waterMl, 0)).toBe(1350);
  expect(fillForStart(evaluate(less), 1350)).toBeNull();
});

test('facts at a moment are those of a plan in which everything has the figures of that moment', () => {
  const plan = onBike(demo);
  for (const moment of momentsOf(evaluate(plan)).slice(1)) {
    const { things } = stateAt(plan, moment);
    const asThen = { ...plan, things: things.map(({ thing }) => thing) };
    expect(factsOf(plan, moment).totals).toEqual(factsOf(asThen).totals);
  }
});

test('a limit that is exceeded only after a fill is a finding of that moment, and its worst moment', () => {
  const bag = demo.bags.find(({ name }) => name === 'Right stem bag')!;
  const bottle = demo.things.find(({ name }) => name === 'Bottle, stem')!;
  const light: Plan = {
    ...demo,
    bags: demo.bags.map((each) => (each === bag ? { ...bag, limitG: 400 } : each)),
    things: demo.things.map((each) => (each === bottle ? { ...bottle, waterMl: 0 } : each)),
    load: [{ thingId: bottle.id, to: { compartmentId: bag.compartments[0]!.id }, pinned: false }],
  };
  const all = onTheWay(evaluate(light), format);
  const over = all.filter(({ findings }) => findings.some(({ check }) => check === 'bag over mass'));
  expect(over.map(({ moment }) => moment.kind)).toContain('morning');
  expect(all[0]!.findings).toEqual([]);
  expect(worstMoments(all).find(({ what }) => what === 'Right stem bag')!.at.kind).not.toBe('setting out');
  const morning = over[0]!.moment;
  expect(evaluateAt(evaluate(light), morning, format).findings.map(({ check }) => check)).toContain(
    'bag over mass',
  );
});

test('what is bought on the way is not there before its shop, and weighs from there on', () => {
  const buys: Plan = {
    ...demo,
    trip: { ...demo.trip, cooking: 'buy on the way', menu: [] },
    things: demo.things.filter(({ system }) => system !== 'food'),
    load: [],
  };
  const facts = evaluate(buys);
  expect(openShops(facts).map(({ place }) => place.name)).toContain('Village shop');
  // Closed on a Saturday morning at that hour.
  expect(openShops(facts).map(({ place }) => place.name)).not.toContain('Farm shop');
  const problem = menuProblem(facts, false);
  expect(problem.candidates.every(({ id, boilMl }) => id.includes('@') && boilMl === 0)).toBe(true);
  const roll = problem.candidates.find(({ name }) => name === 'Bagels')!;
  let id = 0;
  const next = apply(
    buys,
    menuEdit(facts, [{ id: roll.id, day: 1, slot: 'lunch', portions: 2 }], () => `food-${(id += 1)}`),
  );
  const bought = next.things.find(({ name }) => name.startsWith('Bagels'))!;
  expect(bought).toMatchObject({ name: 'Bagels (Village shop)', quantity: 2 });
  const moments = momentsOf(evaluate(next));
  const placeAt = (k: number) =>
    stateAt(next, moments[k]!).things.find(({ thing }) => thing.id === bought.id)!.place.kind;
  expect(moments[1]!.label).toBe('Day 1, leaving Village shop');
  expect([placeAt(0), placeAt(1)]).toEqual(['not yet', 'floor']);
  expect(evaluate(next).floor.map((thing) => thing.id)).not.toContain(bought.id);
});

test('filling the menu anew keeps locked lines, and pantry foods that are eaten no more leave the kit', () => {
  const first = evaluate(demo);
  let id = 0;
  const makeId = () => `food-${(id += 1)}`;
  const locked = demo.trip.menu.map((entry) => ({ ...entry, locked: entry.slot === 'dinner' }));
  const plan: Plan = { ...demo, trip: { ...demo.trip, menu: locked } };
  const one = apply(
    plan,
    menuEdit(evaluate(plan), [{ id: 'food-oat-bar', day: 1, slot: 'riding', portions: 3 }], makeId),
  );
  expect(one.trip.menu.filter((entry) => entry.locked)).toEqual(locked.filter((entry) => entry.locked));
  expect(one.things.find(({ kind }) => kind === 'food-oat-bar')).toMatchObject({ quantity: 3 });
  const two = apply(
    one,
    menuEdit(evaluate(one), [{ id: 'oat-bars', day: 1, slot: 'riding', portions: 7 }], makeId),
  );
  expect(two.things.some(({ kind }) => kind === 'food-oat-bar')).toBe(false);
  expect(two.things.find((thing) => thing.id === 'oat-bars')!.quantity).toBe(7);
  expect(menuOf(first).days).toHaveLength(3);
});

test('a menu line of a thing that is gone asks nothing; a day too short of food is a finding', () => {
  const gone: Plan = { ...demo, things: demo.things.filter((thing) => thing.id !== 'dinners-dried') };
  expect(plannedOf(gone).length).toBe(demo.trip.menu.length - 2);
  const hungry: Plan = {
    ...demo,
    trip: { ...demo.trip, menu: demo.trip.menu.filter(({ day }) => day !== 2) },
  };
  const findings = evaluate(hungry).findings.filter(({ check }) => check === 'food');
  expect(findings.map(({ message, severity }) => [message.slice(0, 6), severity])).toEqual([
    ['Day 2 ', 'check'],
  ]);
  const twice: Plan = {
    ...demo,
    trip: { ...demo.trip, menu: [...demo.trip.menu, { ...demo.trip.menu[5]!, portions: 3 }] },
  };
  const [short] = evaluate(twice).findings.filter(({ message }) =>
    message.includes('more of Dinners, dried'),
  );
  expect(short!.message).toContain('3 portions more of Dinners, dried than you take');
});

test('no stove, a diet, and food that spoils are said', () => {
  const messages = (trip: Partial<Plan['trip']>, things = demo.things) =>
    evaluate({ ...demo, things, trip: { ...demo.trip, ...trip } }).findings.map(({ message }) => message);
  expect(messages({ cooking: 'no stove' }).join()).toMatch(
    /You take no stove, and this needs boiling water: Dinners, dried/,
  );
  const cheese = demo.things.map((thing) =>
    thing.name === 'Hard cheese'
      ? { ...thing, kind: 'food-hard-cheese', specs: { ...thing.specs, keepsDays: 1 } }
      : thing,
  );
  expect(messages({ eating: { ...demo.trip.eating, diet: 'vegan' } }, cheese).join()).toMatch(
    /This is not what you eat: Hard cheese\./,
  );
  expect(messages({ dayMaximumC: 32, weather: null }, cheese).join()).toMatch(
    /This may spoil before you eat it: Hard cheese/,
  );
});

test('bad input keeps what is there and says what is wrong', () => {
  const wrong = (specs: object) => {
    const read = specsSchema.safeParse(specs);
    return read.success ? null : read.error.issues[0]!.message;
  };
  expect(wrong({ kJPer100G: 0 })).toBe('At least 10 kJ per 100 g.');
  expect(wrong({ kJPer100G: 6000 })).toBe('At most 3800 kJ per 100 g; check the unit.');
  expect(wrong({ kJPer100G: 1850 })).toBeNull();
  const refused = applyEdit(demo, {
    kind: 'set trip',
    patch: { menu: [{ ...demo.trip.menu[0]!, portions: 0 }] },
  });
  expect(refused.ok ? '' : refused.error).toBe('At least 1.');
  // No vessel at all: said by how much it is short, and the moments still stand.
  const dry: Plan = { ...demo, things: demo.things.filter(({ system }) => system !== 'water') };
  expect(momentsOf(evaluate(dry)).every(({ waterMl }) => waterMl === null)).toBe(true);
  // A day trip has one day, with a lunch and nothing cooked.
  const day: Plan = { ...demo, trip: { ...demo.trip, nights: 0 } };
  expect(menuProblem(evaluate(day), true).days).toHaveLength(1);
  expect(
    momentsOf(evaluate(day))
      .map(({ kind }) => kind)
      .at(-1),
  ).toBe('end');
  // A diet that leaves nothing leaves no candidate.
  const nothing: Plan = {
    ...demo,
    things: demo.things.filter(({ system }) => system !== 'food'),
    trip: { ...demo.trip, eating: { ...demo.trip.eating, diet: 'vegan', avoids: [...ALLERGENS] }, menu: [] },
  };
  expect(menuProblem(evaluate(nothing), false).candidates).toEqual([]);
  // A shop that never opens is no shop.
  const shut: Plan = {
    ...demo,
    route: {
      ...demo.route!,
      places: demo.route!.places.map((place) =>
        place.kind === 'shop' ? { ...place, hours: { text: 'off', open: [], varies: false } } : place,
      ),
    },
  };
  expect(openShops(evaluate(shut))).toEqual([]);
});
