import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { formatterFor } from '@/core/units/format';
import type { Plan } from '@/core/plan/plan';
import { answerOf } from './answer';
import { normal } from '@/core/units/normal';
import { certaintyWords, fitCertainty } from './certainty';
import { evaluate } from './evaluate';

const answer = (plan: Plan) => answerOf(evaluate(plan), formatterFor('metric'));
const bags = [sampleBag('seat', 'seat pack', { statedMl: 2000 }), sampleBag('frame', 'frame bag')];

test('the normal distribution by its table', () => {
  expect(normal(0)).toBeCloseTo(0.5, 6);
  expect(normal(1)).toBeCloseTo(0.841345, 5);
  expect(normal(-1.96)).toBeCloseTo(0.024998, 5);
});

test('how certain a fit is: the room left over the error, one compartment with another', () => {
  // By hand: 950 ml by tape are 1000 ml stuffed, ± 7 %; in 1070 ml one standard error is left.
  const one = (id: string, capacity: number) => ({
    bag: sampleBag(id, 'seat pack', { statedMl: capacity }),
    thing: sampleThing(`${id}-thing`),
  });
  const [a, b] = [one('a', 1070), one('b', 1070)];
  const facts = evaluate(
    loaded(samplePlan({ bags: [a.bag, b.bag], things: [a.thing, b.thing] }), {
      'a-thing': 'a-main',
      'b-thing': 'b-main',
    }),
  );
  const [first] = facts.compartments;
  const alone = normal((1070 - first!.neededMl) / first!.neededErrorMl);
  expect(alone).toBeGreaterThan(0.8);
  expect(fitCertainty(facts.compartments)).toBeCloseTo(alone ** 2, 9);
  expect(fitCertainty([])).toBe(1);
  expect(fitCertainty([{ ...first!, closes: false }])).toBe(0);
});

test.each([
  [0.999, 'almost certainly', '99 in 100'],
  [0.81, 'probably', '4 in 5'],
  [0.5, 'perhaps', '1 in 2'],
  [0.08, 'probably not', '1 in 10'],
])('%f is %s, %s', (probability, word, chance) =>
  expect(certaintyWords(probability)).toEqual({ word, chance }),
);

test('what is missing comes first, with the next step', () => {
  expect(answer(samplePlan({ bike: null }))).toMatchObject({
    sentence: 'There is no bike on this trip yet.',
    next: { go: 'bike' },
  });
  expect(answer(samplePlan({}))).toMatchObject({ next: { label: 'Add bags', go: 'bike' } });
  expect(answer(samplePlan({ bags }))).toMatchObject({ next: { go: 'kit' } });
  expect(answer(samplePlan({ bags, things: [sampleThing('a')] }))).toMatchObject({
    sentence: '1 thing to pack.',
    next: { action: 'load for me' },
  });
});

test('what does not fit is said with how much; what lies on the floor is counted', () => {
  const things = ['a', 'b', 'c'].map((id) => sampleThing(id));
  const plan = samplePlan({ bags, things });
  expect(answer(loaded(plan, { a: 'seat-main', b: 'seat-main', c: 'seat-main' })).sentence).toBe(
    'It does not fit: seat is 1.00 l over.',
  );
  expect(answer(loaded(plan, { a: 'seat-main' })).sentence).toBe(
    '1 thing in bags, 2 things still on the floor.',
  );
  // The one that is left over is best left at home.
  const most = answer(
    loaded(samplePlan({ bags, things: things.slice(0, 3) }), { a: 'seat-main', b: 'frame-main' }),
  );
  expect(most.next).toEqual({
    label: 'Leave c at home',
    edit: { kind: 'place', moves: [{ thingId: 'c', to: 'home' }] },
  });
});

test('all in: how certain, and the biggest doubt', () => {
  const plan = samplePlan({ bags, things: [sampleThing('a'), sampleThing('lamp', { view: 'ahead' })] });
  const all = answer(loaded(plan, { a: 'frame-main', lamp: 'frame-main' }));
  expect(all.sentence).toBe('Everything fits: 2 things in 1 bag.');
  expect(all.doubt).toMatch(/./);
  const guessed = samplePlan({
    bags: [sampleBag('seat', 'seat pack', { statedMl: 1100 })],
    things: [sampleThing('a', { volumeSource: 'estimate', kind: 'something-bottle' })],
  });
  expect(answer(loaded(guessed, { a: 'seat-main' })).sentence).toMatch(
    /^Everything perhaps fits \(\d in \d\)/,
  );
});
