import { bareBike, readingDoubts, riderCentre } from './balance';
import { DEFAULT_GEOMETRY, newBike } from './bike';
import { sideView } from './sideView';

const view = sideView(DEFAULT_GEOMETRY);

test('by hand: 6 kg in front and 7 behind lie 6/13 of the wheelbase ahead of the rear axle', () => {
  const readings = { aloneFrontG: 6000, aloneRearG: 7000, riderFrontG: 36_000, riderRearG: 52_000 };
  const bike = { ...newBike('b', 'B'), readings };
  const bare = bareBike(bike, view);
  expect(bare.mass.x - view.rearAxle.x).toBeCloseTo((view.wheelbaseMm * 6) / 13, 9);
  expect(bare.weighed).toBe(true);
  // The rider alone: 30 kg on the front wheel, 45 on the rear.
  expect(riderCentre(bike, view).centre.x - view.rearAxle.x).toBeCloseTo(view.wheelbaseMm * 0.4, 9);
  expect(bare.errorMm).toBeLessThan(10);
});

test('without readings there are defaults, known far less well', () => {
  expect(bareBike(null, view)).toMatchObject({ weighed: false });
  expect(bareBike(null, view).errorMm).toBeGreaterThan(25);
  expect(riderCentre(null, view)).toMatchObject({ weighed: false, errorMm: 40 });
});

test('readings that cannot be of this bike and rider are said to be so', () => {
  const readings = { aloneFrontG: 9000, aloneRearG: 9000, riderFrontG: 30_000, riderRearG: 30_000 };
  const doubts = readingDoubts({ massG: 13_000, readings }, 75_000);
  expect(doubts).toHaveLength(2);
  expect(doubts[0]).toMatch(/add up to 18.0 kg.*13.0 kg/);
  expect(doubts[1]).toMatch(/rider at 42.0 kg.*75.0 kg/);
});
