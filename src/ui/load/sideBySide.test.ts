import { demoPlan } from '@/core/demo/plan';
import { loader, runLoader, type LoaderProgress, type LoadProposal } from '@/core/load';
import { smallestChange } from '@/core/load';
import { oneAtATime } from '@/workers/oneAtATime';
import type { LoaderThread } from './loaderStore';
import { sideBySide } from './sideBySide';

/** A thread whose answers the test gives. */
class Answered implements LoaderThread {
  seeds: (number | undefined)[] = [];
  tell: (progress: LoaderProgress) => void = () => undefined;
  answer: (proposal: LoadProposal | null) => void = () => undefined;
  refuse: (reason: Error) => void = () => undefined;
  did: string[] = [];
  load(...[, { seed }, tell]: Parameters<LoaderThread['load']>) {
    this.seeds.push(seed);
    this.tell = tell;
    return new Promise<LoadProposal | null>((answer, refuse) => Object.assign(this, { answer, refuse }));
  }
  smallestChange = async () => (this.did.push('changes'), { changes: [], leastMl: 0 });
  looked = true;
  lookAhead = async (...[, { seed, effort }]: Parameters<LoaderThread['lookAhead']>) => (
    this.did.push(`look ahead ${seed}, ${effort}`),
    this.looked
  );
  stop = async () => void this.did.push('stop');
  rest = async () => void this.did.push('rest');
  end = () => void this.did.push('end');
}
const pair = () => {
  const [a, b] = [new Answered(), new Answered()];
  return { a, b, both: sideBySide([a, b]) };
};
const proposal = (objective: number, bound = 0) => ({ objective, bound }) as LoadProposal;
const nothing = () => undefined;
const plan = demoPlan();

test('two threads in one process find what the command line finds from the same seed', async () => {
  const inProcess = (): LoaderThread => {
    const { ask, stop, rest } = oneAtATime(() => new Promise((done) => setImmediate(done)));
    return {
      load: (own, options, tell) => ask(loader(own, options), tell),
      smallestChange: (own, tell) => ask(smallestChange(own), tell),
      lookAhead: async () => true,
      stop: async () => stop(),
      rest: async () => rest(),
      end: nothing,
    };
  };
  const told: LoaderProgress[] = [];
  const found = await sideBySide([inProcess(), inProcess()]).load(plan, { seed: 3, effort: 0.05 }, (one) =>
    told.push(one),
  );
  expect(found).toEqual(runLoader(plan, { seed: 3, effort: 0.05 }));
  expect(told.at(-1)).toMatchObject({ done: 1, best: expect.closeTo(found!.objective, 6) });
});

test('each looks from its own seed; what is told is the better of both, as far as the slower', async () => {
  const { a, b, both } = pair();
  const told: LoaderProgress[] = [];
  const found = both.load(plan, { seed: 2 }, (one) => told.push(one));
  expect([a.seeds, b.seeds]).toEqual([[3], [4]]);
  a.tell({ done: 0.5, best: 200, left: 2 });
  b.tell({ done: 0.2, best: 210, left: 3 });
  b.tell({ done: 0.7, best: 190, left: 1 });
  expect(told).toEqual([
    { done: 0, best: 200, left: 2 },
    { done: 0.2, best: 200, left: 2 },
    { done: 0.5, best: 190, left: 1 },
  ]);
  a.answer(proposal(180));
  b.answer(proposal(170));
  expect((await found)?.objective).toBe(170);
  expect([a.did, b.did]).toEqual([[], []]);
});

test('what is proven best by one stops the other, but not what was asked meanwhile', async () => {
  const { a, b, both } = pair();
  const found = both.load(plan, {}, nothing);
  a.answer(proposal(150, 150));
  await new Promise((done) => setImmediate(done));
  expect([a.did, b.did]).toEqual([[], ['stop']]);
  b.answer(proposal(160));
  expect((await found)?.objective).toBe(150);

  const before = both.load(plan, {}, nothing);
  const [lateA, lateB] = [a.answer, b.answer];
  void both.load(plan, {}, nothing);
  lateA(proposal(150, 150));
  lateB(null);
  expect(await before).toBeNull();
  expect(b.did).toEqual(['stop']);
});

test('one that fails fails both; told to stop, to rest or to end, both do', async () => {
  const { a, b, both } = pair();
  const found = both.load(plan, {}, nothing);
  b.refuse(new Error('no more memory'));
  await expect(found).rejects.toThrow('no more memory');
  expect(await both.lookAhead(plan, { seed: 1, effort: 2 })).toBe(true);
  b.looked = false;
  expect(await both.lookAhead(plan, { seed: 1, effort: 2 })).toBe(false);
  await both.stop();
  await both.rest();
  both.end();
  expect(a.did).toEqual(['look ahead 1, 2', 'look ahead 1, 2', 'stop', 'rest', 'end']);
  expect(b.did).toEqual(['look ahead 2, 2', 'look ahead 2, 2', 'stop', 'rest', 'end']);
  await both.smallestChange(plan, nothing);
  expect(a.did.at(-1)).toBe('changes');
});
