import type { Formatter } from '@/core/units/format';
import { thingMassErrorG, thingVolumeErrorMl } from './errors';
import { thingFrom } from './newThing';
import type { Understood } from './understand';

/**
 * What a line was understood as, in a sentence: what is stated as it was, what is estimated with its range.
 *
 * @example sentenceOf(understand('2x tube 29'), metric) // '2 × Spare tube, 29 in: ≈ 210 g (150 g to 270 g) and ≈ 0.25 l each.'
 */
export function sentenceOf(understood: Understood, format: Formatter): string {
  const { kind, name, quantity } = understood;
  const thing = thingFrom('thing', understood);
  if (!thing) return `"${name}" is not known. Say how big it is, or what it weighs.`;
  const what = `${quantity > 1 ? `${quantity} × ` : ''}${kind?.name ?? name}`;
  const about = (value: number, error: number, estimated: boolean, write: (value: number) => string) =>
    estimated
      ? `≈ ${write(value)} (${write(rounded(value - 2 * error))} to ${write(rounded(value + 2 * error))})`
      : write(value);
  const mass = about(thing.massG, thingMassErrorG(thing), thing.massSource === 'estimate', format.mass);
  const volume = about(
    thing.volumeMl,
    thingVolumeErrorMl(thing, thing.volumeMl),
    thing.volumeSource === 'estimate',
    format.volume,
  );
  const filled = thing.waterMl > 0 ? `, filled with ${format.volume(thing.waterMl)} of water` : '';
  return `${what}: ${mass}, ${volume} packed${quantity > 1 ? ', each' : ''}${filled}.`;
}

/** To two figures: an estimate has no more. */
function rounded(value: number): number {
  if (value <= 0) return 0;
  const step = 10 ** (Math.floor(Math.log10(value)) - 1);
  return Math.round(value / step) * step;
}
