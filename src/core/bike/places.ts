import type { Bag, Place } from '@/core/bag/bag';
import { centroid, ellipse, placed, rectangle, type Point } from '@/core/geometry/polygon';
import type { Solid } from '@/core/geometry/solid';
import type { PointMass } from '@/core/ride/massProperties';
import type { SideView } from './sideView';

/** A bag where it hangs: its outline in the side view and the middle of what is in it. Millimetres. */
export interface PlacedBag {
  bagId: string;
  /** Null for what the rider wears. */
  outline: Point[] | null;
  centre: Omit<PointMass, 'massG'>;
  /** From the bottom of the bag, filled first, to its mouth. */
  fill: { bottom: Point; mouth: Point };
  /** Turns with the bar and fork. */
  steers: boolean;
}

/** Side of the bike as a sign along y: the rider's left is positive. */
const SIGN = { left: 1, middle: 0, right: -1 } as const;

/** A strapped seat pack points up a little towards its tail. */
const SEAT_PACK_RISE_RAD = 0.13;

const STEERED: ReadonlySet<Place> = new Set(['bar roll', 'bar bag', 'stem bag', 'fork bag']);

/**
 * Where each bag hangs: every place has one set position, taken from the bike's side view and the bag's first
 * compartment. A second bag at the same place and side is set beside the first. What the tape would find on a
 * particular bike (gaps, rub) is not known here.
 *
 * @param riderCentre where things carried on the body weigh
 */
export function placeBags(view: SideView, bags: readonly Bag[], riderCentre: Point): PlacedBag[] {
  const taken = new Map<string, number>();
  const rollMm = Math.max(
    0,
    ...bags.filter((bag) => bag.place === 'bar roll').map((bag) => crossMm(bag.compartments[0]!.solid)),
  );
  return bags.map((bag) => {
    const key = `${bag.place}/${bag.side}`;
    const nth = taken.get(key) ?? 0;
    taken.set(key, nth + 1);
    return placeBag(view, bag, nth, rollMm, riderCentre);
  });
}

function placeBag(view: SideView, bag: Bag, nth: number, rollMm: number, riderCentre: Point): PlacedBag {
  const solid = bag.compartments[0]!.solid;
  const sign = SIGN[bag.side];
  const base = { bagId: bag.id, steers: STEERED.has(bag.place) };
  const size = sizes(solid);
  const tubeAngle = (from: Point, to: Point) => Math.atan2(to.z - from.z, to.x - from.x);
  const between = (from: Point, to: Point, t: number): Point => ({
    x: from.x + t * (to.x - from.x),
    z: from.z + t * (to.z - from.z),
  });
  /** An outline round a middle, with its mouth towards a direction given as an angle. */
  const shape = (corners: Point[], at: Point, turn: number, mouth: number, y = 0): PlacedBag => {
    const outline = placed(corners, at, turn);
    const middle = centroid(outline);
    const toward = { x: Math.cos(mouth), z: Math.sin(mouth) };
    const reach = outline.map((p) => (p.x - middle.x) * toward.x + (p.z - middle.z) * toward.z);
    const end = (distance: number): Point => ({
      x: middle.x + toward.x * distance,
      z: middle.z + toward.z * distance,
    });
    return {
      ...base,
      outline,
      centre: { x: middle.x, y, z: middle.z },
      fill: { bottom: end(Math.min(...reach)), mouth: end(Math.max(...reach)) },
    };
  };
  const up = Math.PI / 2;

  switch (bag.place) {
    case 'bar roll': {
      const d = crossMm(solid);
      return shape(ellipse(d, d), { x: view.bar.x + 40 + d / 2, z: view.bar.z - 25 - nth * d }, 0, up);
    }
    case 'bar bag': {
      const at = { x: view.bar.x + 50 + rollMm + size.across / 2 + nth * 30, z: view.bar.z - 20 };
      return shape(rectangle(size.across, size.height), at, 0, up);
    }
    case 'stem bag': {
      const at = { x: view.bar.x - 55 - nth * 90, z: view.bar.z - size.length / 2 + 30 };
      return shape(rectangle(size.across, size.length), at, 0, up, sign * (45 + size.across / 2));
    }
    case 'top tube bag': {
      const turn = tubeAngle(view.topTubeRear, view.topTubeFront);
      const tube = Math.hypot(
        view.topTubeFront.x - view.topTubeRear.x,
        view.topTubeFront.z - view.topTubeRear.z,
      );
      const along = nth === 0 ? 1 - (size.length / 2 + 35) / tube : (size.length / 2 + 45) / tube;
      const middle = between(view.topTubeRear, view.topTubeFront, along);
      const off = 20 + size.height / 2;
      const at = { x: middle.x - Math.sin(turn) * off, z: middle.z + Math.cos(turn) * off };
      return shape(rectangle(size.length, size.height), at, turn, turn + up);
    }
    case 'frame bag': {
      const at = { x: view.topTubeRear.x + 34, z: view.topTubeRear.z - 20 };
      const corners = solid.kind === 'polygon' ? solid.corners : rectangle(size.length, size.height);
      const shift = solid.kind === 'polygon' ? corners[0]! : { x: -size.length / 2, z: size.height / 2 };
      return shape(
        corners.map((p) => ({ x: p.x - shift.x, z: p.z - shift.z })),
        at,
        0,
        tubeAngle(view.topTubeRear, view.topTubeFront) + up,
      );
    }
    case 'down tube': {
      const turn = tubeAngle({ x: 0, z: 0 }, view.downTubeFront);
      const middle = between({ x: 0, z: 0 }, view.downTubeFront, 0.34 + nth * 0.35);
      const off = 30 + size.across / 2;
      const at = { x: middle.x + Math.sin(turn) * off, z: middle.z - Math.cos(turn) * off };
      return shape(rectangle(size.length, size.across), at, turn, turn);
    }
    case 'bottle cage': {
      const onSeatTube = nth % 2 === 1;
      const tubeEnd = onSeatTube ? view.seatTubeTop : view.downTubeFront;
      const turn = tubeAngle({ x: 0, z: 0 }, tubeEnd);
      const middle = between({ x: 0, z: 0 }, tubeEnd, onSeatTube ? 0.42 : 0.36);
      const off = (onSeatTube ? -1 : 1) * (26 + size.across / 2);
      const at = { x: middle.x - Math.sin(turn) * off, z: middle.z + Math.cos(turn) * off };
      return shape(rectangle(size.length, size.across), at, turn, turn);
    }
    case 'fork bag': {
      const turn = tubeAngle(view.frontAxle, view.headBottom);
      const at = between(view.frontAxle, view.headBottom, 0.5);
      return shape(
        rectangle(size.length, size.across),
        at,
        turn,
        turn,
        (sign || (nth % 2 ? -1 : 1)) * (70 + size.across / 2),
      );
    }
    case 'seat pack': {
      const turn = Math.PI - SEAT_PACK_RISE_RAD;
      const nose = { x: view.saddleTop.x - 45, z: view.saddleTop.z - 118 - nth * 200 };
      return shape(taperOutline(solid), nose, turn, turn);
    }
    case 'tool pouch': {
      const at = { x: view.saddleTop.x - 10, z: view.saddleTop.z - 62 - size.height / 2 };
      return shape(rectangle(size.length, size.height), at, 0, Math.PI);
    }
    case 'rear rack': {
      const at = { x: view.rearAxle.x + 10, z: view.rearAxle.z + view.wheelRadiusMm + 45 + size.height / 2 };
      return shape(rectangle(size.length, size.height), at, 0, up);
    }
    case 'pannier': {
      const at = { x: view.rearAxle.x - 45, z: view.rearAxle.z + view.wheelRadiusMm + 20 - size.height / 2 };
      return shape(rectangle(size.length, size.height), at, 0, up, (sign || 1) * (85 + size.across / 2));
    }
    case 'strap outside': {
      const turn = Math.PI - SEAT_PACK_RISE_RAD;
      const at = { x: view.saddleTop.x - 290, z: view.saddleTop.z + 60 + nth * size.across };
      return shape(rectangle(size.length, size.across), at, turn, up);
    }
    case 'body':
      return {
        ...base,
        outline: null,
        centre: { x: riderCentre.x - 60, y: 0, z: riderCentre.z },
        fill: { bottom: riderCentre, mouth: { x: riderCentre.x, z: riderCentre.z + size.height } },
      };
  }
}

/** Length along its own axis, size across, and height, whatever the form. */
function sizes(solid: Solid): { length: number; across: number; height: number } {
  switch (solid.kind) {
    case 'cylinder':
      return { length: solid.lengthMm, across: solid.diameterMm, height: solid.diameterMm };
    case 'taper':
      return { length: solid.lengthMm, across: solid.mouthWidthMm, height: solid.mouthHeightMm };
    case 'box':
      return { length: solid.lengthMm, across: solid.widthMm, height: solid.heightMm };
    case 'polygon': {
      const xs = solid.corners.map((p) => p.x);
      const zs = solid.corners.map((p) => p.z);
      return {
        length: Math.max(...xs) - Math.min(...xs),
        across: solid.widthMm,
        height: Math.max(...zs) - Math.min(...zs),
      };
    }
  }
}

/** Diameter of what hangs across the bike, seen from the side. */
const crossMm = (solid: Solid): number => sizes(solid).across;

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
