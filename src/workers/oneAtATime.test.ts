import { oneAtATime } from './oneAtATime';

/** Counts up to `most`; told to stop it answers what it has reached. */
function* counting(most: number): Generator<number, string, boolean | undefined> {
  for (let at = 1; at <= most; at += 1) if (yield at) return `stopped at ${at}`;
  return `all ${most}`;
}

/** A breath that ends when the test lets it. */
function lungs() {
  const waiting: (() => void)[] = [];
  const settle = () => new Promise<void>((done) => setImmediate(done));
  return {
    breath: () => new Promise<void>((done) => waiting.push(done)),
    async out() {
      for (const done of waiting.splice(0)) done();
      await settle();
    },
  };
}

test('what is asked is run to its end, its progress told in order, with a breath between', async () => {
  const { breath, out } = lungs();
  const told: number[] = [];
  const answer = oneAtATime(breath).ask(counting(3), (at) => told.push(at));
  expect(told).toEqual([1]);
  await out();
  expect(told).toEqual([1, 2]);
  await out();
  await out();
  expect(told).toEqual([1, 2, 3]);
  expect(await answer).toBe('all 3');
});

test('what is asked meanwhile ends it without an answer; the later one is answered', async () => {
  const { breath, out } = lungs();
  const thread = oneAtATime(breath);
  const told: string[] = [];
  const first = thread.ask(counting(5), (at) => told.push(`first ${at}`));
  const second = thread.ask(counting(2), (at) => told.push(`second ${at}`));
  await out();
  expect(await first).toBeNull();
  await out();
  expect(await second).toBe('all 2');
  expect(told).toEqual(['first 1', 'second 1', 'second 2']);
});

test('told to stop it answers with the best it has; the next question is not stopped by that', async () => {
  const { breath, out } = lungs();
  const thread = oneAtATime(breath);
  const first = thread.ask(counting(9), () => undefined);
  await out();
  thread.stop();
  await out();
  expect(await first).toBe('stopped at 2');
  const second = thread.ask(counting(1), () => undefined);
  await out();
  expect(await second).toBe('all 1');
});

test('told to rest it answers null, and can be asked again; resting with nothing under way is nothing', async () => {
  const { breath, out } = lungs();
  const thread = oneAtATime(breath);
  thread.rest();
  const first = thread.ask(counting(9), () => undefined);
  thread.rest();
  await out();
  expect(await first).toBeNull();
  const second = thread.ask(counting(0), () => undefined);
  expect(await second).toBe('all 0');
});

test('what breaks refuses the answer, and the next is answered', async () => {
  const { breath, out } = lungs();
  const thread = oneAtATime(breath);
  const broken = (function* (): Generator<number, string, boolean | undefined> {
    yield 1;
    throw new Error('It broke.');
  })();
  const first = thread.ask(broken, () => undefined);
  const refused = expect(first).rejects.toThrow('It broke.');
  await out();
  await refused;
  const second = thread.ask(counting(1), () => undefined);
  await out();
  expect(await second).toBe('all 1');
});
