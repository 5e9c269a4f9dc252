import { capacityMl, type Bag } from '@/core/bag/bag';
import type { Thing } from '@/core/kit/thing';
import { thingVolumeMl } from '@/core/kit/thing';
import { applyEdit } from '@/core/plan/apply';
import type { Edit } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { carriersOf } from '@/core/plan/riders';
import { seededRandom } from '@/core/random';
import { searchLoad } from '../search/fitSearch';
import { compileInstance, type Instance } from '../model/instance';
import { neededMl } from '@/core/packing/volume';

/** A change that would let everything in, tried out. */
export interface Change {
  kind: 'worn' | 'pressed' | 'larger bag';
  /** "Wear Rain jacket at the start", "A larger seat pack for Robin". */
  words: string;
  /** Room it makes, millilitres. */
  freesMl: number;
  /** What it changes in the plan; a larger bag is one to look for, and changes nothing by itself. */
  edit: Edit | null;
}

export interface SmallestChange {
  /** Changes that let everything in, the one that frees least first. */
  changes: Change[];
  /** Litres short by volume alone: no change that makes less room can do, whatever the shapes. At least 0. */
  leastMl: number;
}

/** Soft things are seldom measured pressed as hard as they go: so much less is worth trying, with care. */
const HARDER = 0.85;
/** Bags come in sizes: so much larger is tried, from the least. */
const LARGER = [1.08, 1.16, 1.25, 1.4] as const;
/** The largest things of each kind that are tried. */
const MOST_OF_A_KIND = 6;
/** Ways out that are enough. */
const MOST_WAYS = 3;
/** Rounds of the search for each change: it begins from the load that leaves least. */
const ROUNDS = 4;

/**
 * The smallest changes that would let everything in: one thing worn, one soft thing pressed harder, one bag larger. Each
 * is tried by the search itself; those that make less room than is short by volume are passed over, since none of them
 * can do, and the lesser changes of a bag or thing of which the greatest does not do. A generator of progress from 0 to 1.
 *
 * @param plan as the loader left it: all placed but what it leaves on the floor
 */
export function* smallestChange(plan: Plan): Generator<number, SmallestChange> {
  const instance = compileInstance(plan);
  const leastMl = shortMl(instance);
  const candidates = candidatesFor(plan)
    .filter(({ change }) => change.freesMl >= leastMl)
    .sort((a, b) => a.change.freesMl - b.change.freesMl);
  const changes: Change[] = [];
  const largest = new Map(candidates.map((candidate) => [candidate.of, candidate]));
  /** By what is changed, whether all fits with the most that is tried of it. */
  const canDo = new Map<string, boolean>();
  const solved = new Set<string>();
  for (let i = 0; i < candidates.length && changes.length < MOST_WAYS; i += 1) {
    yield i / candidates.length;
    const candidate = candidates[i]!;
    const { change, of } = candidate;
    // Of one bag or thing only the least that does is of interest.
    if (solved.has(of)) continue;
    const most = largest.get(of)!;
    if (!canDo.has(of)) canDo.set(of, allFits(most.changed));
    if (!canDo.get(of) || (candidate !== most && !allFits(candidate.changed))) continue;
    solved.add(of);
    changes.push(change);
  }
  return { changes, leastMl };
}

/** Millilitres that all of it takes, as hard pressed as it goes, beyond what all bags hold. */
function shortMl(instance: Instance): number {
  let ml = 0;
  instance.outer.forEach((lot) =>
    lot.forEach((thing) => (ml += thing.form.kind === 'soft' ? neededMl(thing) : thingVolumeMl(thing))),
  );
  for (const capacity of instance.capacityMl) ml -= capacity;
  return Math.max(0, ml);
}

function allFits(plan: Plan): boolean {
  const run = searchLoad(compileInstance(plan), seededRandom(1), { rounds: ROUNDS });
  for (let step = run.next(); ; step = run.next()) {
    const where = step.done ? step.value : step.value.where;
    if (where?.every((j) => j >= 0)) return true;
    if (step.done) return false;
  }
}

/** Every bag that may carry something, those of fellows who do too, with how another takes its place and whose it is in words. */
function bagsOf(plan: Plan): { bag: Bag; put: (other: Bag) => Edit; whose: string }[] {
  const own = plan.bags.map((bag) => ({
    bag,
    put: (other: Bag): Edit => ({ kind: 'put bags', bags: [other] }),
    whose: '',
  }));
  const carriers = new Set(carriersOf(plan).values());
  const carrying = plan.fellows.filter(({ id }) => carriers.has('any') || carriers.has(id));
  const theirs = carrying.flatMap((fellow) =>
    fellow.bags.map((bag) => {
      const put = (other: Bag): Edit => {
        const bags = fellow.bags.map((each) => (each === bag ? other : each));
        const fellows = plan.fellows.map((each) => (each === fellow ? { ...fellow, bags } : each));
        return { kind: 'set fellows', fellows };
      };
      return { bag, put, whose: ` for ${fellow.name}` };
    }),
  );
  return [...own, ...theirs];
}

interface Candidate {
  change: Change;
  changed: Plan;
  of: string;
}

function candidatesFor(plan: Plan): Candidate[] {
  const inside = new Set(plan.things.filter(({ inside: holder }) => holder !== null).map(({ id }) => id));
  const carried = plan.things.filter(({ carry, id }) => carry === 'bike' && !inside.has(id));
  const largest = (things: readonly Thing[]) =>
    [...things].sort((a, b) => neededMl(b) - neededMl(a)).slice(0, MOST_OF_A_KIND);
  const edited = (edit: Edit): Plan | null => {
    const applied = applyEdit(plan, edit);
    return applied.ok ? applied.value.plan : null;
  };
  const out: Candidate[] = [];
  const add = (change: Change, changed: Plan | null, of: string) => {
    if (changed) out.push({ change, changed, of });
  };
  for (const thing of largest(
    carried.filter(({ system, form }) => system === 'clothes' && form.kind === 'soft'),
  )) {
    const edit: Edit = { kind: 'decide things', changes: [{ id: thing.id, patch: { carry: 'worn' } }] };
    add(
      { kind: 'worn', words: `Wear ${thing.name} at the start`, freesMl: neededMl(thing), edit },
      edited(edit),
      thing.id,
    );
  }
  for (const thing of largest(carried.filter(({ form }) => form.kind === 'soft'))) {
    const harder = { ...thing, volumeMl: Math.round(thing.volumeMl * HARDER) };
    const edit: Edit = { kind: 'put things', things: [harder] };
    add(
      {
        kind: 'pressed',
        words: `Press ${thing.name} into ${Math.round((1 - HARDER) * 100)} % less`,
        freesMl: neededMl(thing) - neededMl(harder),
        edit,
      },
      edited(edit),
      thing.id,
    );
  }
  for (const { bag, put, whose } of bagsOf(plan)) {
    const own = bag.compartments.reduce((sum, compartment) => sum + capacityMl(compartment), 0);
    for (const factor of LARGER) {
      const larger = {
        ...bag,
        compartments: bag.compartments.map((compartment) => ({
          ...compartment,
          statedMl: Math.round(capacityMl(compartment) * factor),
        })),
      };
      add(
        {
          kind: 'larger bag',
          words: `A larger ${bag.name.toLowerCase()}${whose}`,
          freesMl: own * (factor - 1),
          edit: null,
        },
        edited(put(larger)),
        bag.id,
      );
    }
  }
  return out;
}
