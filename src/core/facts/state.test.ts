import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { stateAt } from './state';

test('setting out: each thing as the plan has it, and where it is; what is inside another is with it', () => {
  const packed = loaded(
    samplePlan({
      bags: [sampleBag('pack', 'seat pack')],
      things: [
        sampleThing('pot'),
        sampleThing('stove', { inside: 'pot' }),
        sampleThing('jacket', { carry: 'worn' }),
        sampleThing('chair'),
        sampleThing('mug'),
      ],
    }),
    { pot: 'pack-main' },
  );
  const plan = {
    ...packed,
    load: [...packed.load, { thingId: 'chair', to: 'home' as const, pinned: false }],
  };
  const { things } = stateAt(plan);
  expect(things.map(({ thing, place }) => [thing.id, place])).toEqual([
    ['pot', { kind: 'compartment', id: 'pack-main' }],
    ['stove', { kind: 'compartment', id: 'pack-main' }],
    ['jacket', { kind: 'worn' }],
    ['chair', { kind: 'home' }],
    ['mug', { kind: 'floor' }],
  ]);
  expect(things.every(({ thing }) => plan.things.includes(thing))).toBe(true);
});
