import { DEPTH } from '@/core/kit/depth';
import type { Thing } from '@/core/kit/thing';

/** More of a kind than this are tied into bundles, as one would pack them. */
const MOST_PIECES = 6;

/** A stiff piece to be placed: one thing, one of several, or a bundle of them. Millimetres. */
export interface Piece {
  thingId: string;
  /** Of the pieces of one thing. */
  index: number;
  /** Upright cylinders may touch where boxes round them would overlap; a bundle is a block. */
  round: boolean;
  /** A cylinder's length and twice its diameter, or a block's sides. */
  sides: readonly [number, number, number];
  /** Lies along the longest direction, as poles and pumps do. */
  long: boolean;
  /** Must lie along the lower side, to stiffen the bag. */
  stiffener: boolean;
  /** Goes in last, over the others. */
  crushable: boolean;
  volumeMl: number;
  /** Pieces of one kind are alike: trying one at a place tries all. */
  kind: string;
  /** Rank of its thing's call: the greater, the later it is wanted. */
  depth: number;
}

/**
 * The stiff pieces of a thing; none for a soft one. Several of a kind are placed one by one up to six; more are tied
 * into six bundles at most, each as near to square as its number allows.
 *
 * @example piecesOf(nine tent pegs of 165 by 12 mm).length // 5 bundles of two: 24 by 12 by 165
 */
export function piecesOf(thing: Pick<Thing, 'id' | 'form' | 'quantity' | 'stiffener' | 'call'>): Piece[] {
  const { form } = thing;
  if (form.kind === 'soft') return [];
  const round = 'diameterMm' in form;
  const [length, width, height] = round
    ? [form.lengthMm, form.diameterMm, form.diameterMm]
    : [form.lengthMm, form.widthMm, form.heightMm];
  const perBundle = Math.ceil(thing.quantity / MOST_PIECES);
  const bundles = Math.ceil(thing.quantity / perBundle);
  const one = round ? (Math.PI / 4) * length * width * width : length * width * height;
  const common = {
    thingId: thing.id,
    long: form.kind === 'long',
    stiffener: thing.stiffener,
    crushable: form.kind === 'crushable',
    kind: thing.id,
    depth: DEPTH[thing.call],
  };
  if (perBundle === 1)
    return Array.from({ length: bundles }, (_, index) => ({
      ...common,
      index,
      round,
      sides: [length, width, height] as const,
      volumeMl: one / 1000,
    }));
  return Array.from({ length: bundles }, (_, index) => {
    const count = Math.min(perBundle, thing.quantity - index * perBundle);
    const [p, q] = bundleGrid(count, width, height);
    const sides = [length, width * p, height * q] as const;
    return { ...common, index, round: false, sides, volumeMl: (sides[0] * sides[1] * sides[2]) / 1000 };
  });
}

/** How many side by side and how many over each other: the least area, then the most nearly square. */
function bundleGrid(count: number, width: number, height: number): [number, number] {
  let best: [number, number] = [1, count];
  const score = ([p, q]: [number, number]) =>
    p * q * 1000 + Math.abs(p * width - q * height) / Math.max(width, height);
  for (let p = 1; p <= count; p += 1) {
    const grid: [number, number] = [p, Math.ceil(count / p)];
    if (score(grid) < score(best)) best = grid;
  }
  return best;
}
