import { SYSTEMS } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import { annealTables, type AnnealTables } from './annealTables';
import { sidePoints, tailPoints } from './costs';
import type { FitCosts } from './fitCosts';
import type { Instance } from './instance';

/** −ln of evenly spread chances: looked up instead of computed, once a move. */
const LOGARITHMS = Float64Array.from({ length: 4096 }, (_, i) => -Math.log((i + 0.5) / 4096));
const EPSILON = 1e-7;
const S = SYSTEMS.length;
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

export interface AnnealOptions {
  /** Asked whether compartments close and what must be dug out in them, instead of litres. */
  fits?: FitCosts | null;
  /**
   * Millilitres of stiff things each compartment may hold, beside its litres; read anew at each start. What is beyond is
   * over as other litres are.
   */
  stiffCapacityMl?: Float64Array | null;
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
 * A class, not a function that returns functions: the engine compiles the loop of a closure anew for every closure,
 * which took a third of a second at each search (measured), and that of a method once.
 */
export class Annealer {
  private readonly tables: AnnealTables;
  private readonly free: Int32Array;
  private readonly fits: FitCosts | null;
  private readonly stiffCapacityMl: Float64Array | null;
  private readonly closes: number;
  // The assignment, compartment c − 1 or 0 for the floor, and its running sums: of compartments, bags, systems and riders.
  private readonly where: Int32Array;
  private readonly volume: Float64Array;
  private readonly stiff: Float64Array;
  private readonly comfort: Float64Array;
  private readonly mass: Float64Array;
  private readonly bagMass: Float64Array;
  private readonly present: Int32Array;
  private readonly masks: Int32Array;
  private readonly spread: Int32Array;
  // Which free things are in each place, in no order, and where in that list each is: for drawing one.
  private readonly inside: readonly Int32Array[];
  private readonly counts: Int32Array;
  private readonly seat: Int32Array;
  // Which of the free things a run moves: their positions in `free`.
  private readonly drawn: Int32Array;
  private readonly left: Float64Array;
  private readonly load: Float64Array;
  private readonly front: Float64Array;
  private readonly tail: Float64Array;
  private readonly body: Float64Array;
  private readonly balanced: Float64Array;
  // Those of the whole, which are locals within a run. Never whole numbers at first, or the engine would lay the object
  // out for whole numbers and compile everything anew at the first fraction.
  private total = NaN;
  private over = NaN;
  private price = FIRST_PRICE;
  private leastTotal = Infinity;
  private readonly bestWhere: Int32Array;

  /**
   * @param free things that may be moved
   * @param overMl millilitres that pinned things alone do not fit, which no load can mend
   */
  constructor(
    private readonly instance: Instance,
    free: readonly number[],
    overMl: number,
    private readonly random: Random,
    { fits = null, stiffCapacityMl = null }: AnnealOptions = {},
  ) {
    const { n, r } = instance;
    this.tables = annealTables(instance, free);
    const { M } = this.tables;
    this.free = Int32Array.from(free);
    this.fits = fits;
    this.stiffCapacityMl = stiffCapacityMl;
    this.closes = overMl + 1e-6;
    this.where = new Int32Array(n);
    this.volume = new Float64Array(M);
    this.stiff = new Float64Array(M);
    this.comfort = new Float64Array(M);
    this.mass = new Float64Array(M);
    this.bagMass = new Float64Array(instance.b + 1);
    this.present = new Int32Array(S * M);
    this.masks = new Int32Array(M);
    this.spread = new Int32Array(S);
    this.inside = Array.from({ length: M }, () => new Int32Array(n));
    this.counts = new Int32Array(M);
    this.seat = new Int32Array(n);
    this.drawn = new Int32Array(free.length);
    this.left = new Float64Array(r);
    this.load = new Float64Array(r);
    this.front = new Float64Array(r);
    this.tail = new Float64Array(r);
    this.body = new Float64Array(r);
    this.balanced = new Float64Array(r);
    this.bestWhere = new Int32Array(n);
  }

  /** Takes up an assignment: compartment index of each thing, −1 for the floor. */
  start(from: ArrayLike<number>): void {
    const { instance, fits, stiffCapacityMl } = this;
    const { n } = instance;
    const { M, needMl, comfortMl, stiffMl, massG, pair, points, isFree, capacity, conflicts } = this.tables;
    const { side, tailM, frontShare, onBody, onBike, bagOf, riderOf } = this.tables;
    const { press, apart: apartPoints } = this.tables.price;
    const { where, volume, stiff, comfort, mass, bagMass, present, masks, spread, counts } = this;
    const { left, load, front, tail, body, balanced } = this;
    for (const values of [volume, stiff, comfort, mass, bagMass, present, masks, spread, left, body, counts])
      values.fill(0);
    load.set(instance.baseG);
    front.set(instance.baseFrontG);
    tail.set(instance.baseTailKgM);
    let total = 0;
    for (let i = 0; i < n; i += 1) {
      const c = from[i]! + 1;
      where[i] = c;
      if (isFree[i]) this.enter(i, c);
      total += points[i * M + c]!;
      if (c === 0) continue;
      volume[c]! += needMl[i]!;
      comfort[c]! += comfortMl[i]!;
      mass[c]! += massG[i]!;
      stiff[c]! += stiffMl[i]!;
      bagMass[bagOf[c]!]! += massG[i]!;
      const r = riderOf[c]!;
      body[r]! += onBody[c]! * massG[i]!;
      left[r]! += side[c]! * massG[i]!;
      load[r]! += onBike[c]! * massG[i]!;
      front[r]! += onBike[c]! * frontShare[c]! * massG[i]!;
      tail[r]! += (tailM[c]! * massG[i]!) / 1000;
      total += this.count(i, 0, c);
    }
    let over = 0;
    for (let c = 1; c < M; c += 1) {
      total += press * Math.max(0, comfort[c]! - capacity[c]!) + apartPoints * conflicts[masks[c]!]!;
      over += Math.max(0, volume[c]! - capacity[c]!);
      if (stiffCapacityMl) over += Math.max(0, stiff[c]! - stiffCapacityMl[c - 1]!);
    }
    for (let i = 0; i < n; i += 1) if (pair[i]! > i) total += this.pairCost(where[i]!, where[pair[i]!]!);
    if (fits) {
      fits.start(from);
      const cost = fits.total();
      total += cost.order;
      over = cost.overMl;
    }
    for (let r = 0; r < instance.r; r += 1) {
      balanced[r] = this.balanceOf(r, left[r]!, load[r]!, front[r]!, tail[r]!, body[r]!);
      total += balanced[r]!;
    }
    this.bestWhere.set(where);
    // The price stays: it has found what room is worth here.
    this.total = total;
    this.over = over;
    this.leastTotal = over <= this.closes ? total : Infinity;
  }

  /**
   * Tries so many moves while heat and price go from first to last.
   *
   * @param open by place, index 0 the floor: where it is 0, nothing comes or goes, so that the same moves search a part of
   * the load more closely; null for everywhere
   */
  run(schedule: Schedule, moves: number, open: Uint8Array | null = null): void {
    // Everything the loop reads is a local: a field is looked up anew after each write.
    const { fits, stiffCapacityMl, free, random } = this;
    const { M, needMl, comfortMl, stiffMl, massG, pair, points, allowed, capacity, limit } = this.tables;
    const { side, tailM, frontShare, onBody, onBike, bagOf, bagLimit, riderOf, choices } = this.tables;
    const { conflicts, steep } = this.tables;
    const { press, spread: spreadPoints, apart: apartPoints, pair: pairPoints } = this.tables.price;
    const { bodyLimitG } = this.instance;
    const { where, volume, stiff, comfort, mass, bagMass, masks, inside, counts, drawn } = this;
    const { left, load, front, tail, body, balanced, closes } = this;
    const NONE = this.instance.n;
    let nFree = 0;
    for (let p = 0; p < free.length; p += 1) if (open === null || open[where[free[p]!]!]) drawn[nFree++] = p;
    if (nFree === 0 || M === 1) return;
    let { total, over, price, leastTotal } = this;
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
      const p = drawn[((bits >>> 16) * nFree) >>> 16]!;
      const i = free[p]!;
      const a = where[i]!;
      const own = choices[p]!;
      const b = own[((bits & 0xffff) * own.length) >>> 16]!;
      if (a === b || (open !== null && !open[b])) continue;
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
                ? this.nearest(b, a, dv * about, Infinity, i, k, l)
                : this.nearest(a, b, -dv * about, Infinity, i, k, l);
            if (l === NONE) continue;
            dv += lTo * needMl[l]!;
            bits ^= bits << 13;
            bits ^= bits >>> 17;
            bits ^= bits << 5;
            if ((bits & 0xffff) < FOURTHS) {
              const next = LEAST_OF_GAP + ((2 - 2 * LEAST_OF_GAP) * (bits >>> 16)) / 65_536;
              oTo = dv > 0 ? -1 : 1;
              const gap = dv * -oTo;
              o =
                dv > 0
                  ? this.nearest(b, a, gap * next, gap, i, k, l)
                  : this.nearest(a, b, gap * next, gap, i, k, l);
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
      const ds =
        stiffCapacityMl === null ? 0 : stiffMl[i]! - stiffMl[k]! + lTo * stiffMl[l]! + oTo * stiffMl[o]!;
      let dOver = 0;
      if (stiffCapacityMl !== null && ds !== 0) {
        if (a > 0) {
          const v = stiff[a]! - stiffCapacityMl[a - 1]!;
          const v2 = v - ds;
          dOver += (v2 > 0 ? v2 : 0) - (v > 0 ? v : 0);
        }
        if (b > 0) {
          const v = stiff[b]! - stiffCapacityMl[b - 1]!;
          const v2 = v + ds;
          dOver += (v2 > 0 ? v2 : 0) - (v > 0 ? v : 0);
        }
      }
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
      const balanced2 = this.balanceOf(r, left2, load2, front2, tail2, body2);
      change += balanced2 - balanced[r]!;
      let balancedQ = 0;
      if (q !== r) {
        balancedQ = this.balanceOf(
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

      if (paired) change += this.pairsChange(i, k, l, o, a, b);
      // The systems are counted as if the move were made, and put back where it is not.
      change += this.count(i, a, b);
      if (k < NONE) change += this.count(k, b, a);
      if (lTo !== 0) change += lTo > 0 ? this.count(l, a, b) : this.count(l, b, a);
      if (o < NONE) change += oTo > 0 ? this.count(o, a, b) : this.count(o, b, a);
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
        if (o < NONE) this.count(o, oTo > 0 ? b : a, oTo > 0 ? a : b);
        if (lTo !== 0) this.count(l, lTo > 0 ? b : a, lTo > 0 ? a : b);
        if (k < NONE) this.count(k, a, b);
        this.count(i, b, a);
        continue;
      }
      this.leave(i, a);
      this.enter(i, b);
      if (k < NONE) {
        this.leave(k, b);
        this.enter(k, a);
      }
      if (lTo !== 0) {
        this.leave(l, lTo > 0 ? a : b);
        this.enter(l, lTo > 0 ? b : a);
      }
      if (o < NONE) {
        this.leave(o, oTo > 0 ? a : b);
        this.enter(o, oTo > 0 ? b : a);
      }
      if (a > 0) {
        volume[a]! -= dv;
        comfort[a]! -= dc;
        mass[a]! -= dm;
        stiff[a]! -= ds;
      }
      if (b > 0) {
        volume[b]! += dv;
        comfort[b]! += dc;
        mass[b]! += dm;
        stiff[b]! += ds;
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
      if (total < leastTotal - 1e-9 && over <= closes) {
        leastTotal = total;
        this.bestWhere.set(where);
      }
    }
    Object.assign(this, { total, over, price, leastTotal });
  }

  /** The assignment as it is, which may not close. */
  current(): Int32Array {
    return unpadded(this.where);
  }

  /** Best assignment met that closes, or null. */
  best(): Int32Array | null {
    return this.leastTotal < Infinity ? unpadded(this.bestWhere) : null;
  }

  /** Its objective in points, as the running sums have it; infinite without one. */
  bestTotal(): number {
    return this.leastTotal;
  }

  /** Makes it dearer by some points for thing i to lie in compartment j, from the next start on. */
  penalise(i: number, j: number, points: number): void {
    this.tables.points[i * this.tables.M + j + 1]! += points;
  }

  /** Balance and fairness of rider r, who carries `load` on the bike, which counts in it, and `body`. */
  private balanceOf(
    r: number,
    left: number,
    load: number,
    front: number,
    tail: number,
    body: number,
  ): number {
    const { weights, bareFrontShare, baseG, fairG } = this.instance;
    const { share, price } = this.tables;
    const shift = front - bareFrontShare[r]! * load;
    const unfair = load - baseG[r]! + body - fairG[r]!;
    return (
      weights.balance * (sidePoints(left) + tailPoints(tail) + share[r]! * (shift < 0 ? -shift : shift)) +
      (unfair > 0 ? price.fair * unfair : 0)
    );
  }

  private pairCost(at: number, other: number): number {
    const { mirror, price } = this.tables;
    return at === 0 && other === 0 ? 0 : at > 0 && other > 0 && mirror[at] === other ? 0 : price.pair;
  }

  private enter(i: number, c: number): void {
    this.seat[i] = this.counts[c]!;
    this.inside[c]![this.counts[c]!++] = i;
    this.where[i] = c;
  }

  private leave(i: number, c: number): void {
    const own = this.inside[c]!;
    const last = own[(this.counts[c]! -= 1)]!;
    own[this.seat[i]!] = last;
    this.seat[last] = this.seat[i]!;
  }

  /** Counts a thing in another place: what that changes in how far its system is spread, in points. */
  private count(i: number, from: number, to: number): number {
    const { masks, present, spread } = this;
    const { M, system, price } = this.tables;
    const s = system[i]!;
    let change = 0;
    if (from > 0 && (present[s * M + from]! -= 1) === 0) {
      masks[from]! &= ~(1 << s);
      if ((spread[s]! -= 1) > 0) change -= price.spread;
    }
    if (to > 0 && (present[s * M + to]! += 1) === 1) {
      masks[to]! |= 1 << s;
      if ((spread[s]! += 1) > 1) change += price.spread;
    }
    return change;
  }

  /**
   * Of what lies in `from` and may lie in `to`, but for things i, k and l, the one whose need is nearest to `ml`; none
   * where each is further from it than `within`.
   */
  private nearest(
    from: number,
    to: number,
    ml: number,
    within: number,
    i: number,
    k: number,
    l: number,
  ): number {
    const { M, needMl, allowed } = this.tables;
    const own = this.inside[from]!;
    let found = this.instance.n;
    let least = within;
    for (let p = this.counts[from]! - 1; p >= 0; p -= 1) {
      const x = own[p]!;
      const gap = needMl[x]! > ml ? needMl[x]! - ml : ml - needMl[x]!;
      if (gap >= least || x === i || x === k || x === l || !allowed[x * M + to]) continue;
      least = gap;
      found = x;
    }
    return found;
  }

  /** What the pairs of things i, k, l and o change in points where each of these goes from a to b or back. */
  private pairsChange(i: number, k: number, l: number, o: number, a: number, b: number): number {
    const { where } = this;
    const { pair } = this.tables;
    let change = 0;
    const after = (x: number): number =>
      x === i || x === k || x === l || x === o ? (where[x] === a ? b : a) : where[x]!;
    for (let part = 0; part < 4; part += 1) {
      const x = part === 0 ? i : part === 1 ? k : part === 2 ? l : o;
      const y = pair[x]!;
      // Where both of a pair change places, that is told by the lower one.
      if (y < 0 || (y < x && (y === i || y === k || y === l || y === o))) continue;
      change += this.pairCost(after(x), after(y)) - this.pairCost(where[x]!, where[y]!);
    }
    return change;
  }
}

const unpadded = (assignment: Int32Array) => assignment.map((c) => c - 1);
