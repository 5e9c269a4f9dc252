import fc from 'fast-check';
import { entrySchema, logOf, packedThings, reviewAnswers, type Entry } from './entry';

const tick = (n: number, thingId: string, packed: boolean, id = `e${n}`): Entry => ({
  id,
  at: new Date(Date.UTC(2027, 3, 16, 6, n)).toISOString(),
  kind: 'packed',
  thingId,
  packed,
});

test('the last word counts', () => {
  expect([...packedThings([tick(1, 'mug', true), tick(2, 'pot', true), tick(3, 'mug', false)])]).toEqual([
    'pot',
  ]);
  // Of the same moment, on two phones: the same on both.
  const [a, b] = [tick(5, 'mug', true, 'a'), tick(5, 'mug', false, 'b')];
  expect(packedThings([a, b])).toEqual(packedThings([b, a]));
});

test('twice, out of order, in halves: the same things are packed', () => {
  const entries = fc.array(
    fc
      .tuple(fc.nat(50), fc.constantFrom('mug', 'pot', 'quilt'), fc.boolean(), fc.uuid())
      .map(([n, thing, packed, id]) => tick(n, thing, packed, id)),
    { maxLength: 30 },
  );
  fc.assert(
    fc.property(entries, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (list, draws) => {
      const shuffled = [...list, ...list.slice(0, 7)]
        .map((entry) => ({ entry, by: draws.next().value as number }))
        .sort((a, b) => a.by - b.by)
        .map(({ entry }) => entry);
      expect(packedThings(shuffled)).toEqual(packedThings(list));
    }),
    { seed: 32, numRuns: 200 },
  );
});

test.each([{ at: 'yesterday' }, { kind: 'eaten' }, { thingId: 'not an id' }, { packed: 'yes' }])(
  'an entry with %j is none',
  (change) => expect(entrySchema.safeParse({ ...tick(1, 'mug', true), ...change }).success).toBe(false),
);

test('two phones answer differently: the later answer counts, in whatever order they arrive; a line struck out on one is out on both', () => {
  const answer = (n: number, given: 'used' | 'unused'): Entry => ({
    id: `a${n}`,
    at: new Date(Date.UTC(2027, 3, 19, 6, n)).toISOString(),
    kind: 'reviewed',
    thingId: 'mug',
    answer: given,
  });
  const both = [answer(2, 'unused'), answer(1, 'used')];
  expect(reviewAnswers(both).get('mug')).toBe('unused');
  expect(reviewAnswers([...both].reverse()).get('mug')).toBe('unused');
  const drank: Entry = entrySchema.parse({
    id: 'l1',
    at: '2027-04-16T10:00:00.000Z',
    kind: 'logged',
    what: 'drank',
    day: 1,
    amount: 750,
  });
  const struck: Entry = { id: 's', at: '2027-04-16T09:00:00.000Z', kind: 'struck', entryId: 'l1' };
  expect(logOf([drank])).toHaveLength(1);
  // The other phone's clock is behind: what is struck out stays so.
  expect(logOf([struck, drank])).toEqual([]);
});

test.each([
  [{ day: 0 }, 'The first day is 1.'],
  [{ amount: -5 }, 'Not below 0.'],
  [{ amount: 4e7 }, 'Far too much; check the unit.'],
  [{ note: 'two\nlines' }, 'One line of plain text.'],
])('a log line with %j is refused with a sentence', (change, message) => {
  const line = { id: 'l', at: '2027-04-16T10:00:00.000Z', kind: 'logged', what: 'drank', day: 1, ...change };
  const read = entrySchema.safeParse(line);
  expect(read.success ? '' : JSON.stringify(read.error.issues)).toContain(message);
});
