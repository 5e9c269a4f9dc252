import type { Circle } from '@/core/geometry/distance';
import type { Point } from '@/core/geometry/polygon';
import type { BikeGeometry } from './bike';

/**
 * The points of a bike seen from its right, millimetres, origin at the bottom bracket, x forward, z up.
 */
export interface SideView {
  rearAxle: Point;
  frontAxle: Point;
  rearWheel: Circle;
  frontWheel: Circle;
  rearTyreMm: number;
  frontTyreMm: number;
  /** Height of the ground, negative. */
  groundZ: number;
  wheelbaseMm: number;
  headTop: Point;
  headBottom: Point;
  seatTubeTop: Point;
  /** Where the seatpost clamps the saddle's rails: a seat pack hangs from here, and tail overhang counts from here. */
  seatpostClamp: Point;
  saddleTop: Point;
  topTubeFront: Point;
  topTubeRear: Point;
  downTubeFront: Point;
  bar: Point;
  stemBase: Point;
  /** Unit vector down the steering axis. */
  steeringDown: Point;
  /** Unit vector up the seat tube. */
  seatTubeUp: Point;
}

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const along = (from: Point, direction: Point, distance: number): Point => ({
  x: from.x + direction.x * distance,
  z: from.z + direction.z * distance,
});

/** Where tubes' centre lines meet the head and seat tube, from those tubes' ends: about a tube's radius inside. */
export const HEAD_TOP_ABOVE_MM = 28;
export const HEAD_BOTTOM_BELOW_MM = 32;
export const SEAT_TOP_ABOVE_MM = 22;

/**
 * Side view from a geometry table (methods, section 1): from stack and reach down the head tube to the crown,
 * then fork length and offset to the front axle; chainstay and drop give the rear axle.
 *
 * @example // by hand: S 600, R 400, head tube 120 at 70° → bottom of head tube (441.0, 487.2)
 * sideView({ ...DEFAULT_GEOMETRY, stackMm: 600, reachMm: 400, headTubeMm: 120, headAngleDeg: 70 }).headBottom
 */
export function sideView(g: BikeGeometry): SideView {
  const head = radians(g.headAngleDeg);
  const seat = radians(g.seatAngleDeg);
  const steeringDown = { x: Math.cos(head), z: -Math.sin(head) };
  const forward = { x: Math.sin(head), z: Math.cos(head) };
  const seatTubeUp = { x: -Math.cos(seat), z: Math.sin(seat) };

  const headTop = { x: g.reachMm, z: g.stackMm };
  const headBottom = along(headTop, steeringDown, g.headTubeMm);
  const forkReach = Math.sqrt(Math.max(0, g.axleToCrownMm ** 2 - g.forkOffsetMm ** 2));
  const frontAxle = along(along(headBottom, steeringDown, forkReach), forward, g.forkOffsetMm);
  const rearAxle = {
    x: -Math.sqrt(Math.max(0, g.chainstayMm ** 2 - g.bottomBracketDropMm ** 2)),
    z: g.bottomBracketDropMm,
  };
  const frontRadiusMm = g.wheelBeadMm / 2 + g.tyreWidthMm;
  const rearRadiusMm = g.rearWheelBeadMm / 2 + g.rearTyreWidthMm;
  const seatTubeTop = along({ x: 0, z: 0 }, seatTubeUp, g.seatTubeMm);
  const stemBase = along(headTop, steeringDown, -g.barRiseMm * 0.6);

  return {
    rearAxle,
    frontAxle,
    rearWheel: { centre: rearAxle, radiusMm: rearRadiusMm },
    frontWheel: { centre: frontAxle, radiusMm: frontRadiusMm },
    rearTyreMm: g.rearTyreWidthMm,
    frontTyreMm: g.tyreWidthMm,
    groundZ: (rearAxle.z - rearRadiusMm + frontAxle.z - frontRadiusMm) / 2,
    wheelbaseMm: frontAxle.x - rearAxle.x,
    headTop,
    headBottom,
    seatTubeTop,
    seatpostClamp: along({ x: 0, z: 0 }, seatTubeUp, g.saddleHeightMm - 50),
    saddleTop: along({ x: 0, z: 0 }, seatTubeUp, g.saddleHeightMm),
    topTubeFront: along(headTop, steeringDown, HEAD_TOP_ABOVE_MM),
    topTubeRear: along(seatTubeTop, seatTubeUp, -SEAT_TOP_ABOVE_MM),
    downTubeFront: along(headBottom, steeringDown, -HEAD_BOTTOM_BELOW_MM),
    stemBase,
    bar: { x: stemBase.x + g.stemMm * forward.x, z: headTop.z + g.barRiseMm },
    steeringDown,
    seatTubeUp,
  };
}
