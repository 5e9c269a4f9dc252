import { thingMassG } from '@/core/kit/thing';
import type { Edit, Move } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { compartmentsOf } from '@/core/plan/where';
import { seededRandom } from '@/core/random';
import { lowerBound } from '../bound/bound';
import { LINEAR_TERMS, linearPoints, TERMS, type Term } from '@/core/packing/costs';
import { explainLoad, type Reason } from './explain';
import { limitsOf, type Limiting } from './limits';
import {
  compileInstance,
  MOVE_POINTS,
  withLeastRoom,
  withMovesPriced,
  type Instance,
} from '../model/instance';
import { brokenRules, objectiveOf } from '../model/objective';
import { FitCosts } from '../search/fitCosts';
import { searchLoad } from '../search/fitSearch';
import { ROUNDS } from '../search/tuning';
import { bestOf, seedsOf } from './seeds';
import { partsOf } from '@/core/packing/singles';
import { neededMl } from '@/core/packing/volume';

/** A load is only changed for one that is better by such a share of its points. */
const WORTH_MOVING = 0.01;

export interface LoadOptions {
  /** The same seed gives the same load. */
  seed?: number;
  /** How long it looks: 1 is one to two seconds of one thread for 60 to 120 things. */
  effort?: number;
}

/** What the loader proposes, with its reasons. Nothing is changed until its edit is applied. */
export interface LoadProposal {
  edit: Edit;
  objective: number;
  /** The objective of the load as it was. */
  before: number;
  /** No load that keeps the hard rules is better than this; what is pinned may break them and go below. */
  bound: number;
  terms: Record<Term, number>;
  reasons: Reason[];
  /** What limits the load, the most first. */
  limits: Limiting[];
  /** Cheapest set found to leave behind so that the rest fits; empty when all fits. */
  leave: { thingId: string; name: string; massG: number; volumeMl: number }[];
  /** Things that move, of those placed. */
  moved: number;
  /** Each move by name: where from, where to; null is the floor. In the order of the kit. */
  moves: { thingId: string; name: string; from: string | null; to: string | null }[];
}

/** What the loader tells on the way. */
export interface LoaderProgress {
  /** 0 to 1. */
  done: number;
  /** Best objective so far, and how many things that load leaves. */
  best: number;
  left: number;
}

/** Where the best load found last has things: compartment by thing. */
export interface LoadMemory {
  placed: ReadonlyMap<string, string>;
}

export interface LoaderHelp {
  /** Asked before each round beyond those of its effort: whether there is to be one more. */
  goesOn?: () => boolean;
  /** It begins from that too, and leaves there what it finds. */
  memory?: LoadMemory;
}

/**
 * Loads a plan by one search: the entrance to fit and search. A generator of progress, whose return is the proposal. Told
 * to stop by `next(true)` it proposes the best load so far; there is one from the first report on.
 *
 * @example const proposal = runLoader(plan, { seed: 1 }); // all at once, for the command line and tests
 */
export function* loader(
  plan: Plan,
  options: LoadOptions = {},
  { goesOn, memory }: LoaderHelp = {},
): Generator<LoaderProgress, LoadProposal, boolean | undefined> {
  const instance = compileInstance(plan);
  const rounds = Math.max(1, Math.round(ROUNDS * (options.effort ?? 1)));
  const run = searchLoad(withMovesPriced(instance), seededRandom(options.seed ?? 1), {
    rounds,
    known: memory && memory.placed.size > 0 ? [knownLoad(instance, memory)] : [],
    boundOf: (known) => boundByFit(instance, known),
    goesOn,
  });
  let best = instance.start;
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) return propose(plan, instance, step.value);
    if (step.value.where) {
      best = step.value.where;
      if (memory) memory.placed = placedBy(instance, best);
    }
    let left = 0;
    for (const j of best) if (j < 0) left += 1;
    if (yield { done: step.value.done, best: step.value.best, left }) return propose(plan, instance, best);
  }
}

/** Which compartment of the instance has an id. */
const spotIndexOf = ({ spots }: Instance): ReadonlyMap<string, number> =>
  new Map(spots.map(({ id }, j) => [id, j]));

/** A load found before, of what is still there and may still lie where it did. */
export function knownLoad(instance: Instance, { placed }: LoadMemory): Int32Array {
  const spotIndex = spotIndexOf(instance);
  return instance.start.map((start, i) => {
    if (instance.fixed[i]) return start;
    const j = spotIndex.get(placed.get(instance.things[i]!.id) ?? '') ?? -1;
    return j >= 0 && instance.allowed[i * instance.m + j] ? j : -1;
  });
}

function placedBy(instance: Instance, where: Int32Array): ReadonlyMap<string, string> {
  const placed = new Map<string, string>();
  instance.things.forEach(({ id }, i) => {
    if (where[i]! >= 0) placed.set(id, instance.spots[where[i]!]!.id);
  });
  return placed;
}

/**
 * A bound on the loads that close by how things lie. Litres alone say too much of what does not close: stiff things that
 * happen to lie well take less room than they are counted with.
 */
export const boundByFit = (instance: Instance, known: number): number =>
  lowerBound(withLeastRoom(instance), known);

/** Runs the searches of all seeds to their end, one after the other: the load that threads side by side find too. */
export const runLoader = (plan: Plan, { seed = 1, effort }: LoadOptions = {}): LoadProposal =>
  bestOf(
    seedsOf(seed).map((own) => {
      const run = loader(plan, { seed: own, effort });
      let step = run.next();
      while (!step.done) step = run.next();
      return step.value;
    }),
  );

function propose(plan: Plan, instance: Instance, found: Int32Array): LoadProposal {
  const [atStart, atFound] = [judged(instance, instance.start), judged(instance, found)];
  // A sound load that is nearly as good stays as it is: nobody wants forty things moved for nothing.
  const changes = instance.start.reduce((sum, from, i) => sum + (from === found[i] ? 0 : 1), 0);
  const worth = Math.max(WORTH_MOVING * atStart.total, MOVE_POINTS * changes);
  const keep = atStart.sound && atStart.total <= atFound.total + worth;
  const where = keep ? instance.start : found;
  const placed = compartmentsOf(plan);
  const kit = new Map(plan.things.map((thing) => [thing.id, thing]));
  const targets = new Map<string, (string | null)[]>();
  instance.outer.forEach((lot, i) => {
    const to = where[i]! < 0 ? null : instance.spots[where[i]!]!.id;
    for (const { id } of lot) targets.set(id, [...(targets.get(id) ?? []), to]);
  });
  const parts = [...targets].flatMap(([id, to]) => partsOf(kit.get(id)!, to, kit));
  // One of several that belong together may lie elsewhere although the first is in its place.
  const moved = parts.filter(({ thing, to }) => (placed.get(thing.id) ?? null) !== to);
  const parted = parts.filter(({ thing }) => kit.get(thing.id) !== thing).map(({ thing }) => thing);
  const moves = moved.map(({ thing, to }): Move => ({
    thingId: thing.id,
    to: to === null ? 'floor' : { compartmentId: to },
  }));
  const { total } = keep ? atStart : atFound;
  return {
    edit: {
      kind: 'several',
      label: 'Load for me',
      edits: [
        ...(parted.length > 0 ? [{ kind: 'put things' as const, things: parted }] : []),
        { kind: 'place', moves },
      ],
    },
    objective: total,
    before: atStart.total,
    bound: Math.min(boundByFit(instance, total), total),
    terms: termsOf(plan, instance, where),
    reasons: explainLoad(plan, instance, where),
    limits: limitsOf(instance, where),
    leave: parts.flatMap(({ thing, to }) =>
      to === null
        ? [{ thingId: thing.id, name: thing.name, massG: thingMassG(thing), volumeMl: neededMl(thing) }]
        : [],
    ),
    moved: moved.length,
    moves: moved.map(({ thing, to }) => ({
      thingId: thing.id,
      name: thing.name,
      from: placed.get(thing.id) ?? null,
      to,
    })),
  };
}

/** A load by the full objective: what must be dug out too, and whether everything closes by how it lies. */
export function judged(
  instance: Instance,
  where: Int32Array,
): { total: number; order: number; sound: boolean } {
  const fits = new FitCosts(instance);
  fits.patiently(() => fits.start(where));
  const order = fits.totalOrder();
  return {
    total: objectiveOf(instance, where).total + order,
    order,
    sound: brokenRules(instance, where, (j) => fits.closes(j)).length === 0,
  };
}

/** Each term's part of the objective, in points. */
export function termsOf(plan: Plan, instance: Instance, where: Int32Array): Record<Term, number> {
  const parts = objectiveOf(instance, where);
  const terms = Object.fromEntries(TERMS.map((term) => [term, 0])) as Record<Term, number>;
  instance.members.forEach((lot, i) => {
    if (where[i]! < 0) return;
    for (const thing of lot) {
      const cost = linearPoints(plan, thing, instance.spots[where[i]!]!);
      for (const term of LINEAR_TERMS) terms[term] += cost[term];
    }
  });
  return {
    ...terms,
    together: parts.together,
    'food bags': parts.foodBags,
    apart: parts.apart,
    tight: parts.tight,
    balance: parts.balance,
    order: judged(instance, where).order,
    fair: parts.fair,
    wishes: parts.wishes,
    'left behind': parts.leftBehind,
  };
}
