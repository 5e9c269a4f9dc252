import { thingMassG, type Thing } from '@/core/kit/thing';
import type { Formatter } from '@/core/units/format';

/** A thing's name and mass for a screen reader: "Stove, 92 g", or "Stove, about 92 g" where the mass is estimated. */
export const spokenName = (thing: Thing, format: Pick<Formatter, 'mass'>): string =>
  `${thing.name}, ${thing.massSource === 'estimate' ? 'about ' : ''}${format.mass(thingMassG(thing))}`;
