import { thingMassG } from '@/core/kit/thing';
import type { Edit, Move } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { factsOf } from '@/core/plan/facts';
import { seededRandom } from '@/core/random';
import { lowerBound } from './bound';
import { linearPoints, TERMS, type Term } from './costs';
import { explainLoad, type Reason } from './explain';
import { compileInstance, type Instance } from './instance';
import { brokenRules, objectiveOf } from './objective';
import { searchLoad, type SearchProgress } from './search';
import { neededMl } from './volume';

export interface LoadOptions {
  /** The same seed gives the same load. */
  seed?: number;
  /** Moves tried by the search. */
  moves?: number;
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
  /** Cheapest set found to leave behind so that the rest fits; empty when all fits. */
  leave: { thingId: string; name: string; massG: number; volumeMl: number }[];
  /** Things that move, of those placed. */
  moved: number;
  /** Each move by name: where from, where to; null is the floor. In the order of the kit. */
  moves: { thingId: string; name: string; from: string | null; to: string | null }[];
}

/** Why nothing can be loaded, in a sentence. */
export function cannotLoad(plan: Plan): string | null {
  if (plan.bags.length === 0) return 'There are no bags to load. Add the bags you own on the Bike stage.';
  if (plan.things.every((thing) => thing.carry === 'worn')) {
    return 'There is nothing to load. Lay out your kit on the Kit stage.';
  }
  return null;
}

/**
 * Loads a plan: the one entrance to fit and search. A generator of progress, whose return is the proposal.
 *
 * @example const proposal = runLoader(plan, { seed: 1 }); // all at once, for the command line and tests
 */
export function* loader(plan: Plan, options: LoadOptions = {}): Generator<SearchProgress, LoadProposal> {
  const instance = compileInstance(plan);
  const where = yield* searchLoad(instance, seededRandom(options.seed ?? 1), options.moves);
  return propose(plan, instance, where);
}

/** Runs the loader to its end. */
export function runLoader(plan: Plan, options: LoadOptions = {}): LoadProposal {
  const run = loader(plan, options);
  let step = run.next();
  while (!step.done) step = run.next();
  return step.value;
}

function propose(plan: Plan, instance: Instance, found: Int32Array): LoadProposal {
  const before = objectiveOf(instance, instance.start).total;
  // A sound load that is already as good stays as it is: nobody wants forty things moved for nothing.
  const keep =
    brokenRules(instance, instance.start).length === 0 && before <= objectiveOf(instance, found).total + 1e-9;
  const where = keep ? instance.start : found;
  const moves: Move[] = [];
  const leave: LoadProposal['leave'] = [];
  instance.things.forEach((thing, i) => {
    const to = where[i]!;
    if (to < 0)
      leave.push({
        thingId: thing.id,
        name: thing.name,
        massG: thingMassG(thing),
        volumeMl: neededMl(thing),
      });
    if (to === instance.start[i]) return;
    moves.push({ thingId: thing.id, to: to < 0 ? 'floor' : { compartmentId: instance.spots[to]!.id } });
  });
  const parts = objectiveOf(instance, where);
  return {
    edit: { kind: 'several', label: 'Load for me', edits: [{ kind: 'place', moves }] },
    objective: parts.total,
    before,
    bound: Math.min(lowerBound(instance), parts.total),
    terms: termsOf(plan, instance, where),
    reasons: explainLoad(plan, instance, where),
    leave,
    moved: moves.length,
    moves: instance.things.flatMap((thing, i) => {
      if (where[i] === instance.start[i]) return [];
      const spotId = (j: number) => (j < 0 ? null : instance.spots[j]!.id);
      return [
        { thingId: thing.id, name: thing.name, from: spotId(instance.start[i]!), to: spotId(where[i]!) },
      ];
    }),
  };
}

/** Each term's part of the objective, in points. */
function termsOf(plan: Plan, instance: Instance, where: Int32Array): Record<Term, number> {
  const parts = objectiveOf(instance, where);
  const { view } = factsOf(plan);
  const terms = Object.fromEntries(TERMS.map((term) => [term, 0])) as Record<Term, number>;
  instance.things.forEach((thing, i) => {
    if (where[i]! < 0) return;
    const cost = linearPoints(plan, view, thing, instance.spots[where[i]!]!);
    terms.handling += cost.handling;
    terms.reach += cost.reach;
    terms.dry += cost.dry;
  });
  return {
    ...terms,
    together: parts.together,
    apart: parts.apart,
    tight: parts.tight,
    balance: parts.balance,
    'left behind': parts.leftBehind,
  };
}
