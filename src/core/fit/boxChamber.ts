import type { Bag } from '@/core/bag/bag';
import type { Box } from '@/core/geometry/box';
import type { Chamber } from './chamber';

const SLACK = 1e-7;

/** The measure of a box that runs from its mouth to its bottom. */
export const boxFillAxis = (opening: Bag['opening']): 'lengthMm' | 'widthMm' | 'heightMm' =>
  opening === 'top' ? 'heightMm' : opening === 'left' || opening === 'right' ? 'widthMm' : 'lengthMm';

/**
 * A rectangular box. Filled from the bottom where it opens on top, through a side or an end where it opens there;
 * through a side it is so shallow that nothing lies under anything else.
 */
export function boxChamber(solid: Box, volumeMl: number, opening: Bag['opening']): Chamber {
  const fill = boxFillAxis(opening);
  const lengthMm = solid[fill];
  // Across, the longer side is v, as it lies in the side view.
  const [v, w] =
    fill === 'heightMm'
      ? [solid.lengthMm, solid.widthMm]
      : fill === 'lengthMm'
        ? [solid.widthMm, solid.heightMm]
        : [solid.lengthMm, solid.heightMm];
  const [halfV, halfW] = [v / 2, w / 2];
  const tall = (u0: number, u1: number) => u0 >= -SLACK && u1 <= lengthMm + SLACK;
  return {
    solid,
    lengthMm,
    volumeMl,
    faceOpen: fill === 'widthMm',
    longAxis: lengthMm >= v && lengthMm >= w ? 'u' : v >= w ? 'v' : 'w',
    v: [-halfV, halfV],
    w: [-halfW, halfW],
    levels: [],
    across: (u0, u1, v0, v1) => (tall(u0, u1) && v0 >= -halfV - SLACK && v1 <= halfV + SLACK ? halfW : -1),
    along(u0, u1, w0, w1, out): number {
      if (!tall(u0, u1) || w0 < -halfW - SLACK || w1 > halfW + SLACK) return 0;
      out[0] = -halfV;
      out[1] = halfV;
      return 1;
    },
    holdsUpright: (u0, u1, atV, atW, r) =>
      tall(u0, u1) && Math.abs(atV) + r <= halfV + SLACK && Math.abs(atW) + r <= halfW + SLACK,
    sectionMm2: () => v * w,
  };
}
