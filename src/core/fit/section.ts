import { clipAlong } from '@/core/geometry/clip';
import type { Point } from '@/core/geometry/polygon';
import { MOST_RUNS, type Chamber } from './chamber';
import type { Fit } from './fit';
import { pouchFrame } from './pouchChamber';

/** A compartment cut open along its fill axis: x across, z up to the mouth, millimetres. */
export interface Section {
  outline: Point[];
  /** Soft things, from the bottom up. */
  bands: { thingId: string; corners: Point[] }[];
  /** Stiff pieces, the farthest from the eye first. */
  blocks: {
    thingId: string;
    index: number;
    left: number;
    right: number;
    low: number;
    high: number;
    round: boolean;
  }[];
}

/**
 * What a cut through the middle shows, with everything that lies in the compartment laid into the cut.
 *
 * @example sectionOf(chamber, fit).blocks[0] // { thingId: 'pot', left: -56, right: 56, low: 0, high: 118, … }
 */
export function sectionOf(chamber: Chamber, fit: Fit): Section {
  const outline = outlineOf(chamber);
  return {
    outline,
    bands: fit.layers.map(({ thingId, fromMm, toMm }) => ({
      thingId,
      corners: clipAlong(clipAlong(outline, { x: 0, z: 1 }, toMm), { x: 0, z: -1 }, -fromMm),
    })),
    blocks: [...fit.lying]
      .sort((a, b) => a.w0 - b.w0)
      .map(({ piece, u0, u1, v0, v1, upright }) => ({
        thingId: piece.thingId,
        index: piece.index,
        left: v0,
        right: v1,
        low: u0,
        high: u1,
        // Seen from the end, a cylinder that lies towards the eye is a disc.
        round: piece.round && !upright && Math.abs(v1 - v0 - (u1 - u0)) < 1e-6,
      })),
  };
}

function outlineOf(chamber: Chamber): Point[] {
  const { solid, lengthMm, v } = chamber;
  if (solid.kind === 'polygon') return pouchFrame(solid.corners).corners;
  if (solid.kind !== 'taper')
    return [
      { x: v[0], z: 0 },
      { x: v[1], z: 0 },
      { x: v[1], z: lengthMm },
      { x: v[0], z: lengthMm },
    ];
  const runs = new Float64Array(2 * MOST_RUNS);
  const across = (u: number): number => (chamber.along(u, u, 0, 0, runs) > 0 ? runs[1]! : 0);
  return [
    { x: -across(0), z: 0 },
    { x: across(0), z: 0 },
    { x: across(lengthMm), z: lengthMm },
    { x: -across(lengthMm), z: lengthMm },
  ];
}
