import { GROUNDS, type Ground } from '@/core/trip/route/route';
import { FASTEST_KMH, ROLLING, speedAt, steepestGradient, walkingSpeed } from './power';

/**
 * Slopes are told apart by half a per cent, between −30 and +40 %: a route's every step falls in a class of slope and ground, whose pace
 * is found once. A change of the load then costs some hundred paces and a sum.
 */
const CLASS = 0.005;
const LEAST = -0.3;
const MOST = 0.4;
const SLOPES = Math.round((MOST - LEAST) / CLASS) + 1;

/** A route's steps by class, `ground · SLOPES + slope`; step i leads from point i to point i + 1. */
export function stepClasses(
  height: Float64Array,
  stepM: number,
  groundAt: (step: number) => Ground,
): Uint16Array {
  const classes = new Uint16Array(height.length - 1);
  for (let i = 0; i < classes.length; i += 1) {
    const slope = (height[i + 1]! - height[i]!) / stepM;
    const k = Math.round((Math.max(LEAST, Math.min(MOST, slope)) - LEAST) / CLASS);
    classes[i] = GROUNDS.indexOf(groundAt(i)) * SLOPES + k;
  }
  return classes;
}

/** Who rides what. */
export interface Cyclist {
  /** Everything that rolls, the rider included. */
  massKg: number;
  /** What is kept up all day. */
  powerW: number;
  /** Metres per turn of the cranks in the lowest gear. */
  developmentM: number;
}

/** Of a rider on a bike without a load: downhill everyone is taken to weigh this. */
const ROLLS_KG = 85;

/** On short climbs riders give more than they keep up (methods, section 6). */
export const SHORT_CLIMB = 1.4;

/** What lies behind one at each point of a route: point i is i steps along. */
export interface Pace {
  seconds: Float64Array;
  walkedM: Float64Array;
  /** At the pedals, in joules. */
  work: Float64Array;
}

/** What one step of each class takes. */
interface ClassPace {
  seconds: Float64Array;
  joules: Float64Array;
  walks: Uint8Array;
}

/** How many steps a route has of each class. */
export function countClasses(classes: Uint16Array): Uint32Array {
  const counts = new Uint32Array(SLOPES * GROUNDS.length);
  for (const k of classes) counts[k]! += 1;
  return counts;
}

function classPaces(
  counts: Uint32Array,
  stepM: number,
  { massKg, powerW, developmentM }: Cyclist,
): ClassPace {
  const pace = {
    seconds: new Float64Array(counts.length),
    joules: new Float64Array(counts.length),
    walks: new Uint8Array(counts.length),
  };
  GROUNDS.forEach((ground, g) => {
    const steepest = steepestGradient(massKg, ROLLING[ground], SHORT_CLIMB * powerW, developmentM);
    for (let s = 0; s < SLOPES; s += 1) {
      const k = g * SLOPES + s;
      if (counts[k] === 0) continue;
      const slope = LEAST + s * CLASS;
      const rolling = ROLLING[ground];
      // A heavier bike rolls down faster by itself, but is not let: the load slows on the way up and gains nothing on the way down.
      const rolls = slope + rolling < 0 ? ROLLS_KG : massKg;
      const ridden = Math.min(speedAt(rolls, slope, rolling, powerW), FASTEST_KMH[ground] / 3.6);
      const walked = walkingSpeed(slope);
      const isWalked = slope > steepest || ridden < walked;
      pace.walks[k] = isWalked ? 1 : 0;
      pace.seconds[k] = stepM / (isWalked ? walked : ridden);
      // Rolling at the greatest speed asks for nothing.
      pace.joules[k] = slope < -0.03 ? 0 : powerW * pace.seconds[k]!;
    }
  });
  return pace;
}

/** Moving time of a whole route, in seconds, from how many steps it has of each class. */
export function movingSeconds(counts: Uint32Array, stepM: number, cyclist: Cyclist): number {
  const { seconds } = classPaces(counts, stepM, cyclist);
  return seconds.reduce((sum, each, k) => sum + each * counts[k]!, 0);
}

/**
 * Moving time, metres walked and work along a route (methods, section 6). Each step is ridden at the steady speed of the rider's
 * power, downhill at most as fast as the ground allows; what is too steep for the lowest gear, or slower than walking, is walked.
 */
export function paceAlong(
  classes: Uint16Array,
  stepM: number,
  cyclist: Cyclist,
  counts: Uint32Array = countClasses(classes),
): Pace {
  const { seconds, joules, walks } = classPaces(counts, stepM, cyclist);
  const n = classes.length + 1;
  const pace = { seconds: new Float64Array(n), walkedM: new Float64Array(n), work: new Float64Array(n) };
  for (let i = 0; i < classes.length; i += 1) {
    const k = classes[i]!;
    pace.seconds[i + 1] = pace.seconds[i]! + seconds[k]!;
    pace.walkedM[i + 1] = pace.walkedM[i]! + (walks[k] ? stepM : 0);
    pace.work[i + 1] = pace.work[i]! + joules[k]!;
  }
  return pace;
}

/** A running sum between its points. */
export function sumAt(sums: Float64Array, stepM: number, alongM: number): number {
  const at = Math.max(0, Math.min(sums.length - 1, alongM / stepM));
  const i = Math.min(sums.length - 2, Math.floor(at));
  return sums[i]! + (at - i) * (sums[i + 1]! - sums[i]!);
}
