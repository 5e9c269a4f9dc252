import fc from 'fast-check';
import { nameSchema } from './measures';
import { cutTo, plainText } from './text';

test.each([
  [' Sleeping\r\n bag ', 'Sleeping bag'],
  ['a\u0000b', 'a b'],
  ['half \ud83c', 'half \ufffd'],
  ['zwei\u2028Zeilen', 'zwei Zeilen'],
  ['🏕️ Zelt', '🏕️ Zelt'],
])('%j as plain text', (text, plain) => expect(plainText(text)).toBe(plain));

test.each([
  ['tent', 10, 'tent'],
  ['ab🏕️', 3, 'ab'],
  ['ab🏕️', 5, 'ab🏕️'],
  // A family is one character of several.
  ['👨‍👩‍👧', 4, ''],
  ['one two', 4, 'one'],
])('%j cut to %d', (text, most, cut) => expect(cutTo(text, most)).toBe(cut));

test('whatever is typed, as plain text and cut to its length, is a name or empty', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (text) => {
      const name = cutTo(plainText(text), 120);
      expect(name === '' || nameSchema.safeParse(name).success).toBe(true);
    }),
    { seed: 31, numRuns: 500 },
  );
});

test.each(['a\u0000b', 'half \ud83c', 'two\nlines', 'x'.repeat(121), '  '])('%j is no name', (text) =>
  expect(nameSchema.safeParse(text).success).toBe(false),
);
