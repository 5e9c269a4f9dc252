import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { evaluate } from './evaluate';
import { loadSummary } from './loadSummary';

const bags = [
  sampleBag('stem', 'stem bag'),
  sampleBag('roll', 'bar roll'),
  sampleBag('seat', 'seat pack'),
  sampleBag('frame', 'frame bag'),
];

test('a good load in four short answers', () => {
  const plan = samplePlan({ bags, things: [sampleThing('snack', { call: 'riding', system: 'food' })] });
  expect(loadSummary(evaluate(loaded(plan, { snack: 'stem-main' })))).toEqual({
    fits: 'Every bag closes.',
    reach: 'All you need on the way is in reach.',
    handling: 'The bike should handle well.',
    split: null,
  });
});

test('what is open, hard to reach, heavy at the back or split up is named', () => {
  const food = ['rice', 'nuts', 'bread'].map((id) => sampleThing(id, { system: 'food', massG: 10 }));
  const things = [
    ...food,
    sampleThing('snack', { call: 'riding' }),
    sampleThing('map', { call: 'riding' }),
    sampleThing('anvil', { massG: 6000 }),
    sampleThing('bedding', { volumeMl: 90_000, form: { kind: 'soft', looseMl: 95_000 } }),
  ];
  const plan = loaded(samplePlan({ bags, things }), {
    rice: 'stem-main',
    nuts: 'frame-main',
    bread: 'seat-main',
    snack: 'seat-main',
    map: 'seat-main',
    anvil: 'seat-main',
    bedding: 'roll-main',
  });
  const { fits, reach, handling, split } = loadSummary(evaluate(plan));
  expect(fits).toBe('roll does not close.');
  expect(reach).toBe('2 things are hard to reach: map and snack.');
  expect(handling).toMatch(/^The seat pack is heavy at the back/);
  expect(split).toBe('Split up: food over 3 bags.');
});

test('without a bike nothing is said of how it handles', () => {
  expect(loadSummary(evaluate(samplePlan({ bike: null, bags }))).handling).toMatch(/^Without a bike/);
});
