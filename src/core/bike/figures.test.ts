import fc from 'fast-check';
import { DEMO_SETUPS } from '@/core/demo/bikes';
import { bikeGeometrySchema, DEFAULT_GEOMETRY, newBike, type Bike, type FigureKey } from './bike';
import { doubtsOf } from './doubts';
import { figuresOf, groundDifference } from './figures';
import { sideView } from './sideView';

const bike = (change: Partial<Bike>): Bike => ({ ...newBike('b', 'B'), ...change });

test('a bike of which nothing is known stands level on defaults, and says so', () => {
  const { geometry, sources } = figuresOf(null);
  expect(Math.abs(groundDifference(sideView(geometry)))).toBeLessThan(0.01);
  expect(sources.reachMm).toBe('default');
  expect(sources.axleToCrownMm).toBe('worked out');
  expect(doubtsOf(bike({}))).toEqual([]);
});

test('whatever is left out of a sound bike, the rest holds together or says what does not', () => {
  const keys = Object.keys(DEFAULT_GEOMETRY) as FigureKey[];
  fc.assert(
    fc.property(fc.constantFrom(...DEMO_SETUPS), fc.subarray(keys), (setup, kept) => {
      const { geometry: all } = figuresOf(setup.bike);
      const geometry = Object.fromEntries(kept.map((key) => [key, all[key]]));
      const figures = figuresOf({ ...setup.bike, tape: null, geometry });
      for (const key of kept) {
        expect(figures.geometry[key]).toBe(all[key]);
        expect(figures.sources[key]).toBe('given');
      }
      const view = sideView(figures.geometry);
      if (
        figures.sources.axleToCrownMm === 'worked out' ||
        figures.sources.bottomBracketDropMm === 'worked out'
      )
        expect(Math.abs(groundDifference(view))).toBeLessThan(0.01);
      for (const key of keys) {
        const { minValue, maxValue } = bikeGeometrySchema.shape[key];
        expect(figures.geometry[key]).toBeGreaterThanOrEqual(minValue!);
        expect(figures.geometry[key]).toBeLessThanOrEqual(maxValue!);
      }
    }),
  );
});

test('every demo bike holds together', () => {
  for (const setup of DEMO_SETUPS) expect(doubtsOf(setup.bike)).toEqual([]);
});

test('drop and swept bars have defaults of their own; the rear wheel follows the front', () => {
  const drop = figuresOf(bike({ build: { ...newBike('', '').build, bar: 'drop' } })).geometry;
  expect(drop.barWidthMm).toBe(440);
  const small = figuresOf(bike({ geometry: { wheelBeadMm: 559, tyreWidthMm: 48 } })).geometry;
  expect([small.rearWheelBeadMm, small.rearTyreWidthMm]).toEqual([559, 48]);
});

// One figure of a whole table is wrong: it is the one that is named.
test.each([
  ['axleToCrownMm', 610],
  ['axleToCrownMm', 400],
  ['bottomBracketDropMm', -55],
  ['stackMm', 760],
  ['headTubeMm', 240],
] as const)('a table with %s %d names that figure', (field, value) => {
  const doubts = doubtsOf(bike({ geometry: { ...DEFAULT_GEOMETRY, [field]: value } }));
  expect(doubts[0]).toMatchObject({ field, message: expect.stringMatching(/front axle .* would fit/) });
});

// The rest of the table is assumed: only what the rider entered is named.
test.each([
  [{ tyreWidthMm: 130 }, 'tyreWidthMm', /rear wheel would overlap the frame.* Look at front tyre width\.$/],
  [{ stackMm: 790 }, 'stackMm', /front axle .* Look first at stack/],
] as const)('%j alone is doubted by its own name', (geometry, field, message) => {
  const doubts = doubtsOf(bike({ geometry }));
  expect(doubts).toContainEqual({ field, message: expect.stringMatching(message) });
  expect(doubts.map((doubt) => doubt.field)).toEqual(doubts.map(() => field));
});

test('a printed wheelbase is not checked against assumed figures', () => {
  expect(doubtsOf(bike({ geometry: { wheelbaseMm: 1190 } }))).toEqual([]);
});

test.each([
  [{ chainstayMm: 350 }, 'chainstayMm', /rear wheel would overlap the frame/],
  [{ axleToCrownMm: 330, stackMm: 420, headTubeMm: 90 }, 'axleToCrownMm', /overlap the fork's crown/],
  [{ saddleHeightMm: 420 }, 'saddleHeightMm', /below the top of the seat tube/],
  [{ wheelbaseMm: 1190 }, 'chainstayMm', /printed wheelbase is 1190 mm, these figures give 1138/],
] as const)('%j is doubted', (change, _field, words) => {
  const doubts = doubtsOf(bike({ geometry: { ...DEFAULT_GEOMETRY, ...change } }));
  expect(doubts.map(({ message }) => message).join('\n')).toMatch(words);
});
