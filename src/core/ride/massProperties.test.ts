import fc from 'fast-check';
import { centreOfMass, steeringInertia, tailMoment, wheelBalance, type PointMass } from './massProperties';

const coordinate = fc.double({ min: -900, max: 900, noNaN: true });
const mass: fc.Arbitrary<PointMass> = fc.record({
  massG: fc.double({ min: 1, max: 90000, noNaN: true }),
  x: coordinate,
  y: coordinate,
  z: coordinate,
});

test('by hand: wheelbase 1050, rear axle −425, centre 10 ahead and 1070 up, 100 kg', () => {
  const balance = wheelBalance({ massG: 100_000, x: 10, y: 0, z: 1070 }, -425, 625, 0);
  expect(balance.frontG / 1000).toBeCloseTo(41.43, 2);
  expect(balance.tipOverG).toBeCloseTo(0.575, 3);
  expect(balance.climbLimit).toBeCloseTo(0.4065, 4);
  expect(balance.leanDeg).toBe(0);
});

test('the wheels carry all of it, and as a lever the loads have the same moment as the mass', () => {
  fc.assert(
    fc.property(fc.array(mass, { minLength: 1, maxLength: 40 }), (masses) => {
      const centre = centreOfMass(masses);
      const { frontG, rearG } = wheelBalance(centre, -425, 625, -400);
      expect(frontG + rearG).toBeCloseTo(centre.massG, 3);
      expect((frontG * 625 - rearG * 425) / centre.massG).toBeCloseTo(centre.x, 3);
    }),
  );
});

test('moving everything moves the centre along; mirroring left and right mirrors the lean', () => {
  fc.assert(
    fc.property(fc.array(mass, { minLength: 1, maxLength: 20 }), coordinate, (masses, dx) => {
      const centre = centreOfMass(masses);
      expect(centreOfMass(masses.map((m) => ({ ...m, x: m.x + dx }))).x).toBeCloseTo(centre.x + dx, 4);
      const mirrored = centreOfMass(masses.map((m) => ({ ...m, y: -m.y })));
      expect(mirrored.y).toBeCloseTo(-centre.y, 4);
    }),
  );
});

test('tail moment counts only what is behind the clamp; steering inertia grows with the square', () => {
  expect(
    tailMoment(
      [
        { massG: 2000, x: -400, y: 0, z: 800 },
        { massG: 5000, x: 100, y: 0, z: 0 },
      ],
      -100,
    ),
  ).toBeCloseTo(0.6, 9);
  const upright = { at: { x: 500, z: 0 }, direction: { x: 0, z: -1 } };
  // 2 kg 300 mm ahead of an upright axis: 2 · 0.09 = 0.18 kg·m².
  expect(steeringInertia([{ massG: 2000, x: 800, y: 0, z: 300 }], upright)).toBeCloseTo(0.18, 9);
  expect(steeringInertia([{ massG: 2000, x: 800, y: 400, z: 300 }], upright)).toBeCloseTo(0.5, 9);
});
