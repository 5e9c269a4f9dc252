import { capacityMl } from '@/core/bag/bag';
import { DEFAULT_FRAME_BAG, frameBagCut } from '@/core/bag/frameBag';
import { tyrePressures } from '@/core/facts/tyrePlan';
import { verdictOf } from '@/core/clearance/clearance';
import { signedAreaMm2 } from '@/core/geometry/polygon';
import { evaluate, type Evaluation } from './evaluate';
import type { Facts } from '@/core/facts/facts';
import type { Plan } from '@/core/plan/plan';

/**
 * An evaluation as plain data for files and programs: everything the screens show, without the plan itself. Ratios are
 * ratios (1 is the whole), and every other figure has its unit in its name.
 */
export function report(plan: Plan) {
  const evaluation: Evaluation = evaluate(plan);
  return {
    trip: plan.trip.name,
    stages: evaluation.stages,
    ...bikeReport(evaluation),
    findings: evaluation.findings,
    /** Of everyone else who comes along; the figures above are those of the rider whose plan it is. */
    fellows: evaluation.riders.slice(1).map(({ rider, name, carriedG, fairG, facts }) => ({
      id: rider,
      name,
      carriedG,
      fairG,
      ...bikeReport(facts),
    })),
  };
}

/** One rider's bike, with what is on it. */
function bikeReport(facts: Facts) {
  const { geometry, sources, doubts } = facts.figures;
  const { view, surroundings } = facts;
  /** What a frame bag cut from the triangle would be, with the set-backs that the screen begins with. */
  const cutFrom = (half: boolean) => {
    const cut = frameBagCut(
      view,
      { ...DEFAULT_FRAME_BAG, half },
      surroundings.build.mounts,
      surroundings.rider.kneeGapMm,
    );
    return cut.ok ? { areaMm2: cut.value.areaMm2, volumeMl: cut.value.volumeMl } : null;
  };
  return {
    geometry: {
      figures: geometry,
      sources,
      doubts,
      wheelbaseMm: view.wheelbaseMm,
      rearAxle: view.rearAxle,
      frontAxle: view.frontAxle,
      headTop: view.headTop,
      headBottom: view.headBottom,
      seatpostClamp: view.seatpostClamp,
      saddleTop: view.saddleTop,
      groundZ: view.groundZ,
    },
    clearances: facts.clearances.map((clearance) => ({ ...clearance, verdict: verdictOf(clearance) })),
    bottles: facts.bottles,
    tyrePressures: tyrePressures(facts),
    frameBags: facts.plan.bags.flatMap(({ id, name, place, compartments }) =>
      place !== 'frame bag'
        ? []
        : compartments.map((compartment) => ({
            bagId: id,
            compartmentId: compartment.id,
            name: `${name}, ${compartment.name}`,
            areaMm2:
              compartment.solid.kind === 'polygon'
                ? Math.abs(signedAreaMm2(compartment.solid.corners))
                : null,
            volumeMl: capacityMl(compartment),
          })),
    ),
    triangle: { halfBag: cutFrom(true), fullBag: cutFrom(false) },
    totals: facts.totals,
    handling: facts.handling,
    compartments: facts.compartments.map(({ spot, things, ...own }) => ({
      id: spot.id,
      name: spot.name,
      letter: spot.letter,
      centre: spot.place.centre,
      capacityMl: spot.capacityMl,
      limitG: spot.compartment.limitG,
      ...own,
      // JSON has no infinity: a compartment that stiff things fill to the brim has no tightness.
      tightness: Number.isFinite(own.tightness) ? own.tightness : null,
      thingIds: things.map((thing) => thing.id),
    })),
    bags: facts.bags,
    floor: facts.floor.map((thing) => thing.id),
    leftAtHome: facts.home.map((thing) => thing.id),
    worn: facts.worn.map((thing) => thing.id),
  };
}
