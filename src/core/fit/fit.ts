import { formVolumeMl, type Thing } from '@/core/kit/thing';
import { DEPTH } from '@/core/kit/depth';
import { loosePackedMl, pressedMl } from '@/core/kit/softRoom';
import type { Chamber } from './chamber';
import { piecesOf, type Piece } from './pieces';
import { Packer, type Lying } from './place';
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

const piecesByThing = new WeakMap<Thing, readonly Piece[]>();
/** Pieces are the same for as long as the thing is. */
function knownPieces(thing: Thing): readonly Piece[] {
  let pieces = piecesByThing.get(thing);
  if (!pieces) piecesByThing.set(thing, (pieces = piecesOf(thing)));
  return pieces;
}

const packers = new WeakMap<Chamber, Packer>();
/** One packer a chamber: its arrays are used again, and each fit begins by clearing them. */
function packerFor(chamber: Chamber, pieces: number): Packer {
  let packer = packers.get(chamber);
  if (!packer || packer.most < pieces) packers.set(chamber, (packer = new Packer(chamber, Math.max(16, pieces))));
  return packer;
}

/** Stiff things with no place would need about so much room: what boxes and cylinders fill among each other. */
const STIFF_SHARE = 0.85;
/** Corner places tried before a few stiff things are said not to fit; of more than a few, orders alone are tried. */
const TRIES = 60;
const FEW = 5;

/**
 * How things lie in a compartment (methods, section 3): stiff pieces are placed without overlap, what is wanted last
 * nearest the bottom; soft things fill what is left, at their packing efficiency, in the same order.
 *
 * Several ways are tried, the first that takes everything is kept: in the order of call with room kept below for what
 * is soft and wanted later; the same without that room; the largest first; the longest first; at last by trying corner
 * places one by one. "Does not fit" is therefore not proven, "fits" is: every placement can be checked.
 *
 * @param tries corner places tried at last; 0 leaves that out
 * @example fitIn(chamberOf(bag, compartment), [pot, canister, jacket]).closes
 */
export function fitIn(chamber: Chamber, things: readonly Thing[], tries = TRIES): Fit {
  const pieces = things.flatMap(knownPieces);
  const soft = things
    .filter(({ form }) => form.kind === 'soft')
    .sort((a, b) => DEPTH[b.call] - DEPTH[a.call]);
  const depth = new Map(things.map((thing) => [thing.id, DEPTH[thing.call]]));
  const { placed, left } = placeStiff(chamber, pieces, soft, tries);

  const placedMl = placed.reduce((sum, { piece }) => sum + piece.volumeMl, 0);
  const leftMl = left.reduce((sum, piece) => sum + piece.volumeMl / STIFF_SHARE, 0);
  const softMl = soft.reduce((sum, thing) => sum + pressedMl(thing), 0);
  const looseMl = soft.reduce((sum, thing) => sum + loosePackedMl(thing), 0);
  const leftOver = Math.max(0, chamber.volumeMl - placedMl);
  // Voids matter only to what would fill them.
  const usable = soft.length > 0 ? leftOver * usableShare(chamber, placed) : leftOver;
  const deadMl = leftOver - usable;
  const neededMl = placedMl + leftMl + deadMl + softMl;
  const layers = layersOf(chamber, placed, soft, usable, leftOver, softMl, looseMl);
  const filledMm = Math.max(
    0,
    ...placed.map(({ u1 }) => u1),
    ...layers.map(({ toMm }) => toMm),
  );
  return {
    closes: left.length === 0 && neededMl <= chamber.volumeMl + 1e-6,
    lying: placed,
    layers,
    noPlace: [...new Set(left.map(({ thingId }) => thingId))],
    stiffMl: placedMl + leftMl,
    deadMl,
    softMl,
    neededMl,
    tightness:
      looseMl > 0
        ? usable > 0
          ? looseMl / usable
          : Infinity
        : (placedMl + leftMl) / Math.max(chamber.volumeMl, 1e-9),
    filledMm,
    under: chamber.faceOpen ? [] : underOthers(placed, layers, depth),
  };
}

/** Whether a thing finds room in the compartment when nothing else is in it. */
export function fitsAlone(chamber: Chamber, thing: Thing): boolean {
  if (thing.form.kind === 'soft') return pressedMl(thing) <= chamber.volumeMl + 1e-6;
  if ((formVolumeMl(thing.form) ?? 0) * thing.quantity > chamber.volumeMl) return false;
  const pieces = knownPieces(thing);
  return packerFor(chamber, pieces.length).putAll(pieces, () => 0, true).length === 0;
}

function placeStiff(
  chamber: Chamber,
  pieces: readonly Piece[],
  soft: readonly Thing[],
  tries: number,
): { placed: readonly Lying[]; left: readonly Piece[] } {
  if (pieces.length === 0) return { placed: [], left: [] };
  const longest = (piece: Piece) => Math.max(...piece.sides);
  const stiffenersFirst = (a: Piece, b: Piece) => Number(b.stiffener) - Number(a.stiffener);
  const crushedLast = (a: Piece, b: Piece) => Number(a.crushable) - Number(b.crushable);
  const byCall = [...pieces].sort(
    (a, b) =>
      stiffenersFirst(a, b) || b.depth - a.depth || crushedLast(a, b) || b.volumeMl - a.volumeMl,
  );
  const packer = packerFor(chamber, pieces.length);
  /** Over what is soft and wanted later. */
  const overLater = (piece: Piece): number => {
    if (piece.stiffener || chamber.faceOpen) return 0;
    let ml = 0;
    for (const thing of soft) if (DEPTH[thing.call] > piece.depth) ml += pressedMl(thing);
    return ml > 0 ? packer.heightFor(ml) : 0;
  };
  const all = () => ({ placed: packer.lying(), left: [] });
  const onBottom = () => 0;
  if (soft.length > 0 && packer.putAll(byCall, overLater, true).length === 0) return all();
  const left = packer.putAll(byCall, onBottom, false);
  if (left.length === 0) return all();
  const best = { placed: packer.lying(), left };
  const bySize = [...pieces].sort(
    (a, b) => stiffenersFirst(a, b) || crushedLast(a, b) || b.volumeMl - a.volumeMl,
  );
  const byLength = [...pieces].sort((a, b) => stiffenersFirst(a, b) || longest(b) - longest(a));
  for (const order of [bySize, byLength])
    if (packer.putAll(order, onBottom, true).length === 0) return all();
  const sum = pieces.reduce((ml, piece) => ml + piece.volumeMl, 0);
  if (pieces.length <= FEW && sum <= chamber.volumeMl && packer.putByTrying(bySize, tries)) return all();
  return best;
}

/** Soft things from the bottom up: loose where there is room, else all pressed by the same share of what they give. */
function layersOf(
  chamber: Chamber,
  placed: readonly Lying[],
  soft: readonly Thing[],
  usable: number,
  leftOver: number,
  softMl: number,
  looseMl: number,
): Layer[] {
  if (soft.length === 0) return [];
  const free = freeSlices(chamber, placed);
  // Dead voids are spread over the height.
  const scale = leftOver > 0 ? usable / leftOver : 0;
  for (let i = 0; i < free.length; i += 1) free[i]! *= scale;
  const given = looseMl - softMl;
  const pressed = given > 0 ? Math.min(1, Math.max(0, (looseMl - usable) / given)) : 1;
  let below = 0;
  let at = 0;
  return soft.map((thing) => {
    const loose = loosePackedMl(thing);
    below += loose - (loose - pressedMl(thing)) * pressed;
    const fromMm = at;
    at = heightFor(chamber, free, below);
    return { thingId: thing.id, fromMm, toMm: at };
  });
}

/** Who lies under something that is wanted later: the nearer of its ends to the mouth lies below all of the other. */
function underOthers(
  placed: readonly Lying[],
  layers: readonly Layer[],
  depth: ReadonlyMap<string, number>,
): [string, string][] {
  const spans = new Map<string, { top: number; from: number }>();
  const note = (id: string, from: number, top: number) => {
    const known = spans.get(id);
    spans.set(id, known ? { top: Math.max(known.top, top), from: Math.max(known.from, from) } : { top, from });
  };
  for (const { piece, u0, u1 } of placed) note(piece.thingId, u0, u1);
  for (const { thingId, fromMm, toMm } of layers) note(thingId, fromMm, toMm);
  const out: [string, string][] = [];
  for (const [a, { top }] of spans) {
    let worst: string | null = null;
    for (const [b, { from }] of spans) {
      if (depth.get(b)! <= depth.get(a)! || from < top - 1) continue;
      if (worst === null || depth.get(b)! > depth.get(worst)!) worst = b;
    }
    if (worst !== null) out.push([a, worst]);
  }
  return out;
}
