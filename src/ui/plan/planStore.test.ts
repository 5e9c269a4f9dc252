import { demoPlan } from '@/core/demo/plan';
import type { Edit } from '@/core/plan/edit';
import { changeDraft, type Change, type Draft } from '@/core/plan/history';
import { PlanStore, type Surroundings } from './planStore';

const leave = (thingId: string): Edit => ({ kind: 'place', moves: [{ thingId, to: 'home' }] });

/** A server in memory with the same rules as the real one, which can be made to fail. */
class FakeServer {
  draft: Draft = { plan: demoPlan(), done: [], undone: [] };
  revision = 0;
  failure: 'none' | 'down' | 'error' | 'answer lost' = 'none';
  /** Answers the next change with this instead. */
  refusal: { status: number; error?: string } | null = null;
  timers: (() => void)[] = [];
  kept: string | null = null;
  private ids = 0;

  surroundings(): Surroundings {
    return {
      fetch: async (url, init) => this.answer(url, init),
      later: (run) => {
        this.timers.push(run);
        return () => (this.timers = this.timers.filter((timer) => timer !== run));
      },
      keep: { get: () => this.kept, set: (text) => (this.kept = text) },
      makeId: () => `change-${(this.ids += 1)}`,
    };
  }

  private answer(url: string, init?: RequestInit): Response {
    if (this.failure === 'down') throw new TypeError('failed to fetch');
    if (this.failure === 'error') return Response.json({ error: 'broken' }, { status: 500 });
    if (this.refusal) {
      const { status, error } = this.refusal;
      this.refusal = null;
      return Response.json({ error }, { status });
    }
    if (!url.endsWith('/changes')) return Response.json({ draft: this.draft, revision: this.revision });
    const { revision, change } = JSON.parse(String(init?.body)) as { revision: number; change: Change };
    if (this.draft.done.some((step) => step.id === change.id))
      return Response.json({ revision: this.revision });
    if (revision !== this.revision)
      return Response.json({ error: 'stale', since: ['Else'] }, { status: 409 });
    this.take(change);
    if (this.failure === 'answer lost') throw new TypeError('connection reset');
    return Response.json({ revision: this.revision });
  }

  take(change: Change): void {
    const next = changeDraft(this.draft, change);
    if (!next.ok) throw new Error(next.error);
    this.draft = next.value;
    this.revision += 1;
  }

  open(): PlanStore {
    const store = new PlanStore(
      't',
      { draft: this.draft, revision: this.revision },
      'metric',
      this.surroundings(),
    );
    store.start();
    return store;
  }
}

const settle = async () => {
  for (let i = 0; i < 20; i += 1) await Promise.resolve();
  await new Promise<void>((resolve) => setImmediate(resolve));
};
const homeIds = (plan: Draft['plan']) =>
  plan.load.filter((entry) => entry.to === 'home').map((entry) => entry.thingId);

test('an edit shows at once, and is on the server soon after; undo and redo follow', async () => {
  const server = new FakeServer();
  const store = server.open();
  expect(store.edit(leave('paperback'))).toBe(true);
  expect(homeIds(store.getShown().draft.plan)).toEqual(['paperback']);
  expect(store.getSaving().save.kind).toBe('saving');
  store.undo();
  store.redo();
  await settle();
  expect(store.getSaving()).toMatchObject({ save: { kind: 'saved' }, unsaved: 0 });
  expect(server.revision).toBe(3);
  expect(server.draft.plan).toEqual(store.getShown().draft.plan);
});

test.each(['down', 'error'] as const)(
  'while the server is %s, edits are kept, said to be unsaved, and sent later',
  async (failure) => {
    const server = new FakeServer();
    const store = server.open();
    server.failure = failure;
    store.edit(leave('paperback'));
    store.edit(leave('pillow'));
    await settle();
    expect(store.getSaving()).toMatchObject({ save: { kind: 'waiting' }, unsaved: 2 });
    server.failure = 'none';
    server.timers.splice(0).forEach((run) => run());
    await settle();
    expect(store.getSaving()).toMatchObject({ save: { kind: 'saved' }, unsaved: 0 });
    expect(homeIds(server.draft.plan)).toEqual(['pillow', 'paperback']);
  },
);

test('what was not saved survives a reload of the tab, and a lost answer does not do it twice', async () => {
  const server = new FakeServer();
  server.failure = 'answer lost';
  const first = server.open();
  first.edit(leave('paperback'));
  first.edit(leave('pillow'));
  await settle();
  expect(server.revision).toBe(1);
  first.stop();
  server.failure = 'none';
  const second = server.open();
  expect(homeIds(second.getShown().draft.plan).sort()).toEqual(['paperback', 'pillow']);
  await settle();
  expect(server.revision).toBe(2);
  expect(second.getSaving().unsaved).toBe(0);
  expect(server.kept).toBeNull();
});

test('a stale tab is told, keeps its change, and can put it on top or let it go', async () => {
  for (const keepMine of [true, false]) {
    const server = new FakeServer();
    const store = server.open();
    server.take({ id: 'elsewhere', op: 'edit', edit: leave('pillow') });
    store.edit(leave('paperback'));
    await settle();
    expect(store.getSaving()).toMatchObject({ save: { kind: 'stale', since: ['Else'] }, unsaved: 1 });
    expect(server.revision).toBe(1);
    await store.reload(keepMine);
    await settle();
    expect(homeIds(store.getShown().draft.plan).sort()).toEqual(
      keepMine ? ['paperback', 'pillow'] : ['pillow'],
    );
    expect(server.draft.plan).toEqual(store.getShown().draft.plan);
  }
});

test('an edit that no longer suits after a reload is named, and the others are kept', async () => {
  const server = new FakeServer();
  const store = server.open();
  server.take({ id: 'elsewhere', op: 'edit', edit: { kind: 'remove things', ids: ['paperback'] } });
  store.edit(leave('paperback'));
  store.edit(leave('pillow'));
  await settle();
  await store.reload(true);
  await settle();
  expect(store.getSaving().problem).toMatch(/left at home.*no longer in this kit/);
  expect(homeIds(server.draft.plan)).toEqual(['pillow']);
});

test('what cannot be done says so and changes nothing', () => {
  const store = new FakeServer().open();
  expect(store.undo()).toBe(false);
  expect(store.getSaving()).toMatchObject({ problem: 'There is nothing to undo.', unsaved: 0 });
});

test('differences are against the state before the last step', async () => {
  const server = new FakeServer();
  const store = server.open();
  expect(store.getShown().before).toBeNull();
  store.edit({ kind: 'place', moves: [{ thingId: 'paperback', to: { compartmentId: 'seat-pack-main' } }] });
  const { evaluation, before } = store.getShown();
  expect(evaluation.totals.thingsG - before!.totals.thingsG).toBe(176);
  // Step by step, undone and done again, before is what it would be in a tab that was just opened.
  const steps: (() => boolean)[] = [
    () => store.edit(leave('paperback')),
    () => store.edit(leave('pillow')),
    () => store.undo(),
    () => store.undo(),
    () => store.redo(),
    () => store.edit({ kind: 'place', moves: [{ thingId: 'pillow', to: 'floor' }] }),
  ];
  for (const step of steps) {
    expect(step()).toBe(true);
    const shown = store.getShown();
    await settle();
    // What the server answers changes nothing that is shown.
    expect(store.getShown()).toBe(shown);
    const { evaluation: anew, before: earlier } = server.open().getShown();
    expect(shown.evaluation.findings).toEqual(anew.findings);
    expect(shown.before?.totals).toEqual(earlier?.totals);
    expect(shown.before?.findings).toEqual(earlier?.findings);
  }
});

describe('what happens elsewhere', () => {
  const elsewhere = { id: 'elsewhere', op: 'edit' as const, edit: leave('pillow') };

  test('shows here once it is heard of', async () => {
    const server = new FakeServer();
    const store = server.open();
    server.take(elsewhere);
    store.hear(1);
    await settle();
    expect(homeIds(store.getShown().draft.plan)).toEqual(['pillow']);
    expect(store.undo()).toBe(true);
    await settle();
    expect(homeIds(server.draft.plan)).toEqual([]);
  });

  test('waits while something of this tab is on its way, and one’s own change is no news', async () => {
    const server = new FakeServer();
    const store = server.open();
    store.edit(leave('paperback'));
    store.hear(1);
    await settle();
    expect(store.getSaving()).toMatchObject({ save: { kind: 'saved' }, unsaved: 0 });
    server.failure = 'down';
    store.edit(leave('mug'));
    await settle();
    server.failure = 'none';
    server.take(elsewhere);
    store.hear(2);
    await settle();
    // Kept, and not lost under what was heard of.
    expect(homeIds(store.getShown().draft.plan).sort()).toEqual(['mug', 'paperback']);
    await store.flush();
    expect(store.getSaving().save.kind).toBe('stale');
  });

  test('a trip that is gone is said to be gone', () => {
    const store = new FakeServer().open();
    store.hear('gone');
    expect(store.getSaving().save.kind).toBe('gone');
  });
});

describe('what the server will not take', () => {
  test.each([
    [422, 'That thing is not in this kit.', 'That thing is not in this kit. It was undone here.'],
    [413, undefined, 'A change was refused. It was undone here.'],
  ])('%i: the change is undone and said, and those after it go on', async (status, error, problem) => {
    const server = new FakeServer();
    const store = server.open();
    server.refusal = { status, error };
    store.edit(leave('paperback'));
    store.edit(leave('pillow'));
    await settle();
    expect(store.getSaving()).toMatchObject({ problem, save: { kind: 'saved' }, unsaved: 0 });
    expect(homeIds(store.getShown().draft.plan)).toEqual(['pillow']);
    expect(server.draft.plan).toEqual(store.getShown().draft.plan);
    expect(server.kept).toBeNull();
  });

  test('what was refused can be copied, what built on it is named, and the next change clears both', async () => {
    const server = new FakeServer();
    const store = server.open();
    server.refusal = { status: 422, error: 'No.' };
    const extra = { ...demoPlan().things[0]!, id: 'extra', name: 'Extra' };
    store.edit({ kind: 'put things', things: [extra] });
    store.edit(leave('extra'));
    await settle();
    const { problem, refused } = store.getSaving();
    expect(problem).toMatch(/^No\. It was undone here\. So was what built on it: .*Extra|^No\. .*thing/);
    expect(JSON.parse(refused!)).toMatchObject({ edit: { things: [{ name: 'Extra' }] } });
    store.edit(leave('paperback'));
    expect(store.getSaving()).toMatchObject({ problem: null, refused: null });
  });

  test('a trip that was deleted elsewhere: said so, nothing is tried again, the plan is still there', async () => {
    const server = new FakeServer();
    const store = server.open();
    server.refusal = { status: 404 };
    store.edit(leave('paperback'));
    await settle();
    store.edit(leave('pillow'));
    await settle();
    expect(store.getSaving()).toMatchObject({ save: { kind: 'gone' }, unsaved: 2 });
    expect(server.revision).toBe(0);
    expect(server.timers).toHaveLength(0);
    expect(homeIds(store.getShown().draft.plan)).toEqual(['pillow', 'paperback']);
  });

  test('signed out: the change is kept and waits, nothing is tried again by itself', async () => {
    const server = new FakeServer();
    const store = server.open();
    server.refusal = { status: 401 };
    store.edit(leave('paperback'));
    await settle();
    expect(store.getSaving()).toMatchObject({ save: { kind: 'signed out' }, unsaved: 1 });
    expect(server.timers).toHaveLength(0);
    // Signed in again, the same tab sends it.
    await store.flush();
    expect(homeIds(server.draft.plan)).toEqual(['paperback']);
  });

  test('a server that breaks is tried again, with its own words for the rider; a tab that is left stops trying', async () => {
    const server = new FakeServer();
    const store = server.open();
    server.failure = 'error';
    store.edit(leave('paperback'));
    await settle();
    expect(store.getSaving().save).toEqual({ kind: 'waiting', reason: 'broken' });
    expect(server.timers).toHaveLength(1);
    store.stop();
    expect(server.timers).toHaveLength(0);
    expect(server.kept).not.toBeNull();
  });
});

test('a plan that cannot be loaded anew says why, and what was done stays', async () => {
  const server = new FakeServer();
  const store = server.open();
  server.take({ id: 'elsewhere', op: 'edit', edit: leave('pillow') });
  store.edit(leave('paperback'));
  await settle();
  for (const [failure, words] of [
    ['error', 'broken'],
    ['down', 'failed to fetch'],
  ] as const) {
    server.failure = failure;
    expect(await store.reload(true)).toBe(false);
    expect(store.getSaving().problem).toBe(`The plan could not be loaded. ${words} What you did is kept.`);
    expect(store.getSaving().unsaved).toBe(1);
  }
  server.failure = 'none';
  expect(await store.reload(true)).toBe(true);
  await settle();
  expect(homeIds(server.draft.plan).sort()).toEqual(['paperback', 'pillow']);
});

test('what was kept and cannot be read, or was all saved after all, is let go of', async () => {
  const server = new FakeServer();
  server.kept = '{ not what it was';
  expect(server.open().getSaving()).toMatchObject({ unsaved: 0, save: { kind: 'saved' } });
  const change: Change = { id: 'mine', op: 'edit', edit: leave('paperback') };
  server.take(change);
  server.kept = JSON.stringify({ revision: 0, changes: [change] });
  expect(server.open().getSaving().unsaved).toBe(0);
  expect(server.kept).toBeNull();
});

test('what was kept from before someone else changed the plan is for the rider to decide', async () => {
  const server = new FakeServer();
  server.kept = JSON.stringify({
    revision: 0,
    changes: [{ id: 'mine', op: 'edit', edit: leave('paperback') }],
  });
  server.take({ id: 'elsewhere', op: 'edit', edit: leave('pillow') });
  const store = server.open();
  await settle();
  expect(store.getSaving()).toMatchObject({ save: { kind: 'stale' }, unsaved: 1 });
  expect(server.revision).toBe(1);
});

test('figures follow the units, and those who listen hear of it until they leave', () => {
  const store = new FakeServer().open();
  const figures = () => JSON.stringify(store.getShown().evaluation.findings);
  let heard = 0;
  const leaveOff = store.subscribe(() => (heard += 1));
  const metric = figures();
  store.setUnits('imperial');
  expect(figures()).not.toBe(metric);
  store.setUnits('metric');
  expect(figures()).toBe(metric);
  expect(heard).toBe(2);
  leaveOff();
  store.setUnits('imperial');
  expect(heard).toBe(2);
});
