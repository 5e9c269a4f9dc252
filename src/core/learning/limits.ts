import { canSway, type Bag } from '@/core/bag/bag';
import { MOST_SAG_MM_PER_KG } from '@/core/bag/bag';
import type { HungBag } from '@/core/clearance/clearance';
import { tyreClearances, usualSagMmPerKg } from '@/core/clearance/tyres';
import { inOrder, type Entry, type Trouble } from '@/core/entries/entry';
import type { TestCheck } from '@/core/instructions/testRide';
import { factsOf, type Facts } from '@/core/facts/facts';
import { planOf } from '@/core/plan/riders';
import { TAIL_CHECK_KGM } from '@/core/ride/massProperties';
import type { Ridden } from './ridden';

export const LIMITS_FOUND = ['sway', 'sag'] as const;
export type LimitName = (typeof LIMITS_FOUND)[number];

/** What was found of one bag: with what it went wrong, and with what it did not. */
export interface LimitFound {
  limit: LimitName;
  bagId: string;
  name: string;
  /** Tail moment in kg·m with which it swayed, or sag in mm/kg that it must at least have had to touch the tyre; null where it never did. */
  wrong: number | null;
  /** The same, of trips on which it did not. */
  well: number | null;
  /** What is usual for such a bag. */
  usual: number;
  trips: number;
}

/**
 * What bags did on one bike, on trips and test rides, from the log and the answers: the tail moments with which they swayed, and how far they must have
 * sagged to touch a tyre.
 *
 * @param bikeId of the trips that count: on another bike a bag hangs otherwise
 * @example ridden with 0.7 calmly and with 0.95 swaying: it sways from between the two on
 */
export function limitsFound(trips: readonly Ridden[], bikeId: string | null): LimitFound[] {
  const found = new Map<string, LimitFound>();
  const note = (limit: LimitName, bag: Bag, value: number, wentWrong: boolean) => {
    const key = `${limit} ${bag.id}`;
    const own = found.get(key) ?? {
      ...{ limit, bagId: bag.id, name: bag.name, wrong: null, well: null, trips: 0 },
      usual: limit === 'sway' ? TAIL_CHECK_KGM : usualSagMmPerKg(bag),
    };
    // Less swings a pack than did once; a pack sags as far as it did once.
    const [worse, better] = limit === 'sway' ? [Math.min, Math.max] : [Math.max, Math.min];
    if (wentWrong) own.wrong = own.wrong === null ? value : worse(own.wrong, value);
    else own.well = own.well === null ? value : better(own.well, value);
    found.set(key, { ...own, trips: own.trips + 1 });
  };
  for (const { plan, entries } of trips) {
    if ((plan.bike?.id ?? null) !== bikeId) continue;
    const facts = factsOf(planOf(plan, null));
    const swayed = bagsWith(entries, 'sways', 'sway');
    const moment = facts.handling?.tailMomentKgM ?? 0;
    const touched = bagsWith(entries, 'tyre', 'travel');
    for (const hung of filledBags(facts)) {
      const { bag } = hung;
      if (moment > 0 && isBehind(facts, bag)) note('sway', bag, moment, swayed.has(bag.id));
      const touching = touchingMmPerKg(facts, hung);
      if (touching !== null) note('sag', bag, touching, touched.has(bag.id));
    }
  }
  return [...found.values()];
}

/** Bags with one kind of trouble, as it was logged on the way or answered on the test ride. */
const bagsWith = (entries: readonly Entry[], trouble: Trouble, check: TestCheck): Set<string> =>
  new Set(
    inOrder(entries).flatMap((entry) => {
      const isIt =
        (entry.kind === 'logged' && entry.trouble === trouble) ||
        (entry.kind === 'tested' && entry.check === check && !entry.isGood);
      return isIt && entry.bagId !== null ? [entry.bagId] : [];
    }),
  );

/** Bags on the bike that have something in them, with what they weigh. */
const filledBags = ({ surroundings, compartments }: Facts) =>
  surroundings.bags.filter(({ bag }) =>
    compartments.some(({ spot, massG }) => massG > 0 && spot.bag.id === bag.id && !spot.onBody),
  );

const isBehind = ({ spots, view }: Facts, bag: Bag): boolean =>
  canSway(bag) &&
  spots.some(({ bag: own, place }) => own.id === bag.id && place.centre.x <= view.seatpostClamp.x);

/**
 * How far a bag would have to sag under each kilogram to touch a tyre at full travel, in mm; null where it is not over one, or could sag as far
 * as bags ever do without touching. By halving: the more it sags, the less is free.
 *
 * @example 40 mm straight above the tyre under 2 kg // 20
 */
function touchingMmPerKg({ surroundings }: Facts, hung: HungBag): number | null {
  if (usualSagMmPerKg(hung.bag) === 0) return null;
  const isFree = (sagMmPerKg: number) => {
    const bags = [{ ...hung, bag: { ...hung.bag, sagMmPerKg } }];
    return tyreClearances({ ...surroundings, bags }).every(({ gapMm }) => gapMm > 0);
  };
  let [free, touching] = [0, MOST_SAG_MM_PER_KG];
  if (isFree(touching)) return null;
  while (touching - free > 0.001) {
    const between = (free + touching) / 2;
    if (isFree(between)) free = between;
    else touching = between;
  }
  return touching;
}

/** Straps that would have to give so many times as much as usual did not give: the bag slipped. */
const SLIPPED = 3;
export const hasSlipped = ({ limit, wrong, usual }: Pick<LimitFound, 'limit' | 'wrong' | 'usual'>): boolean =>
  limit === 'sag' && wrong !== null && wrong > SLIPPED * usual;

/**
 * The limit to plan with: between what went wrong and what went well; null where nothing went wrong, or the bag must have slipped. A bag is
 * never taken to sag less than is usual.
 *
 * @example limitOf({ limit: 'sway', wrong: 0.95, well: 0.75, usual: 1.2 }) // 0.85
 */
export function limitOf(found: Pick<LimitFound, 'limit' | 'wrong' | 'well' | 'usual'>): number | null {
  const { limit, wrong, well, usual } = found;
  if (wrong === null || hasSlipped(found)) return null;
  const isBetween = well !== null && (limit === 'sway' ? well < wrong : well > wrong);
  const value = isBetween ? (wrong + well) / 2 : wrong;
  return limit === 'sway' ? value : Math.max(usual, value);
}
