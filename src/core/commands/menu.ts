import { isOpenWhenPassed } from '@/core/facts/open';
import type { Facts } from '@/core/facts/facts';
import { conditionsOf } from '@/core/facts/conditions';
import { menuOf, needsOf } from '@/core/facts/food';
import { rideOf, type PlaceOnRoute } from '@/core/facts/ride';
import { maySuit, PANTRY, pantryFood, type Food } from '@/core/food/pantry';
import type { MenuEntry } from '@/core/food/menuSchema';
import { keepsAt } from '@/core/menu/keeping';
import type { Candidate, MenuProblem, Portions } from '@/core/menu/menuProgram';
import { portionOf, thingOfFood } from '@/core/menu/portion';
import { cutTo } from '@/core/units/text';
import type { Edit, SimpleEdit } from '@/core/plan/edit';

/** Bought ready where a shop is: what villages have. */
const VILLAGE_PRICE = 1.6;

/** Names a pantry food from one place; null is home. */
const offerId = (food: Food, placeId: string | null): string =>
  placeId === null ? food.id : `${food.id}@${placeId}`;

/** Shops that are open when the rider passes, or whose hours are not known, in order. */
export function openShops(facts: Facts): PlaceOnRoute[] {
  const ride = rideOf(facts);
  if (!ride) return [];
  return ride.places.filter((each) => each.place.kind === 'shop' && isOpenWhenPassed(ride, each) !== false);
}

/**
 * What the menu solver is asked: what each day needs, every food that may be eaten when, and what is locked. Foods of the kit come first; a
 * pantry food that is in the kit is not listed twice.
 *
 * @param usesPantry whether foods that are not in the kit may be taken from the pantry
 */
export function menuProblem(facts: Facts, usesPantry: boolean): MenuProblem {
  const { plan } = facts;
  const { trip } = plan;
  const { warmestC } = conditionsOf(facts);
  const { days } = needsOf(facts);
  const { diet, avoids, aim } = trip.eating;
  const home = new Set(facts.home);
  const canHeat = trip.cooking === 'stove';
  const candidates: Candidate[] = [];
  const inKit = new Set<string>();
  const locked = trip.menu.filter((entry) => entry.locked);
  for (const thing of plan.things) {
    const portion = portionOf(thing);
    if (!portion) continue;
    const isLocked = locked.some(({ thingId }) => thingId === thing.id);
    const stored = pantryFood(thing.kind);
    // What was bought on the way belongs to its shop; it is chosen anew with the others.
    const isBought = trip.menu.some(({ thingId, boughtAt }) => thingId === thing.id && boughtAt !== null);
    if (home.has(thing) || (isBought && !isLocked)) continue;
    inKit.add(thing.kind ?? thing.id);
    if (!maySuit(portion, diet, avoids) || (!canHeat && portion.boilMl > 0)) {
      if (!isLocked) continue;
    }
    candidates.push({
      id: thing.id,
      name: thing.name,
      slots:
        portion.slots.includes('spare') || portion.boilMl > 0 ? portion.slots : [...portion.slots, 'spare'],
      isSide: stored?.isSide ?? false,
      massG: portion.massG,
      volumeMl: portion.volumeMl,
      energyKJ: portion.energyKJ,
      carbG: portion.carbG,
      proteinG: portion.proteinG,
      boilMl: portion.boilMl,
      price: stored ? stored.price : 0.5,
      fromDay: 1,
      untilDay: 1 + Math.floor(keepsAt(portion.keepsDays, warmestC)),
      carried: 1,
      // A pantry food is bought for the trip, in any number; of the rider's own there is what there is.
      most: stored || usesPantry ? null : thing.quantity * portion.perPiece,
    });
  }
  const shops = trip.cooking === 'buy on the way' ? openShops(facts) : [];
  if (usesPantry || shops.length > 0)
    for (const food of PANTRY) {
      if (inKit.has(food.id) || !maySuit(food, diet, avoids) || (!canHeat && food.boilMl > 0)) continue;
      const keeps = Math.floor(keepsAt(food.keepsDays, warmestC));
      if (usesPantry) candidates.push(candidateOf(food, food.id, 1, 1 + keeps, 1));
      if (food.price <= VILLAGE_PRICE)
        for (const { place, day } of shops)
          candidates.push(
            candidateOf(
              food,
              offerId(food, place.id),
              day,
              day + keeps,
              Math.max(0.1, (days.length - day + 0.5) / days.length),
            ),
          );
    }
  return {
    days,
    candidates,
    fixed: locked.map(({ thingId, day, slot, portions }) => ({ id: thingId, day, slot, portions })),
    aim,
  };
}

const candidateOf = (
  food: Food,
  id: string,
  fromDay: number,
  untilDay: number,
  carried: number,
): Candidate => ({
  id,
  name: food.name,
  slots: food.slots,
  isSide: food.isSide,
  massG: food.massG,
  volumeMl: food.volumeMl,
  energyKJ: (food.massG * food.kJPer100G) / 100,
  carbG: (food.massG * food.carbPer100G) / 100,
  proteinG: (food.massG * food.proteinPer100G) / 100,
  boilMl: food.boilMl,
  price: food.price,
  fromDay,
  untilDay,
  carried,
  most: null,
});

/**
 * The edit that makes a found menu the trip's: locked lines stay, foods of the pantry become things of the kit, as many of each are taken as
 * are eaten, and pantry foods that are eaten no more leave the kit.
 *
 * @param makeId hands out fresh ids
 */
export function menuEdit(facts: Facts, found: readonly Portions[], makeId: () => string): Edit {
  const { plan } = facts;
  const locked = plan.trip.menu.filter((entry) => entry.locked);
  const thingOf = new Map(plan.things.map((thing) => [thing.id, thing]));
  const placeNames = new Map((plan.route?.places ?? []).map(({ id, name }) => [id, name]));
  const places = [null, ...openShops(facts).map(({ place }) => place.id)];
  const offers = new Map(
    PANTRY.flatMap((food) => places.map((placeId) => [offerId(food, placeId), { food, placeId }] as const)),
  );
  const made = new Map<string, string>();
  const added: Extract<SimpleEdit, { kind: 'put things' }>['things'] = [];
  const menu: MenuEntry[] = [...locked];
  const uses = new Map<string, number>();
  const count = (id: string, portions: number) => uses.set(id, (uses.get(id) ?? 0) + portions);
  for (const { thingId, portions } of locked) count(thingId, portions);
  for (const { id, day, slot, portions } of found) {
    const { food, placeId } = offers.get(id) ?? { food: null, placeId: null };
    let thingId = thingOf.has(id) ? id : made.get(id);
    if (thingId === undefined) {
      const thing = thingOfFood(makeId(), food!, 1);
      if (placeId !== null)
        thing.name = cutTo(`${thing.name} (${placeNames.get(placeId) ?? 'on the way'})`, 120);
      added.push(thing);
      made.set(id, (thingId = thing.id));
    }
    count(thingId, portions);
    menu.push({ thingId, day, slot, portions, locked: false, boughtAt: placeId });
  }
  for (const thing of added) thing.quantity = uses.get(thing.id)!;
  const gone = plan.things.filter((thing) => pantryFood(thing.kind) && !uses.has(thing.id));
  const changes = plan.things.flatMap((thing) => {
    const used = uses.get(thing.id);
    const portion = portionOf(thing);
    if (used === undefined || !portion) return [];
    const quantity = Math.ceil(used / portion.perPiece - 1e-9);
    const isEnough = pantryFood(thing.kind) ? quantity === thing.quantity : quantity <= thing.quantity;
    return isEnough ? [] : [{ id: thing.id, patch: { quantity } }];
  });
  const edits: SimpleEdit[] = [{ kind: 'set trip', patch: { menu } }];
  if (added.length > 0) edits.unshift({ kind: 'put things', things: added });
  if (changes.length > 0) edits.push({ kind: 'decide things', changes });
  if (gone.length > 0) edits.push({ kind: 'remove things', ids: gone.map(({ id }) => id) });
  return { kind: 'several', label: 'Menu filled', edits };
}

/** Leave of each food what no meal uses. */
export function leaveSpareFood(facts: Facts): Edit | null {
  const { spare } = menuOf(facts);
  const used = new Set(facts.plan.trip.menu.map(({ thingId }) => thingId));
  const home = new Set(facts.home.map(({ id }) => id));
  const moves = spare
    .filter(({ thing }) => !used.has(thing.id) && !home.has(thing.id))
    .map(({ thing }) => ({ thingId: thing.id, to: 'home' as const }));
  const changes = spare.flatMap(({ thing, portions }) => {
    const fewer = Math.floor(portions / portionOf(thing)!.perPiece);
    return used.has(thing.id) && fewer > 0
      ? [{ id: thing.id, patch: { quantity: thing.quantity - fewer } }]
      : [];
  });
  if (moves.length + changes.length === 0) return null;
  const edits: SimpleEdit[] = [];
  if (moves.length > 0) edits.push({ kind: 'place', moves });
  if (changes.length > 0) edits.push({ kind: 'decide things', changes });
  return { kind: 'several', label: 'Food that no meal uses left at home', edits };
}
