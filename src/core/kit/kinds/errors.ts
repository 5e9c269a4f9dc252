import { massErrorG, volumeErrorMl } from '@/core/units/uncertainty';
import type { Thing } from '../thing';
import { errorOf, kindOf } from './kinds';

/**
 * Standard error of the mass of one, in grams: by its kind's range where it is an estimate by kind, else by how it became
 * known (methods, section 12).
 *
 * @example thingMassErrorG({ massG: 90, massSource: 'estimate', kind: 'bottle-0.75-l' }) // 18: ± 40 % is two of them
 */
export function thingMassErrorG({
  massG,
  massSource,
  kind,
}: Pick<Thing, 'massG' | 'massSource' | 'kind'>): number {
  const known = massSource === 'estimate' ? kindOf(kind) : undefined;
  return known ? errorOf(massG, known.massRange) : massErrorG(massG, massSource);
}

/** Standard error of a volume of a thing, in millilitres, in the same way. */
export function thingVolumeErrorMl(
  { volumeSource, kind }: Pick<Thing, 'volumeSource' | 'kind'>,
  volumeMl: number,
): number {
  const known = volumeSource === 'estimate' ? kindOf(kind) : undefined;
  return known ? errorOf(volumeMl, known.volumeRange) : volumeErrorMl(volumeMl, volumeSource);
}
