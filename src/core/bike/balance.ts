import type { PointMass } from '@/core/ride/massProperties';
import type { Bike } from './bike';
import type { SideView } from './sideView';

/** Default rider's centre of mass from the saddle top: of a middling posture (methods, section 5). */
export const RIDER_AHEAD_MM = 220;
export const RIDER_ABOVE_MM = 80;
/** Where an unloaded bike's centre is taken to be: its share of the wheelbase from the rear, its height above the axle. */
const BARE_SHARE = 0.45;
const BARE_ABOVE_AXLE_MM = 110;
/** Standard errors of these defaults along x: between upright and stretched riders, and between kinds of bikes. */
const RIDER_ERROR_MM = 40;
const BARE_ERROR_SHARE = 0.03;
/** Standard error of one wheel's reading, in grams: a bathroom or luggage scale under a wheel. */
export const READING_ERROR_G = 100;
const DEFAULT_BIKE_G = 13_000;

/** A centre of mass along x with its standard error, and whether it was weighed. */
export interface Balanced {
  mass: PointMass;
  errorMm: number;
  weighed: boolean;
}

/**
 * The bare bike's centre of mass: from two wheel readings where there are such, since front ÷ total = distance
 * from the rear axle ÷ wheelbase; else a default. Its height is a default in both cases: two readings on the
 * level cannot tell it.
 *
 * @example // 6.2 kg front and 7.2 kg rear on a wheelbase of 1100 mm → 509 mm ahead of the rear axle
 */
export function bareBike(bike: Pick<Bike, 'massG' | 'readings'> | null, view: SideView): Balanced {
  const readings = bike?.readings ?? null;
  const total = readings ? readings.aloneFrontG + readings.aloneRearG : 0;
  const weighed = readings !== null && total > 0;
  const share = weighed ? readings.aloneFrontG / total : BARE_SHARE;
  return {
    mass: {
      massG: bike?.massG ?? DEFAULT_BIKE_G,
      x: view.rearAxle.x + share * view.wheelbaseMm,
      y: 0,
      z: view.rearAxle.z + BARE_ABOVE_AXLE_MM,
    },
    errorMm: weighed
      ? (view.wheelbaseMm * READING_ERROR_G * Math.hypot(share, 1 - share)) / total
      : BARE_ERROR_SHARE * view.wheelbaseMm,
    weighed,
  };
}

/**
 * The rider's centre: from readings alone and with the rider, whose difference is what the rider puts on each
 * wheel; else a default from the saddle. Its height is a default in both cases.
 */
export function riderCentre(
  bike: Pick<Bike, 'readings'> | null,
  view: SideView,
): Omit<Balanced, 'mass'> & { centre: { x: number; z: number } } {
  const z = view.saddleTop.z + RIDER_ABOVE_MM;
  const readings = bike?.readings ?? null;
  if (readings && readings.riderFrontG !== null && readings.riderRearG !== null) {
    const front = readings.riderFrontG - readings.aloneFrontG;
    const rear = readings.riderRearG - readings.aloneRearG;
    const total = front + rear;
    if (total > 0) {
      const share = front / total;
      return {
        centre: { x: view.rearAxle.x + share * view.wheelbaseMm, z },
        errorMm: (Math.SQRT2 * view.wheelbaseMm * READING_ERROR_G * Math.hypot(share, 1 - share)) / total,
        weighed: true,
      };
    }
  }
  return {
    centre: { x: view.saddleTop.x + RIDER_AHEAD_MM, z },
    errorMm: RIDER_ERROR_MM,
    weighed: false,
  };
}

/**
 * What does not fit in wheel readings, as sentences; empty when they can be right.
 *
 * @param riderG the rider's own mass, to compare with what the scale found
 */
export function readingDoubts(bike: Pick<Bike, 'massG' | 'readings'>, riderG: number): string[] {
  const { readings } = bike;
  if (!readings) return [];
  const doubts: string[] = [];
  const alone = readings.aloneFrontG + readings.aloneRearG;
  const off = (a: number, b: number) => Math.abs(a - b) > Math.max(600, 0.08 * b);
  const kg = (g: number) => (g / 1000).toFixed(1);
  if (off(alone, bike.massG))
    doubts.push(
      `The two wheels of the bike alone add up to ${kg(alone)} kg, but the bike is said to weigh ${kg(bike.massG)} kg. Weigh again with both wheels at one height and bags off.`,
    );
  if (readings.riderFrontG !== null && readings.riderRearG !== null) {
    const rider = readings.riderFrontG + readings.riderRearG - alone;
    if (off(rider, riderG))
      doubts.push(
        `The readings put the rider at ${kg(rider)} kg, but ${kg(riderG)} kg stands under Trip. Sit still, both feet on the pedals, and read again.`,
      );
  }
  return doubts;
}
