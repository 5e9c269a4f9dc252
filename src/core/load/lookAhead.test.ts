import { demoPlan } from '@/core/demo/plan';
import { loader, type LoaderProgress, type LoadProposal } from './loader';
import { LookAhead } from './lookAhead';

const plan = demoPlan();
const options = { seed: 2, effort: 0.1 };
const lateAfter = (steps: number) => () => (steps -= 1) === 0;
const never = () => false;

/** A search to its end: all it told, and its answer. */
function whole(run: ReturnType<typeof loader>) {
  const told: LoaderProgress[] = [];
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) return { told, proposal: step.value };
    told.push(step.value);
  }
}

/** Searches of five steps, which a test can break, and how many were begun. */
function fiveSteps() {
  const begun: number[] = [];
  const own = { begun, breaks: false };
  const ahead = new LookAhead(function* (_, { seed = 0 } = {}) {
    begun.push(seed);
    for (let k = 1; k <= 5; k += 1) {
      if (own.breaks && k === 3) throw new Error('out of memory');
      if (yield { done: k / 5, best: 100 - k, left: 0 }) return { objective: 100 - k } as LoadProposal;
    }
    return { objective: 94 } as LoadProposal;
  });
  const told = (run: Iterable<LoaderProgress>) => Array.from(run, ({ best }) => best);
  return { own, ahead, told };
}

test('what the loader looked for ahead it goes on from, to the load it would have found', () => {
  const expected = whole(loader(plan, options));
  const ahead = new LookAhead();
  expect([...ahead.look(plan, options, lateAfter(4))]).toEqual(expected.told.slice(0, 4));
  const { told, proposal } = whole(ahead.load(structuredClone(plan), options));
  expect(told).toEqual(expected.told.slice(3));
  expect(proposal).toEqual(expected.proposal);
});

test('looking ahead goes on too, and to the end; then the answer is ready', () => {
  const { own, ahead, told } = fiveSteps();
  expect(told(ahead.look(plan, { seed: 1 }, lateAfter(2)))).toEqual([99, 98]);
  expect(told(ahead.look(plan, { seed: 1 }, never))).toEqual([98, 97, 96, 95]);
  expect(whole(ahead.load(plan, { seed: 1 }))).toEqual({ told: [], proposal: { objective: 94 } });
  expect(own.begun).toEqual([1]);
});

test('another plan, or other options, is another search', () => {
  const { own, ahead } = fiveSteps();
  whole(ahead.load(plan, { seed: 1 }));
  whole(ahead.load(plan, { seed: 2 }));
  whole(ahead.load({ ...plan }, { seed: 2 }));
  expect(own.begun).toEqual([1, 2]);
  whole(ahead.load({ ...plan, things: plan.things.slice(1) }, { seed: 2 }));
  expect(own.begun).toEqual([1, 2, 2]);
});

test('ended early it answers with the best so far, which is not kept for the whole', () => {
  const { ahead, told } = fiveSteps();
  const run = ahead.load(plan, { seed: 1 });
  run.next();
  run.next();
  expect(run.next(true)).toEqual({ done: true, value: { objective: 98 } });
  expect(told(ahead.look(plan, { seed: 1 }, never))).toEqual([99, 98, 97, 96, 95]);
});

test('what broke is begun anew', () => {
  const { own, ahead, told } = fiveSteps();
  own.breaks = true;
  expect(() => whole(ahead.load(plan, { seed: 1 }))).toThrow('out of memory');
  own.breaks = false;
  expect(told(ahead.load(plan, { seed: 1 }))).toEqual([99, 98, 97, 96, 95]);
});
