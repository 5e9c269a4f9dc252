import type { Point } from '@/core/geometry/polygon';
import { fail, ok, type Result } from '@/core/result';
import type { BikeGeometry } from './bike';

/**
 * The points of a bike seen from its right, millimetres, origin at the bottom bracket, x forward, z up.
 */
export interface SideView {
  rearAxle: Point;
  frontAxle: Point;
  wheelRadiusMm: number;
  tyreWidthMm: number;
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

/** Greatest difference of axle heights that still counts as one bike with equal wheels (methods, section 1). */
export const AXLE_TOLERANCE_MM = 10;

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
  const wheelRadiusMm = g.wheelBeadMm / 2 + g.tyreWidthMm;
  const seatTubeTop = along({ x: 0, z: 0 }, seatTubeUp, g.seatTubeMm);
  const stemBase = along(headTop, steeringDown, -g.barRiseMm * 0.6);

  return {
    rearAxle,
    frontAxle,
    wheelRadiusMm,
    tyreWidthMm: g.tyreWidthMm,
    groundZ: (rearAxle.z + frontAxle.z) / 2 - wheelRadiusMm,
    wheelbaseMm: frontAxle.x - rearAxle.x,
    headTop,
    headBottom,
    seatTubeTop,
    seatpostClamp: along({ x: 0, z: 0 }, seatTubeUp, g.saddleHeightMm - 50),
    saddleTop: along({ x: 0, z: 0 }, seatTubeUp, g.saddleHeightMm),
    // The tubes' centre lines meet the head tube a tube's radius inside its ends.
    topTubeFront: along(headTop, steeringDown, 28),
    topTubeRear: along(seatTubeTop, seatTubeUp, -22),
    downTubeFront: along(headBottom, steeringDown, -32),
    stemBase,
    bar: { x: stemBase.x + g.stemMm * forward.x, z: headTop.z + g.barRiseMm },
    steeringDown,
    seatTubeUp,
  };
}

/**
 * Says whether the figures can belong to one bike with equal wheels; if not, which figure to look at first.
 *
 * @example checkGeometry({ ...DEFAULT_GEOMETRY, axleToCrownMm: 400 }).ok // false
 */
export function checkGeometry(g: BikeGeometry): Result<SideView> {
  const view = sideView(g);
  const difference = view.frontAxle.z - view.rearAxle.z;
  if (Math.abs(difference) > AXLE_TOLERANCE_MM) {
    const higher = difference > 0 ? 'higher' : 'lower';
    return fail(
      `These figures put the front axle ${Math.abs(difference).toFixed(0)} mm ${higher} than the rear one. ` +
        `Look first at the fork length (${g.axleToCrownMm} mm), then stack and bottom-bracket drop.`,
    );
  }
  if (view.wheelbaseMm < 2 * view.wheelRadiusMm + 10) {
    return fail(
      `The wheels would overlap: a wheelbase of ${view.wheelbaseMm.toFixed(0)} mm for wheels of ${(2 * view.wheelRadiusMm).toFixed(0)} mm. Look at reach and chainstay.`,
    );
  }
  if (g.saddleHeightMm < g.seatTubeMm) {
    return fail('The saddle would be below the top of the seat tube. Look at saddle height and seat tube.');
  }
  return ok(view);
}
