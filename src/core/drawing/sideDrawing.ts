import { filledPart } from '@/core/geometry/fill';
import { centroid, shifted, type Point } from '@/core/geometry/polygon';
import type { Facts } from '@/core/facts/facts';
import { verdictOf, type ClearanceKind } from '@/core/clearance/clearance';
import { frontTyreUp, rearTyreUp, worstStep } from '@/core/clearance/tyres';
import type { Circle } from '@/core/geometry/distance';
import type { Build } from '@/core/bike/bike';
import { TUBE_MM } from '@/core/bike/mainTriangle';
import { usualShock } from '@/core/bike/shock';
import type { SideView } from '@/core/bike/sideView';

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
  /** Unit step along its place: the way it can be dragged. */
  axis: Point;
}

/**
 * How far along its place a drag from one point to another takes a bag, in whole millimetres.
 *
 * @example slideMm({ x: 0, z: -1 }, { x: 0, z: 0 }, { x: 50, z: -20 }) // 20
 */
export const slideMm = (axis: Point, from: Point, to: Point): number =>
  Math.round((to.x - from.x) * axis.x + (to.z - from.z) * axis.z);

/** A bike and its bags as shapes, ready to be drawn: everything in millimetres of the side view. */
export interface Drawing {
  /** Left, top, width and height of what must be seen, with z counted up. */
  frame: { left: number; top: number; width: number; height: number };
  wheels: { centre: Point; radiusMm: number; tyreMm: number; loadG: number | null }[];
  tubes: Tube[];
  saddle: Point[];
  groundZ: number;
  /** The bar from its side: a dot for a flat one, hooks for drops. */
  bar: Point[];
  bags: DrawnBag[];
  /** Of mass, with the rider; null where no bike is known, as are the wheels' loads. */
  centre: Point | null;
  gaps: DrawnGap[];
  /** What the gaps are measured between where it is not what is drawn: tyres at full travel, packs sagged and lowered. */
  ghosts: { tyres: Circle[]; outlines: Point[][] };
}

/** A measured gap as a line with its length. */
export interface DrawnGap {
  id: string;
  kind: ClearanceKind;
  bagId: string;
  from: Point;
  to: Point;
  label: Point;
  mm: number;
  verdict: 'stop' | 'check' | 'free';
}

/** A tyre nearer than this is drawn with its gap even where it is free. */
const NEAR_MM = 80;

const FAR_OFFSET: Point = { x: 26, z: 16 };

/** All shapes of a plan's bike. The drawing itself adds no arithmetic. */
export function drawingOf(facts: Facts): Drawing {
  const { view, handling } = facts;
  const gaps = gapsOf(facts, 'side');
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
        axis: place.axis,
      },
    ];
  });
  return {
    frame: frameOf(view, bags),
    wheels: [
      { ...view.rearWheel, tyreMm: view.rearTyreMm, loadG: handling && handling.withRider.rearG },
      { ...view.frontWheel, tyreMm: view.frontTyreMm, loadG: handling && handling.withRider.frontG },
    ],
    tubes: tubesOf(view, facts.surroundings.build),
    saddle: saddleOf(view),
    groundZ: view.groundZ,
    bar: barOf(facts),
    bags,
    centre: handling && { x: handling.centre.x, z: handling.centre.z },
    gaps,
    ghosts: ghostsOf(facts, gaps),
  };
}

/** Gaps worth drawing in one view: what is not free, and tyres that come near. */
export function gapsOf({ clearances }: Pick<Facts, 'clearances'>, view: 'side' | 'front'): DrawnGap[] {
  const gaps = clearances.flatMap((clearance): DrawnGap[] => {
    const { between, kind, gapMm } = clearance;
    const verdict = verdictOf(clearance);
    const worth = verdict !== 'free' || ((kind === 'front tyre' || kind === 'rear tyre') && gapMm < NEAR_MM);
    if (!between || between.view !== view || !worth) return [];
    const { from, to } = between;
    return [
      {
        id: clearance.id,
        kind,
        bagId: clearance.bagId,
        from,
        to,
        label: { x: (from.x + to.x) / 2, z: (from.z + to.z) / 2 },
        mm: gapMm,
        verdict,
      },
    ];
  });
  return labelledApart(gaps);
}

/** Room of a written gap on the drawing, millimetres of the bike: a sign, three figures and the unit. */
const LABEL_WIDTH_MM = 150;
const LABEL_HEIGHT_MM = 44;

/** The same gaps, those whose labels would be written over another's moved down until they are not. */
export function labelledApart(gaps: readonly DrawnGap[]): DrawnGap[] {
  const placed: Point[] = [];
  return gaps.map((gap) => {
    const label = { ...gap.label };
    const covers = (other: Point) =>
      Math.abs(other.x - label.x) < LABEL_WIDTH_MM && Math.abs(other.z - label.z) < LABEL_HEIGHT_MM;
    // Each step down passes at least one other, so it ends.
    for (let other = placed.find(covers); other; other = placed.find(covers))
      label.z = other.z - LABEL_HEIGHT_MM - 1e-6;
    placed.push(label);
    return { ...gap, label };
  });
}

/** Tyres and packs at their worst, for the tyre gaps that are drawn. */
function ghostsOf({ surroundings }: Facts, gaps: readonly DrawnGap[]): Drawing['ghosts'] {
  const near = (wanted: ClearanceKind) => gaps.filter(({ kind }) => kind === wanted);
  const { build } = surroundings;
  const [front, rear] = [near('front tyre'), near('rear tyre')];
  const lowered = new Set([...front, ...rear].map(({ bagId }) => bagId));
  return {
    tyres: [
      ...(front.length > 0 && build.fork === 'suspension' && build.forkTravelMm > 0
        ? [frontTyreUp(surroundings)]
        : []),
      ...(rear.length > 0 && build.rearTravelMm > 0 ? [rearTyreUp(surroundings)] : []),
    ],
    outlines: surroundings.bags.flatMap((hung) => {
      if (!lowered.has(hung.bag.id) || !hung.place.outline) return [];
      const step = worstStep(surroundings, hung);
      return Math.hypot(step.x, step.z) > 4 ? [shifted(hung.place.outline, step)] : [];
    }),
  };
}

/** The bar seen from its side; drops as they hang, about 75 mm forward and 125 mm down. */
function barOf({ view, surroundings }: Facts): Point[] {
  const { bar } = view;
  const shape: Record<typeof surroundings.build.bar, [number, number][]> = {
    flat: [[0, 0]],
    swept: [
      [0, 0],
      [-60, 6],
    ],
    drop: [
      [0, 0],
      [55, -4],
      [78, -28],
      [76, -70],
      [48, -112],
      [0, -124],
      [-30, -122],
    ],
  };
  return shape[surroundings.build.bar].map(([x, z]) => ({ x: bar.x + x, z: bar.z + z }));
}

function tubesOf(view: SideView, build: Build): Tube[] {
  const origin = { x: 0, z: 0 };
  const tube = (from: Point, to: Point, widthMm: number): Tube => ({ from, to, widthMm });
  return [
    tube(view.rearAxle, origin, 18),
    ...(build.rearTravelMm > 0 ? swingarm(view) : [tube(view.rearAxle, view.topTubeRear, 14)]),
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

/** Rear suspension: a stay up to a link, and the shock from it under the top tube. */
function swingarm(view: SideView): Tube[] {
  const { link, front } = usualShock(view);
  return [
    { from: view.rearAxle, to: link, widthMm: 16 },
    { from: link, to: front, widthMm: 30 },
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
