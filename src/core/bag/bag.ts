import { z } from 'zod';
import { isSimple } from '@/core/geometry/polygon';
import { solidVolumeMl, type Solid } from '@/core/geometry/solid';
import {
  idSchema,
  lengthMm,
  limitG,
  massG,
  massSource,
  measure,
  nameSchema,
  volumeMl,
} from '@/core/units/measures';

/** Places on the bike, and on the rider, that a bag can take. */
export const PLACES = [
  'bar roll',
  'bar bag',
  'stem bag',
  'top tube bag',
  'frame bag',
  'down tube',
  'bottle cage',
  'fork bag',
  'seat pack',
  'tool pouch',
  'rear rack',
  'pannier',
  'strap outside',
  'body',
] as const;
export type Place = (typeof PLACES)[number];

/** Which side of the bike, as the rider sees it; `middle` for everything on the centre line. */
export const SIDES = ['left', 'middle', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** Where the rider must be to reach in. Ordered from the nearest. */
export const REACHES = ['in the saddle', 'at a stop', 'at camp'] as const;
export type Reach = (typeof REACHES)[number];

/** How well a compartment keeps rain out. Ordered from the driest. */
export const WEATHERS = ['sealed', 'shower-proof', 'open'] as const;
export type Weather = (typeof WEATHERS)[number];

/** How a bag shuts. A roll-top's volume follows how far it is rolled; a zip's does not. */
export const CLOSURES = ['roll-top', 'zip', 'drawcord', 'flap', 'none'] as const;
/** The side one reaches in from. */
export const OPENINGS = ['top', 'left', 'right', 'rear', 'front', 'both ends'] as const;
/** What holds a bag on: decides which limits count and what it does to paint and carbon. */
export const ATTACHMENTS = ['straps', 'bolts', 'clamp', 'rack', 'worn'] as const;
/** Whether a compartment is a place to strap things outside, and whether what is there is tied on as well. */
export const OUTSIDES = ['no', 'tethered', 'no tether'] as const;

const coordinate = measure('mm', -2_500, 2_500);

export const solidSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('cylinder'), lengthMm, diameterMm: lengthMm }),
  z.object({
    kind: z.literal('taper'),
    lengthMm,
    noseWidthMm: lengthMm,
    noseHeightMm: lengthMm,
    mouthWidthMm: lengthMm,
    mouthHeightMm: lengthMm,
  }),
  z.object({
    kind: z.literal('polygon'),
    corners: z
      .array(z.object({ x: coordinate, z: coordinate }))
      .min(3, 'A flat pouch needs at least three corners.')
      .max(24, 'A flat pouch has at most 24 corners.')
      .refine(isSimple, 'The outline crosses itself: give the corners in order, going round once.'),
    widthMm: lengthMm,
    frontWidthMm: lengthMm.optional().describe('Width at the front end, where it differs from the rear'),
  }),
  z.object({ kind: z.literal('box'), lengthMm, widthMm: lengthMm, heightMm: lengthMm }),
]);

export const compartmentSchema = z.object({
  id: idSchema,
  name: nameSchema.describe('Name inside the bag: main, left pocket, mesh'),
  solid: solidSchema.describe('Inside measures'),
  statedMl: z
    .union([volumeMl, z.null()])
    .describe("Litres printed by the maker, in ml; null takes the geometry's"),
  limitG: limitG.describe('Greatest load of this compartment alone, or null'),
  reach: z.enum(REACHES),
  weather: z.enum(WEATHERS),
  outside: z
    .enum(OUTSIDES)
    .default('no')
    .describe('A place to strap things on outside, and whether they are tethered'),
});
export type Compartment = z.infer<typeof compartmentSchema>;

/** How far a bag may be moved along its place, either way. */
export const MOST_ALONG_MM = 600;

/** No strapped bag hangs lower than this under a kilogram and is still on the bike. */
export const MOST_SAG_MM_PER_KG = 60;

export const bagSchema = z.object({
  id: idSchema,
  name: nameSchema,
  place: z.enum(PLACES),
  side: z.enum(SIDES),
  massG: massG.describe('Own mass, empty, in grams'),
  massSource,
  limitG: limitG.describe('Greatest load by the maker of bag and mount, in grams; null when not known'),
  alongMm: measure('mm', -MOST_ALONG_MM, MOST_ALONG_MM)
    .default(0)
    .describe('How far it is moved along its place from where such a bag usually hangs'),
  standOffMm: measure('mm', 0, 150)
    .default(25)
    .describe('Free space between the bag and what it hangs on, as a spacer makes it'),
  braced: z.boolean().default(false).describe('Held by a brace or support, so that it sags half as much'),
  swaysFromKgM: z
    .union([z.number().min(0.05, 'At least 0.05 kg·m.').max(10, 'At most 10 kg·m.'), z.null()])
    .default(null)
    .describe('Tail moment from which it swayed on trips or test rides; null where it is not known'),
  sagMmPerKg: z
    .union([measure('mm/kg', 0, MOST_SAG_MM_PER_KG), z.null()])
    .default(null)
    .describe(
      'How far it sags under each kilogram, as found on trips; null takes what is usual for its place',
    ),
  closure: z.enum(CLOSURES).default('roll-top'),
  opening: z.enum(OPENINGS).default('top'),
  attachment: z.enum(ATTACHMENTS).default('straps'),
  compartments: z.array(compartmentSchema).min(1, 'A bag has at least one compartment.').max(8),
});
export type Bag = z.infer<typeof bagSchema>;

/**
 * What a compartment holds, in millilitres: the maker's litres where printed, since the solid is scaled to
 * them (methods, section 3), else the solid's own.
 */
export const capacityMl = (compartment: Compartment): number =>
  compartment.statedMl ?? solidVolumeMl(compartment.solid);

/**
 * Whether a bag can sway from side to side behind the seatpost: one that hangs on straps alone. Racks and panniers are
 * bolted down, and a brace holds a pack still (methods, section 5).
 */
export const canSway = ({
  place,
  attachment,
  braced,
}: Pick<Bag, 'place' | 'attachment' | 'braced'>): boolean =>
  attachment === 'straps' && !braced && place !== 'rear rack' && place !== 'pannier';

/** A plausible inside shape to start from, for each form. */
export const DEFAULT_SOLIDS: Record<Solid['kind'], Solid> = {
  cylinder: { kind: 'cylinder', lengthMm: 300, diameterMm: 120 },
  taper: {
    kind: 'taper',
    lengthMm: 420,
    noseWidthMm: 90,
    noseHeightMm: 90,
    mouthWidthMm: 190,
    mouthHeightMm: 190,
  },
  polygon: {
    kind: 'polygon',
    corners: [
      { x: 0, z: 0 },
      { x: 60, z: -130 },
      { x: 420, z: -40 },
      { x: 430, z: 60 },
    ],
    widthMm: 60,
  },
  box: { kind: 'box', lengthMm: 220, widthMm: 120, heightMm: 150 },
};

/** Inside measures that bags at a place usually have, where the form's own default would not do. */
const PLACE_SOLIDS: Partial<Record<Place, Solid>> = {
  'bar roll': { kind: 'cylinder', lengthMm: 460, diameterMm: 150 },
  'stem bag': { kind: 'cylinder', lengthMm: 195, diameterMm: 88 },
  'down tube': { kind: 'cylinder', lengthMm: 225, diameterMm: 80 },
  'bottle cage': { kind: 'cylinder', lengthMm: 205, diameterMm: 74 },
  'fork bag': { kind: 'cylinder', lengthMm: 310, diameterMm: 132 },
  'strap outside': { kind: 'cylinder', lengthMm: 300, diameterMm: 80 },
  'top tube bag': { kind: 'box', lengthMm: 220, widthMm: 58, heightMm: 92 },
  'tool pouch': { kind: 'box', lengthMm: 140, widthMm: 65, heightMm: 60 },
  pannier: { kind: 'box', lengthMm: 290, widthMm: 160, heightMm: 340 },
  'rear rack': { kind: 'box', lengthMm: 340, widthMm: 190, heightMm: 170 },
};

interface PlaceDefault {
  form: Solid['kind'];
  reach: Reach;
  weather: Weather;
  limitG: number | null;
  closure: Bag['closure'];
  opening: Bag['opening'];
  attachment: Bag['attachment'];
}

const usually = (
  form: Solid['kind'],
  reach: Reach,
  weather: Weather,
  limit: number | null,
  closure: Bag['closure'],
  opening: Bag['opening'],
  attachment: Bag['attachment'],
): PlaceDefault => ({ form, reach, weather, limitG: limit, closure, opening, attachment });

/** What a bag at this place usually is, with a cautious limit; the rider changes what differs. */
export const PLACE_DEFAULTS: Record<Place, PlaceDefault> = {
  'bar roll': usually('cylinder', 'at camp', 'sealed', 3000, 'roll-top', 'both ends', 'straps'),
  'bar bag': usually('box', 'at a stop', 'shower-proof', 2000, 'zip', 'top', 'straps'),
  'stem bag': usually('cylinder', 'in the saddle', 'open', 1000, 'drawcord', 'top', 'straps'),
  'top tube bag': usually('box', 'in the saddle', 'shower-proof', 1000, 'zip', 'top', 'straps'),
  'frame bag': usually('polygon', 'at a stop', 'shower-proof', 5000, 'zip', 'right', 'straps'),
  'down tube': usually('cylinder', 'at camp', 'open', 1500, 'roll-top', 'front', 'bolts'),
  'bottle cage': usually('cylinder', 'in the saddle', 'open', 1500, 'none', 'top', 'bolts'),
  'fork bag': usually('cylinder', 'at camp', 'sealed', null, 'roll-top', 'top', 'bolts'),
  'seat pack': usually('taper', 'at camp', 'sealed', 4000, 'roll-top', 'rear', 'straps'),
  'tool pouch': usually('box', 'at a stop', 'shower-proof', 700, 'roll-top', 'rear', 'straps'),
  'rear rack': usually('box', 'at camp', 'shower-proof', 8000, 'zip', 'top', 'rack'),
  pannier: usually('box', 'at camp', 'sealed', 6000, 'roll-top', 'top', 'rack'),
  'strap outside': usually('cylinder', 'at a stop', 'open', 1000, 'none', 'top', 'straps'),
  body: usually('box', 'at a stop', 'shower-proof', 4000, 'zip', 'top', 'worn'),
};

/** Places that come in twos, one each side. */
export const PAIRED_PLACES: ReadonlySet<Place> = new Set(['fork bag', 'pannier', 'stem bag']);

/** The side that is still free at a place: left first where there are two. */
export function freeSide(place: Place, others: readonly Bag[]): Side {
  if (!PAIRED_PLACES.has(place)) return 'middle';
  return others.some((bag) => bag.place === place && bag.side === 'left') ? 'right' : 'left';
}

/**
 * A new bag as it usually is at a place, for the rider to correct: named after its place, on the side that is
 * still free where there are two.
 *
 * @param makeId hands out ids; the core has no random source of its own
 */
export function bagAtPlace(place: Place, others: readonly Bag[], makeId: () => string): Bag {
  const { form, reach, weather, limitG: limit, closure, opening, attachment } = PLACE_DEFAULTS[place];
  const side = freeSide(place, others);
  const plain = `${place.charAt(0).toUpperCase()}${place.slice(1)}`;
  return {
    id: makeId(),
    name: side === 'middle' ? plain : `${side === 'left' ? 'Left' : 'Right'} ${place}`,
    place,
    side,
    massG: 250,
    massSource: 'estimate',
    limitG: limit,
    alongMm: 0,
    standOffMm: 25,
    braced: false,
    swaysFromKgM: null,
    sagMmPerKg: null,
    closure,
    opening,
    attachment,
    compartments: [
      {
        id: makeId(),
        name: 'main',
        solid: PLACE_SOLIDS[place] ?? DEFAULT_SOLIDS[form],
        statedMl: null,
        limitG: null,
        reach,
        weather,
        outside: place === 'strap outside' ? 'tethered' : 'no',
      },
    ],
  };
}
