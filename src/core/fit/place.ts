import { MOST_RUNS, type Chamber } from './chamber';
import type { Lying } from './lying';
import type { Piece } from './pieces';
import { freeSlices, heightFor, SLICES, takeFrom } from './voids';

const SLACK = 1e-6;
/** Halvings when a piece is let down between two levels: a twentieth of 500 mm becomes 0.05 mm. */
const HALVINGS = 9;
/** A mark on a cylinder that stands upright, where blocks have none. */
const UPRIGHT = 1;

/** A way a piece may be turned: its extents along u, v and w. */
interface Turn {
  du: number;
  dv: number;
  dw: number;
  upright: boolean;
}

/** Where a piece came to lie, over a floor, after others; and what was placed after it. */
interface Step {
  floor: number;
  /** Null where it found no place. */
  lying: Lying | null;
  /** Null before anything was. */
  next: Map<Piece, Step[]> | null;
}

const firstStep = (): Step => ({ floor: 0, lying: null, next: null });
/** Steps remembered of a chamber; beyond them it begins anew. */
const MOST_STEPS = 10_000;

/** The ways a piece may be turned in a chamber, the flattest first; long things only along its longest direction. */
function turnsOf(piece: Piece, chamber: Chamber): Turn[] {
  const [a, b, c] = piece.sides;
  const all = piece.round
    ? [
        [a, b, b],
        [b, a, b],
        [b, b, a],
      ]
    : [
        [a, b, c],
        [a, c, b],
        [b, a, c],
        [b, c, a],
        [c, a, b],
        [c, b, a],
      ];
  const longest = Math.max(a, b, c);
  const along = { u: 0, v: 1, w: 2 }[chamber.longAxis];
  const out: Turn[] = [];
  all.forEach((sizes, k) => {
    if ((piece.long || piece.stiffener) && sizes[along]! < longest - SLACK) return;
    const [du, dv, dw] = sizes as [number, number, number];
    if (!piece.round && out.some((other) => other.du === du && other.dv === dv && other.dw === dw)) return;
    out.push({ du, dv, dw, upright: piece.round && k === 0 });
  });
  return out.sort((p, q) => p.du - q.du);
}

/**
 * Places stiff pieces in a chamber, one after the other, at corner places: against the walls, against what lies there
 * already, or in the middle (extreme points, Crainic, Perboli and Tadei 2008, with round sections added).
 *
 * What lies is kept in flat arrays that are filled and emptied like a stack; trying a place reads a few numbers and
 * makes nothing. Measured against objects and callbacks: about fifteen times as fast.
 */
export class Packer {
  private count = 0;
  private readonly pieces: Piece[] = [];
  private readonly u0: Float64Array;
  private readonly u1: Float64Array;
  private readonly v0: Float64Array;
  private readonly v1: Float64Array;
  private readonly w0: Float64Array;
  private readonly w1: Float64Array;
  private readonly mark: Uint8Array;
  private readonly beside: Int32Array;
  private besideCount = 0;
  private readonly runs = new Float64Array(2 * MOST_RUNS);
  private readonly round: boolean;
  /** Millilitres of each slice of the empty chamber, and of those free as things lie. */
  private readonly whole: Float64Array;
  private readonly free: Float64Array;
  private readonly turns = new WeakMap<Piece, Turn[]>();
  /** What was placed in an empty chamber, pieces lying flat or standing, and how it went on. */
  private steps: readonly [flat: Step, standing: Step] = [firstStep(), firstStep()];
  private stepCount = 0;
  /** Whether pieces stand on end where they find room to, or lie flat. */
  private standing = false;
  // The best place found for the piece in hand.
  private found = false;
  private bestScore = 0;
  private bestV = 0;
  private bestW = 0;
  /** Takes every place instead of the best, for going back. */
  private collect: Lying[] | null = null;
  private piece!: Piece;
  private turn!: Turn;
  private from = 0;

  constructor(
    private readonly chamber: Chamber,
    readonly most: number,
  ) {
    const numbers = () => new Float64Array(most);
    [this.u0, this.u1, this.v0, this.v1, this.w0, this.w1] = [
      numbers(),
      numbers(),
      numbers(),
      numbers(),
      numbers(),
      numbers(),
    ];
    this.mark = new Uint8Array(most);
    this.whole = freeSlices(chamber, []);
    this.free = this.whole.slice();
    this.beside = new Int32Array(most);
    this.round = chamber.solid.kind === 'cylinder' || chamber.solid.kind === 'taper';
  }

  /** What lies, in the order it was placed. */
  lying(): Lying[] {
    return Array.from({ length: this.count }, (_, k) => this.at(k));
  }

  clear(): void {
    this.count = 0;
    this.free.set(this.whole);
    this.pieces.length = 0;
  }

  private at(k: number): Lying {
    return {
      piece: this.pieces[k]!,
      u0: this.u0[k]!,
      u1: this.u1[k]!,
      v0: this.v0[k]!,
      v1: this.v1[k]!,
      w0: this.w0[k]!,
      w1: this.w1[k]!,
      upright: this.mark[k] === UPRIGHT,
    };
  }

  private push(lying: Lying): void {
    const k = this.count;
    this.pieces[k] = lying.piece;
    this.u0[k] = lying.u0;
    this.u1[k] = lying.u1;
    this.v0[k] = lying.v0;
    this.v1[k] = lying.v1;
    this.w0[k] = lying.w0;
    this.w1[k] = lying.w1;
    this.mark[k] = lying.upright ? UPRIGHT : 0;
    this.count += 1;
    this.take(lying.piece, lying.u0, lying.u1, 1);
  }

  private pop(): void {
    const k = (this.count -= 1);
    this.take(this.pieces[k]!, this.u0[k]!, this.u1[k]!, -1);
  }

  private turnsFor(piece: Piece): Turn[] {
    let turns = this.turns.get(piece);
    if (!turns) this.turns.set(piece, (turns = turnsOf(piece, this.chamber)));
    return turns;
  }

  /**
   * Puts a piece at the lowest height over a floor where it finds room; there flat, or standing, low and to the side, so
   * that room is left in one piece. In shapes that narrow it is then let down as far as it goes.
   *
   * @returns whether it found room
   */
  private putLowest(piece: Piece, floor: number): boolean {
    const { chamber } = this;
    let below = Math.max(0, floor);
    let least = Infinity;
    const turns = this.turnsFor(piece);
    for (const { du } of turns) least = Math.min(least, du);
    for (let u = below; u <= chamber.lengthMm - least + SLACK; u = this.nextHeight(u)) {
      if (this.bestAt(piece, turns, u)) {
        const { du, dv, dw, upright } = this.turn;
        let lowest = u;
        if (chamber.levels.length > 0 && u > below) {
          let low = below;
          for (let k = 0; k < HALVINGS; k += 1) {
            const middle = (low + lowest) / 2;
            if (this.isFree(middle, middle + du, this.bestV, dv, this.bestW, dw, upright)) lowest = middle;
            else low = middle;
          }
        }
        this.push({
          piece,
          u0: lowest,
          u1: lowest + du,
          v0: this.bestV,
          v1: this.bestV + dv,
          w0: this.bestW,
          w1: this.bestW + dw,
          upright,
        });
        return true;
      }
      below = u;
    }
    return this.count === 0 && this.putInTheMiddle(piece, floor);
  }

  /** Whether so much is free between two heights at all: most heights of a full bag are passed by this alone. */
  private mayHold(u: number, u1: number, ml: number): boolean {
    const step = this.chamber.lengthMm / SLICES;
    const last = Math.min(SLICES - 1, Math.floor(u1 / step));
    let sum = 0;
    for (let i = Math.max(0, Math.floor(u / step)); i <= last; i += 1) {
      sum += this.free[i]!;
      if (sum >= 0.98 * ml) return true;
    }
    return false;
  }

  /** Takes a piece's volume from the slices it lies in, or gives it back with −1. */
  private take(piece: Piece, u0: number, u1: number, sign: 1 | -1): void {
    takeFrom(this.free, this.chamber.lengthMm, u0, u1, sign * piece.volumeMl);
  }

  /** Height below which so much is free as things lie. */
  heightFor(ml: number): number {
    return heightFor(this.chamber, this.free, ml);
  }

  /** The next height worth trying over one: the top of something, or a level of the shape's own. */
  private nextHeight(u: number): number {
    let next = Infinity;
    for (let k = 0; k < this.count; k += 1) {
      const top = this.u1[k]!;
      if (top > u + SLACK && top < next) next = top;
    }
    for (const level of this.chamber.levels) if (level > u + SLACK && level < next) next = level;
    return next;
  }

  /** Looks for the best place of a piece that begins at a height; leaves it in `bestV`, `bestW` and `turn`. */
  private bestAt(piece: Piece, turns: readonly Turn[], u: number): boolean {
    this.found = false;
    let best: Turn | null = null;
    for (let k = 0; k < turns.length; k += 1) {
      const turn = turns[this.standing ? turns.length - 1 - k : k]!;
      if (best && Math.abs(turn.du - best.du) > SLACK) break;
      const score = this.bestScore;
      const had = this.found;
      this.tryAll(piece, turn, u);
      if (this.found && (!had || this.bestScore < score)) best = turn;
    }
    if (best) this.turn = best;
    return this.found;
  }

  /** Tries every corner place of a piece turned so, beginning at a height. */
  private tryAll(piece: Piece, turn: Turn, u: number): void {
    const { chamber, runs } = this;
    const { du, dv, dw } = turn;
    const u1 = u + du;
    if (u1 > chamber.lengthMm + SLACK || !this.mayHold(u, u1, piece.volumeMl)) return;
    this.piece = piece;
    this.turn = turn;
    this.from = u;
    this.besideCount = 0;
    for (let k = 0; k < this.count; k += 1)
      if (this.u1[k]! > u + SLACK && this.u0[k]! < u1 - SLACK) this.beside[this.besideCount++] = k;
    if (turn.upright) return this.tryUpright(u, u1, dv / 2);
    if (piece.stiffener) {
      // Along the lower side, in the middle or as near to it as the shape lets it.
      const half = chamber.across(u, u1, -dv / 2, dv / 2);
      if (2 * half >= dw - SLACK) return this.attempt(-dv / 2, -half);
      const count = chamber.along(u, u1, -dw / 2, dw / 2, runs);
      for (let r = 0; r < count; r += 1) {
        if (runs[2 * r + 1]! - runs[2 * r]! < dv - SLACK) continue;
        const at = runs[2 * r]!;
        const lower = chamber.across(u, u1, at, at + dv);
        if (2 * lower >= dw - SLACK) this.attempt(at, -lower);
      }
      return;
    }
    if (this.round) {
      this.inV(-dv / 2, u, u1, dv, dw);
      this.inW(-dw / 2, u, u1, dv, dw);
    } else {
      // Straight walls have corners.
      const count = chamber.along(u, u1, -dw / 2, dw / 2, runs);
      for (let r = 0; r < count; r += 1) {
        const low = runs[2 * r]!;
        const high = runs[2 * r + 1]!;
        if (high - low < dv - SLACK) continue;
        this.inV(low, u, u1, dv, dw);
        this.inV(high - dv, u, u1, dv, dw);
      }
    }
    for (let q = 0; q < this.besideCount; q += 1) {
      const k = this.beside[q]!;
      this.inV(this.v1[k]!, u, u1, dv, dw);
      this.inV(this.v0[k]! - dv, u, u1, dv, dw);
      this.inW(this.w1[k]!, u, u1, dv, dw);
      this.inW(this.w0[k]! - dw, u, u1, dv, dw);
    }
  }

  /** Places of a block at a v: at both walls, and against what lies beside. */
  private inV(v0: number, u: number, u1: number, dv: number, dw: number): void {
    const { chamber } = this;
    if (v0 < chamber.v[0] - SLACK || v0 + dv > chamber.v[1] + SLACK || this.isNoBetter(chamber.w[0], v0))
      return;
    const half = this.chamber.across(u, u1, v0, v0 + dv);
    if (2 * half < dw - SLACK || this.isNoBetter(-half, v0)) return;
    this.attempt(v0, -half);
    this.attempt(v0, half - dw);
    for (let q = 0; q < this.besideCount; q += 1) {
      const k = this.beside[q]!;
      if (this.v1[k]! <= v0 + SLACK || this.v0[k]! >= v0 + dv - SLACK) continue;
      const over = this.w1[k]!;
      if (over >= -half - SLACK && over + dw <= half + SLACK) this.attempt(v0, over);
      const under = this.w0[k]! - dw;
      if (under >= -half - SLACK && under + dw <= half + SLACK) this.attempt(v0, under);
    }
  }

  /** Places of a block at a w: at both ends of each run. */
  private inW(w0: number, u: number, u1: number, dv: number, dw: number): void {
    const { chamber, runs } = this;
    if (w0 < chamber.w[0] - SLACK || w0 + dw > chamber.w[1] + SLACK || this.isNoBetter(w0, chamber.v[0]))
      return;
    const count = chamber.along(u, u1, w0, w0 + dw, runs);
    for (let r = 0; r < count; r += 1) {
      const low = runs[2 * r]!;
      const high = runs[2 * r + 1]!;
      if (high - low < dv - SLACK) continue;
      const farthest = Math.max(-w0, w0 + dw);
      if (farthest <= chamber.across(u, u1, low, low + dv) + SLACK) this.attempt(low, w0);
      if (farthest <= chamber.across(u, u1, high - dv, high) + SLACK) this.attempt(high - dv, w0);
    }
  }

  /** Places of an upright cylinder: in the middle, at the walls, and touching what stands there already. */
  private tryUpright(u: number, u1: number, r: number): void {
    const { chamber } = this;
    const wLow = chamber.w[0] + r;
    const narrow = this.round ? Math.min(this.reachAt(u), this.reachAt(u1)) : 0;
    if (this.piece.stiffener) return this.centre(0, this.round ? r - narrow : wLow, u, u1, r);
    const [vLow, vHigh, wHigh] = [chamber.v[0] + r, chamber.v[1] - r, chamber.w[1] - r];
    this.column(0, narrow, u, u1, r, wLow, wHigh);
    if (!this.round) {
      const count = chamber.along(u, u1, -r, r, this.runs);
      for (let k = 0; k < 2 * count; k += 1) {
        const wall = this.runs[k]!;
        this.column(k % 2 === 0 ? wall + r : wall - r, narrow, u, u1, r, wLow, wHigh);
      }
    } else {
      this.centre(vLow, 0, u, u1, r);
      this.centre(vHigh, 0, u, u1, r);
    }
    for (let q = 0; q < this.besideCount; q += 1) {
      const k = this.beside[q]!;
      this.column(this.v1[k]! + r, narrow, u, u1, r, wLow, wHigh);
      this.column(this.v0[k]! - r, narrow, u, u1, r, wLow, wHigh);
      if (!this.round) continue;
      for (let end = 0; end < 2; end += 1) {
        const w = end === 0 ? this.w1[k]! + r : this.w0[k]! - r;
        const wall = Math.sqrt(Math.max(0, (narrow - r) ** 2 - w * w));
        this.centre(-wall, w, u, u1, r);
        this.centre(wall, w, u, u1, r);
      }
      if (this.mark[k] === UPRIGHT) this.tangent(k, narrow - r, u, u1, r);
    }
  }

  /** Centres at a v: low, high, in the middle, and level with what lies beside. */
  private column(
    v: number,
    narrow: number,
    u: number,
    u1: number,
    r: number,
    wLow: number,
    wHigh: number,
  ): void {
    this.centre(v, 0, u, u1, r);
    if (this.round) {
      const wall = Math.sqrt(Math.max(0, (narrow - r) ** 2 - v * v));
      this.centre(v, -wall, u, u1, r);
      this.centre(v, wall, u, u1, r);
    } else {
      this.centre(v, wLow, u, u1, r);
      this.centre(v, wHigh, u, u1, r);
    }
    for (let q = 0; q < this.besideCount; q += 1) {
      const k = this.beside[q]!;
      if (this.v1[k]! <= v - r + SLACK || this.v0[k]! >= v + r - SLACK) continue;
      this.centre(v, this.w1[k]! + r, u, u1, r);
      this.centre(v, this.w0[k]! - r, u, u1, r);
    }
  }

  /** Touching the wall and another upright cylinder: where circles about the axis and about the other one cross. */
  private tangent(k: number, wall: number, u: number, u1: number, r: number): void {
    const v = (this.v0[k]! + this.v1[k]!) / 2;
    const w = (this.w0[k]! + this.w1[k]!) / 2;
    const far = Math.hypot(v, w);
    const touch = (this.v1[k]! - this.v0[k]!) / 2 + r + SLACK;
    if (far < SLACK || far > wall + touch || far < Math.abs(wall - touch)) return;
    const along = (far * far + wall * wall - touch * touch) / (2 * far);
    const aside = Math.sqrt(Math.max(0, wall * wall - along * along));
    this.centre((along * v - aside * w) / far, (along * w + aside * v) / far, u, u1, r);
    this.centre((along * v + aside * w) / far, (along * w - aside * v) / far, u, u1, r);
  }

  private centre(v: number, w: number, u: number, u1: number, r: number): void {
    if (this.chamber.holdsUpright(u, u1, v, w, r)) this.attempt(v - r, w - r);
  }

  private reachAt(u: number): number {
    const count = this.chamber.along(u, u, 0, 0, this.runs);
    return count === 0 ? 0 : Math.min(this.runs[1]!, this.chamber.across(u, u, 0, 0));
  }

  /** Flat, low and to the side: the less the better. */
  private scoreAt(w: number, v: number): number {
    return 1e3 * this.turn.du + w + 0.01 * v;
  }

  /** Whether no place from there on is better than the best so far. */
  private isNoBetter(w: number, v: number): boolean {
    return this.found && !this.collect && this.scoreAt(w, v) >= this.bestScore - 1e-9;
  }

  /** Takes a place inside the chamber when it is better than the best so far and nothing lies there. */
  private attempt(v: number, w: number): void {
    const { du, dv, dw, upright } = this.turn;
    if (this.isNoBetter(w, v)) return;
    if (this.meetsAny(this.from, this.from + du, v, v + dv, w, w + dw, upright, true)) return;
    if (this.collect) {
      const { piece, from } = this;
      this.collect.push({ piece, u0: from, u1: from + du, v0: v, v1: v + dv, w0: w, w1: w + dw, upright });
      return;
    }
    this.found = true;
    this.bestScore = this.scoreAt(w, v);
    this.bestV = v;
    this.bestW = w;
  }

  private isFree(
    u0: number,
    u1: number,
    v: number,
    dv: number,
    w: number,
    dw: number,
    upright: boolean,
  ): boolean {
    const { chamber } = this;
    const inside = upright
      ? chamber.holdsUpright(u0, u1, v + dv / 2, w + dw / 2, dv / 2)
      : Math.max(-w, w + dw) <= chamber.across(u0, u1, v, v + dv) + SLACK;
    return inside && !this.meetsAny(u0, u1, v, v + dv, w, w + dw, upright, false);
  }

  /** Whether a piece there would enter another; of those beside, which is known while one height is tried. */
  private meetsAny(
    u0: number,
    u1: number,
    v0: number,
    v1: number,
    w0: number,
    w1: number,
    upright: boolean,
    besideOnly: boolean,
  ): boolean {
    const n = besideOnly ? this.besideCount : this.count;
    for (let q = 0; q < n; q += 1) {
      const k = besideOnly ? this.beside[q]! : q;
      if (u1 <= this.u0[k]! + SLACK || this.u1[k]! <= u0 + SLACK) continue;
      if (v1 <= this.v0[k]! + SLACK || this.v1[k]! <= v0 + SLACK) continue;
      if (w1 <= this.w0[k]! + SLACK || this.w1[k]! <= w0 + SLACK) continue;
      const other = this.mark[k] === UPRIGHT;
      if (!upright && !other) return true;
      const cv = v0 + v1;
      const cw = w0 + w1;
      const ov = this.v0[k]! + this.v1[k]!;
      const ow = this.w0[k]! + this.w1[k]!;
      if (upright && other) {
        if (Math.hypot(cv - ov, cw - ow) < v1 - v0 + this.v1[k]! - this.v0[k]! - SLACK) return true;
      } else if (upright) {
        if (discMeets(cv / 2, cw / 2, (v1 - v0) / 2, this.v0[k]!, this.v1[k]!, this.w0[k]!, this.w1[k]!))
          return true;
      } else if (discMeets(ov / 2, ow / 2, (this.v1[k]! - this.v0[k]!) / 2, v0, v1, w0, w1)) return true;
    }
    return false;
  }

  /**
   * Puts a piece on the axis of an empty compartment: over a floor, half-way or at the mouth. A few sums that answer
   * for most things whether they fit at all: a kit of 120 asks this two thousand times before its first load.
   */
  putInTheMiddle(piece: Piece, floor: number): boolean {
    const { chamber } = this;
    const v = (chamber.v[0] + chamber.v[1]) / 2;
    this.clear();
    for (const { du, dv, dw, upright } of this.turnsFor(piece)) {
      const highest = chamber.lengthMm - du;
      if (highest < floor) continue;
      for (const u of [floor, (floor + highest) / 2, highest]) {
        if (chamber.across(u, u + du, v - dv / 2, v + dv / 2) < dw / 2) continue;
        this.push({
          piece,
          u0: u,
          u1: u + du,
          v0: v - dv / 2,
          v1: v + dv / 2,
          w0: -dw / 2,
          w1: dw / 2,
          upright,
        });
        return true;
      }
    }
    return false;
  }

  /**
   * Places pieces in the given order; what finds no place is left out. Stops at the first such where told to.
   *
   * Where a piece comes to lie follows from what was placed before it, so a sequence that began alike is gone along as
   * far as it is known: the sets a search asks for differ by a thing or two.
   *
   * @param standing whether each stands on end where it finds room to, rather than lies flat
   */
  putAll(
    pieces: readonly Piece[],
    floorOf: (piece: Piece) => number,
    orNothing: boolean,
    standing = false,
  ): Piece[] {
    this.clear();
    if (this.stepCount > MOST_STEPS) [this.steps, this.stepCount] = [[firstStep(), firstStep()], 0];
    const left: Piece[] = [];
    this.standing = standing;
    let at = this.steps[standing ? 1 : 0];
    for (const piece of pieces) {
      at = this.step(at, piece, floorOf(piece));
      if (at.lying) continue;
      left.push(piece);
      if (orNothing) break;
    }
    return left;
  }

  /** Places one piece after those of a step, as remembered or anew. */
  private step(at: Step, piece: Piece, floor: number): Step {
    at.next ??= new Map();
    let after = at.next.get(piece);
    if (!after) at.next.set(piece, (after = []));
    for (const known of after) {
      if (known.floor !== floor) continue;
      if (known.lying) this.push(known.lying);
      return known;
    }
    const lying = this.putLowest(piece, floor) ? this.at(this.count - 1) : null;
    const made: Step = { floor, lying, next: null };
    after.push(made);
    this.stepCount += 1;
    return made;
  }

  /**
   * Tries corner places of each piece in turn, going back where one finds none, until all lie or so many places have
   * been tried. With enough tries it is exhaustive over corner places.
   */
  putByTrying(pieces: readonly Piece[], tries: number): boolean {
    this.clear();
    let left = tries;
    const used = new Uint8Array(pieces.length);
    const walk = (): boolean => {
      if (this.count === pieces.length) return true;
      const seen = new Set<string>();
      for (let p = 0; p < pieces.length; p += 1) {
        const piece = pieces[p]!;
        if (used[p] || seen.has(piece.kind)) continue;
        seen.add(piece.kind);
        used[p] = 1;
        for (const lying of this.placesOf(piece)) {
          if ((left -= 1) < 0) break;
          this.push(lying);
          if (walk()) return true;
          this.pop();
        }
        used[p] = 0;
        if (left < 0) return false;
      }
      return false;
    };
    return walk();
  }

  /** All corner places of a piece as things lie, the lowest and flattest first. */
  private placesOf(piece: Piece): Lying[] {
    const out: Lying[] = [];
    this.collect = out;
    for (let u = 0; u < this.chamber.lengthMm; u = this.nextHeight(u))
      for (const turn of this.turnsFor(piece)) this.tryAll(piece, turn, u);
    this.collect = null;
    return out.sort((a, b) => a.u0 - b.u0 || a.u1 - b.u1 || a.w0 - b.w0 || a.v0 - b.v0);
  }
}

/** Whether a disc enters a rectangle. */
function discMeets(v: number, w: number, r: number, v0: number, v1: number, w0: number, w1: number): boolean {
  const dv = v < v0 ? v0 - v : v > v1 ? v - v1 : 0;
  const dw = w < w0 ? w0 - w : w > w1 ? w - w1 : 0;
  return dv * dv + dw * dw < (r - SLACK) * (r - SLACK);
}
