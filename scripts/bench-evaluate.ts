// npm run bench:evaluate -- [--things N] [--seed S]: one edit and the whole evaluation after it, as on the board.
import { parseArgs } from 'node:util';
import { DEMO_BAGS } from '@/core/demo/bags';
import { runLoader } from '@/core/load/proposal/loader';
import { applyEdit } from '@/core/plan/apply';
import { evaluate } from '@/core/evaluation/evaluate';
import { randomThings, samplePlan } from '../tests/support/samples';
import { seededRandom } from '@/core/random';

const { values } = parseArgs({
  options: { things: { type: 'string', default: '120' }, seed: { type: 'string', default: '1' } },
});
const things = Number(values.things);
const random = seededRandom(Number(values.seed));

let plan = samplePlan({ bags: [...DEMO_BAGS], things: randomThings(random, things) });
const loaded = applyEdit(plan, runLoader(plan, { effort: 0.05 }).edit);
if (!loaded.ok) throw new Error(loaded.error);
plan = loaded.value.plan;
const compartments = plan.bags.flatMap((bag) => bag.compartments.map((compartment) => compartment.id));

const [times, untilFacts]: [number[], number[]] = [[], []];
let judged = 0;
for (let round = 0; round < 600; round += 1) {
  const thing = plan.things[Math.floor(random() * things)]!;
  const compartmentId = compartments[Math.floor(random() * compartments.length)]!;
  const started = performance.now();
  const applied = applyEdit(plan, { kind: 'place', moves: [{ thingId: thing.id, to: { compartmentId } }] });
  if (!applied.ok) throw new Error(applied.error);
  const evaluation = evaluate(applied.value.plan);
  const known = performance.now() - started;
  // The findings and the verdict of each stage are worked out when they are asked for.
  judged += evaluation.findings.length;
  const all = performance.now() - started;
  // The first hundred warm the compiler up, as a few seconds of use do.
  if (round >= 100) {
    times.push(all);
    untilFacts.push(known);
  }
  plan = round % 20 === 19 ? loaded.value.plan : applied.value.plan;
}
for (const some of [times, untilFacts]) some.sort((a, b) => a - b);
const at = (share: number, of = times) => Number(of[Math.floor(share * (of.length - 1))]!.toFixed(3));
console.log(
  JSON.stringify({
    bench: 'evaluate',
    things,
    compartments: compartments.length,
    medianMs: at(0.5),
    p95Ms: at(0.95),
    factsMedianMs: at(0.5, untilFacts),
    findings: judged,
  }),
);
