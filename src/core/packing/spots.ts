import { capacityMl, type Bag, type Compartment } from '@/core/bag/bag';
import type { Chamber } from '@/core/fit/chamber';
import { knownChamber } from '@/core/fit/known';
import { solidExtentsMm } from '@/core/geometry/solid';
import { placeBags, type PlacedBag } from '@/core/bag/places';
import type { SideView } from '@/core/bike/sideView';
import type { Point } from '@/core/geometry/polygon';
import type { Plan } from '@/core/plan/plan';

/** A compartment as the loader and the checks see it: where it is, what it takes. */
export interface Spot {
  id: string;
  /** Letter that stands for it on the board; the first 26 compartments have one. */
  letter: string;
  name: string;
  bag: Bag;
  compartment: Compartment;
  capacityMl: number;
  /** Its inside, scaled to its litres, and that solid's greatest extents. */
  chamber: Chamber;
  extentsMm: [number, number, number];
  place: PlacedBag;
  /** The bike it hangs on, from the side. */
  view: SideView;
  onBody: boolean;
}

/** All compartments of a plan, in the order of its bags. */
export function spotsOf(plan: Plan, view: SideView, riderCentre: Point): Spot[] {
  const places = placeBags(view, plan.bags, plan.bike?.build.mounts ?? [], riderCentre);
  const spots: Spot[] = [];
  plan.bags.forEach((bag, i) => {
    for (const compartment of bag.compartments) {
      const chamber = knownChamber(bag, compartment);
      spots.push({
        id: compartment.id,
        letter: spots.length < 26 ? String.fromCharCode(65 + spots.length) : '',
        name: bag.compartments.length > 1 ? `${bag.name}, ${compartment.name}` : bag.name,
        bag,
        compartment,
        capacityMl: capacityMl(compartment),
        chamber,
        extentsMm: solidExtentsMm(chamber.solid),
        place: places[i]!,
        view,
        onBody: bag.place === 'body',
      });
    }
  });
  return spots;
}
