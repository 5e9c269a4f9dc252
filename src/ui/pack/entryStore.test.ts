import { packedThings, type Entry } from '@/core/entries/entry';
import { EntryStore, type EntrySurroundings } from './entryStore';

/** A server in memory, with two phones of the same rider. */
class FakeServer {
  entries = new Map<string, Entry>();
  isDown = false;
  losesAnswers = false;
  private ids = 0;

  phone(clock = 0) {
    const kept: { text: string | null } = { text: null };
    const timers: (() => void)[] = [];
    const surroundings: EntrySurroundings = {
      fetch: async (_url, init) => {
        if (this.isDown) throw new TypeError('failed to fetch');
        const { entries } = JSON.parse(String(init!.body)) as { entries: Entry[] };
        for (const entry of entries) if (!this.entries.has(entry.id)) this.entries.set(entry.id, entry);
        if (this.losesAnswers) throw new TypeError('connection reset');
        return Response.json({ entries: [...this.entries.values()] });
      },
      later: (run) => {
        timers.push(run);
        return () => undefined;
      },
      keep: { get: () => kept.text, set: (text) => (kept.text = text) },
      makeId: () => `entry-${(this.ids += 1)}`,
      now: () => new Date(Date.UTC(2027, 3, 16) + clock),
    };
    const open = () => {
      const store = new EntryStore('trip', surroundings);
      store.start();
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
  first.tick('mug', true);
  first.tick('pot', true);
  first.tick('mug', false);
  await settle();
  expect(first.getRecorded()).toMatchObject({ unsent: 3, problem: 'No network.' });
  const second = phone.open();
  await settle();
  expect(packedOn(second)).toEqual(['pot']);
  server.isDown = false;
  phone.timers.at(-1)!();
  await settle();
  expect(second.getRecorded()).toMatchObject({ unsent: 0, problem: null });
  expect(server.entries.size).toBe(3);
  expect(server.packed()).toEqual(['pot']);
  expect(phone.kept.text).toBeNull();
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
  phone.surroundings.keep.set = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  server.isDown = true;
  const store = phone.open();
  await settle();
  store.tick('mug', true);
  expect(store.getRecorded().problem).toMatch(/no room/);
  await settle();
  server.isDown = false;
  await store.flush();
  expect(server.packed()).toEqual(['mug']);
});
