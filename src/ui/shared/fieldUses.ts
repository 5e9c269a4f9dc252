import type { FieldUse } from '@/core/units/reading';

type Use = Pick<FieldUse, 'bare' | 'usual'>;

/** What bare numbers mean in the fields of the product, and what is usual there, in the core's units. */
export const BIKE_MASS: Use = { bare: ['kg', 'g'], usual: [5_000, 35_000] };
export const RIDER_MASS: Use = { bare: ['kg'], usual: [30_000, 170_000] };
export const TOTAL_LIMIT: Use = { bare: ['kg'], usual: [60_000, 250_000] };
export const THING_MASS: Use = { bare: ['g', 'kg'], usual: [2, 8_000] };
export const BAG_MASS: Use = { bare: ['g', 'kg'], usual: [20, 3_000] };
export const BAG_LIMIT: Use = { bare: ['kg', 'g'], usual: [300, 30_000] };
export const THING_VOLUME: Use = { bare: ['l', 'ml'], usual: [3, 40_000] };
/** By a tape, or a ruler. */
export const tapeUse = (leastMm: number, mostMm: number): Use => ({
  bare: ['mm', 'cm'],
  usual: [leastMm, mostMm],
});
