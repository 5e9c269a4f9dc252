import { BIKE_TYPES, bikeGeometrySchema, bikeSchema, FRAME_SIZES, DEFAULT_GEOMETRY } from './bike';
import { doubtsOf } from './doubts';
import { figuresOf, groundDifference } from './figures';
import { sideView } from './sideView';
import { assumedGeometry, bikeOfType, sizeFor } from './types';

const all = BIKE_TYPES.flatMap((type) => FRAME_SIZES.map((size) => ({ type, size })));

test.each(all)(
  'a $type of size $size is a whole bike: sound figures, both wheels on the ground, no doubts',
  ({ type, size }) => {
    expect(bikeGeometrySchema.safeParse(assumedGeometry(type, size)).error?.issues).toBeUndefined();
    const bike = bikeOfType('b', type, size);
    expect(bikeSchema.safeParse(bike).error?.issues).toBeUndefined();
    const { geometry, sources } = figuresOf(bike);
    expect(Math.abs(groundDifference(sideView(geometry)))).toBeLessThan(0.1);
    expect(Object.values(sources).every((source) => source === 'default' || source === 'worked out')).toBe(
      true,
    );
    expect(doubtsOf(bike)).toEqual([]);
  },
);

test('a larger frame is longer and higher; what is entered wins over what is assumed', () => {
  const [m, xl] = (['M', 'XL'] as const).map((size) => assumedGeometry('gravel', size));
  expect(m!.stackMm).toBe(575);
  // By hand: two steps of 14 and 16 mm.
  expect([xl!.stackMm, xl!.reachMm]).toEqual([603, 419]);
  const own = { ...bikeOfType('b', 'gravel', 'M'), geometry: { stackMm: 590 } };
  expect(figuresOf(own).geometry).toMatchObject({ stackMm: 590, reachMm: 387, barWidthMm: 460 });
});

test('without a type the average hardtail stands in, as ever', () => {
  const { geometry } = figuresOf({ geometry: {}, tape: null, build: bikeOfType('b', 'road', 'M').build });
  expect(geometry.stackMm).toBe(DEFAULT_GEOMETRY.stackMm);
});

test.each([
  [1550, 'S'],
  [1720, 'M'],
  [1800, 'L'],
  [1930, 'XL'],
])('a rider of %i mm rides a frame of size %s', (mm, size) => expect(sizeFor(mm)).toBe(size));
