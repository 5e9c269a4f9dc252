import { SYSTEMS } from '@/core/kit/thing';
import {
  APART_POINTS,
  bodyPoints,
  FAIR_POINTS,
  FOOD_BAG_POINTS,
  FOOD_BAGS,
  PAIR_POINTS,
  PRESS_POINTS,
  SHARE_POINTS,
  sidePoints,
  SPREAD_POINTS,
  tailPoints,
} from '@/core/packing/costs';
import { APART, bitOf, type Nature } from '@/core/packing/natures';
import type { Instance } from './instance';

/** Parts of the objective as the search sees them; `placing` is what depends on one thing and its compartment (`LINEAR_TERMS`). */
export interface ObjectiveParts {
  placing: number;
  together: number;
  foodBags: number;
  apart: number;
  tight: number;
  balance: number;
  fair: number;
  wishes: number;
  leftBehind: number;
  total: number;
}

/** Points for where the two of a pair are: nothing on the floor both, or one on each side in the same place. */
export const pairPoints = (instance: Instance, at: number, other: number): number =>
  at < 0 && other < 0 ? 0 : at >= 0 && other >= 0 && instance.mirror[at] === other ? 0 : PAIR_POINTS;

function volumeIn(instance: Instance, where: Int32Array, j: number): number {
  let volume = 0;
  for (let i = 0; i < instance.n; i += 1) if (where[i] === j) volume += instance.needMl[i]!;
  return volume;
}

/**
 * Which hard rules an assignment breaks; empty for one that may be ridden.
 *
 * @param closes whether a compartment closes; by volumes alone where not given
 */
export function brokenRules(
  instance: Instance,
  where: Int32Array,
  closes: (j: number) => boolean = (j) => volumeIn(instance, where, j) <= instance.capacityMl[j]! + 1e-6,
): string[] {
  const { n, m } = instance;
  const mass = new Float64Array(m);
  const bag = new Float64Array(instance.b);
  const broken: string[] = [];
  for (let i = 0; i < n; i += 1) {
    const j = where[i]!;
    if (instance.fixed[i] && j !== instance.start[i])
      broken.push(`${instance.things[i]!.name} is pinned elsewhere`);
    if (j < 0) continue;
    if (!instance.allowed[i * m + j] && !instance.fixed[i]) {
      broken.push(`${instance.things[i]!.name} cannot go in ${instance.spots[j]!.name}`);
    }
    mass[j]! += instance.massG[i]!;
    bag[instance.bagOf[j]!]! += instance.massG[i]!;
  }
  for (let j = 0; j < m; j += 1) {
    if (!closes(j)) broken.push(`${instance.spots[j]!.name} does not close`);
    if (mass[j]! > instance.limitG[j]! + 1e-6) broken.push(`${instance.spots[j]!.name} is too heavy`);
  }
  for (let k = 0; k < instance.b; k += 1) {
    if (bag[k]! > instance.bagLimitG[k]! + 1e-6) broken.push(`bag ${k} is too heavy`);
  }
  return broken;
}

/**
 * The objective of an assignment from scratch, in points, lower is better (methods, section 4). Slow and plain:
 * it reports the terms on screen and checks the search's running sum in the tests.
 */
export function objectiveOf(instance: Instance, where: Int32Array): ObjectiveParts {
  const { n, m, weights } = instance;
  const S = SYSTEMS.length;
  const present = new Int32Array(S * m);
  const comfort = new Float64Array(m);
  let placing = 0;
  let leftBehind = 0;
  const leftG = instance.baseLeftG.slice();
  const carriedG = new Float64Array(instance.r);
  const bodyG = new Float64Array(instance.r);
  const totalG = instance.baseG.slice();
  const frontG = instance.baseFrontG.slice();
  const tailKgM = instance.baseTailKgM.slice();
  for (let i = 0; i < n; i += 1) {
    const j = where[i]!;
    if (j < 0) {
      leftBehind += instance.leave[i]!;
      continue;
    }
    placing += instance.points[i * m + j]!;
    present[instance.system[i]! * m + j]! += 1;
    comfort[j]! += instance.comfortMl[i]!;
    const rider = instance.riderOf[j]!;
    carriedG[rider]! += instance.massG[i]!;
    leftG[rider]! += instance.side[j]! * instance.massG[i]!;
    tailKgM[rider]! += (instance.tailM[j]! * instance.massG[i]!) / 1000;
    if (instance.onBody[j]) bodyG[rider]! += instance.massG[i]!;
    else {
      totalG[rider]! += instance.massG[i]!;
      frontG[rider]! += instance.frontShare[j]! * instance.massG[i]!;
    }
  }
  let wishes = 0;
  for (let i = 0; i < n; i += 1)
    if (instance.pair[i]! > i) wishes += pairPoints(instance, where[i]!, where[instance.pair[i]!]!);
  wishes *= weights.wishes;
  let spread = 0;
  for (let s = 0; s < S; s += 1) {
    let used = 0;
    for (let j = 0; j < m; j += 1) if (present[s * m + j]! > 0) used += 1;
    spread += Math.max(0, used - 1);
  }
  const withFood = new Set(
    Array.from(where).flatMap((j, i) => (j >= 0 && instance.stores[i] ? instance.bagOf[j]! : [])),
  );
  const foodBags = weights['food bags'] * FOOD_BAG_POINTS * Math.max(0, withFood.size - FOOD_BAGS);
  const holds = (j: number, nature: Nature): boolean =>
    where.some((at, i) => at === j && instance.natures[i]! & bitOf(nature));
  let apart = 0;
  let pressed = 0;
  for (let j = 0; j < m; j += 1) {
    for (const { spoils, suffers, times } of APART) if (holds(j, spoils) && holds(j, suffers)) apart += times;
    pressed += Math.max(0, comfort[j]! - instance.capacityMl[j]!) / 1000;
  }
  const together = weights.together * SPREAD_POINTS * spread;
  let balance = 0;
  let fair = 0;
  for (let k = 0; k < instance.r; k += 1) {
    const shiftG = Math.abs(frontG[k]! - instance.bareFrontShare[k]! * totalG[k]!);
    balance +=
      weights.balance *
      (sidePoints(leftG[k]!) +
        tailPoints(tailKgM[k]!) +
        bodyPoints(bodyG[k]!) +
        (SHARE_POINTS * 100 * shiftG) / instance.wholeG[k]!);
    fair += (weights.fair * FAIR_POINTS * Math.max(0, carriedG[k]! - instance.fairG[k]!)) / 1000;
  }
  const apartPoints = weights.apart * APART_POINTS * apart;
  const tight = weights.tight * PRESS_POINTS * pressed;
  return {
    placing,
    together,
    foodBags,
    apart: apartPoints,
    tight,
    balance,
    fair,
    wishes,
    leftBehind,
    total: placing + together + foodBags + apartPoints + tight + balance + fair + wishes + leftBehind,
  };
}
