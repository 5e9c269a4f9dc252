import { barClearances } from './bar';
import type { Clearance, Surroundings } from './clearance';
import { inFrameClearances } from './inFrame';
import { heelClearances, kneeClearances, standOver } from './rider';
import { tyreClearances } from './tyres';

/** Every measured gap between bags and what they must not touch (methods, section 2). */
export function clearancesOf(surroundings: Surroundings): Clearance[] {
  const overTube = standOver(surroundings);
  return [
    ...tyreClearances(surroundings),
    ...barClearances(surroundings),
    ...kneeClearances(surroundings),
    ...(overTube ? [overTube] : []),
    ...heelClearances(surroundings),
    ...inFrameClearances(surroundings),
  ];
}
