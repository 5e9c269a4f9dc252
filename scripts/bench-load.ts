// npm run bench:load -- [--seed S] [--things N] [--seconds T]: our search against the HiGHS solver on one instance,
// side by side on the same volume-only objective. Prints one JSON line. With 0 seconds HiGHS is left out.
// With --fit: the whole engine with geometry instead, by itself; its best after 0.1, 1, 3 and T seconds. With --warm it has
// loaded another kit before, as the worker of the board has by the time it is asked.
import { parseArgs } from 'node:util';
import loadHighs from 'highs';
import { DEMO_BAGS } from '@/core/demo/bags';
import { searchLoad } from '@/core/load/fitSearch';
import { judged, runLoader } from '@/core/load/loader';
import { lowerBound } from '@/core/load/bound';
import { compileInstance } from '@/core/load/instance';
import { brokenRules, objectiveOf } from '@/core/load/objective';
import { searchByVolume } from '@/core/load/search';
import { randomThings, samplePlan } from '@/core/plan/samples';
import { seededRandom } from '@/core/random';
import { milpText } from './lib/milp';

const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    things: { type: 'string', default: '80' },
    seconds: { type: 'string', default: '60' },
    moves: { type: 'string' },
    fit: { type: 'boolean', default: false },
    warm: { type: 'boolean', default: false },
  },
});
const [seed, things, seconds] = [Number(values.seed), Number(values.things), Number(values.seconds)];
const plan = samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(seed), things) });
if (values.warm)
  runLoader(samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(99), 60) }), {
    effort: 0.12,
  });
const compileStarted = performance.now();
const instance = compileInstance(plan);
const compileMs = performance.now() - compileStarted;

/** Runs the search once; the first run in a process also compiles it, as a page that was just opened does. */
function search() {
  const started = performance.now();
  const run = searchByVolume(instance, seededRandom(1), values.moves ? Number(values.moves) : undefined);
  let firstMs: number | null = null;
  let step = run.next();
  while (!step.done) {
    firstMs ??= performance.now() - started;
    step = run.next();
  }
  return { where: step.value, ms: performance.now() - started, firstMs };
}

const round = (value: number) => Number(value.toFixed(3));
if (values.fit) {
  console.log(JSON.stringify(await byFit()));
  process.exit(0);
}

/** The engine with geometry, told to stop when the time is over. Its rounds are counted, so that it never ends by itself. */
async function byFit() {
  const started = performance.now();
  const run = searchLoad(instance, seededRandom(1), Infinity);
  const marks = [100, 1000, 3000, seconds * 1000];
  const best = marks.map((): number | null => null);
  let firstMs: number | null = null;
  let rounds = 0;
  let last: Int32Array | null = null;
  for (let step = run.next(); !step.done; step = run.next()) {
    const ms = performance.now() - started;
    firstMs ??= ms;
    rounds += 1;
    if (step.value.where) last = step.value.where;
    marks.forEach((mark, k) => {
      if (ms <= mark) best[k] = step.value.best;
    });
    if (ms > marks.at(-1)!) break;
  }
  if (!last || !judged(instance, last).sound) throw new Error('The search broke a rule.');
  const final = best.at(-1)!;
  return {
    bench: 'load by fit',
    seed,
    things,
    compileMs: Math.round(compileMs),
    firstMs: Math.round(firstMs!),
    at100Ms: best[0] && round(best[0]),
    at1s: best[1] && round(best[1]),
    at3s: best[2] && round(best[2]),
    atEnd: round(final),
    seconds,
    over1s: best[1] && round(best[1] / final),
    over3s: best[2] && round(best[2] / final),
    rounds,
  };
}

const ours = search();
if (brokenRules(instance, ours.where).length) throw new Error('The search broke a rule.');
const objective = objectiveOf(instance, ours.where).total;
const boundStarted = performance.now();
const bound = lowerBound(instance, objective);
const boundMs = performance.now() - boundStarted;

let theirs: { objective: number; bound: number; ms: number; status: string } | null = null;
if (seconds > 0) {
  const highs = await loadHighs();
  const model = highs.createModel({ format: 'lp', data: milpText(instance) });
  model.options.set('time_limit', seconds);
  model.options.set('output_flag', false);
  const started = performance.now();
  model.run();
  theirs = {
    objective: Number(model.info.get('objective_function_value')),
    bound: Number(model.info.get('mip_dual_bound')),
    ms: performance.now() - started,
    status: String(model.getModelStatus()),
  };
}
const best = Math.max(bound, theirs?.bound ?? -Infinity);
console.log(
  JSON.stringify({
    bench: 'load',
    seed,
    things,
    compartments: instance.m,
    ours: round(objective),
    oursMs: Math.round(ours.ms),
    firstMs: ours.firstMs === null ? null : Math.round(ours.firstMs),
    highs: theirs && round(theirs.objective),
    highsMs: theirs && Math.round(theirs.ms),
    highsStatus: theirs?.status,
    ratio: theirs && round(objective / theirs.objective),
    bound: round(bound),
    boundMs: Math.round(boundMs),
    highsBound: theirs && round(theirs.bound),
    gapPercent: round((100 * (objective - best)) / objective),
  }),
);
