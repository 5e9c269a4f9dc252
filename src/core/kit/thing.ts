import { z } from 'zod';
import {
  idSchema,
  lengthMm,
  massG,
  massSource,
  measure,
  nameSchema,
  temperatureC,
  volumeMl,
  volumeSource,
} from '@/core/units/measures';
import { isOneLine } from '@/core/units/text';

/** What a thing is part of. Kit is laid out, kept together and reported by system. */
export const SYSTEMS = [
  'sleep',
  'shelter',
  'clothes',
  'cook',
  'food',
  'water',
  'tools',
  'first aid',
  'hygiene',
  'electronics',
  'papers',
  'luxuries',
] as const;
export type System = (typeof SYSTEMS)[number];

/** When a thing is wanted. */
export const CALLS = ['riding', 'urgent', 'stop', 'camp', 'repair'] as const;
export type Call = (typeof CALLS)[number];

/** How wet it may get. */
export const DRYNESS = ['must', 'rather', 'does not care'] as const;
export type Dryness = (typeof DRYNESS)[number];

/** How much the trip needs it: decides what the loader leaves first when not all fits. */
export const NEEDS = ['must', 'should', 'nice'] as const;
export type Need = (typeof NEEDS)[number];

/** What the trip cannot do without and the checks look for. Water is known by `waterMl`. */
export const PROVISIONS = ['warmth', 'light', 'repair'] as const;
export type Provides = (typeof PROVISIONS)[number];

/** What must be able to see it, or what it must see: a lamp ahead or behind, a satellite beacon the sky. */
export const VIEWS = ['none', 'ahead', 'behind', 'sky'] as const;

/**
 * What a thing may do to what lies beside it or suffer from it, and how it wants to be carried. Greasy, sooty and soapy go with
 * the system.
 */
export const TRAITS = [
  'fuel',
  'liquid fuel',
  'wet',
  'sharp',
  'inflatable',
  'dirty',
  'fragile',
  'hose',
] as const;
export type Trait = (typeof TRAITS)[number];
export const TRAIT_WORDS: Record<Trait, string> = {
  fuel: 'sealed gas',
  'liquid fuel': 'liquid fuel',
  wet: 'gets wet',
  sharp: 'sharp',
  inflatable: 'inflatable',
  dirty: 'dirty',
  fragile: 'fragile',
  hose: 'drinking hose',
};

/** How soft things are put in: a school, of which stuffing is the usual one (domain). */
export const PACKINGS = ['stuffed', 'rolled', 'folded'] as const;
export type Packing = (typeof PACKINGS)[number];

/** What has to be done to a thing before it comes along; fine is nothing. */
export const CONDITIONS = ['fine', 'charge', 'repair', 'wash', 'replace', 'refill'] as const;
export type Condition = (typeof CONDITIONS)[number];
export const CONDITION_WORDS: Record<Condition, string> = {
  fine: 'fine',
  charge: 'to charge',
  repair: 'to repair',
  wash: 'to wash',
  replace: 'to replace',
  refill: 'to refill',
};

/** Figures of a thing that judgements of "enough" read; what is left out is as usual for its kind. */
export const specsSchema = z.object({
  comfortC: temperatureC.optional().describe('Comfort rating of a sleeping bag (ISO 23537)'),
  limitC: temperatureC.optional().describe('Limit rating, or the figure on a quilt'),
  rValue: measure('', 0, 12).optional().describe('Of a mat (ASTM F3340)'),
  warmerC: measure('°C', 0, 12).optional().describe('By how much a liner or a layer makes the bag warmer'),
  clo: measure('clo', 0, 3).optional().describe('Insulation of a garment (ISO 9920)'),
  batteryMah: measure('mAh', 0, 100_000).optional().describe('Of a power bank, at 3.7 V'),
  drawWhPerDay: measure('Wh', 0, 500).optional().describe('What a device uses in a day of riding'),
  panelW: measure('W', 0, 100).optional().describe('Rated power of a solar panel'),
  dynamoW: measure('W', 0, 10).optional().describe('Of a hub dynamo at 15 km/h'),
  fuelG: measure('g', 0, 2000).optional().describe('Gas that is in a canister'),
  tareG: measure('g', 0, 1000).optional().describe('An empty canister'),
  holdsMl: measure('ml', 0, 20_000).optional().describe('Of a vessel for water, full'),
  portions: z.int().min(1).max(100).optional().describe('Of a food: portions in one piece'),
  kJPer100G: measure('kJ per 100 g', 10, 3800).optional().describe('Of a food: its energy'),
  carbPer100G: measure('g per 100 g', 0, 100).optional().describe('Of a food: carbohydrate'),
  proteinPer100G: measure('g per 100 g', 0, 100).optional().describe('Of a food: protein'),
  boilMl: measure('ml', 0, 2000).optional().describe('Of a food: water boiled for one portion'),
  keepsDays: measure('days', 0, 3650).optional().describe('Of a food: how long it keeps at 20 °C'),
  boughtIn: z.int().min(1950).max(2199).optional().describe('The year, for what ages'),
});
export type Specs = z.infer<typeof specsSchema>;

/** One of the things in a kit that is packed as one: a plaster in the first aid kit. */
export const contentSchema = z.object({
  name: nameSchema,
  quantity: z.int('A whole number of pieces.').min(1, 'At least 1.').max(200, 'At most 200.').default(1),
  massG: z
    .union([massG, z.null()])
    .default(null)
    .describe('Of one; null where only the kit as a whole was weighed'),
});
export type Content = z.infer<typeof contentSchema>;

/** The inside of a thing that holds others: a pot, a helmet bag, a cup. */
export const hollowSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('cylinder'), lengthMm, diameterMm: lengthMm }),
  z.object({ kind: z.literal('box'), lengthMm, widthMm: lengthMm, heightMm: lengthMm }),
]);

export const formSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('soft'),
    looseMl: volumeMl.describe('Volume in ml when not pressed; volumeMl is the hard-pressed volume'),
  }),
  z.object({ kind: z.literal('box'), lengthMm, widthMm: lengthMm, heightMm: lengthMm }),
  z.object({ kind: z.literal('cylinder'), lengthMm, diameterMm: lengthMm }),
  z.object({ kind: z.literal('long'), lengthMm, diameterMm: lengthMm }),
  z.object({ kind: z.literal('flat'), lengthMm, widthMm: lengthMm, heightMm: lengthMm }),
  z.object({ kind: z.literal('crushable'), lengthMm, widthMm: lengthMm, heightMm: lengthMm }),
]);
export type Form = z.infer<typeof formSchema>;
export const FORM_KINDS = ['soft', 'box', 'cylinder', 'long', 'flat', 'crushable'] as const;
export type FormKind = Form['kind'];

/** What a thing is: owned once, the same on every trip. */
export const ownedThingSchema = z.object({
  id: idSchema,
  name: nameSchema,
  system: z.enum(SYSTEMS),
  kind: z
    .string()
    .max(80)
    .nullable()
    .default(null)
    .describe('The kind that estimates of it come from; null where none is known'),
  massG: massG.describe('Mass of one, in grams, without water'),
  massSource,
  volumeMl: volumeMl.describe('Packed volume of one, in ml; for a soft thing, hard-pressed'),
  volumeSource,
  form: formSchema,
  dry: z.enum(DRYNESS),
  provides: z.array(z.enum(PROVISIONS)).max(PROVISIONS.length),
  view: z.enum(VIEWS).default('none').describe('Needs a clear view while riding, and which way'),
  packing: z.enum(PACKINGS).default('stuffed').describe('How a soft thing is put in'),
  stiffener: z
    .boolean()
    .default(false)
    .describe('Lies along the lower side of its bag, to keep it from drooping'),
  traits: z
    .array(z.enum(TRAITS))
    .max(TRAITS.length)
    .default([])
    .describe(
      'What counts for where it is packed and what lies beside it: fuel, gets wet, sharp, dirty, fragile, a hose',
    ),
  hollow: z.union([hollowSchema, z.null()]).default(null).describe('Inside measures of what holds others'),
  condition: z.enum(CONDITIONS).default('fine').describe('What has to be done before it comes along'),
  dueOn: z
    .union([z.iso.date('Write the date as year-month-day, like 2027-04-16.'), z.null()])
    .default(null)
    .describe('The day on which it expires or is due for service'),
  note: z
    .string()
    .max(500, 'At most 500 letters.')
    .refine(isOneLine, 'A note is one line of plain text.')
    .default(''),
  toGet: z.boolean().default(false).describe('Still to be bought or borrowed: not owned yet'),
  price: z
    .union([measure('', 0, 100_000), z.null()])
    .default(null)
    .describe('What it costs, in the money the rider thinks in'),
  contents: z
    .array(contentSchema)
    .max(60, 'A kit lists at most 60 things.')
    .default([])
    .describe('Of a kit packed as one: what is in it'),
  purposes: z
    .union([
      z.array(z.string().min(2).max(60).refine(isOneLine, 'A purpose is one line of plain text.')).max(20),
      z.null(),
    ])
    .default(null)
    .describe('What it is for; null where it is for what its kind is for'),
  specs: specsSchema.default({}),
});
export type OwnedThing = z.infer<typeof ownedThingSchema>;

/** What one trip decides about a thing; another trip may decide otherwise. */
export const decisionsSchema = z.object({
  quantity: z.int('A whole number of pieces.').min(1, 'At least 1.').max(200, 'At most 200.'),
  waterMl: volumeMl.describe('Water carried in one at the start, in ml; 1 g each'),
  call: z.enum(CALLS),
  inDrySack: z.boolean().describe('Packed in a dry sack or zip bag of its own'),
  carry: z.enum(['bike', 'worn']).describe('Packed in a bag, or worn by the rider'),
  need: z.enum(NEEDS),
  inside: z.union([idSchema, z.null()]).default(null).describe('Packed inside this other thing'),
});
export type Decisions = z.infer<typeof decisionsSchema>;

/** A thing on a trip: what is owned, and what the trip decides about it. What the computation works with. */
export const thingSchema = ownedThingSchema.extend(decisionsSchema.shape);
export type Thing = z.infer<typeof thingSchema>;

/** The decisions of a trip about one thing, under the thing's id. */
export const tripThingSchema = decisionsSchema.extend({ thingId: idSchema });
export type TripThing = z.infer<typeof tripThingSchema>;

type DefaultedField = {
  [Field in keyof Thing]: undefined extends z.input<typeof thingSchema>[Field] ? Field : never;
}[keyof Thing];
/** What a thing is as long as nobody says otherwise, of the fields for which the schema says so. */
export const THING_DEFAULTS = Object.fromEntries(
  Object.entries(thingSchema.shape).flatMap(([field, schema]) =>
    schema instanceof z.ZodDefault ? [[field, schema.parse(undefined)]] : [],
  ),
) as Pick<Thing, DefaultedField>;

export const OWNED_FIELDS = Object.keys(ownedThingSchema.shape) as (keyof OwnedThing)[];
export const DECISION_FIELDS = Object.keys(decisionsSchema.shape) as (keyof Decisions)[];

const pick = <Item extends object, Key extends keyof Item>(
  item: Item,
  keys: readonly Key[],
): Pick<Item, Key> => Object.fromEntries(keys.map((key) => [key, item[key]])) as Pick<Item, Key>;

/** What of a thing is owned. */
export const ownedOf = (thing: Thing): OwnedThing => pick(thing, OWNED_FIELDS);

/** What of a thing its trip decides. */
export const decisionsOf = (thing: Thing): Decisions => pick(thing, DECISION_FIELDS);

/** A thing as if a trip took one of it, and decided nothing else: what lists of what is owned are read and written with. */
export const asTaken = (thing: OwnedThing): Thing => ({
  ...THING_DEFAULTS,
  ...thing,
  quantity: 1,
  waterMl: 0,
  call: 'camp',
  inDrySack: false,
  carry: 'bike',
  need: 'should',
});

/** Grams of all pieces with the water in them. @example thingMassG({ quantity: 2, massG: 90, waterMl: 750 }) // 1680 */
export const thingMassG = (thing: Pick<Thing, 'quantity' | 'massG' | 'waterMl'>): number =>
  thing.quantity * (thing.massG + thing.waterMl);

/** Millilitres of all pieces as packed: soft things hard-pressed. */
export const thingVolumeMl = (thing: Pick<Thing, 'quantity' | 'volumeMl'>): number =>
  thing.quantity * thing.volumeMl;

/** Millilitres of all pieces at their loose size; a stiff thing has only one size. */
export const looseVolumeMl = (thing: Pick<Thing, 'quantity' | 'volumeMl' | 'form'>): number =>
  thing.quantity *
  (thing.form.kind === 'soft' ? Math.max(thing.form.looseMl, thing.volumeMl) : thing.volumeMl);

/**
 * Extents of one piece, greatest first, in millimetres; null for soft things, which take any shape.
 *
 * @example extentsMm({ kind: 'cylinder', lengthMm: 110, diameterMm: 120 }) // [120, 120, 110]
 */
export function extentsMm(form: Form): [number, number, number] | null {
  const sides =
    form.kind === 'soft'
      ? null
      : 'diameterMm' in form
        ? [form.lengthMm, form.diameterMm, form.diameterMm]
        : [form.lengthMm, form.widthMm, form.heightMm];
  if (!sides) return null;
  const [a, b, c] = sides.sort((p, q) => q - p);
  return [a!, b!, c!];
}

/** Millilitres by the measures of a stiff form; null for soft things. */
export function formVolumeMl(form: Form): number | null {
  if (form.kind === 'soft') return null;
  if ('diameterMm' in form) return ((Math.PI / 4) * form.diameterMm ** 2 * form.lengthMm) / 1000;
  return (form.lengthMm * form.widthMm * form.heightMm) / 1000;
}

/**
 * A plausible form of a given kind and volume, for things whose measures are not known yet. A soft thing is
 * taken as 1.6 times its pressed volume when loose; stiff ones in usual proportions.
 */
export function guessForm(kind: FormKind, volumeMl: number): Form {
  const cube = Math.max(1, Math.cbrt(Math.max(volumeMl, 1) * 1000));
  const round = (value: number) => Math.min(2500, Math.max(1, Math.round(value)));
  switch (kind) {
    case 'soft':
      return { kind, looseMl: Math.round(volumeMl * 1.6) };
    case 'cylinder':
      return { kind, lengthMm: round(cube * 1.25), diameterMm: round(cube * 1.01) };
    case 'long':
      return { kind, lengthMm: round(cube * 4.3), diameterMm: round(cube * 0.545) };
    case 'flat':
      return { kind, lengthMm: round(cube * 1.9), widthMm: round(cube * 1.2), heightMm: round(cube * 0.44) };
    case 'box':
    case 'crushable':
      return { kind, lengthMm: round(cube * 1.3), widthMm: round(cube), heightMm: round(cube * 0.77) };
  }
}
