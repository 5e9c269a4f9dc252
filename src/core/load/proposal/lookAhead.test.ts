import { demoPlan } from '@/core/demo/plan';
import { applyEdit } from '@/core/plan/apply';
import type { Edit } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { compileInstance } from '../model/instance';
import { knownLoad, loader, type LoaderProgress, type LoadMemory, type LoadProposal } from './loader';
import { LookAhead } from './lookAhead';

const plan = demoPlan();
const options = { seed: 2, effort: 0.1 };
const lateAfter = (steps: number) => () => (steps -= 1) === 0;

/** A search to its end: all it told, and its answer. */
function whole(run: ReturnType<typeof loader>) {
  const told: LoaderProgress[] = [];
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) return { told, proposal: step.value };
    told.push(step.value);
  }
}

/** Searches of five steps and those beyond, which a test can break, and how many were begun. */
function fiveSteps() {
  const begun: number[] = [];
  const own = { begun, breaks: false };
  const ahead = new LookAhead(function* (_, { seed = 0 } = {}, { goesOn = () => false } = {}) {
    begun.push(seed);
    let best = 100;
    for (let k = 1; k <= 5 || goesOn(); k += 1) {
      if (own.breaks && k === 3) throw new Error('out of memory');
      if (yield { done: Math.min(1, k / 5), best: (best -= 1), left: 0 }) break;
    }
    return { objective: best } as LoadProposal;
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

test('looking ahead goes on too, beyond the rounds there are; then the answer is ready', () => {
  const { own, ahead, told } = fiveSteps();
  expect(told(ahead.look(plan, { seed: 1 }, lateAfter(2)))).toEqual([99, 98]);
  expect(told(ahead.look(plan, { seed: 1 }, lateAfter(6)))).toEqual([98, 97, 96, 95, 94, 93]);
  const { told: last, proposal } = whole(ahead.load(plan, { seed: 1 }));
  expect(last).toEqual([{ done: 1, best: 93, left: 0 }]);
  expect(proposal.objective).toBe(93);
  expect(whole(ahead.load(plan, { seed: 1 }))).toEqual({ told: [], proposal });
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
  expect(told(ahead.load(plan, { seed: 1 }))).toEqual([99, 98, 97, 96, 95]);
});

test('what broke is begun anew', () => {
  const { own, ahead, told } = fiveSteps();
  own.breaks = true;
  expect(() => whole(ahead.load(plan, { seed: 1 }))).toThrow('out of memory');
  own.breaks = false;
  expect(told(ahead.load(plan, { seed: 1 }))).toEqual([99, 98, 97, 96, 95]);
});

describe('what was found of a plan before an edit', () => {
  const after = (edit: Edit): Plan => {
    const next = applyEdit(plan, edit);
    if (!next.ok) throw new Error(next.error);
    return next.value.plan;
  };
  const memory: LoadMemory = { placed: new Map() };
  const before = whole(loader(plan, options, { memory }));

  test('is where the search begins', () => {
    const home = after({ kind: 'place', moves: [{ thingId: 'paperback', to: 'home' }] });
    const [fresh, known] = [{ placed: new Map() }, { placed: memory.placed }].map((own: LoadMemory) => {
      const first = loader(home, options, { memory: own }).next().value as LoaderProgress;
      return { best: first.best, placed: own.placed };
    });
    // What stays at home shifts what the bike weighs, and so the points of all else, by a little.
    expect(known!.best).toBeLessThan(1.03 * before.proposal.objective);
    expect(fresh!.best).toBeGreaterThan(1.03 * before.proposal.objective);
    // And what it finds is remembered for the next.
    expect(known!.placed.has('paperback')).toBe(false);
    expect(known!.placed.size).toBeGreaterThan(50);
  });

  test('holds for what is still there, not pinned elsewhere, and may lie where it did', () => {
    const bag = plan.bags.find(({ compartments }) => compartments.some(({ id }) => id === 'seat-pack-main'))!;
    const gone = new Set(bag.compartments.map(({ id }) => id));
    const without = after({ kind: 'remove bags', ids: [bag.id] });
    const instance = compileInstance(without);
    const load = knownLoad(instance, memory);
    instance.things.forEach(({ id }, i) => {
      const spot = load[i]! < 0 ? undefined : instance.spots[load[i]!]!.id;
      const was = memory.placed.get(id);
      expect(spot).toBe(was && gone.has(was) ? undefined : was);
    });
    expect([...memory.placed.values()]).toContain('seat-pack-main');

    const all = compileInstance(plan);
    const i = all.things.findIndex(({ id }) => memory.placed.has(id));
    const j = all.spots.findIndex(({ id }) => id === memory.placed.get(all.things[i]!.id));
    expect(knownLoad(all, memory)[i]).toBe(j);
    all.allowed[i * all.m + j] = 0;
    expect(knownLoad(all, memory)[i]).toBe(-1);
    all.fixed[i] = 1;
    expect(knownLoad(all, memory)[i]).toBe(all.start[i]);
  });
});
