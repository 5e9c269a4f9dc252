import { crossing, lineThrough, moved, pointOn, type Line } from '@/core/geometry/line';
import type { Point } from '@/core/geometry/polygon';
import { fail, ok, type Result } from '@/core/result';
import type { BikeGeometry, Tape } from './bike';
import { TUBE_MM } from './mainTriangle';
import { HEAD_TOP_ABOVE_MM, HEAD_BOTTOM_BELOW_MM, SEAT_TOP_ABOVE_MM } from './sideView';

/** Figures that a tape inside the triangle gives, once the seat tube's angle is taken as known. */
export type TapeFigures = Pick<
  BikeGeometry,
  'stackMm' | 'reachMm' | 'headTubeMm' | 'headAngleDeg' | 'seatTubeMm'
>;

/** A head side shorter than this is too short to read an angle from. */
const SHORTEST_HEAD_MM = 40;

/**
 * Corner of a triangle of three lengths: from `p`, at `fromP` away, and `fromQ` from `q`, on the left of p → q.
 * Null when the three lengths close no triangle.
 */
function corner(p: Point, q: Point, fromP: number, fromQ: number): Point | null {
  const base = Math.hypot(q.x - p.x, q.z - p.z);
  const along = (fromP * fromP - fromQ * fromQ + base * base) / (2 * base);
  const square = fromP * fromP - along * along;
  if (square < 0) return null;
  const line = lineThrough(p, q);
  return moved({ at: pointOn(line, along), direction: line.direction }, Math.sqrt(square)).at;
}

/**
 * Figures of a bike from the inside of its main triangle by tape: four sides and the diagonal from the corner of
 * seat and top tube to that of head and down tube give the shape; the seat tube's angle, from a table or a
 * default, turns it upright; tube radii lead back to the centre lines (methods, section 1).
 *
 * @param tape millimetres, inside the tubes
 * @param seatAngleDeg seat tube against the ground
 * @param defaultHeadAngleDeg used only when the head side is under 40 mm, too short to read an angle from
 * @returns the figures, or which measure cannot be right
 */
export function figuresFromTape(
  tape: Tape,
  seatAngleDeg: number,
  defaultHeadAngleDeg: number,
): Result<TapeFigures, { field: keyof Tape; message: string }> {
  const { topMm, headMm, downMm, seatMm, diagonalMm } = tape;
  const closes = (a: number, b: number, c: number) => a + b > c + 1 && a + c > b + 1 && b + c > a + 1;
  if (!closes(seatMm, downMm, diagonalMm)) {
    const [least, most] = [Math.abs(downMm - seatMm) + 2, downMm + seatMm - 2];
    return fail({
      field: 'diagonalMm',
      message: `Seat side, down side and diagonal close no triangle: with these sides the diagonal lies between ${least.toFixed(0)} and ${most.toFixed(0)} mm.`,
    });
  }
  if (!closes(topMm, headMm, diagonalMm)) {
    const least = Math.max(Math.abs(topMm - headMm), Math.abs(downMm - seatMm)) + 2;
    const most = Math.min(topMm + headMm, downMm + seatMm) - 2;
    const top = `the top side between ${(Math.abs(diagonalMm - headMm) + 2).toFixed(0)} and ${(diagonalMm + headMm - 2).toFixed(0)} mm`;
    // The diagonal is the one measure both halves share: it is looked at first where another would suit both.
    return least < most
      ? fail({
          field: 'diagonalMm',
          message: `Top side, head side and diagonal close no triangle: with these sides the diagonal lies between ${least.toFixed(0)} and ${most.toFixed(0)} mm; or else ${top}.`,
        })
      : fail({
          field: 'topMm',
          message: `Top side, head side and diagonal close no triangle: with these lies ${top}.`,
        });
  }
  const seat = (seatAngleDeg * Math.PI) / 180;
  const lower: Point = { x: 0, z: 0 };
  const seatTop: Point = { x: -Math.cos(seat) * seatMm, z: Math.sin(seat) * seatMm };
  const front = corner(seatTop, lower, diagonalMm, downMm);
  const headTopInside = front && corner(seatTop, front, topMm, headMm);
  if (!front || !headTopInside)
    return fail({
      field: 'diagonalMm',
      message: 'These lengths close no triangle. Measure the diagonal again.',
    });
  if (headTopInside.z <= front.z)
    return fail({
      field: 'headMm',
      message:
        'The head side comes out lying down. Measure the head side and the top side again, inside the tubes.',
    });

  const measuredHead = lineThrough(front, headTopInside);
  const headAngle = (defaultHeadAngleDeg * Math.PI) / 180;
  const headDirection =
    headMm >= SHORTEST_HEAD_MM ? measuredHead.direction : { x: -Math.cos(headAngle), z: Math.sin(headAngle) };
  // The inside edges go round anticlockwise; the tubes' centre lines lie a radius to their right.
  const out = (line: Line, diameterMm: number) => moved(line, -diameterMm / 2);
  const seatLine = out(lineThrough(seatTop, lower), TUBE_MM.seat);
  const downLine = out(lineThrough(lower, front), TUBE_MM.down);
  const headLine = out({ at: front, direction: headDirection }, TUBE_MM.head);
  const topLine = out(lineThrough(headTopInside, seatTop), TUBE_MM.top);
  const bracket = crossing(seatLine, downLine);
  const topFront = crossing(topLine, headLine);
  const topRear = crossing(topLine, seatLine);
  const downFront = crossing(downLine, headLine);
  if (!bracket || !topFront || !topRear || !downFront)
    return fail({ field: 'diagonalMm', message: 'Two of the tubes come out side by side. Measure again.' });
  const headTop = pointOn({ at: topFront, direction: headDirection }, HEAD_TOP_ABOVE_MM);
  const headBottom = pointOn({ at: downFront, direction: headDirection }, -HEAD_BOTTOM_BELOW_MM);
  return ok({
    stackMm: headTop.z - bracket.z,
    reachMm: headTop.x - bracket.x,
    headTubeMm: Math.hypot(headTop.x - headBottom.x, headTop.z - headBottom.z),
    headAngleDeg: (Math.atan2(headDirection.z, -headDirection.x) * 180) / Math.PI,
    seatTubeMm: Math.hypot(topRear.x - bracket.x, topRear.z - bracket.z) + SEAT_TOP_ABOVE_MM,
  });
}
