import { BAG_LIBRARY, fromLibrary } from '@/core/bag/library';
import type { Bag } from '@/core/bag/bag';
import { buildSchema, DEFAULT_GEOMETRY, type Bike } from '@/core/bike/bike';
import { DEMO_BAGS } from './bags';

/** A bike with the bags that hang on it, kept under a name. */
export interface DemoSetup {
  id: string;
  name: string;
  bike: Bike;
  bags: Bag[];
}

/** The hardtail of the demo trip, from a full geometry table. */
export const HARDTAIL: Bike = {
  id: 'hardtail',
  name: 'Steel hardtail',
  massG: 13_400,
  massSource: 'luggage scale',
  greatestTotalG: 125_000,
  assumed: null,
  geometry: { ...DEFAULT_GEOMETRY, wheelbaseMm: 1138 },
  tape: null,
  build: buildSchema.parse({
    fork: 'suspension',
    forkTravelMm: 60,
    brakes: 'disc',
    gears: 'derailleur, one ring',
    hoses: 'under the down tube',
    frameMaterial: 'steel',
    forkMaterial: 'aluminium',
    seatpostMaterial: 'aluminium',
    mounts: [
      { place: 'down tube', bolts: 3, lowestMm: 175, limitG: 1500 },
      { place: 'under the down tube', bolts: 2, lowestMm: 190, limitG: 1500 },
      { place: 'left fork leg', bolts: 3, lowestMm: 130, limitG: 2500 },
      { place: 'right fork leg', bolts: 3, lowestMm: 130, limitG: 2500 },
    ],
    frontLight: 'on the fork crown',
    rearLight: 'on the seatstay',
    tyreLeastKpa: 140,
    tyreMostKpa: 340,
    rimMostKpa: 320,
  }),
  readings: null,
};

/** Ids that name what they are for, in the order they are asked for. */
const ids = (prefix: string) => {
  let n = 0;
  return () => `${prefix}-${(n += 1)}`;
};

function bagsOf(prefix: string, keys: readonly string[]): Bag[] {
  const makeId = ids(prefix);
  return keys.reduce<Bag[]>((bags, key) => {
    const entry = BAG_LIBRARY.find((candidate) => candidate.key === key);
    if (!entry) throw new Error(`The library has no bag "${key}".`);
    return [...bags, fromLibrary(entry, bags, makeId)];
  }, []);
}

/** The demo rider's bikes, of quite different shapes, each with its bags. */
export const DEMO_SETUPS: readonly DemoSetup[] = [
  { id: 'hardtail-loop', name: 'Hardtail, all bags', bike: HARDTAIL, bags: [...DEMO_BAGS] },
  {
    // Known by tape alone: everything else is worked out or a default.
    id: 'tape-tourer',
    name: 'Old tourer, by tape',
    bike: {
      id: 'tourer',
      name: 'Old tourer',
      massG: 14_200,
      massSource: 'luggage scale',
      greatestTotalG: null,
      assumed: null,
      geometry: {
        wheelBeadMm: 559,
        tyreWidthMm: 50,
        saddleHeightMm: 720,
        barWidthMm: 620,
        seatAngleDeg: 72.5,
      },
      tape: {
        topMm: 515,
        headMm: 65,
        downMm: 593,
        seatMm: 445,
        diagonalMm: 531,
        railToTyreMm: 356,
        barToTyreMm: 318,
      },
      build: buildSchema.parse({
        fork: 'rigid',
        bar: 'swept',
        brakes: 'rim',
        gears: 'derailleur, two rings',
        frameMaterial: 'steel',
        forkMaterial: 'steel',
        mounts: [
          { place: 'down tube', bolts: 2, lowestMm: 170, limitG: null },
          { place: 'seat tube', bolts: 2, lowestMm: 160, limitG: null },
          { place: 'rear rack', bolts: 4, lowestMm: 0, limitG: 25_000 },
        ],
        tubes: true,
      }),
      readings: null,
    },
    bags: bagsOf('tourer', ['pannier-s', 'pannier-s', 'rack-top', 'pouch-m', 'cage-l']),
  },
  {
    id: 'small-big-wheels',
    name: 'Small frame, big wheels',
    bike: {
      id: 'small-frame',
      name: 'Small trail bike',
      massG: 12_900,
      massSource: 'label',
      greatestTotalG: 115_000,
      assumed: null,
      geometry: {
        stackMm: 602,
        reachMm: 385,
        headTubeMm: 90,
        headAngleDeg: 68,
        seatTubeMm: 370,
        seatAngleDeg: 74.5,
        chainstayMm: 435,
        bottomBracketDropMm: 62,
        forkOffsetMm: 44,
        wheelBeadMm: 622,
        tyreWidthMm: 60,
        saddleHeightMm: 630,
        stemMm: 40,
        barRiseMm: 15,
        barWidthMm: 700,
      },
      tape: null,
      build: buildSchema.parse({
        fork: 'suspension',
        forkTravelMm: 110,
        dropperMm: 125,
        frameMaterial: 'aluminium',
        forkMaterial: 'aluminium',
        seatpostMaterial: 'aluminium',
        mounts: [{ place: 'down tube', bolts: 2, lowestMm: 165, limitG: null }],
      }),
      readings: null,
    },
    bags: bagsOf('small', ['roll-m', 'seat-s', 'stem-m', 'tube-s', 'cage']),
  },
  {
    id: 'full-suspension',
    name: 'Full suspension, light',
    bike: {
      id: 'full-suspension',
      name: 'Full-suspension trail bike',
      massG: 14_600,
      massSource: 'luggage scale',
      greatestTotalG: 120_000,
      assumed: null,
      geometry: {
        stackMm: 628,
        reachMm: 470,
        headTubeMm: 115,
        headAngleDeg: 65.5,
        seatTubeMm: 430,
        seatAngleDeg: 76.5,
        chainstayMm: 440,
        bottomBracketDropMm: 28,
        forkOffsetMm: 44,
        wheelBeadMm: 622,
        tyreWidthMm: 61,
        rearWheelBeadMm: 584,
        rearTyreWidthMm: 61,
        saddleHeightMm: 725,
        stemMm: 45,
        barRiseMm: 40,
        barWidthMm: 780,
      },
      tape: null,
      build: buildSchema.parse({
        fork: 'suspension',
        forkTravelMm: 140,
        rearTravelMm: 130,
        dropperMm: 150,
        frameMaterial: 'carbon',
        forkMaterial: 'aluminium',
        seatpostMaterial: 'aluminium',
        hoses: 'in the frame',
      }),
      readings: null,
    },
    bags: bagsOf('full', ['roll-m', 'seat-xs', 'half-s', 'stem-m', 'stem-m', 'tube-s', 'hip']),
  },
  {
    id: 'road-drops',
    name: 'Road bike with drops',
    bike: {
      id: 'road',
      name: 'Light road bike',
      massG: 8_900,
      massSource: 'kitchen scale',
      greatestTotalG: 110_000,
      assumed: null,
      geometry: {
        stackMm: 565,
        reachMm: 385,
        headTubeMm: 145,
        headAngleDeg: 72.5,
        seatTubeMm: 520,
        seatAngleDeg: 73.5,
        chainstayMm: 415,
        bottomBracketDropMm: 72,
        forkOffsetMm: 47,
        wheelBeadMm: 622,
        tyreWidthMm: 32,
        saddleHeightMm: 735,
        stemMm: 100,
        barRiseMm: 15,
        barWidthMm: 420,
      },
      tape: null,
      build: buildSchema.parse({
        fork: 'rigid',
        bar: 'drop',
        barFlareDeg: 6,
        gears: 'derailleur, two rings',
        frameMaterial: 'carbon',
        forkMaterial: 'carbon',
        seatpostMaterial: 'carbon',
        hoses: 'in the frame',
        mounts: [
          { place: 'down tube', bolts: 2, lowestMm: 180, limitG: null },
          { place: 'seat tube', bolts: 2, lowestMm: 170, limitG: null },
        ],
        tyreLeastKpa: 350,
        tyreMostKpa: 600,
        rimMostKpa: 500,
      }),
      readings: null,
    },
    bags: bagsOf('road', ['roll-drop', 'seat-m', 'half-m', 'tube-m', 'cage', 'cage']),
  },
];
