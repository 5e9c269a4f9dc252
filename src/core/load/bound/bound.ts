import { SYSTEMS } from '@/core/kit/thing';
import {
  BODY_FREE_G,
  BODY_OVER_POINTS,
  FAIR_POINTS,
  PRESS_POINTS,
  SHARE_POINTS,
  SIDE_FREE_G,
  SIDE_POINTS,
  SPREAD_POINTS,
  STEEPEST_SIDE,
  TAIL_FREE_KGM,
  TAIL_OVER_POINTS,
} from '@/core/packing/costs';
import type { Instance } from '../model/instance';
import { SystemBound } from './systemBound';

/** Steps of the ascent; more gain less than a hundredth on kits of 60 to 120 things. */
const STEPS = 400;
/** Steps without a better bound before they are made half as long. */
const PATIENCE = 20;
const NEVER = Infinity;

/**
 * A lower bound on the objective of any load that keeps the hard rules, in points: no load is better than this.
 *
 * Lagrangian relaxation (Held and Karp 1971; Fisher 1981). The limits on litres and mass are lifted and priced. The
 * terms that are convex in the whole load (balance, fairness, what is pressed) are replaced by one of the straight
 * lines under them, whose slope is a price too. What is left falls apart into the systems, and each is put cheapest
 * with what its spread over compartments costs (`SystemBound`). The prices are found by subgradient ascent. Counted as
 * nothing: conflicts in a compartment, food in many bags, pairs, and what must be dug out.
 *
 * Never more than the optimum, whatever the prices: for any prices the relaxed problem's least is at most the cost of
 * any allowed load.
 *
 * @param known objective of some load, where there is one: the prices are then found sooner
 * @example lowerBound(instance) <= objectiveOf(instance, anyAllowedLoad).total
 */
export function lowerBound(instance: Instance, known = Infinity, steps = STEPS): number {
  const { n, m } = instance;
  const rows = rowsOf(instance);
  const spread = instance.weights.together * SPREAD_POINTS;
  const systems = SYSTEMS.map((_, s) => {
    const things: number[] = [];
    const used = new Uint8Array(m);
    for (let i = 0; i < n; i += 1) {
      if (instance.system[i] !== s) continue;
      if (instance.fixed[i]) used[instance.start[i]!] = 1;
      else things.push(i);
    }
    return { things, used, leave: Float64Array.from(things, (i) => instance.leave[i]!) };
  });
  const most = Math.max(1, ...systems.map(({ things }) => things.length));
  const bySystem = new SystemBound(m, most);
  const cost = new Float64Array(most * m);
  let pinnedPoints = 0;
  for (let i = 0; i < n; i += 1)
    if (instance.fixed[i]) pinnedPoints += instance.points[i * m + instance.start[i]!]!;

  let best = -Infinity;
  let stride = 2;
  let since = 0;
  for (let step = 0; step < steps; step += 1) {
    const { perLitre, perKg, perLooseLitre } = rows.slopes();
    rows.clear();
    let value = pinnedPoints;
    for (const { things, used, leave } of systems) {
      things.forEach((i, t) => {
        const litres = instance.needMl[i]! / 1000;
        const loose = instance.comfortMl[i]! / 1000;
        const kg = instance.massG[i]! / 1000;
        for (let j = 0; j < m; j += 1)
          cost[t * m + j] = instance.allowed[i * m + j]
            ? instance.points[i * m + j]! + perLitre[j]! * litres + perLooseLitre[j]! * loose + perKg[j]! * kg
            : NEVER;
      });
      value += bySystem.least(things.length, leave, cost, used, spread);
      things.forEach((i, t) => rows.put(i, bySystem.at[t]!));
    }
    value += rows.constant();
    if (value > best + 1e-9) [best, since] = [value, 0];
    else if ((since += 1) >= PATIENCE) [stride, since] = [stride / 2, 0];
    // Polyak's step towards what a load is known to cost, else a little above the best bound.
    const towards = known < Infinity ? known : Math.max(1, 1.05 * best);
    if (!rows.step(stride * Math.max(1e-3, towards - value))) break;
  }
  return best;
}

/**
 * The prices, their ranges, and what each is of: row k adds price × (use − limit). Litres, kilograms and kilogram-metres,
 * so that one length of step suits all.
 */
function rowsOf(instance: Instance) {
  const { n, m, b, r, weights } = instance;
  // Where in the flat arrays each kind begins.
  const volume = 0;
  const mass = m;
  const press = 2 * m;
  const bag = 3 * m;
  const body = bag + b;
  const side = body + r;
  const tail = side + r;
  const shift = tail + r;
  const fair = shift + r;
  const K = fair + r;
  const price = new Float64Array(K);
  const low = new Float64Array(K);
  const high = new Float64Array(K).fill(Infinity);
  const limit = new Float64Array(K);
  const use = new Float64Array(K);
  const toFront = Float64Array.from({ length: m }, (_, j) =>
    instance.onBody[j] ? 0 : instance.frontShare[j]! - instance.bareFrontShare[instance.riderOf[j]!]!,
  );
  const sideFree = SIDE_FREE_G / 1000;
  const sideInner = weights.balance * SIDE_POINTS * 1000;

  for (let j = 0; j < m; j += 1) {
    limit[volume + j] = instance.capacityMl[j]! / 1000;
    limit[mass + j] = instance.limitG[j]! / 1000;
    limit[press + j] = instance.capacityMl[j]! / 1000;
    high[press + j] = weights.tight * PRESS_POINTS;
  }
  for (let k = 0; k < b; k += 1) limit[bag + k] = instance.bagLimitG[k]! / 1000;
  for (let k = 0; k < r; k += 1) {
    limit[body + k] = BODY_FREE_G / 1000;
    high[body + k] = weights.balance * BODY_OVER_POINTS;
    high[side + k] = weights.balance * STEEPEST_SIDE * 1000;
    low[side + k] = -high[side + k]!;
    limit[side + k] = -instance.baseLeftG[k]! / 1000;
    limit[tail + k] = TAIL_FREE_KGM - instance.baseTailKgM[k]!;
    high[tail + k] = weights.balance * TAIL_OVER_POINTS;
    limit[shift + k] = (instance.bareFrontShare[k]! * instance.baseG[k]! - instance.baseFrontG[k]!) / 1000;
    high[shift + k] = (weights.balance * SHARE_POINTS * 100 * 1000) / instance.wholeG[k]!;
    low[shift + k] = -high[shift + k]!;
    limit[fair + k] = instance.fairG[k]! / 1000;
    high[fair + k] = weights.fair * FAIR_POINTS;
  }
  // What has no limit has no price.
  for (let k = 0; k < K; k += 1) if (limit[k] === Infinity) [limit[k], high[k]] = [0, 0];

  function put(i: number, j: number): void {
    if (j < 0) return;
    const kg = instance.massG[i]! / 1000;
    const rider = instance.riderOf[j]!;
    use[volume + j]! += instance.needMl[i]! / 1000;
    use[press + j]! += instance.comfortMl[i]! / 1000;
    use[mass + j]! += kg;
    use[bag + instance.bagOf[j]!]! += kg;
    use[body + rider]! += instance.onBody[j]! * kg;
    use[side + rider]! += instance.side[j]! * kg;
    use[tail + rider]! += instance.tailM[j]! * kg;
    use[shift + rider]! += toFront[j]! * kg;
    use[fair + rider]! += kg;
  }
  for (let i = 0; i < n; i += 1) if (instance.fixed[i]) put(i, instance.start[i]!);
  // A pinned thing may itself break a hard limit; then nothing more goes in, and that is all the bound may use.
  for (let k = 0; k < K; k += 1) {
    limit[k]! -= use[k]!;
    const hard = k < press || (k >= bag && k < body);
    if (hard && limit[k]! < 0) limit[k] = 0;
  }

  return {
    put,
    clear: () => void use.fill(0),
    /** Points a litre, a loose litre and a kilogram in each compartment, at the prices as they are. */
    slopes() {
      const rider = (j: number) => instance.riderOf[j]!;
      return {
        perLitre: price.subarray(volume, volume + m),
        perLooseLitre: price.subarray(press, press + m),
        perKg: Float64Array.from(
          { length: m },
          (_, j) =>
            price[mass + j]! +
            price[bag + instance.bagOf[j]!]! +
            instance.onBody[j]! * price[body + rider(j)]! +
            instance.side[j]! * price[side + rider(j)]! +
            instance.tailM[j]! * price[tail + rider(j)]! +
            toFront[j]! * price[shift + rider(j)]! +
            price[fair + rider(j)]!,
        ),
      };
    },
    /** What the prices take off whatever the load. */
    constant(): number {
      let sum = 0;
      for (let k = 0; k < K; k += 1) sum -= price[k]! * limit[k]!;
      // The side term is flat up to its free grams: a steeper line meets it only beyond them.
      for (let k = side; k < tail; k += 1) sum -= sideFree * Math.max(0, Math.abs(price[k]!) - sideInner);
      return sum;
    },
    /** Moves the prices against what is over and under, as far as points over the squared length; false where nothing is. */
    step(points: number): boolean {
      let square = 0;
      for (let k = 0; k < K; k += 1) {
        use[k]! -= limit[k]!;
        if (k >= side && k < tail && Math.abs(price[k]!) > sideInner)
          use[k]! -= Math.sign(price[k]!) * sideFree;
        // What would only push a price over its edge does not count.
        if (use[k]! < 0 ? price[k]! <= low[k]! : price[k]! >= high[k]!) use[k] = 0;
        square += use[k]! * use[k]!;
      }
      if (square < 1e-12) return false;
      for (let k = 0; k < K; k += 1)
        price[k] = Math.min(high[k]!, Math.max(low[k]!, price[k]! + (points / square) * use[k]!));
      return true;
    },
  };
}
