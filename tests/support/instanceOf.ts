import { DEMO_BAGS } from '@/core/demo/bags';
import { compileInstance, type Instance } from '@/core/load/model/instance';
import { partyOf, randomThings, samplePlan } from './samples';
import { seededRandom } from '@/core/random';

/** A random load problem with a pair in it, and heavier bags on the right; every other one has a fellow rider. */
export function instanceOf(seed: number, things: number, bags = 11): Instance {
  const alone = samplePlan({
    bags: DEMO_BAGS.slice(0, bags).map((bag) =>
      bag.side === 'right' ? { ...bag, massG: bag.massG + 400 } : bag,
    ),
    things: randomThings(seededRandom(seed), things),
    wishes: [{ kind: 'a side each', thingIds: ['thing-0', 'thing-1'] }],
  });
  return compileInstance(seed % 2 ? partyOf(alone, seed) : alone);
}
