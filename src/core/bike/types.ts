import { buildSchema, type Bike, type BikeGeometry, type BikeType, type Build, type FrameSize } from './bike';

/** In steps of frame size from M. */
const STEP: Record<FrameSize, number> = { S: -1, M: 0, L: 1, XL: 2 };

interface TypeFigures {
  /** A middle frame of size M. */
  geometry: Omit<BikeGeometry, 'rearWheelBeadMm' | 'rearTyreWidthMm'>;
  build: Partial<Build>;
  massG: number;
}

const cages: Build['mounts'] = [
  { place: 'down tube', bolts: 2, lowestMm: 180, limitG: null },
  { place: 'seat tube', bolts: 2, lowestMm: 170, limitG: null },
];
const forkMounts: Build['mounts'] = [
  { place: 'left fork leg', bolts: 3, lowestMm: 150, limitG: null },
  { place: 'right fork leg', bolts: 3, lowestMm: 150, limitG: null },
];

/**
 * Figures of middle frames of size M by type, from the proportions such bikes have: our own averages, none of a maker's.
 * Single bikes differ by some 20 mm and 1.5°.
 */
const TYPES: Record<BikeType, TypeFigures> = {
  hardtail: {
    geometry: {
      stackMm: 620,
      reachMm: 435,
      headTubeMm: 110,
      headAngleDeg: 67,
      seatTubeMm: 440,
      seatAngleDeg: 74,
      chainstayMm: 435,
      bottomBracketDropMm: 60,
      axleToCrownMm: 510,
      forkOffsetMm: 44,
      wheelBeadMm: 622,
      tyreWidthMm: 57,
      saddleHeightMm: 710,
      stemMm: 55,
      barRiseMm: 45,
      barWidthMm: 760,
    },
    build: { fork: 'suspension', forkTravelMm: 120, bar: 'flat', mounts: cages },
    massG: 13_000,
  },
  'full suspension': {
    geometry: {
      stackMm: 622,
      reachMm: 455,
      headTubeMm: 110,
      headAngleDeg: 66,
      seatTubeMm: 430,
      seatAngleDeg: 76,
      chainstayMm: 440,
      bottomBracketDropMm: 35,
      axleToCrownMm: 540,
      forkOffsetMm: 44,
      wheelBeadMm: 622,
      tyreWidthMm: 60,
      saddleHeightMm: 710,
      stemMm: 45,
      barRiseMm: 45,
      barWidthMm: 780,
    },
    build: {
      fork: 'suspension',
      forkTravelMm: 130,
      rearTravelMm: 120,
      dropperMm: 150,
      bar: 'flat',
      mounts: cages.slice(0, 1),
    },
    massG: 14_500,
  },
  gravel: {
    geometry: {
      stackMm: 575,
      reachMm: 387,
      headTubeMm: 150,
      headAngleDeg: 71,
      seatTubeMm: 510,
      seatAngleDeg: 74,
      chainstayMm: 430,
      bottomBracketDropMm: 75,
      axleToCrownMm: 395,
      forkOffsetMm: 50,
      wheelBeadMm: 622,
      tyreWidthMm: 43,
      saddleHeightMm: 715,
      stemMm: 80,
      barRiseMm: 20,
      barWidthMm: 460,
    },
    build: {
      fork: 'rigid',
      bar: 'drop',
      barFlareDeg: 12,
      mounts: [...cages, ...forkMounts],
      frameMaterial: 'not known',
    },
    massG: 10_200,
  },
  road: {
    geometry: {
      stackMm: 555,
      reachMm: 383,
      headTubeMm: 145,
      headAngleDeg: 72.5,
      seatTubeMm: 510,
      seatAngleDeg: 73.5,
      chainstayMm: 412,
      bottomBracketDropMm: 72,
      axleToCrownMm: 372,
      forkOffsetMm: 45,
      wheelBeadMm: 622,
      tyreWidthMm: 32,
      saddleHeightMm: 715,
      stemMm: 95,
      barRiseMm: 10,
      barWidthMm: 420,
    },
    build: { fork: 'rigid', bar: 'drop', mounts: cages, tubes: true },
    massG: 9_200,
  },
  touring: {
    geometry: {
      stackMm: 595,
      reachMm: 385,
      headTubeMm: 155,
      headAngleDeg: 71,
      seatTubeMm: 520,
      seatAngleDeg: 73,
      chainstayMm: 455,
      bottomBracketDropMm: 75,
      axleToCrownMm: 400,
      forkOffsetMm: 50,
      wheelBeadMm: 622,
      tyreWidthMm: 47,
      saddleHeightMm: 715,
      stemMm: 80,
      barRiseMm: 30,
      barWidthMm: 620,
    },
    build: {
      fork: 'rigid',
      bar: 'flat',
      tubes: true,
      mounts: [
        ...cages,
        { place: 'under the down tube', bolts: 2, lowestMm: 160, limitG: null },
        ...forkMounts,
        { place: 'rear rack', bolts: 4, lowestMm: 0, limitG: 25_000 },
      ],
    },
    massG: 14_000,
  },
  fat: {
    geometry: {
      stackMm: 620,
      reachMm: 425,
      headTubeMm: 120,
      headAngleDeg: 68.5,
      seatTubeMm: 450,
      seatAngleDeg: 73.5,
      chainstayMm: 450,
      bottomBracketDropMm: 55,
      axleToCrownMm: 470,
      forkOffsetMm: 51,
      wheelBeadMm: 559,
      tyreWidthMm: 110,
      saddleHeightMm: 710,
      stemMm: 60,
      barRiseMm: 40,
      barWidthMm: 760,
    },
    build: { fork: 'rigid', bar: 'flat', mounts: [...cages, ...forkMounts] },
    massG: 15_500,
  },
};

/** What a step of frame size adds, in millimetres. */
const PER_SIZE: Partial<BikeGeometry> = {
  stackMm: 14,
  reachMm: 16,
  headTubeMm: 12,
  seatTubeMm: 30,
  chainstayMm: 1,
  saddleHeightMm: 35,
};

/**
 * All figures of a bike of some type and size, to be shown as assumed.
 *
 * @example assumedGeometry('gravel', 'L').stackMm // 575 + 14 = 589
 */
export function assumedGeometry(type: BikeType, size: FrameSize): BikeGeometry {
  const { geometry } = TYPES[type];
  const steps = STEP[size];
  const sized = { ...geometry };
  for (const [key, mm] of Object.entries(PER_SIZE)) {
    const figure = key as keyof typeof sized;
    sized[figure] += mm * steps;
  }
  return { ...sized, rearWheelBeadMm: sized.wheelBeadMm, rearTyreWidthMm: sized.tyreWidthMm };
}

/**
 * The frame size that makers give to a rider so tall.
 *
 * @example sizeFor(1720) // 'M'
 */
export const sizeFor = (riderMm: number): FrameSize =>
  riderMm < 1_660 ? 'S' : riderMm < 1_770 ? 'M' : riderMm < 1_860 ? 'L' : 'XL';

/** A bike by its type and size: every figure is assumed until one is entered. */
export const bikeOfType = (id: string, type: BikeType, size: FrameSize): Bike => ({
  id,
  name: `${type.charAt(0).toUpperCase()}${type.slice(1)}, size ${size}`,
  massG: TYPES[type].massG,
  massSource: 'estimate',
  greatestTotalG: null,
  assumed: { type, size },
  geometry: {},
  tape: null,
  build: buildSchema.parse(TYPES[type].build),
  readings: null,
});
