import { handlingAtFill } from './byFill';
import { factsOf } from './facts';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';

const facts = factsOf(
  loaded(
    samplePlan({
      bags: [sampleBag('left', 'fork bag', {}, { side: 'left' }), sampleBag('frame', 'frame bag')],
      things: [sampleThing('bottle', { massG: 100, waterMl: 800 }), sampleThing('tent', { massG: 1000 })],
    }),
    { bottle: 'left-main', tent: 'frame-main' },
  ),
);

test('as the bottle on the left fork leg empties, what is left pulls in proportion, and the steering grows lighter', () => {
  const [full, half, empty] = [1, 0.5, 0].map((fill) => handlingAtFill(facts, fill)!);
  expect(full).toEqual(facts.handling);
  // Bottle and water alone are off the middle: 900 g, 500 g, 100 g.
  expect([full!, half!, empty!].map(({ leftLessRightG }) => Math.round(leftLessRightG))).toEqual([
    900, 500, 100,
  ]);
  expect(full!.centre.massG - empty!.centre.massG).toBeCloseTo(800, 6);
  expect(full!.steeringRatio).toBeGreaterThan(half!.steeringRatio);
  expect(half!.steeringRatio - empty!.steeringRatio).toBeCloseTo(
    full!.steeringRatio - half!.steeringRatio,
    9,
  );
});

test('a fill that is none is refused', () => {
  expect(() => handlingAtFill(facts, 1.2)).toThrow('A fill is from 0 to 1, not 1.2.');
  expect(() => handlingAtFill(facts, Number.NaN)).toThrow(RangeError);
});
