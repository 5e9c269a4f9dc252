// npm run bench:load -- [--seed S] [--things N] [--seconds T]: our search against the HiGHS solver on one instance,
// side by side on the same volume-only objective. Prints one JSON line. With 0 seconds HiGHS is left out.
import { parseArgs } from 'node:util';
import loadHighs from 'highs';
import { DEMO_BAGS } from '@/core/demo/bags';
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
  },
});
const [seed, things, seconds] = [Number(values.seed), Number(values.things), Number(values.seconds)];
const plan = samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(seed), things) });
const instance = compileInstance(plan);

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

const ours = search();
if (brokenRules(instance, ours.where).length) throw new Error('The search broke a rule.');
const objective = objectiveOf(instance, ours.where).total;
const boundStarted = performance.now();
const bound = lowerBound(instance);
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
const round = (value: number) => Number(value.toFixed(3));
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
