import { z } from 'zod';
import { idSchema, limitG, massG, massSource, measure, nameSchema } from '@/core/plan/fields';

/**
 * Lengths and angles of a bike's side view (methods, section 1). Angles are those printed in makers' tables:
 * between the tube and the ground, at the back.
 */
export const bikeGeometrySchema = z.object({
  stackMm: measure('mm', 300, 800).describe('Stack: bottom bracket to top of head tube, vertical'),
  reachMm: measure('mm', 200, 600).describe('Reach: bottom bracket to top of head tube, horizontal'),
  headTubeMm: measure('mm', 60, 300).describe('Head tube length'),
  headAngleDeg: measure('°', 55, 80).describe('Head tube angle'),
  seatTubeMm: measure('mm', 250, 700).describe('Seat tube length, centre to top'),
  seatAngleDeg: measure('°', 60, 85).describe('Seat tube angle'),
  chainstayMm: measure('mm', 350, 550).describe('Chainstay length'),
  bottomBracketDropMm: measure('mm', -60, 120).describe('Bottom bracket below the wheel axles'),
  axleToCrownMm: measure('mm', 300, 650).describe('Fork length, axle to crown'),
  forkOffsetMm: measure('mm', 20, 80).describe('Fork offset (rake)'),
  wheelBeadMm: measure('mm', 400, 630).describe('Bead diameter of the rims: 622, 584 or 559'),
  tyreWidthMm: measure('mm', 18, 130).describe('Tyre width'),
  saddleHeightMm: measure('mm', 400, 950).describe('Bottom bracket to saddle top, along the seat tube'),
  stemMm: measure('mm', 0, 160).describe('Stem length'),
  barRiseMm: measure('mm', -80, 200).describe('Bar centre above the top of the head tube'),
  barWidthMm: measure('mm', 340, 900).describe('Bar width'),
});
export type BikeGeometry = z.infer<typeof bikeGeometrySchema>;

export const bikeSchema = z.object({
  id: idSchema,
  name: nameSchema,
  massG: massG.describe('Bike without bags, bottles or load, in grams'),
  massSource,
  greatestTotalG: limitG.describe("Maker's limit for bike, rider and load together, or null when not known"),
  geometry: bikeGeometrySchema,
});
export type Bike = z.infer<typeof bikeSchema>;

/** A middling trail hardtail; stands in for any figure the rider has not given yet. */
export const DEFAULT_GEOMETRY: BikeGeometry = {
  stackMm: 614,
  reachMm: 430,
  headTubeMm: 110,
  headAngleDeg: 67.5,
  seatTubeMm: 450,
  seatAngleDeg: 74,
  chainstayMm: 435,
  bottomBracketDropMm: 60,
  axleToCrownMm: 510,
  forkOffsetMm: 44,
  wheelBeadMm: 622,
  tyreWidthMm: 57,
  saddleHeightMm: 740,
  stemMm: 60,
  barRiseMm: 45,
  barWidthMm: 740,
};
