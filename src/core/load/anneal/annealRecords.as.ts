/*
 * The records of the annealing's loop (see annealLoop.as.ts), in AssemblyScript: what it knows of a thing, a place, a bag and a
 * rider, and what is over in them at which price.
 */

// What anneal.ts sets; the loop hands it on.
export let balanceWeight: f64 = 0;
export let press: f64 = 0;
export let fairPoints: f64 = 0;
export let sidePrice: f64 = 0;
export let sideOverPrice: f64 = 0;
export let sideFreeG: f64 = 0;
export let tailOverPrice: f64 = 0;
export let tailFreeKgM: f64 = 0;
export let bodyOverPrice: f64 = 0;
export let bodyFreeG: f64 = 0;
/** By a set of natures, how many pairs in it are to be kept apart. */
export let troubles: Bytes = changetype<Bytes>(0);

/** Numbers in a row somewhere in memory; whoever sets the pointer knows how many. */
@unmanaged
export class Row<T> {
  @inline
  @operator('[]')
  get(i: i32): T {
    return load<T>(changetype<usize>(this) + ((<usize>i) << alignof<T>()));
  }

  @inline
  @operator('[]=')
  set(i: i32, value: T): void {
    store<T>(changetype<usize>(this) + ((<usize>i) << alignof<T>()), value);
  }
}
export type Floats = Row<f64>;
export type Singles = Row<f32>;
/** Whole numbers, or pointers. */
export type Ints = Row<i32>;
/** A set of things: a bit each. */
export type Things = Row<i64>;

/** Small whole numbers somewhere in memory: flags and counts below 256. */
@unmanaged
export class Bytes {
  @inline
  @operator('[]')
  get(i: i32): i32 {
    return load<u8>(changetype<usize>(this) + <usize>i);
  }
}

/**
 * A seat in a place: the thing in it, its millilitres and its points here, and how many bytes into a row of points its own
 * are. Four seats' fields of a kind lie side by side, and all of four seats in a line of the processor's cache: so four are
 * looked at together.
 */
@unmanaged
export class Seat {
  thing: Thing;
  private t1: i32;
  private t2: i32;
  private t3: i32;
  needMl: f32;
  private n1: i32;
  private n2: i32;
  private n3: i32;
  points: f32;
  private p1: i32;
  private p2: i32;
  private p3: i32;
  offset: i32;
}

/** Seats in a row. */
@unmanaged
export class Seats {
  @inline
  at(p: i32): Seat {
    return changetype<Seat>(changetype<usize>(this) + (((<usize>p) >> 2) << 6) + (((<usize>p) & 3) << 2));
  }
}

@unmanaged
export class Bag {
  massG: f64;
  limitG: f64;
  /** How many stores of food are in it. */
  stores: i32;
}

@unmanaged
export class Rider {
  left: f64;
  load: f64;
  front: f64;
  tail: f64;
  body: f64;
  balanced: f64;
  share: f64;
  fairG: f64;
  baseG: f64;
  bareFrontShare: f64;

  /** Balance and fairness of one who carries `load` on the bike, which counts in it, and `body`. */
  balance(leftG: f64, loadG: f64, frontG: f64, tailKgM: f64, bodyG: f64): f64 {
    const shift = frontG - this.bareFrontShare * loadG;
    const unfair = loadG - this.baseG + bodyG - this.fairG;
    const size = abs(leftG);
    const sides = size * sidePrice + (size > sideFreeG ? (size - sideFreeG) * sideOverPrice : 0);
    const tails = tailKgM > tailFreeKgM ? tailOverPrice * (tailKgM - tailFreeKgM) : 0;
    const bodies = bodyG > bodyFreeG ? bodyOverPrice * (bodyG - bodyFreeG) : 0;
    return (
      balanceWeight * (sides + tails + bodies + this.share * abs(shift)) +
      (unfair > 0 ? fairPoints * unfair : 0)
    );
  }
}

/** A compartment, or the floor, which has the first record. */
@unmanaged
export class Place {
  volume: f64;
  capacity: f64;
  /** Millilitres that may be filled: its capacity, or less. */
  room: f64;
  comfort: f64;
  stiff: f64;
  stiffCapacity: f64;
  mass: f64;
  limit: f64;
  side: f64;
  tailM: f64;
  frontShare: f64;
  onBody: f64;
  onBike: f64;
  bag: Bag;
  /** None for the floor, which is nobody's. */
  rider: Rider;
  mirror: Place;
  index: i32;
  /** What is in here to those beside it: of each nature how many, 16 bits each; and as a set, none of the floor's. */
  natureLow: v128;
  natureHigh: v128;
  natures: i32;
  natureMask: i32;
  isOpen: i32;
  /** Which free things are in it, in no order, and how many. */
  seats: Seats;
  count: i32;
  /** By thing, its points here. */
  row: Singles;
  /** Points that balance and fairness change at most for each gram that goes from here to another. */
  steep: Floats;
  /** By thing, with which others it does not lie in here: one set after the other; and whether there is any such pair. */
  clashing: Things;
  mayClash: i32;
  /** What is in here; and of the pairs in it that do not lie together, the sum of the smaller ones' millilitres. */
  held: Things;
  clashMl: f64;
  /**
   * Larger sets that do not lie in here, two of things each, with the millilitres of each; by thing, in which of them it is,
   * a bit each; which are in here, and their millilitres.
   */
  cuts: Things;
  cutsMl: Floats;
  cutsWith: Things;
  cutsIn: i64;
  cutMl: f64;
  /** Of these what the move in hand would leave. */
  clashMlAfter: f64;
  cutMlAfter: f64;
  cutsInAfter: i64;
  /** What is over in it now: millilitres beyond its room; all others, of stiff things and clashes; points of pressing. */
  overRoomMl: f64;
  otherOverMl: f64;
  pressed: f64;

  /** Tells anew what is over. */
  weigh(): void {
    this.overRoomMl = atLeast0(this.volume - this.room);
    this.otherOverMl = atLeast0(this.stiff - this.stiffCapacity) + this.clashMl + this.cutMl;
    this.pressed = press * atLeast0(this.comfort - this.capacity);
  }

  @inline
  clashesStay(): void {
    this.clashMlAfter = this.clashMl;
    this.cutMlAfter = this.cutMl;
    this.cutsInAfter = this.cutsIn;
  }

  @inline
  takeClashes(): void {
    this.clashMl = this.clashMlAfter;
    this.cutMl = this.cutMlAfter;
    this.cutsIn = this.cutsInAfter;
  }

  @inline
  troubles(): i32 {
    return troublesIn(this.natures);
  }

  /** Tells the set of natures that is in here, once so many more of each are. */
  @inline
  naturesWith(low: v128, high: v128): i32 {
    const counts = i8x16.narrow_i16x8_u(i16x8.add(this.natureLow, low), i16x8.add(this.natureHigh, high));
    return i8x16.bitmask(i8x16.ne(counts, i8x16.splat(0))) & this.natureMask;
  }

  /** So many more of each nature come in. */
  addNatures(low: v128, high: v128): void {
    this.natures = this.naturesWith(low, high);
    this.natureLow = i16x8.add(this.natureLow, low);
    this.natureHigh = i16x8.add(this.natureHigh, high);
  }

  /** Points here of the thing in a seat anywhere. */
  @inline
  pointsOf(seat: Seat): f32 {
    return load<f32>(changetype<usize>(this.row) + <usize>seat.offset);
  }
}

/** How often a system is in each place, and in how many places it is at all. */
@unmanaged
export class System {
  spread: i32;
  present: Ints;
}

/** What of a thing is seldom asked for, apart so that the rest of it is one line of the processor's cache. */
@unmanaged
export class Rest {
  system: System;
  /** 1 for food that is not the day's snacks. */
  isStore: i32;
  /** What it is to those beside it: of each nature one or none, 16 bits each. */
  natureLow: v128;
  natureHigh: v128;

  /** Takes up a set of natures. */
  bear(natures: i32): void {
    const low = changetype<usize>(this) + offsetof<Rest>('natureLow');
    for (let rest = natures; rest !== 0; rest &= rest - 1)
      store<u16>(low + ((<usize>ctz<i32>(rest)) << 1), 1);
  }
}

@unmanaged
export class Thing {
  needMl: f64;
  comfortMl: f64;
  stiffMl: f64;
  massG: f64;
  place: Place;
  /** Where in the list of its place it is. */
  seat: i32;
  /** The other of its pair, or none. */
  pair: Thing;
  rest: Rest;
  index: i32;
  choices: Ints;
  choiceCount: i32;
  points: Floats;

  /** Its bit in a set of things, in the word of the set that has it. */
  @inline
  get bit(): i64 {
    return (1 as i64) << ((this.index & 63) as i64);
  }

  @inline
  get word(): i32 {
    return this.index >> 6;
  }
}

/** Of a set of natures how many pairs should be apart. */
export function troublesIn(natures: i32): i32 {
  return troubles[natures];
}

// What is over at two ends, without a branch: which is no processor foresees, and engines make f64.max of branches.

export function two(x: f64, y: f64): v128 {
  return f64x2.replace_lane(f64x2.splat(x), 1, y);
}

export function atLeast0s(xy: v128): v128 {
  return f64x2.pmax(xy, f64x2.splat(0));
}

export function atLeast0(x: f64): f64 {
  return f64x2.extract_lane(atLeast0s(f64x2.splat(x)), 0);
}

/** The sum of those above zero. */
export function overs(xy: v128): f64 {
  const over = atLeast0s(xy);
  return f64x2.extract_lane(over, 0) + f64x2.extract_lane(over, 1);
}
