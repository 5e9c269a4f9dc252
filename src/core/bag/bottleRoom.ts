import { polygonGap } from '@/core/geometry/distance';
import { offsetFrom } from '@/core/geometry/line';
import { placed, rectangle, type Point } from '@/core/geometry/polygon';
import type { Mount } from '@/core/bike/bike';
import { TRIANGLE_SIDES, tubeLines, TUBE_MM, type TriangleSide } from '@/core/bike/mainTriangle';
import { besideTube, CAGE_MM, FOOT_BELOW_BOLT_MM } from './places';
import type { SideView } from '@/core/bike/sideView';

/** Bottles by size, the largest first: volume in ml, diameter and height in mm. Common shapes, rounded. */
export const BOTTLES = [
  { volumeMl: 1000, diameterMm: 80, heightMm: 265 },
  { volumeMl: 750, diameterMm: 74, heightMm: 245 },
  { volumeMl: 620, diameterMm: 74, heightMm: 205 },
  { volumeMl: 500, diameterMm: 74, heightMm: 180 },
  { volumeMl: 350, diameterMm: 74, heightMm: 150 },
] as const;
export type Bottle = (typeof BOTTLES)[number];

/** What a bottle must keep from tubes, bags and other bottles to be drawn out. Millimetres. */
const FREE_MM = 5;

/** The largest bottle that goes on one mount of the main triangle; null when none does. */
export interface BottleRoom {
  mount: Mount;
  bottle: Bottle | null;
  outline: Point[] | null;
}

/**
 * For each cage mount in the main triangle, the largest bottle that keeps clear of tubes, frame bags and the
 * bottles found before it (down tube first, as riders fill them).
 *
 * @param taken outlines of frame bags, side view
 */
export function bottleRoom(
  view: SideView,
  mounts: readonly Mount[],
  taken: readonly (readonly Point[])[],
): BottleRoom[] {
  const lines = tubeLines(view);
  const inTheWay = [...taken];
  const own: Partial<Record<Mount['place'], TriangleSide>> = { 'down tube': 'down', 'seat tube': 'seat' };
  const ordered = mounts
    .filter((mount) => own[mount.place])
    .sort((a, b) => (a.place === b.place ? 0 : a.place === 'down tube' ? -1 : 1));
  return ordered.map((mount): BottleRoom => {
    const side = own[mount.place]!;
    for (const bottle of BOTTLES) {
      const outline = bottleOutline(view, mount, bottle);
      const insideTubes = TRIANGLE_SIDES.every((other) =>
        outline.every(
          (corner) =>
            offsetFrom(lines[other], corner) - TUBE_MM[other] / 2 >=
            (other === side ? CAGE_MM - 0.1 : FREE_MM),
        ),
      );
      if (insideTubes && inTheWay.every((shape) => polygonGap(outline, shape).gapMm >= FREE_MM)) {
        inTheWay.push(outline);
        return { mount, bottle, outline };
      }
    }
    return { mount, bottle: null, outline: null };
  });
}

/** A bottle in its cage, side view: on the down tube's upper side, or the seat tube's front. */
function bottleOutline(view: SideView, mount: Mount, bottle: Bottle): Point[] {
  const onDown = mount.place === 'down tube';
  const end = onDown ? view.downTubeFront : view.seatTubeTop;
  const turn = Math.atan2(end.z, end.x);
  const radius = (onDown ? TUBE_MM.down : TUBE_MM.seat) / 2;
  const off = (onDown ? 1 : -1) * (radius + CAGE_MM + bottle.diameterMm / 2);
  const along = mount.lowestMm - FOOT_BELOW_BOLT_MM + bottle.heightMm / 2;
  return placed(rectangle(bottle.heightMm, bottle.diameterMm), besideTube(turn, along, off), turn);
}
