import type { Solid } from '@/core/geometry/solid';

/** Directions inside a compartment: along the fill axis, across it, and from its lower side up. */
export type Axis = 'u' | 'v' | 'w';

/** More runs than this has no outline of 24 corners. */
export const MOST_RUNS = 32;

/** A range of millimetres. */
export type Range = readonly [low: number, high: number];

/**
 * The inside of a compartment as stiff things meet it. `u` runs along the fill axis from the bottom at 0 to the mouth;
 * `v` and `w` lie across it. All millimetres.
 *
 * One shape a file. Each answers exactly for its own shape, so that whatever is said to lie inside does.
 */
export interface Chamber {
  readonly solid: Solid;
  /** From the bottom to the mouth. */
  readonly lengthMm: number;
  readonly volumeMl: number;
  /** Opens along a whole side, so that nothing in it lies under anything else. */
  readonly faceOpen: boolean;
  /** The direction in which it is longest. */
  readonly longAxis: Axis;
  readonly v: Range;
  readonly w: Range;
  /** Heights over the bottom worth trying for a thing besides the bottom itself and the tops of others. */
  readonly levels: readonly number[];
  /**
   * A block from u0 to u1 and from v0 to v1 may lie from minus to plus this in w: all sections are even about the
   * middle. Negative where it lies nowhere. A number, not a range: asked some ten thousand times a fit, it must not
   * leave anything to be collected.
   */
  across(u0: number, u1: number, v0: number, v1: number): number;
  /** Runs in v where a block from u0 to u1 and from w0 to w1 may lie, written to `out` as pairs; how many. */
  along(u0: number, u1: number, w0: number, w1: number, out: Float64Array): number;
  /** Whether an upright cylinder of radius r about (v, w) lies inside from u0 to u1. */
  holdsUpright(u0: number, u1: number, v: number, w: number, r: number): boolean;
  /** Area of the section at a height over the bottom. */
  sectionMm2(u: number): number;
}
