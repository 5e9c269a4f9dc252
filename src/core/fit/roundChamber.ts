import type { Cylinder } from '@/core/geometry/cylinder';
import type { Taper } from '@/core/geometry/taper';
import type { Chamber } from './chamber';

/** Corners of a polygon round a circle that stands for it where exactness would cost a search: 2 % too wide. x and y by turns. */
const ROUND = Float64Array.from({ length: 32 }, (_, i) => {
  const angle = (Math.PI * (2 * (i >> 1) + 1)) / 16;
  return (i % 2 ? Math.sin(angle) : Math.cos(angle)) / Math.cos(Math.PI / 16);
});
const SLACK = 1e-7;
/** Heights tried in a taper; each is then let down as far as it goes. */
const LEVELS = 10;

/** Whether a circle about (v, w) lies in an ellipse with these half axes. Asked at each corner place of each upright thing. */
function holdsCircle(a: number, b: number, v: number, w: number, r: number): boolean {
  if (Math.abs(a - b) < 1e-9) return Math.hypot(v, w) + r <= a + SLACK;
  if (v === 0 && w === 0) return r <= Math.min(a, b) + SLACK;
  for (let k = 0; k < ROUND.length; k += 2) {
    const dv = (v + r * ROUND[k]!) / a;
    const dw = (w + r * ROUND[k + 1]!) / b;
    if (dv * dv + dw * dw > 1 + SLACK) return false;
  }
  return true;
}

/**
 * A cylinder or a taper: elliptical sections whose axes grow evenly from the bottom (of a seat pack, its nose) to the
 * mouth. Along u the squared distance from the axis in units of the section is convex, so that what lies inside at
 * both ends lies inside between them.
 */
export function roundChamber(solid: Cylinder | Taper, volumeMl: number): Chamber {
  const { lengthMm } = solid;
  const taper = solid.kind === 'taper';
  // Half axes at the bottom, and their growth a millimetre.
  const a0 = (taper ? solid.noseWidthMm : solid.diameterMm) / 2;
  const b0 = (taper ? solid.noseHeightMm : solid.diameterMm) / 2;
  const growA = taper && lengthMm > 0 ? (solid.mouthWidthMm / 2 - a0) / lengthMm : 0;
  const growB = taper && lengthMm > 0 ? (solid.mouthHeightMm / 2 - b0) / lengthMm : 0;
  const level = growA === 0 && growB === 0;
  const widest = (start: number, grow: number) => Math.max(start, start + grow * lengthMm);
  const [aMost, bMost] = [widest(a0, growA), widest(b0, growB)];

  const outside = (u0: number, u1: number) => u0 < -SLACK || u1 > lengthMm + SLACK;
  /** Half of the chord along one axis, where the other coordinate is `off` from the middle; negative for none. */
  const chord = (half: number, other: number, off: number): number => {
    const share = off / other;
    return share >= 1 ? -1 : half * Math.sqrt(1 - share * share);
  };
  return {
    solid,
    lengthMm,
    volumeMl,
    faceOpen: false,
    longAxis: lengthMm >= 2 * Math.max(aMost, bMost) ? 'u' : aMost >= bMost ? 'v' : 'w',
    v: [-aMost, aMost],
    w: [-bMost, bMost],
    levels: level ? [] : Array.from({ length: LEVELS }, (_, i) => (lengthMm * (i + 1)) / (LEVELS + 1)),
    across(u0, u1, v0, v1): number {
      if (outside(u0, u1)) return -1;
      const off = Math.max(Math.abs(v0), Math.abs(v1));
      const half = chord(b0 + growB * u0, a0 + growA * u0, off);
      return level ? half : Math.min(half, chord(b0 + growB * u1, a0 + growA * u1, off));
    },
    along(u0, u1, w0, w1, out): number {
      if (outside(u0, u1)) return 0;
      const off = Math.max(Math.abs(w0), Math.abs(w1));
      let half = chord(a0 + growA * u0, b0 + growB * u0, off);
      if (!level) half = Math.min(half, chord(a0 + growA * u1, b0 + growB * u1, off));
      if (half < 0) return 0;
      out[0] = -half;
      out[1] = half;
      return 1;
    },
    holdsUpright(u0, u1, v, w, r): boolean {
      if (outside(u0, u1)) return false;
      return (
        holdsCircle(a0 + growA * u0, b0 + growB * u0, v, w, r) &&
        (level || holdsCircle(a0 + growA * u1, b0 + growB * u1, v, w, r))
      );
    },
    sectionMm2: (u) => Math.PI * (a0 + growA * u) * (b0 + growB * u),
  };
}
