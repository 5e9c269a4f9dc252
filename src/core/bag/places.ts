import type { Bag, Place } from './bag';
import type { Circle } from '@/core/geometry/distance';
import { leftOf, lineThrough, offsetFrom, pointOn } from '@/core/geometry/line';
import { centroid, ellipse, extentOf, placed, rectangle, shifted, type Point } from '@/core/geometry/polygon';
import type { Solid } from '@/core/geometry/solid';
import type { PointMass } from '@/core/ride/massProperties';
import type { Mount } from '@/core/bike/bike';
import { TUBE_MM, triangleInside, tubeLines } from '@/core/bike/mainTriangle';
import type { SideView } from '@/core/bike/sideView';

/** A bag where it hangs: its outlines in both views and the middle of what is in it. Millimetres. */
export interface PlacedBag {
  bagId: string;
  /** Side view; null for what the rider wears. */
  outline: Point[] | null;
  /** The same as a circle, for what lies across the bike. */
  disc: Circle | null;
  /** From ahead of the bike: x is the rider's left. */
  front: Point[] | null;
  centre: Omit<PointMass, 'massG'>;
  /** From the bottom of the bag, filled first, to its mouth. */
  fill: { bottom: Point; mouth: Point };
  /** Unit step along its place, the way `alongMm` counts. */
  axis: Point;
  /** Turns with the bar and fork. */
  steers: boolean;
  /** What it moves with: decides how travel and dropper bring it nearer to a tyre. */
  rides: 'frame' | 'bar' | 'fork leg' | 'saddle';
}

/** Side of the bike as a sign along y: the rider's left is positive. */
const SIGN = { left: 1, middle: 0, right: -1 } as const;

/** A strapped seat pack points up a little towards its tail. */
const SEAT_PACK_RISE_RAD = 0.13;
const BAR_RADIUS_MM = 16;
/** Panniers hang behind the axle, for the heels. */
const PANNIER_BEHIND_AXLE_MM = 90;
/** A cage holds its bottle this far off the tube. */
export const CAGE_MM = 5;
/** A bottle's foot below the lower of its cage's bolts, and a cage's lower bolt where no mount is known. */
export const FOOT_BELOW_BOLT_MM = 75;
const USUAL_LOWEST_BOLT_MM = 175;

const RIDES: Partial<Record<Place, PlacedBag['rides']>> = {
  'bar roll': 'bar',
  'bar bag': 'bar',
  'stem bag': 'bar',
  'fork bag': 'fork leg',
  'seat pack': 'saddle',
  'tool pouch': 'saddle',
  'strap outside': 'saddle',
};

interface Where {
  view: SideView;
  mounts: readonly Mount[];
  riderCentre: Point;
  /** Inside of the main triangle, its first corner by the seat tube's top. */
  triangle: readonly Point[];
  /** Bags of the same place and side hung before this one. */
  nth: number;
  /** How far bar rolls reach ahead of the bar: a front pouch hangs on them. */
  rollMm: number;
}

/** One bag before it is moved along its place. */
interface Hung {
  corners: Point[];
  disc?: Circle;
  /** Direction from bottom to mouth, as an angle. */
  mouth: number;
  axis: Point;
  y?: number;
  /** Size across the bike. */
  widthMm: number;
}

/**
 * Where each bag hangs: at its place as the bike's figures put it, moved along it by `alongMm`. A second bag at
 * the same place and side is set beside the first.
 *
 * @param mounts bolts that bottle cages use
 * @param riderCentre where things carried on the body weigh
 */
export function placeBags(
  view: SideView,
  bags: readonly Bag[],
  mounts: readonly Mount[],
  riderCentre: Point,
): PlacedBag[] {
  const taken = new Map<string, number>();
  const triangle = triangleInside(view);
  const rollMm = Math.max(
    0,
    ...bags
      .filter((bag) => bag.place === 'bar roll')
      .map((bag) => sizes(bag.compartments[0]!.solid).across + bag.standOffMm),
  );
  return bags.map((bag) => {
    const key = `${bag.place}/${bag.side}`;
    const nth = taken.get(key) ?? 0;
    taken.set(key, nth + 1);
    const where: Where = { view, mounts, riderCentre, triangle, nth, rollMm };
    return bag.place === 'body' ? onBody(bag, where) : onBike(bag, hang(bag, where));
  });
}

function onBody(bag: Bag, { riderCentre }: Where): PlacedBag {
  const { height } = sizes(bag.compartments[0]!.solid);
  return {
    bagId: bag.id,
    outline: null,
    disc: null,
    front: null,
    centre: { x: riderCentre.x - 60, y: 0, z: riderCentre.z },
    fill: { bottom: riderCentre, mouth: { x: riderCentre.x, z: riderCentre.z + height } },
    axis: { x: 0, z: 1 },
    steers: false,
    rides: 'frame',
  };
}

function onBike(bag: Bag, hung: Hung): PlacedBag {
  const step = { x: hung.axis.x * bag.alongMm, z: hung.axis.z * bag.alongMm };
  const outline = shifted(hung.corners, step);
  const middle = centroid(outline);
  const toward = { x: Math.cos(hung.mouth), z: Math.sin(hung.mouth) };
  const reach = outline.map((p) => (p.x - middle.x) * toward.x + (p.z - middle.z) * toward.z);
  const end = (distance: number): Point => ({
    x: middle.x + toward.x * distance,
    z: middle.z + toward.z * distance,
  });
  const y = hung.y ?? 0;
  const rides = RIDES[bag.place] ?? 'frame';
  return {
    bagId: bag.id,
    outline,
    disc: hung.disc ? { ...hung.disc, centre: shifted([hung.disc.centre], step)[0]! } : null,
    front: frontOutline(bag, outline, y, hung.widthMm),
    centre: { x: middle.x, y, z: middle.z },
    fill: { bottom: end(Math.min(...reach)), mouth: end(Math.max(...reach)) },
    axis: hung.axis,
    steers: rides === 'bar' || rides === 'fork leg',
    rides,
  };
}

/** Outline from ahead: an ellipse for a seat pack's mouth, else the box of its width and height. */
function frontOutline(bag: Bag, outline: readonly Point[], y: number, widthMm: number): Point[] {
  const { low, high } = extentOf(outline);
  const at = { x: y, z: (low + high) / 2 };
  if (bag.place === 'seat pack') return placed(ellipse(widthMm, high - low), at);
  return placed(rectangle(widthMm, high - low), at);
}

const UP = Math.PI / 2;
const angleOf = (from: Point, to: Point) => Math.atan2(to.z - from.z, to.x - from.x);
const unit = (angle: number): Point => ({ x: Math.cos(angle), z: Math.sin(angle) });

function hang(bag: Bag, { view, mounts, triangle, nth, rollMm }: Where): Hung {
  const { solid } = bag.compartments[0]!;
  const size = sizes(solid);
  const sign = SIGN[bag.side];
  const down = { x: 0, z: -1 };
  const backward = { x: -1, z: 0 };

  switch (bag.place) {
    case 'bar roll': {
      const d = size.across;
      const centre = {
        x: view.bar.x + BAR_RADIUS_MM + bag.standOffMm + d / 2,
        z: view.bar.z - 25 - nth * d,
      };
      return {
        corners: placed(ellipse(d, d), centre),
        disc: { centre, radiusMm: d / 2 },
        mouth: UP,
        axis: down,
        widthMm: size.length,
      };
    }
    case 'bar bag': {
      const off = rollMm > 0 ? rollMm : bag.standOffMm;
      const at = {
        x: view.bar.x + BAR_RADIUS_MM + off + size.across / 2 + nth * 30,
        z: view.bar.z - 20,
      };
      return {
        corners: placed(rectangle(size.across, size.height), at),
        mouth: UP,
        axis: down,
        widthMm: size.length,
      };
    }
    case 'stem bag': {
      const at = { x: view.bar.x - 55 - nth * 90, z: view.bar.z - size.length / 2 + 30 };
      return {
        corners: placed(rectangle(size.across, size.length), at),
        mouth: UP,
        axis: down,
        y: sign * (45 + size.across / 2),
        widthMm: size.across,
      };
    }
    case 'top tube bag': {
      const tube = lineThrough(view.topTubeRear, view.topTubeFront);
      const length = Math.hypot(
        view.topTubeFront.x - view.topTubeRear.x,
        view.topTubeFront.z - view.topTubeRear.z,
      );
      const along = nth === 0 ? length - size.length / 2 - 35 : size.length / 2 + 45;
      const turn = angleOf(view.topTubeRear, view.topTubeFront);
      const off = TUBE_MM.top / 2 + 3 + size.height / 2;
      const on = pointOn(tube, along);
      const at = { x: on.x - Math.sin(turn) * off, z: on.z + Math.cos(turn) * off };
      return {
        corners: placed(rectangle(size.length, size.height), at, turn),
        mouth: turn + UP,
        axis: unit(turn + Math.PI),
        widthMm: size.across,
      };
    }
    case 'frame bag': {
      const turn = angleOf(view.topTubeRear, view.topTubeFront);
      const corners = solid.kind === 'polygon' ? solid.corners : topEdged(size.length, size.height);
      return {
        corners: underTopTube(corners, turn, view, triangle[0] ?? view.topTubeRear),
        mouth: turn + UP,
        axis: unit(turn),
        widthMm: size.across,
      };
    }
    case 'down tube': {
      const turn = angleOf({ x: 0, z: 0 }, view.downTubeFront);
      const mount = mounts.find((candidate) => candidate.place === 'under the down tube');
      const lowest = mount?.lowestMm ?? 190;
      const middle = lowest - 60 + size.length / 2 + nth * (size.length + 30);
      const off = -(TUBE_MM.down / 2 + CAGE_MM + 4 + size.across / 2);
      return {
        corners: placed(rectangle(size.length, size.across), besideTube(turn, middle, off), turn),
        mouth: turn,
        axis: unit(turn),
        widthMm: size.across,
      };
    }
    case 'bottle cage': {
      const onSeatTube = nth % 2 === 1;
      const turn = angleOf({ x: 0, z: 0 }, onSeatTube ? view.seatTubeTop : view.downTubeFront);
      const mount = mounts.find((candidate) => candidate.place === (onSeatTube ? 'seat tube' : 'down tube'));
      const middle = (mount?.lowestMm ?? USUAL_LOWEST_BOLT_MM) - FOOT_BELOW_BOLT_MM + size.length / 2;
      const radius = (onSeatTube ? TUBE_MM.seat : TUBE_MM.down) / 2;
      const off = (onSeatTube ? -1 : 1) * (radius + CAGE_MM + size.across / 2);
      return {
        corners: placed(rectangle(size.length, size.across), besideTube(turn, middle, off), turn),
        mouth: turn,
        axis: unit(turn),
        widthMm: size.across,
      };
    }
    case 'fork bag': {
      const turn = angleOf(view.frontAxle, view.headBottom);
      const leg = Math.hypot(view.headBottom.x - view.frontAxle.x, view.headBottom.z - view.frontAxle.z);
      const at = pointOn(lineThrough(view.frontAxle, view.headBottom), leg / 2);
      return {
        corners: placed(rectangle(size.length, size.across), at, turn),
        mouth: turn,
        axis: unit(turn),
        y: (sign || (nth % 2 ? -1 : 1)) * (70 + size.across / 2),
        widthMm: size.across,
      };
    }
    case 'seat pack': {
      const turn = Math.PI - SEAT_PACK_RISE_RAD;
      const nose = { x: view.saddleTop.x - 45, z: view.saddleTop.z - 118 - nth * 200 };
      return {
        corners: placed(taperOutline(solid), nose, turn),
        mouth: turn,
        axis: unit(turn),
        widthMm: size.across,
      };
    }
    case 'tool pouch': {
      const at = { x: view.saddleTop.x - 10, z: view.saddleTop.z - 62 - size.height / 2 };
      return {
        corners: placed(rectangle(size.length, size.height), at),
        mouth: Math.PI,
        axis: backward,
        widthMm: size.across,
      };
    }
    case 'rear rack': {
      const at = {
        x: view.rearAxle.x + 10,
        z: view.rearAxle.z + view.rearWheel.radiusMm + 45 + size.height / 2,
      };
      return {
        corners: placed(rectangle(size.length, size.height), at),
        mouth: UP,
        axis: backward,
        widthMm: size.across,
      };
    }
    case 'pannier': {
      const at = {
        x: view.rearAxle.x - PANNIER_BEHIND_AXLE_MM,
        z: view.rearAxle.z + view.rearWheel.radiusMm + 20 - size.height / 2,
      };
      return {
        corners: placed(rectangle(size.length, size.height), at),
        mouth: UP,
        axis: backward,
        y: (sign || 1) * (85 + size.across / 2),
        widthMm: size.across,
      };
    }
    case 'strap outside':
    case 'body': {
      const turn = Math.PI - SEAT_PACK_RISE_RAD;
      const at = { x: view.saddleTop.x - 290, z: view.saddleTop.z + 60 + nth * size.across };
      return {
        corners: placed(rectangle(size.length, size.across), at, turn),
        mouth: UP,
        axis: { x: 0, z: 1 },
        widthMm: size.across,
      };
    }
  }
}

/** A rectangle whose first corner is the upper rear one, the others following anticlockwise. */
const topEdged = (length: number, height: number): Point[] => [
  { x: 0, z: 0 },
  { x: 0, z: -height },
  { x: length, z: -height },
  { x: length, z: 0 },
];

/**
 * A flat bag as it is strapped in: its corners count from the triangle's upper rear corner, its upper edge (last
 * corner to first) is turned to lie along the top tube, and where it would reach into the seat tube it is pushed
 * forward until it touches.
 */
function underTopTube(corners: readonly Point[], turn: number, view: SideView, at: Point): Point[] {
  const [first, last] = [corners[0]!, corners.at(-1)!];
  // One turned less than this is a rounding, not another slope.
  const off = turn - angleOf(first, last);
  const about = Math.abs(off) < 1e-3 ? 0 : off;
  const turned = placed(
    corners.map((p) => ({ x: p.x - first.x, z: p.z - first.z })),
    { x: at.x + first.x, z: at.z + first.z },
    about,
  );
  const seat = tubeLines(view).seat;
  const into = Math.max(0, ...turned.map((p) => TUBE_MM.seat / 2 - offsetFrom(seat, p)));
  // Moved along the top tube by d, a corner leaves the seat tube by d times the sine of the angle between them.
  const sine = leftOf(seat).x * Math.cos(turn) + leftOf(seat).z * Math.sin(turn);
  const forward = into > 1e-6 && sine > 0.1 ? into / sine : 0;
  return shifted(turned, { x: Math.cos(turn) * forward, z: Math.sin(turn) * forward });
}

/** A point so far along a tube from the bottom bracket, and to the left of it. */
export const besideTube = (turn: number, along: number, off: number): Point => ({
  x: Math.cos(turn) * along - Math.sin(turn) * off,
  z: Math.sin(turn) * along + Math.cos(turn) * off,
});

/** Length along its own axis, size across, and height, whatever the form. */
export function sizes(solid: Solid): { length: number; across: number; height: number } {
  switch (solid.kind) {
    case 'cylinder':
      return { length: solid.lengthMm, across: solid.diameterMm, height: solid.diameterMm };
    case 'taper':
      return { length: solid.lengthMm, across: solid.mouthWidthMm, height: solid.mouthHeightMm };
    case 'box':
      return { length: solid.lengthMm, across: solid.widthMm, height: solid.heightMm };
    case 'polygon': {
      const { left, right, low, high } = extentOf(solid.corners);
      return {
        length: right - left,
        across: Math.max(solid.widthMm, solid.frontWidthMm ?? 0),
        height: high - low,
      };
    }
  }
}

/** The side of a taper, nose at the origin, growing along x. */
function taperOutline(solid: Solid): Point[] {
  const { length, height } = sizes(solid);
  const nose = solid.kind === 'taper' ? solid.noseHeightMm : height;
  return [
    { x: 0, z: -nose / 2 },
    { x: length, z: -height / 2 },
    { x: length, z: height / 2 },
    { x: 0, z: nose / 2 },
  ];
}
