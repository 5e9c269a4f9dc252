import type { Instance } from './instance';
import { tailPoints } from './costs';

/** Steps of the ascent; more gain less than a thousandth on kits of 60 to 120 things. */
const STEPS = 400;

/**
 * A lower bound on the objective of any load that keeps the hard rules, in points: no load is better than this.
 *
 * Lagrangian relaxation (Held and Karp 1971; Fisher 1981): the limits on volume and mass are lifted and priced, so
 * that each thing goes where it is cheapest by itself; the prices are raised by subgradient ascent. What is priced
 * at zero is each term that depends on several things at once (together, apart, tight), since all are at least
 * nothing; the tail's least is that of the empty bags, since load only adds to it.
 *
 * Never more than the optimum, whatever the prices: for any prices, the priced problem's least is at most the cost
 * of any allowed load.
 *
 * @example lowerBound(instance) <= objectiveOf(instance, anyAllowedLoad).total
 */
export function lowerBound(instance: Instance, steps = STEPS): number {
  const { n, m, b } = instance;
  // Prices a litre of each compartment, a kilogram of each compartment and of each bag.
  const price = { volume: new Float64Array(m), mass: new Float64Array(m), bag: new Float64Array(b) };
  const used = { volume: new Float64Array(m), mass: new Float64Array(m), bag: new Float64Array(b) };
  const constant =
    instance.weights.balance * instance.baseTailKgM.reduce((sum, tail) => sum + tailPoints(tail), 0);
  let pinnedPoints = 0;
  const room = {
    volume: Float64Array.from(instance.capacityMl, (ml) => ml / 1000),
    mass: Float64Array.from(instance.limitG, (g) => g / 1000),
    bag: Float64Array.from(instance.bagLimitG, (g) => g / 1000),
  };
  const free: number[] = [];
  for (let i = 0; i < n; i += 1) {
    if (!instance.fixed[i]) {
      free.push(i);
      continue;
    }
    const j = instance.start[i]!;
    pinnedPoints += instance.points[i * m + j]!;
    room.volume[j]! -= instance.needMl[i]! / 1000;
    room.mass[j]! -= instance.massG[i]! / 1000;
    room.bag[instance.bagOf[j]!]! -= instance.massG[i]! / 1000;
  }
  // A pinned thing may itself break a limit; then nothing more goes in, and that is all the bound may use.
  for (const limits of [room.volume, room.mass, room.bag])
    for (let k = 0; k < limits.length; k += 1) limits[k] = Math.max(0, limits[k]!);

  let best = -Infinity;
  let stride = 2;
  let since = 0;
  for (let step = 0; step < steps; step += 1) {
    used.volume.fill(0);
    used.mass.fill(0);
    used.bag.fill(0);
    let value = constant + pinnedPoints;
    for (const i of free) {
      const litres = instance.needMl[i]! / 1000;
      const kg = instance.massG[i]! / 1000;
      let least = instance.leave[i]!;
      let at = -1;
      for (let j = 0; j < m; j += 1) {
        if (!instance.allowed[i * m + j]) continue;
        const cost =
          instance.points[i * m + j]! +
          price.volume[j]! * litres +
          (price.mass[j]! + price.bag[instance.bagOf[j]!]!) * kg;
        if (cost < least) [least, at] = [cost, j];
      }
      value += least;
      if (at < 0) continue;
      used.volume[at]! += litres;
      used.mass[at]! += kg;
      used.bag[instance.bagOf[at]!]! += kg;
    }
    let square = 0;
    for (const kind of ['volume', 'mass', 'bag'] as const) {
      const [prices, limits] = [price[kind], room[kind]];
      for (let k = 0; k < prices.length; k += 1) {
        if (limits[k] === Infinity) continue;
        value -= prices[k]! * limits[k]!;
        const over = used[kind][k]! - limits[k]!;
        if (over > 0 || prices[k]! > 0) square += over * over;
      }
    }
    if (value > best + 1e-9) [best, since] = [value, 0];
    else if ((since += 1) >= 20) [stride, since] = [stride / 2, 0];
    if (square < 1e-12) break;
    // Polyak's step towards a value a little above the best known.
    const size = (stride * Math.max(1, 0.05 * Math.abs(best) + best - value)) / square;
    for (const kind of ['volume', 'mass', 'bag'] as const) {
      const [prices, limits] = [price[kind], room[kind]];
      for (let k = 0; k < prices.length; k += 1)
        if (limits[k] !== Infinity)
          prices[k] = Math.max(0, prices[k]! + size * (used[kind][k]! - limits[k]!));
    }
  }
  return best;
}
