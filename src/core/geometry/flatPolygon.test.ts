import fc from 'fast-check';
import { clipAlong } from './clip';
import { flatPolygonVolumeMl, widthAt, type FlatPolygon } from './flatPolygon';
import { signedAreaMm2 } from './polygon';

test('by hand: a rectangle of 400 × 100 mm, 40 mm wide behind and 60 in front', () => {
  const corners = [
    { x: 0, z: 0 },
    { x: 400, z: 0 },
    { x: 400, z: 100 },
    { x: 0, z: 100 },
  ];
  const flat: FlatPolygon = { kind: 'polygon', corners, widthMm: 40, frontWidthMm: 60 };
  expect(widthAt(flat, 0)).toBe(40);
  expect(widthAt(flat, 200)).toBe(50);
  expect(widthAt(flat, 900)).toBe(60);
  expect(flatPolygonVolumeMl(flat)).toBeCloseTo(2000, 9);
  expect(flatPolygonVolumeMl({ kind: 'polygon', corners, widthMm: 40 })).toBeCloseTo(1600, 9);
});

test('the exact volume is what a thousand thin slices add up to', () => {
  const width = fc.integer({ min: 20, max: 120 });
  const height = fc.integer({ min: 30, max: 200 });
  fc.assert(
    fc.property(width, width, height, height, (widthMm, frontWidthMm, rear, front) => {
      const flat: FlatPolygon = {
        kind: 'polygon',
        corners: [
          { x: 0, z: 0 },
          { x: 20, z: -rear },
          { x: 430, z: -front },
          { x: 450, z: 10 },
        ],
        widthMm,
        frontWidthMm,
      };
      let sum = 0;
      for (let i = 0; i < 1000; i += 1) {
        const [from, to] = [(450 * i) / 1000, (450 * (i + 1)) / 1000];
        const slice = clipAlong(clipAlong(flat.corners, { x: 1, z: 0 }, to), { x: -1, z: 0 }, -from);
        sum += (Math.abs(signedAreaMm2(slice)) * widthAt(flat, (from + to) / 2)) / 1000;
      }
      expect(Math.abs(sum / flatPolygonVolumeMl(flat) - 1)).toBeLessThan(1e-4);
    }),
    { numRuns: 20 },
  );
});
