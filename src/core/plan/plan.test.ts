import fc from 'fast-check';
import { demoPlan } from '@/core/demo/plan';
import { applyEdit } from './apply';
import { editLabel, editSchema, type Edit } from './edit';
import { changeDraft, HISTORY_LENGTH, type Draft } from './history';
import { brokenReferences, planSchema, withFreshIds, type Plan } from './plan';
import { sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';

const apply = (plan: Plan, edit: Edit) => {
  const applied = applyEdit(plan, edit);
  if (!applied.ok) throw new Error(applied.error);
  return applied.value;
};

/** A random edit that may or may not suit the plan. */
const edits = (plan: Plan): fc.Arbitrary<Edit> => {
  const thingId = fc.constantFrom(...plan.things.slice(0, 12).map((thing) => thing.id), 'new-thing');
  const compartmentId = fc.constantFrom(...plan.bags.flatMap((bag) => bag.compartments.map((c) => c.id)));
  const to = fc.oneof(fc.record({ compartmentId }), fc.constantFrom('home' as const, 'floor' as const));
  const simple = fc.oneof(
    fc.record({
      kind: fc.constant('place' as const),
      moves: fc.array(fc.record({ thingId, to, pinned: fc.boolean() }), { minLength: 1, maxLength: 6 }),
    }),
    fc.record({
      kind: fc.constant('remove things' as const),
      ids: fc.uniqueArray(thingId, { minLength: 1, maxLength: 3 }),
    }),
    fc.record({
      kind: fc.constant('put things' as const),
      things: fc.uniqueArray(
        fc
          .tuple(thingId, fc.integer({ min: 1, max: 900 }), fc.constantFrom('bike' as const, 'worn' as const))
          .map(([id, massG, carry]) => sampleThing(id, { massG, carry })),
        { minLength: 1, maxLength: 3, selector: (thing) => thing.id },
      ),
    }),
    fc.record({
      kind: fc.constant('remove bags' as const),
      ids: fc.uniqueArray(fc.constantFrom(...plan.bags.map((bag) => bag.id)), { minLength: 1, maxLength: 2 }),
    }),
    fc.constantFrom(...plan.bags).map((bag) => ({
      kind: 'put bags' as const,
      bags: [{ ...bag, name: 'Changed', compartments: bag.compartments.slice(0, 1) }],
    })),
    fc.record({
      kind: fc.constant('set trip' as const),
      patch: fc.record({
        nights: fc.integer({ min: 0, max: 9 }),
        nightMinimumC: fc.integer({ min: -9, max: 16 }),
      }),
    }),
    fc.record({
      kind: fc.constant('set rider' as const),
      patch: fc.record({ massG: fc.integer({ min: 40000, max: 120000 }) }),
    }),
    fc.constant({ kind: 'set bike' as const, bike: null }),
    fc.integer({ min: 8000, max: 16000 }).map((massG) => ({
      kind: 'set bike' as const,
      bike: { ...plan.bike!, massG, build: { ...plan.bike!.build, forkTravelMm: massG % 150 } },
    })),
  );
  return fc.oneof(
    { weight: 4, arbitrary: simple },
    {
      weight: 1,
      arbitrary: fc
        .array(simple, { maxLength: 4 })
        .map((list) => ({ kind: 'several' as const, label: 'Both', edits: list })),
    },
  );
};

describe('edits', () => {
  test('every edit that applies is undone exactly by its inverse, and leaves a sound plan', () => {
    const start = demoPlan();
    fc.assert(
      fc.property(fc.array(edits(start), { maxLength: 12 }), (list) => {
        let plan: Plan = start;
        for (const edit of list) {
          const applied = applyEdit(plan, edit);
          if (!applied.ok) continue;
          expect(applyEdit(applied.value.plan, applied.value.inverse)).toMatchObject({
            ok: true,
            value: { plan },
          });
          expect(editSchema.safeParse(applied.value.inverse).success).toBe(true);
          plan = applied.value.plan;
          expect(brokenReferences(plan)).toEqual([]);
        }
        expect(planSchema.safeParse(plan).error?.issues).toBeUndefined();
      }),
      { numRuns: 200 },
    );
  });

  test('a bike is changed by the fields that differ, so that undoing one change leaves a later one alone', () => {
    const start = demoPlan();
    const bike = start.bike!;
    const renamed = apply(start, { kind: 'set bike', bike: { ...bike, name: 'Old one' } });
    expect(renamed.edit).toEqual({ kind: 'change bike', id: bike.id, patch: { name: 'Old one' } });
    const both = apply(renamed.plan, {
      kind: 'set bike',
      bike: { ...renamed.plan.bike!, massG: 9000, build: { ...bike.build, forkTravelMm: 77 } },
    });
    expect(both.edit).toEqual({
      kind: 'change bike',
      id: bike.id,
      patch: { massG: 9000, build: { forkTravelMm: 77 } },
    });
    const undone = apply(both.plan, renamed.inverse).plan.bike!;
    expect([undone.name, undone.massG, undone.build.forkTravelMm]).toEqual([bike.name, 9000, 77]);
    expect(applyEdit(start, { kind: 'change bike', id: 'other', patch: {} })).toMatchObject({ ok: false });
  });

  test.each<[Edit, RegExp]>([
    [{ kind: 'place', moves: [{ thingId: 'gone', to: 'floor' }] }, /no longer in this kit/],
    [{ kind: 'remove bags', ids: ['gone'] }, /no longer on this trip/],
    [{ kind: 'place', moves: [{ thingId: 'hat', to: { compartmentId: 'roll-main' } }] }, /is worn/],
    [{ kind: 'place', moves: [{ thingId: 'quilt', to: { compartmentId: 'gone' } }] }, /any more/],
    [{ kind: 'set trip', patch: { nights: -1 } }, /At least 0 nights/],
  ])('an edit that does not suit says so: %j', (edit, message) => {
    const plan = samplePlan({
      bags: [sampleBag('roll', 'bar roll')],
      things: [sampleThing('quilt'), sampleThing('hat', { carry: 'worn' })],
    });
    const applied = applyEdit(plan, edit);
    expect(!applied.ok && applied.error).toMatch(message);
  });

  test('labels say what happened in words', () => {
    const plan = demoPlan();
    const label = (edit: Edit) => editLabel(plan, edit);
    expect(
      label({ kind: 'place', moves: [{ thingId: 'down-quilt', to: { compartmentId: 'seat-pack-main' } }] }),
    ).toBe('Down quilt to Seat pack, main');
    expect(label({ kind: 'place', moves: [{ thingId: 'folding-chair', to: 'home' }] })).toBe(
      'Folding chair left at home',
    );
    expect(label({ kind: 'set trip', patch: { nightMinimumC: 1 } })).toBe('Trip: night minimum');
    expect(label({ kind: 'put things', things: plan.things.slice(0, 3) })).toBe('3 things into the kit');
  });
});

describe('history', () => {
  const move = (id: string, to: 'home' | 'floor'): Edit => ({ kind: 'place', moves: [{ thingId: id, to }] });
  const step = (draft: Draft, change: Parameters<typeof changeDraft>[1]): Draft => {
    const next = changeDraft(draft, change);
    if (!next.ok) throw new Error(next.error);
    return next.value;
  };

  test('undo and redo walk back and forth; a new edit forgets what could be redone', () => {
    const start: Draft = { plan: demoPlan(), done: [], undone: [] };
    let draft = step(start, { id: '1', op: 'edit', edit: move('folding-chair', 'home') });
    const after = draft.plan;
    draft = step(draft, { id: '2', op: 'undo' });
    expect(draft.plan).toEqual(start.plan);
    draft = step(draft, { id: '3', op: 'redo' });
    expect(draft.plan).toEqual(after);
    draft = step(step(draft, { id: '4', op: 'undo' }), {
      id: '5',
      op: 'edit',
      edit: move('paperback', 'home'),
    });
    expect(draft.undone).toEqual([]);
    expect(changeDraft(draft, { id: '6', op: 'redo' })).toMatchObject({ ok: false });
  });

  test('only the last steps are kept', () => {
    let draft: Draft = { plan: demoPlan(), done: [], undone: [] };
    for (let i = 0; i < HISTORY_LENGTH + 20; i += 1) {
      draft = step(draft, { id: `${i}`, op: 'edit', edit: move('paperback', i % 2 ? 'floor' : 'home') });
    }
    expect(draft.done).toHaveLength(HISTORY_LENGTH);
    expect(draft.done.at(-1)!.id).toBe(`${HISTORY_LENGTH + 19}`);
  });
});

test('fresh ids replace every id and keep every reference', () => {
  const plan = apply(demoPlan(), {
    kind: 'place',
    moves: [{ thingId: 'paperback', to: { compartmentId: 'fork-left-main' } }],
  }).plan;
  let n = 0;
  const fresh = withFreshIds(plan, () => `id-${(n += 1)}`);
  expect(brokenReferences(fresh)).toEqual([]);
  expect(JSON.stringify(fresh)).not.toContain('"paperback"');
  expect(fresh.load).toHaveLength(1);
  expect(planSchema.safeParse(fresh).success).toBe(true);
});
