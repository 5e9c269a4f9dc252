// npm run bench:evaluate -- [--things N] [--seed S]: one edit and the whole evaluation after it, as on the board, with each
// check's share. Fixes are worked out when a finding is shown, so they are timed apart.
import { parseArgs } from 'node:util';
import { CHECKS } from '@/core/checks';
import { findingsOf } from '@/core/checks/finding';
import { DEMO_BAGS } from '@/core/demo/bags';
import { evaluate } from '@/core/evaluation/evaluate';
import { factsOf } from '@/core/facts/facts';
import { runLoader } from '@/core/load';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { seededRandom } from '@/core/random';
import { formatterFor } from '@/core/units/format';
import { randomThings, samplePlan } from '../tests/support/samples';

const { values } = parseArgs({
  options: { things: { type: 'string', default: '120' }, seed: { type: 'string', default: '1' } },
});
const things = Number(values.things);
const seed = Number(values.seed);
const empty = samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(seed), things) });
const loaded = applyEdit(empty, runLoader(empty, { effort: 0.05 }).edit);
if (!loaded.ok) throw new Error(loaded.error);
const start = loaded.value.plan;
const compartments = start.bags.flatMap((bag) => bag.compartments.map((compartment) => compartment.id));

/** Times of each part by name, one for each edit. */
type Times = Map<string, number[]>;

/** The first hundred edits warm the compiler up, as a few seconds of use do. */
const WARM_UP = 100;
const ROUNDS = 600;

/** Moves one thing after another, as `moves` seeds it, and times what `evaluateIt` names of each edit. */
function run(
  moves: number,
  evaluateIt: (plan: Plan, time: <T>(name: string, part: () => T) => T) => void,
): Times {
  const random = seededRandom(moves);
  const times: Times = new Map();
  let plan = start;
  for (let round = 0; round < ROUNDS; round += 1) {
    const time = <T>(name: string, part: () => T): T => {
      const started = performance.now();
      const result = part();
      const took = performance.now() - started;
      if (round >= WARM_UP) times.set(name, [...(times.get(name) ?? []), took]);
      return result;
    };
    const thing = plan.things[Math.floor(random() * things)]!;
    const compartmentId = compartments[Math.floor(random() * compartments.length)]!;
    const apply = (): Plan => {
      const applied = applyEdit(plan, {
        kind: 'place',
        moves: [{ thingId: thing.id, to: { compartmentId } }],
      });
      if (!applied.ok) throw new Error(applied.error);
      return applied.value.plan;
    };
    const next = time('edit', apply);
    evaluateIt(next, time);
    plan = round % 20 === 19 ? start : next;
  }
  return times;
}

const quantile = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor(share * (times.length - 1))]!;
const mean = (times: readonly number[]): number => times.reduce((sum, ms) => sum + ms, 0) / times.length;
const ms = (value: number): number => Number(value.toFixed(3));

let found = 0;
const whole = run(seed + 1, (plan, time) => {
  const findings = time('evaluation', () => evaluate(plan).findings);
  found += findings.length;
  time('fixes', () => findings.reduce((sum, { fixes }) => sum + fixes.length, 0));
});
const both = whole.get('edit')!.map((edit, k) => edit + whole.get('evaluation')![k]!);

const format = formatterFor('metric');
const parts = run(seed + 2, (plan, time) => {
  const facts = time('facts', () => factsOf(plan));
  for (const check of CHECKS) time(check.id, () => findingsOf(check, facts, format));
});
const total = [...parts.values()].reduce((sum, times) => sum + mean(times), 0);
const shares = [...parts]
  .map(([part, times]) => ({ part, meanMs: ms(mean(times)), share: ms(mean(times) / total) }))
  .sort((a, b) => b.meanMs - a.meanMs);

console.log(
  JSON.stringify({
    bench: 'evaluate',
    things,
    compartments: compartments.length,
    findings: found,
    medianMs: ms(quantile(both, 0.5)),
    p95Ms: ms(quantile(both, 0.95)),
    fixesMedianMs: ms(quantile(whole.get('fixes')!, 0.5)),
    fixesP95Ms: ms(quantile(whole.get('fixes')!, 0.95)),
  }),
);
console.table(shares);
