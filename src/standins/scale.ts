import { bareBike, riderCentre } from '@/core/bike/balance';
import { figuresOf } from '@/core/bike/figures';
import { sideView } from '@/core/bike/sideView';
import { thingMassG } from '@/core/kit/thing';
import type { Plan } from '@/core/plan/plan';
import type { Random } from '@/core/random';

/** What is on the scale when it is read: one wheel of the bare bike, or a packed bag. */
export type ScaleQuestion = { under: 'front' | 'rear'; rider: boolean } | { bagId: string };

/** A scale that can be read from afar. The simulated one ships with Gorvin; a real one answers the same way. */
export interface Scale {
  /** Grams, as the scale shows them. */
  read(question: ScaleQuestion): Promise<number>;
}

/** How the made-up bike and rider differ from Gorvin's defaults, so that a reading has something to tell. */
const BIKE_FURTHER_BACK_MM = 35;
const RIDER_FURTHER_FORWARD_MM = 30;
/** How much heavier things are whose masses were only estimated. */
const ESTIMATE_OFF = 1.08;
/** A plain scale shows steps of this, and wavers by about as much. */
const STEP_G = 50;

/**
 * A scale as it would behave under the wheels of this plan's bike, or with one of its bags hung on it: a made-up truth a little away
 * from what is assumed, rounded to the scale's steps, with some waver from the random source it is handed.
 */
export function simulatedScale(plan: Plan, random: Random): Scale {
  const view = sideView(figuresOf(plan.bike).geometry);
  const unweighed = plan.bike && { ...plan.bike, readings: null };
  const { mass } = bareBike(unweighed, view);
  const rider = riderCentre(unweighed, view);
  const onFront = (massG: number, x: number) => (massG * (x - view.rearAxle.x)) / view.wheelbaseMm;
  const show = (truth: number) => {
    const shown = truth + (random() - 0.5) * STEP_G;
    return Promise.resolve(Math.max(0, Math.round(shown / STEP_G) * STEP_G));
  };
  const wheel = (under: 'front' | 'rear', seated: boolean) => {
    const bikeFront = onFront(mass.massG, mass.x - BIKE_FURTHER_BACK_MM);
    const riderFront = seated ? onFront(plan.rider.massG, rider.centre.x + RIDER_FURTHER_FORWARD_MM) : 0;
    const total = mass.massG + (seated ? plan.rider.massG : 0);
    const front = bikeFront + riderFront;
    return under === 'front' ? front : total - front;
  };
  const packedBag = (bagId: string) => {
    const bag = plan.bags.find(({ id }) => id === bagId);
    const own = new Set(bag?.compartments.map(({ id }) => id));
    const inIt = new Set(
      plan.load.flatMap(({ thingId, to }) => (to !== 'home' && own.has(to.compartmentId) ? [thingId] : [])),
    );
    return plan.things
      .filter(({ id, inside }) => inIt.has(id) || (inside !== null && inIt.has(inside)))
      .reduce(
        (sum, thing) => sum + thingMassG(thing) * (thing.massSource === 'estimate' ? ESTIMATE_OFF : 1),
        bag?.massG ?? 0,
      );
  };
  return {
    read: (question) =>
      show('bagId' in question ? packedBag(question.bagId) : wheel(question.under, question.rider)),
  };
}
