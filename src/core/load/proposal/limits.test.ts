import fc from 'fast-check';
import type { Bag } from '@/core/bag/bag';
import { DEMO_BAGS } from '@/core/demo/bags';
import type { Thing } from '@/core/kit/thing';
import { loaded, randomThings, sampleBag, samplePlan, sampleThing } from '../../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { FitCosts } from '../search/fitCosts';
import { compileInstance } from '../model/instance';
import { limitsOf } from './limits';
import { brokenRules, objectiveOf } from '../model/objective';

const riding = (id: string, change: Partial<Thing> = {}) =>
  sampleThing(id, { call: 'riding', volumeMl: 570, ...change });
const BOX: Partial<Thing> = {
  form: { kind: 'box', lengthMm: 100, widthMm: 80, heightMm: 60 },
  volumeMl: 480,
};
const seat = sampleBag('seat', 'seat pack');

/** Both are wanted while riding, and one lies in the seat pack, which costs it 18 points. */
test.each<[string, Bag, Thing[], { limit: string }]>([
  // 570/0.95 = 600 ml each, in a litre.
  [
    'litres',
    sampleBag('stem', 'stem bag', { statedMl: 1000 }),
    [riding('a'), riding('b')],
    { limit: 'litres' },
  ],
  [
    'what a compartment may carry',
    sampleBag('stem', 'stem bag', { statedMl: 2000, limitG: 300 }),
    [riding('a'), riding('b')],
    { limit: 'mass' },
  ],
  [
    'what a bag may carry',
    sampleBag('stem', 'stem bag', { statedMl: 2000 }, { limitG: 300 }),
    [riding('a'), riding('b')],
    { limit: 'bag mass' },
  ],
  [
    // 0.96 of 1.13 l, but beside the first no other goes into a tube 120 mm wide, nor end to end in 100.
    'how stiff things lie',
    sampleBag('stem', 'stem bag', {
      solid: { kind: 'cylinder', lengthMm: 100, diameterMm: 120 },
      statedMl: null,
    }),
    [riding('a', BOX), riding('b', BOX)],
    { limit: 'how things lie' },
  ],
])('a load is limited by %s', (_what, bag, things, { limit }) => {
  const plan = loaded(samplePlan({ bags: [bag, seat], things }), { a: 'stem-main', b: 'seat-main' });
  const instance = compileInstance(plan);
  const limits = limitsOf(instance, instance.start);
  expect(limits).toMatchObject([{ compartmentId: 'stem-main', limit, wanted: [{ thingId: 'b' }] }]);
  const there = objectiveOf(instance, Int32Array.of(0, 0)).total;
  expect(limits[0]!.wanted[0]!.points).toBeCloseTo(objectiveOf(instance, instance.start).total - there, 9);
  // With room for both nothing limits it, though it is not the best.
  const wide = sampleBag('stem', 'stem bag', { statedMl: 3000 });
  const free = compileInstance({ ...plan, bags: [wide, seat] });
  expect(limitsOf(free, free.start)).toEqual([]);
});

test('what is said to be kept out would save that much, and would break a rule there', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const random = seededRandom(seed);
      const things = randomThings(random, 25);
      const instance = compileInstance(samplePlan({ bags: [...DEMO_BAGS], things }));
      const where = Int32Array.from({ length: instance.n }, () => -1);
      const fits = new FitCosts(instance);
      const broken = (load: Int32Array) => {
        fits.patiently(() => fits.start(load));
        return brokenRules(instance, load, (j) => fits.closes(j));
      };
      for (let i = 0; i < instance.n; i += 1) {
        const j = Math.floor(random() * instance.m);
        where[i] = j;
        if (broken(where).length > 0) where[i] = -1;
      }
      const now = objectiveOf(instance, where).total;
      for (const { compartmentId, wanted } of limitsOf(instance, where))
        for (const { thingId, points } of wanted) {
          const there = where.slice();
          there[instance.things.findIndex(({ id }) => id === thingId)] = instance.spots.findIndex(
            ({ id }) => id === compartmentId,
          );
          expect(now - objectiveOf(instance, there).total).toBeCloseTo(points, 6);
          expect(broken(there)).not.toEqual([]);
        }
    }),
    { numRuns: 15 },
  );
});
