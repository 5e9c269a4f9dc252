import fc from 'fast-check';
import { entrySchema, packedThings, type Entry } from './entry';

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
