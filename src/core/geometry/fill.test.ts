import fc from 'fast-check';
import { filledPart } from './fill';
import { ellipse, placed, rectangle, signedAreaMm2 } from './polygon';

test('by hand: a quarter of a square from its bottom', () => {
  const square = placed(rectangle(10, 10), { x: 0, z: 5 });
  const part = filledPart(square, { x: 0, z: 0 }, { x: 0, z: 10 }, 0.25);
  expect(Math.max(...part.map((p) => p.z))).toBeCloseTo(2.5, 6);
  expect(Math.abs(signedAreaMm2(part))).toBeCloseTo(25, 6);
});

test('the part covers the share, lies inside, and grows', () => {
  const shape = fc.constantFrom(
    ellipse(160, 120),
    rectangle(300, 80),
    placed(rectangle(200, 90), { x: 40, z: -9 }, 0.7),
  );
  const unit = fc.double({ min: 0.01, max: 0.99, noNaN: true });
  fc.assert(
    fc.property(shape, unit, unit, fc.double({ min: 0, max: 6.28, noNaN: true }), (corners, a, b, angle) => {
      const mouth = { x: Math.cos(angle), z: Math.sin(angle) };
      const area = (share: number) =>
        Math.abs(signedAreaMm2(filledPart(corners, { x: 0, z: 0 }, mouth, share)));
      const whole = Math.abs(signedAreaMm2(corners));
      expect(area(a) / whole).toBeCloseTo(a, 6);
      expect(area(Math.max(a, b))).toBeGreaterThanOrEqual(area(Math.min(a, b)) - 1e-6);
    }),
  );
  expect(filledPart(rectangle(10, 10), { x: 0, z: 0 }, { x: 0, z: 1 }, 0)).toEqual([]);
  expect(filledPart(rectangle(10, 10), { x: 0, z: 0 }, { x: 0, z: 1 }, 7)).toHaveLength(4);
});
