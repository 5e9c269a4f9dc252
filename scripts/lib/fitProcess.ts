// One search of `bench:load --fit` in a process of its own, as the board has one worker a seed. Says when it is ready, begins
// when told to, and tells each load that is better than the last with the time since it began.
import { DEMO_BAGS } from '@/core/demo/bags';
import { searchLoad } from '@/core/load/fitSearch';
import { compileInstance } from '@/core/load/instance';
import { judged } from '@/core/load/loader';
import { lateFromNow, warming } from '@/core/load/warming';
import { randomThings, samplePlan } from '@/core/plan/samples';
import { seededRandom } from '@/core/random';

/** What a process is to look for. */
export interface FitTask {
  /** Seed of the kit, and of the search. */
  seed: number;
  searchSeed: number;
  things: number;
  seconds: number;
  /** What it has looked for a load of before: nothing, this kit as the board's workers have, or another of as many. */
  warm: Warmth;
}
export type Warmth = 'cold' | 'own' | 'other';
/** What it found: milliseconds and points of each better load; `firstMs` when there was one at all. */
export interface FitCourse {
  firstMs: number;
  better: [ms: number, points: number][];
  rounds: number;
}

const { seed, searchSeed, things, seconds, warm } = JSON.parse(process.argv[2]!) as FitTask;
const kit = (kitSeed: number, n: number) =>
  samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(kitSeed), n) });
const plan = kit(seed, things);
if (warm !== 'cold')
  for (const step of warming(warm === 'own' ? plan : kit(99, things), searchSeed, lateFromNow())) void step;
const instance = compileInstance(plan);
process.once('message', () => {
  const started = performance.now();
  const course: FitCourse = { firstMs: 0, better: [], rounds: 0 };
  let last: Int32Array | null = null;
  // Its rounds are not counted, so that it never ends by itself.
  for (const { where, best } of searchLoad(instance, seededRandom(searchSeed), Infinity)) {
    const ms = performance.now() - started;
    if (ms > seconds * 1000) break;
    course.firstMs ||= ms;
    course.rounds += 1;
    if (!where) continue;
    course.better.push([ms, best]);
    last = where;
  }
  if (!last || !judged(instance, last).sound) throw new Error('The search broke a rule.');
  process.send!(course, () => process.exit());
});
process.send!('ready');
