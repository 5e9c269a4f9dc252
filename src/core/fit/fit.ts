import { formVolumeMl, type Thing } from '@/core/kit/thing';
import { DEPTH } from '@/core/kit/depth';
import type { Chamber } from './chamber';
import type { Piece } from './pieces';
import type { Lying } from './lying';
import { Packer } from './place';
import { fillMl, knownPieces, looseFillMl, split, STIFF_SHARE } from './split';
import { freeSlices, heightFor, usableShare } from './voids';

/** A soft thing's share of the fill, from one height over the bottom to another, millimetres. */
export interface Layer {
  thingId: string;
  fromMm: number;
  toMm: number;
}

/** How a set of things lies in a compartment, and whether it closes. Volumes in millilitres. */
export interface Fit {
  /** Everything is in, the soft pressed no harder than it may be. */
  closes: boolean;
  lying: readonly Lying[];
  layers: readonly Layer[];
  /** Stiff things that found no place. */
  noPlace: readonly string[];
  stiffMl: number;
  /** Voids too small for anything soft. */
  deadMl: number;
  /** What the soft needs, pressed as hard as it may be. */
  softMl: number;
  /** Stiff, dead and soft together: what the compartment would have to hold. */
  neededMl: number;
  /** Loose volume of the soft over the room left for it; with nothing soft, what is full. Above 1 it is pressed. */
  tightness: number;
  /** How high things reach over the bottom. */
  filledMm: number;
  /** Pairs in which the first is wanted before the second and lies under it. */
  under: readonly (readonly [string, string])[];
}

const packers = new WeakMap<Chamber, Packer>();
/** One packer a chamber: its arrays are used again, and each fit begins by clearing them. */
function packerFor(chamber: Chamber, pieces: number): Packer {
  let packer = packers.get(chamber);
  if (!packer || packer.most < pieces)
    packers.set(chamber, (packer = new Packer(chamber, Math.max(16, pieces))));
  return packer;
}

/** Soft things that need less than this share of the room at their loose size are not pressed by any voids. */
const ROOMY = 0.6;
/** Corner places tried before a few stiff things are said not to fit; of more than a few, orders alone are tried. */
const TRIES = 60;
const FEW = 5;
/** Times what finds no place is put before the others, and all laid down anew; and pieces laid down so in all. */
const RETRIES = 8;
const PATIENCE = 120;

/** How a set of stiff things lies in an otherwise empty compartment. */
export interface StiffLay {
  lying: readonly Lying[];
  /** What found no place. */
  left: readonly Piece[];
  stiffMl: number;
  /** Room left that soft things can use; found when it is first asked for, since it costs as much as laying. */
  usableMl(): number;
  /** Another way in which they lie, found when it is first asked for; null where no more is known. */
  another(): StiffLay | null;
}

/**
 * Lays stiff things down without overlap, each as low as it goes, as a search asks it thousands of times. Three orders are
 * tried, the first that takes everything is kept: what is wanted last first; the largest first; the longest first. "Finds
 * no place" is therefore not proven, "lies there" is: every placement can be checked.
 *
 * @returns null where none of them takes everything
 */
export function layAll(chamber: Chamber, stiff: readonly Thing[]): StiffLay | null {
  const { value: lying } = waysToLie(chamber, stiff.flatMap(knownPieces), 0).next();
  return lying ? layOf(chamber, lying) : null;
}

/**
 * The same for a load as it is, with more patience, and with what lies where not everything does. All stand on end that can,
 * and what finds no place is put before the others (squeaky wheel optimisation, Joslin and Clements 1999): of sets that
 * `layAll` gives up, in six searches, 10 to 45 of a hundred lie then (decision 0011). Where a few find no place by any of
 * these, corner places are tried one by one.
 *
 * @param tries corner places tried at last; 0 leaves that out
 */
export function layStiff(chamber: Chamber, stiff: readonly Thing[], tries = TRIES): StiffLay {
  const pieces = stiff.flatMap(knownPieces);
  const ways = waysToLie(chamber, pieces, PATIENCE);
  const next = (): StiffLay | null => {
    const { value: lying } = ways.next();
    return lying ? layOf(chamber, lying, [], next) : null;
  };
  const all = next();
  if (all) return all;
  const packer = packerFor(chamber, pieces.length);
  const isWorthTrying = tries > 0 && pieces.length <= FEW && volumeOf(pieces) <= chamber.volumeMl;
  if (isWorthTrying && packer.putByTrying(bySize(pieces), tries)) return layOf(chamber, packer.lying());
  return layWhatGoes(chamber, stiff);
}

/** How stiff things lie that do not all lie: those that find a place, one after the other, and what is left. */
export function layWhatGoes(chamber: Chamber, stiff: readonly Thing[]): StiffLay {
  const pieces = stiff.flatMap(knownPieces);
  const packer = packerFor(chamber, pieces.length);
  const left = packer.putAll(inOrderOfCall(pieces), onBottom, false);
  return layOf(chamber, packer.lying(), left);
}

/** Ways in which all pieces lie: by each order at once; then, for so many pieces laid down, standing and with what failed first. */
function* waysToLie(
  chamber: Chamber,
  pieces: readonly Piece[],
  patience: number,
): Generator<readonly Lying[], undefined> {
  const packer = packerFor(chamber, pieces.length);
  for (const order of ORDERS) {
    if (packer.putAll(order(pieces), onBottom, true).length === 0) yield packer.lying();
    if (volumeOf(pieces) > chamber.volumeMl) return;
  }
  let left = patience;
  for (const standing of [true, false])
    for (const order of ORDERS) {
      const inOrder = order(pieces);
      for (let time = 0; time <= RETRIES && left > 0; time += 1) {
        const [failed] = packer.putAll(inOrder, onBottom, true, standing);
        if (!failed) {
          yield packer.lying();
          break;
        }
        const at = inOrder.indexOf(failed);
        left -= at + 1;
        // Stiffeners come before all others: the sides they lie along are theirs.
        const first = inOrder.findIndex(({ stiffener }) => stiffener === failed.stiffener);
        if (at === first) break;
        inOrder.splice(at, 1);
        inOrder.splice(first, 0, failed);
      }
    }
}

/**
 * How things lie in a compartment (methods, section 3): the stiff as `layStiff` has them, the soft filling what is left
 * at their packing efficiency, what is wanted last nearest the bottom. Where something would lie under what is wanted
 * later, the stiff are laid anew over the soft that is wanted later, and that is kept when it closes too. Where only voids
 * keep it from closing, other ways are tried in which the stiff lie.
 *
 * @param lay of the stiff among the things, where it is known already
 * @example fitIn(chamberOf(bag, compartment), [pot, canister, jacket]).closes
 */
export function fitIn(chamber: Chamber, things: readonly Thing[], lay?: StiffLay): Fit {
  const { placed: stiff, poured } = split(things);
  const soft = poured.sort((a, b) => DEPTH[b.call] - DEPTH[a.call]);
  const onGround = fitOf(chamber, things, soft, filled(chamber, soft, lay ?? layStiff(chamber, stiff)));
  if (!onGround.closes || onGround.under.length === 0 || soft.length === 0) return onGround;
  const pieces = stiff.flatMap(knownPieces);
  const packer = packerFor(chamber, pieces.length);
  const overLater = (piece: Piece): number => {
    let ml = 0;
    for (const thing of soft) if (DEPTH[thing.call] > piece.depth) ml += fillMl(thing);
    return piece.stiffener || ml === 0 ? 0 : packer.heightFor(ml);
  };
  if (packer.putAll(inOrderOfCall(pieces), overLater, true).length > 0) return onGround;
  const filling = fillingOf(chamber, soft, layOf(chamber, packer.lying()));
  if (!filling.closes) return onGround;
  const overSoft = fitOf(chamber, things, soft, filling);
  return overSoft.under.length < onGround.under.length ? overSoft : onGround;
}

/**
 * The `closes` of `fitIn` alone, which need not know where the soft lie nor what lies under what: a third of the time.
 *
 * @example closesIn(chamberOf(bag, compartment), [pot, canister, jacket])
 */
export function closesIn(chamber: Chamber, things: readonly Thing[], lay?: StiffLay): boolean {
  const { placed, poured } = split(things);
  return filled(chamber, poured, lay ?? layStiff(chamber, placed)).closes;
}

/** Stiff things as they lie, with the soft round them: whether that closes. Volumes in millilitres. */
interface Filling {
  lay: StiffLay;
  closes: boolean;
  /** Of stiff things: what lies, and what found no place with the gaps round it. */
  stiffMl: number;
  /** Room the stiff leave, and of that what soft things can use. */
  leftOverMl: number;
  usableMl: number;
  /** What the soft needs pressed as hard as it may be, and loose. */
  softMl: number;
  looseMl: number;
  neededMl: number;
}

function fillingOf(chamber: Chamber, soft: readonly Thing[], lay: StiffLay): Filling {
  const leftOverMl = Math.max(0, chamber.volumeMl - lay.stiffMl);
  const leftMl = lay.left.reduce((sum, piece) => sum + piece.volumeMl / STIFF_SHARE, 0);
  const softMl = soft.reduce((sum, thing) => sum + fillMl(thing), 0);
  const looseMl = soft.reduce((sum, thing) => sum + looseFillMl(thing), 0);
  // Voids matter only to what would fill them, and not while there is much more room than that.
  const usableMl = looseMl > ROOMY * leftOverMl ? lay.usableMl() : leftOverMl;
  const stiffMl = lay.stiffMl + leftMl;
  const neededMl = stiffMl + (leftOverMl - usableMl) + softMl;
  const closes = lay.left.length === 0 && neededMl <= chamber.volumeMl + 1e-6;
  return { lay, closes, stiffMl, leftOverMl, usableMl, softMl, looseMl, neededMl };
}

/** The same; where only voids in which nothing soft goes keep it from closing, of the ways known the one that needs least. */
function filled(chamber: Chamber, soft: readonly Thing[], first: StiffLay): Filling {
  let filling = fillingOf(chamber, soft, first);
  let way: StiffLay | null = first;
  const isKeptByVoids = ({ closes, lay, stiffMl, softMl }: Filling) =>
    !closes && lay.left.length === 0 && stiffMl + softMl <= chamber.volumeMl;
  while (isKeptByVoids(filling)) {
    way = way.another();
    if (!way) break;
    const other = fillingOf(chamber, soft, way);
    if (other.neededMl < filling.neededMl) filling = other;
  }
  return filling;
}

/** A filling with where the soft lie, and what lies under what. */
function fitOf(chamber: Chamber, things: readonly Thing[], soft: readonly Thing[], filling: Filling): Fit {
  const { lay, closes, stiffMl, leftOverMl, usableMl, softMl, looseMl, neededMl } = filling;
  const { lying, left } = lay;
  const layers = layersOf(chamber, soft, filling);
  let filledMm = 0;
  for (const { u1 } of lying) filledMm = Math.max(filledMm, u1);
  for (const { toMm } of layers) filledMm = Math.max(filledMm, toMm);
  return {
    closes,
    lying,
    layers,
    noPlace: [...new Set(left.map(({ thingId }) => thingId))],
    stiffMl,
    deadMl: leftOverMl - usableMl,
    softMl,
    neededMl,
    tightness:
      looseMl > 0
        ? usableMl > 0
          ? looseMl / usableMl
          : Infinity
        : stiffMl / Math.max(chamber.volumeMl, 1e-9),
    filledMm,
    under: chamber.faceOpen ? [] : underOthers(lying, layers, things),
  };
}

function layOf(
  chamber: Chamber,
  lying: readonly Lying[],
  left: readonly Piece[] = [],
  next: () => StiffLay | null = () => null,
): StiffLay {
  const stiffMl = lying.reduce((sum, { piece }) => sum + piece.volumeMl, 0);
  let usable: number | null = null;
  let other: StiffLay | null | undefined;
  return {
    lying,
    left,
    stiffMl,
    usableMl: () => (usable ??= Math.max(0, chamber.volumeMl - stiffMl) * usableShare(chamber, lying)),
    another: () => (other === undefined ? (other = next()) : other),
  };
}

const onBottom = () => 0;
const longest = (piece: Piece) => Math.max(...piece.sides);
const stiffenersFirst = (a: Piece, b: Piece) => Number(b.stiffener) - Number(a.stiffener);
const crushedLast = (a: Piece, b: Piece) => Number(a.crushable) - Number(b.crushable);
const inOrderOfCall = (pieces: readonly Piece[]): Piece[] =>
  [...pieces].sort(
    (a, b) => stiffenersFirst(a, b) || b.depth - a.depth || crushedLast(a, b) || b.volumeMl - a.volumeMl,
  );

const bySize = (pieces: readonly Piece[]): Piece[] =>
  [...pieces].sort((a, b) => stiffenersFirst(a, b) || crushedLast(a, b) || b.volumeMl - a.volumeMl);
const byLength = (pieces: readonly Piece[]): Piece[] =>
  [...pieces].sort((a, b) => stiffenersFirst(a, b) || longest(b) - longest(a));
const volumeOf = (pieces: readonly Piece[]): number => pieces.reduce((ml, piece) => ml + piece.volumeMl, 0);

const ORDERS = [inOrderOfCall, bySize, byLength];

/** Whether a thing finds room in the compartment when nothing else is in it. */
export function fitsAlone(chamber: Chamber, thing: Thing): boolean {
  if (thing.form.kind === 'soft') return fillMl(thing) <= chamber.volumeMl + 1e-6;
  if ((formVolumeMl(thing.form) ?? 0) * thing.quantity > chamber.volumeMl) return false;
  const pieces = knownPieces(thing);
  const packer = packerFor(chamber, pieces.length);
  if (pieces.length === 1 && packer.putInTheMiddle(pieces[0]!, 0)) return true;
  return packer.putAll(pieces, onBottom, true).length === 0;
}

/** Soft things from the bottom up: loose where there is room, else all pressed by the same share of what they give. */
function layersOf(
  chamber: Chamber,
  soft: readonly Thing[],
  { lay, usableMl, leftOverMl, softMl, looseMl }: Filling,
): Layer[] {
  if (soft.length === 0) return [];
  const free = freeSlices(chamber, lay.lying);
  // Dead voids are spread over the height.
  const scale = leftOverMl > 0 ? usableMl / leftOverMl : 0;
  for (let i = 0; i < free.length; i += 1) free[i]! *= scale;
  const given = looseMl - softMl;
  const pressed = given > 0 ? Math.min(1, Math.max(0, (looseMl - usableMl) / given)) : 1;
  let below = 0;
  let at = 0;
  return soft.map((thing) => {
    const loose = looseFillMl(thing);
    below += loose - (loose - fillMl(thing)) * pressed;
    const fromMm = at;
    at = heightFor(chamber, free, below);
    return { thingId: thing.id, fromMm, toMm: at };
  });
}

/** Who lies under something that is wanted later: its nearer end to the mouth lies below the other's middle. */
function underOthers(
  lying: readonly Lying[],
  layers: readonly Layer[],
  things: readonly Thing[],
): [string, string][] {
  // Flat and without maps: asked of every set the search looks at.
  const n = things.length;
  const top = new Float64Array(n).fill(-1);
  const middle = new Float64Array(n).fill(-1);
  const note = (id: string, low: number, high: number) => {
    for (let i = 0; i < n; i += 1) {
      if (things[i]!.id !== id) continue;
      if (high > top[i]!) top[i] = high;
      if ((low + high) / 2 > middle[i]!) middle[i] = (low + high) / 2;
    }
  };
  for (const { piece, u0, u1 } of lying) note(piece.thingId, u0, u1);
  for (const { thingId, fromMm, toMm } of layers) note(thingId, fromMm, toMm);
  const out: [string, string][] = [];
  for (let a = 0; a < n; a += 1) {
    if (top[a]! < 0) continue;
    let worst = -1;
    for (let b = 0; b < n; b += 1) {
      if (DEPTH[things[b]!.call] <= DEPTH[things[a]!.call] || middle[b]! < top[a]! - 1) continue;
      if (worst < 0 || DEPTH[things[b]!.call] > DEPTH[things[worst]!.call]) worst = b;
    }
    if (worst >= 0) out.push([things[a]!.id, things[worst]!.id]);
  }
  return out;
}
