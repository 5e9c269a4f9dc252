import type { Bag, Compartment } from '@/core/bag/bag';
import { solidVolumeMl, type Solid } from '@/core/geometry/solid';
import { boxChamber } from './boxChamber';
import { pouchChamber } from './pouchChamber';
import { roundChamber } from './roundChamber';

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

/**
 * The measured solid with its profile scaled so that it holds the stated litres (methods, section 3): what lies across
 * the fill axis grows or shrinks, the length along it, which a tape decides, stays. Of a pouch the width is scaled.
 *
 * @param ratio stated volume over the measured solid's
 */
function scaledSolid(solid: Solid, ratio: number, opening: Bag['opening']): Solid {
  const side = Math.sqrt(ratio);
  switch (solid.kind) {
    case 'cylinder':
      return { ...solid, diameterMm: solid.diameterMm * side };
    case 'taper':
      return {
        ...solid,
        noseWidthMm: solid.noseWidthMm * side,
        noseHeightMm: solid.noseHeightMm * side,
        mouthWidthMm: solid.mouthWidthMm * side,
        mouthHeightMm: solid.mouthHeightMm * side,
      };
    case 'polygon':
      return {
        ...solid,
        widthMm: solid.widthMm * ratio,
        ...(solid.frontWidthMm === undefined ? {} : { frontWidthMm: solid.frontWidthMm * ratio }),
      };
    case 'box': {
      const along = boxFillAxis(opening);
      const by = (dimension: 'lengthMm' | 'widthMm' | 'heightMm') =>
        solid[dimension] * (dimension === along ? 1 : side);
      return { ...solid, lengthMm: by('lengthMm'), widthMm: by('widthMm'), heightMm: by('heightMm') };
    }
  }
}

/** The measure of a box that runs from its mouth to its bottom. */
export const boxFillAxis = (opening: Bag['opening']): 'lengthMm' | 'widthMm' | 'heightMm' =>
  opening === 'top' ? 'heightMm' : opening === 'left' || opening === 'right' ? 'widthMm' : 'lengthMm';

/**
 * A compartment's inside, scaled to its litres.
 *
 * @example chamberOf(stemBag, stemBag.compartments[0]).lengthMm // 195
 */
export function chamberOf(bag: Pick<Bag, 'opening'>, compartment: Compartment): Chamber {
  const measured = solidVolumeMl(compartment.solid);
  const wanted = compartment.statedMl ?? measured;
  const solid = scaledSolid(compartment.solid, measured > 0 ? wanted / measured : 0, bag.opening);
  switch (solid.kind) {
    case 'cylinder':
    case 'taper':
      return roundChamber(solid, wanted);
    case 'box':
      return boxChamber(solid, wanted, bag.opening);
    case 'polygon':
      return pouchChamber(solid, wanted, bag.opening);
  }
}
