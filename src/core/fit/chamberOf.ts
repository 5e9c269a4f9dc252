import type { Bag, Compartment } from '@/core/bag/bag';
import { solidVolumeMl, type Solid } from '@/core/geometry/solid';
import { boxChamber, boxFillAxis } from './boxChamber';
import type { Chamber } from './chamber';
import { pouchChamber } from './pouchChamber';
import { roundChamber } from './roundChamber';

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
