import { z } from 'zod';
import { SURFACES } from '@/core/bike/tyrePressure';
import { EATING_DEFAULTS, eatingSchema, menuEntrySchema } from '@/core/food/menuSchema';
import { nameSchema, temperatureC } from '@/core/units/measures';
import { CIRCUMSTANCES } from './circumstances';
import { isOneLine } from '@/core/units/text';
import { SCENARIOS, weatherDaySchema } from './weather';

export const SLEEPING = ['tent', 'bivvy', 'tarp', 'hammock', 'hut', 'hotel'] as const;
export type Sleeping = (typeof SLEEPING)[number];
export const RAIN = ['unlikely', 'likely'] as const;
export type Rain = (typeof RAIN)[number];
/** Schools of cooking (domain). */
export const COOKING = ['stove', 'no stove', 'buy on the way'] as const;
export type Cooking = (typeof COOKING)[number];
/** Schools of filling bags; each sets the loader's weights. */
export const FILLINGS = ['by when it is wanted', 'by system', 'by weight alone'] as const;
export type Filling = (typeof FILLINGS)[number];
/** The schools as they are shown; the values above are stored in files and tables. */
export const FILLING_WORDS: Record<Filling, string> = {
  'by when it is wanted': 'by when you need it',
  'by system': 'by system',
  'by weight alone': 'by weight alone',
};

export const MOST_NIGHTS = 30;

export const tripSchema = z.object({
  name: nameSchema,
  startDate: z.union([
    z.iso
      .date('Write the date as year-month-day, like 2027-04-16.')
      .refine((date) => date >= '1900' && date < '2200', 'The year is between 1900 and 2199.'),
    z.null(),
  ]),
  nights: z
    .int('A whole number of nights.')
    .min(0, 'At least 0 nights.')
    .max(MOST_NIGHTS, `At most ${MOST_NIGHTS} nights.`),
  sleeping: z.enum(SLEEPING),
  nightMinimumC: temperatureC.describe('Expected coldest night'),
  dayMaximumC: temperatureC.describe('Expected warmest day'),
  rain: z.enum(RAIN),
  weather: z
    .union([
      z
        .array(weatherDaySchema)
        .min(1)
        .max(MOST_NIGHTS + 1),
      z.null(),
    ])
    .default(null)
    .describe('Day by day; null where the figures for the whole trip hold'),
  scenario: z.enum(SCENARIOS).default('expected').describe('The weather that the trip is judged in'),
  circumstances: z
    .array(z.enum(CIRCUMSTANCES))
    .max(CIRCUMSTANCES.length)
    .default([])
    .describe('What brings a caution of its own: a plane, a border, wild camping'),
  dismissed: z
    .array(z.string().min(1).max(80).refine(isOneLine, 'A need is one line of plain text.'))
    .max(100)
    .default([])
    .describe('Needs that the rider does not have on this trip'),
  menu: z.array(menuEntrySchema).max(500, 'At most 500 entries.').default([]).describe('What is eaten when'),
  eating: eatingSchema.default(EATING_DEFAULTS).describe('How much and what the rider eats'),
  cooking: z.enum(COOKING).default('stove').describe('How the rider eats'),
  filling: z.enum(FILLINGS),
  surface: z.enum(SURFACES).default('gravel').describe('What most of the way is like; sets tyre pressures'),
});
/** What the rider says of a trip as a whole. */
export type Trip = z.infer<typeof tripSchema>;

/** The last day of a trip, as 2027-04-18; null where it has no first. */
export const lastDay = ({ startDate, nights }: Trip): string | null =>
  startDate === null ? null : addDays(startDate, nights);

/** @example addDays('2027-02-28', 1) // '2027-03-01' */
export const addDays = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
