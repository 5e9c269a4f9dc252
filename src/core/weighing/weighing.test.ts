import fc from 'fast-check';
import { doubtfulReading } from './doubtfulReading';
import { weighedBag } from './weighedBag';

const parts = [
  { id: 'tent', name: 'Tent', massG: 500, errorG: 75 },
  { id: 'jacket', name: 'Jacket', massG: 300, errorG: 45 },
  { id: 'stove', name: 'Stove', massG: 200, errorG: 2 },
  { id: 'bag', name: 'Seat pack', massG: 400, errorG: 5 },
];

test('the worked example of methods, section 12', () => {
  const { corrected, expectedG, isDoubtful } = weighedBag(parts, 1530, 20);
  expect([expectedG, isDoubtful]).toEqual([1400, false]);
  expect(
    corrected.map(({ massG, errorG }) => [Math.round(10 * massG) / 10, Math.round(10 * errorG) / 10]),
  ).toEqual([
    [590.5, 41.3],
    [332.6, 39],
    [200.1, 2],
    [400.4, 5],
  ]);
});

test('a reading never makes anything less certain, and a sure one is met', () => {
  const part = fc.record({
    id: fc.uuid(),
    massG: fc.double({ min: 50, max: 2000, noNaN: true }),
    errorG: fc.double({ min: 1, max: 40, noNaN: true }),
  });
  fc.assert(
    fc.property(
      fc.array(part, { minLength: 1, maxLength: 12 }),
      fc.integer({ min: -30, max: 30 }),
      (list, off) => {
        const expected = list.reduce((sum, { massG }) => sum + massG, 0);
        const { corrected } = weighedBag(list, expected + off, 0);
        corrected.forEach(({ errorG }, i) => expect(errorG).toBeLessThanOrEqual(list[i]!.errorG));
        expect(corrected.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(expected + off, 6);
      },
    ),
    { seed: 12 },
  );
});

test.each([
  // 1400 g expected.
  [1200, ['forgotten', /Is Stove in it/]],
  [1000, ['bag not counted', /itself on the scale/]],
  [1800, ['bag counted twice', /counted twice/]],
  [49.4, ['other unit', /ounces/]],
  [3086, ['other unit', /pounds\? In pounds/]],
])('a reading of %d g', (readingG, [kind, words]) => {
  expect(weighedBag(parts, readingG, 20).isDoubtful || readingG === 1200).toBe(true);
  const [first] = doubtfulReading(parts, 'bag', readingG, 40);
  expect(first).toMatchObject({ kind, words: expect.stringMatching(words as RegExp) });
});

test('what nothing explains is not explained', () =>
  expect(doubtfulReading(parts, 'bag', 5000, 40)).toEqual([]));
