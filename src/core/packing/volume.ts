import { loosePackedMl, pressedMl } from '@/core/kit/softRoom';
import { thingVolumeMl, type Thing } from '@/core/kit/thing';

/**
 * Share of the room stiff things fill among each other, where they are counted without being placed: equal spheres at
 * random fill 0.64, and boxes with soft things round them nearly all. Whether they do lie in a compartment is for
 * `fit` to say; this is the estimate the search begins with.
 */
export const STIFF = 0.85;

type Packed = Pick<Thing, 'quantity' | 'volumeMl' | 'form' | 'packing'>;

/**
 * Room a thing takes with the soft pressed as hard as it may be, in millilitres: an estimate for a stiff one.
 *
 * @example neededMl(stuffed jacket pressed to 950 ml) // 1000
 */
export const neededMl = (thing: Packed): number =>
  thing.form.kind === 'soft' ? pressedMl(thing) : thingVolumeMl(thing) / STIFF;

/** Room it takes when soft things are not pressed at all, in millilitres; never less than `neededMl`. */
export const comfortableMl = (thing: Packed): number =>
  thing.form.kind === 'soft' ? loosePackedMl(thing) : neededMl(thing);
