import { z } from 'zod';
import { BOLTS, TOOLS } from './bolts';
import { idSchema, limitG, massG, massSource, measure, nameSchema, pressureKpa } from '@/core/units/measures';

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
  bottomBracketDropMm: measure('mm', -60, 120).describe('Bottom bracket below the rear axle'),
  axleToCrownMm: measure('mm', 300, 650).describe('Fork length, axle to crown'),
  forkOffsetMm: measure('mm', 20, 80).describe('Fork offset (rake)'),
  wheelBeadMm: measure('mm', 400, 630).describe('Front rim bead diameter: 622, 584 or 559'),
  tyreWidthMm: measure('mm', 18, 130).describe('Front tyre width'),
  rearWheelBeadMm: measure('mm', 400, 630).describe('Rear rim bead diameter'),
  rearTyreWidthMm: measure('mm', 18, 130).describe('Rear tyre width'),
  saddleHeightMm: measure('mm', 400, 950).describe('Bottom bracket to saddle top, along the seat tube'),
  stemMm: measure('mm', 0, 160).describe('Stem length'),
  barRiseMm: measure('mm', -80, 200).describe('Bar centre above the top of the head tube'),
  barWidthMm: measure('mm', 340, 900).describe('Bar width'),
});
export type BikeGeometry = z.infer<typeof bikeGeometrySchema>;
export type FigureKey = keyof BikeGeometry;

/** What the rider knows of the figures; the rest are defaults, and said to be. */
export const knownFiguresSchema = bikeGeometrySchema.partial().extend({
  wheelbaseMm: measure('mm', 800, 1_500)
    .optional()
    .describe('Wheelbase as printed: only to check the other figures against'),
});
export type KnownFigures = z.infer<typeof knownFiguresSchema>;

/** The inside of the main triangle by tape: four sides and one diagonal fix its shape (methods, section 1). */
export const tapeSchema = z.object({
  topMm: measure('mm', 150, 750).describe('Along the top tube, inside'),
  headMm: measure('mm', 5, 300).describe('Along the head tube, inside'),
  downMm: measure('mm', 250, 800).describe('Along the down tube, inside'),
  seatMm: measure('mm', 100, 650).describe('Along the seat tube, inside'),
  diagonalMm: measure('mm', 250, 900).describe(
    'From the corner of seat and top tube to that of head and down tube',
  ),
  railToTyreMm: z
    .union([measure('mm', 20, 600), z.null()])
    .default(null)
    .describe('Saddle rails straight down to the rear tyre'),
  barToTyreMm: z
    .union([measure('mm', 20, 700), z.null()])
    .default(null)
    .describe('Middle of the bar straight down to the front tyre'),
});
export type Tape = z.infer<typeof tapeSchema>;

export const FORKS = ['rigid', 'suspension'] as const;
export const BARS = ['flat', 'swept', 'drop'] as const;
export const BRAKES = ['disc', 'rim'] as const;
export const GEARS = ['derailleur, one ring', 'derailleur, two rings', 'hub gear', 'single speed'] as const;
export const HOSES = ['in the frame', 'under the down tube', 'under the top tube'] as const;
export const MATERIALS = ['steel', 'aluminium', 'titanium', 'carbon', 'not known'] as const;
export type Material = (typeof MATERIALS)[number];
export const MOUNT_PLACES = [
  'down tube',
  'seat tube',
  'under the down tube',
  'top tube',
  'left fork leg',
  'right fork leg',
  'rear rack',
] as const;
export type MountPlace = (typeof MOUNT_PLACES)[number];
export const FRONT_LIGHTS = ['none', 'on the bar', 'on the fork crown'] as const;
export const REAR_LIGHTS = ['none', 'on the seatpost', 'on the seatstay'] as const;

export const mountSchema = z.object({
  place: z.enum(MOUNT_PLACES),
  bolts: z.int().min(1).max(4),
  lowestMm: measure('mm', 0, 700)
    .default(160)
    .describe('Lowest bolt from the bottom bracket along its tube; on a fork, from the axle'),
  limitG: limitG.describe("Maker's greatest load, or null when not known"),
});
export type Mount = z.infer<typeof mountSchema>;

/** What is on the bike besides its figures: decides what rubs, what may carry, and what may not be clamped. */
export const buildSchema = z.object({
  fork: z.enum(FORKS).default('suspension'),
  forkTravelMm: measure('mm', 0, 220).default(0).describe('Fork travel'),
  rearTravelMm: measure('mm', 0, 220).default(0).describe('Rear travel'),
  dropperMm: measure('mm', 0, 240).default(0).describe('How far the dropper post goes down; 0 without one'),
  bar: z.enum(BARS).default('flat'),
  barFlareDeg: measure('°', 0, 45).default(0).describe('Flare of the drops'),
  barFreeMm: z
    .union([measure('mm', 150, 900), z.null()])
    .default(null)
    .describe('Free width between levers, or between the drops'),
  brakes: z.enum(BRAKES).default('disc'),
  gears: z.enum(GEARS).default('derailleur, one ring'),
  smallestRingTeeth: z
    .union([z.int().min(16).max(60), z.null()])
    .default(null)
    .describe('Teeth of the smallest chainring'),
  largestCogTeeth: z
    .union([z.int().min(11).max(60), z.null()])
    .default(null)
    .describe('Teeth of the largest sprocket'),
  hoses: z.enum(HOSES).default('under the down tube'),
  hosesAhead: z.boolean().default(true).describe('Hoses or cables pass in front of the head tube'),
  frameMaterial: z.enum(MATERIALS).default('not known'),
  forkMaterial: z.enum(MATERIALS).default('not known'),
  seatpostMaterial: z.enum(MATERIALS).default('not known'),
  mounts: z.array(mountSchema).max(12, 'At most 12 mounts.').default([]),
  frontLight: z.enum(FRONT_LIGHTS).default('none'),
  rearLight: z.enum(REAR_LIGHTS).default('none'),
  tubes: z.boolean().default(false).describe('Inner tubes; without, tubeless'),
  tyreLeastKpa: z.union([pressureKpa, z.null()]).default(null).describe('Least pressure printed on the tyre'),
  tyreMostKpa: z
    .union([pressureKpa, z.null()])
    .default(null)
    .describe('Greatest pressure printed on the tyre'),
  rimMostKpa: z.union([pressureKpa, z.null()]).default(null).describe('Greatest pressure for the rim'),
  bolts: z
    .partialRecord(z.enum(BOLTS), z.enum(TOOLS))
    .default({})
    .describe('The tool for each bolt that was looked at; the others are as on most bikes'),
});
export type Build = z.infer<typeof buildSchema>;

const wheelReading = measure('g', 0, 200_000);

/** Two readings of a scale under each wheel: the bike alone, then with the rider seated (methods, section 5). */
export const wheelReadingsSchema = z.object({
  aloneFrontG: wheelReading,
  aloneRearG: wheelReading,
  riderFrontG: z.union([wheelReading, z.null()]),
  riderRearG: z.union([wheelReading, z.null()]),
});
export type WheelReadings = z.infer<typeof wheelReadingsSchema>;

/** What a bike is, and how large, where nothing of it has been measured. */
export const BIKE_TYPES = ['hardtail', 'full suspension', 'gravel', 'road', 'touring', 'fat'] as const;
export type BikeType = (typeof BIKE_TYPES)[number];
export const FRAME_SIZES = ['S', 'M', 'L', 'XL'] as const;
export type FrameSize = (typeof FRAME_SIZES)[number];

export const bikeSchema = z.object({
  id: idSchema,
  name: nameSchema,
  massG: massG.describe('Bike without bags, bottles or load, in grams'),
  massSource,
  greatestTotalG: limitG.describe("Maker's limit for bike, rider and load together, or null when not known"),
  assumed: z
    .object({ type: z.enum(BIKE_TYPES), size: z.enum(FRAME_SIZES) })
    .nullable()
    .default(null)
    .describe('Whose average figures stand in for those that are not known; null for a hardtail of size M'),
  geometry: knownFiguresSchema.describe('Figures that are known; a missing one has a default'),
  tape: z.union([tapeSchema, z.null()]).default(null),
  build: buildSchema.default(() => buildSchema.parse({})),
  readings: z.union([wheelReadingsSchema, z.null()]).default(null),
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
  rearWheelBeadMm: 622,
  rearTyreWidthMm: 57,
  saddleHeightMm: 740,
  stemMm: 60,
  barRiseMm: 45,
  barWidthMm: 740,
};

export const DEFAULT_BUILD: Build = buildSchema.parse({});

/** A bike of which nothing is known yet. */
export const newBike = (id: string, name: string): Bike => ({
  id,
  name,
  massG: 13_000,
  massSource: 'estimate',
  greatestTotalG: null,
  assumed: null,
  geometry: {},
  tape: null,
  build: DEFAULT_BUILD,
  readings: null,
});
