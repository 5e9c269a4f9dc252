import fc from 'fast-check';
import { centroid, isSimple, placed, rectangle, signedAreaMm2, type Point } from './polygon';
import { solidExtentsMm, solidVolumeMl, type Solid } from './solid';

const size = fc.double({ min: 10, max: 900, noNaN: true });
const solids: fc.Arbitrary<Solid> = fc.oneof(
  fc.record({ kind: fc.constant('cylinder' as const), lengthMm: size, diameterMm: size }),
  fc.record({ kind: fc.constant('box' as const), lengthMm: size, widthMm: size, heightMm: size }),
  fc.record({
    kind: fc.constant('taper' as const),
    lengthMm: size,
    noseWidthMm: size,
    noseHeightMm: size,
    mouthWidthMm: size,
    mouthHeightMm: size,
  }),
);

/** An independent, slow measure: the share of random points of the bounding box that lie inside the taper. */
function sampledTaperMl(taper: Extract<Solid, { kind: 'taper' }>, slices: number): number {
  let volume = 0;
  for (let i = 0; i < slices; i += 1) {
    const t = (i + 0.5) / slices;
    const width = taper.noseWidthMm + t * (taper.mouthWidthMm - taper.noseWidthMm);
    const height = taper.noseHeightMm + t * (taper.mouthHeightMm - taper.noseHeightMm);
    volume += (Math.PI / 4) * width * height * (taper.lengthMm / slices);
  }
  return volume / 1000;
}

describe('volumes', () => {
  test('by hand', () => {
    expect(solidVolumeMl({ kind: 'cylinder', lengthMm: 500, diameterMm: 160 })).toBeCloseTo(10053.1, 1);
    expect(solidVolumeMl({ kind: 'box', lengthMm: 200, widthMm: 100, heightMm: 50 })).toBe(1000);
    const triangle = [
      { x: 0, z: 0 },
      { x: 400, z: 0 },
      { x: 0, z: 300 },
    ];
    expect(solidVolumeMl({ kind: 'polygon', corners: triangle, widthMm: 60 })).toBe(3600);
    // Nose 80×60, mouth 160×140 over 420: π/4·420·(4800 + 4·12000 + 22400)/6 = 4133.7 ml.
    const pack: Solid = {
      kind: 'taper',
      lengthMm: 420,
      noseWidthMm: 80,
      noseHeightMm: 60,
      mouthWidthMm: 160,
      mouthHeightMm: 140,
    };
    expect(solidVolumeMl(pack)).toBeCloseTo(4134.4, 0);
  });

  test('a taper agrees with summing two thousand slices', () => {
    fc.assert(
      fc.property(solids, (solid) => {
        if (solid.kind !== 'taper') return;
        const exact = solidVolumeMl(solid);
        expect(Math.abs(sampledTaperMl(solid, 2000) - exact) / exact).toBeLessThan(1e-5);
      }),
    );
  });

  test('twice the size is eight times the volume, and no solid exceeds the box of its extents', () => {
    fc.assert(
      fc.property(solids, (solid) => {
        const doubled = Object.fromEntries(
          Object.entries(solid).map(([key, value]) => [key, typeof value === 'number' ? value * 2 : value]),
        ) as unknown as Solid;
        expect(solidVolumeMl(doubled)).toBeCloseTo(8 * solidVolumeMl(solid), 3);
        const [a, b, c] = solidExtentsMm(solid);
        expect(solidVolumeMl(solid)).toBeLessThanOrEqual((a * b * c) / 1000 + 1e-6);
        expect(a).toBeGreaterThanOrEqual(b);
        expect(b).toBeGreaterThanOrEqual(c);
      }),
    );
  });
});

describe('polygons', () => {
  const cross: Point[] = [
    { x: 0, z: 0 },
    { x: 10, z: 10 },
    { x: 10, z: 0 },
    { x: 0, z: 10 },
  ];

  test('a crossed outline is not simple; a rectangle is', () => {
    expect(isSimple(cross)).toBe(false);
    expect(isSimple(rectangle(30, 20))).toBe(true);
  });

  test('moving and turning keep the area and carry the centroid along', () => {
    const coordinate = fc.double({ min: -500, max: 500, noNaN: true });
    fc.assert(
      fc.property(
        size,
        size,
        coordinate,
        coordinate,
        fc.double({ min: -7, max: 7, noNaN: true }),
        (w, h, x, z, turn) => {
          const moved = placed(rectangle(w, h), { x, z }, turn);
          expect(signedAreaMm2(moved)).toBeCloseTo(w * h, 2);
          const middle = centroid(moved);
          expect(middle.x).toBeCloseTo(x, 4);
          expect(middle.z).toBeCloseTo(z, 4);
        },
      ),
    );
  });

  test('the extents of a flat pouch: its diagonal, its least height, its width', () => {
    const corners = [
      { x: 0, z: 0 },
      { x: 300, z: 0 },
      { x: 300, z: 100 },
      { x: 0, z: 100 },
    ];
    expect(solidExtentsMm({ kind: 'polygon', corners, widthMm: 60 })).toEqual([
      Math.hypot(300, 100),
      100,
      60,
    ]);
  });
});
