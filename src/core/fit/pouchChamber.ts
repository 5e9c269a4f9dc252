import type { Bag } from '@/core/bag/bag';
import { widthsOf, type FlatPolygon } from '@/core/geometry/flatPolygon';
import { extentOf, isInside, type Point } from '@/core/geometry/polygon';
import { MOST_RUNS, type Chamber, type Range } from './chamber';

const SLACK = 1e-6;
/** Heights tried in a pouch whose sides slant; each is then let down as far as it goes. */
const LEVELS = 8;

/** A pouch turned so that its longest side lies along v and its mouth is up: how to come there and back. */
export interface PouchFrame {
  /** Corners with x as v and z as u; the bottom at 0. */
  corners: Point[];
  toFrame(p: Point): Point;
  fromFrame(p: Point): Point;
  /** The x of `fromFrame`, without making points. */
  xOf(v: number, u: number): number;
}

/**
 * Turns a pouch so that long things lie along its longest side.
 *
 * @example pouchFrame(corners).corners // least z is 0
 */
export function pouchFrame(corners: readonly Point[]): PouchFrame {
  let [longest, cos, sin] = [0, 1, 0];
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    const side = Math.hypot(b.x - a.x, b.z - a.z);
    if (side <= longest + 1e-9) return;
    // Either way round is the same side; x grows along it, so that the bottom stays below.
    const sign = b.x >= a.x ? 1 : -1;
    [longest, cos, sin] = [side, (sign * (b.x - a.x)) / side, (sign * (b.z - a.z)) / side];
  });
  const turned = corners.map(({ x, z }) => ({ x: x * cos + z * sin, z: z * cos - x * sin }));
  const { left, right, low } = extentOf(turned);
  const middle = (left + right) / 2;
  const toFrame = ({ x, z }: Point) => ({ x: x * cos + z * sin - middle, z: z * cos - x * sin - low });
  return {
    corners: corners.map(toFrame),
    toFrame,
    xOf: (v, u) => (v + middle) * cos - (u + low) * sin,
    fromFrame: (p) => {
      const [v, u] = [p.x + middle, p.z + low];
      return { x: v * cos - u * sin, z: v * sin + u * cos };
    },
  };
}

/**
 * A flat pouch: its outline in the side view, and a width that may change evenly from rear to front. The fill axis is
 * square to its longest side. One that opens along a side face is reached everywhere at once.
 */
export function pouchChamber(solid: FlatPolygon, volumeMl: number, opening: Bag['opening']): Chamber {
  const frame = pouchFrame(solid.corners);
  const { corners } = frame;
  const { left, right, high } = extentOf(corners);
  const widest = Math.max(solid.widthMm, solid.frontWidthMm ?? 0);
  const even = solid.frontWidthMm === undefined;
  const widthAtX = widthsOf(solid);
  const widthAt = (u: number, v: number) => widthAtX(frame.xOf(v, u));
  /** Least width over a rectangle of the side view: linear along x, so at one of its corners. */
  const widthOver = (u0: number, u1: number, v0: number, v1: number): number => {
    if (even) return solid.widthMm;
    return Math.min(widthAt(u0, v0), widthAt(u1, v0), widthAt(u0, v1), widthAt(u1, v1));
  };
  const convex = isConvex(corners);
  // Asked again and again for the same strip while one piece is tried: the last answer is kept.
  let [lastU0, lastU1]: [number, number] = [NaN, NaN];
  let runs: readonly Range[] = [];
  const runsOver = (u0: number, u1: number): readonly Range[] => {
    if (u0 === lastU0 && u1 === lastU1) return runs;
    [lastU0, lastU1] = [u0, u1];
    if (u0 < -SLACK || u1 > high + SLACK) runs = [];
    else runs = convex ? convexRun(corners, u0, u1) : clearRuns(corners, u0, u1);
    return runs;
  };
  const chamber: Chamber = {
    solid,
    lengthMm: high,
    volumeMl,
    faceOpen: opening === 'left' || opening === 'right',
    longAxis: right - left >= high ? 'v' : 'u',
    v: [left, right],
    w: [-widest / 2, widest / 2],
    levels: Array.from({ length: LEVELS }, (_, i) => (high * (i + 1)) / (LEVELS + 1)),
    // A rectangle is inside the outline where one run of clear strips takes all of its length.
    across(u0, u1, v0, v1): number {
      for (const [from, to] of runsOver(u0, u1))
        if (v0 >= from - SLACK && v1 <= to + SLACK) return widthOver(u0, u1, v0, v1) / 2;
      return -1;
    },
    along(u0, u1, w0, w1, out): number {
      if (w1 - w0 > widest + SLACK) return 0;
      const clear = runsOver(u0, u1);
      const count = Math.min(clear.length, MOST_RUNS);
      for (let k = 0; k < count; k += 1) {
        out[2 * k] = clear[k]![0];
        out[2 * k + 1] = clear[k]![1];
      }
      return count;
    },
    holdsUpright(u0, u1, v, w, r): boolean {
      return Math.abs(w) + r <= chamber.across(u0, u1, v - r, v + r) + SLACK;
    },
    // The mean of the ends' widths, since the width is linear.
    sectionMm2(u): number {
      return clearRuns(corners, u, u).reduce(
        (area, [v0, v1]) => area + ((v1 - v0) * (widthAt(u, v0) + widthAt(u, v1))) / 2,
        0,
      );
    },
  };
  return chamber;
}

function isConvex(corners: readonly Point[]): boolean {
  const n = corners.length;
  let sign = 0;
  for (let i = 0; i < n; i += 1) {
    const [a, b, c] = [corners[i]!, corners[(i + 1) % n]!, corners[(i + 2) % n]!];
    const turn = (b.x - a.x) * (c.z - b.z) - (b.z - a.z) * (c.x - b.x);
    if (Math.abs(turn) < 1e-9) continue;
    if (sign !== 0 && Math.sign(turn) !== sign) return false;
    sign = Math.sign(turn);
  }
  return true;
}

/** The run of a convex outline: what its chords at both heights share. */
function convexRun(corners: readonly Point[], u0: number, u1: number): Range[] {
  const n = corners.length;
  let [low, high] = [-Infinity, Infinity];
  for (let end = 0; end < 2; end += 1) {
    // A hair inside, so that a chord along the top or bottom side is found.
    const u = end === 0 ? u0 + SLACK : u1 - SLACK;
    let [left, right] = [Infinity, -Infinity];
    for (let i = 0; i < n; i += 1) {
      const a = corners[i]!;
      const b = corners[i + 1 < n ? i + 1 : 0]!;
      if (a.z < u === b.z < u) continue;
      const v = a.x + ((u - a.z) / (b.z - a.z)) * (b.x - a.x);
      if (v < left) left = v;
      if (v > right) right = v;
    }
    if (left > low) low = left;
    if (right < high) high = right;
  }
  return high - low > SLACK ? [[low, high]] : [];
}

/** Runs of v over which the strip from u0 to u1 lies inside the outline. */
function clearRuns(corners: readonly Point[], u0: number, u1: number): Range[] {
  const cuts: number[] = [];
  const n = corners.length;
  for (let i = 0; i < n; i += 1) {
    const a = corners[i]!;
    const b = corners[(i + 1) % n]!;
    if (a.z >= u0 - SLACK && a.z <= u1 + SLACK) cuts.push(a.x);
    for (const u of [u0, u1])
      if (a.z < u !== b.z < u) cuts.push(a.x + ((u - a.z) / (b.z - a.z)) * (b.x - a.x));
  }
  cuts.sort((p, q) => p - q);
  const runs: [number, number][] = [];
  for (let i = 0; i + 1 < cuts.length; i += 1) {
    const [v0, v1] = [cuts[i]!, cuts[i + 1]!];
    if (v1 - v0 < SLACK) continue;
    const middle = (v0 + v1) / 2;
    // Between cuts no side begins, ends or leaves the strip: one that runs through it shows at the middle.
    const crossed = corners.some((a, k) => {
      const b = corners[(k + 1) % n]!;
      if (a.x < middle === b.x < middle) return false;
      const u = a.z + ((middle - a.x) / (b.x - a.x)) * (b.z - a.z);
      return u > u0 + SLACK && u < u1 - SLACK;
    });
    const inside = !crossed && isInside({ x: middle, z: (u0 + u1) / 2 }, corners);
    if (!inside) continue;
    const last = runs.at(-1);
    if (last && v0 - last[1] < SLACK) last[1] = v1;
    else runs.push([v0, v1]);
  }
  return runs;
}
