import { writeWeight } from '@/core/weighing/weightMeasurement';
import type { Random } from '@/core/random';

/** How often a scale sends, in milliseconds. */
export const SENDS_EVERY_MS = 150;
const SETTLES_IN = 4;
const STANDS_FOR = 9;
/** How much heavier things are whose masses were only estimated: a made-up truth, so that a reading has something to tell. */
export const ESTIMATE_OFF = 1.08;

/**
 * What a small scale sends while a thing is put on it, in the messages of the standard Bluetooth characteristic: it rises, overshoots,
 * and stands still. A real scale sends the same through the browser.
 */
export function messagesOfScale(truthG: number, unit: 'metric' | 'imperial', random: Random): Uint8Array[] {
  const settling = Array.from(
    { length: SETTLES_IN },
    (_, i) => truthG * (0.4 + (0.64 * (i + 1)) / SETTLES_IN + 0.02 * random()),
  );
  return [...settling, ...Array.from({ length: STANDS_FOR }, () => truthG)].map((massG) =>
    writeWeight(massG, unit),
  );
}
