import { sizes } from '@/core/bag/places';
import { TUBE_MM } from '@/core/bike/mainTriangle';
import { polygonCircleGap } from '@/core/geometry/distance';
import { widthAt } from '@/core/geometry/flatPolygon';
import { extentOf, signedAreaMm2, type Point } from '@/core/geometry/polygon';
import { clipAlong } from '@/core/geometry/clip';
import { TYRE_CHECK_MM, TYRE_STOP_MM, type Clearance, type HungBag, type Surroundings } from './clearance';

/** Knees pass over the pedals: between these, ahead of the bottom bracket, a wide bag is felt. Millimetres. */
const KNEES: [number, number] = [-40, 260];
/** Crank length taken, and how far a shoe's heel lies behind the pedal's axle as a share of its length. */
const CRANK_MM = 172;
const HEEL_SHARE = 0.7;
const HEEL_HALF_MM = 35;
const HEEL_ABOVE_PEDAL_MM = 30;
/** Where a rider stands over the bike: ahead of the saddle's nose by this much. */
const STAND_AHEAD_MM = 110;
const SADDLE_NOSE_MM = 138;
/** Cloth gives by at most this share of the width; and of what is too much, half is pressed and half pushes out. */
const MOST_EXCESS = 0.3;
const PUSHED_OUT = 0.5;

/**
 * How far a flat soft-sided bag bulges when it is pressed, both sides together, in millimetres. Half of
 * what is loose beyond the room is pressed; the other half spreads over the side as a shallow dome, whose mean
 * height is two thirds of its top's. Our own model: the rider's knees decide.
 *
 * @param tightness loose volume over room; at most 1 does not bulge
 * @example bulgeMm(60, 1.2) // 9
 */
export const bulgeMm = (widthMm: number, tightness: number): number =>
  widthMm * 1.5 * PUSHED_OUT * Math.min(MOST_EXCESS, Math.max(0, tightness - 1));

/** Frame and top tube bags between the knees. */
export function kneeClearances({ rider, bags }: Surroundings): Clearance[] {
  return bags.flatMap((hung): Clearance[] => {
    const { bag, place } = hung;
    if (!place.outline || (bag.place !== 'frame bag' && bag.place !== 'top tube bag')) return [];
    const widthMm = widthAtKnees(hung);
    if (widthMm === 0) return [];
    const bulge = bag.place === 'frame bag' ? bulgeMm(widthMm, hung.tightness) : 0;
    const { low, high } = extentOf(place.outline);
    const z = (low + high) / 2;
    return [
      {
        id: `knees:${bag.id}`,
        kind: 'knees',
        bagId: bag.id,
        other: 'your knees',
        gapMm: rider.kneeGapMm - widthMm - bulge,
        atRestMm: rider.kneeGapMm - widthMm,
        checkMm: 10,
        stopMm: null,
        between: {
          from: { x: (widthMm + bulge) / 2, z },
          to: { x: rider.kneeGapMm / 2, z },
          view: 'front',
        },
        taken: bulge > 0.5 ? [{ label: 'bulge', mm: bulge }] : [],
      },
    ];
  });
}

/** The bag's greatest width where the knees pass; all compartments side by side. Zero when none reaches there. */
function widthAtKnees({ bag, place }: HungBag): number {
  const { left, right } = extentOf(place.outline!);
  const [from, to] = [Math.max(left, KNEES[0]), Math.min(right, KNEES[1])];
  if (to <= from) return 0;
  return bag.compartments
    .filter(({ outside }) => outside === 'no')
    .reduce((sum, { solid }) => {
      if (solid.kind !== 'polygon') return sum + sizes(solid).across;
      // The solid's own x begins elsewhere: shift the knees' range into it.
      const offset = extentOf(solid.corners).left - left;
      return sum + Math.max(widthAt(solid, from + offset), widthAt(solid, to + offset));
    }, 0);
}

/** Room over the top tube, or over what stands on it, when both feet are down. */
export function standOver({ view, rider, bags }: Surroundings): Clearance | null {
  const x = view.saddleTop.x + SADDLE_NOSE_MM + STAND_AHEAD_MM;
  const tube = heightOfTube(view.topTubeRear, view.topTubeFront, x);
  let top: { z: number; hung: HungBag } | null = null;
  for (const hung of bags) {
    if (hung.bag.place !== 'top tube bag') continue;
    const z = highestAt(hung.place.outline!, x);
    if (z !== null && (!top || z > top.z)) top = { z, hung };
  }
  if (!top) return null;
  const gapMm = rider.inseamMm - (top.z - view.groundZ);
  return {
    id: `stand-over:${top.hung.bag.id}`,
    kind: 'stand-over',
    bagId: top.hung.bag.id,
    other: 'you, standing over the bike',
    gapMm,
    atRestMm: rider.inseamMm - (tube - view.groundZ),
    checkMm: 20,
    stopMm: null,
    between: { from: { x, z: top.z }, to: { x, z: view.groundZ + rider.inseamMm }, view: 'side' },
    taken: [{ label: 'bag on the tube', mm: Math.max(0, top.z - tube) }],
  };
}

const heightOfTube = (rear: Point, front: Point, x: number): number => {
  const share = (x - rear.x) / (front.x - rear.x || 1);
  return rear.z + (front.z - rear.z) * share + TUBE_MM.top / 2;
};

/** Highest point of an outline within 15 mm of a place along x; null when it does not reach there. */
function highestAt(outline: readonly Point[], x: number): number | null {
  const right = clipAlong(outline, { x: 1, z: 0 }, x + 15);
  const strip = clipAlong(right, { x: -1, z: 0 }, -(x - 15));
  if (strip.length < 3 || Math.abs(signedAreaMm2(strip)) < 1) return null;
  return extentOf(strip).high;
}

/** A heel going round against panniers: its envelope is a circle behind the bottom bracket. */
export function heelClearances({ rider, bags }: Surroundings): Clearance[] {
  return bags.flatMap(({ bag, place }): Clearance[] => {
    if (bag.place !== 'pannier' || !place.outline) return [];
    const heel = {
      centre: { x: -HEEL_SHARE * rider.shoeMm, z: HEEL_ABOVE_PEDAL_MM },
      radiusMm: CRANK_MM + HEEL_HALF_MM,
    };
    const gap = polygonCircleGap(place.outline, heel);
    return [
      {
        id: `heel:${bag.id}`,
        kind: 'heel',
        bagId: bag.id,
        other: 'your heel going round',
        gapMm: gap.gapMm,
        atRestMm: null,
        checkMm: TYRE_CHECK_MM,
        stopMm: TYRE_STOP_MM,
        between: { from: gap.from, to: gap.to, view: 'side' },
        taken: [],
      },
    ];
  });
}
