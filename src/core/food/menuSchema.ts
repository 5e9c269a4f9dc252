import { z } from 'zod';
import { idSchema } from '@/core/units/measures';
import { ALLERGENS, DIETS, SLOTS } from './pantry';

/** Some portions of one food, eaten on one day. One that names a thing that is no longer there asks nothing. */
export const menuEntrySchema = z.object({
  thingId: idSchema,
  day: z.int('A whole day, 1 for the first.').min(1, 'The first day is 1.').max(31),
  slot: z.enum(SLOTS),
  portions: z.int('A whole number of portions.').min(1, 'At least 1.').max(50, 'At most 50.'),
  locked: z.boolean().default(false).describe('Stays when the menu is filled anew'),
  boughtAt: z
    .union([idSchema, z.null()])
    .default(null)
    .describe('The place of the route where it is bought; null where it comes from home'),
});
export type MenuEntry = z.infer<typeof menuEntrySchema>;

export const AIMS = ['least mass', 'least volume', 'least money', 'fewest boils'] as const;
export type Aim = (typeof AIMS)[number];

/** How a rider wants to eat on a trip. */
export const eatingSchema = z.object({
  deficitPercent: z
    .number()
    .min(0, 'At least 0 %.')
    .max(40, 'At most 40 %: more is not a plan but a fast.')
    .default(10)
    .describe('Eaten less than used; up to 20 % is usual for a weekend'),
  diet: z.enum(DIETS).default('anything'),
  avoids: z.array(z.enum(ALLERGENS)).max(ALLERGENS.length).default([]),
  aim: z.enum(AIMS).default('least mass'),
});
export type Eating = z.infer<typeof eatingSchema>;

export const EATING_DEFAULTS: Eating = eatingSchema.parse({});
