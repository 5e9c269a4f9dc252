// npm run -s plan -- [--menu] [--load] [--pack] [--seed N] FILE.json: a plan judged without a browser, as JSON.
import { readFileSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { parsePlanFile } from '@/core/formats/planFile';
import { cannotLoad } from '@/core/load/proposal/cannotLoad';
import { factsOf } from '@/core/facts/facts';
import { packSteps } from '@/core/instructions/steps';
import { runLoader } from '@/core/load/proposal/loader';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { LIMITS } from '@/core/plan/limits';
import { evaluate } from '@/core/evaluation/evaluate';
import { report } from '@/core/evaluation/report';
import { enoughReport } from '@/core/explain/enoughReport';
import { provisionsReport } from '@/core/explain/provisionsReport';
import { formatterFor } from '@/core/units/format';
import loadHighs from 'highs';
import { menuEdit, menuProblem } from '@/core/commands/menu';
import { solveMenu, type Solver } from '@/core/menu/solveMenu';
import { exitOn, Plain } from './lib/say';

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      load: { type: 'boolean', default: false },
      pack: { type: 'boolean', default: false },
      menu: { type: 'boolean', default: false },
      seed: { type: 'string', default: '1' },
    },
  });
  const file = positionals[0];
  if (!file || positionals.length > 1) {
    throw new Plain('Usage: npm run -s plan -- [--menu] [--load] [--pack] [--seed N] FILE.json');
  }
  const { plan, menu } = await withMenu(readPlanFile(file), values.menu);
  // How each bag is packed, step by step, where that is asked for.
  const steps = (loaded: Plan) => (values.pack ? { pack: packSteps(factsOf(loaded)) } : {});
  const judged = (of: Plan) => {
    const evaluation = evaluate(of);
    const format = formatterFor('metric');
    return {
      ...report(of),
      ...enoughReport(evaluation, evaluation.findings, format),
      provisions: provisionsReport(evaluation, format),
    };
  };
  if (!values.load) return print({ ...judged(plan), ...menu, ...steps(plan) });

  const obstacle = cannotLoad(plan);
  if (obstacle) throw new Plain(obstacle);
  const proposal = runLoader(plan, { seed: Number(values.seed) });
  const applied = applyEdit(plan, proposal.edit);
  if (!applied.ok) throw new Plain(applied.error);
  const { edit: _edit, ...loader } = proposal;
  print({
    ...judged(applied.value.plan),
    ...menu,
    placement: applied.value.plan.load,
    loader,
    ...steps(applied.value.plan),
  });
}

/** The plan with its menu filled from the kit and the pantry, and how good that is; as it was where that is not asked for. */
async function withMenu(plan: Plan, isAsked: boolean): Promise<{ plan: Plan; menu: object }> {
  if (!isAsked) return { plan, menu: {} };
  const facts = evaluate(plan);
  const { solve } = await loadHighs();
  const found = solveMenu(menuProblem(facts, true), solve as unknown as Solver);
  if (!found) throw new Plain('No menu was found: nothing that may be eaten is left to choose from.');
  let count = 0;
  const filled = applyEdit(
    plan,
    menuEdit(facts, found.portions, () => `food-${(count += 1)}`),
  );
  if (!filled.ok) throw new Plain(filled.error);
  const { isProven, gap, givenUp } = found;
  return { plan: filled.value.plan, menu: { menuFound: { isProven, gap, givenUp } } };
}

function readPlanFile(file: string) {
  let text: string;
  try {
    // Looked at before it is read: a file of gigabytes is not a plan.
    if (statSync(file).size > LIMITS.planFileBytes) {
      throw new Plain(
        `${file} is larger than ${LIMITS.planFileBytes / 1024 / 1024} MB; a plan is far smaller.`,
      );
    }
    text = readFileSync(file, 'utf8');
  } catch (error) {
    if (error instanceof Plain) throw error;
    throw new Plain(`${file} cannot be read: ${(error as NodeJS.ErrnoException).code ?? String(error)}.`);
  }
  const parsed = parsePlanFile(text);
  if (!parsed.ok)
    throw new Plain(`${file} was refused.\n${parsed.error.map((problem) => `  ${problem}`).join('\n')}`);
  return parsed.value;
}

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);

main().catch(exitOn);
