import type { Chamber } from './chamber';
import type { Lying } from './lying';

/** A void between stiff things smaller than this counts for nothing (methods, section 3). */
export const LEAST_VOID_ML = 40;
/** Cells along each side of a cube as big as the compartment: fine enough to see a void of 40 ml in most bags. */
const CELLS = 12;
const LEAST_CELL_MM = 8;
/** A row of cells is the bits of one whole number, which JavaScript has 32 of, one for the sign. */
const MOST_IN_ROW = 31;
/** Slices along the fill axis, for how high soft things reach. */
export const SLICES = 64;

interface Grid {
  nu: number;
  nv: number;
  nw: number;
  cell: [number, number, number];
  /** By row along w, row iu·nv + iv: bits 1 where the middle of a cell is inside. */
  inside: Int32Array;
  /** Of the flood, used again each time: bits not yet reached, bits reached but not gone on from, rows with such. */
  open: Int32Array;
  reached: Int32Array;
  stack: Int32Array;
  /** Millilitres of each slice from the bottom up; together the compartment's volume. */
  slices: Float64Array;
}

const grids = new WeakMap<Chamber, Grid>();

/** A chamber on a grid of cells, made once. Rows as bits: the flood below runs at each new set of stiff things. */
function gridOf(chamber: Chamber): Grid {
  const known = grids.get(chamber);
  if (known) return known;
  const size = Math.max(LEAST_CELL_MM, Math.cbrt(chamber.volumeMl * 1000) / CELLS);
  const [v, w] = [chamber.v[1] - chamber.v[0], chamber.w[1] - chamber.w[0]];
  const count = (length: number, most: number) => Math.max(1, Math.min(most, Math.round(length / size)));
  const [nu, nv, nw] = [count(chamber.lengthMm, 64), count(v, 64), count(w, MOST_IN_ROW)];
  const cell: Grid['cell'] = [chamber.lengthMm / nu, v / nv, w / nw];
  const inside = new Int32Array(nu * nv);
  for (let iu = 0; iu < nu; iu += 1)
    for (let iv = 0; iv < nv; iv += 1) {
      const u = (iu + 0.5) * cell[0];
      const atV = chamber.v[0] + (iv + 0.5) * cell[1];
      const half = chamber.across(u, u, atV, atV);
      for (let iw = 0; iw < nw; iw += 1) {
        const atW = chamber.w[0] + (iw + 0.5) * cell[2];
        if (Math.abs(atW) <= half) inside[iu * nv + iv]! |= 1 << iw;
      }
    }
  const slices = new Float64Array(SLICES);
  let sum = 0;
  for (let i = 0; i < SLICES; i += 1) {
    slices[i] = chamber.sectionMm2(((i + 0.5) * chamber.lengthMm) / SLICES);
    sum += slices[i]!;
  }
  // Middles of 64 slices are within a thousandth of the exact volume; the rest is spread evenly.
  for (let i = 0; i < SLICES; i += 1) slices[i]! *= sum > 0 ? chamber.volumeMl / sum : 0;
  const rows = () => new Int32Array(inside.length);
  const grid = { nu, nv, nw, cell, inside, open: rows(), reached: rows(), stack: rows(), slices };
  grids.set(chamber, grid);
  return grid;
}

/**
 * Share of the room that stiff things leave which soft things can use: voids under 40 ml, found by flooding a grid of
 * cells, count for nothing. 1 where nothing stiff lies.
 */
export function usableShare(chamber: Chamber, placed: readonly Lying[]): number {
  if (placed.length === 0) return 1;
  const grid = gridOf(chamber);
  const { nv, cell, open, reached, stack } = grid;
  open.set(grid.inside);
  for (const lying of placed) takeOut(chamber, grid, open, lying);
  const cellMl = (cell[0] * cell[1] * cell[2]) / 1000;
  const rows = open.length;
  let all = 0;
  let usable = 0;
  for (let start = 0; start < rows;) {
    const rest = open[start]!;
    if (rest === 0) {
      start += 1;
      continue;
    }
    let size = 0;
    let top = 1;
    stack[0] = start;
    reached[start] = rest & -rest;
    while (top > 0) {
      const row = stack[--top]!;
      const own = alongRow(reached[row]!, open[row]!);
      reached[row] = 0;
      open[row]! &= ~own;
      size += ones(own);
      // The four rows beside, each put on the stack once while it has bits to go on from.
      const iv = row % nv;
      if (iv > 0) top = reach(row - 1, own, open, reached, stack, top);
      if (iv + 1 < nv) top = reach(row + 1, own, open, reached, stack, top);
      if (row >= nv) top = reach(row - nv, own, open, reached, stack, top);
      if (row + nv < rows) top = reach(row + nv, own, open, reached, stack, top);
    }
    all += size;
    if (size * cellMl >= LEAST_VOID_ML) usable += size;
  }
  // Nothing but slivers thinner than a cell is no room at all.
  return all > 0 ? usable / all : 0;
}

/** Of the free cells of a row beside, those next to the given are reached. Returns the new top of the stack. */
function reach(
  row: number,
  from: number,
  open: Int32Array,
  reached: Int32Array,
  stack: Int32Array,
  top: number,
): number {
  const bits = from & open[row]!;
  if (bits === 0) return top;
  const before = reached[row]!;
  reached[row] = before | bits;
  if (before !== 0) return top;
  stack[top] = row;
  return top + 1;
}

/** Bits of a row that are joined to the given ones through free ones: five doublings each way, as in parallel-prefix sums. */
function alongRow(bits: number, free: number): number {
  let up = bits & free;
  let down = up;
  let path = free;
  let back = free;
  for (let step = 1; step < 32; step *= 2) {
    up |= path & (up << step);
    down |= back & (down >>> step);
    path &= path << step;
    back &= back >>> step;
  }
  return up | down;
}

/** How many bits are 1 (Warren 2012). */
function ones(bits: number): number {
  let x = bits - ((bits >>> 1) & 0x5555_5555);
  x = (x & 0x3333_3333) + ((x >>> 2) & 0x3333_3333);
  return Math.imul((x + (x >>> 4)) & 0x0f0f_0f0f, 0x0101_0101) >>> 24;
}

/** A middle so near to an edge, in millimetres, is on it, however the two were rounded. */
const ON_EDGE = 1e-6;
/** Cells whose middles lie between two places: from the first to before the last. */
const firstCell = (low: number, origin: number, size: number): number =>
  Math.max(0, Math.ceil((low - ON_EDGE - origin) / size - 0.5));
const endCell = (high: number, origin: number, size: number, n: number): number =>
  Math.min(n, Math.ceil((high - ON_EDGE - origin) / size - 0.5));

function takeOut(chamber: Chamber, grid: Grid, open: Int32Array, lying: Lying): void {
  const { nu, nv, nw, cell } = grid;
  const [originV, originW] = [chamber.v[0], chamber.w[0]];
  const [v0, v1] = [firstCell(lying.v0, originV, cell[1]), endCell(lying.v1, originV, cell[1], nv)];
  const [w0, w1] = [firstCell(lying.w0, originW, cell[2]), endCell(lying.w1, originW, cell[2], nw)];
  const r = (lying.v1 - lying.v0) / 2;
  const [mv, mw] = [(lying.v0 + lying.v1) / 2, (lying.w0 + lying.w1) / 2];
  const last = endCell(lying.u1, 0, cell[0], nu);
  for (let iu = firstCell(lying.u0, 0, cell[0]); iu < last; iu += 1)
    for (let iv = v0; iv < v1; iv += 1) {
      const dv = originV + (iv + 0.5) * cell[1] - mv;
      let taken = 0;
      for (let iw = w0; iw < w1; iw += 1) {
        const dw = originW + (iw + 0.5) * cell[2] - mw;
        if (!lying.upright || dv * dv + dw * dw <= r * r + ON_EDGE) taken |= 1 << iw;
      }
      open[iu * nv + iv]! &= ~taken;
    }
}

/** Millilitres free in each slice from the bottom up, with what lies there taken out. */
export function freeSlices(chamber: Chamber, placed: readonly Lying[]): Float64Array {
  const free = gridOf(chamber).slices.slice();
  for (const { piece, u0, u1 } of placed) takeFrom(free, chamber.lengthMm, u0, u1, piece.volumeMl);
  for (let i = 0; i < SLICES; i += 1) free[i] = Math.max(0, free[i]!);
  return free;
}

/** Takes so many millilitres, spread evenly between two heights, from the slices of a chamber of some length. */
export function takeFrom(slices: Float64Array, lengthMm: number, u0: number, u1: number, ml: number): void {
  const step = lengthMm / SLICES;
  const aMm = ml / Math.max(u1 - u0, 1e-9);
  const last = Math.min(SLICES - 1, Math.floor(u1 / step));
  for (let i = Math.max(0, Math.floor(u0 / step)); i <= last; i += 1) {
    const low = i * step;
    const shared = (u1 < low + step ? u1 : low + step) - (u0 > low ? u0 : low);
    if (shared > 0) slices[i]! -= aMm * shared;
  }
}

/** Height over the bottom below which so much is free, in millimetres; the mouth where there is less in all. */
export function heightFor(chamber: Chamber, free: Float64Array, ml: number): number {
  if (ml <= 0) return 0;
  const step = chamber.lengthMm / SLICES;
  let left = ml;
  for (let i = 0; i < SLICES; i += 1) {
    const here = Math.max(0, free[i]!);
    if (here >= left) return (i + (here > 0 ? left / here : 0)) * step;
    left -= here;
  }
  return chamber.lengthMm;
}
