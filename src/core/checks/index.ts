import { assumedLimits } from './assumedLimits';
import { bareStart } from './bareStart';
import { boltsTurned } from './boltsTurned';
import { bottleSpace } from './bottles';
import { clearView, hiddenLamp } from './clearView';
import { circumstances } from './circumstances';
import { closing } from './closing';
import { condition } from './condition';
import { dugOut } from './dugOut';
import { companions } from './companions';
import { enoughCharge, enoughFuel, sleepsWarm, unmetNeeds, warmAtCamp } from './enough';
import { fallsOut } from './fallsOut';
import type { Check } from './finding';
import { enoughFood, foodKeeps, foodSuits } from './food';
import { geometryDoubt } from './geometryDoubt';
import { handling } from './handling';
import { leftBehind } from './leftBehind';
import { mounting, strapsOverPaint } from './mounting';
import { nestOverfull } from './nestOverfull';
import { noPlace } from './noPlace';
import { unmetWishes } from './unmetWishes';
import { noLight, noRepair, nothingWarm, noWater } from './missing';
import { mustStayDry } from './staysDry';
import { closedWhenPassed, missesTrain } from './openWhenPassed';
import { outOfReach } from './outOfReach';
import { bagOverMass, bikeOverMass, bodyOverMass, compartmentOverMass } from './overMass';
import { outsideThings } from './outside';
import { overVolume } from './overVolume';
import { arrivesLate, daysWithoutPlace, dryCamp, walkedUp } from './route';
import { scented } from './scented';
import { sideImbalance } from './sideImbalance';
import { statedLitres } from './statedLitres';
import { tailHeavy } from './tailHeavy';
import { tooLong } from './tooLong';
import { tooNear } from './tooNear';
import { tyreLimits } from './tyres';
import { unloaded } from './unloaded';
import { bridgesDryStretch } from './water';
import { weather } from './weather';

/** Every judgement, in the order findings of the same severity are listed. */
export const CHECKS: readonly Check[] = [
  tooNear,
  compartmentOverMass,
  bagOverMass,
  bodyOverMass,
  bikeOverMass,
  overVolume,
  tooLong,
  noPlace,
  nestOverfull,
  mustStayDry,
  nothingWarm,
  noWater,
  noLight,
  noRepair,
  arrivesLate,
  daysWithoutPlace,
  dryCamp,
  walkedUp,
  closedWhenPassed,
  missesTrain,
  weather,
  circumstances,
  bridgesDryStretch,
  sleepsWarm,
  warmAtCamp,
  enoughFuel,
  enoughCharge,
  boltsTurned,
  enoughFood,
  foodKeeps,
  foodSuits,
  unmetNeeds,
  condition,
  unloaded,
  leftBehind,
  sideImbalance,
  tailHeavy,
  handling,
  outOfReach,
  unmetWishes,
  companions,
  dugOut,
  closing,
  scented,
  mounting,
  strapsOverPaint,
  hiddenLamp,
  clearView,
  outsideThings,
  fallsOut,
  tyreLimits,
  bottleSpace,
  bareStart,
  geometryDoubt,
  assumedLimits,
  statedLitres,
];

/** Those whose findings depend on the moment of the trip. */
export const CHANGING_CHECKS = CHECKS.filter(({ changesOnTheWay }) => changesOnTheWay);
