import loadHighs from 'highs';
import { DEMO_BAGS } from '@/core/demo/bags';
import type { Thing } from '@/core/kit/thing';
import { compileInstance } from '@/core/load/model/instance';
import { objectiveOf } from '@/core/load/model/objective';
import { searchByVolume } from './searchByVolume';
import { partyOf, randomThings, samplePlan } from '../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { leastOfEveryLoad } from '../../tests/support/everyLoad';
import { milpText } from './milp';

/** Six that spoil one another in every way there is. */
const SPOILING: Partial<Thing>[] = [
  { system: 'cook', traits: ['fuel'] },
  { system: 'food', traits: [] },
  { system: 'food', traits: ['sharp'] },
  { system: 'sleep', traits: ['inflatable'], dry: 'must', inDrySack: false },
  { system: 'shelter', traits: ['wet'] },
  { system: 'tools', traits: ['sharp'] },
];

test.each<[string, Partial<Thing>[]]>([
  ['any things', []],
  ['things that spoil one another', SPOILING],
])(
  'the programme handed to the solver is the search’s own problem: its optimum is the least of all assignments of %s',
  async (_what, changes) => {
    const highs = await loadHighs();
    for (let seed = 1; seed <= 6; seed += 1) {
      const things = randomThings(seededRandom(seed), 6).map((thing, i) => ({
        ...thing,
        ...changes[i],
        volumeMl: thing.volumeMl * 2,
      }));
      const bags = [0, 6, 9].map((k) => {
        const bag = DEMO_BAGS[k]!;
        return { ...bag, compartments: [{ ...bag.compartments[0]!, statedMl: 700 * seed }] };
      });
      const alone = samplePlan({ bags, things });
      const instance = compileInstance(
        seed % 2 ? partyOf({ ...alone, bags: bags.slice(0, 2) }, seed) : alone,
      );
      const solved = highs.solve(milpText(instance), { output_flag: false });
      expect(solved.Status).toBe('Optimal');
      expect(solved.ObjectiveValue).toBeCloseTo(leastOfEveryLoad(instance), 4);
    }
  },
);

test('on a kit of twenty, which the solver finishes, the search comes within one per cent of its optimum', async () => {
  const highs = await loadHighs();
  const instance = compileInstance(
    samplePlan({ bags: DEMO_BAGS.slice(0, 5), things: randomThings(seededRandom(2), 20) }),
  );
  const solved = highs.solve(milpText(instance), { output_flag: false, time_limit: 60 });
  const run = searchByVolume(instance, seededRandom(1));
  let step = run.next();
  while (!step.done) step = run.next();
  const ours = objectiveOf(instance, step.value).total;
  if (solved.Status === 'Optimal') expect(ours).toBeGreaterThanOrEqual(solved.ObjectiveValue - 1e-4);
  expect(ours).toBeLessThanOrEqual(solved.ObjectiveValue * 1.01);
});
