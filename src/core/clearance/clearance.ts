import type { Bag } from '@/core/bag/bag';
import type { Build } from '@/core/bike/bike';
import type { PlacedBag } from '@/core/bag/places';
import type { SideView } from '@/core/bike/sideView';
import type { Point } from '@/core/geometry/polygon';

/** A bag where it hangs, with what it weighs and how far its contents press it out. */
export interface HungBag {
  bag: Bag;
  place: PlacedBag;
  /** Own mass and contents. */
  massG: number;
  /** Volume needed at loose size over the room there is; above 1 the cloth bulges. */
  tightness: number;
}

/** The rider's own measures that clearances need; defaults where not known. */
export interface RiderMeasures {
  kneeGapMm: number;
  inseamMm: number;
  shoeMm: number;
}

/** Everything clearances are found from. */
export interface Surroundings {
  view: SideView;
  build: Build;
  /** Bar width from the bike's figures. */
  barWidthMm: number;
  rider: RiderMeasures;
  bags: readonly HungBag[];
}

export const CLEARANCE_KINDS = [
  'front tyre',
  'rear tyre',
  'bar width',
  'hoses',
  'knees',
  'stand-over',
  'heel',
  'frame',
  'shock',
  'bottle',
] as const;
export type ClearanceKind = (typeof CLEARANCE_KINDS)[number];

/** A measured gap between a bag and what it must not touch. */
export interface Clearance {
  id: string;
  kind: ClearanceKind;
  bagId: string;
  /** The bottle's cage, where the other side is a bottle. */
  otherBagId?: string;
  /** What the other side is, in a rider's words: "the front tyre". */
  other: string;
  /** At the worst: after sag, full travel and dropper. Negative when they meet. */
  gapMm: number;
  /** Standing still and empty, where that differs. */
  atRestMm: number | null;
  /** Below `checkMm` a rider should look; below `stopMm` not ride. Null: never so bad. */
  checkMm: number;
  stopMm: number | null;
  /** The nearest points at the worst, to be drawn; null where it is a width only. */
  between: { from: Point; to: Point; view: 'side' | 'front' } | null;
  /** What was taken off the gap at rest, by name. */
  taken: { label: string; mm: number }[];
}

/** Under this a bag is too near to a tyre to be trusted; under the second it will touch (methods, section 2). */
export const TYRE_CHECK_MM = 15;
export const TYRE_STOP_MM = 5;

/** @example verdictOf({ gapMm: 9, checkMm: 15, stopMm: 5 }) // 'check' */
export const verdictOf = ({
  gapMm,
  checkMm,
  stopMm,
}: Pick<Clearance, 'gapMm' | 'checkMm' | 'stopMm'>): 'stop' | 'check' | 'free' =>
  stopMm !== null && gapMm < stopMm ? 'stop' : gapMm < checkMm ? 'check' : 'free';

const worseGap = (a: Clearance, b: Clearance): number => a.gapMm - a.checkMm - (b.gapMm - b.checkMm);

/** The tightest of some clearances, by how far each is from its own bound; null of none. */
export const tightest = (clearances: readonly Clearance[]): Clearance | null =>
  [...clearances].sort(worseGap)[0] ?? null;
