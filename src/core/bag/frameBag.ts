import type { Mount } from '@/core/bike/bike';
import { triangleInside, tubeLines, TUBE_MM, type TriangleSide } from '@/core/bike/mainTriangle';
import type { SideView } from '@/core/bike/sideView';
import { clipAlong } from '@/core/geometry/clip';
import { flatPolygonVolumeMl, type FlatPolygon } from '@/core/geometry/flatPolygon';
import { leftOf, pointOn, moved } from '@/core/geometry/line';
import { extentOf, signedAreaMm2, type Point } from '@/core/geometry/polygon';
import { fail, ok, type Result } from '@/core/result';

/** How a frame bag is to be cut from the main triangle. Millimetres. */
export interface FrameBagWish {
  /** A half bag ends at `dropMm` below the top tube and leaves the room under it to bottles. */
  half: boolean;
  dropMm: number;
  /** Free space along each tube: cloth, cage, bottle, hose or shock. */
  setBackMm: Record<TriangleSide, number>;
  /** Widths wished for; the rear one is cut to what the knees leave. */
  rearWidthMm: number;
  frontWidthMm: number;
}

export interface FrameBagCut {
  /** Side panel in the bike's coordinates; the first corner by the seat tube's top. */
  outline: Point[];
  /** As a compartment's solid: its corners count from the triangle's upper rear corner. */
  solid: FlatPolygon;
  areaMm2: number;
  volumeMl: number;
  /** The rear width was cut to this by the knees; null when the wish stands. */
  kneeLimitMm: number | null;
  /** Cage bolts that come to lie against the bag, where holes or hook strips go. */
  bolts: Point[];
  /** The strip that joins both side panels: one length for each side of the outline, from the first corner on. */
  gussetMm: number[];
}

/** Cage bolts are this far apart, by custom. */
const BOLT_STEP_MM = 64;
/** Knees must clear the bag by this at each side, and a full bag bulges by about a tenth of its width. */
const KNEE_FREE_MM = 5;
const BULGE_ALLOWED = 1.1;
const NEAR_TUBE_MM = 30;

/**
 * A frame bag cut from the main triangle (methods, section 1): tubes moved in by their radii and the set-backs,
 * ended at a half bag's drop, its rear no wider than the knees leave.
 *
 * @param kneeGapMm room between the rider's knees
 * @returns the cut, or why nothing is left of it
 * @example frameBagCut(sideView(DEFAULT_GEOMETRY), wish, [], 130) // a full bag of some 5 to 6 litres
 */
export function frameBagCut(
  view: SideView,
  wish: FrameBagWish,
  mounts: readonly Mount[],
  kneeGapMm: number,
): Result<FrameBagCut> {
  let outline = triangleInside(view, wish.setBackMm);
  if (wish.half && outline.length > 2) {
    const top = moved(tubeLines(view).top, TUBE_MM.top / 2 + wish.setBackMm.top + wish.dropMm);
    // The triangle's inside lies to the left of the top tube, taken from front to rear; keep what is nearer to it.
    const down = leftOf(top);
    outline = clipAlong(outline, down, down.x * top.at.x + down.z * top.at.z);
  }
  if (outline.length < 3 || Math.abs(signedAreaMm2(outline)) < 2_000)
    return fail('Nothing is left of the triangle with these set-backs. Make them smaller.');
  const kneeMost = (kneeGapMm - 2 * KNEE_FREE_MM) / BULGE_ALLOWED;
  const limited = wish.rearWidthMm > kneeMost;
  const rearWidthMm = limited ? Math.max(20, kneeMost) : wish.rearWidthMm;
  const origin = triangleInside(view)[0]!;
  const solid: FlatPolygon = {
    kind: 'polygon',
    corners: outline.map((p) => ({ x: p.x - origin.x, z: p.z - origin.z })),
    widthMm: rearWidthMm,
    frontWidthMm: wish.frontWidthMm,
  };
  return ok({
    outline,
    solid,
    areaMm2: Math.abs(signedAreaMm2(outline)),
    volumeMl: flatPolygonVolumeMl(solid),
    kneeLimitMm: limited ? rearWidthMm : null,
    bolts: boltsAgainst(view, outline, mounts),
    gussetMm: outline.map((p, i) => {
      const q = outline[(i + 1) % outline.length]!;
      return Math.hypot(p.x - q.x, p.z - q.z);
    }),
  });
}

/** Bolts of cage mounts whose tube the bag lies along, on the inside face of the tube. */
export function boltsAgainst(view: SideView, outline: readonly Point[], mounts: readonly Mount[]): Point[] {
  const lines = tubeLines(view);
  const { left, right, low, high } = extentOf(outline);
  return mounts.flatMap((mount) => {
    if (mount.place !== 'down tube' && mount.place !== 'seat tube') return [];
    const side = mount.place === 'down tube' ? 'down' : 'seat';
    // The seat tube's line runs downwards, ending at the bottom bracket.
    const line = lines[side];
    const up = side === 'down' ? 1 : -1;
    const from = { at: { x: 0, z: 0 }, direction: { x: line.direction.x * up, z: line.direction.z * up } };
    const inward = leftOf(line);
    return Array.from({ length: mount.bolts }, (_, i) => {
      const on = pointOn(from, mount.lowestMm + i * BOLT_STEP_MM);
      return { x: on.x + (inward.x * TUBE_MM[side]) / 2, z: on.z + (inward.z * TUBE_MM[side]) / 2 };
    }).filter(
      (p) =>
        p.x > left - NEAR_TUBE_MM &&
        p.x < right + NEAR_TUBE_MM &&
        p.z > low - NEAR_TUBE_MM &&
        p.z < high + NEAR_TUBE_MM,
    );
  });
}

/** What a wish starts from: a half bag over the bottles, 5 mm off the tubes, slim at the knees. */
export const DEFAULT_FRAME_BAG: FrameBagWish = {
  half: true,
  dropMm: 115,
  setBackMm: { top: 3, head: 10, down: 5, seat: 5 },
  rearWidthMm: 55,
  frontWidthMm: 70,
};
