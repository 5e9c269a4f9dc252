import { SYSTEMS } from '@/core/kit/thing';
import {
  APART_POINTS,
  BODY_OVER_POINTS,
  FAIR_POINTS,
  FOOD_BAG_POINTS,
  PAIR_POINTS,
  PRESS_POINTS,
  SHARE_POINTS,
  SPREAD_POINTS,
  STEEPEST_SIDE,
  TAIL_OVER_POINTS,
} from '@/core/packing/costs';
import { TROUBLES } from '@/core/packing/natures';
import type { Instance } from './instance';

const S = SYSTEMS.length;
/**
 * Places are drawn by what they cost the thing alone: one that costs so many points more than the cheapest comes up e times more
 * seldom, but each has one of the lots. Measured on the bench's kits: half a per cent of the objective in the same time.
 */
const DRAW_POINTS = 6;
const LOTS = 64;

/**
 * An instance as the annealing reads it: index 0 is the floor, c is compartment c − 1, and thing n is none, which takes
 * no room, weighs nothing and costs nothing anywhere, so that an exchange of fewer things needs no cases.
 */
export interface AnnealTables {
  needMl: Float64Array;
  comfortMl: Float64Array;
  stiffMl: Float64Array;
  massG: Float64Array;
  system: Int32Array;
  /** 1 for food that is not the day's snacks. */
  stores: Uint8Array;
  /** What each is to those beside it, as a set; and by each set, how many pairs in it should be apart (natures.ts). */
  natures: Int32Array;
  troubles: Uint8Array;
  pair: Int32Array;
  /** (n + 1)·M: points of a thing in a place, and whether it may lie there. */
  points: Float64Array;
  allowed: Uint8Array;
  capacity: Float64Array;
  limit: Float64Array;
  side: Float64Array;
  tailM: Float64Array;
  frontShare: Float64Array;
  onBody: Float64Array;
  onBike: Float64Array;
  /** The floor is a bag of its own without a limit, and nobody's. */
  bagOf: Int32Array;
  bagLimit: Float64Array;
  riderOf: Int32Array;
  mirror: Int32Array;
  /** Of each free thing the places it may be in, each as often as it should be drawn. */
  choices: readonly Int32Array[];
  /** M·M: points that balance and fairness change at most for each gram that goes from one place to the other. */
  steep: Float64Array;
  /** By rider: points for a gram on the wrong wheel. */
  share: Float64Array;
}

/** Points for a millilitre pressed, a further compartment of a system, a further bag of food, a pair to be apart, a wished pair, a gram beyond the fair. */
export const pricesOf = (weights: Instance['weights']) => ({
  press: (weights.tight * PRESS_POINTS) / 1000,
  spread: weights.together * SPREAD_POINTS,
  foodBag: weights['food bags'] * FOOD_BAG_POINTS,
  apart: weights.apart * APART_POINTS,
  pair: weights.wishes * PAIR_POINTS,
  fair: (weights.fair * FAIR_POINTS) / 1000,
});

export function annealTables(instance: Instance, free: readonly number[]): AnnealTables {
  const { n, m, b } = instance;
  const M = m + 1;
  const padded = (values: ArrayLike<number>, floor: number): Float64Array =>
    withFloor(instance, values, floor);
  const withNone = (values: Float64Array): Float64Array =>
    Float64Array.from({ length: n + 1 }, (_, i) => (i === n ? 0 : values[i]!));
  const points = new Float64Array((n + 1) * M);
  const allowed = new Uint8Array((n + 1) * M).fill(1, n * M);
  for (let i = 0; i < n; i += 1) {
    points[i * M] = instance.leave[i]!;
    allowed[i * M] = 1;
    for (let j = 0; j < m; j += 1) {
      points[i * M + j + 1] = instance.points[i * m + j]!;
      allowed[i * M + j + 1] = instance.allowed[i * m + j]!;
    }
  }
  const choices = free.map((i) => {
    const own = Array.from({ length: M }, (_, c) => c).filter((c) => allowed[i * M + c]);
    const least = Math.min(...own.map((c) => points[i * M + c]!));
    const likely = own.map((c) => Math.exp((least - points[i * M + c]!) / DRAW_POINTS));
    const whole = likely.reduce((sum, value) => sum + value, 0);
    const spare = Math.max(0, LOTS - own.length);
    return Int32Array.from(
      own.flatMap((c, k) => Array<number>(1 + Math.round((spare * likely[k]!) / whole)).fill(c)),
    );
  });
  const riderOf = Int32Array.from({ length: M }, (_, c) => (c === 0 ? -1 : instance.riderOf[c - 1]!));
  const onBody = padded(instance.onBody, 0);
  return {
    needMl: withNone(instance.needMl),
    comfortMl: withNone(instance.comfortMl),
    stiffMl: withNone(instance.stiffMl),
    massG: withNone(instance.massG),
    system: Int32Array.from({ length: n + 1 }, (_, i) => (i === n ? S : instance.system[i]!)),
    stores: Uint8Array.from({ length: n + 1 }, (_, i) => (i === n ? 0 : instance.stores[i]!)),
    natures: Int32Array.from({ length: n + 1 }, (_, i) => (i === n ? 0 : instance.natures[i]!)),
    pair: Int32Array.from({ length: n + 1 }, (_, i) => (i === n ? -1 : instance.pair[i]!)),
    points,
    allowed,
    capacity: padded(instance.capacityMl, Infinity),
    limit: padded(instance.limitG, Infinity),
    side: padded(instance.side, 0),
    tailM: padded(instance.tailM, 0),
    frontShare: padded(instance.frontShare, 0),
    onBody,
    onBike: onBody.map((own, c) => (c === 0 || own ? 0 : 1)),
    bagOf: Int32Array.from({ length: M }, (_, c) => (c === 0 ? b : instance.bagOf[c - 1]!)),
    bagLimit: Float64Array.from({ length: b + 1 }, (_, k) => (k === b ? Infinity : instance.bagLimitG[k]!)),
    riderOf,
    mirror: Int32Array.from({ length: M }, (_, c) => (c === 0 ? -1 : instance.mirror[c - 1]! + 1)),
    choices,
    troubles: TROUBLES,
    steep: steepOf(instance),
    share: shareOf(instance),
  };
}

const withFloor = ({ m }: Instance, values: ArrayLike<number>, floor: number): Float64Array =>
  Float64Array.from({ length: m + 1 }, (_, c) => (c === 0 ? floor : values[c - 1]!));

/** By rider: points for a gram on the wrong wheel. */
const shareOf = (instance: Instance): Float64Array =>
  instance.wholeG.map((whole) => (SHARE_POINTS * 100) / whole);

/** (m + 1)², the floor first: points that balance and fairness change at most for each gram that goes from one to the other. */
export function steepOf(instance: Instance): Float64Array {
  const M = instance.m + 1;
  const { balance } = instance.weights;
  const { fair } = pricesOf(instance.weights);
  const share = shareOf(instance);
  const [side, tailM] = [withFloor(instance, instance.side, 0), withFloor(instance, instance.tailM, 0)];
  const body = withFloor(instance, instance.onBody, 0);
  const riderOf = (c: number) => (c === 0 ? -1 : instance.riderOf[c - 1]!);
  // What a gram that comes to place c, or goes from it, changes at most for its rider.
  const gram = (
    c: number,
    sideBy: number,
    tailBy: number,
    frontBy: number,
    bodyBy: number,
    loadBy: number,
  ): number =>
    c === 0
      ? 0
      : balance *
          (STEEPEST_SIDE * Math.abs(sideBy) +
            (TAIL_OVER_POINTS * Math.abs(tailBy)) / 1000 +
            (BODY_OVER_POINTS * Math.abs(bodyBy)) / 1000 +
            share[riderOf(c)]! * Math.abs(frontBy)) +
        (instance.fairG[riderOf(c)] === Infinity ? 0 : fair * Math.abs(loadBy));
  const toFront = (c: number) =>
    c === 0 || instance.onBody[c - 1]
      ? 0
      : instance.frontShare[c - 1]! - instance.bareFrontShare[riderOf(c)]!;
  const steep = new Float64Array(M * M);
  for (let x = 0; x < M; x += 1)
    for (let y = 0; y < M; y += 1)
      steep[x * M + y] =
        x === 0 || y === 0 || riderOf(x) !== riderOf(y)
          ? gram(x, side[x]!, tailM[x]!, toFront(x), body[x]!, 1) +
            gram(y, side[y]!, tailM[y]!, toFront(y), body[y]!, 1)
          : gram(
              x,
              side[y]! - side[x]!,
              tailM[y]! - tailM[x]!,
              toFront(y) - toFront(x),
              body[y]! - body[x]!,
              0,
            );
  return steep;
}
