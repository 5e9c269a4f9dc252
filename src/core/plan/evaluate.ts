import { CHECKS } from '@/core/checks';
import { SEVERITIES, STAGES, type Finding, type Stage } from '@/core/checks/finding';
import { formatterFor, type Formatter } from '@/core/units/format';
import { factsOf, type Facts } from './facts';
import type { Plan } from './plan';

/** Where a stage stands: sign and word on the band. */
export interface StageState {
  stage: Stage;
  verdict: 'ready' | 'look' | 'stop';
  /** The single fact that matters most there. */
  fact: string;
}

export interface Evaluation extends Facts {
  /** Worst first. */
  findings: Finding[];
  stages: StageState[];
}

/**
 * The whole judgement of a plan: facts, findings worst first, and each stage's verdict. One pure function, the
 * same in the browser, on the server and from the command line.
 *
 * @param format how quantities are written in sentences; it changes no figure
 */
export function evaluate(plan: Plan, format: Formatter = formatterFor('metric')): Evaluation {
  const facts = factsOf(plan);
  const findings = CHECKS.flatMap((check) => check.run(facts, format));
  // Stable, so that findings of one severity keep the order of the list of checks.
  findings.sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
  return { ...facts, findings, stages: STAGES.map((stage) => stageState(stage, facts, findings, format)) };
}

function stageState(stage: Stage, facts: Facts, findings: readonly Finding[], format: Formatter): StageState {
  const worst = findings.find((finding) => finding.stage === stage && finding.severity !== 'note');
  return {
    stage,
    verdict: worst ? (worst.severity === 'stop' ? 'stop' : 'look') : 'ready',
    fact: stageFact(stage, facts, format),
  };
}

function stageFact(stage: Stage, { plan, totals, floor, compartments }: Facts, format: Formatter): string {
  switch (stage) {
    case 'trip':
      return `${plan.trip.nights === 1 ? '1 night' : `${plan.trip.nights} nights`}, ${format.temperature(plan.trip.nightMinimumC)}`;
    case 'bike':
      return plan.bags.length ? `${plan.bags.length} bags, ${format.volume(totals.capacityMl)}` : 'No bags';
    case 'kit':
      return plan.things.length === 1 ? '1 thing' : `${plan.things.length} things`;
    case 'load': {
      const open = compartments.filter((compartment) => !compartment.closes).length;
      if (open) return open === 1 ? '1 bag does not close' : `${open} bags do not close`;
      if (floor.length) return `${floor.length} on the floor`;
      return plan.things.length ? `${format.mass(totals.bikeLoadedG)} loaded` : 'Nothing to load';
    }
  }
}
