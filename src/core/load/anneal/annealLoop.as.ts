/*
 * The loop of the annealing (see anneal.ts), in AssemblyScript: compiled ahead to WebAssembly by `npm run loops`.
 *
 * It is handed the tables (`AnnealTables`) as arrays, and makes records of them: all that a move reads of a thing, or of a
 * place, lies together, and a thing is where its record is. Measured against arrays side by side: little more
 * than half the time (annealRecords.as.ts).
 */

import {
  Bag,
  Bytes,
  Floats,
  Ints,
  Place,
  Rest,
  Rider,
  Seats,
  Singles,
  System,
  Thing,
  Things,
  overs,
  press,
  troublesIn,
  two,
} from './annealRecords.as';

export {
  balanceWeight,
  press,
  fairPoints,
  sidePrice,
  sideOverPrice,
  sideFreeG,
  tailOverPrice,
  tailFreeKgM,
  bodyOverPrice,
  bodyFreeG,
  troubles,
} from './annealRecords.as';

/** Moves between two steps of heat and price: often enough to be smooth, seldom enough to cost nothing. */
export const STEP: i32 = 64;
/** Share of the swaps that take a third thing along where that is cheaper, and of those a fourth. In 65536ths. */
const THIRDS: i32 = 57_000;
const FOURTHS: i32 = 32_000;
/** Points of an empty seat, beyond those of anything, so that none there is cheapest. */
const NOBODY: f32 = -1e30;
/** Seats looked at together, and their bytes. */
const LANES: i32 = 4;
const LINE: usize = 64;
/** Bounds of the price of a millilitre that does not fit, in points, and its change each step. */
const LOWEST_PRICE: f64 = 0.001;
const HIGHEST_PRICE: f64 = 60;
const PRICE_STEP: f64 = 1.006;
const EPSILON: f64 = 1e-7;

// What anneal.ts sets before `setUp`: numbers, and pointers to the tables.
export let n: i32 = 0;
export let M: i32 = 0;
export let bags: i32 = 0;
export let riders: i32 = 0;
export let systems: i32 = 0;
export let byStiff: i32 = 0;
export let closes: f64 = 0;
/** Share of the moves that bring something back from where the thing goes; the rest move one thing alone. In 65536ths. */
export let swaps: i32 = 0;
/** So many points two things that change places may cost too much, for a third and fourth to make up for. */
export let hope: f64 = 0;
export let spreadPoints: f64 = 0;
/** Points of each further bag that holds stores of food, beyond so many. */
export let foodBagPoints: f64 = 0;
export let foodBags: i32 = 0;
export let apartPoints: f64 = 0;
export let pairPoints: f64 = 0;
export let needMl: Floats = changetype<Floats>(0);
export let comfortMl: Floats = changetype<Floats>(0);
export let stiffMl: Floats = changetype<Floats>(0);
export let massG: Floats = changetype<Floats>(0);
export let system: Ints = changetype<Ints>(0);
export let stores: Bytes = changetype<Bytes>(0);
export let natures: Ints = changetype<Ints>(0);
export let pair: Ints = changetype<Ints>(0);
export let points: Floats = changetype<Floats>(0);
export let allowed: Bytes = changetype<Bytes>(0);
export let capacity: Floats = changetype<Floats>(0);
export let limit: Floats = changetype<Floats>(0);
export let side: Floats = changetype<Floats>(0);
export let tailM: Floats = changetype<Floats>(0);
export let frontShare: Floats = changetype<Floats>(0);
export let onBody: Floats = changetype<Floats>(0);
export let onBike: Floats = changetype<Floats>(0);
export let bagOf: Ints = changetype<Ints>(0);
export let bagLimit: Floats = changetype<Floats>(0);
export let riderOf: Ints = changetype<Ints>(0);
export let mirror: Ints = changetype<Ints>(0);
export let free: Ints = changetype<Ints>(0);
export let freeCount: i32 = 0;
/** Words of a set of things, an even number. */
export let words: i32 = 0;
/** Places of each free thing, one thing's after the other's, with where they begin. */
export let choices: Ints = changetype<Ints>(0);
export let choicesFrom: Ints = changetype<Ints>(0);
export let steep: Floats = changetype<Floats>(0);
export let share: Floats = changetype<Floats>(0);
export let fairG: Floats = changetype<Floats>(0);
export let baseG: Floats = changetype<Floats>(0);
export let baseFrontG: Floats = changetype<Floats>(0);
export let baseLeftG: Floats = changetype<Floats>(0);
export let baseTailKgM: Floats = changetype<Floats>(0);
export let bareFrontShare: Floats = changetype<Floats>(0);
export let logarithms: Floats = changetype<Floats>(0);
/** Where the records may begin. */
export let end: usize = 0;

// What both sides read and write while it is at work.
export let where: Ints = changetype<Ints>(0);
export let bestWhere: Ints = changetype<Ints>(0);
export let roomMl: Floats = changetype<Floats>(0);
export let stiffCapacity: Floats = changetype<Floats>(0);
/** By place and thing the set of those it does not lie with there; and by place whether there is any. */
export let clashing: Things = changetype<Things>(0);
export let mayClash: Bytes = changetype<Bytes>(0);
/** By place up to `mostCuts`, at most 64, larger sets that do not lie there, with the millilitres of each, and how many there are. */
export let mostCuts: i32 = 0;
export let cuts: Things = changetype<Things>(0);
export let cutsMl: Floats = changetype<Floats>(0);
export let cutCounts: Ints = changetype<Ints>(0);
export let isOpen: Bytes = changetype<Bytes>(0);
export let leastTotal: f64 = Infinity;
export let heat: f64 = 0;
export let cooling: f64 = 0;
export let bits: i32 = 0;

let things: usize = 0;
let places: usize = 0;
let bagRecords: usize = 0;
let riderRecords: usize = 0;
let systemRecords: usize = 0;
let rests: usize = 0;
/** The free things a run moves. */
let drawn: Ints = changetype<Ints>(0);
let drawnCount: i32 = 0;
/** What a place would hold after a part of a move. */
let after: Things = changetype<Things>(0);
/** How many bags hold stores of food. */
let bagsWithStores: i32 = 0;
export let total: f64 = 0;
export let over: f64 = 0;
/** Price of a millilitre that does not fit, in points. */
export let price: f64 = 0.02;

function thing(i: i32): Thing {
  return changetype<Thing>(things + <usize>i * offsetof<Thing>());
}

function place(c: i32): Place {
  return changetype<Place>(places + <usize>c * offsetof<Place>());
}

function bag(k: i32): Bag {
  return changetype<Bag>(bagRecords + <usize>k * offsetof<Bag>());
}

function rider(r: i32): Rider {
  return changetype<Rider>(riderRecords + <usize>r * offsetof<Rider>());
}

function restOf(i: i32): Rest {
  return changetype<Rest>(rests + <usize>i * offsetof<Rest>());
}

function systemAt(s: i32): System {
  return changetype<System>(systemRecords + <usize>s * offsetof<System>());
}

/** Room for so many bytes, all zero. */
function room(bytes: usize): usize {
  const at = end;
  end += (bytes + 7) & ~7;
  const pages = <i32>((end + 0xffff) >> 16) - memory.size();
  if (pages > 0 && memory.grow(pages) < 0) unreachable();
  memory.fill(at, 0, bytes);
  return at;
}

/** Makes the records from the tables. */
export function setUp(): void {
  // Each thing in a line of the processor's cache.
  end = (end + LINE - 1) & ~(LINE - 1);
  things = room(<usize>(n + 1) * offsetof<Thing>());
  places = room(<usize>M * offsetof<Place>());
  bagRecords = room(<usize>(bags + 1) * offsetof<Bag>());
  riderRecords = room(<usize>riders * offsetof<Rider>());
  systemRecords = room(<usize>(systems + 1) * offsetof<System>());
  rests = room(<usize>(n + 1) * offsetof<Rest>());
  drawn = changetype<Ints>(room((<usize>freeCount) << 2));
  after = changetype<Things>(room((<usize>words) << 3));
  for (let k = 0; k <= bags; k += 1) bag(k).limitG = bagLimit[k];
  for (let r = 0; r < riders; r += 1) {
    const own = rider(r);
    own.share = share[r];
    own.fairG = fairG[r];
    own.baseG = baseG[r];
    own.bareFrontShare = bareFrontShare[r];
  }
  for (let s = 0; s <= systems; s += 1) systemAt(s).present = changetype<Ints>(room((<usize>M) << 2));
  for (let c = 0; c < M; c += 1) {
    const own = place(c);
    own.index = c;
    own.capacity = capacity[c];
    own.limit = limit[c];
    own.side = side[c];
    own.tailM = tailM[c];
    own.frontShare = frontShare[c];
    own.onBody = onBody[c];
    own.onBike = onBike[c];
    own.bag = bag(bagOf[c]);
    if (c > 0) own.rider = rider(riderOf[c]);
    if (mirror[c] > 0) own.mirror = place(mirror[c]);
    own.seats = changetype<Seats>(room(<usize>((n + LANES - 1) / LANES) * LINE));
    own.row = changetype<Singles>(room((<usize>(n + 1)) << 2));
    own.held = changetype<Things>(room((<usize>words) << 3));
    own.clashing = changetype<Things>(changetype<usize>(clashing) + ((<usize>(c * (n + 1) * words)) << 3));
    own.cuts = changetype<Things>(changetype<usize>(cuts) + ((<usize>(c * mostCuts * words)) << 3));
    own.cutsMl = changetype<Floats>(changetype<usize>(cutsMl) + ((<usize>(c * mostCuts)) << 3));
    own.cutsWith = changetype<Things>(room((<usize>(n + 1)) << 3));
    own.steep = changetype<Floats>(changetype<usize>(steep) + ((<usize>(c * M)) << 3));
  }
  for (let i = 0; i <= n; i += 1) {
    const own = thing(i);
    own.index = i;
    own.needMl = needMl[i];
    own.comfortMl = comfortMl[i];
    own.stiffMl = stiffMl[i];
    own.massG = massG[i];
    own.rest = restOf(i);
    own.rest.system = systemAt(system[i]);
    own.rest.isStore = stores[i];
    own.rest.bear(natures[i]);
    if (pair[i] >= 0) own.pair = thing(pair[i]);
    own.points = changetype<Floats>(changetype<usize>(points) + ((<usize>(i * M)) << 3));
  }
  for (let p = 0; p < freeCount; p += 1) {
    const own = thing(free[p]);
    const from = choicesFrom[p];
    for (let c = 0; c < M; c += 1) if (!allowed[free[p] * M + c]) own.points[c] = Infinity;
    own.choiceCount = choicesFrom[p + 1] - from;
    own.choices = changetype<Ints>(changetype<usize>(choices) + ((<usize>from) << 2));
    for (let k = 0; k < own.choiceCount; k += 1)
      own.choices[k] = <i32>changetype<usize>(place(own.choices[k]));
  }
}

/** Takes up the assignment in `where`: all running sums anew. The price stays: it has found what room is worth here. */
export function start(): void {
  for (let k = 0; k <= bags; k += 1) {
    bag(k).massG = 0;
    bag(k).stores = 0;
  }
  bagsWithStores = 0;
  for (let r = 0; r < riders; r += 1) {
    const own = rider(r);
    own.left = baseLeftG[r];
    own.body = 0;
    own.load = baseG[r];
    own.front = baseFrontG[r];
    own.tail = baseTailKgM[r];
  }
  for (let s = 0; s < systems; s += 1) {
    systemAt(s).spread = 0;
    memory.fill(changetype<usize>(systemAt(s).present), 0, (<usize>M) << 2);
  }
  for (let c = 0; c < M; c += 1) {
    const own = place(c);
    own.volume = 0;
    own.comfort = 0;
    own.stiff = 0;
    own.mass = 0;
    own.natures = 0;
    own.natureLow = i16x8.splat(0);
    own.natureHigh = i16x8.splat(0);
    own.natureMask = c > 0 ? -1 : 0;
    own.count = 0;
    own.room = roomMl[c];
    own.stiffCapacity = byStiff && c > 0 ? stiffCapacity[c] : Infinity;
    own.mayClash = mayClash[c];
    own.clashMl = 0;
    bearCuts(own, cutCounts[c]);
    for (let p = 0; p < ((n + LANES - 1) & ~(LANES - 1)); p += 1) own.seats.at(p).points = NOBODY;
    for (let i = 0; i < n; i += 1) own.row[i] = <f32>thing(i).points[c];
    memory.fill(changetype<usize>(own.held), 0, (<usize>words) << 3);
  }
  let sum: f64 = 0;
  for (let i = 0; i < n; i += 1) {
    const own = thing(i);
    const c = place(where[i]);
    if (own.choiceCount > 0) enter(own, c);
    else own.place = c;
    sum += own.points[c.index];
    if (c.mayClash) c.clashMl += clashOf(own, c, c.held);
    toggle(own, c.held);
    if (c.index === 0) continue;
    c.volume += own.needMl;
    c.comfort += own.comfortMl;
    c.mass += own.massG;
    c.stiff += own.stiffMl;
    c.bag.massG += own.massG;
    const r = c.rider;
    r.body += c.onBody * own.massG;
    r.left += c.side * own.massG;
    r.load += c.onBike * own.massG;
    r.front += c.onBike * c.frontShare * own.massG;
    r.tail += (c.tailM * own.massG) / 1000;
    sum += count(own, place(0), c);
    c.addNatures(own.rest.natureLow, own.rest.natureHigh);
  }
  let allOver: f64 = 0;
  for (let k = 0; k < M; k += 1) {
    const c = place(k);
    cutsAfter(c, -1, c.held);
    c.clashMlAfter = c.clashMl;
    c.takeClashes();
    c.weigh();
    sum += c.pressed + apartPoints * <f64>c.troubles();
    allOver += c.overRoomMl + c.otherOverMl;
  }
  for (let i = 0; i < n; i += 1) if (pair[i] > i) sum += pairCost(thing(i).place, thing(pair[i]).place);
  for (let r = 0; r < riders; r += 1) {
    const own = rider(r);
    own.balanced = own.balance(own.left, own.load, own.front, own.tail, own.body);
    sum += own.balanced;
  }
  memory.copy(changetype<usize>(bestWhere), changetype<usize>(where), (<usize>n) << 2);
  total = sum;
  over = allOver;
  leastTotal = over <= closes ? total : Infinity;
}

/** Opens the places told by `isOpen`, and what lies in them and does not stay. Returns how many things that is. */
export function open(): i32 {
  for (let c = 0; c < M; c += 1) place(c).isOpen = isOpen[c];
  drawnCount = 0;
  for (let p = 0; p < freeCount; p += 1) {
    const own = thing(free[p]);
    if (own.place.isOpen) drawn[drawnCount++] = <i32>changetype<usize>(own);
  }
  return drawnCount;
}

/** Random bits by xorshift (Marsaglia 2003), used in halves: a call for each number is what the loop would mostly do. */
function draw(x: i32): i32 {
  x ^= x << 13;
  x ^= x >>> 17;
  x ^= x << 5;
  return x;
}

/** Tries so many moves. Called with some thousands at a time: the engine makes a loop fast only between two calls of it. */
export function run(moves: i32): void {
  const NONE = thing(n);
  let x = draw(bits);
  // What moves next, and where to, is drawn a move ahead: what that reads has come by its turn.
  let next = changetype<Thing>(drawn[((x >>> 16) * drawnCount) >>> 16]);
  let to = changetype<Place>(next.choices[((x & 0xffff) * next.choiceCount) >>> 16]);
  for (let move = 0; move < moves; move += 1) {
    if (move % STEP === 0) {
      heat *= cooling;
      // Up while something does not fit, down while all does: the search swings across the edge of what closes.
      price = over > closes ? min(HIGHEST_PRICE, price * PRICE_STEP) : max(LOWEST_PRICE, price / PRICE_STEP);
    }
    const i = next;
    const a = i.place;
    const b = to;
    x = draw(x);
    next = changetype<Thing>(drawn[((x >>> 16) * drawnCount) >>> 16]);
    to = changetype<Place>(next.choices[((x & 0xffff) * next.choiceCount) >>> 16]);
    if (a === b || !b.isOpen) continue;
    const ca = a.index;
    const cb = b.index;
    // Thing i goes from a to b. In a swap k comes back; a third, l, goes with the smaller of the two; a fourth, o,
    // goes whichever way evens out the litres that are left over.
    let k = NONE;
    let l = NONE;
    let o = NONE;
    let lTo: f64 = 0;
    let oTo: f64 = 0;
    // Metropolis: a rise is taken with probability exp(−rise ÷ heat), so at most this much is, drawn first.
    x = draw(x);
    const most = heat * logarithms[x >>> 20];
    // What can be saved of what is over besides litres; and with those.
    const rest = price * (a.otherOverMl + b.otherOverMl) + a.pressed + b.pressed;
    const atMost = most + rest + price * (a.overRoomMl + b.overRoomMl) + hope;
    let dv = i.needMl;
    let change = i.points[cb] - i.points[ca];
    x = draw(x);
    if ((x & 0xffff) < swaps && b.count > 0) {
      const one = b.seats.at(((x >>> 16) * b.count) >>> 16);
      x = draw(x);
      const other = b.seats.at(((x & 0xffff) * b.count) >>> 16);
      // By the seats alone, in single precision: every sixth move ends here.
      const byOne = a.pointsOf(one) - one.points;
      const byOther = a.pointsOf(other) - other.points;
      if (change + <f64>(byOther < byOne ? byOther : byOne) > atMost) continue;
      k = byOther < byOne ? other.thing : one.thing;
      dv -= k.needMl;
      change += k.points[ca] - k.points[cb];
      if (x >>> 16 < THIRDS) {
        x = draw(x);
        const back = dv > 0;
        lTo = back ? -1 : 1;
        l = back ? cheapest(b, a, dv, x, k, NONE) : cheapest(a, b, -dv, x, i, NONE);
        dv += lTo * l.needMl;
        change += lTo * (l.points[cb] - l.points[ca]);
        x = draw(x);
        if ((x & 0xffff) < FOURTHS) {
          x = draw(x);
          const too = dv > 0;
          oTo = too ? -1 : 1;
          o = too ? cheapest(b, a, dv, x, k, l) : cheapest(a, b, -dv, x, i, l);
          dv += oTo * o.needMl;
          change += oTo * (o.points[cb] - o.points[ca]);
        }
      }
    }
    const dm = i.massG - k.massG + lTo * l.massG + oTo * o.massG;
    let dOver = overs(two(a.volume - a.room - dv, b.volume - b.room + dv)) - a.overRoomMl - b.overRoomMl;
    const movers = 1 + <i32>(k !== NONE) + <i32>(l !== NONE) + <i32>(o !== NONE);
    const paired =
      (changetype<usize>(i.pair) |
        changetype<usize>(k.pair) |
        changetype<usize>(l.pair) |
        changetype<usize>(o.pair)) !==
      0;
    const troubles = a.troubles() + b.troubles();
    // What the systems may save at most; and the balance with them.
    const spared =
      <f64>movers * spreadPoints + apartPoints * <f64>troubles + (paired ? <f64>movers * pairPoints : 0);
    const balancing = a.steep[cb] * abs(dm);
    // At best nothing is pressed any more, and nothing over but litres: most moves end here.
    if (change + price * dOver > most + spared + balancing + rest) continue;

    const dc = i.comfortMl - k.comfortMl + lTo * l.comfortMl + oTo * o.comfortMl;
    const ds = i.stiffMl - k.stiffMl + lTo * l.stiffMl + oTo * o.stiffMl;
    change += press * overs(two(a.comfort - a.capacity - dc, b.comfort - b.capacity + dc));
    change -= a.pressed + b.pressed;
    dOver += overs(two(a.stiff - a.stiffCapacity - ds, b.stiff - b.stiffCapacity + ds));
    dOver -= a.otherOverMl + b.otherOverMl;
    // At best nothing clashes any more.
    let slack = most - price * dOver + spared;
    if (change > slack + balancing) continue;

    // Each end's rider; a thing that goes to the floor or comes from there concerns one alone.
    const q = ca > 0 ? a.rider : b.rider;
    const r = cb > 0 ? b.rider : q;
    if (dm > 0) {
      if (b.mass + dm > b.limit + EPSILON) continue;
      if (a.bag !== b.bag && b.bag.massG + dm > b.bag.limitG + EPSILON) continue;
    } else if (dm < 0) {
      if (a.mass - dm > a.limit + EPSILON) continue;
      if (a.bag !== b.bag && a.bag.massG - dm > a.bag.limitG + EPSILON) continue;
    }
    // What comes to b's rider; where a is another's, what goes from that one too.
    const same: f64 = q === r ? 1 : 0;
    const left2 = r.left + (b.side - same * a.side) * dm;
    const load2 = r.load + (b.onBike - same * a.onBike) * dm;
    const front2 = r.front + (b.onBike * b.frontShare - same * a.onBike * a.frontShare) * dm;
    const tail2 = r.tail + ((b.tailM - same * a.tailM) * dm) / 1000;
    const body2 = r.body + (b.onBody - same * a.onBody) * dm;
    const balanced2 = r.balance(left2, load2, front2, tail2, body2);
    change += balanced2 - r.balanced;
    let balancedQ: f64 = 0;
    if (q !== r) {
      balancedQ = q.balance(
        q.left - a.side * dm,
        q.load - a.onBike * dm,
        q.front - a.onBike * a.frontShare * dm,
        q.tail - (a.tailM * dm) / 1000,
        q.body - a.onBody * dm,
      );
      change += balancedQ - q.balanced;
    }
    if (change > slack) continue;

    // Only what is stiff clashes.
    const mayClash = i.stiffMl + k.stiffMl + l.stiffMl + o.stiffMl > 0;
    if (mayClash && a.mayClash) clashAfter(a, i, k, l, o);
    else a.clashesStay();
    if (mayClash && b.mayClash) clashAfter(b, i, k, l, o);
    else b.clashesStay();
    const clashMl = a.clashMlAfter + a.cutMlAfter + b.clashMlAfter + b.cutMlAfter;
    dOver += clashMl;
    slack -= price * clashMl;
    if (change > slack) continue;
    if (paired) change += pairsChange(i, k, l, o, a, b);
    // What comes to b, and goes from a, of each nature; nothing of what is none.
    const ls = i16x8.splat(<i16>lTo);
    const os = i16x8.splat(<i16>oTo);
    const low = i16x8.add(
      i16x8.sub(i.rest.natureLow, k.rest.natureLow),
      i16x8.add(i16x8.mul(ls, l.rest.natureLow), i16x8.mul(os, o.rest.natureLow)),
    );
    const high = i16x8.add(
      i16x8.sub(i.rest.natureHigh, k.rest.natureHigh),
      i16x8.add(i16x8.mul(ls, l.rest.natureHigh), i16x8.mul(os, o.rest.natureHigh)),
    );
    const troublesAfter =
      troublesIn(a.naturesWith(i16x8.neg(low), i16x8.neg(high))) + troublesIn(b.naturesWith(low, high));
    change += apartPoints * <f64>(troublesAfter - troubles);
    // At best each system is spread less.
    if (change + price * dOver > most + <f64>movers * spreadPoints) continue;
    // The systems are counted as if the move were made, and put back where it is not.
    change += count(i, a, b);
    if (k !== NONE) change += count(k, b, a);
    if (l !== NONE) change += lTo > 0 ? count(l, a, b) : count(l, b, a);
    if (o !== NONE) change += oTo > 0 ? count(o, a, b) : count(o, b, a);
    if (change + price * dOver > most) {
      if (o !== NONE) count(o, oTo > 0 ? b : a, oTo > 0 ? a : b);
      if (l !== NONE) count(l, lTo > 0 ? b : a, lTo > 0 ? a : b);
      if (k !== NONE) count(k, a, b);
      count(i, b, a);
      continue;
    }
    leave(i, a);
    enter(i, b);
    if (k !== NONE) {
      leave(k, b);
      enter(k, a);
    }
    if (l !== NONE) {
      leave(l, lTo > 0 ? a : b);
      enter(l, lTo > 0 ? b : a);
    }
    if (o !== NONE) {
      leave(o, oTo > 0 ? a : b);
      enter(o, oTo > 0 ? b : a);
    }
    if (ca > 0) {
      a.volume -= dv;
      a.comfort -= dc;
      a.mass -= dm;
      a.stiff -= ds;
    }
    if (cb > 0) {
      b.volume += dv;
      b.comfort += dc;
      b.mass += dm;
      b.stiff += ds;
    }
    exchange(i, a, b);
    exchange(k, a, b);
    exchange(l, a, b);
    exchange(o, a, b);
    a.addNatures(i16x8.neg(low), i16x8.neg(high));
    b.addNatures(low, high);
    a.takeClashes();
    b.takeClashes();
    a.weigh();
    b.weigh();
    a.bag.massG -= dm;
    b.bag.massG += dm;
    r.left = left2;
    r.load = load2;
    r.front = front2;
    r.tail = tail2;
    r.body = body2;
    r.balanced = balanced2;
    if (q !== r) {
      q.left -= a.side * dm;
      q.load -= a.onBike * dm;
      q.front -= a.onBike * a.frontShare * dm;
      q.tail -= (a.tailM * dm) / 1000;
      q.body -= a.onBody * dm;
      q.balanced = balancedQ;
    }
    total += change;
    over += dOver;
    if (total < leastTotal - 1e-9 && over <= closes) {
      leastTotal = total;
      memory.copy(changetype<usize>(bestWhere), changetype<usize>(where), (<usize>n) << 2);
    }
  }
  bits = x;
}

/** Puts a thing into a set, or takes it out. */
function toggle(y: Thing, set: Things): void {
  set[y.word] = set[y.word] ^ y.bit;
}

/** Of a thing in one of two places, or none, its place changed in what they hold. */
function exchange(y: Thing, a: Place, b: Place): void {
  if (y.index === n) return;
  toggle(y, a.held);
  toggle(y, b.held);
}

/** Millilitres that a thing and those of a set that do not lie beside it in a place are in each other's way. */
function clashOf(y: Thing, c: Place, set: Things): f64 {
  const from = y.index * words;
  let ml: f64 = 0;
  for (let w = 0; w < words; w += 1)
    for (let rest = c.clashing[from + w] & set[w]; rest !== 0; rest &= rest - 1)
      ml += min<f64>(y.stiffMl, thing((w << 6) + <i32>ctz<i64>(rest)).stiffMl);
  return ml;
}

/** Tells what does not lie together in a place, pairs and larger sets, once each of these has gone or come. */
function clashAfter(c: Place, i: Thing, k: Thing, l: Thing, o: Thing): void {
  for (let w = 0; w < words; w += 1) after[w] = c.held[w];
  let ml = c.clashMl;
  let asked = c.cutsIn;
  for (let part = 0; part < 4; part += 1) {
    const y = part === 0 ? i : part === 1 ? k : part === 2 ? l : o;
    if (y.stiffMl === 0) continue;
    const others = clashOf(y, c, after);
    const goes = (after[y.word] & y.bit) !== 0;
    ml += goes ? -others : others;
    if (!goes) asked |= c.cutsWith[y.index];
    toggle(y, after);
  }
  c.clashMlAfter = ml;
  cutsAfter(c, asked, after);
}

/** Notes of each thing in which of a place's larger sets it is: only with a thing that comes can one of them come in. */
function bearCuts(c: Place, count: i32): void {
  memory.fill(changetype<usize>(c.cutsWith), 0, (<usize>n) << 3);
  for (let k = 0; k < count; k += 1)
    for (let w = 0; w < words; w += 1) {
      for (let rest = c.cuts[k * words + w]; rest !== 0; rest &= rest - 1) {
        const i = (w << 6) + <i32>ctz<i64>(rest);
        c.cutsWith[i] = c.cutsWith[i] | ((1 as i64) << (k as i64));
      }
    }
}

/** Tells which of those larger sets that do not lie in a place, of some of them, are in a set. Two words at once. */
function cutsAfter(c: Place, asked: i64, set: Things): void {
  const bytes = (<usize>words) << 3;
  let ml: f64 = 0;
  let isIn: i64 = 0;
  for (let rest = asked; rest !== 0; rest &= rest - 1) {
    const k = <i32>ctz<i64>(rest);
    const cut = changetype<usize>(c.cuts) + <usize>k * bytes;
    let missing = i64x2.splat(0);
    for (let at: usize = 0; at < bytes; at += 16)
      missing = v128.or(missing, v128.andnot(v128.load(cut + at), v128.load(changetype<usize>(set) + at)));
    if (v128.any_true(missing)) continue;
    ml += c.cutsMl[k];
    isIn |= (1 as i64) << (k as i64);
  }
  c.cutMlAfter = ml;
  c.cutsInAfter = isIn;
}

function pairCost(at: Place, other: Place): f64 {
  if (at.index === 0 && other.index === 0) return 0;
  return at.index > 0 && other.index > 0 && at.mirror === other ? 0 : pairPoints;
}

function enter(i: Thing, c: Place): void {
  i.seat = c.count;
  const seat = c.seats.at(c.count);
  seat.thing = i;
  seat.needMl = <f32>i.needMl;
  seat.points = c.row[i.index];
  seat.offset = i.index << 2;
  c.count += 1;
  i.place = c;
  where[i.index] = c.index;
}

function leave(i: Thing, c: Place): void {
  c.count -= 1;
  const last = c.seats.at(c.count);
  const seat = c.seats.at(i.seat);
  seat.thing = last.thing;
  seat.needMl = last.needMl;
  seat.points = last.points;
  seat.offset = last.offset;
  seat.thing.seat = i.seat;
  last.points = NOBODY;
}

/** Counts a thing in another place: what that changes in how far its system is spread, and food over bags, in points. */
function count(i: Thing, from: Place, to: Place): f64 {
  const s = i.rest.system;
  let change: f64 = 0;
  if (from.index > 0 && add(s.present, from.index, -1) === 0) {
    s.spread -= 1;
    if (s.spread > 0) change -= spreadPoints;
  }
  if (to.index > 0 && add(s.present, to.index, 1) === 1) {
    s.spread += 1;
    if (s.spread > 1) change += spreadPoints;
  }
  if (i.rest.isStore && from.bag !== to.bag) {
    if (from.index > 0) {
      from.bag.stores -= 1;
      if (from.bag.stores === 0) {
        bagsWithStores -= 1;
        if (bagsWithStores >= foodBags) change -= foodBagPoints;
      }
    }
    if (to.index > 0) {
      to.bag.stores += 1;
      if (to.bag.stores === 1) {
        bagsWithStores += 1;
        if (bagsWithStores > foodBags) change += foodBagPoints;
      }
    }
  }
  return change;
}

/** Adds to a count, and tells what it is then. */
function add(counts: Ints, at: i32, by: i32): i32 {
  const now = counts[at] + by;
  counts[at] = now;
  return now;
}

/**
 * Of what lies in `from`, but for things i and l, the one that costs least to move to `to`: by its points, and by what is
 * over at either end then, where `ml` more than now are in `from` and as much less in `to`. None where that is cheaper.
 * Each is looked at by three chances in four, from the bits of `x`, so that it is not always the same.
 *
 * Four at a time and in single precision, which for a choice is precise enough; and without branches, since which is cheaper
 * no processor foresees. Of those that cost the same the first of the four counts.
 */
function cheapest(from: Place, to: Place, ml: f64, x: i32, i: Thing, l: Thing): Thing {
  const row = changetype<usize>(to.row);
  const none = f32x4.splat(0);
  const fromOver = f32x4.splat(<f32>(price * (from.volume - from.room + ml)));
  const toOver = f32x4.splat(<f32>(price * (to.volume - to.room - ml)));
  const each = f32x4.splat(<f32>price);
  const first = i32x4.splat(<i32>changetype<usize>(i));
  const second = i32x4.splat(<i32>changetype<usize>(l));
  let bits = v128.not(i32x4.mul(i32x4.splat(x), i32x4(1, 0x9e3779b1, 0x85ebca77, 0xc2b2ae3d)));
  // What it costs to take none is what any must be cheaper than.
  let least = f32x4.add(f32x4.pmax(none, fromOver), f32x4.pmax(none, toOver));
  let found = i32x4.splat(<i32>changetype<usize>(thing(n)));
  let line = changetype<usize>(from.seats);
  for (const last = line + ((<usize>from.count) << 4); line < last; line += LINE) {
    const ys = v128.load(line);
    const needs = f32x4.mul(each, v128.load(line, 16));
    let points = v128.load32_zero(row + <usize>load<u32>(line, 48));
    points = v128.load_lane<f32>(row + <usize>load<u32>(line, 52), points, 1);
    points = v128.load_lane<f32>(row + <usize>load<u32>(line, 56), points, 2);
    points = v128.load_lane<f32>(row + <usize>load<u32>(line, 60), points, 3);
    const over = f32x4.add(
      f32x4.pmax(none, f32x4.sub(fromOver, needs)),
      f32x4.pmax(none, f32x4.add(toOver, needs)),
    );
    const isPassed = i32x4.shr_s(v128.and(bits, i32x4.shl(bits, 5)), 31);
    const isEither = v128.or(i32x4.eq(ys, first), i32x4.eq(ys, second));
    // What is passed costs all bits set, which is no number, and so not less than any.
    const cost = v128.or(
      f32x4.add(f32x4.sub(points, v128.load(line, 32)), over),
      v128.or(isPassed, isEither),
    );
    bits = v128.or(i32x4.shl(bits, 1), i32x4.shr_u(bits, 31));
    found = v128.bitselect(ys, found, f32x4.lt(cost, least));
    least = f32x4.pmin(least, cost);
  }
  // The one of the four, the first of those alike.
  let other = i32x4.shuffle(least, least, 1, 0, 3, 2);
  found = v128.bitselect(i32x4.shuffle(found, found, 1, 0, 3, 2), found, f32x4.lt(other, least));
  least = f32x4.pmin(least, other);
  other = i32x4.shuffle(least, least, 2, 3, 0, 1);
  found = v128.bitselect(i32x4.shuffle(found, found, 2, 3, 0, 1), found, f32x4.lt(other, least));
  return changetype<Thing>(<usize>i32x4.extract_lane(found, 0));
}

/** What the pairs of things i, k, l and o change in points where each of these goes from a to b or back. */
function pairsChange(i: Thing, k: Thing, l: Thing, o: Thing, a: Place, b: Place): f64 {
  let change: f64 = 0;
  for (let part = 0; part < 4; part += 1) {
    const y = part === 0 ? i : part === 1 ? k : part === 2 ? l : o;
    const z = y.pair;
    if (changetype<usize>(z) === 0) continue;
    const both = z === i || z === k || z === l || z === o;
    // Where both of a pair change places, that is told by the lower one.
    if (both && z.index < y.index) continue;
    const after = y.place === a ? b : a;
    const otherAfter = !both ? z.place : z.place === a ? b : a;
    change += pairCost(after, otherAfter) - pairCost(y.place, z.place);
  }
  return change;
}
