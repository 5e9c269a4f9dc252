import { packedThings, type Entry } from '@/core/entries/entry';
import type { KeptEntry } from '@/ui/phone/phone';
import { EntryStore, type EntrySurroundings } from './entryStore';

/** A server in memory, with two phones of the same rider. */
class FakeServer {
  entries = new Map<string, Entry>();
  isDown = false;
  losesAnswers = false;
  /** Answers with this and an error, where the batch has an entry of this thing. */
  refuses: { status: number; thingId: string } | null = null;
  private ids = 0;

  phone(clock = 0) {
    const kept = new Map<string, KeptEntry>();
    const timers: (() => void)[] = [];
    const surroundings: EntrySurroundings = {
      fetch: async (_url, init) => {
        if (this.isDown) throw new TypeError('failed to fetch');
        const { entries } = JSON.parse(String(init!.body)) as { entries: Entry[] };
        const { refuses } = this;
        if (refuses && entries.some((entry) => entry.kind === 'packed' && entry.thingId === refuses.thingId))
          return Response.json({ error: 'No.' }, { status: refuses.status });
        for (const entry of entries) if (!this.entries.has(entry.id)) this.entries.set(entry.id, entry);
        if (this.losesAnswers) throw new TypeError('connection reset');
        return Response.json({ entries: [...this.entries.values()] });
      },
      later: (run) => {
        timers.push(run);
        return () => undefined;
      },
      keep: {
        read: async () => [...kept.values()],
        write: async (entries) => entries.forEach((one) => void kept.set(one.entry.id, one)),
      },
      makeId: () => `entry-${(this.ids += 1)}`,
      now: () => new Date(Date.UTC(2027, 3, 16) + clock),
    };
    const open = () => {
      const store = new EntryStore('trip', surroundings);
      void store.start();
      return store;
    };
    return { open, kept, timers, surroundings };
  }

  packed = () => [...packedThings([...this.entries.values()])].sort();
}

const settle = () => new Promise<void>((resolve) => setImmediate(resolve));
const packedOn = (store: EntryStore) => [...store.getRecorded().packed].sort();

test('what is ticked without a network is kept over a closed browser, and sent once when there is one', async () => {
  const server = new FakeServer();
  const phone = server.phone();
  server.isDown = true;
  const first = phone.open();
  // Until the server was asked nobody knows that nothing is recorded.
  expect(first.getRecorded().isRead).toBe(false);
  first.tick('mug', true);
  first.tick('pot', true);
  first.tick('mug', false);
  await settle();
  expect(first.getRecorded()).toMatchObject({ unsent: 3, problem: 'No network.', isRead: true });
  const second = phone.open();
  await settle();
  expect(packedOn(second)).toEqual(['pot']);
  server.isDown = false;
  phone.timers.at(-1)!();
  await settle();
  expect(second.getRecorded()).toMatchObject({ unsent: 0, problem: null });
  expect(server.entries.size).toBe(3);
  expect(server.packed()).toEqual(['pot']);
  expect([...phone.kept.values()].map(({ isSent }) => isSent)).toEqual([true, true, true]);
});

test('an answer that is lost does not count a batch twice', async () => {
  const server = new FakeServer();
  const phone = server.phone();
  const store = phone.open();
  await settle();
  server.losesAnswers = true;
  store.tick('mug', true);
  await settle();
  expect(store.getRecorded().unsent).toBe(1);
  server.losesAnswers = false;
  await store.flush();
  expect(store.getRecorded().unsent).toBe(0);
  expect(server.entries.size).toBe(1);
});

test('two phones agree, the clock of one two days behind', async () => {
  const server = new FakeServer();
  const [right, behind] = [server.phone().open(), server.phone(-2 * 86_400_000).open()];
  await settle();
  right.tick('mug', true);
  await settle();
  await behind.flush();
  // Later, by whoever's clock.
  behind.tick('mug', false);
  behind.tick('pot', true);
  await settle();
  await right.flush();
  expect(packedOn(right)).toEqual(['pot']);
  expect(packedOn(behind)).toEqual(['pot']);
});

test('a phone without room says so, and the tick still goes to the server', async () => {
  const server = new FakeServer();
  const phone = server.phone();
  phone.surroundings.keep.write = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
  server.isDown = true;
  const store = phone.open();
  await settle();
  store.tick('mug', true);
  await settle();
  expect(store.getRecorded().problem).toMatch(/no room|No network/);
  server.isDown = false;
  await store.flush();
  expect(server.packed()).toEqual(['mug']);
});

test('an entry that the server will not take is named, kept, and does not hold up the others', async () => {
  const server = new FakeServer();
  const phone = server.phone();
  server.isDown = true;
  server.refuses = { status: 422, thingId: 'pot' };
  const store = phone.open();
  await settle();
  for (const thing of ['mug', 'pot', 'cup']) store.tick(thing, true);
  await settle();
  server.isDown = false;
  await store.flush();
  expect(server.packed()).toEqual(['cup', 'mug']);
  expect(store.getRecorded()).toMatchObject({
    unsent: 1,
    isStuck: true,
    problem: expect.stringMatching('No.'),
  });
  expect(store.unsentEntries()).toMatchObject([{ thingId: 'pot' }]);
  // A later version of the server may.
  server.refuses = null;
  const later = phone.open();
  await settle();
  expect(later.getRecorded()).toMatchObject({ unsent: 0, isStuck: false, problem: null });
  expect(server.packed()).toEqual(['cup', 'mug', 'pot']);
});

test('for a trip that is gone nothing is sent again by itself, and nothing is lost', async () => {
  const server = new FakeServer();
  const phone = server.phone();
  server.refuses = { status: 404, thingId: 'mug' };
  const store = phone.open();
  await settle();
  store.tick('mug', true);
  await settle();
  expect(store.getRecorded()).toMatchObject({
    unsent: 1,
    isStuck: true,
    problem: expect.stringMatching('deleted'),
  });
  expect(phone.timers).toEqual([]);
  expect([...phone.kept.values()]).toMatchObject([{ isSent: false }]);
});
