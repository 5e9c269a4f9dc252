import { isInside, signedAreaMm2, centroid } from '@/core/geometry/polygon';
import { offsetFrom } from '@/core/geometry/line';
import { DEMO_SETUPS } from '@/core/demo/bikes';
import { DEFAULT_GEOMETRY } from './bike';
import { bottleRoom } from '@/core/bag/bottleRoom';
import { figuresOf } from './figures';
import { triangleInside, TRIANGLE_SIDES, tubeLines, TUBE_MM } from './mainTriangle';
import { sideView } from './sideView';

const view = sideView(DEFAULT_GEOMETRY);

test('the inside begins at the seat tube’s top, goes round anticlockwise, and touches all four tubes', () => {
  for (const setup of DEMO_SETUPS) {
    const own = sideView(figuresOf(setup.bike).geometry);
    const inside = triangleInside(own);
    expect(signedAreaMm2(inside)).toBeGreaterThan(40_000);
    const lines = tubeLines(own);
    for (const side of TRIANGLE_SIDES) {
      const free = inside.map((p) => offsetFrom(lines[side], p) - TUBE_MM[side] / 2);
      expect(Math.min(...free)).toBeGreaterThan(-1e-6);
    }
    expect(Math.abs(offsetFrom(lines.seat, inside[0]!) - TUBE_MM.seat / 2)).toBeLessThan(1e-6);
    expect(Math.abs(offsetFrom(lines.top, inside[0]!) - TUBE_MM.top / 2)).toBeLessThan(1e-6);
    expect(isInside(centroid(inside), inside)).toBe(true);
  }
});

test('by hand: a set-back moves its side in by that much, and an impossible one leaves nothing', () => {
  const whole = triangleInside(view);
  const less = triangleInside(view, { top: 20 });
  const height = Math.abs(offsetFrom(tubeLines(view).top, less[0]!)) - TUBE_MM.top / 2;
  expect(height).toBeCloseTo(20, 6);
  expect(signedAreaMm2(less)).toBeLessThan(signedAreaMm2(whole));
  expect(triangleInside(view, { top: 300, down: 300 })).toEqual([]);
});

test('the largest bottle that goes in is found, and a bag in the way leaves a smaller one or none', () => {
  const mounts = [
    { place: 'seat tube' as const, bolts: 2, lowestMm: 170, limitG: null },
    { place: 'down tube' as const, bolts: 2, lowestMm: 175, limitG: null },
    { place: 'rear rack' as const, bolts: 4, lowestMm: 0, limitG: null },
  ];
  const [down, seat] = bottleRoom(view, mounts, []);
  expect(down!.mount.place).toBe('down tube');
  expect(down!.bottle?.volumeMl).toBe(1000);
  expect(seat!.mount.place).toBe('seat tube');
  // Everything it gives lies inside the tubes and clear of the other bottle.
  const inside = triangleInside(view);
  expect(down!.outline!.every((p) => isInside(p, inside))).toBe(true);
  expect(seat!.outline === null || seat!.outline.every((p) => isInside(p, inside))).toBe(true);
  // A bag that leaves 70 mm along the down tube: too little for any bottle of 74; 85 mm is enough.
  const leaving = (mm: number) => bottleRoom(view, mounts, [triangleInside(view, { down: mm })])[0]!.bottle;
  expect(leaving(70)).toBeNull();
  expect(leaving(92)?.volumeMl).toBe(1000);
  expect(bottleRoom(view, mounts, [inside]).every(({ bottle }) => bottle === null)).toBe(true);
});
