import fc from 'fast-check';
import { circleGap, nearestOnSegment, polygonCircleGap, polygonGap } from './distance';
import { crossing, leftOf, lineThrough, moved, offsetFrom } from './line';
import { offsetPolygon } from './offset';
import { ellipse, isInside, placed, rectangle, shifted, signedAreaMm2, type Point } from './polygon';

const coordinate = fc.integer({ min: -400, max: 400 });
const point = fc.record({ x: coordinate, z: coordinate });
const side = fc.integer({ min: 20, max: 300 });
const box = fc
  .record({ w: side, h: side, at: point, turn: fc.double({ min: 0, max: 6.28, noNaN: true }) })
  .map(({ w, h, at, turn }) => placed(rectangle(w, h), at, turn));

/** The slow checker: points every few millimetres along both outlines, each against each. */
const along = (corners: readonly Point[], steps = 60): Point[] =>
  corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    return Array.from({ length: steps }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / steps,
      z: a.z + ((b.z - a.z) * k) / steps,
    }));
  });
const bruteGap = (a: readonly Point[], b: readonly Point[]): number =>
  Math.min(...along(a).flatMap((p) => along(b).map((q) => Math.hypot(p.x - q.x, p.z - q.z))));

test('by hand: a square, a circle beside it, and one it holds', () => {
  const square = rectangle(10, 10);
  expect(polygonCircleGap(square, { centre: { x: 20, z: 0 }, radiusMm: 5 })).toEqual({
    gapMm: 10,
    from: { x: 5, z: 0 },
    to: { x: 15, z: 0 },
  });
  // The centre lies 5 mm inside the outline: 5 + 2 mm deep.
  expect(polygonCircleGap(square, { centre: { x: 0, z: 0 }, radiusMm: 2 }).gapMm).toBe(-7);
  expect(
    circleGap({ centre: { x: 0, z: 0 }, radiusMm: 2 }, { centre: { x: 9, z: 0 }, radiusMm: 3 }).gapMm,
  ).toBe(4);
  expect(polygonGap(square, placed(square, { x: 30, z: 0 })).gapMm).toBe(20);
  expect(polygonGap(square, placed(square, { x: 4, z: 3 })).gapMm).toBe(0);
  expect(polygonGap(square, rectangle(4, 4)).gapMm).toBe(0);
  expect(nearestOnSegment({ x: -5, z: 3 }, { x: 0, z: 0 }, { x: 9, z: 0 })).toEqual({ x: 0, z: 0 });
});

test('the exact gap is never more than the slow checker finds, and hardly less', () => {
  fc.assert(
    fc.property(box, point, fc.integer({ min: 5, max: 200 }), (corners, centre, radiusMm) => {
      const circle = placed(ellipse(2 * radiusMm, 2 * radiusMm, 360), centre);
      const { gapMm } = polygonCircleGap(corners, { centre, radiusMm });
      if (gapMm <= 0) return;
      const brute = Math.min(
        ...along(corners, 200).map((p) => Math.hypot(p.x - centre.x, p.z - centre.z) - radiusMm),
      );
      expect(gapMm).toBeLessThanOrEqual(brute + 1e-9);
      expect(gapMm).toBeGreaterThan(brute - 2);
      expect(circle.every((p) => !isInside(p, corners))).toBe(true);
    }),
    { numRuns: 200 },
  );
  fc.assert(
    fc.property(box, box, (a, b) => {
      const { gapMm, from, to } = polygonGap(a, b);
      if (gapMm === 0) return;
      const brute = bruteGap(a, b);
      expect(gapMm).toBeLessThanOrEqual(brute + 1e-9);
      expect(gapMm).toBeGreaterThan(brute - 11);
      expect(Math.hypot(from.x - to.x, from.z - to.z)).toBeCloseTo(gapMm, 9);
    }),
    { numRuns: 60 },
  );
});

test('gaps are the same from both sides, mirrored, turned and scaled, and grow as things move apart', () => {
  fc.assert(
    fc.property(
      box,
      box,
      fc.double({ min: 0, max: 6.28, noNaN: true }),
      fc.integer({ min: 2, max: 5 }),
      (a, b, turn, scale) => {
        const gap = polygonGap(a, b).gapMm;
        const mirror = (corners: Point[]) => corners.map(({ x, z }) => ({ x: -x, z })).reverse();
        const grown = (corners: Point[]) => corners.map(({ x, z }) => ({ x: x * scale, z: z * scale }));
        const turned = (corners: Point[]) => placed(corners, { x: 0, z: 0 }, turn);
        expect(polygonGap(b, a).gapMm).toBeCloseTo(gap, 6);
        expect(polygonGap(mirror(a), mirror(b)).gapMm).toBeCloseTo(gap, 6);
        expect(polygonGap(turned(a), turned(b)).gapMm).toBeCloseTo(gap, 6);
        expect(polygonGap(grown(a), grown(b)).gapMm).toBeCloseTo(gap * scale, 5);
      },
    ),
  );
  fc.assert(
    fc.property(
      box,
      fc.integer({ min: 10, max: 300 }),
      fc.integer({ min: 0, max: 400 }),
      (corners, radiusMm, up) => {
        // Straight up and away from a circle that lies below it.
        const circle = { centre: { x: 0, z: -1200 }, radiusMm };
        const before = polygonCircleGap(corners, circle).gapMm;
        expect(polygonCircleGap(shifted(corners, { x: 0, z: up }), circle).gapMm).toBeGreaterThanOrEqual(
          before - 1e-9,
        );
      },
    ),
  );
});

test('lines: left, offset and crossing by hand; a seam allowance by area', () => {
  const level = lineThrough({ x: 0, z: 0 }, { x: 4, z: 0 });
  expect(leftOf(level)).toEqual({ x: -0, z: 1 });
  expect(offsetFrom(level, { x: 9, z: 7 })).toBe(7);
  expect(crossing(moved(level, 10), lineThrough({ x: 5, z: -1 }, { x: 5, z: 1 }))).toEqual({ x: 5, z: 10 });
  expect(crossing(level, moved(level, 3))).toBeNull();
  expect(signedAreaMm2(offsetPolygon(rectangle(100, 50), 10))).toBeCloseTo(120 * 70, 6);
  expect(Math.abs(signedAreaMm2(offsetPolygon(rectangle(100, 50).reverse(), 10)))).toBeCloseTo(120 * 70, 6);
  expect(signedAreaMm2(offsetPolygon(rectangle(100, 50), -10))).toBeCloseTo(80 * 30, 6);
});
