import type { Thing } from '@/core/kit/thing';
import { holdersOf } from '@/core/kit/nests';
import type { Plan } from '@/core/plan/plan';

/** A moment of the trip. Setting out is the only one as long as nothing is planned that changes on the way. */
export type Moment = 'setting out';

export type ThingPlace =
  | { kind: 'worn' | 'floor' | 'home' }
  /** Of the rider's own bags, or of another rider's. */
  | { kind: 'compartment'; id: string };

/** One thing at a moment. What is packed inside another is where that is. */
export interface ThingState {
  /** As it is then: how many pieces, what they weigh, their volume, water in them, whether wet. The plan's own object where it has not changed. */
  thing: Thing;
  place: ThingPlace;
}

export interface PlanState {
  moment: Moment;
  /** In the order of the kit. */
  things: ThingState[];
  /** What is packed inside another thing, and in which. */
  holders: Map<string, string>;
}

/**
 * What changes along the way: each thing's mass, volume, wetness and place at a moment. All else in the facts is the same
 * all the way.
 *
 * @example stateAt(plan, 'setting out').things[0].place // { kind: 'compartment', id: 'seat-main' }
 */
export function stateAt(plan: Plan, moment: Moment): PlanState {
  const holders = holdersOf(plan.things);
  const thingById = new Map(plan.things.map((thing) => [thing.id, thing]));
  const entryOf = new Map(plan.load.map((entry) => [entry.thingId, entry]));
  const placeOf = (id: string): ThingPlace => {
    const outer = holders.get(id) ?? id;
    const entry = entryOf.get(outer);
    if (!entry) return { kind: thingById.get(outer)!.carry === 'worn' ? 'worn' : 'floor' };
    return entry.to === 'home' ? { kind: 'home' } : { kind: 'compartment', id: entry.to.compartmentId };
  };
  return {
    moment,
    things: plan.things.map((thing) => ({ thing, place: placeOf(thing.id) })),
    holders,
  };
}
