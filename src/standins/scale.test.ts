import { readingDoubts } from '@/core/bike/balance';
import { factsOf } from '@/core/facts/facts';
import { samplePlan } from '../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { simulatedScale } from './scale';

test('the simulated scale, read four times, moves the centre to where its bike and rider are', async () => {
  const plan = samplePlan();
  const scale = simulatedScale(plan, seededRandom(5));
  const read = (under: 'front' | 'rear', rider: boolean) => scale.read({ under, rider });
  const readings = {
    aloneFrontG: await read('front', false),
    aloneRearG: await read('rear', false),
    riderFrontG: await read('front', true),
    riderRearG: await read('rear', true),
  };
  const weighed = { ...plan, bike: { ...plan.bike!, readings } };
  expect(readingDoubts(weighed.bike, plan.rider.massG)).toEqual([]);
  const [before, after] = [factsOf(plan).handling!, factsOf(weighed).handling!];
  expect(after.weighed).toEqual({ bike: true, rider: true });
  expect(after.centreErrorMm).toBeLessThan(before.centreErrorMm / 4);
  // The made-up truth: bike 35 mm further back, rider 30 mm further forward.
  const truth = (30 * 75_000 - 35 * 13_000) / 88_000;
  expect(after.centre.x - before.centre.x).toBeCloseTo(truth, -1);
});
