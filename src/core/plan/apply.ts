import { bagSchema } from '@/core/bag/bag';
import { bikeSchema, type Bike } from '@/core/bike/bike';
import { DECISION_FIELDS, OWNED_FIELDS } from '@/core/kit/thing';
import { fail, ok, type Result } from '@/core/result';
import { compartmentName, type BikePatch, type Edit, type Move, type SimpleEdit } from './edit';
import { LIMITS } from './limits';
import { cutTo } from '@/core/units/text';
import { tripSchema } from '@/core/trip/trip';
import { brokenReferences, type LoadEntry, type Plan } from './plan';
import { allCompartments } from './riders';

/** A plan after an edit, and the edit that takes it back exactly. */
export interface Applied {
  plan: Plan;
  inverse: Edit;
  /** The edit as it is kept: of what was there already only the fields that changed. */
  edit: Edit;
}

/**
 * Applies one edit. Pure, and the same in the browser and on the server. Never throws: an edit that does not
 * suit the plan (a thing that is gone, a bag that is gone) comes back with a sentence that says so.
 *
 * @example
 * const applied = applyEdit(plan, { kind: 'place', moves: [{ thingId: 'quilt', to: 'floor' }] });
 * if (applied.ok) applyEdit(applied.value.plan, applied.value.inverse) // gives `plan` back
 */
export function applyEdit(plan: Plan, edit: Edit): Result<Applied> {
  const parts = edit.kind === 'several' ? edit.edits : [edit];
  const applied = applyAll(plan, parts);
  if (!applied.ok) return applied;
  const label = edit.kind === 'several' ? edit.label : '';
  return ok({
    plan: applied.value.plan,
    inverse: bound(
      applied.value.inverse,
      edit.kind === 'several' ? cutTo(`Undo: ${label}`, 200) : 'Undo',
      edit,
    ),
    edit: bound(applied.value.edits, label, edit),
  });
}

/** One edit by itself stays one, unless it came from several. */
const bound = (edits: SimpleEdit[], label: string, from: Edit): Edit =>
  from.kind !== 'several' && edits.length === 1 ? edits[0]! : { kind: 'several', label, edits };

interface SimpleApplied {
  plan: Plan;
  inverse: SimpleEdit[];
  /** What was done, where that is told by fewer fields than it was asked with. */
  edits?: SimpleEdit[];
}
type SimpleResult = Result<SimpleApplied>;

/** One after the other; the inverses in the opposite order. */
function applyAll(plan: Plan, parts: readonly SimpleEdit[]): Result<Required<SimpleApplied>> {
  let current = plan;
  const inverse: SimpleEdit[] = [];
  const edits: SimpleEdit[] = [];
  for (const part of parts) {
    const applied = applySimple(current, part);
    if (!applied.ok) return applied;
    current = applied.value.plan;
    inverse.unshift(...applied.value.inverse);
    edits.push(...(applied.value.edits ?? [part]));
  }
  return ok({ plan: current, inverse, edits });
}

function applySimple(plan: Plan, edit: SimpleEdit): SimpleResult {
  switch (edit.kind) {
    case 'set trip': {
      const trip = tripSchema.safeParse({ ...plan.trip, ...edit.patch });
      if (!trip.success) return fail(trip.error.issues[0]?.message ?? 'The trip does not make sense.');
      const before = pick(plan.trip, keysOf(edit.patch));
      return ok({ plan: { ...plan, trip: trip.data }, inverse: [{ kind: 'set trip', patch: before }] });
    }
    case 'set rider':
      return ok({
        plan: { ...plan, rider: { ...plan.rider, ...edit.patch } },
        inverse: [{ kind: 'set rider', patch: pick(plan.rider, keysOf(edit.patch)) }],
      });
    case 'set bike':
      if (plan.bike && edit.bike?.id === plan.bike.id)
        return applyAll(plan, changingBike(plan.bike, edit.bike));
      return ok({ plan: { ...plan, bike: edit.bike }, inverse: [{ kind: 'set bike', bike: plan.bike }] });
    case 'change bike': {
      const { bike } = plan;
      if (bike?.id !== edit.id) return fail('That bike is no longer on this trip.');
      const { build, ...fields } = edit.patch;
      const before: BikePatch = pick(bike, keysOf(fields));
      if (build) before.build = pick(bike.build, keysOf(build));
      return ok({
        plan: { ...plan, bike: { ...bike, ...fields, build: { ...bike.build, ...build } } },
        inverse: [{ kind: 'change bike', id: bike.id, patch: before }],
      });
    }
    case 'put bags': {
      const { added, positions, known } = sorted(plan.bags, edit.bags, edit.positions);
      if (known.length > 0)
        return applyAll(plan, [
          ...(added.length > 0 ? [{ kind: 'put bags' as const, bags: added, positions }] : []),
          ...changing('change bags', known, BAG_FIELDS),
        ]);
      const next = insertAll(plan.bags, added, positions);
      if (next.length > LIMITS.bags) return fail(`A bike takes at most ${LIMITS.bags} bags here.`);
      const broken = brokenReferences({ ...plan, bags: next, load: [] })[0];
      if (broken) return fail(broken);
      return ok({
        plan: { ...plan, bags: next },
        inverse: [{ kind: 'remove bags', ids: added.map(({ id }) => id) }],
      });
    }
    case 'change bags': {
      const changed = changeAll(plan.bags, edit.changes);
      if (!changed.ok) return fail('That bag is no longer on this trip.');
      const { next: bags, before } = changed.value;
      const broken = brokenReferences({ ...plan, bags, load: [] })[0];
      if (broken) return fail(broken);
      const emptied = entriesOutside({ ...plan, bags });
      const inverse: SimpleEdit[] = [{ kind: 'change bags', changes: before }];
      if (emptied.length) inverse.push({ kind: 'place', moves: emptied.map(moveTo) });
      return ok({ plan: { ...plan, bags, load: without(plan.load, emptied) }, inverse });
    }
    case 'remove bags': {
      const removal = removeAll(plan.bags, edit.ids);
      if (!removal.ok) return fail('That bag is no longer on this trip.');
      const emptied = entriesOutside({ ...plan, bags: removal.value.next });
      const { items, positions } = removal.value;
      const inverse: SimpleEdit[] = [{ kind: 'put bags', bags: items, positions }];
      if (emptied.length) inverse.push({ kind: 'place', moves: emptied.map(moveTo) });
      return ok({ plan: { ...plan, bags: removal.value.next, load: without(plan.load, emptied) }, inverse });
    }
    case 'put things': {
      const { added, positions, known } = sorted(plan.things, edit.things, edit.positions);
      if (known.length > 0)
        return applyAll(plan, [
          ...(added.length > 0 ? [{ kind: 'put things' as const, things: added, positions }] : []),
          ...changing('change things', known, OWNED_FIELDS),
          ...changing('decide things', known, DECISION_FIELDS),
        ]);
      const next = insertAll(plan.things, added, positions);
      if (new Set(next.map(({ id }) => id)).size < next.length) return fail('Two things have the same id.');
      if (next.length > LIMITS.things) {
        return fail(`A kit holds at most ${LIMITS.things} things; this would make ${next.length}.`);
      }
      return ok({
        plan: { ...plan, things: next },
        inverse: [{ kind: 'remove things', ids: added.map(({ id }) => id) }],
      });
    }
    case 'change things': {
      const changed = changeAll(plan.things, edit.changes);
      if (!changed.ok) return fail('That thing is no longer in this kit.');
      const { next: things, before } = changed.value;
      return ok({ plan: { ...plan, things }, inverse: [{ kind: 'change things', changes: before }] });
    }
    case 'decide things': {
      const changed = changeAll(plan.things, edit.changes);
      if (!changed.ok) return fail('That thing is no longer in this kit.');
      const { next: things, before } = changed.value;
      // What is worn is on the rider, and what is packed inside another thing goes where that goes.
      const elsewhere = new Set(
        edit.changes
          .filter(({ patch }) => patch.carry === 'worn' || (patch.inside ?? null) !== null)
          .map(({ id }) => id),
      );
      const dropped = plan.load.filter((entry) => elsewhere.has(entry.thingId) && entry.to !== 'home');
      const inverse: SimpleEdit[] = [{ kind: 'decide things', changes: before }];
      if (dropped.length) inverse.push({ kind: 'place', moves: dropped.map(moveTo) });
      return ok({ plan: { ...plan, things, load: without(plan.load, dropped) }, inverse });
    }
    case 'remove things': {
      const removal = removeAll(plan.things, edit.ids);
      if (!removal.ok) return fail('That thing is no longer in this kit.');
      const { next, items, positions } = removal.value;
      const gone = new Set(edit.ids);
      const dropped = plan.load.filter((entry) => gone.has(entry.thingId));
      const inverse: SimpleEdit[] = [{ kind: 'put things', things: items, positions }];
      if (dropped.length) inverse.push({ kind: 'place', moves: dropped.map(moveTo) });
      return ok({ plan: { ...plan, things: next, load: without(plan.load, dropped) }, inverse });
    }
    case 'set wishes':
      return ok({
        plan: { ...plan, wishes: edit.wishes },
        inverse: [{ kind: 'set wishes', wishes: plan.wishes }],
      });
    case 'set route':
      return ok({
        plan: { ...plan, route: edit.route },
        inverse: [{ kind: 'set route', route: plan.route }],
      });
    case 'change route': {
      if (!plan.route) return fail('This trip has no route any more.');
      return ok({
        plan: { ...plan, route: { ...plan.route, ...edit.patch } },
        inverse: [{ kind: 'change route', patch: pick(plan.route, keysOf(edit.patch)) }],
      });
    }
    case 'set fellows': {
      const next = { ...plan, fellows: edit.fellows };
      const broken = brokenReferences({ ...next, load: [] })[0];
      if (broken) return fail(broken);
      const emptied = entriesOutside(next);
      const inverse: SimpleEdit[] = [{ kind: 'set fellows', fellows: plan.fellows }];
      if (emptied.length) inverse.push({ kind: 'place', moves: emptied.map(moveTo) });
      return ok({ plan: { ...next, load: without(plan.load, emptied) }, inverse });
    }
    case 'place':
      return place(plan, edit.moves);
  }
}

function place(plan: Plan, moves: readonly Move[]): SimpleResult {
  const things = new Map(plan.things.map((thing) => [thing.id, thing]));
  const compartments = allCompartments(plan);
  const load = new Map(plan.load.map((entry) => [entry.thingId, entry]));
  const before: Move[] = [];
  for (const move of moves) {
    const thing = things.get(move.thingId);
    if (!thing) return fail('That thing is no longer in this kit.');
    const entry = load.get(move.thingId);
    before.unshift(entry ? moveTo(entry) : { thingId: move.thingId, to: 'floor' });
    if (move.to === 'floor') {
      load.delete(move.thingId);
      continue;
    }
    if (move.to !== 'home') {
      if (!compartments.has(move.to.compartmentId)) {
        return fail(
          `There is no ${compartmentName(plan, move.to.compartmentId)} with that id on this trip any more.`,
        );
      }
      if (thing.carry === 'worn')
        return fail(`${thing.name} is worn, so it goes in no bag. Set it to carried first.`);
      const host = thing.inside === null ? undefined : things.get(thing.inside);
      if (host)
        return fail(`${thing.name} is packed inside ${host.name}. Take it out first, on the Kit stage.`);
    }
    load.set(move.thingId, { thingId: move.thingId, to: move.to, pinned: move.pinned ?? false });
  }
  // Entries are kept in the order of the kit, so that the same load is always the same value.
  const next = plan.things.flatMap((thing) => load.get(thing.id) ?? []);
  return ok({ plan: { ...plan, load: next }, inverse: [{ kind: 'place', moves: before }] });
}

const moveTo = (entry: LoadEntry): Move => ({ thingId: entry.thingId, to: entry.to, pinned: entry.pinned });

const without = (load: readonly LoadEntry[], dropped: readonly LoadEntry[]): LoadEntry[] => {
  const ids = new Set(dropped.map((entry) => entry.thingId));
  return load.filter((entry) => !ids.has(entry.thingId));
};

/** Entries whose compartment is no longer there. */
function entriesOutside(plan: Plan): LoadEntry[] {
  const compartments = allCompartments(plan);
  return plan.load.filter((entry) => entry.to !== 'home' && !compartments.has(entry.to.compartmentId));
}

const keysOf = <Item extends object>(item: Item) => Object.keys(item) as (keyof Item)[];

const pick = <Item extends object>(item: Item, keys: readonly (keyof Item)[]): Partial<Item> =>
  Object.fromEntries(keys.map((key) => [key, item[key]])) as Partial<Item>;

const isSame = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

const BAG_FIELDS = keysOf(bagSchema.shape).filter((key) => key !== 'id');
const BIKE_FIELDS = keysOf(bikeSchema.shape).filter((key) => key !== 'id' && key !== 'build');

/** Which of some items are new to a list, and which are in it already. */
function sorted<Item extends { id: string }>(
  list: readonly Item[],
  items: readonly Item[],
  positions: readonly number[] = [],
) {
  const there = new Map(list.map((item) => [item.id, item]));
  const added: Item[] = [];
  const at: number[] = [];
  const known: { now: Item; then: Item }[] = [];
  items.forEach((then, i) => {
    const now = there.get(then.id);
    if (now) known.push({ now, then });
    else {
      added.push(then);
      at.push(positions[i] ?? Number.MAX_SAFE_INTEGER);
    }
  });
  return { added, positions: at, known };
}

/** The edit that changes those of some fields that differ; none where none does. */
function changing<Item extends { id: string }>(
  kind: 'change bags' | 'change things' | 'decide things',
  known: readonly { now: Item; then: Item }[],
  fields: readonly (keyof Item)[],
): SimpleEdit[] {
  const changes = known.flatMap(({ now, then }) => {
    const keys = fields.filter((key) => key !== 'id' && !isSame(now[key], then[key]));
    return keys.length > 0 ? [{ id: now.id, patch: pick(then, keys) }] : [];
  });
  return changes.length > 0 ? [{ kind, changes } as SimpleEdit] : [];
}

/** The edit that makes a bike what it is to be: only what differs, of its build too; none where nothing does. */
function changingBike(now: Bike, then: Bike): SimpleEdit[] {
  const fields = BIKE_FIELDS.filter((key) => !isSame(now[key], then[key]));
  const build = keysOf(then.build).filter((key) => !isSame(now.build[key], then.build[key]));
  if (fields.length + build.length === 0) return [];
  const patch: BikePatch = pick(then, fields);
  if (build.length > 0) patch.build = pick(then.build, build);
  return [{ kind: 'change bike', id: now.id, patch }];
}

/** A list with some fields of some of its items changed, and the changes that take that back. */
function changeAll<Item extends { id: string }>(
  list: readonly Item[],
  changes: readonly { id: string; patch: Partial<Item> }[],
) {
  const next = [...list];
  const index = new Map(next.map((item, i) => [item.id, i]));
  const before: { id: string; patch: Partial<Item> }[] = [];
  for (const { id, patch } of changes) {
    const at = index.get(id);
    if (at === undefined) return fail('gone');
    before.unshift({ id, patch: pick(next[at]!, keysOf(patch)) });
    next[at] = { ...next[at]!, ...patch };
  }
  return ok({ next, before });
}

/** A list with items put in at their places, or at its end. */
function insertAll<Item>(
  list: readonly Item[],
  items: readonly Item[],
  positions: readonly number[],
): Item[] {
  const next = [...list];
  const inserts = items.map((item, i) => ({ item, at: positions[i]! })).sort((a, b) => a.at - b.at);
  for (const { item, at } of inserts) next.splice(Math.min(at, next.length), 0, item);
  return next;
}

function removeAll<Item extends { id: string }>(list: readonly Item[], ids: readonly string[]) {
  const wanted = new Set(ids);
  const items: Item[] = [];
  const positions: number[] = [];
  list.forEach((item, i) => {
    if (wanted.has(item.id)) {
      items.push(item);
      positions.push(i);
    }
  });
  if (items.length !== wanted.size) return fail('gone');
  return ok({ next: list.filter((item) => !wanted.has(item.id)), items, positions });
}
