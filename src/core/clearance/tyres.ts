import type { Bag, Place } from '@/core/bag/bag';
import { circleGap, polygonCircleGap, type Circle, type Gap } from '@/core/geometry/distance';
import { shifted, type Point } from '@/core/geometry/polygon';
import { TYRE_CHECK_MM, TYRE_STOP_MM, type Clearance, type HungBag, type Surroundings } from './clearance';

/** Sag in millimetres a kilogram, by what hangs it up (methods, section 2). Others sit on something firm. */
const SAG_MM_PER_KG: Partial<Record<Place, number>> = { 'bar roll': 4, 'bar bag': 4, 'seat pack': 6 };
const BRACED_SEAT_PACK_MM_PER_KG = 3;

/** Beside the wheel rather than over it: another matter than the tyre's top. */
const BESIDE: ReadonlySet<Place> = new Set(['pannier', 'fork bag', 'stem bag', 'body', 'bottle cage']);

/** Further away than this no rider would wonder. */
const RELEVANT_MM = 150;

/** What is usual for the place of a bag. @example usualSagMmPerKg(strapped seat pack) // 6 */
export const usualSagMmPerKg = ({ place, braced }: Pick<Bag, 'place' | 'braced'>): number =>
  place === 'seat pack' && braced ? BRACED_SEAT_PACK_MM_PER_KG : (SAG_MM_PER_KG[place] ?? 0);

/**
 * How far a bag sags under its load, in millimetres; as found on the rider's own trips, where that is known.
 *
 * @example sagMm(seat pack of 3 kg, strapped) // 18
 */
export const sagMm = ({ bag, massG }: HungBag): number =>
  ((bag.sagMmPerKg ?? usualSagMmPerKg(bag)) * massG) / 1000;

/** The front tyre with the fork pressed in by its whole travel, along the steering axis. */
export const frontTyreUp = ({ view, build }: Pick<Surroundings, 'view' | 'build'>): Circle => ({
  radiusMm: view.frontWheel.radiusMm,
  centre: {
    x: view.frontAxle.x - view.steeringDown.x * travelOf(build),
    z: view.frontAxle.z - view.steeringDown.z * travelOf(build),
  },
});
const travelOf = (build: Surroundings['build']): number =>
  build.fork === 'suspension' ? build.forkTravelMm : 0;

/** The rear tyre with the rear pressed in: the axle goes up square to the chainstay, near enough its real path. */
export function rearTyreUp({ view, build }: Pick<Surroundings, 'view' | 'build'>): Circle {
  const length = Math.hypot(view.rearAxle.x, view.rearAxle.z);
  const up: Point = { x: view.rearAxle.z / length, z: -view.rearAxle.x / length };
  return {
    radiusMm: view.rearWheel.radiusMm,
    centre: {
      x: view.rearAxle.x + up.x * build.rearTravelMm,
      z: view.rearAxle.z + up.z * build.rearTravelMm,
    },
  };
}

const droppedMm = (build: Surroundings['build'], { place }: HungBag): number =>
  place.rides === 'saddle' ? build.dropperMm : 0;

/** Where a bag goes at the worst: down by its sag, and down the seat tube with the dropper. */
export function worstStep({ view, build }: Pick<Surroundings, 'view' | 'build'>, hung: HungBag): Point {
  const dropped = droppedMm(build, hung);
  return { x: -view.seatTubeUp.x * dropped, z: -view.seatTubeUp.z * dropped - sagMm(hung) };
}

/**
 * Gaps between bags and both tyres at the worst: the bag sagged under its load, the wheel at full travel, the
 * dropper down (methods, section 2). Exact between outlines and circles.
 */
export function tyreClearances(surroundings: Surroundings): Clearance[] {
  const { view, build } = surroundings;
  const [frontUp, rearUp] = [frontTyreUp(surroundings), rearTyreUp(surroundings)];
  const found: Clearance[] = [];
  for (const hung of surroundings.bags) {
    const { bag, place } = hung;
    if (!place.outline || BESIDE.has(bag.place)) continue;
    const sag = sagMm(hung);
    const dropped = droppedMm(build, hung);
    const step = worstStep(surroundings, hung);
    const wheels =
      place.rides === 'saddle' || bag.place === 'rear rack'
        ? ['rear' as const]
        : (['front', 'rear'] as const);
    for (const wheel of wheels) {
      const [rest, worst] = wheel === 'front' ? [view.frontWheel, frontUp] : [view.rearWheel, rearUp];
      const gap = gapTo(hung, step, worst);
      if (gap.gapMm > RELEVANT_MM) continue;
      const travel = wheel === 'front' ? travelOf(build) : build.rearTravelMm;
      found.push({
        id: `${wheel}-tyre:${bag.id}`,
        kind: `${wheel} tyre`,
        bagId: bag.id,
        other: `the ${wheel} tyre`,
        gapMm: gap.gapMm,
        atRestMm: gapTo(hung, { x: 0, z: 0 }, rest).gapMm,
        checkMm: TYRE_CHECK_MM,
        stopMm: TYRE_STOP_MM,
        between: { from: gap.from, to: gap.to, view: 'side' },
        taken: [
          { label: bag.sagMmPerKg === null ? 'sag' : 'the sag found on your trips', mm: sag },
          { label: wheel === 'front' ? 'fork travel' : 'rear travel', mm: travel },
          { label: 'dropper', mm: dropped },
        ].filter(({ mm }) => mm > 0.05),
      });
    }
  }
  return found;
}

function gapTo({ place }: HungBag, step: Point, wheel: Circle): Gap {
  if (place.disc) {
    const centre = { x: place.disc.centre.x + step.x, z: place.disc.centre.z + step.z };
    return circleGap({ centre, radiusMm: place.disc.radiusMm }, wheel);
  }
  return polygonCircleGap(shifted(place.outline!, step), wheel);
}
