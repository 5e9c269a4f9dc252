import { extentOf, isInside, type Point } from '@/core/geometry/polygon';
import type { Section } from './section';

/** Where the name of a thing stands in a section, middle of the label, millimetres. */
export interface SectionLabel {
  thingId: string;
  at: Point;
  /** Where the thing is, when its label stands outside: a line leads there. Null for one that stands on it. */
  leadsTo: Point | null;
}

/** A label's size in millimetres of the section. */
export interface LabelSize {
  wide: number;
  high: number;
}

/** Places tried across and up a shape. */
const ACROSS = 16;
const UP = 5;
/** Outside labels stand so many of their widths from the outline. */
const ASIDE = 1.2;

interface Rect {
  left: number;
  right: number;
  low: number;
  high: number;
}

/**
 * A label for every piece and layer that shows enough of itself to bear one; for each thing that nowhere does, one outside
 * at the right with a line to it, so that every thing in the section has a label, and no label lies over another.
 *
 * A label stands as near as it can to the middle of a stiff piece, or of the right half of what is soft, since stiff things
 * are laid from the left; where no nearer piece, and no other label, is in its way.
 *
 * @param section of which the blocks are ordered from the farthest to the nearest to the eye
 */
export function labelsOf(section: Section, size: LabelSize): SectionLabel[] {
  const { bands, blocks } = section;
  const labels: SectionLabel[] = [];
  const taken: Rect[] = [];
  const rectAt = ({ x, z }: Point): Rect => ({
    left: x - size.wide / 2,
    right: x + size.wide / 2,
    low: z - size.high / 2,
    high: z + size.high / 2,
  });
  const stand = (thingId: string, middle: Point, over: Rect, isOn: (rect: Rect) => boolean): void => {
    if (over.right - over.left < size.wide || over.high - over.low < size.high) return;
    const at = nearestTo(middle, over, (p) => {
      const rect = rectAt(p);
      return isOn(rect) && !taken.some((other) => meet(rect, other));
    });
    if (!at) return;
    labels.push({ thingId, at, leadsTo: null });
    taken.push(rectAt(at));
  };
  blocks.forEach((block, k) => {
    const nearer = blocks.slice(k + 1);
    const isOn = (rect: Rect) => within(rect, block) && !nearer.some((other) => meet(rect, other));
    stand(block.thingId, middleOf(block), block, isOn);
  });
  for (const { thingId, corners } of bands) {
    const over = extentOf(corners);
    const aside = { x: over.left + 0.75 * (over.right - over.left), z: (over.low + over.high) / 2 };
    stand(
      thingId,
      aside,
      over,
      (rect) =>
        cornersOf(rect).every((p) => isInside(p, corners)) && !blocks.some((block) => meet(rect, block)),
    );
  }
  return [...labels, ...outside(section, new Set(labels.map(({ thingId }) => thingId)), size)];
}

/** Labels at the right of the outline for what has none, in the order of their heights, a label's height apart at least. */
function outside(
  { outline, bands, blocks }: Section,
  labelled: ReadonlySet<string>,
  size: LabelSize,
): SectionLabel[] {
  const leads = new Map<string, Point>();
  const add = (thingId: string, over: Rect, isOn: (p: Point) => boolean) => {
    if (labelled.has(thingId) || leads.has(thingId)) return;
    // To its right end, so that the line crosses as little else as may be.
    const end = { x: over.right, z: (over.low + over.high) / 2 };
    leads.set(thingId, nearestTo(end, over, isOn) ?? middleOf(over));
  };
  blocks.forEach((block, k) => {
    const nearer = blocks.slice(k + 1);
    add(block.thingId, block, (p) => !nearer.some((other) => holds(other, p)));
  });
  for (const { thingId, corners } of bands) {
    add(
      thingId,
      extentOf(corners.length < 3 ? outline : corners),
      (p) => isInside(p, corners) && !blocks.some((block) => holds(block, p)),
    );
  }
  const { right, low } = extentOf(outline);
  const ordered = [...leads].sort(([, a], [, b]) => a.z - b.z);
  let below = low - size.high;
  return ordered.map(([thingId, leadsTo]) => {
    below = Math.max(leadsTo.z, below + size.high);
    return { thingId, at: { x: right + ASIDE * size.wide, z: below }, leadsTo };
  });
}

/** Of the middle of a rectangle and a grid of points in it the one nearest to a place that may be; null where none may. */
function nearestTo(to: Point, over: Rect, may: (p: Point) => boolean): Point | null {
  const { left, right, low, high } = over;
  let [nearest, least]: [Point | null, number] = [null, Infinity];
  const look = (x: number, z: number) => {
    const far = (x - to.x) ** 2 + (z - to.z) ** 2;
    if (far >= least || !may({ x, z })) return;
    [nearest, least] = [{ x, z }, far];
  };
  look((left + right) / 2, (low + high) / 2);
  for (let i = 0; i < ACROSS && least > 0; i += 1)
    for (let k = 0; k < UP; k += 1)
      look(left + ((i + 0.5) / ACROSS) * (right - left), low + ((k + 0.5) / UP) * (high - low));
  return nearest;
}

const middleOf = ({ left, right, low, high }: Rect): Point => ({
  x: (left + right) / 2,
  z: (low + high) / 2,
});
const cornersOf = ({ left, right, low, high }: Rect): Point[] => [
  { x: left, z: low },
  { x: right, z: low },
  { x: right, z: high },
  { x: left, z: high },
];
const within = (a: Rect, b: Rect): boolean =>
  a.left >= b.left && a.right <= b.right && a.low >= b.low && a.high <= b.high;
const meet = (a: Rect, b: Rect): boolean =>
  a.left < b.right && b.left < a.right && a.low < b.high && b.low < a.high;
const holds = ({ left, right, low, high }: Rect, { x, z }: Point): boolean =>
  x > left && x < right && z > low && z < high;
