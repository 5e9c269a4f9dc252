// One search of `bench:load --fit` in a process of its own, as the board has one worker a seed. Says when it is ready, begins
// (or goes on) when told to, and tells each load that is better than the last with the time it took since then: its own time,
// of all its threads, not the clock's. On a machine that others use too a second of the clock has a tenth of a second's work
// at times (decision 0036); on one to itself both are the same.
import { DEMO_BAGS } from '@/core/demo/bags';
import { searchLoad, type SearchProgress } from '@/core/load/search/fitSearch';
import { compileInstance } from '@/core/load/model/instance';
import { judged, knownLoad, loader, type LoadMemory } from '@/core/load/proposal/loader';
import { lateFromNow } from '@/core/load/proposal/lookAhead';
import { randomThings, samplePlan } from '../../tests/support/samples';
import { seededRandom } from '@/core/random';

/** What a process is to look for. */
export interface FitTask {
  /** Seed of the kit, and of the search. */
  seed: number;
  searchSeed: number;
  things: number;
  seconds: number;
  warm: Warmth;
}
/**
 * What it has looked for a load of before: nothing; another kit of as many things; this kit, but begins anew; this kit
 * without its last thing, and begins from what it found, as on a board right after an edit; or this kit, and the search
 * goes on from there, as on a board left alone.
 */
export type Warmth = 'cold' | 'other' | 'own' | 'edited' | 'ahead';
/** What it found: milliseconds of its own and points of each better load; `firstMs` when there was one at all. */
export interface FitCourse {
  firstMs: number | null;
  better: [ms: number, points: number][];
  rounds: number;
  /** Milliseconds of the clock for all of it. */
  clockMs: number;
}

const { seed, searchSeed, things, seconds, warm } = JSON.parse(process.argv[2]!) as FitTask;
const kit = (kitSeed: number, n: number) =>
  samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(kitSeed), n) });
const plan = kit(seed, things);
const instance = compileInstance(plan);
const memory: LoadMemory = { placed: new Map() };
const isLate = lateFromNow();
if (warm === 'own' || warm === 'other' || warm === 'edited') {
  const before = warm === 'other' ? kit(99, things) : plan;
  const lookedAt = warm === 'edited' ? { ...before, things: before.things.slice(0, -1) } : before;
  const own = warm === 'edited' ? memory : undefined;
  const run = loader(lookedAt, { seed: searchSeed }, { goesOn: () => true, memory: own });
  while (!isLate() && !run.next().done);
}
// Its rounds are not counted, so that it never ends by itself.
const known = memory.placed.size > 0 ? [knownLoad(instance, memory)] : [];
const search = searchLoad(instance, seededRandom(searchSeed), { rounds: Infinity, known });
const course: FitCourse = { firstMs: null, better: [], rounds: 0, clockMs: 0 };
let last: Int32Array | null = null;
function note({ where, best }: SearchProgress, ms: number) {
  course.firstMs ??= ms;
  course.rounds += 1;
  if (!where) return;
  course.better.push([ms, best]);
  last = where;
}
if (warm === 'ahead') while (!isLate()) note(search.next().value as SearchProgress, 0);

process.once('message', () => {
  const [started, clockStarted] = [process.cpuUsage(), performance.now()];
  for (const told of search) {
    const { user, system } = process.cpuUsage(started);
    const ms = (user + system) / 1000;
    if (ms > seconds * 1000) break;
    note(told, ms);
  }
  course.clockMs = performance.now() - clockStarted;
  if (!last || !judged(instance, last).sound) throw new Error('The search broke a rule.');
  process.send!(course, () => process.exit());
});
process.send!('ready');
