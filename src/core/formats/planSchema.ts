import { z } from 'zod';
import { planFileSchema } from './planFile';

/**
 * The JSON Schema (2020-12) of the plan file, derived from the Zod schema. It cannot say what ties fields
 * together (ids that must exist, temperatures in order); reading a file checks those too.
 */
export const planJsonSchema = (): Record<string, unknown> => ({
  ...z.toJSONSchema(planFileSchema, { target: 'draft-2020-12', io: 'input' }),
  title: 'Gorvin plan',
  description:
    'One bikepacking trip with its rider, bike, bags, things and load. Grams, millimetres, millilitres, °C.',
});
