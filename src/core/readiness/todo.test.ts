import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import { emptyPlan, type Plan } from '@/core/plan/plan';
import { formatterFor } from '@/core/units/format';
import { todoList } from './todo';

const format = formatterFor('metric');
const todo = (plan: Plan) => todoList(evaluate(plan), format);
const demo = demoPlan();

test('the demo: the train first, then places, bike and route, each with its latest day', () => {
  const list = todo(demo);
  expect(list[0]).toMatchObject({ words: 'Reserve a place for the bike on the train', latest: '2027-04-02' });
  expect(list.map(({ words }) => words)).toEqual(
    expect.arrayContaining([
      'Ask for a place at Plateau meadow',
      'Ask for a place at River bend',
      'Put the route and offline maps on the device',
      'Look the tyres over and pump them for the load',
    ]),
  );
  expect(list.at(-1)!.latest).toBe('2027-04-15');
  expect(list.map(({ latest }) => latest)).toEqual([...list.map(({ latest }) => latest)].sort());
  expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
});

test('what is not fine, due or still to be bought is on it; what stays at home is not', () => {
  const [quilt, ...rest] = demo.things;
  const plan: Plan = {
    ...demo,
    things: [{ ...quilt!, condition: 'wash', dueOn: '2027-04-17', toGet: true, note: 'Down wash' }, ...rest],
  };
  const own = (from: Plan) =>
    todo(from)
      .filter(({ words }) => words.includes(quilt!.name))
      .map(({ words }) => words);
  expect(own(plan)).toEqual([
    `Buy or borrow ${quilt!.name}`,
    `Replace or service ${quilt!.name}`,
    `Wash ${quilt!.name}`,
  ]);
  expect(own({ ...plan, load: [{ thingId: quilt!.id, to: 'home', pinned: false }] })).toEqual([]);
});

test('a bike with tubes, no suspension and one speed has less to look at', () => {
  const build = {
    ...demo.bike!.build,
    tubes: true,
    gears: 'single speed' as const,
    forkTravelMm: 0,
    rearTravelMm: 0,
  };
  const ids = todo({ ...demo, bike: { ...demo.bike!, build } }).map(({ id }) => id);
  for (const id of ['bike sealant', 'bike suspension', 'bike gears', 'bike chain'])
    expect(ids).not.toContain(id);
  expect(todo(demo).map(({ id }) => id)).toContain('bike sealant');
});

test('an empty trip without a date has a list without days, and no bike to look at', () => {
  const list = todo(emptyPlan('Valley'));
  expect(list.every(({ latest }) => latest === null)).toBe(true);
  expect(list.some(({ id }) => id.startsWith('bike'))).toBe(false);
});
