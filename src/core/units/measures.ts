import { z } from 'zod';
import { MASS_SOURCES, VOLUME_SOURCES } from './uncertainty';

/**
 * Field schemas shared by bikes, bags and things. The bounds are those of anything a rider could own; their
 * purpose is to catch a slipped unit, so each message says the bound in the unit that is stored.
 */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/, 'An id is 1 to 64 letters, digits, hyphens or underscores.');

export const nameSchema = z
  .string()
  .trim()
  .min(1, 'Give it a name.')
  .max(120, 'A name is at most 120 characters.')
  .regex(/^[^\u0000-\u001f\u007f-\u009f\u2028\u2029]*$/, 'A name is one line of plain text.')
  .refine((text) => text.isWellFormed(), 'A name is whole characters; one of these is cut in two.');

const measure = (unit: string, min: number, max: number) =>
  z
    .number({ error: `A number in ${unit} is needed.` })
    .min(min, `At least ${min} ${unit}.`)
    .max(max, `At most ${max} ${unit}; check the unit.`);

/** Mass of one thing, bag or bike. */
export const massG = measure('g', 0, 60_000);
/** Packed or inside volume. */
export const volumeMl = measure('ml', 0, 200_000);
/** A length of something carried or of a bag's inside. */
export const lengthMm = measure('mm', 1, 2_500);
export const pressureKpa = measure('kPa', 50, 1_000);
export const angleDeg = measure('°', 0, 360);
export const temperatureC = measure('°C', -40, 55);
/** A limit set by a maker, or null where none is known. */
export const limitG = z.union([measure('g', 0, 250_000), z.null()]);

export const massSource = z.enum(MASS_SOURCES);
export const volumeSource = z.enum(VOLUME_SOURCES);
export { measure };
