import { boxVolumeMl, type Box } from './box';
import { cylinderVolumeMl, type Cylinder } from './cylinder';
import { flatPolygonVolumeMl, type FlatPolygon } from './flatPolygon';
import type { Point } from './polygon';
import { taperVolumeMl, type Taper } from './taper';

/** The inside of a compartment (methods, section 3). */
export type Solid = Cylinder | Taper | FlatPolygon | Box;

/**
 * Inside volume in millilitres by geometry alone.
 *
 * @example solidVolumeMl({ kind: 'box', lengthMm: 100, widthMm: 100, heightMm: 100 }) // 1000
 */
export function solidVolumeMl(solid: Solid): number {
  switch (solid.kind) {
    case 'cylinder':
      return cylinderVolumeMl(solid);
    case 'taper':
      return taperVolumeMl(solid);
    case 'box':
      return boxVolumeMl(solid);
    case 'polygon':
      return flatPolygonVolumeMl(solid);
  }
}

/**
 * The three inside extents, greatest first, in millimetres: what a stiff thing must not exceed, extent by
 * extent, to lie inside along the axes. A polygon's first extent is its greatest corner-to-corner distance and
 * its second the least height over any side, so a long thing may lie along the diagonal.
 *
 * A necessary condition only: a taper's nose and a polygon's narrow corner hold less than this says.
 *
 * @example solidExtentsMm({ kind: 'cylinder', lengthMm: 300, diameterMm: 110 }) // [300, 110, 110]
 */
export function solidExtentsMm(solid: Solid): [number, number, number] {
  switch (solid.kind) {
    case 'cylinder':
      return sorted(solid.lengthMm, solid.diameterMm, solid.diameterMm);
    case 'taper':
      return sorted(
        solid.lengthMm,
        Math.max(solid.noseWidthMm, solid.mouthWidthMm),
        Math.max(solid.noseHeightMm, solid.mouthHeightMm),
      );
    case 'box':
      return sorted(solid.lengthMm, solid.widthMm, solid.heightMm);
    case 'polygon':
      return sorted(
        greatestDistance(solid.corners),
        leastHeight(solid.corners),
        Math.max(solid.widthMm, solid.frontWidthMm ?? 0),
      );
  }
}

const sorted = (a: number, b: number, c: number): [number, number, number] => {
  const [first, second, third] = [a, b, c].sort((p, q) => q - p);
  return [first!, second!, third!];
};

function greatestDistance(corners: readonly Point[]): number {
  let greatest = 0;
  for (const a of corners)
    for (const b of corners) greatest = Math.max(greatest, Math.hypot(a.x - b.x, a.z - b.z));
  return greatest;
}

function leastHeight(corners: readonly Point[]): number {
  let least = Infinity;
  for (let i = 0; i < corners.length; i += 1) {
    const a = corners[i]!;
    const b = corners[(i + 1) % corners.length]!;
    const side = Math.hypot(b.x - a.x, b.z - a.z);
    if (side < 1e-9) continue;
    let height = 0;
    for (const p of corners) {
      height = Math.max(height, Math.abs((b.x - a.x) * (p.z - a.z) - (b.z - a.z) * (p.x - a.x)) / side);
    }
    least = Math.min(least, height);
  }
  return Number.isFinite(least) ? least : 0;
}
