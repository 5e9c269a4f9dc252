import { CHANGING_CHECKS, CHECKS } from '@/core/checks';
import { noLight, noRepair, nothingWarm, noWater } from '@/core/checks/missing';
import { unevenShares } from '@/core/checks/unevenShares';
import {
  findingOf,
  findingsOf,
  SEVERITIES,
  STAGES,
  type Finding,
  type Judgement,
  type Stage,
} from '@/core/checks/finding';
import { formatterFor, type Formatter } from '@/core/units/format';
import { factsOf, type Facts } from '@/core/facts/facts';
import { conditionsOf } from '@/core/facts/conditions';
import { menuOf } from '@/core/facts/food';
import { rideOf } from '@/core/facts/ride';
import type { Moment } from '@/core/facts/moment';
import type { Plan } from '@/core/plan/plan';
import type { RiderFacts } from '@/core/facts/riderFacts';
import { fellowOf, planOf, ridersOf, sharesOf } from '@/core/plan/riders';

/** Where a stage stands: sign and word on the band. */
export interface StageState {
  stage: Stage;
  verdict: 'ready' | 'check' | 'stop';
  /** The single fact that matters most there. */
  fact: string;
}

/** What is judged of the facts of all riders; worked out when it is first asked for. */
interface Judged {
  /** Worst first. */
  readonly findings: Finding[];
  readonly stages: StageState[];
}

/** The facts of the rider's own bike, and what is judged of all. */
export interface Evaluation extends Facts, Judged {
  /** Everyone, the rider whose plan it is first. */
  riders: RiderFacts[];
}

/**
 * The whole judgement of a plan: facts, findings worst first, and each stage's verdict. One pure function, the
 * same in the browser, on the server and from the command line.
 *
 * @param format how quantities are written in sentences; it changes no figure
 */
export function evaluate(plan: Plan, format: Formatter = formatterFor('metric')): Evaluation {
  const facts = factsOf(planOf(plan, null));
  const riders = ridersFacts(plan, facts);
  let judged: Judged | undefined;
  const judge = () => (judged ??= judgementOf(facts, riders, format));
  return {
    ...facts,
    riders,
    get findings() {
      return judge().findings;
    },
    get stages() {
      return judge().stages;
    },
  };
}

function judgementOf(facts: Facts, riders: RiderFacts[], format: Formatter): Judged {
  const findings = [
    ...CHECKS.flatMap((check) => findingsOf(check, facts, format)),
    ...riders.slice(1).flatMap((rider) => fellowsFindings(rider, format)),
    ...unevenShares(riders, format),
  ];
  // Stable, so that findings of one severity keep the order of the list of checks.
  findings.sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
  return { findings, stages: STAGES.map((stage) => stageState(stage, facts, findings, format)) };
}

/**
 * The same evaluation at another moment of the trip: its facts, and of the findings those that change along the way.
 *
 * @param of setting out
 */
export function evaluateAt(of: Evaluation, moment: Moment, format: Formatter): Evaluation {
  if (moment.kind === 'setting out') return of;
  const facts = factsOf(planOf(of.plan, null), moment);
  const [own, ...others] = of.riders;
  const names = new Set(CHANGING_CHECKS.map(({ id }) => id));
  const findings = [
    ...CHANGING_CHECKS.flatMap((check) => findingsOf(check, facts, format)),
    ...of.findings.filter(({ check }) => !names.has(check)),
  ].sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
  return { ...facts, riders: [{ ...own!, facts }, ...others], findings, stages: of.stages };
}

function ridersFacts(plan: Plan, own: Facts): RiderFacts[] {
  const all = [own, ...plan.fellows.map(({ id }) => factsOf(planOf(plan, id)))];
  const carried = all.map(({ compartments }) => compartments.reduce((sum, { massG }) => sum + massG, 0));
  const whole = carried.reduce((sum, massG) => sum + massG, 0);
  const shares = sharesOf(plan);
  return ridersOf(plan).map((rider, k) => ({
    rider,
    name: fellowOf(plan, rider)?.name ?? 'You',
    facts: all[k]!,
    carriedG: carried[k]!,
    fairG: shares[k]! * whole,
  }));
}

/** What a kit lacks; a fellow's may not be entered here at all. */
const OF_THE_KIT = [nothingWarm, noWater, noLight, noRepair];

/**
 * What is to be said of a fellow's bike and load. Their kit and trip are theirs to judge, and what changes their bags or
 * bike is mended in their own plan.
 */
function fellowsFindings({ rider, name, facts }: RiderFacts, format: Formatter): Finding[] {
  return CHECKS.filter((check) => !OF_THE_KIT.includes(check)).flatMap((check) =>
    check.run(facts, format).flatMap((judgement) => {
      const { message, stage = check.stage, fixes } = judgement;
      if (stage !== 'load' && stage !== 'bike') return [];
      const told: Judgement = {
        ...judgement,
        message: `${name}: ${message}`,
        fixes: () => (fixes?.() ?? []).filter((fix) => !('edit' in fix) || fix.edit.kind === 'place'),
      };
      return [findingOf(check, told, rider ?? '')];
    }),
  );
}

function stageState(stage: Stage, facts: Facts, findings: readonly Finding[], format: Formatter): StageState {
  const worstOf = (of: Stage) =>
    findings.find((finding) => finding.stage === of && finding.severity !== 'note')?.severity;
  const own = worstOf(stage);
  // A load is not ready while there is nothing to load, or the kit that is loaded is not.
  const notYet =
    stage === 'load' &&
    (worstOf('kit') === 'stop' || facts.plan.things.length === 0 || facts.plan.bags.length === 0);
  return {
    stage,
    verdict: own === 'stop' ? 'stop' : own || notYet ? 'check' : 'ready',
    fact: stageFact(stage, facts, format),
  };
}

function stageFact(stage: Stage, facts: Facts, format: Formatter): string {
  const { plan, totals, floor, compartments } = facts;
  const ride = rideOf(facts);
  switch (stage) {
    case 'trip':
      if (ride)
        return `${ride.days.length === 1 ? '1 day' : `${ride.days.length} days`}, ${format.distance(ride.line.lengthM)}`;
      return `${plan.trip.nights === 1 ? '1 night' : `${plan.trip.nights} nights`}, ${format.temperature(Math.round(conditionsOf(facts).coldestC))}`;
    case 'bike':
      return plan.bags.length ? `${plan.bags.length} bags, ${format.volume(totals.capacityMl)}` : 'No bags';
    case 'kit':
      return plan.things.length === 1 ? '1 thing' : `${plan.things.length} things`;
    case 'provisions': {
      const { days } = menuOf(facts);
      if (plan.trip.menu.length === 0) return 'No menu yet';
      const energyKJ = days.reduce((sum, day) => sum + day.energyKJ, 0);
      return `${Math.round((100 * energyKJ) / days.reduce((sum, { need }) => sum + need.needKJ, 0))} % of the food`;
    }
    case 'load': {
      const open = compartments.filter((compartment) => !compartment.closes).length;
      if (open) return open === 1 ? '1 bag does not close' : `${open} bags do not close`;
      if (floor.length) return `${floor.length} on the floor`;
      return plan.things.length ? `${format.mass(totals.bikeLoadedG)} loaded` : 'Nothing to load';
    }
  }
}
