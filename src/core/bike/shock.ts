import { lineThrough, moved } from '@/core/geometry/line';
import type { Point } from '@/core/geometry/polygon';
import type { SideView } from './sideView';

/** Half the width a shock and its link take, in millimetres. */
const SHOCK_HALF_MM = 18;
/** Where the link stands on the seat tube, and the shock's front end under the top tube, as shares of each. */
const LINK_SHARE = 0.78;
const FRONT_SHARE = 0.3;

/**
 * Where a bike with rear suspension usually has its shock: from a link on the seat tube forward under the top
 * tube. An assumption: frames differ, and the rider's own eye decides.
 */
export function usualShock(view: SideView): { link: Point; front: Point; outline: Point[] } {
  const link = { x: view.topTubeRear.x * LINK_SHARE, z: view.topTubeRear.z * LINK_SHARE };
  const front = {
    x: view.topTubeRear.x + (view.topTubeFront.x - view.topTubeRear.x) * FRONT_SHARE,
    z: view.topTubeRear.z + (view.topTubeFront.z - view.topTubeRear.z) * FRONT_SHARE - 20,
  };
  const line = lineThrough(link, front);
  const back = { at: front, direction: line.direction };
  return {
    link,
    front,
    outline: [
      moved(line, -SHOCK_HALF_MM).at,
      moved(back, -SHOCK_HALF_MM).at,
      moved(back, SHOCK_HALF_MM).at,
      moved(line, SHOCK_HALF_MM).at,
    ],
  };
}
