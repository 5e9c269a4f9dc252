import type { Piece } from '@/core/fit/pieces';

/** A thing in one piece, in millimetres. */
export interface StiffSize {
  /** The longest first. */
  sides: readonly number[];
  /** Of a cylinder. */
  round: { lengthMm: number; diameterMm: number } | null;
  long: boolean;
}

/** Null for several pieces, and for a stiffener, which has a place of its own. */
export function stiffSizeOf(pieces: readonly Piece[]): StiffSize | null {
  const [piece, another] = pieces;
  if (!piece || another || piece.stiffener) return null;
  const { sides, round, long } = piece;
  return {
    sides: [...sides].sort((a, b) => b - a),
    round: round ? { lengthMm: sides[0], diameterMm: sides[1] } : null,
    long,
  };
}

/**
 * Whether a thing could lie wherever another does, since it goes into the room that one takes. A long one may not be turned
 * as others may, so that it goes only into another long one.
 *
 * @example a block of 60 by 40 by 30 goes into a cylinder of 60 by 50, which is as wide as 40 by 30 are across
 */
export function goesInto(own: StiffSize, other: StiffSize): boolean {
  if (own.long && !other.long) return false;
  if (!other.round) return own.sides.every((side, k) => side <= other.sides[k]!);
  const { lengthMm, diameterMm } = other.round;
  if (own.round && own.round.lengthMm <= lengthMm && own.round.diameterMm <= diameterMm) return true;
  const [a, b, c] = own.sides as [number, number, number];
  return [
    [a, b, c],
    [b, a, c],
    [c, a, b],
  ].some(([along, p, q]) => along! <= lengthMm && Math.hypot(p!, q!) <= diameterMm);
}
