import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { bagList } from './bagList';
import { evaluate } from './evaluate';

test('by bag, the deepest first, with what is inside another behind it; the rest by where it is', () => {
  const plan = loaded(
    samplePlan({
      bags: [sampleBag('seat', 'seat pack', { statedMl: 9000 }), sampleBag('stem', 'stem bag')],
      things: [
        sampleThing('jacket', { call: 'stop' }),
        sampleThing('quilt', { call: 'camp' }),
        sampleThing('pot', { call: 'camp' }),
        sampleThing('stove', { inside: 'pot' }),
        sampleThing('cap', { carry: 'worn' }),
        sampleThing('chair'),
      ],
    }),
    { jacket: 'seat-main', quilt: 'seat-main', pot: 'seat-main' },
  );
  const { bags, worn, floor, home } = bagList(evaluate(plan));
  expect(bags.map(({ name }) => name)).toEqual(['seat']);
  const names = bags[0]!.things.map(({ thing, contents }) => [
    thing.name,
    ...contents.map(({ name }) => name),
  ]);
  expect([...names].sort()).toEqual([['jacket'], ['pot', 'stove'], ['quilt']]);
  // Needed at a stop: nearest to the mouth, so it goes in last.
  expect(names.at(-1)).toEqual(['jacket']);
  expect([worn, floor, home].map((list) => list.map(({ name }) => name))).toEqual([['cap'], ['chair'], []]);
});
