import { bareBike, riderCentre } from '@/core/bike/balance';
import { figuresOf, type Figures } from '@/core/bike/figures';
import { sideView, type SideView } from '@/core/bike/sideView';
import { bagLimit } from '@/core/packing/rules';
import { spotsOf, type Spot } from '@/core/packing/spots';
import { wheelBalance } from '@/core/ride/massProperties';
import type { Plan } from '@/core/plan/plan';

/** What a plan's bike and bags are before anything is in them: all that a load problem is made of beside the kit. */
export interface BikeFacts {
  figures: Figures;
  view: SideView;
  bare: ReturnType<typeof bareBike>;
  rider: ReturnType<typeof riderCentre>;
  /** The bare bike's share on the front wheel, without load or rider. */
  bareFrontShare: number;
  spots: Spot[];
  /** In the order of the plan's bags. */
  bags: { bagId: string; limitG: number; limitAssumed: boolean }[];
}

const known = new WeakMap<Plan['bags'], { bike: Plan['bike']; facts: BikeFacts }>();

/**
 * Figures, outlines and limits of a plan's bike and bags; without fits and clearances, which cost ten times as much. The
 * same objects for the same bike and bags, so that what hangs on them is found again while only the load changes.
 */
export function bikeFactsOf(plan: Plan): BikeFacts {
  const last = known.get(plan.bags);
  if (last && last.bike === plan.bike) return last.facts;
  const facts = findBikeFacts(plan);
  known.set(plan.bags, { bike: plan.bike, facts });
  return facts;
}

function findBikeFacts(plan: Plan): BikeFacts {
  const figures = figuresOf(plan.bike);
  const view = sideView(figures.geometry);
  const bare = bareBike(plan.bike, view);
  const rider = riderCentre(plan.bike, view);
  const spots = spotsOf(plan, view, rider.centre);
  const { frontG } = wheelBalance(bare.mass, view.rearAxle.x, view.frontAxle.x, view.groundZ);
  return {
    figures,
    view,
    bare,
    rider,
    bareFrontShare: frontG / bare.mass.massG,
    spots,
    bags: plan.bags.map((bag) => {
      const { limitG, assumed } = bagLimit(
        spots.filter((spot) => spot.bag.id === bag.id),
        plan.bike,
      );
      return { bagId: bag.id, limitG, limitAssumed: assumed };
    }),
  };
}
