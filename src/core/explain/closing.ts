import type { CompartmentFacts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';

/**
 * How a compartment closes, in a few words.
 *
 * @example closingWords(compartment pressed to 1.2, metric) // 'pressed 120 %'
 */
export function closingWords(
  { closes, tightness, things, neededMl, fit, spot }: CompartmentFacts,
  format: Formatter,
): string {
  if (things.length === 0) return 'empty';
  if (fit.noPlace.length > 0)
    return fit.noPlace.length === 1 ? '✕ 1 finds no place' : `✕ ${fit.noPlace.length} find no place`;
  if (!closes) return `✕ over by ${format.volume(neededMl - spot.capacityMl)}`;
  if (tightness > 1) return `pressed ${Math.round(tightness * 100)} %`;
  return 'closes';
}
