import fc from 'fast-check';
import { demoPlan } from '@/core/demo/plan';
import { contentsMassG, contentsText, parseContents } from '@/core/kit/contents';
import { dueThings } from '@/core/kit/due';
import { ownedOf, type OwnedThing } from '@/core/kit/thing';
import { cellPatch } from './cells';
import { filtered, SHOW_ALL, standIns } from './filter';

const [first] = demoPlan().things;
const thing: OwnedThing = { ...ownedOf(first!), massSource: 'estimate' };

test.each([
  ['mass', '870', { massG: 870, massSource: 'kitchen scale' }],
  ['mass', '1 lb 14 oz', { massG: 850.49, massSource: 'kitchen scale' }],
  ['mass', '0.87 kg', { massG: 870, massSource: 'kitchen scale' }],
  ['name', '  Quilt ', { name: 'Quilt' }],
  ['system', 'Cook', { system: 'cook' }],
  ['due', '2027-04-16', { dueOn: '2027-04-16' }],
  ['due', '', { dueOn: null }],
  ['price', '12,5', { price: 12.5 }],
  [
    'contents',
    '6x Plaster 1 g; Scissors',
    {
      contents: [
        { name: 'Plaster', quantity: 6, massG: 1 },
        { name: 'Scissors', quantity: 1, massG: null },
      ],
    },
  ],
] as const)('%s: %j is taken', (cell, typed, patch) => {
  const read = cellPatch(thing, cell, typed);
  if (!read.ok) throw new Error(read.error);
  for (const [field, value] of Object.entries(patch)) {
    const found = read.value[field as keyof typeof read.value];
    if (typeof value === 'number') expect(found).toBeCloseTo(value, 1);
    else expect(found).toEqual(value);
  }
});

test.each([
  ['mass', '1.2.3 kg'],
  ['mass', 'heavy'],
  ['mass', '0'],
  ['mass', '-5 g'],
  ['mass', '1 lb 20 oz'],
  ['mass', '900 kg'],
  ['volume', '0 l'],
  ['name', '   '],
  ['system', 'kitchenware'],
  ['condition', 'meh'],
  ['due', 'tomorrow'],
  ['due', '2027-02-30'],
  ['price', '-3'],
  ['price', 'cheap'],
] as const)('%s: %j is refused with a sentence', (cell, typed) => {
  const read = cellPatch(thing, cell, typed);
  expect(read.ok ? 'taken' : read.error).toMatch(/^[“"A-Z].*\.$/s);
});

test('contents come back as they were written, whatever they are called', () => {
  const content = fc.record({
    name: fc.stringMatching(/^[A-Z][a-z]{0,12}( [a-z]{1,8})?$/),
    quantity: fc.integer({ min: 1, max: 200 }),
    massG: fc.option(fc.integer({ min: 1, max: 2000 })),
  });
  fc.assert(
    fc.property(fc.array(content, { maxLength: 20 }), (contents) => {
      const again = parseContents(contentsText(contents));
      expect(again.ok && again.value).toEqual(contents);
    }),
    { seed: 34 },
  );
});

test('a kit weighs what is in it only once all of it was weighed', () => {
  expect(contentsMassG([{ name: 'Plaster', quantity: 6, massG: 1 }])).toBe(6);
  expect(
    contentsMassG([
      { name: 'Plaster', quantity: 6, massG: 1 },
      { name: 'Tape', quantity: 1, massG: null },
    ]),
  ).toBeNull();
  expect(contentsMassG([])).toBeNull();
});

test('what is due: by date until the trip ends, the soonest first; what is not fine has no need of a date', () => {
  const things = [
    { ...thing, id: 'gas', dueOn: '2027-04-20' },
    { ...thing, id: 'pills', dueOn: '2027-03-30' },
    { ...thing, id: 'later', dueOn: '2027-05-01' },
    { ...thing, id: 'zip', condition: 'repair' as const },
    { ...thing, id: 'fine' },
  ];
  expect(
    dueThings(things, '2027-04-01', '2027-04-20').map(({ thing: { id }, words, daysLeft }) => [
      id,
      words,
      daysLeft,
    ]),
  ).toEqual([
    ['pills', 'expired', -2],
    ['gas', 'expires or is due', 19],
    ['zip', 'to repair', null],
  ]);
});

test('filters: every word, in name, note or contents; stand-ins are of the same kind and owned', () => {
  const items = [
    { thing: { ...thing, id: 'a', name: 'Rain jacket', kind: 'rain jacket', note: 'blue one' }, trips: [] },
    {
      thing: { ...thing, id: 'b', name: 'New shell', kind: 'rain jacket', toGet: true, price: 120 },
      trips: [{ id: 't', name: 'Loop' }],
    },
    {
      thing: {
        ...thing,
        id: 'c',
        name: 'Wash bag',
        kind: null,
        contents: [{ name: 'Blue soap', quantity: 1, massG: null }],
      },
      trips: [],
    },
  ];
  const ids = (filter: Partial<typeof SHOW_ALL>) =>
    filtered(items, { ...SHOW_ALL, ...filter }, '2027-04-16').map(({ thing: { id } }) => id);
  expect(ids({ text: 'BLUE' })).toEqual(['a', 'c']);
  expect(ids({ text: 'blue jacket' })).toEqual(['a']);
  expect(ids({ state: 'to get' })).toEqual(['b']);
  expect(ids({ state: 'on no trip' })).toEqual(['a', 'c']);
  expect(standIns(items, items[1]!.thing).map(({ id }) => id)).toEqual(['a']);
});
