import { bagSet } from '@/core/advice/bagSet';
import { bikeOfType } from '@/core/bike/types';
import { evaluate } from '@/core/evaluation/evaluate';
import { thingSchema } from '@/core/kit/thing';
import { runLoader } from '@/core/load';
import { applyEdit } from '@/core/plan/apply';
import { emptyPlan, type Plan } from '@/core/plan/plan';
import { COOKING, RAIN, SLEEPING, type Trip } from '@/core/trip/trip';
import { starterList, thingsOf, type StarterEntry } from './starter';

const trip = (change: Partial<Trip>): Trip => ({ ...emptyPlan('Trip').trip, ...change });
const names = (entries: readonly StarterEntry[]) => entries.map(({ kind }) => kind.name);
const ids = () => {
  let n = 0;
  return () => `id-${(n += 1)}`;
};
const planOf = (own: Trip): Plan => ({
  ...emptyPlan('Trip'),
  trip: own,
  things: thingsOf(
    starterList(own, 1).filter(({ isTaken }) => isTaken),
    ids(),
  ),
});

test('for every way to sleep, cook and be rained on: known kinds only, each entry with a reason, sound things', () => {
  for (const sleeping of SLEEPING)
    for (const cooking of COOKING)
      for (const rain of RAIN)
        for (const nights of [0, 1, 3, 7])
          for (const nightMinimumC of [-12, -2, 6, 14]) {
            const own = trip({ sleeping, cooking, rain, nights, nightMinimumC, dayMaximumC: 20 });
            for (const people of [1, 2, 4]) {
              const entries = starterList(own, people);
              expect(entries.every(({ kind, others }) => kind && others.every(Boolean))).toBe(true);
              expect(entries.every(({ why, quantity }) => why.length > 5 && quantity > 0)).toBe(true);
              expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length);
            }
            for (const thing of planOf(own).things)
              expect(thingSchema.safeParse(thing).error?.issues).toBeUndefined();
          }
});

test('an overnight in a tent near freezing, with a stove', () => {
  const list = names(starterList(trip({ nights: 1, nightMinimumC: 3, rain: 'likely' }), 1));
  expect(list).toEqual(
    expect.arrayContaining([
      'Tent, 1 person',
      // 3 °C less three for the margin.
      'Sleeping bag, 0 °C',
      'Inflatable mat',
      'Rain jacket',
      'Rain trousers',
      'Insulated jacket',
      'Gas stove',
      'Gas canister, 100 g',
      'Pot, 0.9 l',
      'Bottle, 0.75 l',
      'Spare tube, 29 in',
      'Head torch',
      'First aid kit',
    ]),
  );
});

test('what is not needed is not on it: a hotel, a day, no stove, a warm night', () => {
  const hotel = names(starterList(trip({ nights: 2, sleeping: 'hotel' }), 1));
  for (const name of ['Tent, 1 person', 'Inflatable mat', 'Trowel']) expect(hotel).not.toContain(name);
  const day = names(starterList(trip({ nights: 0, cooking: 'no stove' }), 1));
  for (const name of ['Sleeping bag, 5 °C', 'Gas stove', 'Head torch']) expect(day).not.toContain(name);
  expect(names(starterList(trip({ nightMinimumC: 16, dayMaximumC: 28 }), 1))).not.toContain(
    'Insulated jacket',
  );
  expect(names(starterList(trip({}), 2))).toContain('Tent, 2 people');
});

test('the canister goes into the pot, which closes over it', () => {
  const { things } = planOf(trip({ nights: 1 }));
  const pot = things.find(({ name }) => name.startsWith('Pot'))!;
  expect(things.find(({ name }) => name.startsWith('Gas canister'))!.inside).toBe(pot.id);
  expect(evaluate(planOf(trip({ nights: 1 }))).findings.filter(({ check }) => check === 'nest')).toEqual([]);
});

test.each(SLEEPING)(
  'a list taken as it is, for a night in a %s, lacks nothing that the checks look for',
  (sleeping) => {
    const plan = planOf(trip({ nights: 1, sleeping }));
    const lacking = evaluate(plan).findings.filter(({ stage }) => stage === 'kit');
    expect(lacking.map(({ message }) => message)).toEqual([]);
  },
);

test('it goes on an average hardtail with a set of bags: a bottle in each cage, bedding apart from tools and food', () => {
  const start = planOf(trip({ nights: 1, nightMinimumC: 6 }));
  const withBike = { ...start, bike: bikeOfType('bike', 'hardtail', 'M') };
  const plan = { ...withBike, bags: bagSet(withBike, 'with fork bags', ids()) };
  const loaded = applyEdit(plan, runLoader(plan, { effort: 0.3 }).edit);
  if (!loaded.ok) throw new Error(loaded.error);
  const { compartments, floor } = evaluate(loaded.value.plan);
  expect(compartments.every(({ closes }) => closes)).toBe(true);
  expect(floor.filter(({ need }) => need === 'must').map(({ name }) => name)).toEqual([]);
  const holding = (name: RegExp) =>
    compartments
      .filter(({ things }) => things.some((thing) => name.test(thing.name)))
      .map(({ spot }) => spot.bag.place);
  const cages = plan.bags.filter(({ place }) => place === 'bottle cage').length;
  expect(cages).toBeGreaterThan(0);
  expect(holding(/^Bottle/).filter((place) => place === 'bottle cage')).toHaveLength(cages);
  for (const { things } of compartments)
    if (things.some(({ system }) => system === 'sleep'))
      expect(
        things.filter(({ system }) => system === 'tools' || system === 'food').map(({ name }) => name),
      ).toEqual([]);
});
