import { fail, ok, type Result } from '@/core/result';
import { compartmentName, type Edit, type Move, type SimpleEdit } from './edit';
import { LIMITS } from './limits';
import { brokenReferences, tripSchema, type LoadEntry, type Plan } from './plan';
import { allCompartments } from './riders';

/** A plan after an edit, and the edit that takes it back exactly. */
export interface Applied {
  plan: Plan;
  inverse: Edit;
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
  if (edit.kind !== 'several') {
    const applied = applySimple(plan, edit);
    if (!applied.ok) return applied;
    const { inverse } = applied.value;
    return ok({
      plan: applied.value.plan,
      inverse: inverse.length === 1 ? inverse[0]! : { kind: 'several', label: 'Undo', edits: inverse },
    });
  }
  let current = plan;
  const inverses: SimpleEdit[] = [];
  for (const part of edit.edits) {
    const applied = applySimple(current, part);
    if (!applied.ok) return applied;
    current = applied.value.plan;
    inverses.unshift(...applied.value.inverse);
  }
  return ok({
    plan: current,
    inverse: { kind: 'several', label: `Undo: ${edit.label}`.slice(0, 200), edits: inverses },
  });
}

type SimpleResult = Result<{ plan: Plan; inverse: SimpleEdit[] }>;

function applySimple(plan: Plan, edit: SimpleEdit): SimpleResult {
  switch (edit.kind) {
    case 'set trip': {
      const trip = tripSchema.safeParse({ ...plan.trip, ...edit.patch });
      if (!trip.success) return fail(trip.error.issues[0]?.message ?? 'The trip does not make sense.');
      const before = Object.fromEntries(
        Object.keys(edit.patch).map((key) => [key, plan.trip[key as keyof Plan['trip']]]),
      );
      return ok({ plan: { ...plan, trip: trip.data }, inverse: [{ kind: 'set trip', patch: before }] });
    }
    case 'set rider':
      return ok({
        plan: { ...plan, rider: { ...plan.rider, ...edit.patch } },
        inverse: [{ kind: 'set rider', patch: plan.rider }],
      });
    case 'set bike':
      return ok({ plan: { ...plan, bike: edit.bike }, inverse: [{ kind: 'set bike', bike: plan.bike }] });
    case 'put bags': {
      const bags = putAll(plan.bags, edit.bags, edit.positions);
      if (bags.next.length > LIMITS.bags) return fail(`A bike takes at most ${LIMITS.bags} bags here.`);
      const broken = brokenReferences({ ...plan, bags: bags.next, load: [] })[0];
      if (broken) return fail(broken);
      const emptied = entriesOutside({ ...plan, bags: bags.next });
      const inverse: SimpleEdit[] = [];
      if (bags.replaced.length) inverse.push({ kind: 'put bags', bags: bags.replaced });
      if (bags.added.length) inverse.push({ kind: 'remove bags', ids: bags.added });
      if (emptied.length) inverse.push({ kind: 'place', moves: emptied.map(moveTo) });
      return ok({ plan: { ...plan, bags: bags.next, load: without(plan.load, emptied) }, inverse });
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
      const things = putAll(plan.things, edit.things, edit.positions);
      if (things.next.length > LIMITS.things) {
        return fail(`A kit holds at most ${LIMITS.things} things; this would make ${things.next.length}.`);
      }
      // What is worn is on the rider, and what is packed inside another thing goes where that goes.
      const elsewhere = new Set(
        edit.things
          .filter((thing) => thing.carry === 'worn' || thing.inside !== null)
          .map((thing) => thing.id),
      );
      const dropped = plan.load.filter((entry) => elsewhere.has(entry.thingId) && entry.to !== 'home');
      const inverse: SimpleEdit[] = [];
      if (things.replaced.length) inverse.push({ kind: 'put things', things: things.replaced });
      if (things.added.length) inverse.push({ kind: 'remove things', ids: things.added });
      if (dropped.length) inverse.push({ kind: 'place', moves: dropped.map(moveTo) });
      return ok({ plan: { ...plan, things: things.next, load: without(plan.load, dropped) }, inverse });
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

function putAll<Item extends { id: string }>(
  list: readonly Item[],
  items: readonly Item[],
  positions?: number[],
) {
  const next = [...list];
  const index = new Map(next.map((item, i) => [item.id, i]));
  const replaced: Item[] = [];
  const added: string[] = [];
  const inserts: { item: Item; at: number }[] = [];
  items.forEach((item, i) => {
    const at = index.get(item.id);
    if (at !== undefined) {
      replaced.push(next[at]!);
      next[at] = item;
    } else {
      added.push(item.id);
      inserts.push({ item, at: positions?.[i] ?? Number.MAX_SAFE_INTEGER });
    }
  });
  inserts.sort((a, b) => a.at - b.at);
  for (const { item, at } of inserts) next.splice(Math.min(at, next.length), 0, item);
  return { next, replaced, added };
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
