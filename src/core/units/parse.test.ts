import fc from 'fast-check';
import { BARE_UNIT, parseQuantity, readNumber } from './parse';
import { formatLength, formatMass, formatTemperature, formatVolume } from './format';

const value = (...input: Parameters<typeof parseQuantity>) => {
  const parsed = parseQuantity(...input);
  return parsed.ok ? parsed.value : parsed.error;
};

describe('parseQuantity', () => {
  test.each([
    ['870 g', 870],
    ['0,87kg', 870],
    ['1 lb 14 oz', 453.59237 + 14 * 28.349523125],
    ['2lbs', 907.18474],
    ['1 200 g', 1200],
    ['870', 870],
    ['.5 kg', 500],
  ])('mass %s', (text, grams) => expect(value(text, 'mass')).toBeCloseTo(grams, 6));

  test.each([
    ['24 in', 609.6],
    ['5 ft 3 in', 1600.2],
    ['5\' 3"', 1600.2],
    ['1.2 m', 1200],
  ])('length %s', (text, mm) => expect(value(text, 'length')).toBeCloseTo(mm, 6));

  test.each([
    ['50 °F', 10],
    ['-3', -3],
    ['−3 °C', -3],
    ['37.4f', 3],
  ])('temperature %s', (text, celsius) => expect(value(text, 'temperature')).toBeCloseTo(celsius, 6));

  test('a bare number takes the unit it is told', () => {
    expect(value('3', 'mass', 'oz')).toBeCloseTo(85.0486, 3);
    expect(value('50', 'temperature', '°F')).toBeCloseTo(10, 6);
    expect(value('1.3', 'volume')).toBe(1300);
    expect(value('12 fl oz', 'volume')).toBeCloseTo(354.88, 2);
  });

  test.each(['', 'heavy', '3 miles', '3 g 4', '1 lb -2 oz', '--3 g', '=1+2', 'NaN', 'Infinity g'])(
    'refuses %j',
    (text) => {
      const parsed = parseQuantity(text, 'mass');
      expect(parsed.ok).toBe(false);
      expect(!parsed.ok && parsed.error).toMatch(/870 g/);
    },
  );

  test('what is shown can be read back to the shown precision', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200000 }),
        fc.constantFrom('metric' as const, 'imperial' as const),
        (n, units) => {
          const off = (read: number | string, shown: number) => Math.abs((read as number) - shown);
          // Half of the last place shown: 0.1 kg or 10 g or 1 g; a tenth of a pound or of an ounce.
          const lastPlaceG =
            units === 'imperial' ? (n >= 4500 ? 45.4 : 2.84) : n >= 9995 ? 100 : n >= 999.5 ? 10 : 1;
          expect(off(value(formatMass(n, units), 'mass'), n)).toBeLessThanOrEqual(lastPlaceG * 0.5001);
          expect(off(value(formatLength(n, units), 'length'), n)).toBeLessThanOrEqual(1.28);
          expect(off(value(formatVolume(n, units), 'volume'), n)).toBeLessThanOrEqual(
            n >= 9995 ? 50.01 : 5.01,
          );
          const celsius = (n % 80) - 30;
          expect(off(value(formatTemperature(celsius, units), 'temperature'), celsius)).toBeLessThan(0.3);
        },
      ),
    );
  });
});

describe('readNumber', () => {
  test.each([
    ['1,5', 1.5],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['12', 12],
    ['-4', -4],
    ['1e3', 1000],
    ['4x', null],
    ['', null],
    ['1e999', null],
  ])('%s', (text, number) => expect(readNumber(text)).toBe(number));
});

describe('pressures and angles', () => {
  test.each([
    ['2.4 bar', 'pressure', 240],
    ['2,4', 'pressure', 240],
    ['35 psi', 'pressure', 241.316],
    ['180 kPa', 'pressure', 180],
    ['73.5°', 'angle', 73.5],
    ['68', 'angle', 68],
    ['71 deg', 'angle', 71],
  ] as const)('%s is read', (text, dimension, value) => {
    const read = parseQuantity(text, dimension);
    expect(read.ok && read.value).toBeCloseTo(value, 2);
  });

  test.each([
    ['2.4 kg', 'pressure', /not a unit of pressure.*2\.4 bar/],
    ['steep', 'angle', /"steep" is not an angle/],
    ['', 'pressure', /Nothing written/],
  ] as const)('%s is refused with an example', (text, dimension, words) => {
    const read = parseQuantity(text, dimension);
    expect(!read.ok && read.error).toMatch(words);
  });

  test('a bare pressure is bar, or psi for who reads imperial', () => {
    const bar = parseQuantity('30', 'pressure', BARE_UNIT.pressure.imperial);
    expect(bar.ok && bar.value).toBeCloseTo(206.84, 2);
  });
});
