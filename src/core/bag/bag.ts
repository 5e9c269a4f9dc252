import { z } from 'zod';
import { isSimple } from '@/core/geometry/polygon';
import { solidExtentsMm, solidVolumeMl, type Solid } from '@/core/geometry/solid';
import {
  idSchema,
  lengthMm,
  limitG,
  massG,
  massSource,
  measure,
  nameSchema,
  volumeMl,
} from '@/core/plan/fields';

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
});
export type Compartment = z.infer<typeof compartmentSchema>;

export const bagSchema = z.object({
  id: idSchema,
  name: nameSchema,
  place: z.enum(PLACES),
  side: z.enum(SIDES),
  massG: massG.describe('Own mass, empty, in grams'),
  massSource,
  limitG: limitG.describe('Greatest load by the maker of bag and mount, in grams; null when not known'),
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
 * Inside extents, greatest first, in millimetres: of the measured solid, not of one scaled to the stated litres,
 * since a tape along the inside is what decides whether a tent pole goes in.
 */
export const insideExtentsMm = (compartment: Compartment): [number, number, number] =>
  solidExtentsMm(compartment.solid);

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

/** The form, reach, weather and cautious limit a bag at this place usually has; the rider changes what differs. */
export const PLACE_DEFAULTS: Record<
  Place,
  { form: Solid['kind']; reach: Reach; weather: Weather; limitG: number | null }
> = {
  'bar roll': { form: 'cylinder', reach: 'at camp', weather: 'sealed', limitG: 3000 },
  'bar bag': { form: 'box', reach: 'at a stop', weather: 'shower-proof', limitG: 2000 },
  'stem bag': { form: 'cylinder', reach: 'in the saddle', weather: 'open', limitG: 1000 },
  'top tube bag': { form: 'box', reach: 'in the saddle', weather: 'shower-proof', limitG: 1000 },
  'frame bag': { form: 'polygon', reach: 'at a stop', weather: 'shower-proof', limitG: 5000 },
  'down tube': { form: 'cylinder', reach: 'at camp', weather: 'open', limitG: 1500 },
  'bottle cage': { form: 'cylinder', reach: 'in the saddle', weather: 'open', limitG: 1500 },
  'fork bag': { form: 'cylinder', reach: 'at camp', weather: 'sealed', limitG: null },
  'seat pack': { form: 'taper', reach: 'at camp', weather: 'sealed', limitG: 4000 },
  'tool pouch': { form: 'box', reach: 'at a stop', weather: 'shower-proof', limitG: 700 },
  'rear rack': { form: 'box', reach: 'at camp', weather: 'shower-proof', limitG: 8000 },
  pannier: { form: 'box', reach: 'at camp', weather: 'sealed', limitG: 6000 },
  'strap outside': { form: 'cylinder', reach: 'at a stop', weather: 'open', limitG: 1000 },
  body: { form: 'box', reach: 'at a stop', weather: 'open', limitG: 2000 },
};

/**
 * A new bag as it usually is at a place, for the rider to correct: named after its place, on the side that is
 * still free where there are two.
 *
 * @param makeId hands out ids; the core has no random source of its own
 */
export function bagAtPlace(place: Place, others: readonly Bag[], makeId: () => string): Bag {
  const { form, reach, weather, limitG: limit } = PLACE_DEFAULTS[place];
  const paired = place === 'fork bag' || place === 'pannier' || place === 'stem bag';
  const leftTaken = others.some((bag) => bag.place === place && bag.side === 'left');
  const side: Side = paired ? (leftTaken ? 'right' : 'left') : 'middle';
  const plain = `${place.charAt(0).toUpperCase()}${place.slice(1)}`;
  return {
    id: makeId(),
    name: paired ? `${side === 'left' ? 'Left' : 'Right'} ${place}` : plain,
    place,
    side,
    massG: 250,
    massSource: 'estimate',
    limitG: limit,
    compartments: [
      {
        id: makeId(),
        name: 'main',
        solid: DEFAULT_SOLIDS[form],
        statedMl: null,
        limitG: null,
        reach,
        weather,
      },
    ],
  };
}
