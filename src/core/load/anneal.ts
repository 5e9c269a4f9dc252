import { SYSTEMS } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import {
  APART_POINTS,
  FAIR_POINTS,
  PAIR_POINTS,
  PRESS_POINTS,
  SHARE_POINTS,
  sidePoints,
  SPREAD_POINTS,
  tailPoints,
} from './costs';
import type { FitCosts } from './fitCosts';
import type { Instance } from './instance';

const S = SYSTEMS.length;
/** −ln of evenly spread chances: looked up instead of computed, once a move. */
const LOGARITHMS = Float64Array.from({ length: 4096 }, (_, i) => -Math.log((i + 0.5) / 4096));
const EPSILON = 1e-7;
/** Share of the moves that swap two things; the rest move one, to another compartment or to the floor. */
const SWAPS = 0.7;
/**
 * Places are drawn by what they cost the thing alone: one so many points dearer than the cheapest comes up e times more
 * seldom, but each has one of the lots. Measured on the bench's kits: half a per cent of the objective in the same time.
 */
const DRAW_POINTS = 6;
const LOTS = 64;
/** Moves between two steps of heat and price: often enough to be smooth, seldom enough to cost nothing. */
const STEP = 64;

/** Price of a millilitre that does not fit, in points, and its change each step. */
const FIRST_PRICE = 0.02;
const LOWEST_PRICE = 0.001;
const HIGHEST_PRICE = 60;
const DEARER = 1.006;

/** Heat in points, from first to last. */
export interface Schedule {
  hot: number;
  cold: number;
}

/** An assignment that moves are tried on. Compartment index, −1 for the floor. */
export interface Annealer {
  /** Takes up an assignment: compartment index of each thing, −1 for the floor. */
  start(from: Int32Array): void;
  /** Tries so many moves while heat and price go from first to last. */
  run(schedule: Schedule, moves: number): void;
  /** The assignment as it is, which may not close. */
  where(): Int32Array;
  /** Best assignment met that closes, or null. */
  best(): Int32Array | null;
  /** Makes it dearer by some points for thing i to lie in compartment j, from the next start on. */
  penalise(i: number, j: number, points: number): void;
  /** Its objective in points, as the running sums have it; infinite without one. */
  bestTotal(): number;
}

/**
 * Simulated annealing over single moves and swaps (Kirkpatrick et al. 1983) from a given assignment. Compartments
 * may be overfull on the way, at a rising price: in bags that are nearly full almost every good load can only be
 * reached through one that does not close. Masses, sizes and dryness always hold.
 *
 * Draws how much a move may cost before it is looked at, and gives it up as soon as what is known of it costs more
 * than that whatever the rest may save: most moves of a cold annealing end after a few additions.
 *
 * The loop computes what a move would change before making it, on flat arrays in which index 0 is the floor and c is
 * compartment c − 1 (no destructuring in it: that makes an iterator each time); conflicts between systems come from a table over all 2¹² sets of systems. Measured against
 * doing and undoing each move on `LoadState`: about eight times the moves a second.
 *
 * With `fits`, whether a compartment closes and what must be dug out in it come from how things lie instead of volumes.
 * That costs a thousand times as much as a sum, so it is asked only of moves that would be taken otherwise.
 *
 * @param overMl millilitres that pinned things alone do not fit, which no load can mend
 */
export function annealerFor(
  instance: Instance,
  free: readonly number[],
  overMl: number,
  random: Random,
  fits: FitCosts | null = null,
): Annealer {
  const { n, m, needMl, comfortMl, massG, system, weights } = instance;
  const M = m + 1;
  const nFree = free.length;
  const padded = (values: ArrayLike<number>, floor: number): Float64Array =>
    Float64Array.from({ length: M }, (_, c) => (c === 0 ? floor : values[c - 1]!));
  const capacity = padded(instance.capacityMl, Infinity);
  const limit = padded(instance.limitG, Infinity);
  const side = padded(instance.side, 0);
  const tailM = padded(instance.tailM, 0);
  const frontShare = padded(instance.frontShare, 0);
  const onBody = padded(instance.onBody, 0);
  const onBike = Float64Array.from({ length: M }, (_, c) => (c === 0 || onBody[c] ? 0 : 1));
  const bagOf = Int32Array.from({ length: M }, (_, c) => (c === 0 ? instance.b : instance.bagOf[c - 1]!));
  const bagLimit = Float64Array.from({ length: instance.b + 1 }, (_, k) =>
    k === instance.b ? Infinity : instance.bagLimitG[k]!,
  );
  const points = new Float64Array(n * M);
  const allowed = new Uint8Array(n * M);
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
  const isFree = new Uint8Array(n);
  for (const i of free) isFree[i] = 1;
  /** Conflicting pairs in each set of systems. */
  const conflicts = new Uint8Array(1 << S);
  for (let mask = 0; mask < 1 << S; mask += 1)
    for (let a = 0; a < S; a += 1)
      for (let b = a + 1; b < S; b += 1)
        if ((mask >> a) & 1 && (mask >> b) & 1 && (instance.apart[a]! >> b) & 1) conflicts[mask]! += 1;

  const pressPoints = (weights.tight * PRESS_POINTS) / 1000;
  const spreadPoints = weights.together * SPREAD_POINTS;
  const apartPoints = weights.apart * APART_POINTS;
  const fairPoints = (weights.fair * FAIR_POINTS) / 1000;
  const { baseG, bareFrontShare, fairG } = instance;
  const sharePoints = instance.wholeG.map((whole) => (SHARE_POINTS * 100) / whole);
  /** Balance and fairness of rider r, who carries `load` on the bike, which counts in it, and `body`. */
  const balanceOf = (
    r: number,
    left: number,
    load: number,
    front: number,
    tail: number,
    body: number,
  ): number => {
    const shift = front - bareFrontShare[r]! * load;
    const unfair = load - baseG[r]! + body - fairG[r]!;
    return (
      weights.balance *
        (sidePoints(left) + tailPoints(tail) + sharePoints[r]! * (shift < 0 ? -shift : shift)) +
      (unfair > 0 ? fairPoints * unfair : 0)
    );
  };
  /** By compartment; the floor is nobody's. */
  const riderOf = Int32Array.from({ length: M }, (_, c) => (c === 0 ? -1 : instance.riderOf[c - 1]!));

  const { pair } = instance;
  const mirror = Int32Array.from({ length: M }, (_, c) => (c === 0 ? -1 : instance.mirror[c - 1]! + 1));
  const pairPoints = weights.wishes * PAIR_POINTS;
  const pairCost = (at: number, other: number): number =>
    at === 0 && other === 0 ? 0 : at > 0 && other > 0 && mirror[at] === other ? 0 : pairPoints;

  // The assignment and its running sums: of compartments, bags, systems and riders. In typed arrays, since numbers that
  // closures share and change are boxed by the engine at every change; those of the whole are locals within a run.
  const where = new Int32Array(n);
  const volume = new Float64Array(M);
  const comfort = new Float64Array(M);
  const mass = new Float64Array(M);
  const bagMass = new Float64Array(instance.b + 1);
  const present = new Int32Array(S * M);
  const masks = new Int32Array(M);
  const spread = new Int32Array(S);
  // Which free things are in each compartment, in no order, and where in that list each is: for drawing one.
  const inside = Array.from({ length: M }, () => new Int32Array(n));
  const counts = new Int32Array(M);
  const seat = new Int32Array(n);
  const enter = (i: number, c: number): void => {
    seat[i] = counts[c]!;
    inside[c]![counts[c]!++] = i;
  };
  const leave = (i: number, c: number): void => {
    const own = inside[c]!;
    const last = own[(counts[c]! -= 1)]!;
    own[seat[i]!] = last;
    seat[last] = seat[i]!;
  };
  const left = new Float64Array(instance.r);
  const load = new Float64Array(instance.r);
  const front = new Float64Array(instance.r);
  const tail = new Float64Array(instance.r);
  const body = new Float64Array(instance.r);
  const balanced = new Float64Array(instance.r);
  const whole = { total: 0, over: 0, best: Infinity, price: FIRST_PRICE };
  const closes = overMl + 1e-6;
  const best = new Int32Array(n);

  function start(from: Int32Array): void {
    for (const values of [volume, comfort, mass, bagMass, present, masks, spread, left, body, counts])
      values.fill(0);
    load.set(baseG);
    front.set(instance.baseFrontG);
    tail.set(instance.baseTailKgM);
    let total = 0;
    for (let i = 0; i < n; i += 1) {
      const c = from[i]! + 1;
      where[i] = c;
      if (isFree[i]) enter(i, c);
      total += points[i * M + c]!;
      if (c === 0) continue;
      volume[c]! += needMl[i]!;
      comfort[c]! += comfortMl[i]!;
      mass[c]! += massG[i]!;
      bagMass[bagOf[c]!]! += massG[i]!;
      const r = riderOf[c]!;
      body[r]! += onBody[c]! * massG[i]!;
      left[r]! += side[c]! * massG[i]!;
      load[r]! += onBike[c]! * massG[i]!;
      front[r]! += onBike[c]! * frontShare[c]! * massG[i]!;
      tail[r]! += (tailM[c]! * massG[i]!) / 1000;
      const at = system[i]! * M + c;
      if ((present[at]! += 1) === 1) {
        spread[system[i]!]! += 1;
        masks[c]! |= 1 << system[i]!;
      }
    }
    let over = 0;
    for (let c = 1; c < M; c += 1) {
      total += pressPoints * Math.max(0, comfort[c]! - capacity[c]!) + apartPoints * conflicts[masks[c]!]!;
      over += Math.max(0, volume[c]! - capacity[c]!);
    }
    for (let s = 0; s < S; s += 1) total += spreadPoints * Math.max(0, spread[s]! - 1);
    for (let i = 0; i < n; i += 1) if (pair[i]! > i) total += pairCost(where[i]!, where[pair[i]!]!);
    if (fits) {
      fits.start(from);
      const cost = fits.total();
      total += cost.order;
      over = cost.overMl;
    }
    for (let r = 0; r < instance.r; r += 1) {
      balanced[r] = balanceOf(r, left[r]!, load[r]!, front[r]!, tail[r]!, body[r]!);
      total += balanced[r]!;
    }
    best.set(where);
    // The price stays: it has found what room is worth here.
    whole.total = total;
    whole.over = over;
    whole.best = over <= closes ? total : Infinity;
  }

  /** What moving a thing from one compartment to another changes for it and its partner p, while y goes back. */
  function pairChange(p: number, from: number, to: number, y: number): number {
    const before = where[p]!;
    const after = p === y ? from : before;
    return pairCost(to, after) - pairCost(from, before);
  }

  function run(schedule: Schedule, moves: number): void {
    if (nFree === 0 || m === 0) return;
    let { total, over, best: bestTotal, price } = whole;
    const { hot, cold } = schedule;
    const steps = Math.max(1, Math.ceil(moves / STEP));
    const cooling = Math.pow(cold / hot, 1 / steps);
    let heat = hot;

    for (let move = 0; move < moves; move += 1) {
      if (move % STEP === 0) {
        heat *= cooling;
        // Up while something does not fit, down while all does: the search swings across the edge of what closes.
        price =
          over > closes ? Math.min(HIGHEST_PRICE, price * DEARER) : Math.max(LOWEST_PRICE, price / DEARER);
      }
      const p = (random() * nFree) | 0;
      const i = free[p]!;
      const a = where[i]!;
      const own = choices[p]!;
      const b = own[(random() * own.length) | 0]!;
      if (a === b) continue;
      // A swap has a partner k that comes back from b to a; a single move has none, k = −1.
      let k = -1;
      if (random() < SWAPS && counts[b]! > 0) {
        k = inside[b]![(random() * counts[b]!) | 0]!;
        if (!allowed[k * M + a]) continue;
      }
      // Each end's rider; a thing that goes to the floor or comes from there concerns one alone.
      const q = a > 0 ? riderOf[a]! : riderOf[b]!;
      const r = b > 0 ? riderOf[b]! : q;
      const mi = massG[i]!;
      const mk = k < 0 ? 0 : massG[k]!;
      const dm = mi - mk;
      if (dm > 0) {
        if (mass[b]! + dm > limit[b]! + EPSILON) continue;
        if (bagOf[a] !== bagOf[b] && bagMass[bagOf[b]!]! + dm > bagLimit[bagOf[b]!]! + EPSILON) continue;
        if (onBody[b] && !(onBody[a] && q === r) && body[r]! + dm > instance.bodyLimitG + EPSILON) continue;
      } else if (dm < 0) {
        if (mass[a]! - dm > limit[a]! + EPSILON) continue;
        if (bagOf[a] !== bagOf[b] && bagMass[bagOf[a]!]! - dm > bagLimit[bagOf[a]!]! + EPSILON) continue;
        if (onBody[a] && !(onBody[b] && q === r) && body[q]! - dm > instance.bodyLimitG + EPSILON) continue;
      }

      let change = points[i * M + b]! - points[i * M + a]!;
      const dv = needMl[i]! - (k < 0 ? 0 : needMl[k]!);
      const dc = comfortMl[i]! - (k < 0 ? 0 : comfortMl[k]!);
      if (k >= 0) change += points[k * M + a]! - points[k * M + b]!;
      let dOver = 0;
      // At best nothing is over or to be dug out in either any more.
      let order = 0;
      if (fits) {
        if (a > 0) {
          dOver -= fits.overMl[a - 1]!;
          order += fits.order[a - 1]!;
        }
        if (b > 0) {
          dOver -= fits.overMl[b - 1]!;
          order += fits.order[b - 1]!;
        }
        change -= order;
      }
      if (a > 0) {
        const cap = capacity[a]!;
        const v = volume[a]! - cap;
        const c = comfort[a]! - cap;
        const v2 = v - dv;
        const c2 = c - dc;
        if (!fits) dOver += (v2 > 0 ? v2 : 0) - (v > 0 ? v : 0);
        change += pressPoints * ((c2 > 0 ? c2 : 0) - (c > 0 ? c : 0));
      }
      if (b > 0) {
        const cap = capacity[b]!;
        const v = volume[b]! - cap;
        const c = comfort[b]! - cap;
        const v2 = v + dv;
        const c2 = c + dc;
        if (!fits) dOver += (v2 > 0 ? v2 : 0) - (v > 0 ? v : 0);
        change += pressPoints * ((c2 > 0 ? c2 : 0) - (c > 0 ? c : 0));
      }
      const balancedNow = q === r ? balanced[r]! : balanced[q]! + balanced[r]!;
      // Metropolis: a rise is taken with probability exp(−rise ÷ heat), so at most this much is, drawn beforehand.
      const most = heat * LOGARITHMS[(random() * LOGARITHMS.length) | 0]!;
      const known = change + price * dOver;
      const pi = pair[i]!;
      const pk = k < 0 ? -1 : pair[k]!;
      const paired = pi >= 0 || pk >= 0;
      if (
        known -
          2 * spreadPoints -
          balancedNow -
          apartPoints * (conflicts[masks[a]!]! + conflicts[masks[b]!]!) >
        most + (paired ? 2 * pairPoints : 0)
      )
        continue;
      if (pi >= 0) change += pairChange(pi, a, b, k);
      // Where both of a pair change places, that was told already.
      if (pk >= 0 && pk !== i) change += pairChange(pk, b, a, i);
      const s = system[i]!;
      const t = k < 0 ? -1 : system[k]!;
      let maskA = masks[a]!;
      let maskB = masks[b]!;
      let ds = 0;
      let dt = 0;
      if (s !== t) {
        if (a > 0 && present[s * M + a] === 1) {
          maskA &= ~(1 << s);
          ds -= 1;
        }
        if (b > 0 && present[s * M + b] === 0) {
          maskB |= 1 << s;
          ds += 1;
        }
        if (t >= 0) {
          if (b > 0 && present[t * M + b] === 1) {
            maskB &= ~(1 << t);
            dt -= 1;
          }
          if (a > 0 && present[t * M + a] === 0) {
            maskA |= 1 << t;
            dt += 1;
          }
        }
        if (ds !== 0) {
          const count = spread[s]!;
          change += spreadPoints * ((count + ds > 1 ? count + ds - 1 : 0) - (count > 1 ? count - 1 : 0));
        }
        if (dt !== 0) {
          const count = spread[t]!;
          change += spreadPoints * ((count + dt > 1 ? count + dt - 1 : 0) - (count > 1 ? count - 1 : 0));
        }
        change +=
          apartPoints *
          (conflicts[maskA]! + conflicts[maskB]! - conflicts[masks[a]!]! - conflicts[masks[b]!]!);
      }
      // What comes to b's rider; where a is another's, what goes from that one too.
      const same = q === r ? 1 : 0;
      const left2 = left[r]! + (side[b]! - same * side[a]!) * dm;
      const load2 = load[r]! + (onBike[b]! - same * onBike[a]!) * dm;
      const front2 = front[r]! + (onBike[b]! * frontShare[b]! - same * onBike[a]! * frontShare[a]!) * dm;
      const tail2 = tail[r]! + ((tailM[b]! - same * tailM[a]!) * dm) / 1000;
      const body2 = body[r]! + (onBody[b]! - same * onBody[a]!) * dm;
      const balanced2 = balanceOf(r, left2, load2, front2, tail2, body2);
      let balancedQ = 0;
      if (q !== r)
        balancedQ = balanceOf(
          q,
          left[q]! - side[a]! * dm,
          load[q]! - onBike[a]! * dm,
          front[q]! - onBike[a]! * frontShare[a]! * dm,
          tail[q]! - (tailM[a]! * dm) / 1000,
          body[q]! - onBody[a]! * dm,
        );
      change += balanced2 + balancedQ - balancedNow;

      if (change + price * dOver > most) continue;
      if (fits) {
        fits.ask(i, a - 1, b - 1, k);
        change += order + fits.changeOrder;
        dOver = fits.changeOverMl;
        if (change + price * dOver > most) continue;
        fits.commit();
      }
      leave(i, a);
      enter(i, b);
      where[i] = b;
      if (k >= 0) {
        leave(k, b);
        enter(k, a);
        where[k] = a;
      }
      if (a > 0) {
        volume[a]! -= dv;
        comfort[a]! -= dc;
        mass[a]! -= dm;
      }
      if (b > 0) {
        volume[b]! += dv;
        comfort[b]! += dc;
        mass[b]! += dm;
      }
      bagMass[bagOf[a]!]! -= dm;
      bagMass[bagOf[b]!]! += dm;
      if (s !== t) {
        present[s * M + a]! -= 1;
        present[s * M + b]! += 1;
        spread[s]! += ds;
        if (t >= 0) {
          present[t * M + b]! -= 1;
          present[t * M + a]! += 1;
          spread[t]! += dt;
        }
        masks[a] = maskA;
        masks[b] = maskB;
      }
      left[r] = left2;
      load[r] = load2;
      front[r] = front2;
      tail[r] = tail2;
      body[r] = body2;
      balanced[r] = balanced2;
      if (q !== r) {
        left[q]! -= side[a]! * dm;
        load[q]! -= onBike[a]! * dm;
        front[q]! -= onBike[a]! * frontShare[a]! * dm;
        tail[q]! -= (tailM[a]! * dm) / 1000;
        body[q]! -= onBody[a]! * dm;
        balanced[q] = balancedQ;
      }
      total += change;
      over += dOver;
      if (total < bestTotal - 1e-9 && over <= closes) {
        bestTotal = total;
        best.set(where);
      }
    }
    Object.assign(whole, { total, over, best: bestTotal, price });
  }

  const unpadded = (assignment: Int32Array) => assignment.map((c) => c - 1);
  return {
    start,
    run,
    where: () => unpadded(where),
    best: () => (whole.best < Infinity ? unpadded(best) : null),
    penalise(i, j, extra) {
      points[i * M + j + 1]! += extra;
    },
    bestTotal: () => whole.best,
  };
}
