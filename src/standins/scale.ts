import { bareBike, riderCentre } from '@/core/bike/balance';
import { figuresOf } from '@/core/bike/figures';
import { sideView } from '@/core/bike/sideView';
import type { Plan } from '@/core/plan/plan';
import type { Random } from '@/core/random';

/** What stands under which wheel when a scale is read. */
export interface ScaleQuestion {
  under: 'front' | 'rear';
  rider: boolean;
}

/** A scale that can be read from afar. The simulated one ships with Gorvin; a real one answers the same way. */
export interface Scale {
  /** Grams under one wheel, as the scale shows them. */
  read(question: ScaleQuestion): Promise<number>;
}

/** How the made-up bike and rider differ from Gorvin's defaults, so that a reading has something to tell. */
const BIKE_FURTHER_BACK_MM = 35;
const RIDER_FURTHER_FORWARD_MM = 30;
/** A plain scale shows steps of this, and wavers by about as much. */
const STEP_G = 50;

/**
 * A scale as it would behave under the wheels of this plan's bike: a made-up truth a little away from the
 * defaults, rounded to the scale's steps, with some waver from the random source it is handed.
 */
export function simulatedScale(plan: Pick<Plan, 'bike' | 'rider'>, random: Random): Scale {
  const view = sideView(figuresOf(plan.bike).geometry);
  const unweighed = plan.bike && { ...plan.bike, readings: null };
  const { mass } = bareBike(unweighed, view);
  const rider = riderCentre(unweighed, view);
  const onFront = (massG: number, x: number) => (massG * (x - view.rearAxle.x)) / view.wheelbaseMm;
  return {
    read({ under, rider: seated }) {
      const bikeFront = onFront(mass.massG, mass.x - BIKE_FURTHER_BACK_MM);
      const riderFront = seated ? onFront(plan.rider.massG, rider.centre.x + RIDER_FURTHER_FORWARD_MM) : 0;
      const total = mass.massG + (seated ? plan.rider.massG : 0);
      const front = bikeFront + riderFront;
      const truth = under === 'front' ? front : total - front;
      const shown = truth + (random() - 0.5) * STEP_G;
      return Promise.resolve(Math.max(0, Math.round(shown / STEP_G) * STEP_G));
    },
  };
}
