import fc from 'fast-check';
import { DEFAULT_BUILD, DEFAULT_GEOMETRY, newBike, tapeSchema, type BikeGeometry, type Tape } from './bike';
import { barToTyre, figuresOf, groundDifference, railToTyre } from './figures';
import { triangleInside } from './mainTriangle';
import { sideView } from './sideView';
import { figuresFromTape } from './tape';
import { tapeOf } from '../../../tests/support/tapeOf';

/** Frames of many sizes whose main triangle has four corners. */
const frames = fc
  .record({
    stackMm: fc.integer({ min: 540, max: 660 }),
    reachMm: fc.integer({ min: 360, max: 480 }),
    headTubeMm: fc.integer({ min: 100, max: 200 }),
    headAngleDeg: fc.integer({ min: 64, max: 73 }),
    seatTubeMm: fc.integer({ min: 380, max: 560 }),
    seatAngleDeg: fc.integer({ min: 71, max: 77 }),
  })
  .map((change): BikeGeometry => ({ ...DEFAULT_GEOMETRY, ...change }))
  .filter((g) => triangleInside(sideView(g)).length === 4);

test('a tape inside the triangle gives back the frame it was held in', () => {
  fc.assert(
    fc.property(frames, (g) => {
      const tape = tapeOf(triangleInside(sideView(g)));
      // Too short a head side has its angle from elsewhere: another test.
      if (tape.headMm < 40) return;
      const read = figuresFromTape(tape, g.seatAngleDeg, 70);
      expect(read.ok).toBe(true);
      if (!read.ok) return;
      expect(read.value.stackMm).toBeCloseTo(g.stackMm, 4);
      expect(read.value.reachMm).toBeCloseTo(g.reachMm, 4);
      expect(read.value.headTubeMm).toBeCloseTo(g.headTubeMm, 4);
      expect(read.value.headAngleDeg).toBeCloseTo(g.headAngleDeg, 4);
      expect(read.value.seatTubeMm).toBeCloseTo(g.seatTubeMm, 4);
    }),
  );
});

const tape: Tape = {
  topMm: 515,
  headMm: 65,
  downMm: 593,
  seatMm: 445,
  diagonalMm: 531,
  railToTyreMm: null,
  barToTyreMm: null,
};

test.each([
  ['a diagonal longer than top and head', { diagonalMm: 895 }, 'diagonalMm', /lies between 452 and 578 mm/],
  [
    'a diagonal shorter than the difference',
    { diagonalMm: 260, seatMm: 150, downMm: 593 },
    'diagonalMm',
    /Seat side.*445/,
  ],
  [
    'a top side too long for all',
    { topMm: 740, headMm: 5, downMm: 400, seatMm: 200 },
    'topMm',
    /lies the top side between 528 and 534/,
  ],
  ['a top side off by a hand', { topMm: 700 }, 'diagonalMm', /or else the top side between 468 and 594/],
] as const)('%s is named at its field', (_, change, field, words) => {
  const read = figuresFromTape({ ...tape, ...change }, 73, 70);
  expect(read).toMatchObject({ ok: false, error: { field } });
  expect(!read.ok && read.error.message).toMatch(words);
});

test('a head side too short to read takes the default angle', () => {
  const g = { ...DEFAULT_GEOMETRY, headTubeMm: 95 };
  const short = tapeOf(triangleInside(sideView(g)));
  expect(short.headMm).toBeLessThan(40);
  const read = figuresFromTape(short, g.seatAngleDeg, g.headAngleDeg);
  expect(read.ok && read.value.headAngleDeg).toBeCloseTo(g.headAngleDeg, 9);
});

test('gaps to the tyres set the drop and the bar, and are read back', () => {
  const bike = {
    geometry: { saddleHeightMm: 720, seatAngleDeg: 72.5, wheelBeadMm: 559, tyreWidthMm: 50 },
    tape: { ...tape, railToTyreMm: 356, barToTyreMm: 318 },
    build: DEFAULT_BUILD,
  };
  const { geometry, sources, doubts } = figuresOf(bike);
  const view = sideView(geometry);
  expect(doubts).toEqual([]);
  expect(railToTyre(view)).toBeCloseTo(356, 3);
  expect(barToTyre(view)).toBeCloseTo(318, 3);
  expect(groundDifference(view)).toBeCloseTo(0, 3);
  expect(sources).toMatchObject({
    stackMm: 'by tape',
    bottomBracketDropMm: 'by tape',
    barRiseMm: 'by tape',
    axleToCrownMm: 'worked out',
    saddleHeightMm: 'given',
    chainstayMm: 'default',
  });
});

test('readings that suit nothing are named, and the defaults stand', () => {
  const bike = { ...newBike('b', 'B'), tape: { ...tape, railToTyreMm: 20, barToTyreMm: 690 } };
  expect(figuresOf(bike).doubts.map(({ field }) => field)).toEqual(['railToTyreMm', 'barToTyreMm']);
  expect(figuresOf({ ...bike, tape: { ...tape, diagonalMm: 895 } }).doubts[0]!.field).toBe('diagonalMm');
});

test('a table and a tape of different frames are told apart', () => {
  const bike = { ...newBike('b', 'B'), geometry: { stackMm: 640 }, tape };
  expect(figuresOf(bike).doubts).toMatchObject([
    { field: 'stackMm', message: expect.stringMatching(/table says 640 .* tape gives 57\d/) },
  ]);
});

test.each([0, -515, 51.5, 20.3])('a top side of %d is refused by the schema', (topMm) => {
  expect(tapeSchema.safeParse({ ...tape, topMm }).success).toBe(false);
});
