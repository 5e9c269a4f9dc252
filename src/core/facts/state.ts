import type { Form, Thing } from '@/core/kit/thing';
import { holdersOf } from '@/core/kit/nests';
import { specOf } from '@/core/kit/specs';
import { portionOf } from '@/core/menu/portion';
import { purposesOf } from '@/core/needs/purposes';
import type { Plan } from '@/core/plan/plan';
import { SETTING_OUT, type Moment } from './moment';
import { waterIn } from './vessels';

export type ThingPlace =
  | { kind: 'worn' | 'floor' | 'home' }
  /** Still to be bought on the way. */
  | { kind: 'not yet' }
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
 * @example stateAt(plan).things[0].place // { kind: 'compartment', id: 'seat-main' }
 */
export function stateAt(plan: Plan, moment: Moment = SETTING_OUT): PlanState {
  const holders = holdersOf(plan.things);
  const thingById = new Map(plan.things.map((thing) => [thing.id, thing]));
  const entryOf = new Map(plan.load.map((entry) => [entry.thingId, entry]));
  const unbought = moment === SETTING_OUT ? boughtOnTheWay(plan) : moment.unbought;
  const placeOf = (id: string): ThingPlace => {
    const outer = holders.get(id) ?? id;
    const entry = entryOf.get(outer);
    if (entry?.to !== 'home' && unbought.has(id)) return { kind: 'not yet' };
    if (!entry) return { kind: thingById.get(outer)!.carry === 'worn' ? 'worn' : 'floor' };
    return entry.to === 'home' ? { kind: 'home' } : { kind: 'compartment', id: entry.to.compartmentId };
  };
  const placed = plan.things.map((thing) => ({ thing, place: placeOf(thing.id) }));
  if (moment.kind === 'setting out') return { moment, things: placed, holders };
  const along = placed.filter(({ place }) => place.kind !== 'home').map(({ thing }) => thing);
  const water = waterIn(along, moment.waterMl);
  let burntG = moment.burntG;
  return {
    moment,
    holders,
    things: placed.map(({ thing, place }) => {
      if (place.kind === 'home') return { thing, place };
      let changed = afterEating(thing, moment.eaten.get(thing.id) ?? 0);
      const waterMl = water.get(thing.id);
      if (waterMl !== undefined) changed = withMass(changed, { waterMl });
      const fuelG = burntG > 0 && purposesOf(thing).includes('fuel') ? specOf(thing, 'fuelG') : null;
      if (fuelG !== null) {
        const usedG = Math.min(burntG, fuelG * thing.quantity);
        burntG -= usedG;
        changed = withMass(changed, { massG: Math.round(thing.massG - usedG / thing.quantity) });
      }
      if (moment.isShelterWet && thing.traits.includes('wet') && purposesOf(thing).includes('shelter'))
        changed = packedWet(changed);
      return { thing: changed, place };
    }),
  };
}

const bought = new WeakMap<Plan['trip']['menu'], ReadonlySet<string>>();

/** Things of which no portion comes from home. */
function boughtOnTheWay({ trip: { menu } }: Plan): ReadonlySet<string> {
  let ids = bought.get(menu);
  if (!ids) {
    const fromHome = new Set(menu.flatMap(({ thingId, boughtAt }) => (boughtAt === null ? [thingId] : [])));
    ids = new Set(menu.flatMap(({ thingId }) => (fromHome.has(thingId) ? [] : [thingId])));
    bought.set(menu, ids);
  }
  return ids;
}

/**
 * Things as they are with other figures: the same object for the same change, so that what has not changed between two moments is not
 * fitted anew.
 */
const variants = new WeakMap<Thing, Map<string, Thing>>();
function variant(thing: Thing, key: string, make: () => Thing): Thing {
  let of = variants.get(thing);
  if (!of) variants.set(thing, (of = new Map()));
  let made = of.get(key);
  if (!made) of.set(key, (made = make()));
  return made;
}

const withMass = (thing: Thing, patch: { massG?: number; waterMl?: number }): Thing =>
  (patch.massG ?? thing.massG) === thing.massG && (patch.waterMl ?? thing.waterMl) === thing.waterMl
    ? thing
    : variant(thing, `mass ${patch.massG} ${patch.waterMl}`, () => ({ ...thing, ...patch }));

/** Wrappers and peel, of what was eaten. They stay where the food was. */
const RUBBISH_MASS = 0.04;
const RUBBISH_VOLUME = 0.08;

function afterEating(thing: Thing, eaten: number): Thing {
  const portion = eaten > 0 ? portionOf(thing) : null;
  if (!portion) return thing;
  const all = thing.quantity * portion.perPiece;
  const gone = Math.min(eaten, all);
  return variant(thing, `eaten ${gone.toFixed(2)}`, () => {
    const left = all - gone;
    const quantity = Math.max(1, Math.ceil(left / portion.perPiece - 1e-9));
    const mass = (left + RUBBISH_MASS * gone) / all;
    const volume = (left + RUBBISH_VOLUME * gone) / all;
    const per = thing.quantity / quantity;
    const form: Form =
      thing.form.kind === 'soft'
        ? { kind: 'soft', looseMl: thing.form.looseMl * volume * per }
        : left > 0
          ? thing.form
          : { kind: 'soft', looseMl: 1.2 * thing.volumeMl * volume * per };
    return {
      ...thing,
      quantity,
      massG: thing.massG * mass * per,
      volumeMl: form.kind === 'soft' ? thing.volumeMl * volume * per : thing.volumeMl,
      form,
    };
  });
}

/** A tent packed wet is 15 to 30 % heavier and a fifth larger (methods, section 17). */
const WET = 1.2;

const packedWet = (thing: Thing): Thing =>
  variant(thing, 'wet', () => ({
    ...thing,
    massG: Math.round(thing.massG * WET),
    volumeMl: thing.form.kind === 'soft' ? thing.volumeMl * WET : thing.volumeMl,
    form: thing.form.kind === 'soft' ? { kind: 'soft', looseMl: thing.form.looseMl * WET } : thing.form,
  }));
