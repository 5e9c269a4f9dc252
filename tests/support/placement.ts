import type { Bag, Compartment } from '@/core/bag/bag';
import type { Fit } from '@/core/fit/fit';
import type { Lying } from '@/core/fit/lying';
import { pouchFrame } from '@/core/fit/pouchChamber';
import { widthsOf } from '@/core/geometry/flatPolygon';
import { isInside } from '@/core/geometry/polygon';
import { solidVolumeMl } from '@/core/geometry/solid';
import type { Thing } from '@/core/kit/thing';

/**
 * Judges a placement without what made it: bodies as sets of points, distances between them by projecting to and fro,
 * volumes from the things' own measures. Slow, and exact to 0.02 mm.
 */
export interface Body {
  low: [number, number, number];
  high: [number, number, number];
  /** Axis a cylinder runs along; null for a block. */
  axis: 0 | 1 | 2 | null;
}

const HAIR = 0.01;

export const bodyOf = ({ piece, u0, u1, v0, v1, w0, w1, upright }: Lying): Body => {
  const [du, dv] = [u1 - u0, v1 - v0];
  const length = piece.sides[0];
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  const axis = !piece.round
    ? null
    : upright
      ? 0
      : near(dv, length) && !near(du, length)
        ? 1
        : near(w1 - w0, length)
          ? 2
          : 1;
  return { low: [u0, v0, w0], high: [u1, v1, w1], axis };
};

/** The nearest point of a body, a hair smaller than it is. */
function project({ low, high, axis }: Body, p: readonly number[]): [number, number, number] {
  const q = p.map((x, k) => Math.min(high[k]! - HAIR, Math.max(low[k]! + HAIR, x))) as [
    number,
    number,
    number,
  ];
  if (axis === null) return q;
  const [a, b] = ([0, 1, 2] as const).filter((k) => k !== axis) as [number, number];
  const centre = [0, 1, 2].map((k) => (low[k]! + high[k]!) / 2);
  const r = (high[a]! - low[a]!) / 2 - HAIR;
  const out = Math.hypot(p[a]! - centre[a]!, p[b]! - centre[b]!);
  if (out > r) {
    q[a] = centre[a]! + ((p[a]! - centre[a]!) * r) / out;
    q[b] = centre[b]! + ((p[b]! - centre[b]!) * r) / out;
  } else {
    q[a] = p[a]!;
    q[b] = p[b]!;
  }
  return q;
}

/** Distance of two convex bodies, each a hair smaller, by alternating projections (von Neumann 1950). */
export function distance(a: Body, b: Body): number {
  let p = project(
    a,
    [0, 1, 2].map((k) => (a.low[k]! + a.high[k]!) / 2),
  );
  let far = Infinity;
  for (let i = 0; i < 400; i += 1) {
    const q = project(b, p);
    p = project(a, q);
    const next = Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
    if (far - next < 1e-9) return next;
    far = next;
  }
  return far;
}

/** Points all over a body's surface, its ends and edges among them. */
function* surface({ low, high, axis }: Body): Generator<[number, number, number]> {
  const at = (k: number, share: number) => low[k]! + (high[k]! - low[k]!) * share;
  if (axis === null) {
    for (const u of [0, 0.5, 1])
      for (const v of [0, 0.25, 0.5, 0.75, 1])
        for (const w of [0, 0.5, 1]) yield [at(0, u), at(1, v), at(2, w)];
    return;
  }
  const [a, b] = [0, 1, 2].filter((k) => k !== axis) as [number, number];
  const r = (high[a]! - low[a]!) / 2;
  for (const share of [0, 0.5, 1])
    for (let step = 0; step < 24; step += 1) {
      const p: [number, number, number] = [0, 0, 0];
      p[axis] = at(axis, share);
      p[a] = at(a, 0.5) + r * Math.cos((step * Math.PI) / 12);
      p[b] = at(b, 0.5) + r * Math.sin((step * Math.PI) / 12);
      yield p;
    }
}

/** What tells whether a point (u, v, w) is in the compartment, from its measures, to 0.02 mm. */
export function insideOf(
  bag: Pick<Bag, 'opening'>,
  { solid, statedMl }: Compartment,
): (point: readonly number[]) => boolean {
  const tolerance = 0.02;
  const ratio = statedMl === null ? 1 : statedMl / solidVolumeMl(solid);
  const side = Math.sqrt(ratio);
  const within = (x: number, low: number, high: number) => x >= low - tolerance && x <= high + tolerance;
  switch (solid.kind) {
    case 'cylinder':
      return ([u, v, w]) =>
        within(u!, 0, solid.lengthMm) && Math.hypot(v!, w!) <= (solid.diameterMm * side) / 2 + tolerance;
    case 'taper':
      return ([u, v, w]) => {
        const share = u! / solid.lengthMm;
        const a = ((solid.noseWidthMm + (solid.mouthWidthMm - solid.noseWidthMm) * share) * side) / 2;
        const b = ((solid.noseHeightMm + (solid.mouthHeightMm - solid.noseHeightMm) * share) * side) / 2;
        return within(u!, 0, solid.lengthMm) && Math.hypot(v! / (a + tolerance), w! / (b + tolerance)) <= 1;
      };
    case 'box': {
      const { lengthMm: l, widthMm: b, heightMm: h } = solid;
      const [fill, across, up] =
        bag.opening === 'top'
          ? [h, l, b]
          : bag.opening === 'left' || bag.opening === 'right'
            ? [b, l, h]
            : [l, b, h];
      return ([u, v, w]) =>
        within(u!, 0, fill) &&
        Math.abs(v!) <= (across * side) / 2 + tolerance &&
        Math.abs(w!) <= (up * side) / 2 + tolerance;
    }
    case 'polygon': {
      const frame = pouchFrame(solid.corners);
      const widthAt = widthsOf(solid);
      return ([u, v, w]) => {
        const p = frame.fromFrame({ x: v!, z: u! });
        const near = solid.corners.some((a, i) => {
          const b = solid.corners[(i + 1) % solid.corners.length]!;
          const [dx, dz] = [b.x - a.x, b.z - a.z];
          const t = Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.z - a.z) * dz) / (dx * dx + dz * dz)));
          return Math.hypot(a.x + t * dx - p.x, a.z + t * dz - p.z) <= tolerance;
        });
        return (near || isInside(p, solid.corners)) && Math.abs(w!) <= (widthAt(p.x) * ratio) / 2 + tolerance;
      };
    }
  }
}

/** Boxes round two bodies touch: only then can the bodies. */
const near = (a: Body, b: Body): boolean =>
  [0, 1, 2].every((k) => a.low[k]! < b.high[k]! + 1 && b.low[k]! < a.high[k]! + 1);

/** What is wrong with a placement: nothing where it is sound. */
export function faults(
  bag: Pick<Bag, 'opening'>,
  compartment: Compartment,
  things: readonly Thing[],
  fit: Fit,
): string[] {
  const out: string[] = [];
  const bodies = fit.lying.map(bodyOf);
  const isIn = insideOf(bag, compartment);
  fit.lying.forEach(({ piece }, i) => {
    const { low, high } = bodies[i]!;
    const size = [0, 1, 2].map((k) => high[k]! - low[k]!).sort((a, b) => a - b);
    const given = [...piece.sides].sort((a, b) => a - b);
    if (size.some((length, k) => Math.abs(length - given[k]!) > 1e-6))
      out.push(`${piece.thingId} changed its size`);
    for (const p of surface(bodies[i]!))
      if (!isIn(p)) {
        out.push(`${piece.thingId} sticks out at ${p.map((x) => x.toFixed(1)).join(', ')}`);
        break;
      }
    for (let k = 0; k < i; k += 1)
      if (near(bodies[i]!, bodies[k]!) && distance(bodies[i]!, bodies[k]!) < HAIR / 2)
        out.push(`${piece.thingId} is in ${fit.lying[k]!.piece.thingId}`);
  });
  if (!fit.closes) return out;
  let needed = 0;
  for (const thing of things) {
    const { form, quantity } = thing;
    if (form.kind === 'soft') {
      needed += (thing.volumeMl * quantity) / { stuffed: 0.95, rolled: 0.85, folded: 0.8 }[thing.packing];
      if (fit.layers.filter(({ thingId }) => thingId === thing.id).length !== 1)
        out.push(`${thing.id} has no layer`);
      continue;
    }
    const one =
      'diameterMm' in form
        ? (Math.PI / 4) * form.diameterMm ** 2 * form.lengthMm
        : form.lengthMm * form.widthMm * form.heightMm;
    const pieces = fit.lying.filter(({ piece }) => piece.thingId === thing.id);
    const room = pieces.reduce((sum, { piece }) => sum + piece.volumeMl, 0);
    if (room < (one * quantity) / 1000 - 1e-6) out.push(`${thing.id}: not all of its pieces lie`);
    needed += room;
  }
  const capacity = compartment.statedMl ?? solidVolumeMl(compartment.solid);
  if (needed > capacity + 1e-6) out.push(`${needed} ml in ${capacity}`);
  if (Math.abs(needed + fit.deadMl - fit.neededMl) > 1e-6) out.push('volumes do not add up');
  return out;
}
