import fc from 'fast-check';
import { steadyMass } from './steady';
import { unitSlip } from './unitSlip';
import { parseWeight, writeWeight } from './weightMeasurement';

const view = (...bytes: number[]) => new DataView(Uint8Array.from(bytes).buffer);

test.each([
  ['metric', [0x00, 0xae, 0x00], 870, null],
  ['pounds', [0x01, 0xc0, 0x00], 192 * 4.5359237, null],
  [
    'with a time',
    [0x02, 0xae, 0x00, 0xeb, 0x07, 4, 16, 8, 30, 5],
    870,
    Date.UTC(2027, 3, 16, 8, 30, 5) / 1000,
  ],
  ['with a time it does not know', [0x02, 0xae, 0x00, 0, 0, 0, 0, 0, 0, 0], 870, null],
  ['with a user', [0x04, 0x10, 0x27, 7], 50_000, null],
  [
    'with everything, in pounds',
    [0x0f, 0x64, 0x00, 0xeb, 0x07, 1, 2, 3, 4, 5, 9, 0xc8, 0, 0xa8, 6],
    453.59237,
    Date.UTC(2027, 0, 2, 3, 4, 5) / 1000,
  ],
] as const)('%s', (_, bytes, massG, sentAt) => {
  const read = parseWeight(view(...bytes));
  if (!read.ok) throw new Error(read.error);
  expect(read.value.massG).toBeCloseTo(massG, 6);
  expect(read.value.sentAt).toBe(sentAt);
});

test.each([
  ['nothing', []],
  ['no mass', [0x00, 0xae]],
  ['a time cut off', [0x02, 0xae, 0x00, 0xeb, 0x07]],
  ['unsuccessful', [0x00, 0xff, 0xff]],
])('%s is told', (_, bytes) => {
  const read = parseWeight(view(...bytes));
  expect(read.ok ? '' : read.error).toMatch(/^The scale /);
});

test('any bytes give a mass or a sentence; what a scale sends is the mass on it, within a step', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 24 }), (bytes) => {
      const read = parseWeight(new DataView(Uint8Array.from(bytes).buffer));
      if (read.ok) expect(read.value.massG).toBeGreaterThanOrEqual(0);
      else expect(read.error).not.toBe('');
    }),
    { seed: 34 },
  );
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100_000, noNaN: true }),
      fc.constantFrom('metric', 'imperial'),
      (massG, unit) => {
        const read = parseWeight(new DataView(writeWeight(massG, unit as 'metric').buffer));
        expect(read.ok && Math.abs(read.value.massG - massG)).toBeLessThanOrEqual(2.5001);
      },
    ),
    { seed: 34 },
  );
});

const every = (ms: number, masses: readonly number[]) => masses.map((massG, i) => ({ massG, atMs: i * ms }));

test('a reading is steady after a second of standing still, not while it settles, drifts, or with nothing on the scale', () => {
  expect(steadyMass(every(250, [200, 700, 880, 870]))).toBeNull();
  expect(steadyMass(every(250, [200, 700, 880, 870, 870, 870, 875, 870]))).toBeCloseTo(871, 5);
  expect(steadyMass(every(250, [870, 880, 890, 900, 910, 920]))).toBeNull();
  expect(steadyMass(every(250, [0, 0, 0, 0, 0, 0]))).toBeNull();
  expect(steadyMass([])).toBeNull();
});

test.each([
  [30.7, 870, 'ounces', 870.3],
  [1.92, 870, 'pounds', 870.9],
  [0.87, 870, 'kilograms', 870],
  [870_000, 870, 'grams, not kilograms', 870],
  [24_664, 870, 'grams, not ounces', 870],
  [1918, 870, 'pounds, not kilograms', 870],
] as const)('a reading of %d g where %d g were expected was %s', (readingG, expectedG, unit, massG) => {
  const slip = unitSlip(readingG, expectedG)!;
  expect(slip.unit).toBe(unit);
  expect(slip.massG).toBeCloseTo(massG, 0);
});

test.each([
  [1000, 870],
  [600, 870],
  [2900, 870],
  [0, 870],
])('a reading of %d g where %d g were expected is taken for itself', (readingG, expectedG) =>
  expect(unitSlip(readingG, expectedG)).toBeNull(),
);
