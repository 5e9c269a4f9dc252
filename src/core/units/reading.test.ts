import { readField, type FieldUse } from './reading';

const bike: FieldUse = { bare: ['kg'], usual: [5_000, 40_000], bounds: [0, 60_000] };
const thing: FieldUse = { bare: ['g', 'kg'], usual: [2, 6_000], bounds: [0, 60_000] };
const tape: FieldUse = { bare: ['mm', 'cm'], usual: [300, 700], bounds: [150, 750] };
const volume: FieldUse = { bare: ['l', 'ml'], usual: [20, 30_000], bounds: [0, 200_000] };
const table: FieldUse = { bare: ['mm'], usual: [350, 550], bounds: [350, 550] };

const read = (text: string, dimension: 'mass' | 'length' | 'volume', use: FieldUse) => {
  const result = readField(text, dimension, use);
  return result.ok
    ? [Math.round(result.value.value), result.value.others.map((other) => other.text), result.value.isUnusual]
    : result.error;
};

test.each([
  ['12', [12_000, [], false]],
  ['12,5', [12_500, [], false]],
  ['12 kg', [12_000, [], false]],
  // A bike of 12 g is asked about, and what may have been meant is offered; 12 oz and 12 lb: only the latter is one.
  ['12 g', [12, ['12 kg', '12 lb'], true]],
  ['27 lb', [12_247, [], false]],
  ['80 kg', [80_000, ['80 lb'], true]],
])('a bike of %s', (text, expected) => expect(read(text, 'mass', bike)).toEqual(expected));

test.each([
  ['870', [870, [], false]],
  ['1.9', [1900, [], false]],
  // Both are plausible: the first is taken, the other offered.
  ['3', [3, ['3 kg'], false]],
  ['1 lb 14 oz', [850, [], false]],
])('a thing of %s', (text, expected) => expect(read(text, 'mass', thing)).toEqual(expected));

test.each([
  ['50', [500, [], false]],
  ['500', [500, [], false]],
  ['50 cm', [500, [], false]],
  ['20 in', [508, [], false]],
  ['5', [5, [], true]],
])('a tape of %s', (text, expected) => expect(read(text, 'length', tape)).toEqual(expected));

test.each([
  ['6', [6000, [], false]],
  ['450', [450, [], false]],
  ['0,4 l', [400, [], false]],
  ['6 ml', [6, ['6 l'], true]],
])('a volume of %s', (text, expected) => expect(read(text, 'volume', volume)).toEqual(expected));

test('a table in centimetres, inches or metres is asked about with the unit that was meant', () => {
  expect(read('44', 'length', table)).toEqual([44, ['44 cm'], true]);
  expect(read('17.5', 'length', table)).toEqual([18, ['17.5 in'], true]);
  expect(read('0.5', 'length', table)).toEqual([1, ['0.5 m'], true]);
});

test.each(['', 'heavy', '-', '1 2 g', '5 parsec'])(
  '"%s" is not understood, and says how to write it',
  (text) => {
    expect(read(text, 'mass', thing)).toMatch(/Write it like/);
  },
);
