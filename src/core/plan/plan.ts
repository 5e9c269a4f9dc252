import { z } from 'zod';
import { bagSchema } from '@/core/bag/bag';
import { bikeSchema } from '@/core/bike/bike';
import { EATING_DEFAULTS } from '@/core/food/menuSchema';
import { thingSchema } from '@/core/kit/thing';
import { routeSchema } from '@/core/trip/route/route';
import { tripSchema } from '@/core/trip/trip';
import { idSchema, measure, nameSchema } from '@/core/units/measures';
import { LIMITS } from './limits';

export const riderSchema = z.object({
  massG: measure('g', 25_000, 200_000).describe(
    'Rider in everyday clothes, without what is worn from the kit',
  ),
  kneeGapMm: z
    .union([measure('mm', 40, 300), z.null()])
    .default(null)
    .describe('Free width between the knees while pedalling; null takes a default'),
  inseamMm: z
    .union([measure('mm', 500, 1_100), z.null()])
    .default(null)
    .describe('Inside leg in riding shoes; null takes a default'),
  shoeMm: z
    .union([measure('mm', 200, 360), z.null()])
    .default(null)
    .describe('Length of the riding shoe; null takes a default'),
  powerW: z
    .union([measure('W', 40, 500), z.null()])
    .default(null)
    .describe('Power the rider keeps up all day; null takes a default'),
  drinkLPerH: z
    .union([measure('l/h', 0.05, 2), z.null()])
    .default(null)
    .describe('Drunk in an hour of riding at 10 °C, as learned on trips; null takes a default'),
  paceShare: z
    .union([measure('', 0.5, 2), z.null()])
    .default(null)
    .describe('Time that the rider takes, over the calculated one, as learned on trips; null is 1'),
  eatShare: z
    .union([measure('', 0.4, 2), z.null()])
    .default(null)
    .describe('Food energy the rider eats, over the calculated need, as learned on trips; null is 1'),
  fuelShare: z
    .union([measure('', 0.3, 3), z.null()])
    .default(null)
    .describe('Gas the rider burns, over the calculated amount, as learned on trips; null is 1'),
  chargeShare: z
    .union([measure('', 0.2, 3), z.null()])
    .default(null)
    .describe('Charge the devices use, over their sum, as learned on trips; null is 1'),
  coldSleeper: z.boolean().default(false).describe('Is cold in bed where others are not'),
});
export type Rider = z.infer<typeof riderSchema>;

/** Stand in for a rider's measures that are not known: of an average rider with average pedals. */
export const RIDER_DEFAULTS = { kneeGapMm: 125, inseamMm: 800, shoeMm: 290 } as const;

/** Where one thing is: in a compartment (perhaps pinned there), or left at home. Without an entry: on the floor. */
export const loadEntrySchema = z.object({
  thingId: idSchema,
  to: z.union([z.object({ compartmentId: idSchema }), z.literal('home')]),
  pinned: z.boolean(),
});
export type LoadEntry = z.infer<typeof loadEntrySchema>;

/**
 * What the rider asks of the loader besides pins. One that names what is no longer there asks nothing.
 */
export const wishSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('never'),
    thingId: idSchema,
    compartmentId: idSchema,
  }),
  z.object({
    kind: z.literal('together').describe('In one compartment'),
    thingIds: z.tuple([idSchema, idSchema]),
  }),
  z.object({
    kind: z
      .literal('a side each')
      .describe('A pair: one on the left, the other in the same place on the right'),
    thingIds: z.tuple([idSchema, idSchema]),
  }),
  z.object({
    kind: z.literal('shared').describe('Any rider may carry it; without this, only whose it is'),
    thingId: idSchema,
  }),
  z.object({
    kind: z.literal('theirs').describe("A fellow rider's, who alone carries it"),
    thingId: idSchema,
    fellowId: idSchema,
  }),
]);
export type Wish = z.infer<typeof wishSchema>;

/** Another rider of the trip with a bike and bags of their own, known to this trip alone. */
export const fellowSchema = z.object({
  id: idSchema,
  name: nameSchema,
  share: measure('', 0, 5)
    .default(1)
    .describe("How much of the load, against the rider's own 1: 0.5 carries half as much"),
  rider: riderSchema,
  bike: z.union([bikeSchema, z.null()]),
  bags: z.array(bagSchema).max(LIMITS.bags, `At most ${LIMITS.bags} bags.`),
});
export type Fellow = z.infer<typeof fellowSchema>;

/** The version this build writes. Files of a later version are refused. */
export const PLAN_VERSION = 7;

export const planSchema = z.object({
  format: z.literal('gorvin-plan'),
  version: z.literal(PLAN_VERSION),
  trip: tripSchema,
  rider: riderSchema,
  bike: z.union([bikeSchema, z.null()]),
  bags: z.array(bagSchema).max(LIMITS.bags, `At most ${LIMITS.bags} bags.`),
  things: z.array(thingSchema).max(LIMITS.things, `At most ${LIMITS.things} things.`),
  load: z.array(loadEntrySchema).max(LIMITS.things),
  wishes: z.array(wishSchema).max(LIMITS.wishes).default([]),
  fellows: z.array(fellowSchema).max(LIMITS.fellows, `At most ${LIMITS.fellows} fellow riders.`).default([]),
  route: z.union([routeSchema, z.null()]).default(null).describe('The way that is ridden; null without one'),
});

/** One trip as a value. */
export type Plan = z.infer<typeof planSchema>;

/** What the fields cannot say alone: ids are unique, and the load names only what exists. */
export function brokenReferences(plan: Plan): string[] {
  const problems: string[] = [];
  const unique = (what: string, ids: readonly string[]): Set<string> => {
    const seen = new Set<string>();
    for (const id of ids) {
      if (seen.has(id)) problems.push(`Two ${what} have the id "${id}".`);
      seen.add(id);
    }
    return seen;
  };
  const bags = [...plan.bags, ...plan.fellows.flatMap((fellow) => fellow.bags)];
  unique(
    'fellow riders',
    plan.fellows.map((fellow) => fellow.id),
  );
  unique(
    'bags',
    bags.map((bag) => bag.id),
  );
  const compartments = unique(
    'compartments',
    bags.flatMap((bag) => bag.compartments.map((compartment) => compartment.id)),
  );
  const things = unique(
    'things',
    plan.things.map((thing) => thing.id),
  );
  unique(
    'load entries',
    plan.load.map((entry) => entry.thingId),
  );
  for (const entry of plan.load) {
    if (!things.has(entry.thingId))
      problems.push(`The load names a thing "${entry.thingId}" that is not in the kit.`);
    if (entry.to !== 'home' && !compartments.has(entry.to.compartmentId)) {
      problems.push(`The load names a compartment "${entry.to.compartmentId}" that no bag has.`);
    }
  }
  return problems;
}

/** A trip with nothing in it yet. */
export const emptyPlan = (name: string): Plan => ({
  format: 'gorvin-plan',
  version: PLAN_VERSION,
  trip: {
    name,
    startDate: null,
    nights: 1,
    sleeping: 'tent',
    nightMinimumC: 8,
    dayMaximumC: 20,
    rain: 'unlikely',
    weather: null,
    scenario: 'expected',
    circumstances: [],
    dismissed: [],
    menu: [],
    eating: EATING_DEFAULTS,
    cooking: 'stove',
    filling: 'by when it is wanted',
    surface: 'gravel',
  },
  rider: {
    massG: 75_000,
    kneeGapMm: null,
    inseamMm: null,
    shoeMm: null,
    powerW: null,
    drinkLPerH: null,
    paceShare: null,
    eatShare: null,
    fuelShare: null,
    chargeShare: null,
    coldSleeper: false,
  },
  bike: null,
  bags: [],
  things: [],
  load: [],
  wishes: [],
  fellows: [],
  route: null,
});

/**
 * The same plan with every id replaced, so that a file read twice never takes over what is already owned.
 *
 * @param makeId hands out fresh ids; the core has no random source of its own
 */
export function withFreshIds(plan: Plan, makeId: () => string): Plan {
  const fresh = new Map<string, string>();
  const id = (kind: string, old: string): string => {
    const key = `${kind}:${old}`;
    let value = fresh.get(key);
    if (!value) fresh.set(key, (value = makeId()));
    return value;
  };
  const hung = ({ bike, bags }: Pick<Plan, 'bike' | 'bags'>): Pick<Plan, 'bike' | 'bags'> => ({
    bike: bike && { ...bike, id: id('bike', bike.id) },
    bags: bags.map((bag) => ({
      ...bag,
      id: id('bag', bag.id),
      compartments: bag.compartments.map((compartment) => ({
        ...compartment,
        id: id('compartment', compartment.id),
      })),
    })),
  });
  return {
    ...plan,
    ...hung(plan),
    trip: {
      ...plan.trip,
      menu: plan.trip.menu.map((entry) => ({ ...entry, thingId: id('thing', entry.thingId) })),
    },
    things: plan.things.map((thing) => ({
      ...thing,
      id: id('thing', thing.id),
      inside: thing.inside && id('thing', thing.inside),
    })),
    load: plan.load.map((entry) => ({
      ...entry,
      thingId: id('thing', entry.thingId),
      to: entry.to === 'home' ? 'home' : { compartmentId: id('compartment', entry.to.compartmentId) },
    })),
    wishes: plan.wishes.map((wish): Wish => {
      if ('thingIds' in wish)
        return { ...wish, thingIds: [id('thing', wish.thingIds[0]), id('thing', wish.thingIds[1])] };
      const own = { ...wish, thingId: id('thing', wish.thingId) };
      if (own.kind === 'never') return { ...own, compartmentId: id('compartment', own.compartmentId) };
      return own.kind === 'theirs' ? { ...own, fellowId: id('fellow', own.fellowId) } : own;
    }),
    fellows: plan.fellows.map((fellow) => ({ ...fellow, id: id('fellow', fellow.id), ...hung(fellow) })),
  };
}
