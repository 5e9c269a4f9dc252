import { looseVolumeMl, thingVolumeMl, type Packing, type Thing } from './thing';

/** Share of the room that soft things fill, by how they are put in (methods, section 3). */
export const PACKING_SHARE: Record<Packing, number> = { stuffed: 0.95, rolled: 0.85, folded: 0.8 };

type Soft = Pick<Thing, 'quantity' | 'volumeMl' | 'form' | 'packing'>;

/**
 * Room a soft thing takes pressed as hard as it may be, in millilitres.
 *
 * @example pressedMl(stuffed jacket pressed to 950 ml) // 1000
 */
export const pressedMl = (thing: Soft): number => thingVolumeMl(thing) / PACKING_SHARE[thing.packing];

/** Room it takes when it is not pressed at all, in millilitres; never less than pressed. */
export const loosePackedMl = (thing: Soft): number => Math.max(looseVolumeMl(thing), pressedMl(thing));
