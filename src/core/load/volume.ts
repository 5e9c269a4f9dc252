import { looseVolumeMl, thingVolumeMl, type Thing } from '@/core/kit/thing';

/**
 * Share of the room soft things fill when stuffed (methods, section 3; the default school).
 */
export const STUFFED = 0.95;

/**
 * Share of the room stiff things fill among each other. Until they are placed one by one, this stands for the
 * gaps between them: equal spheres at random fill 0.64, and boxes with soft things round them nearly all.
 */
export const STIFF = 0.85;

type Packed = Pick<Thing, 'quantity' | 'volumeMl' | 'form'>;

/**
 * Room a thing takes with the soft pressed as hard as it may be, in millilitres.
 *
 * @example neededMl(jacket pressed to 950 ml) // 1000
 */
export const neededMl = (thing: Packed): number =>
  thingVolumeMl(thing) / (thing.form.kind === 'soft' ? STUFFED : STIFF);

/** Room it takes when soft things are not pressed at all, in millilitres; never less than `neededMl`. */
export const comfortableMl = (thing: Packed): number =>
  thing.form.kind === 'soft' ? Math.max(looseVolumeMl(thing), neededMl(thing)) : neededMl(thing);
