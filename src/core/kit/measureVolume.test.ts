import fc from 'fast-check';
import { boxMl, coneMl, rollMl, shareMl } from './measureVolume';

test('by hand: a roll of 15 cm across and 30 cm long, a box, a sack two fifths full', () => {
  expect(rollMl(300, Math.PI * 150)).toBeCloseTo((Math.PI / 4) * 150 ** 2 * 300 * 1e-3, 6);
  expect(boxMl(200, 100, 50)).toBe(1000);
  expect(shareMl(8000, 40)).toBe(3200);
  // A full cone is a third of the roll as wide as its base.
  expect(coneMl(300, 471, 0)).toBeCloseTo(rollMl(300, 471) / 3, 6);
});

test('a cone lies between the rolls of its two ends', () => {
  const mm = fc.integer({ min: 50, max: 900 });
  fc.assert(
    fc.property(mm, mm, mm, (lengthMm, a, b) => {
      const cone = coneMl(lengthMm, a, b);
      expect(cone).toBeGreaterThanOrEqual(rollMl(lengthMm, Math.min(a, b)) - 1e-6);
      expect(cone).toBeLessThanOrEqual(rollMl(lengthMm, Math.max(a, b)) + 1e-6);
    }),
    { seed: 34 },
  );
});
