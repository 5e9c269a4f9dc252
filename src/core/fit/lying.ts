import type { Piece } from './pieces';

/** Where a piece lies. `upright`: a cylinder whose axis runs along the fill axis. Millimetres. */
export interface Lying {
  piece: Piece;
  u0: number;
  u1: number;
  v0: number;
  v1: number;
  w0: number;
  w1: number;
  upright: boolean;
}
