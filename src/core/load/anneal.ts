import { SYSTEMS } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import { annealTables } from './annealTables';
import { sidePoints, tailPoints } from './costs';
import type { FitCosts } from './fitCosts';
import type { Instance } from './instance';

/** −ln of evenly spread chances: looked up instead of computed, once a move. */
const LOGARITHMS = Float64Array.from({ length: 4096 }, (_, i) => -Math.log((i + 0.5) / 4096));
const EPSILON = 1e-7;
/** Moves between two steps of heat and price: often enough to be smooth, seldom enough to cost nothing. */
const STEP = 64;

/** Chances are compared with 16 random bits. */
const chance = (share: number): number => Math.round(share * 65_536);
/** Share of the moves that bring something back from where the thing goes; the rest move one thing alone. */
const SWAPS = chance(0.7);
/** Share of the swaps that take a third thing along, and of those a fourth, chosen so that the litres come out even. */
const THIRDS = chance(0.7);
const FOURTHS = chance(0.3);
/** The litres to be evened out are taken as so much smaller or larger, so that it is not always the same thing. */
const LEAST_OF_GAP = 0.6;

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
 * Simulated annealing (Kirkpatrick et al. 1983) over exchanges between two places, from a given assignment: one thing
 * that moves, or one for one, two for one, two for two. In bags that are nearly full hardly any exchange of single
 * things keeps the litres even, which is why the third and the fourth are chosen by their size (measured on the
 * bench's kits: with them one annealing ends 2 per cent above the best known instead of 5). Compartments may be
 * overfull on the way, at a price that rises while something does not fit. Masses, sizes and dryness always hold.
 *
 * Draws how much a move may cost before it is looked at, and gives it up as soon as what is known of it costs more
 * than that whatever the rest may save: most moves of a cold annealing end after a few additions.
 *
 * The loop computes what a move would change before making it, on flat arrays (`AnnealTables`), without allocation and
 * with the random bits made in place. Measured against doing and undoing each move on `LoadState`: about eight times
 * the moves a second.
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
  const { n, m, weights } = instance;
  const tables = annealTables(instance, free);
  const { M, needMl, comfortMl, massG, system, pair, points, allowed, capacity, limit } = tables;
  const { side, tailM, frontShare, onBody, onBike, bagOf, bagLimit, riderOf, mirror, choices } = tables;
  const { isFree, conflicts, steep, share } = tables;
  const { press, spread: spreadPoints, apart: apartPoints, pair: pairPoints, fair } = tables.price;
  const { baseG, bareFrontShare, fairG, bodyLimitG } = instance;
  const S = SYSTEMS.length;
  const NONE = n;
  const nFree = free.length;
  const freeThings = Int32Array.from(free);

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
      weights.balance * (sidePoints(left) + tailPoints(tail) + share[r]! * (shift < 0 ? -shift : shift)) +
      (unfair > 0 ? fair * unfair : 0)
    );
  };
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
  // Which free things are in each place, in no order, and where in that list each is: for drawing one.
  const inside = Array.from({ length: M }, () => new Int32Array(n));
  const counts = new Int32Array(M);
  const seat = new Int32Array(n);
  const left = new Float64Array(instance.r);
  const load = new Float64Array(instance.r);
  const front = new Float64Array(instance.r);
  const tail = new Float64Array(instance.r);
  const body = new Float64Array(instance.r);
  const balanced = new Float64Array(instance.r);
  const whole = { total: 0, over: 0, best: Infinity, price: FIRST_PRICE };
  const closes = overMl + 1e-6;
  const best = new Int32Array(n);

  const enter = (i: number, c: number): void => {
    seat[i] = counts[c]!;
    inside[c]![counts[c]!++] = i;
    where[i] = c;
  };
  const leave = (i: number, c: number): void => {
    const own = inside[c]!;
    const last = own[(counts[c]! -= 1)]!;
    own[seat[i]!] = last;
    seat[last] = seat[i]!;
  };

  /** Counts a thing in another place: what that changes in how far its system is spread, in points. */
  function count(i: number, from: number, to: number): number {
    const s = system[i]!;
    let change = 0;
    if (from > 0 && (present[s * M + from]! -= 1) === 0) {
      masks[from]! &= ~(1 << s);
      if ((spread[s]! -= 1) > 0) change -= spreadPoints;
    }
    if (to > 0 && (present[s * M + to]! += 1) === 1) {
      masks[to]! |= 1 << s;
      if ((spread[s]! += 1) > 1) change += spreadPoints;
    }
    return change;
  }

  /**
   * Of what lies in `from` and may lie in `to`, but for things i, k and l, the one whose need is nearest to `ml`; none
   * where each is further from it than `within`.
   */
  function nearest(
    from: number,
    to: number,
    ml: number,
    within: number,
    i: number,
    k: number,
    l: number,
  ): number {
    const own = inside[from]!;
    let found = NONE;
    let least = within;
    for (let p = counts[from]! - 1; p >= 0; p -= 1) {
      const x = own[p]!;
      const gap = needMl[x]! > ml ? needMl[x]! - ml : ml - needMl[x]!;
      if (gap >= least || x === i || x === k || x === l || !allowed[x * M + to]) continue;
      least = gap;
      found = x;
    }
    return found;
  }

  /** What the pairs of things i, k, l and o change in points where each of these goes from a to b or back. */
  function pairsChange(i: number, k: number, l: number, o: number, a: number, b: number): number {
    let change = 0;
    const after = (x: number): number =>
      x === i || x === k || x === l || x === o ? (where[x] === a ? b : a) : where[x]!;
    for (let part = 0; part < 4; part += 1) {
      const x = part === 0 ? i : part === 1 ? k : part === 2 ? l : o;
      const y = pair[x]!;
      // Where both of a pair change places, that is told by the lower one.
      if (y < 0 || (y < x && (y === i || y === k || y === l || y === o))) continue;
      change += pairCost(after(x), after(y)) - pairCost(where[x]!, where[y]!);
    }
    return change;
  }

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
      total += count(i, 0, c);
    }
    let over = 0;
    for (let c = 1; c < M; c += 1) {
      total += press * Math.max(0, comfort[c]! - capacity[c]!) + apartPoints * conflicts[masks[c]!]!;
      over += Math.max(0, volume[c]! - capacity[c]!);
    }
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

  function run(schedule: Schedule, moves: number): void {
    if (nFree === 0 || m === 0) return;
    let { total, over, best: bestTotal, price } = whole;
    const { hot, cold } = schedule;
    const steps = Math.max(1, Math.ceil(moves / STEP));
    const cooling = Math.pow(cold / hot, 1 / steps);
    let heat = hot;
    // Random bits by xorshift (Marsaglia 2003), made in place and used in halves: a call for each number is what the
    // loop would mostly do.
    let bits = Math.floor(random() * 0x7fff_ffff) | 1;

    for (let move = 0; move < moves; move += 1) {
      if (move % STEP === 0) {
        heat *= cooling;
        // Up while something does not fit, down while all does: the search swings across the edge of what closes.
        price =
          over > closes ? Math.min(HIGHEST_PRICE, price * DEARER) : Math.max(LOWEST_PRICE, price / DEARER);
      }
      bits ^= bits << 13;
      bits ^= bits >>> 17;
      bits ^= bits << 5;
      const p = ((bits >>> 16) * nFree) >>> 16;
      const i = freeThings[p]!;
      const a = where[i]!;
      const own = choices[p]!;
      const b = own[((bits & 0xffff) * own.length) >>> 16]!;
      if (a === b) continue;
      // Thing i goes from a to b. In a swap k comes back; a third, l, goes with the smaller of the two; a fourth, o,
      // goes whichever way evens out the litres that are left over.
      let k = NONE;
      let l = NONE;
      let o = NONE;
      let lTo = 0;
      let oTo = 0;
      let dv = needMl[i]!;
      bits ^= bits << 13;
      bits ^= bits >>> 17;
      bits ^= bits << 5;
      if ((bits & 0xffff) < SWAPS && counts[b]! > 0) {
        k = inside[b]![((bits >>> 16) * counts[b]!) >>> 16]!;
        if (!allowed[k * M + a]) continue;
        dv -= needMl[k]!;
        if (!fits) {
          bits ^= bits << 13;
          bits ^= bits >>> 17;
          bits ^= bits << 5;
          if ((bits & 0xffff) < THIRDS) {
            const about = LEAST_OF_GAP + ((2 - 2 * LEAST_OF_GAP) * (bits >>> 16)) / 65_536;
            lTo = dv > 0 ? -1 : 1;
            l =
              dv > 0
                ? nearest(b, a, dv * about, Infinity, i, k, l)
                : nearest(a, b, -dv * about, Infinity, i, k, l);
            if (l === NONE) continue;
            dv += lTo * needMl[l]!;
            bits ^= bits << 13;
            bits ^= bits >>> 17;
            bits ^= bits << 5;
            if ((bits & 0xffff) < FOURTHS) {
              const next = LEAST_OF_GAP + ((2 - 2 * LEAST_OF_GAP) * (bits >>> 16)) / 65_536;
              oTo = dv > 0 ? -1 : 1;
              const gap = dv * -oTo;
              o = dv > 0 ? nearest(b, a, gap * next, gap, i, k, l) : nearest(a, b, gap * next, gap, i, k, l);
              dv += oTo * needMl[o]!;
            }
          }
        }
      }

      let change =
        points[i * M + b]! -
        points[i * M + a]! +
        points[k * M + a]! -
        points[k * M + b]! +
        lTo * (points[l * M + b]! - points[l * M + a]!) +
        oTo * (points[o * M + b]! - points[o * M + a]!);
      const dc = comfortMl[i]! - comfortMl[k]! + lTo * comfortMl[l]! + oTo * comfortMl[o]!;
      const dm = massG[i]! - massG[k]! + lTo * massG[l]! + oTo * massG[o]!;
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
        change += press * ((c2 > 0 ? c2 : 0) - (c > 0 ? c : 0));
      }
      if (b > 0) {
        const cap = capacity[b]!;
        const v = volume[b]! - cap;
        const c = comfort[b]! - cap;
        const v2 = v + dv;
        const c2 = c + dc;
        if (!fits) dOver += (v2 > 0 ? v2 : 0) - (v > 0 ? v : 0);
        change += press * ((c2 > 0 ? c2 : 0) - (c > 0 ? c : 0));
      }
      // Metropolis: a rise is taken with probability exp(−rise ÷ heat), so at most this much is, drawn beforehand.
      bits ^= bits << 13;
      bits ^= bits >>> 17;
      bits ^= bits << 5;
      const most = heat * LOGARITHMS[bits >>> 20]!;
      const movers = 1 + (k < NONE ? 1 : 0) + (l < NONE ? 1 : 0) + (o < NONE ? 1 : 0);
      const paired = pair[i]! >= 0 || pair[k]! >= 0 || pair[l]! >= 0 || pair[o]! >= 0;
      const clashes = conflicts[masks[a]!]! + conflicts[masks[b]!]!;
      // What the systems may save at most; and the balance with them.
      const spared = movers * spreadPoints + apartPoints * clashes + (paired ? movers * pairPoints : 0);
      const slack = most - price * dOver + spared;
      if (change - steep[a * M + b]! * (dm < 0 ? -dm : dm) > slack) continue;

      // Each end's rider; a thing that goes to the floor or comes from there concerns one alone.
      const q = a > 0 ? riderOf[a]! : riderOf[b]!;
      const r = b > 0 ? riderOf[b]! : q;
      if (dm > 0) {
        if (mass[b]! + dm > limit[b]! + EPSILON) continue;
        if (bagOf[a] !== bagOf[b] && bagMass[bagOf[b]!]! + dm > bagLimit[bagOf[b]!]! + EPSILON) continue;
        if (onBody[b] && !(onBody[a] && q === r) && body[r]! + dm > bodyLimitG + EPSILON) continue;
      } else if (dm < 0) {
        if (mass[a]! - dm > limit[a]! + EPSILON) continue;
        if (bagOf[a] !== bagOf[b] && bagMass[bagOf[a]!]! - dm > bagLimit[bagOf[a]!]! + EPSILON) continue;
        if (onBody[a] && !(onBody[b] && q === r) && body[q]! - dm > bodyLimitG + EPSILON) continue;
      }
      // What comes to b's rider; where a is another's, what goes from that one too.
      const same = q === r ? 1 : 0;
      const left2 = left[r]! + (side[b]! - same * side[a]!) * dm;
      const load2 = load[r]! + (onBike[b]! - same * onBike[a]!) * dm;
      const front2 = front[r]! + (onBike[b]! * frontShare[b]! - same * onBike[a]! * frontShare[a]!) * dm;
      const tail2 = tail[r]! + ((tailM[b]! - same * tailM[a]!) * dm) / 1000;
      const body2 = body[r]! + (onBody[b]! - same * onBody[a]!) * dm;
      const balanced2 = balanceOf(r, left2, load2, front2, tail2, body2);
      change += balanced2 - balanced[r]!;
      let balancedQ = 0;
      if (q !== r) {
        balancedQ = balanceOf(
          q,
          left[q]! - side[a]! * dm,
          load[q]! - onBike[a]! * dm,
          front[q]! - onBike[a]! * frontShare[a]! * dm,
          tail[q]! - (tailM[a]! * dm) / 1000,
          body[q]! - onBody[a]! * dm,
        );
        change += balancedQ - balanced[q]!;
      }
      if (change > slack) continue;

      if (paired) change += pairsChange(i, k, l, o, a, b);
      // The systems are counted as if the move were made, and put back where it is not.
      change += count(i, a, b);
      if (k < NONE) change += count(k, b, a);
      if (lTo !== 0) change += lTo > 0 ? count(l, a, b) : count(l, b, a);
      if (o < NONE) change += oTo > 0 ? count(o, a, b) : count(o, b, a);
      change += apartPoints * (conflicts[masks[a]!]! + conflicts[masks[b]!]! - clashes);
      let taken = change + price * dOver <= most;
      if (taken && fits) {
        fits.ask(i, a - 1, b - 1, k < NONE ? k : -1);
        change += order + fits.changeOrder;
        dOver = fits.changeOverMl;
        taken = change + price * dOver <= most;
        if (taken) fits.commit();
      }
      if (!taken) {
        if (o < NONE) count(o, oTo > 0 ? b : a, oTo > 0 ? a : b);
        if (lTo !== 0) count(l, lTo > 0 ? b : a, lTo > 0 ? a : b);
        if (k < NONE) count(k, a, b);
        count(i, b, a);
        continue;
      }
      leave(i, a);
      enter(i, b);
      if (k < NONE) {
        leave(k, b);
        enter(k, a);
      }
      if (lTo !== 0) {
        leave(l, lTo > 0 ? a : b);
        enter(l, lTo > 0 ? b : a);
      }
      if (o < NONE) {
        leave(o, oTo > 0 ? a : b);
        enter(o, oTo > 0 ? b : a);
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
