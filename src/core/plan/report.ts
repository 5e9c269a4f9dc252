import { evaluate, type Evaluation } from './evaluate';
import type { Plan } from './plan';

/** An evaluation as plain data for files and programs: the figures and findings, without the plan itself. */
export function report(plan: Plan) {
  const evaluation: Evaluation = evaluate(plan);
  return {
    trip: plan.trip.name,
    stages: evaluation.stages,
    totals: evaluation.totals,
    handling: evaluation.handling,
    compartments: evaluation.compartments.map(({ spot, things, ...facts }) => ({
      id: spot.id,
      name: spot.name,
      letter: spot.letter,
      capacityMl: spot.capacityMl,
      limitG: spot.compartment.limitG,
      ...facts,
      // JSON has no infinity: a compartment that stiff things fill to the brim has no tightness.
      tightness: Number.isFinite(facts.tightness) ? facts.tightness : null,
      thingIds: things.map((thing) => thing.id),
    })),
    bags: evaluation.bags,
    floor: evaluation.floor.map((thing) => thing.id),
    leftAtHome: evaluation.home.map((thing) => thing.id),
    worn: evaluation.worn.map((thing) => thing.id),
    findings: evaluation.findings,
  };
}
