import { assumedLimits } from './assumedLimits';
import { bareStart } from './bareStart';
import type { Check } from './finding';
import { geometryDoubt } from './geometryDoubt';
import { leftBehind } from './leftBehind';
import { noLight, noRepair, nothingWarm, noWater } from './missing';
import { mustStayDry } from './staysDry';
import { outOfReach } from './outOfReach';
import { overMass } from './overMass';
import { overVolume } from './overVolume';
import { sideImbalance } from './sideImbalance';
import { tailHeavy } from './tailHeavy';
import { tooLong } from './tooLong';
import { unloaded } from './unloaded';

/** Every judgement, in the order findings of the same severity are listed. */
export const CHECKS: readonly Check[] = [
  overMass,
  overVolume,
  tooLong,
  mustStayDry,
  nothingWarm,
  noWater,
  noLight,
  noRepair,
  unloaded,
  leftBehind,
  sideImbalance,
  tailHeavy,
  outOfReach,
  bareStart,
  geometryDoubt,
  assumedLimits,
];
