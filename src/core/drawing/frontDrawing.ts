import { filledPart } from '@/core/geometry/fill';
import { centroid, extentOf, rectangle, placed, type Point } from '@/core/geometry/polygon';
import { freeBarWidthMm } from '@/core/clearance/bar';
import type { Facts } from '@/core/facts/facts';
import { gapsOf, type DrawnBag, type DrawnGap, type Drawing } from './sideDrawing';
import { TUBE_MM } from '@/core/bike/mainTriangle';

/** The bike from ahead: x is the rider's left, z up, from the geometry alone. Millimetres. */
export interface FrontDrawing {
  frame: Drawing['frame'];
  groundZ: number;
  tyre: Point[];
  fork: Point[][];
  headTube: Point[];
  bar: { from: Point; to: Point };
  /** Free width between hands or levers, drawn under the bar. */
  free: { from: Point; to: Point; mm: number };
  /** Room between the knees, at the height of the top tube. */
  knees: { from: Point; to: Point; mm: number };
  pedals: { from: Point; to: Point };
  /** Behind the front wheel and fork, and ahead of or beside them. */
  behind: DrawnBag[];
  ahead: DrawnBag[];
  gaps: DrawnGap[];
}

const FORK_LEG_MM = 62;
const LEG_WIDTH_MM = 30;
const PEDALS_HALF_MM = 190;

/** All shapes of the front view, the nearest to the viewer last. */
export function frontDrawingOf(facts: Facts): FrontDrawing {
  const { view, surroundings } = facts;
  const half = surroundings.barWidthMm / 2;
  const free = freeBarWidthMm(surroundings.build, surroundings.barWidthMm);
  const bags = surroundings.bags
    .filter(({ place }) => place.front !== null)
    // The rear of the bike lies behind: from ahead, what has the greater x covers it.
    .sort((a, b) => a.place.centre.x - b.place.centre.x)
    .map(({ bag, place }): { ahead: boolean; drawn: DrawnBag } => {
      const own = facts.compartments.filter(({ spot }) => spot.bag.id === bag.id);
      const capacity = own.reduce((sum, { spot }) => sum + spot.capacityMl, 0);
      const share = capacity > 0 ? own.reduce((sum, { neededMl }) => sum + neededMl, 0) / capacity : 0;
      const outline = place.front!;
      const { low, high } = extentOf(outline);
      const drawn: DrawnBag = {
        bagId: bag.id,
        name: bag.name,
        letters: own.map(({ spot }) => spot.letter).join(''),
        outline,
        filled: filledPart(outline, { x: 0, z: low }, { x: 0, z: high }, share),
        share,
        closes: own.every(({ closes }) => closes),
        label: centroid(outline),
        far: false,
        axis: { x: 0, z: 0 },
      };
      return { ahead: place.rides === 'bar' || place.rides === 'fork leg', drawn };
    });
  const leg = (side: number): Point[] =>
    placed(rectangle(LEG_WIDTH_MM, view.headBottom.z - view.frontAxle.z), {
      x: side * FORK_LEG_MM,
      z: (view.headBottom.z + view.frontAxle.z) / 2,
    });
  const kneeZ = view.topTubeRear.z;
  const knee = surroundings.rider.kneeGapMm / 2;
  const points = [
    ...bags.flatMap(({ drawn }) => drawn.outline),
    { x: -half, z: view.bar.z },
    { x: half, z: view.groundZ },
    { x: 0, z: view.saddleTop.z },
  ];
  const { left, right, low, high } = extentOf(points);
  const margin = 60;
  return {
    frame: {
      left: left - margin,
      top: high + margin,
      width: right - left + 2 * margin,
      height: high - low + 2 * margin + 40,
    },
    groundZ: view.groundZ,
    tyre: placed(rectangle(view.frontTyreMm, 2 * view.frontWheel.radiusMm), {
      x: 0,
      z: view.groundZ + view.frontWheel.radiusMm,
    }),
    fork: [leg(1), leg(-1)],
    headTube: placed(rectangle(TUBE_MM.head, view.headTop.z - view.headBottom.z + 30), {
      x: 0,
      z: (view.headTop.z + view.headBottom.z) / 2,
    }),
    bar: { from: { x: -half, z: view.bar.z }, to: { x: half, z: view.bar.z } },
    free: {
      from: { x: -free / 2, z: view.bar.z + 34 },
      to: { x: free / 2, z: view.bar.z + 34 },
      mm: free,
    },
    knees: { from: { x: -knee, z: kneeZ }, to: { x: knee, z: kneeZ }, mm: surroundings.rider.kneeGapMm },
    pedals: { from: { x: -PEDALS_HALF_MM, z: 0 }, to: { x: PEDALS_HALF_MM, z: 0 } },
    behind: bags.filter(({ ahead }) => !ahead).map(({ drawn }) => drawn),
    ahead: bags.filter(({ ahead }) => ahead).map(({ drawn }) => drawn),
    gaps: gapsOf(facts, 'front'),
  };
}
