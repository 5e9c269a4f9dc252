import { loosePackedMl, pressedMl } from '@/core/kit/softRoom';
import type { Thing } from '@/core/kit/thing';
import { piecesOf, type Piece } from './pieces';

/** What boxes and cylinders fill among each other where they are not placed one by one. */
export const STIFF_SHARE = 0.85;
/** More pieces than this are not placed one by one: a bag of marbles is poured. */
const MOST_PLACED = 40;

const piecesByThing = new WeakMap<Thing, readonly Piece[]>();
/** Pieces are the same for as long as the thing is. */
export function knownPieces(thing: Thing): readonly Piece[] {
  let pieces = piecesByThing.get(thing);
  if (!pieces) piecesByThing.set(thing, (pieces = piecesOf(thing)));
  return pieces;
}

const sumMl = (pieces: readonly Piece[]): number => pieces.reduce((sum, { volumeMl }) => sum + volumeMl, 0);

/** Things that are placed, and those that fill what is left: the soft, and of very many stiff things the smallest. */
export function split(things: readonly Thing[]): { placed: Thing[]; poured: Thing[] } {
  const placed = things.filter(({ form }) => form.kind !== 'soft');
  const poured = things.filter(({ form }) => form.kind === 'soft');
  let count = placed.reduce((sum, thing) => sum + knownPieces(thing).length, 0);
  if (count <= MOST_PLACED) return { placed, poured };
  const bySize = [...placed].sort((a, b) => knownPieces(a)[0]!.volumeMl - knownPieces(b)[0]!.volumeMl);
  const small = new Set<Thing>();
  for (const thing of bySize) {
    if (count <= MOST_PLACED) break;
    count -= knownPieces(thing).length;
    small.add(thing);
  }
  return {
    placed: placed.filter((thing) => !small.has(thing)),
    poured: things.filter((thing) => thing.form.kind === 'soft' || small.has(thing)),
  };
}

/** Room something poured takes, pressed as hard as it may be; a stiff thing with the gaps round it. Millilitres. */
export const fillMl = (thing: Thing): number =>
  thing.form.kind === 'soft' ? pressedMl(thing) : sumMl(knownPieces(thing)) / STIFF_SHARE;

/** The same where nothing is pressed. */
export const looseFillMl = (thing: Thing): number =>
  thing.form.kind === 'soft' ? loosePackedMl(thing) : fillMl(thing);

/** Room a thing takes whatever lies beside it: its pieces' volumes, or what is soft pressed hard. */
export const leastRoomMl = (thing: Thing): number =>
  thing.form.kind === 'soft' ? pressedMl(thing) : sumMl(knownPieces(thing));
