import { demoPlan } from '@/core/demo/plan';
import type { LoaderProgress, LoadProposal } from '@/core/load';
import type { SmallestChange } from '@/core/load';
import { applyEdit } from '@/core/plan/apply';
import type { Edit } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { LoaderStore, QUIET_MS, SILENT_MS, type LoaderThread } from './loaderStore';

/** A question to a thread, to be answered by the test. */
interface Asked {
  what: 'load' | 'changes' | 'look ahead';
  plan: Plan;
  effort?: number;
  tell: (progress: never) => void;
  answer: (value: never) => void;
  refuse: (reason: Error) => void;
}

/** Plans, threads and a clock that the test moves by hand. */
class World {
  plan = demoPlan();
  edits: Edit[] = [];
  threads: { asked: Asked[]; stopped: number; rested: number; ended: boolean; die: () => void }[] = [];
  timers: { run: () => void; ms: number }[] = [];
  private listeners = new Set<() => void>();
  readonly loader = new LoaderStore(
    {
      getShown: () => ({ draft: { plan: this.plan } }),
      edit: (edit) => {
        this.edits.push(edit);
        return this.change(edit);
      },
      subscribe: (listener) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
      },
    },
    {
      makeThread: (onDeath) => this.makeThread(onDeath),
      later: (run, ms) => {
        const timer = { run, ms };
        this.timers.push(timer);
        return () => (this.timers = this.timers.filter((other) => other !== timer));
      },
    },
  );
  readonly leave = this.loader.start();

  change(edit: Edit): boolean {
    const next = applyEdit(this.plan, edit);
    if (!next.ok) return false;
    this.plan = next.value.plan;
    this.tell();
    return true;
  }

  /** As the plan's store does too when only something else of it changed. */
  tell() {
    for (const listener of this.listeners) listener();
  }

  get state() {
    return this.loader.getView().state;
  }

  /** The question asked last, of any thread. */
  get last(): Asked {
    return this.threads.at(-1)!.asked.at(-1)!;
  }

  private makeThread(onDeath: () => void): LoaderThread {
    const own = { asked: [] as Asked[], stopped: 0, rested: 0, ended: false, die: onDeath };
    this.threads.push(own);
    const ask = <Answer>(
      what: Asked['what'],
      plan: Plan,
      effort?: number,
      tell: Asked['tell'] = () => undefined,
    ) =>
      new Promise<Answer>((answer, refuse) => {
        own.asked.push({ what, plan, effort, tell, answer: answer as Asked['answer'], refuse });
      });
    return {
      load: (plan, { effort }, tell) => ask<LoadProposal | null>('load', plan, effort, tell),
      smallestChange: (plan, tell) => ask<SmallestChange | null>('changes', plan, undefined, tell),
      lookAhead: (plan, { effort }) => ask<boolean>('look ahead', plan, effort),
      stop: async () => void (own.stopped += 1),
      rest: async () => void (own.rested += 1),
      end: () => (own.ended = true),
    };
  }
}

const progress: LoaderProgress = { done: 0.4, best: 210, left: 1 };
const home: Edit = { kind: 'place', moves: [{ thingId: 'paperback', to: 'home' }] };
const toSeatPack: Edit = {
  kind: 'place',
  moves: [{ thingId: 'paperback', to: { compartmentId: 'seat-pack-main' } }],
};
const proposalOf = (edit: Edit, moved: number) => ({ edit, moved }) as LoadProposal;
const settle = () => new Promise<void>((done) => setImmediate(done));
const answer = async (asked: Asked, value: unknown) => {
  asked.answer(value as never);
  await settle();
};

test('a search tells how far it is, puts its load on the plan as one step, and keeps the one before to compare', async () => {
  const world = new World();
  const before = world.plan.load;
  world.loader.run();
  expect(world.state).toEqual({ kind: 'working', progress: null, longer: false });
  expect(world.last).toMatchObject({ what: 'load', plan: world.plan, effort: 1 });
  world.last.tell(progress as never);
  expect(world.state).toEqual({ kind: 'working', progress, longer: false });
  const proposal = proposalOf(toSeatPack, 1);
  await answer(world.last, proposal);
  expect(world.edits).toEqual([toSeatPack]);
  expect(world.state).toEqual({ kind: 'done', proposal });
  expect(world.loader.getView().kept).toEqual({ load: before, name: 'before loading' });
  expect(world.timers).toEqual([]);
  // The thread stays, and longer is ten times as long.
  world.loader.run(true);
  expect(world.threads).toHaveLength(1);
  expect(world.last.effort).toBe(10);
});

test('a load that is as good as the one there changes nothing', async () => {
  const world = new World();
  world.loader.run();
  await answer(world.last, proposalOf(toSeatPack, 0));
  expect(world.edits).toEqual([]);
  expect(world.state.kind).toBe('done');
  expect(world.loader.getView().kept).toBeNull();
});

test('an edit meanwhile begins the search again behind it, in the same thread; what was asked before is not heard', async () => {
  const world = new World();
  world.loader.run();
  const first = world.last;
  world.change(home);
  const second = world.last;
  expect(second).not.toBe(first);
  expect(second.plan).toBe(world.plan);
  expect(world.threads).toHaveLength(1);
  first.tell(progress as never);
  await answer(first, proposalOf(toSeatPack, 1));
  expect(world.edits).toEqual([]);
  expect(world.state).toEqual({ kind: 'working', progress: null, longer: false });
  // Told to give way, the first answers nothing; that is not an end.
  await answer(second, null);
  expect(world.state.kind).toBe('working');
});

test('its own load on the plan does not begin another search', async () => {
  const world = new World();
  world.loader.run();
  await answer(world.last, proposalOf(toSeatPack, 1));
  expect(world.threads[0]!.asked).toHaveLength(1);
});

test('cancelled, it rests and its answer is let go; the best so far can be asked for', async () => {
  const world = new World();
  world.loader.run();
  world.loader.take();
  expect(world.threads[0]!.stopped).toBe(1);
  world.loader.cancel();
  expect(world.threads[0]).toMatchObject({ rested: 1, ended: false });
  expect(world.state.kind).toBe('idle');
  await answer(world.last, proposalOf(toSeatPack, 1));
  expect(world.edits).toEqual([]);
  expect(world.state.kind).toBe('idle');
});

describe('a thread', () => {
  test('that dies is replaced and the search begun again, once; then it is said, and the load stands', () => {
    const world = new World();
    const { load } = world.plan;
    world.loader.run();
    world.threads[0]!.die();
    expect(world.threads).toHaveLength(2);
    expect(world.threads[0]!.ended).toBe(true);
    expect(world.state.kind).toBe('working');
    world.threads[1]!.die();
    expect(world.state).toMatchObject({ kind: 'failed', reason: expect.stringContaining('twice') });
    expect(world.threads).toHaveLength(2);
    expect(world.plan.load).toBe(load);
    // Asked anew, it tries twice again.
    world.loader.run();
    world.threads[2]!.die();
    expect(world.state.kind).toBe('working');
  });

  test('that says nothing for long counts as dead; each word gives it as long again', () => {
    const world = new World();
    world.loader.run();
    expect(world.timers.map(({ ms }) => ms)).toEqual([SILENT_MS]);
    const [first] = world.timers;
    world.last.tell(progress as never);
    expect(world.timers).toHaveLength(1);
    expect(world.timers[0]).not.toBe(first);
    world.timers[0]!.run();
    expect(world.threads).toHaveLength(2);
    expect(world.threads[0]!.ended).toBe(true);
  });

  test('whose search breaks is asked once more', async () => {
    const world = new World();
    world.loader.run();
    world.last.refuse(new Error('broken'));
    await settle();
    expect(world.threads[0]!.asked).toHaveLength(2);
    world.last.refuse(new Error('broken'));
    await settle();
    expect(world.state.kind).toBe('failed');
  });

  test('looks ahead while a board is open, once; one that dies at that is not missed', async () => {
    const world = new World();
    world.loader.ready();
    expect(world.threads).toHaveLength(1);
    expect(world.last).toMatchObject({ what: 'look ahead', plan: world.plan, effort: 1 });
    world.threads[0]!.die();
    expect(world.state.kind).toBe('idle');
    world.change(home);
    expect(world.threads).toHaveLength(1);
    expect(world.timers).toEqual([]);
    world.loader.run();
    expect(world.threads).toHaveLength(2);
    expect(world.state.kind).toBe('working');
    // What a dead one still says is nobody's.
    world.threads[0]!.die();
    expect(world.threads).toHaveLength(2);
  });

  test('looks ahead while the rider rests: what changes the plan goes first, what does not disturbs nothing', async () => {
    const world = new World();
    world.loader.ready();
    const [thread] = world.threads;
    world.tell();
    expect(thread!.rested).toBe(0);
    world.change(home);
    world.change(toSeatPack);
    expect(thread!.rested).toBe(2);
    expect(thread!.asked).toHaveLength(1);
    expect(world.timers.map(({ ms }) => ms)).toEqual([QUIET_MS]);
    world.timers[0]!.run();
    expect(thread!.asked).toHaveLength(2);
    expect(world.last).toMatchObject({ what: 'look ahead', plan: world.plan });
    await answer(world.last, true);
    world.change(home);
    expect(world.timers.at(-1)).toMatchObject({ ms: QUIET_MS });
  });

  test('rests at every key and press while it looks ahead, and looks on once they are over', async () => {
    const world = new World();
    world.loader.ready();
    const [thread] = world.threads;
    world.loader.busy();
    world.loader.busy();
    expect(thread!.rested).toBe(2);
    await answer(world.last, false);
    expect(world.timers.map(({ ms }) => ms)).toEqual([QUIET_MS]);
    world.timers[0]!.run();
    expect(thread!.asked).toHaveLength(2);
    expect(world.last).toMatchObject({ what: 'look ahead', plan: world.plan });
    // What it has looked at as far as it will is not looked at again.
    await answer(world.last, true);
    world.loader.busy();
    expect(thread!.rested).toBe(2);
    // Nor is a search disturbed.
    world.change(home);
    world.loader.run();
    const rested = thread!.rested;
    world.loader.busy();
    expect(thread!.rested).toBe(rested);
  });

  test('that is wanted does not look ahead any more; it does of the plan with its load', async () => {
    const world = new World();
    world.loader.ready();
    world.change(home);
    world.loader.run();
    expect(world.timers.map(({ ms }) => ms)).toEqual([SILENT_MS]);
    await answer(world.last, proposalOf(toSeatPack, 1));
    expect(world.timers.map(({ ms }) => ms)).toEqual([QUIET_MS]);
    world.timers[0]!.run();
    expect(world.threads[0]!.asked.map(({ what }) => what)).toEqual(['look ahead', 'load', 'look ahead']);
    expect(world.last.plan).toBe(world.plan);
  });

  test('rests when no board is open any more, but not from a search', () => {
    const world = new World();
    const leave = world.loader.ready();
    world.change(home);
    leave();
    expect(world.timers).toEqual([]);
    expect(world.threads[0]!.rested).toBe(2);
    world.change(toSeatPack);
    expect(world.timers).toEqual([]);
    const leaveAgain = world.loader.ready();
    world.loader.run();
    leaveAgain();
    expect(world.threads[0]!.rested).toBe(2);
    expect(world.state.kind).toBe('working');
  });

  test('that breaks while looking ahead is let go', async () => {
    const world = new World();
    world.loader.ready();
    world.last.refuse(new Error('broken'));
    await settle();
    expect(world.threads[0]!.ended).toBe(true);
    expect(world.state.kind).toBe('idle');
  });

  test('ends with the page', () => {
    const world = new World();
    world.loader.run();
    world.leave();
    expect(world.threads[0]!.ended).toBe(true);
    expect(world.timers).toEqual([]);
    world.change(home);
    expect(world.threads).toHaveLength(1);
  });
});

test('a plan that cannot be loaded says why, without a thread', () => {
  const world = new World();
  world.change({ kind: 'remove bags', ids: world.plan.bags.map(({ id }) => id) });
  world.loader.ready();
  world.loader.run();
  expect(world.threads).toHaveLength(0);
  expect(world.state.kind).toBe('failed');
});

test('small changes are tried and told; a search lets go of them, and they break without harm', async () => {
  const world = new World();
  const { loader } = world;
  const found: SmallestChange = { changes: [], leastMl: 120 };
  loader.findChanges();
  world.last.tell(0.5 as never);
  expect(loader.getView().changes).toEqual({ kind: 'working', done: 0.5 });
  await answer(world.last, found);
  expect(loader.getView().changes).toEqual({ kind: 'done', found });
  loader.run();
  expect(loader.getView().changes).toEqual({ kind: 'idle' });
  loader.cancel();
  loader.findChanges();
  world.threads.at(-1)!.die();
  expect(loader.getView().changes).toEqual({ kind: 'idle' });
});

test('a load is kept to compare until it is let go; those who listen hear of each', () => {
  const { loader, plan } = new World();
  let heard = 0;
  const leave = loader.subscribe(() => (heard += 1));
  loader.keep(plan.load, 'kept');
  expect(loader.getView().kept).toEqual({ load: plan.load, name: 'kept' });
  loader.forget();
  expect(loader.getView().kept).toBeNull();
  expect(heard).toBe(2);
  leave();
  loader.keep(plan.load, 'again');
  expect(heard).toBe(2);
});

test('what the rider kept to compare is not replaced by the load before the next search', async () => {
  const world = new World();
  const before = world.plan.load;
  world.loader.keep(before, 'kept, 3 placed');
  world.loader.run();
  await answer(world.last, proposalOf(toSeatPack, 1));
  expect(world.edits).toEqual([toSeatPack]);
  expect(world.loader.getView().kept).toEqual({ load: before, name: 'kept, 3 placed' });
  world.loader.forget();
  world.loader.run();
  await answer(world.last, proposalOf(toSeatPack, 1));
  expect(world.loader.getView().kept?.name).toBe('before loading');
});
