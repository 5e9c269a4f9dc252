import { triangleInside, TRIANGLE_SIDES, tubeLines, TUBE_MM } from '@/core/bike/mainTriangle';
import { usualShock } from '@/core/bike/shock';
import { nearestOnOutline, polygonGap } from '@/core/geometry/distance';
import { offsetFrom } from '@/core/geometry/line';
import type { Point } from '@/core/geometry/polygon';
import type { Clearance, Surroundings } from './clearance';

/** A bag may press on a tube by this much: cloth gives, and tape measures are not finer. */
const CLOTH_GIVES_MM = 4;
/** Room a bottle needs to be drawn from its cage past a bag. */
const BOTTLE_CHECK_MM = 5;
/** A shock and its link move: room for that. */
const SHOCK_CHECK_MM = 8;

/**
 * What hangs in the main triangle: frame bags and bottles must lie inside its tubes, and not in one another.
 */
export function inFrameClearances({ view, build, bags }: Surroundings): Clearance[] {
  const inside = triangleInside(view);
  const lines = tubeLines(view);
  const found: Clearance[] = [];
  const frameBags = bags.filter(({ bag, place }) => bag.place === 'frame bag' && place.outline);
  const bottles = bags.filter(({ bag, place }) => bag.place === 'bottle cage' && place.outline);

  for (const { bag, place } of [...frameBags, ...bottles]) {
    // How far the worst corner stands out over the worst tube.
    let gapMm = Infinity;
    let at: Point = place.outline![0]!;
    for (const side of TRIANGLE_SIDES) {
      for (const corner of place.outline!) {
        const free = offsetFrom(lines[side], corner) - TUBE_MM[side] / 2;
        if (free < gapMm) [gapMm, at] = [free, corner];
      }
    }
    if (gapMm > 40) continue;
    found.push({
      id: `frame:${bag.id}`,
      kind: 'frame',
      bagId: bag.id,
      other: 'the tubes of the main triangle',
      gapMm,
      atRestMm: null,
      checkMm: -CLOTH_GIVES_MM,
      stopMm: -4 * CLOTH_GIVES_MM,
      between: inside.length > 2 ? { from: at, to: nearestOnOutline(at, inside), view: 'side' } : null,
      taken: [],
    });
  }
  if (build.rearTravelMm > 0) {
    const { outline } = usualShock(view);
    for (const { bag, place } of frameBags) {
      const gap = polygonGap(place.outline!, outline);
      if (gap.gapMm > 60) continue;
      found.push({
        id: `shock:${bag.id}`,
        kind: 'shock',
        bagId: bag.id,
        other: 'the place where such a bike usually has its shock',
        gapMm: gap.gapMm,
        atRestMm: null,
        checkMm: SHOCK_CHECK_MM,
        // Where the shock really is, is not known: never worse than a look.
        stopMm: null,
        between: { from: gap.from, to: gap.to, view: 'side' },
        taken: [],
      });
    }
  }
  for (const { bag: bottle, place: bottlePlace } of bottles) {
    for (const { bag, place } of frameBags) {
      const gap = polygonGap(bottlePlace.outline!, place.outline!);
      if (gap.gapMm > 60) continue;
      found.push({
        id: `bottle:${bottle.id}:${bag.id}`,
        kind: 'bottle',
        bagId: bag.id,
        otherBagId: bottle.id,
        other: bottle.name.toLowerCase(),
        gapMm: gap.gapMm,
        atRestMm: null,
        checkMm: BOTTLE_CHECK_MM,
        stopMm: 0.01,
        between: { from: gap.from, to: gap.to, view: 'side' },
        taken: [],
      });
    }
  }
  return found;
}
