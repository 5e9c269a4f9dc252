import { filledPart } from '@/core/geometry/fill';
import { centroid, type Point } from '@/core/geometry/polygon';
import type { Facts } from '@/core/plan/facts';
import { TUBE_MM } from './mainTriangle';
import type { SideView } from './sideView';

/** A tube as a thick line; millimetres. */
export interface Tube {
  from: Point;
  to: Point;
  widthMm: number;
}

export interface DrawnBag {
  bagId: string;
  name: string;
  /** Letters of its compartments. */
  letters: string;
  outline: Point[];
  /** The part that is filled, from the bottom towards the mouth. */
  filled: Point[];
  /** 0 to 1 and beyond when overfull. */
  share: number;
  closes: boolean;
  label: Point;
  /** On the far side of the bike: drawn behind it, set off a little so that it shows. */
  far: boolean;
}

/** A bike and its bags as shapes, ready to be drawn: everything in millimetres of the side view. */
export interface Drawing {
  /** Left, top, width and height of what must be seen, with z counted up. */
  frame: { left: number; top: number; width: number; height: number };
  wheels: { centre: Point; radiusMm: number; tyreMm: number; loadG: number }[];
  tubes: Tube[];
  saddle: Point[];
  groundZ: number;
  bags: DrawnBag[];
  centre: Point;
}

const FAR_OFFSET: Point = { x: 26, z: 16 };

/** All shapes of a plan's bike. The drawing itself adds no arithmetic. */
export function drawingOf(facts: Facts): Drawing {
  const { view, handling } = facts;
  const bags = facts.plan.bags.flatMap((bag): DrawnBag[] => {
    const own = facts.compartments.filter(({ spot }) => spot.bag.id === bag.id);
    const { place } = own[0]!.spot;
    if (!place.outline) return [];
    const far = place.centre.y > 1;
    const shift = (p: Point): Point => (far ? { x: p.x + FAR_OFFSET.x, z: p.z + FAR_OFFSET.z } : p);
    const outline = place.outline.map(shift);
    const capacity = own.reduce((sum, { spot }) => sum + spot.capacityMl, 0);
    const share = capacity > 0 ? own.reduce((sum, { neededMl }) => sum + neededMl, 0) / capacity : 0;
    return [
      {
        bagId: bag.id,
        name: bag.name,
        letters: own.map(({ spot }) => spot.letter).join(''),
        outline,
        filled: filledPart(outline, shift(place.fill.bottom), shift(place.fill.mouth), share),
        share,
        closes: own.every(({ closes }) => closes),
        label: centroid(outline),
        far,
      },
    ];
  });
  return {
    frame: frameOf(view, bags),
    wheels: [
      { ...view.rearWheel, tyreMm: view.rearTyreMm, loadG: handling.withRider.rearG },
      { ...view.frontWheel, tyreMm: view.frontTyreMm, loadG: handling.withRider.frontG },
    ],
    tubes: tubesOf(view),
    saddle: saddleOf(view),
    groundZ: view.groundZ,
    bags,
    centre: { x: handling.centre.x, z: handling.centre.z },
  };
}

function tubesOf(view: SideView): Tube[] {
  const origin = { x: 0, z: 0 };
  const tube = (from: Point, to: Point, widthMm: number): Tube => ({ from, to, widthMm });
  return [
    tube(view.rearAxle, origin, 18),
    tube(view.rearAxle, view.topTubeRear, 14),
    tube(origin, view.seatTubeTop, TUBE_MM.seat),
    tube(origin, view.downTubeFront, TUBE_MM.down),
    tube(view.topTubeRear, view.topTubeFront, TUBE_MM.top),
    tube(view.headTop, view.headBottom, TUBE_MM.head),
    tube(view.headBottom, view.frontAxle, 24),
    tube(view.seatTubeTop, view.saddleTop, 24),
    tube(view.headTop, view.stemBase, 26),
    tube(view.stemBase, view.bar, 26),
  ];
}

/** A saddle's side outline round its clamp, about 270 mm long. */
const saddleOf = ({ saddleTop }: SideView): Point[] =>
  [
    [-135, 4],
    [-120, 12],
    [-40, 0],
    [60, -2],
    [135, 2],
    [138, -10],
    [40, -20],
    [-60, -34],
    [-130, -24],
  ].map(([x, z]) => ({ x: saddleTop.x + x!, z: saddleTop.z + z! }));

function frameOf(view: SideView, bags: readonly DrawnBag[]): Drawing['frame'] {
  const margin = 50;
  const points = [
    { x: view.rearAxle.x - view.rearWheel.radiusMm, z: view.groundZ },
    { x: view.frontAxle.x + view.frontWheel.radiusMm, z: view.saddleTop.z },
    view.bar,
    ...bags.flatMap((bag) => bag.outline),
  ];
  const xs = points.map((p) => p.x);
  const zs = points.map((p) => p.z);
  const left = Math.min(...xs) - margin;
  const top = Math.max(...zs) + margin;
  return {
    left,
    top,
    width: Math.max(...xs) + margin - left,
    // Room under the ground for the wheel loads.
    height: top - (Math.min(...zs) - 95),
  };
}
