import type { Build } from '@/core/bike/bike';
import { sizes } from '@/core/bag/places';
import { extentOf } from '@/core/geometry/polygon';
import type { Clearance, Surroundings } from './clearance';

/** Bar taken by hands, grips and levers at both ends where the free width is not measured, in millimetres. */
const HANDS_AND_LEVERS_MM: Record<Build['bar'], number> = { flat: 220, swept: 280, drop: 40 };
/** Room a hand needs beside the roll, each side: knuckles inside the drops, fingertips on flat levers. */
const HAND_MM: Record<Build['bar'], number> = { flat: 10, swept: 10, drop: 35 };
/** Hoses bend round a bar with about this much room; less pinches them at full lock. */
export const HOSE_ROOM_MM = 15;
/** A roll hung this far below the bar passes under hands and levers. */
const BELOW_HANDS_MM = 60;

/**
 * Free width between levers or drops: as measured, else bar width less what hands and levers take. Flare widens
 * drops downwards: its sine over half a drop's depth of 120 mm, on both sides.
 */
export function freeBarWidthMm(build: Build, barWidthMm: number): number {
  if (build.barFreeMm !== null) return build.barFreeMm;
  const flare = build.bar === 'drop' ? 2 * 60 * Math.sin((build.barFlareDeg * Math.PI) / 180) : 0;
  return barWidthMm - HANDS_AND_LEVERS_MM[build.bar] + flare;
}

/** Bar roll and front pouch against hands, levers and hoses (methods, section 2). */
export function barClearances({ view, build, barWidthMm, bags }: Surroundings): Clearance[] {
  const free = freeBarWidthMm(build, barWidthMm);
  const found: Clearance[] = [];
  const hasRoll = bags.some(({ bag }) => bag.place === 'bar roll');
  for (const { bag, place } of bags) {
    if (!place.outline || (bag.place !== 'bar roll' && bag.place !== 'bar bag')) continue;
    const { length } = sizes(bag.compartments[0]!.solid);
    const { low, high } = extentOf(place.outline);
    const under = high < view.bar.z - BELOW_HANDS_MM;
    if (!under) {
      const z = (low + high) / 2;
      found.push({
        id: `bar-width:${bag.id}`,
        kind: 'bar width',
        bagId: bag.id,
        other: build.bar === 'drop' ? 'hands and levers between the drops' : 'hands and levers',
        gapMm: free - 2 * HAND_MM[build.bar] - length,
        atRestMm: free - length,
        checkMm: 0,
        stopMm: -40,
        between: { from: { x: length / 2, z }, to: { x: free / 2, z }, view: 'front' },
        taken: [{ label: 'room for hands', mm: 2 * HAND_MM[build.bar] }],
      });
    }
    // A pouch on a roll is as far from the hoses as the roll makes it.
    if (build.hosesAhead && !(bag.place === 'bar bag' && hasRoll)) {
      const z = (low + high) / 2;
      const back = extentOf(place.outline).left;
      found.push({
        id: `hoses:${bag.id}`,
        kind: 'hoses',
        bagId: bag.id,
        other: 'the hoses ahead of the bar',
        gapMm: bag.standOffMm,
        atRestMm: null,
        checkMm: HOSE_ROOM_MM,
        stopMm: null,
        between: { from: { x: back - bag.standOffMm, z }, to: { x: back, z }, view: 'side' },
        taken: [],
      });
    }
  }
  return found;
}
